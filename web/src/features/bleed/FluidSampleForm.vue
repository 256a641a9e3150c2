<script setup lang="ts">
import { FLUID_CLASSES, type FluidClass } from '@dauer/core/catalogue';
import { placeName } from '@dauer/core/layout';
import { readTold } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { refusalOf } from '../../fittings/refusal.ts';
import TesterPick from '../../job/TesterPick.vue';
import { useTester } from '../../job/useTester.ts';
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
/** What a tester of the rack sends goes into its field, with its name: the pen and the refractometer water, the other where it boils. */
const tester = useTester(['fluid_tester', 'boil_tester'], (text, gauge) => {
  if (gauge.kind === 'boil_tester') boil.value = text;
  else water.value = text;
  how.value = gauge.name;
});
const shows = computed(() => {
  const { value: m } = tester.instrument.live;
  return m ? `${m.text} ${m.unit}` : '';
});
const KINDS = [{ title: 'Not told by it', value: 'unknown' }, ...FLUID_CLASSES.map((c) => ({ title: c.name, value: c.id }))];
const waterFault = computed(() => (water.value.trim() === '' ? '' : refusalOf(() => readTold('water', water.value, '1'))));
const boilFault = computed(() => (boil.value.trim() === '' ? '' : refusalOf(() => readTold('boiling', boil.value, 'degC'))));
const tells = computed(() => kind.value !== 'unknown' || water.value.trim() !== '' || boil.value.trim() !== '');
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
    waterPercent: water.value.trim() === '' ? null : readTold('water', water.value, '1').canonical,
    boilC: boil.value.trim() === '' ? null : readTold('boiling', boil.value, 'degC').canonical,
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
    <v-text-field v-model="how" label="Test or instrument" placeholder="drop in water" />
    <TesterPick class="whole" :tester="tester" label="Sent by a tester" start="Listen" listening="Listening" :shows="shows" />
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
.form > .whole {
  flex: 1 1 100%;
}
.form .act {
  flex: 0 0 auto;
  min-height: var(--strip);
}
</style>
