<script setup lang="ts">
import { CLUTCH_CIRCUIT, isStandalone } from '@dauer/core/layout';
import { VERDICT_WORD } from '@dauer/core/wording';
import type { YardJob } from '@dauer/contract';
import { computed } from 'vue';
import MiniMap from '../../fittings/map/MiniMap.vue';
import StageProgressMini from '../../fittings/StageProgressMini.vue';
import MoveMark from '../../fittings/MoveMark.vue';
import TagPlate from '../../fittings/TagPlate.vue';
import VerdictMark from '../../fittings/VerdictMark.vue';
import ClockFace from '../../fittings/ClockFace.vue';
import { dayText, hoursText } from '../../fittings/dates.ts';

const props = defineProps<{ n: number; job: YardJob }>();
const shown = computed(() =>
  (['past', 'cant_tell', 'no_limit', 'watch'] as const).flatMap((v) =>
    (props.job.counts[v] ?? 0) > 0 ? [{ v, n: props.job.counts[v] ?? 0 }] : [],
  ),
);
const COUNT: Readonly<Record<number, string>> = { 1: 'one', 2: 'two', 3: 'three' };
const alone = computed(() => isStandalone(props.job.layout));
const about = computed(() => {
  if (alone.value) {
    const units = props.job.layout.slots.filter((s) => s.parentId === null).length;
    return `${units} ${units === 1 ? 'unit' : 'units'}, without a vehicle`;
  }
  const kinds = props.job.layout.slots.map((s) => s.kind);
  const discs = kinds.filter((k) => k === 'rotor').length;
  const drums = kinds.filter((k) => k === 'drum').length;
  const bands = kinds.filter((k) => k === 'band_drum').length;
  const hydraulic = [...new Set(props.job.layout.slots.flatMap((s) => s.circuits))].filter((c) => c !== CLUTCH_CIRCUIT);
  return [
    discs ? `${discs} ${discs === 1 ? 'disc' : 'discs'}` : null,
    drums ? `${drums} ${drums === 1 ? 'drum' : 'drums'}` : null,
    bands ? `${bands} ${bands === 1 ? 'band' : 'bands'}` : null,
    hydraulic.length === 0
      ? 'on rods'
      : `${COUNT[hydraulic.length] ?? hydraulic.length} ${hydraulic.length === 1 ? 'circuit' : 'circuits'}`,
    kinds.includes('servo') ? 'servo' : null,
  ]
    .filter(Boolean)
    .join(', ');
});
const running = computed(() => props.job.running[0] ?? null);
const late = computed(() => props.job.promised !== null && props.job.promised < new Date().toISOString().slice(0, 10));
const target = computed(() => ({
  path: `/jobs/${props.job.jobId}/${props.job.next?.stage ?? props.job.stage ?? 'prove'}`,
  query: props.job.next?.slotId ? { pick: props.job.next.slotId } : {},
}));
</script>

