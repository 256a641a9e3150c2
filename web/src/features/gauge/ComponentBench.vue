<script setup lang="ts">
import { type MeasurementId, measurementsAt, programmeFor } from '@dauer/core/catalogue';
import { counterpart, placeName } from '@dauer/core/layout';
import type { Phase } from '@dauer/core/ledger';
import { proofStops, walkRound } from '@dauer/core/views';
import { computed, nextTick, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { useOpenJob } from '../../job/openJob.ts';
import AxleSides from './AxleSides.vue';
import BenchCapture from './BenchCapture.vue';
import { BENCHES } from './benches/benches.ts';
import BenchDrawing from './BenchDrawing.vue';
import BenchTabs from './BenchTabs.vue';
import FindingsPanel from './FindingsPanel.vue';
import HoldClock from './HoldClock.vue';
import HistoryTable from './HistoryTable.vue';
import JudgedFigures from './JudgedFigures.vue';
import MoveSet from './MoveSet.vue';
import MoveReadings from './MoveReadings.vue';
import ReadingsExchange from './ReadingsExchange.vue';
import BlindRemeasurement from './BlindRemeasurement.vue';
import SetUpRow from './SetUpRow.vue';
import { useBenchFigures } from './useBenchFigures.ts';
import { useCapture } from './useCapture.ts';
import { goTo, skippedStops, wanted } from '../../job/wanted.ts';
import WorkPanels from './WorkPanels.vue';
import './bench.css';

/** The bench for one component: drawn as what is being measured, judged below, said in words beside. */
const job = useOpenJob();
const component = computed(() => job.component);
const measurements = computed(() => (component.value ? measurementsAt(component.value.slot) : []));
const along = wanted.value?.slotId === component.value?.slot.id ? wanted.value : null;
/** It is taken for a proof: as fitted, and on to what the proofs still wait for. */
const proving = along?.proving === true;
wanted.value = null;
const owed = (component.value?.required ?? []).filter((r) => r.need === 'required');
/** What was taken of it in this job already. */
const begun = measurements.value.find((m) =>
  job.history.sets.some((s) => s.slotId === component.value?.slot.id && s.measurement === m.id && s.jobId === job.records.job.id),
);
const tab = ref<MeasurementId | 'eye'>(
  along?.measurement ??
    owed.find((r) => !r.done)?.measurement.id ??
    owed[0]?.measurement.id ??
    begun?.id ??
    measurements.value[0]?.id ??
    'eye',
);
const measurement = computed(() => measurements.value.find((m) => m.id === tab.value) ?? null);
const phase = ref<Phase>(proving ? 'as_fitted' : job.phase);
/** The places of a measurement that proofs stand on; null for all of them. */
function placesFor(id: MeasurementId | 'eye'): readonly string[] | null {
  const { proofItems, figuresOf } = job.state.context;
  const mine = proofItems.flatMap((i) => figuresOf(i)).find((f) => f.slot.id === component.value?.slot.id && f.ask.measurement === id);
  return mine?.ask.places ?? null;
}
const capture = useCapture(component, measurement, phase);
/** For a proof only the places that it stands on are asked for. */
watch([tab, phase], () => (capture.only.value = proving && phase.value === 'as_fitted' ? placesFor(tab.value) : null), { immediate: true });
const { unit, symbolOf, pair, question, standing, positions, taken, index, blind } = capture;
const { judged, inTab, others, noted, decimalsOf, fieldOf, count, missing, governs } = useBenchFigures(component, tab, phase, capture);
const liveText = ref('');
const clearance = ref<readonly { before: number; after: number | null }[] | null>(null);
/** Nothing sits here, and nothing that came out of it lies on the bench. */
const isMissing = computed(() => component.value?.empty === true && component.value.bench === null);
const writable = computed(() => job.writable && component.value !== null && !isMissing.value);
/** Asked for by the programme, or taken already. */
const first = (id: MeasurementId): boolean =>
  fieldOf(id).taken.length > 0 ||
  (component.value !== null && programmeFor(component.value.slot.kind, 'found').some((l) => l.measurement === id));
const other = computed(() => (component.value && job.state ? (counterpart(job.state.records.layout, component.value.slot) ?? null) : null));
function go(id: MeasurementId, i: number): void {
  tab.value = id;
  void nextTick(() => {
    index.value = i;
  });
}
const router = useRouter();
const proofs = computed(() => `/jobs/${job.records.job.id}/prove`);
/** What the proofs still wait for, as soon as nothing of it is here. */
const nextProof = computed(() => {
  const stops = proving ? proofStops(job.state) : [];
  return stops.some((s) => s.slotId === component.value?.slot.id && s.measurement === tab.value) ? 'here' : (stops[0] ?? 'none');
});
/** Once everything here is taken, Enter goes on to the next stop of the route. */
const next = computed(() => {
  if (proving) return typeof nextProof.value === 'string' ? null : nextProof.value;
  const complete = positions.value.length > 0 && positions.value.every((p) => capture.isTaken(p));
  if (!complete || !job.state) return null;
  const here = component.value?.slot.id;
  return walkRound(job.state, skippedStops()).stops.find((s) => s.slotId !== here || s.measurement !== tab.value) ?? null;
});
/** What follows from the figures matters more here than how each stands on its rule. */
const worked = computed(() => tab.value !== 'eye' && BENCHES[tab.value].worked === true);
const onwardTo = computed(() => {
  if (proving && nextProof.value === 'none') return 'the proofs';
  return next.value ? `${next.value.place}, ${next.value.name.toLowerCase()}` : null;
});
function onward(): void {
  if (proving && nextProof.value === 'none') void router.push(proofs.value);
  if (!next.value) return;
  const { slotId, measurement: id } = next.value;
  if (slotId !== component.value?.slot.id) {
    goTo({ slotId, measurement: id, proving, afresh: 'afresh' in next.value && next.value.afresh });
    return;
  }
  tab.value = id;
  if ('afresh' in next.value && next.value.afresh) void nextTick(afresh);
}
/** A set of its own, from its first position. */
function afresh(): void {
  capture.afresh.value = true;
  index.value = 0;
}
if (along?.afresh) afresh();
/** A sweep of its own with the rotor turned on. */
function sweepTurned(turn: number, studs: number): void {
  capture.begin.value = { turn, studs };
  afresh();
}
</script>

<template>
  <div v-if="component" class="bench">
    <div class="head title">
      <h1>{{ placeName(component.slot) }}</h1>
      <BenchTabs
        v-model="tab"
        :measurements="measurements"
        :count="count"
        :first="first"
        :findings="component.findings.length"
        :name="component.slot.name"
      />
      <v-btn-group v-if="measurement && pair.length > 1" class="choice" role="group" aria-label="Unit">
        <v-btn v-for="u in pair" :key="u" class="unit" :aria-pressed="unit === u" @click="unit = u">{{ symbolOf(u) }}</v-btn>
      </v-btn-group>
    </div>

    <FindingsPanel v-if="tab === 'eye'" :component="component" />
    <template v-else-if="measurement">
      <p v-if="isMissing" class="problem">
        This place is empty: there is nothing here to gauge. What was taken of the part that was here stands in its life.
      </p>
      <template v-else>
        <p v-if="component.empty" class="second">It is off the vehicle: what is gauged now is the part that came out, on the bench.</p>
        <p v-if="proving" class="second">
          For the proofs, as fitted.
          <RouterLink :to="proofs">Back to them</RouterLink>
        </p>
        <SetUpRow
          :key="measurement.id"
          v-model:phase="phase"
          :measurement="measurement.id"
          :capture="capture"
          :writable="writable"
          @afresh="afresh"
        />
        <BlindRemeasurement v-model:blind="blind" :judged="inTab" :writable="writable" />
        <p v-if="question" class="problem ask" role="alert">
          <span>{{ question.text }}</span>
          <v-btn class="act slim" @click="capture.itIsRight()">It is right</v-btn>
          <v-btn class="act slim" @click="capture.itIsNot()">Take it back</v-btn>
        </p>
        <HoldClock v-if="writable" :measurement="measurement.id" :place="capture.at.value?.place ?? null" :slot-id="component.slot.id" />
        <BenchDrawing
          :component="component"
          :measurement="measurement.id"
          :field-of="fieldOf"
          :judged="judged"
          :now="index"
          :live="liveText || null"
          :clearance="clearance"
          @go="go"
        />
        <MoveReadings v-if="writable && !question" :capture="capture" :decimals="decimalsOf(tab)" />
      </template>
      <div class="below" :class="{ worked }">
        <JudgedFigures
          :component="component"
          :measurement="measurement"
          :tab="tab"
          :in-tab="inTab"
          :others="others"
          :noted="noted"
          :missing="missing"
          :taken="taken"
          :standing="standing"
          :inch="unit === 'in'"
          :blind="blind"
        />
        <WorkPanels
          v-if="!isMissing && !blind"
          :component="component"
          :measurement="measurement.id"
          :judged="judged"
          :taken="taken"
          :writable="writable"
          @sweep="sweepTurned"
          @clearance="(list) => (clearance = list)"
        />
      </div>
      <MoveSet v-if="writable" :slot-id="component.slot.id" :measurement="measurement.id" :phase="phase" />
      <AxleSides
        v-if="other && !blind"
        :measurement="measurement.id"
        :phase="phase"
        :slot-id="component.slot.id"
        :other-id="other.id"
        @pick="(id) => (job.picked = id)"
      />
      <template v-if="!blind">
        <HistoryTable :component="component" :measurement="measurement.id" :judged="judged" />
        <ReadingsExchange :component="component" />
      </template>
      <BenchCapture
        v-if="writable"
        :slot-at="component.slot"
        :measurement="measurement"
        :phase="phase"
        :capture="capture"
        :decimals="decimalsOf(tab)"
        :note="governs"
        :onward="onwardTo"
        @typed="(t) => (liveText = t)"
        @onward="onward"
      />
    </template>
  </div>
</template>

<style scoped>
.title {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 0 var(--space-4);
  align-items: start;
}
.title h1 {
  white-space: nowrap;
  line-height: 47px;
}
.unit[aria-pressed='true'] {
  background: var(--blue);
  color: var(--on-blue);
}
.below {
  display: flex;
  flex-direction: column;
}
.worked {
  flex-direction: column-reverse;
}
.ask {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 860px) {
  .bench {
    padding-bottom: 150px;
  }
  .title {
    display: flex;
    flex-wrap: wrap;
    padding: var(--space-2) 0 0;
    gap: var(--space-1);
  }
  .title h1 {
    line-height: inherit;
  }
}
</style>
