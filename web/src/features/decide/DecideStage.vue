<script setup lang="ts">
import { optionsOf } from '@dauer/core/readiness';
import { THING_NAME } from '@dauer/core/wording';
import { OPTION_NAME, type OptionId } from '@dauer/core/catalogue';
import type { Component } from '@dauer/core/judging';
import { axleOf, canBeOff, CORNER_NAME } from '@dauer/core/layout';
import type { Decision } from '@dauer/core/ledger';
import { intakeRows, needsDecision, putOffRefusal } from '@dauer/core/stages';
import { alikeTo, proposalsOf, sidesDiffer } from '@dauer/core/views';
import { computed } from 'vue';
import { dayHere } from '../../fittings/dates.ts';
import { useOpenJob } from '../../job/openJob.ts';
import DecisionRow from './DecisionRow.vue';

/** Per part: what is done with it. What a reading rules out cannot be chosen, and says by which. */
const job = useOpenJob();
const writable = computed(() => job.writable);
const due = computed(() =>
  job.state.components.filter(
    (c) =>
      canBeOff(c.slot.kind) &&
      c.inScope &&
      (needsDecision(c, job.state.records.job.kind ?? 'overhaul') || c.decision !== null || c.verdict === 'past'),
  ),
);
const GROUPS = [
  ['front', 'Front axle'],
  ['middle', 'Middle axle'],
  ['rear', 'Rear axle'],
  ['side', 'Sidecar'],
  [null, 'The rest of the vehicle'],
] as const;
const groups = computed(() =>
  GROUPS.map(([axle, name]) => ({
    name,
    rows: due.value
      .filter((c) => axleOf(c.slot.corner) === axle)
      .sort((a, b) => a.slot.kind.localeCompare(b.slot.kind) || (a.slot.corner ?? '').localeCompare(b.slot.corner ?? '')),
  })).filter((g) => g.rows.length > 0),
);
/** Undecided, or decided for something that a reading has ruled out since. */
const open = computed(() => {
  const owed = new Set(job.state.obligations.filter((o) => o.stage === 'decide' && o.state === 'open').map((o) => o.slotId));
  return due.value.filter((c) => c.decision === null || owed.has(c.slot.id));
});
const sound = computed(() => open.value.filter((c) => c.verdict === 'holds' || c.verdict === 'watch'));
interface Until {
  readonly reviewOn: string | null;
  readonly untilKm: number | null;
  readonly access: string | null;
}
const NO_TIME: Until = { reviewOn: null, untilKm: null, access: null };
function decide(c: Component, option: OptionId, reason: string, until: Until = NO_TIME, metal: Decision['metal'] = null): void {
  job.add('decisions', { slotId: c.slot.id, partId: c.part?.id ?? null, option, reason, ...until, metal });
}
/** The same for others of the kind: the option, its reason and until when. */
function sameFor(c: Component, places: readonly Component[]): void {
  const d = c.decision;
  if (!d) return;
  const until = { reviewOn: d.reviewOn, untilKm: d.untilKm, access: d.access };
  job.together(alikeWords(d.option, places.length), () => places.forEach((x) => decide(x, d.option, d.reason, until)));
}
/** Why nothing is put off until then: it lies behind, by the shop's calendar or the vehicle's counter. */
const refusal = (until: Until): string | null =>
  putOffRefusal(until, job.state.history.active(job.state.records.counters), new Date().toISOString(), dayHere());
function useAllThatHold(): void {
  const sure = sound.value.filter((c) => optionsOf(job.history, c).find((o) => o.id === 'use_again')?.ruledOut === null);
  job.together(alikeWords('use_again', sure.length), () => sure.forEach((c) => decide(c, 'use_again', '')));
}
const alikeWords = (option: OptionId, parts: number): string => `${OPTION_NAME[option]}: ${parts} parts`;
/** The costly order is the second one: what nobody has looked at yet. */
const unlooked = computed(() => {
  const s = job.state;
  if (s.released || s.records.job.kind === 'fluid' || s.records.job.kind === 'inspection') return '';
  const rows = intakeRows(s.records.layout, s.history.active(s.records.intakeLooks)).filter((r) => r.look === null);
  const corners = [...new Set(rows.map((r) => r.corner))];
  return corners
    .map(
      (c) =>
        `${c ? CORNER_NAME[c] : 'The middle'}: ${rows
          .filter((r) => r.corner === c)
          .map((r) => THING_NAME[r.thing].toLowerCase())
          .join(', ')}`,
    )
    .join('. ');
});
const proposals = computed(() => proposalsOf(job.state));
const differs = (c: Component): string | null => sidesDiffer(job.state.records.layout, job.state.components, c);
</script>

<template>
  <div class="head">
    <h1>What is done with each part</h1>
    <span class="second">{{ open.length === 0 ? 'all decided' : `${open.length} to decide` }}</span>
    <span class="grow" />
    <v-btn v-if="writable && sound.length > 0" class="act slim" @click="useAllThatHold">Use again what holds ({{ sound.length }})</v-btn>
  </div>
  <details v-if="unlooked" class="unlooked">
    <summary>Before anything is ordered: not everything was looked at at intake</summary>
    <p class="second small">{{ unlooked }}.</p>
  </details>
  <p v-if="due.length === 0" class="second empty">Nothing has to be decided in a job of this kind.</p>
  <section v-for="g in groups" :key="g.name" class="group">
    <h2 class="line">{{ g.name }}</h2>
    <DecisionRow
      v-for="c in g.rows"
      :key="c.slot.id"
      :component="c"
      :writable="writable"
      :warning="differs(c)"
      :proposal="proposals.get(c.slot.id) ?? null"
      :picked="job.picked === c.slot.id"
      :alike="alikeTo(job.history, due, c)"
      :distance-unit="job.records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km'"
      :people="job.records.people ?? []"
      :refusal="refusal"
      @pick="job.picked = c.slot.id"
      @alike="(places) => sameFor(c, places)"
      @decide="(o, r, until, metal) => decide(c, o, r, until, metal)"
    />
  </section>
</template>

<style scoped>
.unlooked {
  margin: var(--space-2) 0;
}
.unlooked summary {
  cursor: pointer;
  color: var(--blue);
  min-height: 28px;
}
.group {
  margin-top: var(--space-4);
}
.empty {
  margin: var(--space-4) 0;
}
</style>
