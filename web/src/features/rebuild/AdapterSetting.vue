<script setup lang="ts">
import { adapterSetting } from '@dauer/core/metrology';
import { fixed, parseQuantity, readTold } from '@dauer/core/quantity';
import { adapterWords } from '@dauer/core/wording';
import { computed, ref, watch } from 'vue';
import { refusalOf } from '../../fittings/refusal.ts';

/** With an adapter between wrench and fastener: what the wrench is set to, so that the fastener gets its torque. */
const props = defineProps<{
  /** The torque at the fastener, as typed. */
  torque: string;
}>();
/** How it was set, in words that go with the record; empty where no adapter was used. */
const said = defineModel<string>({ required: true });
const open = ref(false);
const length = ref('300');
const offset = ref('35');
const angle = ref('0');
const mm = (text: string): number => parseQuantity(text, 'length', 'mm').canonical;
const degrees = (text: string): number => parseQuantity(text, 'angle', 'deg').canonical;
const wrong = {
  length: computed(() => refusalOf(() => mm(length.value))),
  offset: computed(() => refusalOf(() => mm(offset.value))),
  angle: computed(() => refusalOf(() => degrees(angle.value))),
};
const setting = (): number =>
  adapterSetting(readTold('torque', props.torque, 'Nm').canonical, {
    wrenchMm: mm(length.value),
    offsetMm: mm(offset.value),
    angleDeg: degrees(angle.value),
  }).settingNm;
const problem = computed(() => (props.torque.trim() === '' ? '' : refusalOf(setting)));
const shown = computed(() => (props.torque.trim() === '' || problem.value !== '' ? null : setting()));
watch([shown, open], () => {
  said.value =
    open.value && shown.value !== null
      ? adapterWords(fixed(mm(offset.value), 0), fixed(degrees(angle.value), 0), fixed(shown.value, 1))
      : '';
});
</script>

<template>
  <button v-if="!open" class="link small" type="button" @click="open = true">with an adapter</button>
  <div v-else class="adapter">
    <v-text-field
      v-model="length"
      density="compact"
      label="Wrench: drive to middle of grip, mm"
      inputmode="decimal"
      :error-messages="wrong.length.value"
    />
    <v-text-field
      v-model="offset"
      density="compact"
      label="Adapter: drive to fastener, mm"
      inputmode="decimal"
      :error-messages="wrong.offset.value"
    />
    <v-text-field
      v-model="angle"
      density="compact"
      label="Angle, °: 0 out, 90 across"
      inputmode="decimal"
      :error-messages="wrong.angle.value"
    />
    <p v-if="shown !== null" class="answer">
      Set the wrench to
      <b class="fig">{{ fixed(shown, 1) }} N·m</b>
    </p>
    <p v-else class="second small">{{ problem || 'Type what the fastener is to get.' }}</p>
    <button class="link small" type="button" @click="open = false">without one</button>
  </div>
</template>

<style scoped>
div.adapter {
  flex: 1 1 100%;
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-2) var(--space-3);
  align-items: start;
}
.answer b {
  font-size: var(--type-title);
  margin-left: var(--space-1);
}
@media (max-width: 720px) {
  div.adapter {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
