<script setup lang="ts">
import type { PartEventKind } from '@dauer/core/ledger';
import { computed, ref } from 'vue';

/** The words that a step is told with: which kit went in, with what it was coated, to whom it went, why it was scrapped. */
const props = defineProps<{ kind: PartEventKind }>();
const emit = defineEmits<{ tell: [words: string]; close: [] }>();
const words = ref('');
const ASKS: Readonly<Partial<Record<PartEventKind, { readonly label: string; readonly done: string; readonly none: string | null }>>> = {
  resealed: { label: 'Kit or lot that went in', done: 'Resealed', none: 'None known' },
  coated: { label: 'What it was coated with, and its lot', done: 'Coated', none: 'Not known' },
  sent: { label: 'To whom, for what, back when', done: 'Sent out', none: null },
  scrapped: { label: 'Why it is scrapped', done: 'Scrapped', none: null },
};
const ask = computed(() => ASKS[props.kind] ?? { label: 'What was done', done: 'Done', none: null });
</script>

<template>
  <form class="words" @submit.prevent="emit('tell', words.trim())">
    <v-text-field v-model="words" v-focus density="compact" :label="ask.label" />
    <v-btn class="act main" type="submit" :disabled="words.trim().length < 2">{{ ask.done }}</v-btn>
    <v-btn v-if="ask.none" class="act" @click="emit('tell', '')">{{ ask.none }}</v-btn>
    <v-btn class="act" @click="emit('close')">Not yet</v-btn>
  </form>
</template>

<style scoped>
.words {
  flex: 1 1 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: flex-start;
}
.words > :deep(.v-input) {
  flex: 1 1 240px;
}
</style>
