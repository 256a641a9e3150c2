<script setup lang="ts">
import type { SessionBleeder } from '@dauer/core/stages';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';

/** What stands between the reservoir and a bleeder as one tube in true volume, with the front of the new fluid in it. */
const props = defineProps<{ bleeder: SessionBleeder }>();
const box = ref<HTMLElement | null>(null);
const { width: measured } = useElementSize(box);
/** Drawn as wide as it stands, so that its words keep their size on a phone. */
const WIDTH = computed(() => measured.value || 520);
const parts = computed(() => {
  const total = Math.max(1, props.bleeder.standsMl);
  let x = 0;
  return props.bleeder.stretches.map((s, i) => {
    const width = (s.ml / total) * WIDTH.value;
    const from = x;
    x += width;
    return { key: i, from, width, name: s.name, ml: Math.round(s.ml) };
  });
});
const front = computed(() => Math.min(1, props.bleeder.freshMl / Math.max(1, props.bleeder.standsMl)) * WIDTH.value);
const missing = computed(() => Math.max(0, Math.round(props.bleeder.standsMl - props.bleeder.freshMl)));
const whole = computed(() => Math.max(0, Math.round(props.bleeder.exchangeMl - props.bleeder.freshMl)));
const says = computed(() =>
  missing.value > 0
    ? `${missing.value} mL more before new fluid can come out. Clear before that is old fluid.`
    : whole.value > 0
      ? 'New fluid is at the bleeder.'
      : 'What stood here is changed.',
);
</script>

<template>
  <div ref="box">
    <h3>What stands in the way, from the cylinder to here, mL</h3>
    <svg
      v-if="parts.length > 0"
      :viewBox="`0 0 ${WIDTH} 92`"
      role="img"
      :aria-label="`${Math.round(bleeder.freshMl)} of ${Math.round(bleeder.standsMl)} mL drawn. ${says}`"
    >
      <rect x="0.5" y="24" :width="WIDTH - 1" height="40" class="old" />
      <rect x="0.5" y="24" :width="front" height="40" class="new" />
      <g v-for="p in parts" :key="p.key">
        <path v-if="p.key > 0" :d="`M${p.from} 24V64`" class="edge" />
        <text v-if="p.width > 26" :x="p.from + p.width / 2" y="16" text-anchor="middle" class="figure">{{ p.ml }}</text>
        <text v-if="p.width > 64" :x="p.from + p.width / 2" y="82" text-anchor="middle" class="words">{{ p.name }}</text>
      </g>
      <path v-if="bleeder.freshMl > 0" :d="`M${front} 20V68`" class="front" />
    </svg>
    <p>
      {{ says }}
      <span v-if="bleeder.exchangeMl > 0" class="second">
        {{ whole > 0 ? `The change is whole at ${Math.round(bleeder.exchangeMl)} mL: ${whole} more.` : '' }}
      </span>
    </p>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
.old {
  fill: var(--plate);
  stroke: var(--ink);
}
.new {
  fill: var(--copper-tint);
}
.edge {
  stroke: var(--ink);
}
.front {
  stroke: var(--copper);
  stroke-width: 4;
}
.figure {
  font: 400 var(--type-second) var(--figure-font);
  fill: var(--ink2);
}
.words {
  font: 400 var(--type-least) var(--text-font);
  fill: var(--ink2);
}
</style>
