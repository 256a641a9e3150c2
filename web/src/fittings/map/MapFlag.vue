<script setup lang="ts">
import { computed } from 'vue';

/** A small ink plate on the map: what is off, away, blocked or fitted for now. */
const props = withDefaults(defineProps<{ text: string; anchor?: 'start' | 'middle' | 'end' }>(), { anchor: 'middle' });
const width = computed(() => props.text.length * 6.4 + 12);
const left = computed(() => ({ start: 0, middle: -width.value / 2, end: -width.value })[props.anchor]);
</script>

<template>
  <g class="flag">
    <rect :x="left" y="-14" :width="width" height="19" rx="2" />
    <text :x="left + width / 2" y="0" text-anchor="middle">{{ text }}</text>
  </g>
</template>

<style scoped>
.flag {
  pointer-events: none;
}
rect {
  fill: var(--ink);
}
text {
  font: 600 var(--type-second) var(--plate-font);
  fill: var(--plate);
}
</style>
