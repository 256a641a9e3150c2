<script setup lang="ts">
import { JOINT_WORD, type Port, portName, portWords, SEAL_NAME, usualTorque } from '@dauer/core/wording';
import { placeName, slotById } from '@dauer/core/layout';
import { genericForJoint } from '@dauer/core/catalogue';
import { readTold, upperFirst } from '@dauer/core/quantity';
import type { JointEventKind, JointSeal } from '@dauer/core/ledger';
import {
  cardLineRefusal,
  isCharged,
  jointsOf,
  type JointStatus,
  jointStatus,
  portFact,
  portsOf,
  whyNotMade,
  wouldUndo,
} from '@dauer/core/readiness';
import { agreedBeside, heldRefusal } from '@dauer/core/views';
import { computed, reactive, ref } from 'vue';
import { refusalOf } from '../../fittings/refusal.ts';
import WithNote from '../../fittings/WithNote.vue';
import { timeNow } from '../../app/client.ts';
import { useSession } from '../../app/session.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText, timeText } from '../../fittings/dates.ts';
import PortForm from './PortForm.vue';
import SeatMark from './SeatMark.vue';

/** Joints of what is picked, and every joint that was touched: opened, made, torqued, looked at. */
const props = defineProps<{
  writable: boolean;
  /** Those of one place alone. */
  only?: string;
}>();
const job = useOpenJob();
const session = useSession();
/** Words that go with the next thing told of a joint. */
const notes = reactive<Record<string, string>>({});
const making = ref<string | null>(null);
const SEALS = Object.entries(SEAL_NAME) as [JointSeal, string][];
const rows = computed<JointStatus[]>(() => {
  const s = job.state;
  const events = s.history.active(s.records.jointEvents);
  return jointsOf(s.records.layout)
    .map((j) => jointStatus(j, events))
    .filter((j) => props.only === undefined || j.joint.slot.id === props.only)
    .filter(
      (j) => props.only !== undefined || j.state !== 'untouched' || j.joint.slot.id === job.picked || j.joint.connection.id === job.picked,
    );
});
const STATE = { untouched: 'as found', open: 'open', made: 'made, not torqued', torqued: 'torqued' } as const;
const next = (j: JointStatus): JointEventKind[] => {
  if (j.state === 'untouched') return ['opened'];
  if (j.state === 'open') return ['made'];
  if (j.state === 'made') return ['torqued', 'opened'];
  return [
    ...(j.looked ? [] : (['looked'] as const)),
    ...(j.held ? [] : (['held'] as const)),
    ...(j.weeps ? [] : (['weeps'] as const)),
    'opened',
  ];
};
/** The joint that a figure is being given for, and what is typed. */
const setting = ref<string | null>(null);
const figure = ref('');
const tried = ref(false);
const problem = computed(() => (tried.value ? refusalOf(() => readTold('torque', figure.value, 'Nm')) : ''));
const usual = (j: JointStatus): string => usualTorque(genericForJoint(j.seal), agreedBeside(job.records, session.person?.id));
function log(j: JointStatus, kind: JointEventKind, seal: JointSeal | null = null): void {
  if (kind === 'made' && seal === null) {
    making.value = j.joint.key;
    return;
  }
  if (kind === 'torqued' && setting.value !== j.joint.key) {
    setting.value = j.joint.key;
    figure.value = '';
    tried.value = false;
    return;
  }
  if (kind === 'torqued') tried.value = true;
  if (problem.value) return;
  setting.value = null;
  making.value = null;
  job.add('jointEvents', {
    connectionId: j.joint.connection.id,
    slotId: j.joint.slot.id,
    kind,
    seal,
    typed: kind === 'torqued' ? figure.value : null,
    note: (notes[j.joint.key] ?? '').trim(),
  });
  notes[j.joint.key] = '';
}
/** What opening it would undo: said before it is opened. */
const undoes = (j: JointStatus): string[] => {
  const s = job.state;
  return props.writable && j.state !== 'open'
    ? wouldUndo(s.history, s.context.proofStatus, s.context.proofItems, j.joint.slot, 'joint_opened')
    : [];
};
/** What the card that runs at its place has before it. */
const byCard = (j: JointStatus, kind: JointEventKind): string | null =>
  cardLineRefusal(job.history, { slotId: j.joint.slot.id, kind }, timeNow().at);
const charged = computed(() => isCharged(job.state.history));
/** What the port of a joint is, where somebody said it. */
const port = (j: JointStatus) => portFact(job.state.history, j.joint.slot.id, j.joint.connection.id);
/** The ports of what is picked that no line goes into: its bridge, and what is plugged. */
const others = computed<Port[]>(() => {
  const { layout } = job.state.records;
  const slot = slotById(layout, props.only ?? job.picked ?? '');
  return slot ? portsOf(layout, slot).filter((p) => p.kind !== 'line') : [];
});
const factOf = (p: Port) => portFact(job.state.history, p.slot.id, p.id);
const keyOf = (p: Port): string => `${p.slot.id}:${p.id}`;
/** Why it cannot be made so: its port is plugged, or what is put together does not seal. */
const unmade = (j: JointStatus, seal: JointSeal | null): string | null =>
  whyNotMade(job.history, { connectionId: j.joint.connection.id, slotId: j.joint.slot.id, kind: 'made', seal });
