<script setup lang="ts">
/** A share of a whole as a bar, ink on a plate: beside a figure, never instead of it. */
defineProps<{
  /** 0 to 1. */
  share: number;
}>();
</script>

<template>
  <svg class="sharebar" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
    <rect width="100" height="10" class="whole" />
    <rect :width="Math.min(1, Math.max(0, share)) * 100" height="10" class="part" />
  </svg>
</template>

<style scoped>
.sharebar {
  width: 90px;
  height: 10px;
}
.whole {
  fill: var(--plate);
  stroke: var(--slate);
}
.part {
  fill: var(--ink);
}
</style>
