<script setup lang="ts">
import type { SessionState } from '@dauer/core/stages';
import { computed } from 'vue';

/** The reservoir with its level as a band, its full, quarter and safe marks, and the strokes that are left. */
const props = defineProps<{ state: SessionState }>();
const [TOP, BOTTOM, WIDTH] = [18, 280, 150];
const at = (ml: number): number =>
  BOTTOM - (Math.min(Math.max(ml, 0), props.state.session.fullMl) / props.state.session.fullMl) * (BOTTOM - TOP);
const marks = computed(() => {
  const { fullMl, safeMl } = props.state.session;
  return [
    { name: `Full ${Math.round(fullMl)} mL`, y: at(fullMl), line: 'thin' },
    { name: `Quarter ${Math.round(props.state.quarterMl)}`, y: at(props.state.quarterMl), line: 'dashed' },
    { name: `Safe mark ${Math.round(safeMl)}`, y: at(safeMl), line: 'thick' },
  ];
});
const low = computed(() => at(props.state.level.low));
const high = computed(() => at(props.state.level.high));
/** What is written beside the vessel, from the top down, none over another. */
const beside = computed(() => {
  const all = [...marks.value.map((m) => ({ key: m.name, y: m.y, height: 17 })), { key: 'level', y: low.value, height: 36 }].sort(
    (a, b) => a.y - b.y || (a.key === 'level' ? 1 : -1),
  );
  let free = 0;
  const placed = all.map((t) => {
    const top = Math.max(free, t.y - 10);
    free = top + t.height;
    return { ...t, top };
  });
  // What would stand under the vessel is moved up together.
  const under = Math.max(0, free - 300);
  return new Map(placed.map((t) => [t.key, t.top - under]));
});
const wordsAt = computed(() => (beside.value.get('level') ?? 0) + 14);
const label = computed(() => {
  const { level, left } = props.state;
  return `Reservoir: ${Math.round(level.low)} to ${Math.round(level.high)} mL, ${left} strokes left before it is filled`;
});
</script>

<template>
  <svg class="vessel" viewBox="0 0 320 300" role="img" :aria-label="label">
    <path :d="`M8 8V${BOTTOM - 14}Q8 ${BOTTOM} 22 ${BOTTOM}H${WIDTH - 14}Q${WIDTH} ${BOTTOM} ${WIDTH} ${BOTTOM - 14}V8Z`" class="wall" />
    <path
      :d="`M9 ${low}V${BOTTOM - 14}Q9 ${BOTTOM - 1} 22 ${BOTTOM - 1}H${WIDTH - 14}Q${WIDTH - 1} ${BOTTOM - 1} ${WIDTH - 1} ${BOTTOM - 14}V${low}Z`"
      class="fluid"
    />
    <rect x="9" :y="high" :width="WIDTH - 10" :height="Math.max(0, low - high)" class="band" />
    <path :d="`M8 ${low}H${WIDTH + 2}`" class="level" />
    <path :d="`M${WIDTH + 4} ${low}l10-7v14z`" class="cursor" />
    <g v-for="m in marks" :key="m.name">
      <path :d="`M8 ${m.y}H${WIDTH + 14}`" :class="m.line" />
      <text :x="WIDTH + 20" :y="(beside.get(m.name) ?? 0) + 14" class="words">{{ m.name }}</text>
    </g>
    <text :x="WIDTH + 20" :y="wordsAt" class="strong" :class="{ warn: state.stops }">
      {{ state.stops ? 'Fill it now' : `${state.left} ${state.left === 1 ? 'stroke' : 'strokes'}, then fill` }}
    </text>
    <text :x="WIDTH + 20" :y="wordsAt + 17" class="second">{{ state.warns ? 'under a quarter' : 'by the lower edge' }}</text>
    <text :x="WIDTH / 2" :y="Math.min(low + 34, BOTTOM - 34)" text-anchor="middle" class="figure">{{ Math.round(state.level.low) }}</text>
    <text :x="WIDTH / 2" :y="Math.min(low + 54, BOTTOM - 14)" text-anchor="middle" class="second">mL at least</text>
  </svg>
</template>

<style scoped>
.vessel {
  display: block;
  width: 100%;
  max-width: 340px;
}
.wall {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 2;
}
.fluid {
  fill: var(--copper-tint);
}
.band {
  fill: var(--copper-tint);
  opacity: 0.5;
}
.level {
  stroke: var(--copper);
  stroke-width: 3;
}
.cursor {
  fill: var(--copper);
}
.thin {
  stroke: var(--ink);
  stroke-width: 1;
}
.dashed {
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 4 3;
}
.thick {
  stroke: var(--ink);
  stroke-width: 4;
}
.words,
.second {
  font: 400 var(--type-second) var(--text-font);
  fill: var(--ink2);
}
.words {
  fill: var(--ink);
}
.strong {
  font: 600 var(--type-body) var(--plate-font);
  fill: var(--ink);
}
.warn {
  fill: var(--past);
}
.figure {
  paint-order: stroke;
  stroke: var(--copper-tint);
  stroke-width: 6px;
  font: 700 26px var(--figure-font);
  fill: var(--ink);
}
</style>
