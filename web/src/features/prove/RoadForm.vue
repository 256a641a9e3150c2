<script setup lang="ts">
import { observationFacts, type ProofItem, type ProofResult, RESULT_WORD, ROAD_FELT } from '@dauer/core/catalogue';
import type { Proof } from '@dauer/core/ledger';
import { readTold, toResult } from '@dauer/core/quantity';
import { proofAsks } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** The road test as a card: where, how far, and what was felt. Nothing felt is said, too. */
const props = defineProps<{ item: ProofItem; result: ProofResult; before: Proof | null }>();
const emit = defineEmits<{
  said: [road: { readonly note: string; readonly roadTyped: string; readonly roadUnit: 'km' | 'mi'; readonly felt: string[] }];
  close: [];
}>();
const job = useOpenJob();
const unit = job.state.records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km';
const where = ref(props.before?.note ?? '');
const far = ref('');
const felt = ref<string[] | null>(null);
const tried = ref(false);
const km = computed(() => toResult(() => readTold('road', far.value, unit).canonical));
const wrongFar = computed(() => (tried.value && far.value.trim() !== '' && !km.value.ok ? km.value.refusal.message : ''));
const refused = computed(() =>
  proofAsks(props.item, props.result, where.value, { km: km.value.ok ? km.value.value : null, felt: felt.value }),
);
function toggle(code: string): void {
  const now = felt.value ?? [];
  felt.value = now.includes(code) ? now.filter((c) => c !== code) : [...now, code];
}
function say(): void {
  tried.value = true;
  if (refused.value !== null || felt.value === null) return;
  emit('said', { note: where.value.trim(), roadTyped: far.value.trim(), roadUnit: unit, felt: felt.value });
}
</script>

<template>
  <form class="road" aria-label="Road test" @submit.prevent="say">
    <div class="fields">
      <v-text-field v-model="where" v-focus density="compact" label="Where" />
      <v-text-field v-model="far" density="compact" inputmode="decimal" :label="`How far, ${unit}`" :error-messages="wrongFar" />
    </div>
    <div class="felt" role="group" aria-label="What was felt">
      <span class="second small">Felt</span>
      <v-btn class="act slim" :aria-pressed="felt !== null && felt.length === 0" @click="felt = []">Nothing</v-btn>
      <v-btn v-for="code in ROAD_FELT" :key="code" class="act slim" :aria-pressed="felt?.includes(code) ?? false" @click="toggle(code)">
        {{ observationFacts(code)?.text }}
      </v-btn>
    </div>
    <p v-if="tried && refused && !wrongFar" class="problem small" role="alert">{{ refused }}</p>
    <div class="acts">
      <v-btn class="act main" type="submit">{{ RESULT_WORD[result] }}</v-btn>
      <v-btn class="act" @click="emit('close')">Not now</v-btn>
    </div>
  </form>
</template>

<style scoped>
.road {
  flex: 1 1 100%;
  padding-top: var(--space-4);
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
}
.fields > :first-child {
  flex: 2 1 240px;
}
.fields > :last-child {
  flex: 1 1 160px;
}
.felt,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
  padding: var(--space-2) 0;
}
</style>
