<script setup lang="ts">
import type { Play } from '@dauer/core/readiness';
import type { Route } from './plan.ts';

/** Lines, rods and cables, and where a press or an opening that is played goes through them. */
defineProps<{ routes: readonly Route[]; play: Play | null }>();
</script>

<template>
  <g>
    <g aria-hidden="true">
      <g v-for="r in routes" :key="r.id">
        <path v-if="r.kind !== 'line'" class="rod" :d="r.d" />
        <template v-else-if="r.stroke === 2">
          <path class="line double" :d="r.d" />
          <path class="line gap" :d="r.d" />
        </template>
        <path v-else class="line" :class="{ dashdot: r.stroke === 3 }" :d="r.d" />
      </g>
    </g>
    <g v-if="play" aria-hidden="true">
      <path v-for="r in routes.filter((x) => play?.through.includes(x.id))" :key="`p${play.title}${r.id}`" class="through" :d="r.d" />
    </g>
  </g>
</template>

<style scoped src="./strokes.css"></style>

<style scoped>
/* Where force and fluid go: it runs three times, and stays as a trace. */
.through {
  fill: none;
  stroke: var(--blue);
  stroke-width: 3;
  stroke-dasharray: 3 9;
  stroke-linecap: round;
  animation: run 0.45s linear 3;
}
@keyframes run {
  from {
    stroke-dashoffset: 12;
  }
}
@media (prefers-reduced-motion: reduce) {
  .through {
    animation: none;
  }
}
</style>
