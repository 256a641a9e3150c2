<script setup lang="ts">
import { PHASE_WORD } from '@dauer/core/wording';
import { countsFor, type MeasurementId, MEASUREMENTS } from '@dauer/core/catalogue';
import type { Phase, Surface } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import type { TakingOrder } from './takingOrder.ts';
import type { Capture } from './useCapture.ts';
import { useSpeech } from '../../app/speech.ts';

/** What a set of readings is of, and how it is taken: phase, surface, positions, order, repeats. */
const props = defineProps<{ measurement: MeasurementId; capture: Capture; writable: boolean }>();
const emit = defineEmits<{ afresh: [] }>();
const phase = defineModel<Phase>('phase', { required: true });
const SURFACES: readonly { value: Surface; label: string }[] = [
  { value: 'clean', label: 'Clean' },
  { value: 'wiped', label: 'Wiped' },
  { value: 'dirty', label: 'Dirty' },
];
const WARMTH = [
  { value: 'cold', label: 'Cold' },
  { value: 'warm', label: 'Warm' },
] as const;
const PHASES = (['as_found', 'after_machining', 'as_fitted'] as const).map((value) => ({
  value,
  label: PHASE_WORD[value].charAt(0).toUpperCase() + PHASE_WORD[value].slice(1),
}));
const ORDERS: readonly { value: TakingOrder; label: string }[] = [
  { value: 'round', label: 'One after the other' },
  { value: 'across', label: 'Each, then across' },
];
const REPEATS = [
  { value: 'replace', label: 'The newest counts' },
  { value: 'average', label: 'Their mean counts' },
] as const;
const { surface, cold, asksState, averages, count, more, order, set } = props.capture;
const speech = useSpeech();
const opened = ref(false);
const facts = computed(() => MEASUREMENTS[props.measurement]);
const round = computed(() => (facts.value.pattern.form === 'round' ? facts.value.pattern : null));
const counts = computed(() => countsFor(props.measurement).map((n) => ({ value: String(n), label: String(n) })));
const countText = computed({ get: () => String(count.value), set: (v: string) => (count.value = Number(v)) });
const coldText = computed({
  get: () => (cold.value === null ? null : cold.value ? 'cold' : 'warm'),
  set: (v: 'cold' | 'warm' | null) => (cold.value = v === null ? null : v === 'cold'),
});
const repeatText = computed({
  get: () => (averages.value ? 'average' : 'replace'),
  set: (v: 'average' | 'replace') => (averages.value = v === 'average'),
});
/** What is not as usual, in words, so that it is seen with the panel folded. */
const unusual = computed(() => {
  const s = set.value;
  const said = [
    ...(s ? [`on a ${s.surface} surface`] : []),
    ...((s ? s.cold : cold.value !== false) ? [] : ['taken warm']),
    ...((s ? s.averages : averages.value) ? ['repeats averaged'] : []),
    ...(s && s.turn > 0 ? [`turned on by ${s.turn} of ${s.studs ?? '?'} studs`] : []),
    ...(s?.blind ? ['second measure'] : []),
  ];
  return said.join(', ');
});
</script>

<template>
  <div class="setup">
    <ChoiceRow v-model="phase" :options="PHASES" label="Phase" />
    <template v-if="!set && asksState">
      <ChoiceRow v-model="surface" :options="SURFACES" label="Surface" />
      <ChoiceRow v-model="coldText" :options="WARMTH" label="Temperature of the part" />
    </template>
    <span class="second">{{ unusual }}</span>
    <v-btn v-if="set && writable" class="act slim" @click="emit('afresh')">Take all again</v-btn>
    <button class="link" type="button" :aria-expanded="opened" @click="opened = !opened">How it is taken</button>
    <div v-if="opened" class="more">
      <label v-if="round && !set" class="one">
        <span>Positions round</span>
        <ChoiceRow v-model="countText" :options="counts" label="Positions round" />
      </label>
      <label v-if="round && round.more.length > 0" class="one">
        <span>{{ round.more[0]?.name }} as well</span>
        <input v-model="more" type="checkbox" />
      </label>
      <label v-if="round" class="one">
        <span>Order</span>
        <ChoiceRow v-model="order" :options="ORDERS" label="Order" />
      </label>
      <label v-if="!set" class="one">
        <span>Repeats of a position</span>
        <ChoiceRow v-model="repeatText" :options="REPEATS" label="Repeats of a position" />
      </label>
      <label v-if="speech.can" class="one">
        <span>Say the figure aloud when it is taken</span>
        <input v-model="speech.on.value" type="checkbox" />
      </label>
    </div>
  </div>
</template>

<style scoped>
.setup {
  display: flex;
  gap: var(--space-3);
  flex-wrap: wrap;
  align-items: center;
  margin: 6px 0 var(--space-1);
}
.more {
  flex: 1 1 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-6);
  padding: var(--space-2) 0 var(--space-3);
  border-bottom: var(--line-hair) solid var(--hair);
}
.one {
  display: flex;
  align-items: center;
  gap: var(--space-3);
  min-height: var(--touch);
  font-size: var(--type-paragraph);
}
.one input {
  width: 24px;
  height: 24px;
  accent-color: var(--blue);
}
</style>
