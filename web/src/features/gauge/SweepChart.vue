<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import { type Runout, type Taken, warpAt, wobbleAt } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';

/** A runout sweep over one turn: readings, their wobble, and below the warp as bars. */
const props = defineProps<{
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  runout: Runout | null;
  limit: number | null;
  now: number;
  past: boolean;
}>();
const emit = defineEmits<{ go: [index: number] }>();
const W = 324;
const H = 122;
const X0 = 44;
const Y0 = 14;
const values = computed(() => props.taken.map((t) => t.value));
const low = computed(() => Math.min(0, ...values.value));
const top = computed(() => {
  const high = Math.max(low.value + (props.limit ?? 0.1), ...values.value) - low.value;
  return [0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.5, 0.75, 1, 1.5, 2, 3, 5, 10].find((s) => s >= high * 1.08) ?? high * 1.1;
});
const x = (deg: number): number => X0 + (deg / 360) * W;
const y = (v: number): number => Y0 + H - ((v - low.value) / top.value) * H;
const steps = computed(() => [0, 1, 2, 3].map((i) => low.value + (top.value * i) / 3));
const dots = computed(() =>
  props.positions.flatMap((p, i) => {
    const t = props.taken.find((r) => r.key === positionKey(p));
    return t
      ? [{ i, deg: p.angleDeg ?? 0, v: t.value, over: props.limit !== null && props.past && t.value - low.value > props.limit }]
      : [];
  }),
);
const whole = computed(() => dots.value.length === props.positions.length && dots.value.length > 0);
const line = computed(() => {
  const pts = dots.value.map((d) => `${x(d.deg).toFixed(1)} ${y(d.v).toFixed(1)}`);
  const first = dots.value[0];
  if (whole.value && first) pts.push(`${x(360)} ${y(first.v).toFixed(1)}`);
  return pts.length > 1 ? `M${pts.join('L')}` : '';
});
const wobble = computed(() => {
  const r = props.runout;
  return r ? `M${Array.from({ length: 73 }, (_, i) => `${x(i * 5).toFixed(1)} ${y(wobbleAt(r, i * 5)).toFixed(1)}`).join('L')}` : '';
});
const warpScale = computed(() => Math.min(800, 17 / Math.max(0.005, (props.runout?.warp ?? 0) / 2)));
const limitY = computed(() => (props.limit === null ? null : y(low.value + props.limit)));
const highest = computed(() => Math.max(...values.value));
const lowest = computed(() => Math.min(...values.value));
/** A dimension line with arrowheads where there is room for them. */
function dimension(at: number, top: number, bottom: number): string {
  const heads = bottom - top > 16 ? `m-3 -7l3 7 3-7M${at - 3} ${top + 7}l3-7 3 7` : '';
  return `M${at - 5} ${top}h10M${at - 5} ${bottom}h10M${at} ${top}V${bottom}${heads}`;
}
</script>