/** The port that is being described. */
const telling = ref<string | null>(null);
/** Held under pressure presses a control: not while anything that it reaches is open. */
const locked = (j: JointStatus): string | null => heldRefusal(job.state, j.joint.slot.id);
</script>

<template>
  <section v-if="rows.length > 0" class="joints">
    <h2 class="line">Joints</h2>
    <ul>
      <li v-for="j in rows" :key="j.joint.key">
        <span class="what">
          {{ upperFirst(j.joint.name) }}
          <span class="second small">
            {{ j.weeps ? 'weeps' : STATE[j.state] }}{{ j.torque ? ` to ${j.torque}` : ''
            }}{{ j.seal ? `, ${SEAL_NAME[j.seal].toLowerCase()}` : '' }}{{ j.held ? ', dry under pressure' : j.looked ? ', looked at' : ''
            }}{{ j.last ? `; ${job.by(j.last)}, ${dayText(j.last.happenedAt)} ${timeText(j.last.happenedAt)}` : '' }}
          </span>
          <span v-if="port(j)" class="small port">
            <SeatMark :seat="port(j)!.seat" />
            {{ portWords(port(j)!) }}
          </span>
          <span v-if="j.state === 'open' && unmade(j, null)" class="small">{{ unmade(j, null) }}</span>
          <span v-if="j.last?.note" class="small">{{ j.last.note }}</span>
          <button
            v-if="writable && j.last?.jobId === job.records.job.id"
            class="link small"
            type="button"
            :aria-label="`Take back: ${j.joint.name}, ${JOINT_WORD[j.last.kind].toLowerCase()}`"
            @click="job.takeBack(j.last.id)"
          >
            Take back “{{ JOINT_WORD[j.last.kind].toLowerCase() }}”
          </button>
          <span v-if="writable && next(j).includes('held') && locked(j)" class="second small">{{ locked(j) }}</span>
          <span v-if="undoes(j).length > 0" class="second small">Opening it undoes {{ undoes(j).join('; ').toLowerCase() }}</span>
        </span>
        <span v-if="writable && making === j.joint.key" class="acts" role="group" aria-label="Sealed how">
          <v-btn
            v-for="[seal, name] in SEALS"
            :key="seal"
            class="act slim"
            :disabled="unmade(j, seal) !== null"
            :title="unmade(j, seal) ?? undefined"
            @click="log(j, 'made', seal)"
          >
            {{ name }}
          </v-btn>
          <button class="link small" type="button" @click="making = null">Not yet</button>
        </span>
        <form v-else-if="writable && setting === j.joint.key" class="acts" @submit.prevent="log(j, 'torqued')">
          <v-text-field
            v-model="figure"
            v-focus
            density="compact"
            label="Set (N·m)"
            placeholder="14"
            :error-messages="problem"
            :hint="usual(j)"
            persistent-hint
          />
          <v-btn class="act slim main" type="submit" :aria-label="`Record the torque: ${j.joint.name}`">Record</v-btn>
          <v-btn class="act slim" @click="setting = null">Not yet</v-btn>
        </form>
        <span v-else-if="writable" class="acts">
          <v-btn
            v-for="k in next(j)"
            :key="k"
            class="act slim"
            :aria-label="`${JOINT_WORD[k]}: ${j.joint.name}`"
            :disabled="
              (k === 'held' && locked(j) !== null) ||
              (k === 'opened' && charged) ||
              (k === 'made' && unmade(j, null) !== null) ||
              byCard(j, k) !== null
            "
            :title="(k === 'held' ? locked(j) : byCard(j, k)) ?? undefined"
            @click="log(j, k)"
          >
            {{ JOINT_WORD[k] }}
          </v-btn>
        </span>
        <button
          v-if="writable && telling !== j.joint.key"
          class="link small"
          type="button"
          :aria-label="`What its port is: ${j.joint.name}`"
          @click="telling = j.joint.key"
        >
          Its port
        </button>
        <PortForm
          v-if="writable && telling === j.joint.key"
          :slot-id="j.joint.slot.id"
          :port="j.joint.connection.id"
          :name="j.joint.name"
          @done="telling = null"
        />
        <WithNote v-if="writable" v-model="notes[j.joint.key]" :of="j.joint.name" />
      </li>
      <li v-for="p in others" :key="keyOf(p)">
        <span class="what">
          {{ portName(p) }}: {{ placeName(p.slot).toLowerCase() }}
          <span v-if="factOf(p)" class="small port">
            <SeatMark :seat="factOf(p)!.seat" />
            {{ portWords(factOf(p)!) }}
          </span>
        </span>
        <button
          v-if="writable && telling !== keyOf(p)"
          class="link small"
          type="button"
          :aria-label="`What its port is: ${portName(p).toLowerCase()} of the ${placeName(p.slot).toLowerCase()}`"
          @click="telling = keyOf(p)"
        >
          Its port
        </button>
        <PortForm v-if="writable && telling === keyOf(p)" :slot-id="p.slot.id" :port="p.id" :name="portName(p)" @done="telling = null" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.joints {
  margin-top: 20px;
}
li .port {
  display: flex;
  gap: var(--space-1);
  align-items: center;
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
  min-height: 52px;
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what {
  flex: 1 1 280px;
  line-height: var(--leading-tight);
}
.what .small {
  display: block;
  line-height: 18px;
}
.acts {
  gap: 6px;
}
.acts :deep(.v-input) {
  min-width: 260px;
}
</style>
