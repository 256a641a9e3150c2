<script setup lang="ts">
import type { Decile } from '@dauer/core/views';
import { BubbleController, Chart, type ChartData, type ChartOptions, LinearScale, PointElement, Tooltip } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { computed } from 'vue';
import { Bubble } from 'vue-chartjs';
import { axis, PLAIN, useChartInks } from '../../app/charts.ts';

/** What was said against what came true, by tenths: on the slanting line they agree. */
const props = defineProps<{ tenths: readonly Decile[] }>();
Chart.register(BubbleController, LinearScale, PointElement, Tooltip, annotation);
const inks = useChartInks();
const dots = computed(() =>
  props.tenths
    .filter((t) => t.times > 0)
    .map((t) => ({
      ...{ x: t.said * 100, y: (t.true / t.times) * 100, r: 4 + Math.min(10, Math.sqrt(t.times) * 1.5) },
      text: `said ${Math.round(t.said * 100)} %, ${t.true} of ${t.times} came true`,
    })),
);
const data = computed<ChartData<'bubble'>>(() => ({
  datasets: [{ data: dots.value, backgroundColor: inks.value.ink, borderWidth: 0, clip: 16 }],
}));
const WHOLE = { min: 0, max: 100, step: 25 };
const options = computed<ChartOptions<'bubble'>>(() => ({
  ...PLAIN,
  aspectRatio: 1,
  scales: { x: axis(inks.value, 'said, %', WHOLE), y: axis(inks.value, 'came true, %', WHOLE) },
  plugins: {
    ...PLAIN.plugins,
    tooltip: { displayColors: false, callbacks: { label: ({ dataIndex }) => dots.value[dataIndex]?.text ?? '' } },
    annotation: {
      annotations: {
        even: {
          ...{ type: 'line', xMin: 0, yMin: 0, xMax: 100, yMax: 100 },
          ...{ borderColor: inks.value.slate, borderWidth: 1, borderDash: [4, 4], drawTime: 'beforeDatasetsDraw' },
        },
      },
    },
  },
}));
</script>

<template>
  <div class="chart">
    <div class="drawn">
      <Bubble :data="data" :options="options" role="img" aria-label="What was said against what came true" />
    </div>
    <ul class="small">
      <li v-for="d in dots" :key="d.text">{{ d.text }}</li>
    </ul>
  </div>
</template>

<style scoped>
.chart {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  align-items: center;
}
.drawn {
  overflow: hidden;
  width: 340px;
  max-width: 100%;
}
</style>
