<script setup lang="ts">
import { computed } from 'vue';

/** A small clock: the filled sector is the share of the time still left, from 12 o'clock back to the left. */
const props = withDefaults(defineProps<{ minutes: number; planned: number; size?: number }>(), { size: 32 });
const left = computed(() => Math.min(0.999, Math.max(0, 1 - props.minutes / Math.max(1, props.planned))));
const sector = computed(() => {
  if (left.value < 0.001) return '';
  const a = -left.value * 2 * Math.PI;
  const at = `${(16 + 13 * Math.sin(a)).toFixed(2)} ${(16 - 13 * Math.cos(a)).toFixed(2)}`;
  return `M16 16V3A13 13 0 ${left.value > 0.5 ? 1 : 0} 0 ${at}Z`;
});
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 32 32" aria-hidden="true">
    <circle cx="16" cy="16" r="14.5" fill="none" stroke="var(--ink)" stroke-width="1.25" />
    <path v-for="i in 12" :key="i" d="M16 2.5v3" stroke="var(--ink)" :transform="`rotate(${i * 30} 16 16)`" />
    <path :d="sector" fill="var(--ink)" />
  </svg>
</template>
