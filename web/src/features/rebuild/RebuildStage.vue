<script setup lang="ts">
import { stageNote } from '@dauer/core/wording';
import { fastenerKey, followedIn, isDuty, type OperationEvent } from '@dauer/core/ledger';
import { OPTION_NAME, workFor } from '@dauer/core/catalogue';
import { cornersTakenIn, type OperationState, operationState } from '@dauer/core/history';
import { careFault } from '@dauer/core/judging';
import { canBeOff, type Corner, isHydraulic, placeName } from '@dauer/core/layout';
import { bledHere, freePoint, isWorked, type TorquePoint, torquePoints } from '@dauer/core/stages';
import { cardAt, cardState, isOfDecision } from '@dauer/core/readiness';
import { computed, reactive, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import WithNote from '../../fittings/WithNote.vue';
import CautionPlates from '../../job/CautionPlates.vue';
import LockBanner from '../../job/LockBanner.vue';
import { useOpenJob } from '../../job/openJob.ts';
import LotSlips from '../../job/LotSlips.vue';
import CardBench from './card/CardBench.vue';
import ClocksPanel from './clocks/ClocksPanel.vue';
import JointRows from './JointRows.vue';
import PartWork from './PartWork.vue';
import TorqueRow from './TorqueRow.vue';
import UsualOperations from './UsualOperations.vue';

/** What the decisions ask for: parts off and on, operations with their minutes, torques. */
const job = useOpenJob();
const writable = computed(() => job.writable);
/** Places where something is fitted for now: what belongs there is still to come. */
const temporary = computed(
  () => new Set(job.state.context.proofStatus.places.filter((p) => p.state === 'temporary').map((p) => p.slot.id)),
);
const worked = computed(() =>
  job.state.components.filter(
    (c) =>
      isWorked(c) || c.empty || temporary.value.has(c.slot.id) || careFault(job.state.history, c) !== null || touched.value.has(c.slot.id),
  ),
);
/** Places whose part was moved or worked on here, whatever was decided. */
const touched = computed(
  () =>
    new Set(
      job.state.history
        .active(job.state.records.partEvents)
        .flatMap((e) => (e.jobId === job.state.records.job.id && e.kind !== 'found' && e.slotId !== null ? [e.slotId] : [])),
    ),
);
/** What is picked on the map may be taken off and put back, whatever was decided. */
const pickedPart = computed(() =>
  job.component && canBeOff(job.component.slot.kind) && !worked.value.some((c) => c.slot.id === job.picked) ? job.component : null,
);
const operations = computed(() => job.state.history.active(job.state.records.operations));
const stateOf = (id: string): OperationState => operationState(job.state.history, id);
const WORD = { open: 'not begun', running: 'running', stopped: 'stopped', done: 'done' } as const;
const placeOf = (slotId: string | null): string => {
  const c = job.state.components.find((x) => x.slot.id === slotId);
  return c ? placeName(c.slot) : 'Whole vehicle';
};
const followed = computed(() => followedIn(job.state.records));
const proposals = computed(() =>
  worked.value.flatMap((c) => {
    const t = c.decision ? workFor(c.slot, c.decision.option, followed.value) : undefined;
    return t && !operations.value.some((o) => o.slotId === c.slot.id && o.title === t.title) ? [{ c, t }] : [];
  }),
);
const owed = computed(() => job.state.obligations.flatMap((o) => (isDuty(o, 'torque') ? [fastenerKey(o.duty.fastener)] : [])));
const torques = computed(() => job.state.history.active(job.state.records.torques));
const points = computed(() =>
  torquePoints(
    job.state.components,
    cornersTakenIn(job.state.records.job, job.state.records.layout),
    true,
    bledHere(job.state.history),
  ).filter((p) => owed.value.includes(p.point)),
);
/** Points of somebody's own choosing that were recorded. */
const free = computed(() => [...new Set(torques.value.flatMap((t) => (t.point.startsWith('free:') ? [t.point] : [])))].map(freeOf));
const freeOf = (name: string): TorquePoint => ({
  ...{
    point: name,
    fastener: { of: 'unit', kind: 'free', slotId: name.slice('free:'.length) },
    slotId: null,
    name: name.slice('free:'.length),
  },
});
const another = ref('');
const adding = ref<TorquePoint | null>(null);
function addPoint(): void {
  if (another.value.trim() === '') return;
  adding.value = freeOf(freePoint(another.value));
  another.value = '';
}
/** The wheel comes off once more for its bleeder: said before it is torqued. */
const bleedsStill = (corner: Corner | null): string => {
  const open = job.state.obligations.find(
    (o) =>
      isDuty(o, 'bleed') && o.state !== 'closed' && job.state.records.layout.slots.some((x) => x.id === o.slotId && x.corner === corner),
  );
  return open && corner !== null && job.state.records.job.kind !== 'fluid'
    ? 'The bleeding here is not closed: torqued before it, the wheel is owed again.'
    : '';
};
const jointsShown = computed(
  () => job.state !== null && (job.state.context.proofStatus.joints.length > 0 || (job.component?.slot.circuits.length ?? 0) > 0),
);
const title = ref('');
const minutes = ref('30');
function plan(slotId: string | null, name: string, attendedMinutes: number): void {
  job.add('operations', { slotId, title: name, attendedMinutes });
}
function planTyped(): void {
  const m = Number(minutes.value);
  if (title.value.trim() === '' || !Number.isInteger(m) || m < 0) return;
  plan(job.picked, title.value.trim(), m);
  title.value = '';
}
/** Words that go with the next thing told of an operation. */
const notes = reactive<Record<string, string>>({});
function tell(operationId: string, kind: OperationEvent['kind']): void {
  job.add('operationEvents', { operationId, kind, note: (notes[operationId] ?? '').trim() });
  notes[operationId] = '';
}
const notesOf = (id: string): string =>
  job.state.history
    .active(job.state.records.operationEvents)
    .flatMap((e) => (e.operationId === id && e.note !== '' ? [e.note] : []))
    .join('; ');
const route = useRoute();
const router = useRouter();
/** The card that is on the bench: it takes the screen until one leaves it. */
const bench = computed(() => {
  const { card, finish } = route.query;
  const run = typeof card === 'string' ? cardAt(job.history, card, finish === undefined ? 'work' : 'finish') : null;
  return run && isOfDecision(job.history, run) ? cardState(job.history, run, job.today) : null;
});
function leaveBench(): void {
  const { card: _, finish: __, ...query } = route.query;
  void router.replace({ query });
}
const note = computed(() => {
  const state = job.state.stages.find((x) => x.stage === 'rebuild');
  return state ? stageNote(state) : '';
});
</script>

<template>
  <CardBench v-if="bench" :key="bench.run.id" :state="bench" :writable="writable" @close="leaveBench" />
  <template v-else>
    <div class="head">
      <h1>Rebuild</h1>
      <span class="second">{{ note }}</span>
      <span class="grow" />
      <v-btn v-if="writable" class="act slim" :to="`/jobs/${job.state.records.job.id}/parking`">Leave it standing</v-btn>
    </div>
    <LockBanner />
    <CautionPlates :steps="['rebuild']" />
    <section>
      <h2 class="line">Parts</h2>
      <PartWork v-if="pickedPart" :key="pickedPart.slot.id" :component="pickedPart" :writable="writable" />
      <p v-if="worked.length === 0 && !pickedPart" class="second empty">
        No part has to be worked on: nothing was decided that takes one apart. What is picked on the map can be taken off and put back here.
        <RouterLink :to="`/jobs/${job.state.records.job.id}/decide`">Decide</RouterLink>
      </p>
      <PartWork v-for="c in worked" :key="c.slot.id" :component="c" :writable="writable" />
    </section>
    <LotSlips :what="['torque', 'cure']" />
    <JointRows :writable="writable" />
    <p v-if="!jointsShown && isHydraulic(job.state.records.layout)" class="second small">
      Pick something on the map that holds fluid to enter a joint opened, made, torqued or looked at.
    </p>
    <ClocksPanel :writable="writable" />
    <section>
      <h2 class="line">Operations</h2>
      <div v-if="operations.length > 0" class="scroll">
        <table>
          <thead>
            <tr>
              <th>Operation</th>
              <th>Where</th>
              <th class="num">Minutes</th>
              <th>State</th>
              <td />
            </tr>
          </thead>
          <tbody>
            <tr v-for="o in operations" :key="o.id">
              <td>
                {{ o.title }}
                <span v-if="notesOf(o.id)" class="second small">{{ notesOf(o.id) }}</span>
              </td>
              <td class="second">{{ placeOf(o.slotId) }}</td>
              <td class="num fig">{{ o.attendedMinutes }}</td>
              <td>{{ WORD[stateOf(o.id)] }}</td>
              <td class="acts">
                <template v-if="writable && stateOf(o.id) !== 'done'">
                  <v-btn v-if="stateOf(o.id) !== 'running'" class="act slim" @click="tell(o.id, 'start')">Start</v-btn>
                  <v-btn v-else class="act slim" @click="tell(o.id, 'stop')">Stop</v-btn>
                  <v-btn class="act slim" :aria-label="`${o.title}: done`" @click="tell(o.id, 'done')">Done</v-btn>
                  <WithNote v-model="notes[o.id]" :of="o.title" />
                </template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-else class="second empty">No operation is on the list.</p>
      <UsualOperations v-if="writable && proposals.length > 0" :proposals="proposals" @plan="plan" />
      <form v-if="writable" class="add" @submit.prevent="planTyped">
        <v-text-field v-model="title" label="Another operation" />
        <v-text-field v-model="minutes" class="min" label="Attended minutes" inputmode="numeric" />
        <v-btn class="act" type="submit" :disabled="title.trim() === ''">Put on the list</v-btn>
      </form>
    </section>
    <section>
      <h2 class="line">Torques</h2>
      <p v-if="points.length === 0" class="second empty">
        No critical torque is due yet. They follow from what is opened and from the wheels that come off.
      </p>
      <TorqueRow
        v-for="p in [...points, ...free.filter((f) => f.point !== adding?.point), ...(adding ? [adding] : [])]"
        :key="p.point"
        :point="p"
        :logged="torques.filter((t) => t.point === p.point)"
        :before="p.fastener.of === 'wheel' ? bleedsStill(p.fastener.corner) : ''"
        :writable="writable"
      />
      <form v-if="writable" class="add" @submit.prevent="addPoint">
        <v-text-field v-model="another" label="Another point: what it holds" maxlength="100" />
        <v-btn class="act" type="submit" :disabled="another.trim() === ''">Add it</v-btn>
      </form>
    </section>
    <p class="second small note">
      Decided:
      {{
        worked
          .filter((c) => c.decision)
          .map((c) => `${placeName(c.slot).toLowerCase()} ${OPTION_NAME[c.decision!.option].toLowerCase()}`)
          .join('; ') || 'nothing that takes a part apart'
      }}.
    </p>
  </template>
</template>

<style scoped>
section {
  margin-top: var(--space-4);
}
.empty {
  margin: var(--space-2) 0;
}
.num {
  text-align: right;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
.acts .act {
  margin-left: var(--space-2);
}
td {
  vertical-align: middle;
}
.add {
  display: flex;
  gap: var(--space-3);
  margin: var(--space-3) 0;
  align-items: flex-start;
  flex-wrap: wrap;
}
.add > * {
  flex: 1 1 200px;
}
.add .min {
  max-width: 160px;
}
.add .act {
  flex: 0 0 auto;
  min-height: var(--strip);
}
.note {
  margin-top: var(--space-4);
}
</style>
