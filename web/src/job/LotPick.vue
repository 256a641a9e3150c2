<script setup lang="ts">
import type { LotKind } from '@dauer/core/ledger';
import { isBarred, lotQuestion } from '@dauer/core/supply';
import { lotQuestionWords } from '@dauer/core/wording';
import { computed, watch } from 'vue';
import { dayHere } from '../fittings/dates.ts';
import { type LotTaken, slipOf } from './lotTaken.ts';
import { useOpenJob } from './openJob.ts';

/** Out of which lot something goes in: what its slip says, and what has to be answered of one that is old. */
const props = defineProps<{ kinds: readonly LotKind[]; label?: string }>();
const taken = defineModel<LotTaken | null>({ required: true });
const job = useOpenJob();
const lots = computed(() => job.records.lots.filter((l) => !l.closed && props.kinds.includes(l.kind)));
const picked = computed({
  get: () => taken.value?.lotId ?? null,
  set: (id: string | null) => {
    const lot = lots.value.find((l) => l.seriesId === id);
    taken.value = lot ? { lotId: lot.seriesId, label: lot.label, name: lot.name, batch: lot.batch, reason: '', ok: true } : null;
  },
});
const lot = computed(() => lots.value.find((l) => l.seriesId === picked.value) ?? null);
const question = computed(() => (lot.value ? lotQuestion(lot.value, dayHere()) : null));
const reason = computed({
  get: () => taken.value?.reason ?? '',
  set: (text: string) => {
    if (taken.value) taken.value = { ...taken.value, reason: text };
  },
});
watch([question, reason], () => {
  const now = taken.value;
  if (!now) return;
  const ok = question.value === null || (!isBarred(question.value) && reason.value.trim().length >= 3);
  if (now.ok !== ok) taken.value = { ...now, ok };
});
const items = computed(() => lots.value.map((l) => ({ value: l.seriesId, title: `${l.label}  ${l.name}` })));
</script>

<template>
  <div v-if="lots.length > 0" class="lot">
    <v-select v-model="picked" :items="items" :label="label ?? 'Out of the lot'" clearable density="compact" />
    <p v-if="lot && slipOf(lot)" class="small">
      <b class="plate-font">By its slip</b>
      {{ slipOf(lot) }}
    </p>
    <template v-if="question">
      <p class="small asks" role="alert">{{ lotQuestionWords(question) }}</p>
      <v-text-field v-if="!isBarred(question)" v-model="reason" label="Why all the same" density="compact" />
    </template>
  </div>
</template>

<style scoped>
.lot {
  flex: 1 1 240px;
}
.asks {
  font-weight: 700;
}
</style>
