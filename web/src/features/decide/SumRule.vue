<script setup lang="ts">
import { minorDigits } from '@dauer/core/quantity';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useId } from 'vue';
import { plainSum } from '../../fittings/money.ts';
import { type SumMark, sumScale } from './sumScale.ts';

/** Money on the same steel rule as wear: nothing at the left, the authorised sum as its limit, each way of doing the job a cursor. */
const props = defineProps<{ marks: readonly SumMark[]; authorised: number | null; taken: number; currency: string | null }>();
const box = ref<HTMLElement | null>(null);
const { width: measured } = useElementSize(box);
const width = computed(() => Math.max(260, Math.round(measured.value || 720)));
const scale = computed(() => sumScale(props.marks, props.authorised, width.value, 10 ** minorDigits(props.currency)));
const hatch = useId();
const LINE = 36;
const top = computed(() => scale.value.levels * LINE + 12);
const limit = computed(() => (props.authorised === null ? null : scale.value.x(props.authorised)));
const over = (m: SumMark): boolean => props.authorised !== null && m.gross > props.authorised;
const label = computed(() =>
  [
    ...props.marks.map((m) => `${m.name} ${plainSum(m.gross, props.currency)} ${m.says}`),
    props.authorised === null ? 'nothing authorised' : `authorised ${plainSum(props.authorised, props.currency)}`,
    ...(props.taken > 0 ? [`taken so far ${plainSum(props.taken, props.currency)}`] : []),
  ].join(', '),
);
</script>

<template>
  <div ref="box" class="sums">
    <svg :width="width" :height="top + 58" :viewBox="`0 0 ${width} ${top + 58}`" role="img" :aria-label="label">
      <defs>
        <pattern :id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" stroke="var(--ink2)" opacity="0.5" />
        </pattern>
      </defs>
      <rect x="0.5" :y="top" :width="width - 1" height="28" fill="var(--plate)" stroke="var(--slate)" />
      <rect v-if="limit !== null" :x="limit" :y="top + 1" :width="Math.max(0, width - limit - 1)" height="26.5" :fill="`url(#${hatch})`" />
      <path :d="`M0 ${top}H${width}`" stroke="var(--ink)" stroke-width="1.5" />
      <!-- What is taken and bought so far runs along the foot of the rule. -->
      <rect v-if="taken > 0" x="1" :y="top + 25" :width="Math.max(2, scale.x(taken) - 1)" height="3" fill="var(--ink)" />
      <path
        v-for="(t, i) in scale.ticks"
        :key="i"
        :d="`M${t.x} ${top}v${t.size === 'major' ? 12 : t.size === 'middle' ? 8 : 5}`"
        stroke="var(--ink)"
        :stroke-width="t.size === 'major' ? 1.1 : 0.8"
      />
      <g class="numeral">
        <text v-for="(t, i) in scale.ticks.filter((s) => s.minor !== null)" :key="`n${i}`" :x="t.x" :y="top + 23" text-anchor="middle">
          {{ plainSum(t.minor ?? 0, currency) }}
        </text>
      </g>
      <template v-if="limit !== null">
        <path :d="`M${limit} ${top - 8}V${top + 28}`" stroke="var(--ink)" stroke-width="3" />
        <text class="words" :x="Math.min(Math.max(limit, 60), width - 60)" :y="top + 48" text-anchor="middle">
          Authorised
          <tspan class="figure">{{ plainSum(authorised ?? 0, currency) }}</tspan>
        </text>
      </template>
      <text class="words" x="0" :y="top + 48">{{ limit === null ? 'Nothing authorised yet' : limit > 180 ? 'Nothing' : '' }}</text>
      <g v-for="m in scale.marks" :key="m.id" :class="{ over: over(m) }">
        <path v-if="m.level > 0" :d="`M${m.x} ${top - 12}V${top - m.level * LINE - 2}`" stroke="var(--slate)" stroke-width="0.8" />
        <path
          :d="`M${m.x} ${top}l-6-12h12z`"
          :fill="m.filled ? 'currentColor' : 'var(--page)'"
          stroke="currentColor"
          stroke-width="1.25"
          :stroke-dasharray="m.filled ? undefined : '2.5 1.8'"
        />
        <text class="words" :x="m.at" :y="top - m.level * LINE - 32" :text-anchor="m.anchor">
          <tspan class="name">{{ m.name }}</tspan>
          {{ m.says }}
        </text>
        <text class="figure" :class="{ strong: m.filled }" :x="m.at" :y="top - m.level * LINE - 16" :text-anchor="m.anchor">
          {{ plainSum(m.gross, currency) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.sums {
  padding-top: var(--space-2);
  min-width: 0;
}
svg {
  display: block;
  overflow: visible;
}
g {
  color: var(--ink);
}
.over {
  color: var(--past);
}
.numeral {
  font: 400 var(--type-least) var(--figure-font);
  fill: var(--ink2);
  paint-order: stroke;
  stroke: var(--plate);
  stroke-width: 4px;
}
.words {
  font: 400 var(--type-second) var(--text-font);
  fill: currentColor;
}
.name {
  font-weight: 600;
}
.figure {
  font: 400 var(--type-body) var(--figure-font);
  fill: currentColor;
}
.strong {
  font-weight: 700;
}
</style>
