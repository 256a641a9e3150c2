<script setup lang="ts">
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';

/** What was taken so far on a short scale of its own, and where the live figure lies among it. */
const props = defineProps<{
  /** Figures taken, in the unit shown. */
  values: readonly number[];
  /** The figure being typed or standing here, in the unit shown. */
  live: number | null;
  decimals: number;
}>();
const W = 150;
const all = computed(() => [...props.values, ...(props.live === null ? [] : [props.live])]);
const unit = computed(() => 10 ** -props.decimals);
const span = computed(() => {
  const low = Math.min(...all.value);
  const high = Math.max(...all.value);
  const least = unit.value * 20;
  const half = Math.max(high - low, least) * 0.62;
  return { from: (low + high) / 2 - half, to: (low + high) / 2 + half };
});
const x = (v: number): number => 4 + ((v - span.value.from) / (span.value.to - span.value.from)) * (W - 8);
/** A step of 1, 2 or 5 that sets about three numerals. */
const step = computed(() => {
  const rough = (span.value.to - span.value.from) / 3;
  const power = 10 ** Math.floor(Math.log10(rough));
  return ([1, 2, 5, 10].find((m) => m * power >= rough * 0.85) ?? 10) * power;
});
const numerals = computed(() => {
  const out: { x: number; text: string }[] = [];
  const places = Math.max(0, Math.ceil(-Math.log10(step.value) - 1e-9));
  for (let v = Math.ceil(span.value.from / step.value) * step.value; v <= span.value.to; v += step.value)
    if (x(v) > 18 && x(v) < W - 18) out.push({ x: x(v), text: fixed(v, places) });
  return out;
});
const ticks = computed(() => {
  const fine = step.value / 10;
  const out: number[] = [];
  for (let v = Math.ceil(span.value.from / fine) * fine; v <= span.value.to; v += fine) out.push(x(v));
  return out;
});
</script>

<template>
  <svg v-if="all.length > 0" class="scale" :width="W" height="56" :viewBox="`0 0 ${W} 56`" aria-hidden="true">
    <path :d="`M0 30H${W}`" stroke="var(--bar-text)" stroke-width="1.5" />
    <path v-for="(t, i) in ticks" :key="`m${i}`" :d="`M${t} 30v4`" stroke="var(--bar-edge)" stroke-width="0.8" />
    <g v-for="(n, i) in numerals" :key="`n${i}`">
      <path :d="`M${n.x} 30v7`" stroke="var(--bar-text)" />
      <text :x="n.x" y="52" text-anchor="middle">{{ n.text }}</text>
    </g>
    <path v-for="(v, i) in values" :key="`v${i}`" :d="`M${x(v)} 30v-12`" stroke="var(--bar-text)" stroke-width="1.25" />
    <path
      v-if="live !== null"
      :d="`M${x(live)} 30V12M${x(live)} 19l-7-15h14z`"
      stroke="var(--bar-live)"
      stroke-width="2"
      fill="var(--bar-live)"
    />
  </svg>
</template>

<style scoped>
.scale {
  display: block;
}
text {
  font: 400 var(--type-least) var(--figure-font);
  letter-spacing: -0.04em;
  fill: var(--bar-text2);
}
</style>
