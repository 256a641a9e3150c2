<script setup lang="ts">
import type { Observation } from '@dauer/core';

/** Seen, not seen, not checked: three ways in one tap. */
defineProps<{ label: string; state: Observation['state']; writable: boolean }>();
const emit = defineEmits<{ answer: [state: Observation['state']] }>();
const STATES = [
  ['seen', 'Seen'],
  ['not_seen', 'Not seen'],
  ['not_checked', 'Not checked'],
] as const;
</script>

<template>
  <div class="tri" role="radiogroup" :aria-label="label">
    <button
      v-for="[s, text] in STATES"
      :key="s"
      type="button"
      role="radio"
      :aria-checked="state === s"
      :class="[s, { on: state === s }]"
      :disabled="!writable"
      @click="emit('answer', s)"
    >
      {{ text }}
    </button>
  </div>
</template>

<style scoped>
.tri {
  display: flex;
}
.tri button {
  min-height: 44px;
  padding: 3px 8px 0;
  border: 0;
  border-bottom: 3px solid transparent;
  background: none;
  color: var(--blue);
  font: 600 16px/18px var(--plate-font);
  cursor: pointer;
  white-space: nowrap;
}
.tri .on {
  background: var(--blue-tint);
  color: var(--ink);
  border-bottom: 3px solid var(--blue);
}
.tri .not_checked.on {
  background: none;
  border-bottom: 2px dashed var(--blue);
}
.tri button:disabled {
  cursor: default;
}
</style>
