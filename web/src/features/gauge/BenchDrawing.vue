<script setup lang="ts">
import { type MeasurementId, MEASUREMENTS } from '@dauer/core/catalogue';
import type { Component, Judged } from '@dauer/core/judging';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { BENCHES } from './benches/benches.ts';
import { type Drawn, drawingOf } from './drawings.ts';
import type { Field } from './useBenchFigures.ts';

/** What is being measured, drawn as itself, with the figures where they were taken. */
const props = defineProps<{
  component: Component;
  measurement: MeasurementId;
  fieldOf: (id: MeasurementId) => Field;
  judged: readonly Judged[];
  now: number;
  live: string | null;
  clearance: Drawn['clearance'];
}>();
const emit = defineEmits<{ go: [id: MeasurementId, index: number] }>();
const job = useOpenJob();
const drawn = computed(() =>
  drawingOf(BENCHES[props.measurement], { ...props, measurement: MEASUREMENTS[props.measurement], history: job.history }),
);
</script>

<template>
  <div class="drawing">
    <component
      :is="drawn.view"
      v-bind="drawn.with"
      @go="(i: number) => emit('go', measurement, i)"
      @go-to="(id: MeasurementId, i: number) => emit('go', id, i)"
    />
  </div>
</template>
