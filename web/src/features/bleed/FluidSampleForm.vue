<script setup lang="ts">
import { FLUID_CLASSES, type FluidClass } from '@dauer/core/catalogue';
import { placeName } from '@dauer/core/layout';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** A sample: from where, what kind it is by a test, how much water, at what it boils. */
const job = useOpenJob();
const open = ref(false);
const places = computed(() =>
  job.state.records.layout.slots
    .filter((s) => s.kind === 'reservoir' || s.kind === 'bleeder')
    .map((s) => ({ title: placeName(s), value: s.id })),
);
const slotId = ref('');
const kind = ref<FluidClass | 'unknown'>('unknown');
const water = ref('');
const boil = ref('');
const how = ref('');
const KINDS = [{ title: 'Not told by it', value: 'unknown' }, ...FLUID_CLASSES.map((c) => ({ title: c.name, value: c.id }))];
const number = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')));
const within = (text: string, least: number, most: number): boolean => {
  const n = number(text);
  return n === null || (Number.isFinite(n) && n >= least && n <= most);
};
const waterFault = computed(() => (within(water.value, 0, 20) ? '' : 'A share of water, 0 to 20 %.'));
const boilFault = computed(() => (within(boil.value, 80, 400) ? '' : 'A boiling point, 80 to 400 °C.'));
const tells = computed(() => kind.value !== 'unknown' || number(water.value) !== null || number(boil.value) !== null);
const ready = computed(
  () => slotId.value !== '' && tells.value && how.value.trim().length > 2 && waterFault.value === '' && boilFault.value === '',
);
function start(): void {
  slotId.value = places.value[0]?.value ?? '';
  open.value = true;
}
function keep(): void {
  if (!ready.value) return;
  job.add('fluidSamples', {
    slotId: slotId.value,
    waterPercent: number(water.value),
    boilC: number(boil.value),
    fluidClass: kind.value === 'unknown' ? null : kind.value,
    how: how.value.trim(),
  });
  kind.value = 'unknown';
  for (const field of [water, boil, how]) field.value = '';
  open.value = false;
}
</script>

<template>
  <v-btn v-if="!open" class="act slim sample" @click="start">A sample, tested or measured</v-btn>
  <form v-else class="form" @submit.prevent="keep">
    <v-select v-model="slotId" label="Drawn at" :items="places" />
    <v-select v-model="kind" label="What kind it is" :items="KINDS" />
    <v-text-field v-model="water" label="Water, %" inputmode="decimal" :error-messages="waterFault" />
    <v-text-field v-model="boil" label="Boils at, °C" inputmode="decimal" :error-messages="boilFault" />
    <v-text-field v-model="how" label="By what test or instrument" placeholder="drop in water" />
    <v-btn class="act main" type="submit" :disabled="!ready">Enter it</v-btn>
    <v-btn class="act" @click="open = false">Not now</v-btn>
  </form>
</template>

<style scoped>
.sample {
  margin-top: var(--space-3);
}
.form {
  display: flex;
  gap: var(--space-3);
  flex-wrap: wrap;
  align-items: flex-start;
  margin-top: var(--space-3);
}
.form > * {
  flex: 1 1 160px;
}
.form .act {
  flex: 0 0 auto;
  min-height: var(--strip);
}
</style>
