<script setup lang="ts">
import { type Phase, PHASE_WORD, type Surface } from '@dauer/core';
import ChoiceRow from '../../fittings/ChoiceRow.vue';

/** What a set of readings is of: as found or as fitted, on what surface. */
defineProps<{ surface: Surface | null; mayBeginAfresh: boolean }>();
const emit = defineEmits<{ afresh: [] }>();
const phase = defineModel<Phase>('phase', { required: true });
const next = defineModel<Surface>('next', { required: true });
const SURFACES: readonly { value: Surface; label: string }[] = [
  { value: 'clean', label: 'Clean' },
  { value: 'wiped', label: 'Wiped' },
  { value: 'dirty', label: 'Dirty' },
];
const PHASES = (['as_found', 'after_machining', 'as_fitted'] as const).map((value) => ({
  value,
  label: PHASE_WORD[value].charAt(0).toUpperCase() + PHASE_WORD[value].slice(1),
}));
</script>

<template>
  <div class="setup">
    <ChoiceRow v-model="phase" :options="PHASES" label="Phase" />
    <span v-if="surface" class="second">on a {{ surface }} surface</span>
    <ChoiceRow v-else v-model="next" :options="SURFACES" label="Surface" />
    <button v-if="surface && mayBeginAfresh" class="act slim" type="button" @click="emit('afresh')">Take all again</button>
  </div>
</template>

<style scoped>
.setup {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  align-items: center;
  margin: 6px 0 4px;
}
</style>
