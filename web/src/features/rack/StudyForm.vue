<script setup lang="ts">
import type { GaugeVersion } from '@dauer/core/ledger';
import { repeatStudy } from '@dauer/core/metrology';
import { toResult } from '@dauer/core/quantity';
import { v7 } from 'uuid';
import { computed, ref } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';

/** The same place read several times, by one person or two: the gauge's true figure over a short span. */
const props = defineProps<{ gauge: GaugeVersion; unit: string; read: (text: string) => number }>();
const emit = defineEmits<{ done: [] }>();
const { run, busy, problem } = useRequest();
const study = ref({ place: '', first: '', firstText: '', second: '', secondText: '' });
const figures = (text: string): number[] =>
  text
    .split(/[\s;]+/)
    .filter((t) => t !== '')
    .map(props.read);
const tried = computed(() =>
  toResult(() => {
    const { first, firstText, second, secondText } = study.value;
    const readings = [
      ...figures(firstText).map((value) => ({ person: first.trim() || 'one', value })),
      ...figures(secondText).map((value) => ({ person: second.trim() || 'two', value })),
    ];
    return { readings, result: repeatStudy(readings, props.gauge.resolution) };
  }),
);
async function enterStudy(): Promise<void> {
  const now = tried.value;
  problem.value = '';
  if (!now.ok) return;
  await run(async () => {
    const { place } = study.value;
    const { readings } = now.value;
    await call('studyGauge', { params: { id: props.gauge.gaugeId }, body: { id: v7(), versionId: v7(), place, readings } });
    emit('done');
  });
}
</script>

<template>
  <form class="plate form" @submit.prevent="enterStudy">
    <h2 class="line">The same place, several times</h2>
    <p class="second">
      One person or two, five readings each or more, taken off and put on again every time. Figures with a space between them.
    </p>
    <div class="fields two">
      <v-text-field v-model="study.place" label="What was read" />
      <span />
      <v-text-field v-model="study.first" label="First person" />
      <v-text-field v-model="study.firstText" :label="`Readings (${unit})`" placeholder="12.081 12.080 12.082 …" />
      <v-text-field v-model="study.second" label="Second person" />
      <v-text-field v-model="study.secondText" :label="`Readings (${unit})`" />
    </div>
    <p v-if="tried.ok">
      ±
      <b class="fig">{{ Number(tried.value.result.shortSpan.toPrecision(2)) }} {{ unit }}</b>
      over a short span: {{ Number(tried.value.result.within.toPrecision(2)) }} within a person{{
        tried.value.result.people > 1 ? `, ${Number(tried.value.result.between.toPrecision(2))} between the two` : ''
      }}. It counts from the next reading on.
    </p>
    <p v-else-if="study.firstText" class="second">{{ tried.refusal.message }}</p>
    <div class="acts">
      <v-btn class="act main" type="submit" :disabled="busy || !tried.ok || study.place.trim() === ''">Enter the study</v-btn>
    </div>
  </form>
</template>

<style scoped>
.form {
  padding: var(--space-3) var(--space-4) var(--space-4);
  margin-top: var(--space-4);
}
.form .fields {
  margin-top: var(--space-4);
}
.acts {
  margin-top: var(--space-3);
}
.two {
  grid-template-columns: minmax(160px, 240px) 1fr;
}
</style>
