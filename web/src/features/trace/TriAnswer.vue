<script setup lang="ts">
import type { Observation } from '@dauer/core/ledger';
import TriStateButton from './TriStateButton.vue';

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
    <TriStateButton
      v-for="[s, text] in STATES"
      :key="s"
      role="radio"
      :aria-checked="state === s"
      :way="s"
      :on="state === s"
      :writable="writable"
      @click="emit('answer', s)"
    >
      {{ text }}
    </TriStateButton>
  </div>
</template>

<style scoped>
.tri {
  display: flex;
}
</style>
