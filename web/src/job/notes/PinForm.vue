<script setup lang="ts">
import type { Slot } from '@dauer/core/layout';
import type { NoteArrow, Pin } from '@dauer/core/ledger';
import { typeOf, whyNotPinned } from '@dauer/core/readiness';
import { NOTE, PIN_NAME } from '@dauer/core/wording';
import { computed, ref, watch } from 'vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import PictureChoice from '../PictureChoice.vue';
import { useOpenJob } from '../openJob.ts';
import PointedPicture from './PointedPicture.vue';

/** A note for whoever comes next: words, a picture with an arrow, and what it is pinned to. */
const props = defineProps<{ slotOf: Slot | null; step: { readonly cardId: string; readonly stepId: string } | null }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const words = ref('');
const hash = ref<string | null>(null);
const arrow = ref<NoteArrow | null>(null);
watch(hash, () => (arrow.value = null));
const type = computed(() => typeOf(job.records.vehicle));
const pins = computed(() => {
  const can: Pin[] = [...(props.step ? (['step'] as const) : []), ...(props.slotOf ? (['unit'] as const) : [])];
  if (!props.slotOf && type.value !== '') can.push('type');
  return [...can, 'vehicle' as const];
});
const pin = ref<Pin>(pins.value[0] ?? 'vehicle');
const body = computed(() => ({
  ...{ pin: pin.value, slotId: props.slotOf?.id ?? null, words: words.value.trim(), hash: hash.value, arrow: arrow.value },
  type: pin.value === 'type' ? type.value : '',
  ...(pin.value === 'unit' || pin.value === 'step'
    ? { kind: props.slotOf?.kind ?? null, style: pin.value === 'unit' ? (props.slotOf?.style ?? null) : null }
    : { kind: null, style: null }),
  ...(pin.value === 'step' && props.step ? props.step : { cardId: null, stepId: null }),
}));
const refused = computed(() => (words.value.trim() === '' ? '' : (whyNotPinned(job.history, body.value) ?? '')));
function keep(): void {
  if (words.value.trim() === '' || refused.value) return;
  job.add('shopNotes', body.value);
  emit('close');
}
</script>

<template>
  <form class="form" :aria-label="NOTE.pin" @submit.prevent="keep">
    <v-textarea v-model="words" v-focus :label="NOTE.words" rows="2" auto-grow maxlength="600" />
    <ChoiceRow v-model="pin" :label="NOTE.to" :options="pins.map((value) => ({ value, label: PIN_NAME[value] }))" />
    <PictureChoice v-model="hash" :slot-id="slotOf?.id ?? null" />
    <template v-if="hash">
      <p class="second small">{{ NOTE.arrow }}</p>
      <PointedPicture :hash="hash" :arrow="arrow" takes :label="NOTE.arrow" @point="(to) => (arrow = to)" />
    </template>
    <p v-if="refused" class="problem small" role="alert">{{ refused }}</p>
    <div class="acts">
      <v-btn class="act slim" type="submit" :disabled="words.trim() === '' || refused !== ''">{{ NOTE.keep }}</v-btn>
      <v-btn class="act slim" @click="emit('close')">{{ NOTE.not }}</v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--space-2);
  justify-items: start;
}
.form > :deep(.v-input) {
  width: 100%;
}
.acts {
  gap: var(--space-2);
}
</style>
