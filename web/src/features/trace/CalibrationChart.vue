<script setup lang="ts">
import type { Decile } from '@dauer/core/views';
import { computed } from 'vue';

/** What was said against what came true, by tenths: on the slanting line they agree. */
const props = defineProps<{ tenths: readonly Decile[] }>();
const SIZE = 260;
const LEFT = 48;
const TOP = 12;
const at = (p: number): number => p * SIZE;
const dots = computed(() =>
  props.tenths
    .filter((t) => t.times > 0)
    .map((t) => ({
      ...{ x: LEFT + at(t.said), y: TOP + SIZE - at(t.true / t.times), r: 4 + Math.min(10, Math.sqrt(t.times) * 1.5) },
      text: `said ${Math.round(t.said * 100)} %, ${t.true} of ${t.times} came true`,
    })),
);
const MARKS = [0, 0.25, 0.5, 0.75, 1] as const;
</script>

<template>
  <div class="chart">
    <svg :viewBox="`0 0 ${LEFT + SIZE + 20} ${TOP + SIZE + 48}`" role="img" aria-label="What was said against what came true">
      <rect :x="LEFT" :y="TOP" :width="SIZE" :height="SIZE" class="frame" />
      <line :x1="LEFT" :y1="TOP + SIZE" :x2="LEFT + SIZE" :y2="TOP" class="even" />
      <g v-for="m in MARKS" :key="m">
        <text :x="LEFT + at(m)" :y="TOP + SIZE + 18" text-anchor="middle">{{ m * 100 }}</text>
        <text :x="LEFT - 8" :y="TOP + SIZE - at(m) + 5" text-anchor="end">{{ m * 100 }}</text>
      </g>
      <text :x="LEFT + SIZE / 2" :y="TOP + SIZE + 40" text-anchor="middle">said, %</text>
      <text :x="12" :y="TOP + SIZE / 2" text-anchor="middle" :transform="`rotate(-90 12 ${TOP + SIZE / 2})`">came true, %</text>
      <circle v-for="d in dots" :key="d.text" :cx="d.x" :cy="d.y" :r="d.r" class="dot">
        <title>{{ d.text }}</title>
      </circle>
    </svg>
    <ul class="small">
      <li v-for="d in dots" :key="d.text">{{ d.text }}</li>
    </ul>
  </div>
</template>

<style scoped>
.chart {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  align-items: center;
}
svg {
  width: 330px;
  max-width: 100%;
}
.frame {
  fill: var(--plate);
  stroke: var(--slate);
}
.even {
  stroke: var(--slate);
  stroke-dasharray: 4 4;
}
.dot {
  fill: var(--ink);
}
text {
  font: 400 14px var(--figure-font);
  fill: var(--ink);
}
</style>
