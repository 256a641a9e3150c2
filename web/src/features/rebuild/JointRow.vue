<script setup lang="ts">
import { JOINT_WORD, SEAL_NAME, usualTorque } from '@dauer/core/wording';
import { genericForJoint } from '@dauer/core/catalogue';
import { readTold, upperFirst } from '@dauer/core/quantity';
import type { JointEventKind, JointSeal } from '@dauer/core/ledger';
import { cardLineRefusal, isCharged, type JointStatus, whyNotMade, wouldUndo } from '@dauer/core/readiness';
import { agreedBeside, heldRefusal } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { refusalOf } from '../../fittings/refusal.ts';
import WithNote from '../../fittings/WithNote.vue';
import { timeNow } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText, timeText } from '../../fittings/dates.ts';
import PortTold from './PortTold.vue';
import PortWords from './PortWords.vue';

/** One joint: what state it is in, and what is told of it next. */
const props = defineProps<{ status: JointStatus; writable: boolean }>();
const job = useOpenJob();
const session = useSession();
const SEALS = Object.entries(SEAL_NAME) as [JointSeal, string][];
const STATE = { untouched: 'as found', open: 'open', made: 'made, not torqued', torqued: 'torqued' } as const;
const slotId = computed(() => props.status.joint.slot.id);
const connectionId = computed(() => props.status.joint.connection.id);
const name = computed(() => props.status.joint.name);
/** Words that go with the next thing told of it. */
const note = ref('');
/** What is asked before it is told: sealed how, or set to what. */
const asking = ref<'seal' | 'torque' | null>(null);
const figure = ref('');
const tried = ref(false);
const problem = computed(() => (tried.value ? refusalOf(() => readTold('torque', figure.value, 'Nm')) : ''));
const usual = computed(() => usualTorque(genericForJoint(props.status.seal), agreedBeside(job.records, session.person?.id)));
const next = computed((): JointEventKind[] => {
  const { state, looked, held, weeps } = props.status;
  if (state === 'untouched') return ['opened'];
  if (state === 'open') return ['made'];
  if (state === 'made') return ['torqued', 'opened'];
  return [...(looked ? [] : ['looked' as const]), ...(held ? [] : ['held' as const]), ...(weeps ? [] : ['weeps' as const]), 'opened'];
});
function ask(what: 'seal' | 'torque'): void {
  asking.value = what;
  figure.value = '';
  tried.value = false;
}
function tell(kind: JointEventKind, seal: JointSeal | null = null): void {
  if (kind === 'made' && seal === null) return ask('seal');
  if (kind === 'torqued' && asking.value !== 'torque') return ask('torque');
  tried.value = kind === 'torqued';
  if (problem.value) return;
  asking.value = null;
  job.add('jointEvents', {
    ...{ connectionId: connectionId.value, slotId: slotId.value, kind, seal },
    typed: kind === 'torqued' ? figure.value : null,
    note: note.value.trim(),
  });
  note.value = '';
}
/** What opening it would undo: said before it is opened. */
const undoes = computed((): string[] => {
  const s = job.state;
  return props.writable && props.status.state !== 'open'
    ? wouldUndo(s.history, s.context.proofStatus, s.context.proofItems, props.status.joint.slot, 'joint_opened')
    : [];
});
/** Held under pressure presses a control: not while anything that it reaches is open. */
const locked = computed(() => heldRefusal(job.state, slotId.value));
/** Why it cannot be made so: its port is plugged, or what is put together does not seal. */
const unmade = (seal: JointSeal | null): string | null =>
  whyNotMade(job.history, { connectionId: connectionId.value, slotId: slotId.value, kind: 'made', seal });
/** Why something cannot be told of it now: what it presses, what is stored, what is plugged, or what the card at its place has before it. */
const byCard = (kind: JointEventKind): string | null => cardLineRefusal(job.history, { slotId: slotId.value, kind }, timeNow().at);
const isBarred = (kind: JointEventKind): boolean =>
  (kind === 'held' && locked.value !== null) ||
  (kind === 'opened' && isCharged(job.state.history)) ||
  (kind === 'made' && unmade(null) !== null) ||
  byCard(kind) !== null;
const last = computed(() => props.status.last);
</script>

<template>
  <li>
    <span class="what">
      {{ upperFirst(name) }}
      <span class="second small">
        {{ status.weeps ? 'weeps' : STATE[status.state] }}{{ status.torque ? ` to ${status.torque}` : ''
        }}{{ status.seal ? `, ${SEAL_NAME[status.seal].toLowerCase()}` : ''
        }}{{ status.held ? ', dry under pressure' : status.looked ? ', looked at' : ''
        }}{{ last ? `; ${job.by(last)}, ${dayText(last.happenedAt)} ${timeText(last.happenedAt)}` : '' }}
      </span>
      <PortWords :slot-id="slotId" :port="connectionId" />
      <span v-if="status.state === 'open' && unmade(null)" class="small">{{ unmade(null) }}</span>
      <span v-if="last?.note" class="small">{{ last.note }}</span>
      <button
        v-if="writable && last?.jobId === job.records.job.id"
        class="link small"
        type="button"
        :aria-label="`Take back: ${name}, ${JOINT_WORD[last.kind].toLowerCase()}`"
        @click="job.takeBack(last.id)"
      >
        Take back “{{ JOINT_WORD[last.kind].toLowerCase() }}”
      </button>
      <span v-if="writable && next.includes('held') && locked" class="second small">{{ locked }}</span>
      <span v-if="undoes.length > 0" class="second small">Opening it undoes {{ undoes.join('; ').toLowerCase() }}</span>
    </span>
    <span v-if="writable && asking === 'seal'" class="acts" role="group" aria-label="Sealed how">
      <v-btn
        v-for="[seal, words] in SEALS"
        :key="seal"
        class="act slim"
        :disabled="unmade(seal) !== null"
        :title="unmade(seal) ?? undefined"
        @click="tell('made', seal)"
      >
        {{ words }}
      </v-btn>
      <button class="link small" type="button" @click="asking = null">Not yet</button>
    </span>
    <form v-else-if="writable && asking === 'torque'" class="acts" @submit.prevent="tell('torqued')">
      <v-text-field
        v-model="figure"
        v-focus
        density="compact"
        label="Set (N·m)"
        placeholder="14"
        :error-messages="problem"
        :hint="usual"
        persistent-hint
      />
      <v-btn class="act slim main" type="submit" :aria-label="`Record the torque: ${name}`">Record</v-btn>
      <v-btn class="act slim" @click="asking = null">Not yet</v-btn>
    </form>
    <span v-else-if="writable" class="acts">
      <v-btn
        v-for="k in next"
        :key="k"
        class="act slim"
        :aria-label="`${JOINT_WORD[k]}: ${name}`"
        :disabled="isBarred(k)"
        :title="(k === 'held' ? locked : byCard(k)) ?? undefined"
        @click="tell(k)"
      >
        {{ JOINT_WORD[k] }}
      </v-btn>
    </span>
    <template v-if="writable">
      <PortTold :slot-id="slotId" :port="connectionId" :name="name" :heard="name" />
      <WithNote v-model="note" :of="name" />
    </template>
  </li>
</template>

<style scoped>
.what {
  flex: 1 1 280px;
  line-height: var(--leading-tight);
}
.what .small {
  display: block;
  line-height: 18px;
}
.what :deep(.port) {
  display: flex;
}
.acts {
  gap: 6px;
}
.acts :deep(.v-input) {
  min-width: 260px;
}
</style>