<template>
  <section class="bay" :aria-label="`${job.vehicle.tag} ${job.vehicle.name}`">
    <span class="no" aria-hidden="true">{{ n }}</span>
    <MiniMap v-if="!alone" class="map" :layout="job.layout" :marks="job.marks" />
    <span v-else class="map" />
    <div class="plate-col">
      <div class="tagline">
        <TagPlate :tag="job.vehicle.tag" />
        <span v-for="t in shown" :key="t.v" class="told">
          <VerdictMark :verdict="t.v" :size="15" />
          <b class="plate-font">{{ t.n }} {{ VERDICT_WORD[t.v].toLowerCase() }}</b>
        </span>
      </div>
      <h2>
        <RouterLink class="go" :to="`/jobs/${job.jobId}`">{{ job.vehicle.name }}</RouterLink>
      </h2>
      <p class="second small">{{ job.vehicle.year }} {{ job.vehicle.body }}</p>
      <p class="second small">{{ about }}</p>
      <MoveMark class="moves" :level="job.move.level" :reasons="job.move.reasons" />
    </div>
    <div class="rule">
      <StageProgressMini
        :stage="job.stage"
        :share="job.share"
        :hatched="job.stages.filter((s) => s.hatched).map((s) => ({ stage: s.stage, why: s.hatched ?? '' }))"
      />
      <div class="waits" :class="{ clocked: running }">
        <ClockFace v-if="running" class="face" :minutes="running.minutes" :planned="running.attendedMinutes" :size="44" />
        <p v-if="running">
          <b class="plate-font">Running</b>
          {{ running.title }},
          <span class="fig">{{ hoursText(running.minutes) }}</span>
        </p>
        <p>
          <b class="plate-font">Waits for</b>
          {{ job.waits[0] ?? 'nothing' }}
        </p>
        <p v-if="job.forNow[0]" class="small">
          <b class="plate-font">For now</b>
          {{ job.forNow[0].what }}{{ job.forNow[0].until ? `, until ${dayText(job.forNow[0].until)}` : ''
          }}{{ job.forNow.length > 1 ? `, and ${job.forNow.length - 1} more` : '' }}
        </p>
        <p v-if="job.promised" class="small second">
          <span v-if="late" class="late">Late</span>
          promised for {{ dayText(job.promised) }}
        </p>
      </div>
    </div>
    <RouterLink v-if="job.next" class="next" :to="target">
      <span class="small">Can be done now{{ job.doable > 1 ? `, 1 of ${job.doable}` : '' }}</span>
      <b class="plate-font">{{ job.next.what }}</b>
    </RouterLink>
    <div v-else class="next none">
      <span class="small">Can be done now</span>
      <b class="plate-font">{{ job.blocks === 0 ? 'Hand it back' : 'Nothing' }}</b>
    </div>
  </section>
</template>

<style scoped>
.bay {
  display: grid;
  grid-template-columns: 28px 84px 232px minmax(0, 1fr) 192px;
  gap: var(--space-3);
  align-items: center;
  min-height: 128px;
  padding: var(--space-2) 0;
  border-bottom: var(--line-drawn) solid var(--ink);
}
.no {
  font: 600 44px/46px var(--plate-font);
  color: var(--ink2);
  align-self: start;
}
.tagline {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-2);
  align-items: center;
}
.told {
  display: inline-flex;
  gap: var(--space-1);
  align-items: center;
  font-size: var(--type-paragraph);
  white-space: nowrap;
  color: var(--ink);
}
h2 {
  font-size: 24px;
  line-height: 30px;
  margin-top: var(--space-1);
}
h2 > :deep(a) {
  color: var(--ink);
  text-decoration: none;
}
h2 > :deep(a:hover) {
  text-decoration: underline;
}
.moves {
  margin-top: var(--space-1);
}
.plate-col {
  align-self: start;
}
.rule {
  align-self: start;
  padding-top: var(--space-1);
}
.waits {
  margin-top: var(--space-1);
  font-size: var(--type-paragraph);
  line-height: var(--leading-tight);
}
.waits b {
  font-size: var(--type-body);
}
.clocked {
  position: relative;
  padding-left: 56px;
}
.face {
  position: absolute;
  left: 0;
  top: 2px;
}
.fig {
  word-spacing: -0.35em;
}
.next {
  display: grid;
  align-content: center;
  gap: 2px;
  min-height: 96px;
  padding: var(--space-2) 14px;
  background: var(--plate);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  text-decoration: none;
  color: var(--ink2);
}
.next b {
  font-size: var(--type-tab);
  line-height: 22px;
  color: var(--blue);
}
.next:not(.none):hover {
  background: var(--blue-tint);
}
.none {
  border: 0;
  background: none;
}
.none b {
  color: var(--ink2);
}
.late {
  background: var(--ink);
  color: var(--plate);
  font: 600 var(--type-second)/18px var(--plate-font);
  padding: 1px 6px;
  border-radius: var(--corner);
}
@media (max-width: 1180px) {
  .bay {
    grid-template-columns: 84px minmax(180px, 1fr) minmax(0, 1.4fr) 180px;
  }
  .no {
    display: none;
  }
}
@media (max-width: 860px) {
  .bay {
    grid-template-columns: 84px 1fr;
  }
  .rule,
  .next {
    grid-column: 1 / -1;
  }
  .next {
    min-height: 60px;
  }
}
</style>
