<script setup lang="ts">
import type { LotKind, PartEventKind } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import LotPick from '../../job/LotPick.vue';
import CoatFields from './CoatFields.vue';
import type { CoatSaid } from './coatSaid.ts';
import type { LotTaken } from '../../job/lotTaken.ts';

/** The words that a step is told with: which kit went in, with what it was coated, to whom it went, why it was scrapped. */
const props = defineProps<{ kind: PartEventKind }>();
const emit = defineEmits<{ tell: [words: string, lot: LotTaken | null, coat: CoatSaid | null]; close: [] }>();
/** Of a coat: what the finish is; null while it cannot be read. */
const coat = ref<CoatSaid | null>(null);
const words = ref('');
const ASKS: Readonly<Partial<Record<PartEventKind, { readonly label: string; readonly done: string; readonly none: string | null }>>> = {
  resealed: { label: 'Kit or lot that went in', done: 'Resealed', none: 'None known' },
  coated: { label: 'What it was coated with, and its lot', done: 'Coated', none: 'Not known' },
  sent: { label: 'To whom, for what, back when', done: 'Sent out', none: null },
  scrapped: { label: 'Why it is scrapped', done: 'Scrapped', none: null },
};
const KINDS: Readonly<Partial<Record<PartEventKind, readonly LotKind[]>>> = {
  resealed: ['rubber'],
  coated: ['coating'],
  relined: ['lining', 'adhesive'],
};
const lot = ref<LotTaken | null>(null);
/** What is said of it: what was typed, else the lot by its label. */
const said = computed(() => words.value.trim() || (lot.value ? [lot.value.label, lot.value.name].join(' ') : ''));
const ask = computed(() => ASKS[props.kind] ?? { label: 'What was done', done: 'Done', none: null });
</script>

<template>
  <form class="words" @submit.prevent="emit('tell', said, lot, coat)">
    <v-text-field v-model="words" v-focus density="compact" :label="ask.label" />
    <LotPick v-if="KINDS[kind]" v-model="lot" :kinds="KINDS[kind] ?? []" />
    <CoatFields v-if="kind === 'coated'" v-model="coat" />
    <v-btn class="act main" type="submit" :disabled="said.length < 2 || (lot !== null && !lot.ok) || (kind === 'coated' && coat === null)">
      {{ ask.done }}
    </v-btn>
    <v-btn v-if="ask.none" class="act" @click="emit('tell', '', null, coat)">{{ ask.none }}</v-btn>
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
  margin-top: var(--space-2);
}
.words > :deep(.v-input) {
  flex: 1 1 240px;
}
</style>
