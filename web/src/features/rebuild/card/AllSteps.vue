<script setup lang="ts">
import type { StepState } from '@dauer/core/readiness';
import { STEP_KIND_NAME } from '@dauer/core/wording';

/** All steps of a card in their order, each as it stands; a press goes to it. */
defineProps<{ steps: readonly StepState[]; at: StepState }>();
const emit = defineEmits<{ pick: [stepId: string] }>();
function stands(s: StepState): string {
  if (s.status === 'open') return s.ready ? 'open' : 'waits';
  return s.status === 'done' ? STEP_KIND_NAME[s.step.kind] : 'not applicable';
}
</script>

<template>
  <ol class="all" aria-label="All steps of this card">
    <li v-for="(s, i) in steps" :key="s.step.id" :aria-current="s === at ? 'step' : undefined">
      <span class="fig number">{{ i + 1 }}</span>
      <button type="button" class="pick" @click="emit('pick', s.step.id)">{{ s.step.words }}</button>
      <span class="second small">{{ stands(s) }}</span>
    </li>
  </ol>
</template>

<style scoped>
.all {
  margin-top: var(--space-4);
}
.number {
  width: 28px;
  text-align: right;
}
.all .pick {
  flex: 1;
}
.all li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  min-height: var(--touch);
  border-bottom: var(--line-hair) solid var(--hair);
}
.all li[aria-current] {
  background: var(--blue-tint);
}
.pick {
  min-height: var(--touch);
  background: none;
  border: 0;
  color: var(--blue);
  font: 400 var(--type-body)/22px var(--text-font);
  text-align: left;
  cursor: pointer;
}
</style>
