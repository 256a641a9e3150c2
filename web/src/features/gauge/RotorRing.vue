<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import type { Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';

/** A rotor or drum as it is measured: positions round, figures where they were taken, the deviation as a closed line. */
const props = defineProps<{
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  now: number;
  decimals: number;
  /** Its thickness variation, in the middle; null where it is not known yet, and undefined where none is asked. */
  variation?: string | null | undefined;
  /** What is measured round it. */
  name: string;
  live: string | null;
}>();
const emit = defineEmits<{ go: [index: number] }>();
const R = 78;
const mean = computed(() => (props.taken.length > 0 ? props.taken.reduce((s, t) => s + t.value, 0) / props.taken.length : 0));
const lowest = computed(() => Math.min(...props.taken.map((t) => t.value)));
const polar = (deg: number, r: number): { x: number; y: number } => ({
  x: 176 + r * Math.sin((deg * Math.PI) / 180),
  y: 124 - r * Math.cos((deg * Math.PI) / 180),
});
const points = computed(() =>
  props.positions.map((p, i) => {
    const t = props.taken.find((x) => x.key === positionKey(p));
    const deg = p.angleDeg ?? 0;
    const dev = t ? Math.max(-14, Math.min(14, (t.value - mean.value) * 1350)) : 0;
    return {
      p,
      i,
      t,
      deg,
      tick: [polar(deg, R - 4), polar(deg, R + 4)] as const,
      out: polar(deg, R + 15),
      hat: polar(deg, props.variation === undefined ? 27 : 36.5),
      dot: polar(deg, 62 + dev),
      sin: Math.sin((deg * Math.PI) / 180),
    };
  }),
);
const line = computed(() => {
  const done = points.value.filter((q) => q.t);
  if (done.length < 2) return '';
  return `M${done.map((q) => `${q.dot.x.toFixed(1)} ${q.dot.y.toFixed(1)}`).join('L')}${done.length === points.value.length ? 'Z' : ''}`;
});
</script>

<template>
  <svg class="ring" viewBox="0 20 352 208" role="group" :aria-label="name">
    <circle cx="176" cy="124" :r="R" class="edge" />
    <circle cx="176" cy="124" r="62" class="mean" />
    <circle cx="176" cy="124" r="46" class="edge thin" />
    <circle v-if="variation !== undefined" cx="176" cy="124" r="27" class="edge thin" />
    <path :d="line" class="dev" />
    <g
      v-for="q in points"
      :key="q.i"
      class="pos"
      :class="{ now: q.i === now }"
      role="button"
      :aria-label="`${q.p.name}${q.t ? `, ${fixed(q.t.value, decimals)} mm` : ', not taken'}`"
      @click="emit('go', q.i)"
    >
      <circle :cx="q.out.x" :cy="q.out.y" r="18" fill="transparent" />
      <path :d="`M${q.tick[0].x} ${q.tick[0].y}L${q.tick[1].x} ${q.tick[1].y}`" stroke="var(--ink)" />
      <text class="no" :x="q.hat.x" :y="q.hat.y + 4.5" text-anchor="middle">{{ q.p.label }}</text>
      <circle v-if="q.t" :cx="q.dot.x" :cy="q.dot.y" r="3" :fill="q.i === now ? 'var(--blue)' : 'var(--ink)'" />
      <circle v-else-if="q.i === now" :cx="q.dot.x" :cy="q.dot.y" r="4.5" fill="var(--page)" stroke="var(--blue)" stroke-width="2" />
      <text
        v-if="q.t || (q.i === now && live)"
        class="read"
        :class="{ least: q.t && q.t.value === lowest }"
        :x="q.out.x"
        :y="q.out.y + 5"
        :text-anchor="Math.abs(q.sin) < 0.2 ? 'middle' : q.sin > 0 ? 'start' : 'end'"
      >
        {{ q.i === now && live ? live : q.t ? fixed(q.t.value, decimals) : '' }}
      </text>
    </g>
    <template v-if="variation !== undefined">
      <text x="176" y="120" class="dtv" text-anchor="middle">DTV</text>
      <text x="176" y="136" class="dtvf" text-anchor="middle">{{ variation ?? '–' }}</text>
    </template>
  </svg>
</template>

<style scoped>
.ring {
  display: block;
  width: 100%;
  max-width: 352px;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.thin {
  stroke-width: 1;
}
.mean {
  fill: none;
  stroke: var(--slate);
  stroke-dasharray: 3 3;
}
.dev {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.25;
}
.pos {
  cursor: pointer;
}
.no {
  font: 600 var(--type-second) var(--plate-font);
  fill: var(--ink2);
}
.now .no,
.now .read {
  fill: var(--blue);
  font-weight: 700;
}
.read {
  font: 400 var(--type-paragraph) var(--figure-font);
  fill: var(--ink);
  letter-spacing: -0.04em;
}
.least {
  font-weight: 700;
}
.dtv {
  font: 600 var(--type-least) var(--plate-font);
  fill: var(--ink2);
}
.dtvf {
  font: 700 var(--type-least) var(--figure-font);
  fill: var(--ink);
  letter-spacing: -0.04em;
}
</style>
