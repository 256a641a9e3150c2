<script setup lang="ts">
import { isDuty } from '@dauer/core/ledger';
import { fluidRecordsOf, fluidState } from '@dauer/core/history';
import { FACTOR, planOfLayout } from '@dauer/core/hydraulics';
import { placeName, slotById } from '@dauer/core/layout';
import { bleedOrder, circuitsToBleed, isContaminated, lastSession, makersOrder, sessionState } from '@dauer/core/stages';
import { waterCourse } from '@dauer/core/views';
import { computed } from 'vue';
import CautionPlates from '../../job/CautionPlates.vue';
import LockBanner from '../../job/LockBanner.vue';
import { useOpenJob } from '../../job/openJob.ts';
import FluidSection from './FluidSection.vue';
import BleederRow from './BleederRow.vue';
import BeginSession from './session/BeginSession.vue';
import SessionView from './session/SessionView.vue';
import PedalPairs from './PedalPairs.vue';
import WaterChart from './WaterChart.vue';

/** The fluid that goes in, and what came at each bleeder: it is changed only when every bleeder is closed. */
const job = useOpenJob();
const writable = computed(() => job.writable);
const stage = computed(() => job.state.stages.find((s) => s.stage === 'bleed') ?? null);
const circuits = computed(() => circuitsToBleed(job.state.context));
/** More is drawn after contamination, and a maker's order goes before the way. */
const dirty = computed(() => isContaminated(job.history, circuits.value));
const factor = computed(() => (dirty.value ? FACTOR.contaminated : FACTOR.clear));
const maker = computed(() => makersOrder(job.history));
const order = computed(() => bleedOrder(job.state.records.layout, { factor: factor.value, ordered: maker.value?.ordered ?? [] }));
/** What may be bled live: what is owed, or everything where nothing is. */
const toBleed = computed(() => (circuits.value.length > 0 ? circuits.value : [...new Set(order.value.map((b) => b.circuit))]));
/** What it all comes to, for the circuits that are to be bled, with what had to be guessed. */
const forAll = computed(() => {
  if (circuits.value.length === 0) return '';
  const { layout } = job.state.records;
  const plan = planOfLayout(layout, { circuits: circuits.value, factor: factor.value });
  const guessed = plan.guesses.flatMap((id) => slotById(layout, id) ?? []).map((s) => placeName(s).toLowerCase());
  const guess = guessed.length === 0 ? '' : ` Guessed, since nobody measured it: ${guessed.join(', ')}.`;
  return plan.bottles === 0 ? '' : `Together ${Math.round(plan.totalMl)} mL and a reservoir: ${plan.bottles} of 500 mL.${guess}`;
});
/** The session that runs: it takes the screen until it is ended. */
const session = computed(() => {
  const last = lastSession(job.history);
  const state = last && sessionState(job.history, last);
  return state && !state.over ? state : null;
});
const allPulls = computed(() => job.state.history.active(job.state.records.bleedPulls));
const pulls = computed(() => allPulls.value.filter((p) => p.jobId === job.state.records.job.id));
const fluids = computed(() => fluidRecordsOf(job.state.history));
const due = computed(() => fluidState(job.state.records.layout, fluids.value, job.state.records.vehicle, job.today));
const water = computed(() => waterCourse(job.state.records.layout, fluids.value, job.state.records.vehicle, job.today));
const waits = computed(() => job.state.obligations.find((o) => o.stage === 'bleed' && o.state === 'waiting')?.why ?? null);
const doneCount = computed(() => job.state.obligations.filter((o) => isDuty(o, 'bleed') && o.state === 'closed').length);
const owedCount = computed(() => job.state.obligations.filter((o) => isDuty(o, 'bleed')).length);
const done = computed(() => `${doneCount.value} of ${owedCount.value} bleeders closed clear`);
/** What is owed at a bleeder. */
const owedAt = (slotId: string) => job.state.obligations.find((o) => isDuty(o, 'bleed') && o.slotId === slotId) ?? null;
</script>

<template>
  <div class="head">
    <h1>Bleed</h1>
    <span class="second">
      {{ stage?.notApplicable ? 'this vehicle has no fluid' : circuits.length === 0 ? 'no circuit has to be bled so far' : done }}
    </span>
  </div>
  <p v-if="stage?.notApplicable" class="second empty">Rods and cables: there is nothing to bleed here.</p>
  <template v-else>
    <LockBanner />
    <SessionView v-if="session" :state="session" :writable="writable" />
    <template v-else>
      <CautionPlates :steps="job.state.records.job.kind === 'fluid' ? ['lift', 'bleed'] : ['bleed']" />
      <p v-if="waits" class="problem">{{ waits }} Bleeding counts once they are on.</p>
      <FluidSection :writable="writable" :due="due" :done="done" />
      <section>
        <h2 class="line">Bleeders, in order</h2>
        <p class="second small">
          {{
            maker
              ? `By the maker’s order (${maker.source}).`
              : 'From the longest path to the shortest, each circuit finished before the next; a maker’s own order goes before this.'
          }}
          {{
            dirty
              ? 'It was contaminated: three times what stands in lines, unit and cylinder is drawn'
              : 'What is drawn is one and a half times what stands in lines, unit and cylinder, three times after contamination'
          }}; pulls are of a hand pump, 25 mL.
          {{ forAll }}
        </p>
        <BeginSession v-if="writable && toBleed.length > 0" :circuits="toBleed" :main="circuits.length > 0" />
        <BleederRow
          v-for="(b, i) in order"
          :key="b.bleeder.id"
          :n="i + 1"
          :step="b"
          :name="placeName(b.bleeder)"
          :owed="owedAt(b.bleeder.id)"
          :pulls="pulls.filter((p) => p.slotId === b.bleeder.id)"
          :writable="writable"
        />
      </section>
      <PedalPairs />
      <section v-if="water">
        <h2 class="line">Water over the years, and where it boils</h2>
        <p class="second small">
          An estimate from the climate and the kind of fluid, with its band; it begins anew with each whole change. A measured value, drawn
          as a square on its corner, replaces it.
        </p>
        <div class="charts">
          <WaterChart :course="water" what="water" />
          <WaterChart :course="water" what="boil" />
        </div>
      </section>
    </template>
  </template>
</template>

<style scoped>
.charts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
}
.charts > * {
  flex: 1 1 380px;
}
section {
  margin-top: var(--space-4);
}
.empty {
  margin: var(--space-4) 0;
}
</style>
