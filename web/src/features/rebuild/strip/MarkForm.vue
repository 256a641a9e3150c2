<script setup lang="ts">
import type { Slot } from '@dauer/core/layout';
import { FATES, type Fate } from '@dauer/core/ledger';
import { readTold } from '@dauer/core/quantity';
import { FATE_NAME, STRIP_FIELD } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import ChoiceRow from '../../../fittings/ChoiceRow.vue';
import { refusalOf } from '../../../fittings/refusal.ts';
import PictureChoice from '../../../job/PictureChoice.vue';

/** What a piece is that just came off: what, which way round, what becomes of it; of a spring its colour, wire and length. */
const props = defineProps<{ slotOf: Slot; number: number; tray: boolean }>();
const emit = defineEmits<{
  mark: [
    piece: {
      readonly what: string;
      readonly note: string;
      readonly fate: Fate;
      readonly colour: string;
      readonly wireMm: number | null;
      readonly freeMm: number | null;
      readonly hash: string | null;
    },
  ];
  close: [];
}>();
const [what, note, colour, wire, free] = [ref(''), ref(''), ref(''), ref(''), ref('')];
const fate = ref<Fate>(props.tray ? 'unknown' : 'back');
const spring = ref(false);
const hash = ref<string | null>(null);
type Figure = 'spring_wire' | 'spring_free';
const length = (of: Figure, text: string): number | null => (text.trim() === '' ? null : readTold(of, text, 'mm').canonical);
const wrong = (of: Figure, text: string): string => (text.trim() === '' ? '' : refusalOf(() => length(of, text)));
const wrongWire = computed(() => wrong('spring_wire', wire.value));
const wrongFree = computed(() => wrong('spring_free', free.value));
const able = computed(() => what.value.trim().length >= 2 && (!spring.value || (wrongWire.value === '' && wrongFree.value === '')));
function say(): void {
  if (!able.value) return;
  const of = spring.value
    ? { colour: colour.value.trim(), wireMm: length('spring_wire', wire.value), freeMm: length('spring_free', free.value) }
    : null;
  emit('mark', {
    ...{ what: what.value.trim(), note: note.value.trim(), fate: fate.value, hash: hash.value },
    ...(of ?? { colour: '', wireMm: null, freeMm: null }),
  });
}
</script>

<template>
  <form class="form" :aria-label="STRIP_FIELD.form(number)" @submit.prevent="say">
    <v-text-field v-model="what" v-focus :label="STRIP_FIELD.what(number)" maxlength="80" />
    <v-text-field v-model="note" :label="STRIP_FIELD.way" maxlength="300" />
    <ChoiceRow v-model="fate" :label="STRIP_FIELD.fate" :options="FATES.map((value) => ({ value, label: FATE_NAME[value] }))" />
    <v-checkbox v-model="spring" :label="STRIP_FIELD.spring" />
    <div v-if="spring" class="three">
      <v-text-field v-model="colour" :label="STRIP_FIELD.colour" maxlength="40" />
      <v-text-field v-model="wire" :label="STRIP_FIELD.wire" inputmode="decimal" :error-messages="wrongWire" />
      <v-text-field v-model="free" :label="STRIP_FIELD.free" inputmode="decimal" :error-messages="wrongFree" />
    </div>
    <PictureChoice v-model="hash" :slot-id="slotOf.id" />
    <div class="acts">
      <v-btn class="act main" type="submit" :disabled="!able">{{ STRIP_FIELD.mark }}</v-btn>
      <v-btn class="act" @click="emit('close')">{{ STRIP_FIELD.not }}</v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--space-3);
  align-content: start;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-2);
}
.acts {
  gap: var(--space-2);
}
@media (max-width: 720px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
