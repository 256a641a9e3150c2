<script setup lang="ts">
import type { Observation } from '@dauer/core/ledger';

/** One of the three ways of an answer, as a button: seen is filled, not seen underlined, not checked dashed. */
defineProps<{ way: Observation['state']; on: boolean; writable: boolean }>();
</script>

<template>
  <button type="button" class="way" :class="[way, { on }]" :disabled="!writable"><slot /></button>
</template>

<style scoped>
.way {
  min-height: var(--touch);
  padding: 3px var(--space-2) 0;
  border: 0;
  border-bottom: var(--line-chosen) solid transparent;
  background: none;
  color: var(--blue);
  font: 600 var(--type-body)/18px var(--plate-font);
  cursor: pointer;
  white-space: nowrap;
}
.on.seen,
.on.not_seen {
  color: var(--ink);
  border-bottom: var(--line-chosen) solid var(--blue);
}
.on.seen {
  background: var(--blue-tint);
}
.on.not_checked {
  border-bottom: var(--line-head) dashed var(--blue);
}
.way:disabled {
  cursor: default;
}
</style>
