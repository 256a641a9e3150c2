<script setup lang="ts">
/** How each circuit is drawn, and what is mechanical. */
defineProps<{ y: number; circuits: readonly number[]; mechanical: boolean }>();
</script>

<template>
  <g class="legend" :transform="`translate(24 ${y})`" aria-hidden="true">
    <template v-for="(c, i) in circuits" :key="c">
      <g :transform="`translate(${i * 108} 0)`">
        <template v-if="c === 2">
          <path class="line double" d="M0-4h30" />
          <path class="line gap" d="M0-4h30" />
        </template>
        <path v-else class="line" :class="{ dashdot: c === 9 || c === 3 }" d="M0-4h30" />
        <text x="38">{{ c === 9 ? 'Clutch' : `Circuit ${c}` }}</text>
      </g>
    </template>
    <g v-if="mechanical" :transform="`translate(${circuits.length * 108} 0)`">
      <path class="rod" d="M0-4h30" />
      <text x="38">{{ circuits.length === 0 ? 'Rod' : 'Cable, rod' }}</text>
    </g>
  </g>
</template>

<style scoped src="./strokes.css"></style>

<style scoped>
.legend text {
  font: 400 var(--type-second) var(--text-font);
  fill: var(--ink2);
}
</style>
