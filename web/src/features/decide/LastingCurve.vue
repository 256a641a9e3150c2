<script setup lang="ts">
import type { Step } from '@dauer/core/estimate';
import { fixed } from '@dauer/core/quantity';
import { Chart, type ChartData, type ChartOptions, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import { computed } from 'vue';
import { Line } from 'vue-chartjs';
import { axis, PLAIN, useChartInks } from '../../app/charts.ts';

/** The share of a work that had not come back, by the years since its hand-back, with its band. */
const props = defineProps<{ steps: readonly Step[]; years: number }>();
Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);
const inks = useChartInks();
const YEAR = 365.25;
const line = (of: (s: Step) => number) => [
  { x: 0, y: 100 },
  ...props.steps.map((s) => ({ x: s.days / YEAR, y: of(s) * 100 })),
  { x: props.years, y: (props.steps.length > 0 ? of(props.steps[props.steps.length - 1] as Step) : 1) * 100 },
];
const data = computed<ChartData<'line'>>(() => {
  const plain = { stepped: 'before' as const, pointRadius: 0, borderColor: inks.value.slate };
  return {
    datasets: [
      { ...plain, data: line((s) => s.low), borderWidth: 1, borderDash: [4, 4], fill: false },
      { ...plain, data: line((s) => s.high), borderWidth: 1, borderDash: [4, 4], fill: '-1', backgroundColor: `${inks.value.slate}22` },
      { ...plain, data: line((s) => s.share), borderWidth: 2, borderColor: inks.value.ink, fill: false },
    ],
  };
});
const options = computed<ChartOptions<'line'>>(() => ({
  ...PLAIN,
  aspectRatio: 2.4,
  scales: {
    x: axis(inks.value, 'years since it was handed back', { min: 0, max: Math.max(1, Math.ceil(props.years)), step: 1 }),
    y: axis(inks.value, 'still good, %', { min: 0, max: 100, step: 25 }),
  },
}));
const said = computed(() =>
  props.steps.length === 0
    ? `None of it came back in ${fixed(props.years, 1)} years.`
    : props.steps
        .map(
          (s) =>
            `After ${fixed(s.days / YEAR, 1)} years ${Math.round(s.share * 100)} % were still good (${Math.round(s.low * 100)} to ${Math.round(s.high * 100)} %), ${s.watched} watched.`,
        )
        .join(' '),
);
</script>

<template>
  <div class="curve">
    <Line :data="data" :options="options" role="img" :aria-label="said" />
    <p class="small">{{ said }}</p>
  </div>
</template>

<style scoped>
.curve {
  max-width: 720px;
  padding-bottom: var(--space-4);
}
</style>