<template>
  <svg class="sweep" viewBox="0 0 496 224" role="group" aria-label="Runout over one turn">
    <g class="grid"><path v-for="d in [90, 180, 270]" :key="d" :d="`M${x(d)} ${Y0}V${Y0 + H + 56}`" /></g>
    <g v-for="s in steps" :key="s">
      <text class="axis" :x="X0 - 8" :y="y(s) + 4.5" text-anchor="end">{{ fixed(s, 2) }}</text>
      <path :d="`M${X0 - 5} ${y(s)}H${X0}`" stroke="var(--ink)" />
    </g>
    <path :d="`M${X0} ${Y0}V${Y0 + H}H${X0 + W}`" class="frame" />
    <path v-if="limitY !== null" :d="`M${X0} ${limitY}H${X0 + W}`" class="limit" />
    <text v-if="limitY !== null && limit !== null" class="axis word" :x="X0 + W - 4" :y="limitY - 5" text-anchor="end">
      Limit {{ fixed(limit, 2) }}
    </text>
    <path :d="wobble" class="wobble" />
    <path :d="line" class="line" />
    <rect
      v-for="(p, i) in positions"
      :key="`h${i}`"
      :x="x(p.angleDeg ?? 0) - 12"
      :y="Y0"
      width="24"
      :height="H"
      fill="transparent"
      class="hit"
      @click="emit('go', i)"
    />
    <path v-if="positions[now]" :d="`M${x(positions[now]?.angleDeg ?? 0)} ${Y0 + H}v-8m-5 8h10`" stroke="var(--blue)" stroke-width="2.5" />
    <template v-for="d in dots" :key="d.i">
      <path v-if="d.over" :d="`M${x(d.deg)} ${y(d.v) - 6}l6 6-6 6-6-6z`" fill="var(--past)" />
      <circle v-else :cx="x(d.deg)" :cy="y(d.v)" r="3.5" :fill="d.i === now ? 'var(--blue)' : 'var(--ink)'" />
    </template>
    <circle v-if="whole && dots[0]" :cx="x(360)" :cy="y(dots[0].v)" r="3.5" fill="var(--page)" stroke="var(--ink)" stroke-width="1.5" />
    <g v-if="runout">
      <g class="dim" :class="{ past }">
        <path :d="dimension(X0 + W + 14, y(highest), y(lowest))" />
        <text :x="X0 + W + 22" :y="(y(highest) + y(lowest)) / 2 - 4" class="dn">Total</text>
        <text :x="X0 + W + 22" :y="(y(highest) + y(lowest)) / 2 + 13" class="df">{{ fixed(runout.tir, 2) }}</text>
      </g>
      <g class="dim">
        <path :d="dimension(X0 + W + 68, y(runout.a0 + runout.wobble / 2), y(runout.a0 - runout.wobble / 2))" />
        <text :x="X0 + W + 76" :y="y(runout.a0) - 4" class="dn">Wobble</text>
        <text :x="X0 + W + 76" :y="y(runout.a0) + 13" class="df">{{ fixed(runout.wobble, 2) }}</text>
      </g>
      <path :d="`M${X0} ${Y0 + H + 34}H${X0 + W}`" stroke="var(--ink)" />
      <rect
        v-for="p in positions"
        :key="p.label"
        :x="x(p.angleDeg ?? 0) - 3"
        :y="Math.min(Y0 + H + 34, Y0 + H + 34 - warpAt(runout, p.angleDeg ?? 0) * warpScale)"
        width="6"
        :height="Math.max(0.5, Math.abs(warpAt(runout, p.angleDeg ?? 0) * warpScale))"
        fill="var(--ink2)"
      />
      <g class="dim">
        <path :d="dimension(X0 + W + 14, Y0 + H + 34 - (runout.warp / 2) * warpScale, Y0 + H + 34 + (runout.warp / 2) * warpScale)" />
        <text :x="X0 + W + 22" :y="Y0 + H + 30" class="dn">Warp</text>
        <text :x="X0 + W + 22" :y="Y0 + H + 47" class="df">{{ fixed(runout.warp, 2) }}</text>
      </g>
    </g>
    <text v-for="d in [0, 90, 180, 270, 360]" :key="d" class="axis" :x="x(d)" :y="Y0 + H + 74" text-anchor="middle">{{ d }}°</text>
    <g class="axis word key" transform="translate(250 10)">
      <path d="M-40-4h18" class="line" />
      <circle cx="-31" cy="-4" r="3" fill="var(--ink)" />
      <text x="-18">reading</text>
      <path d="M38-4h18" class="wobble" />
      <text x="60">wobble</text>
      <rect x="112" y="-10" width="6" height="10" fill="var(--ink2)" />
      <text x="122">warp</text>
    </g>
  </svg>
</template>

<style scoped>
.sweep {
  display: block;
  width: 100%;
  max-width: 560px;
  overflow: visible;
}
.grid {
  stroke: var(--hair);
}
.frame {
  fill: none;
  stroke: var(--ink);
}
.axis {
  font: 400 var(--type-least) var(--figure-font);
  fill: var(--ink2);
  letter-spacing: -0.04em;
}
.word {
  font: 400 var(--type-second) var(--text-font);
  letter-spacing: 0;
  fill: var(--ink);
}
.limit {
  stroke: var(--ink);
  stroke-width: 1.75;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.75;
}
.wobble {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}
.dim {
  fill: var(--ink2);
}
.dim path {
  stroke: currentColor;
  color: var(--ink2);
  stroke-width: 1.25;
  fill: none;
}
.dim.past {
  fill: var(--past);
}
.dim.past path {
  color: var(--past);
}
.dn {
  font: 600 var(--type-second) var(--plate-font);
}
.df {
  font: 700 var(--type-paragraph) var(--figure-font);
  letter-spacing: -0.04em;
}
.hit {
  cursor: pointer;
}
</style>
