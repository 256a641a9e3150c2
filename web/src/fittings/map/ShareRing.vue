<script setup lang="ts">
import { computed } from 'vue';

/** A share as a ring that is so far round, its figure inside. */
const props = defineProps<{ of: number; text: string }>();
const R = 17;
const round = computed(() => 2 * Math.PI * R * Math.min(1, Math.max(0, props.of)));
</script>

<template>
  <g class="ring">
    <circle class="ground" :r="R + 3" />
    <circle v-if="of > 0" class="share" :r="R" :stroke-dasharray="`${round} 200`" transform="rotate(-90)" />
    <text y="5" text-anchor="middle">{{ text }}</text>
  </g>
</template>

<style scoped>
.ring {
  pointer-events: none;
}
.ground {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1;
}
.share {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
}
text {
  font: 700 var(--type-least) var(--figure-font);
  fill: var(--ink);
}
</style>
