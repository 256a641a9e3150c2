<script setup lang="ts">
import { convert, fixed, groupThousands } from '@dauer/core/quantity';
import type { WearCourse } from '@dauer/core/views';
import { type ChartData, Chart, type ChartOptions, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { computed } from 'vue';
import { Line } from 'vue-chartjs';
import { axis, LIMIT_LINE, PLAIN, roundStep, useChartInks } from '../../app/charts.ts';

/** How a figure of this part went over the distance it ran, and on to its limit or the next service. */
const props = defineProps<{ course: WearCourse; name: string; distanceUnit: 'km' | 'mi'; decimals: number }>();
Chart.register(LinearScale, LineController, LineElement, PointElement, annotation);
const inks = useChartInks();
const at = (p: { readonly run: number; readonly value: number }): { x: number; y: number } => ({
  x: convert(p.run, 'distance_run', props.distanceUnit),
  y: p.value,
});
const points = computed(() => props.course.points.map((p) => ({ ...at(p), counts: p.counts })));
const ahead = computed(() => props.course.foretold?.map(at) ?? []);
const data = computed<ChartData<'line', { x: number; y: number }[]>>(() => ({
  datasets: [
    {
      ...{ data: points.value, borderColor: inks.value.ink, borderWidth: 1.75, pointRadius: 4, pointBorderColor: inks.value.ink, clip: 8 },
      pointBorderWidth: 1.5,
      pointBackgroundColor: points.value.map((p) => (p.counts ? inks.value.ink : inks.value.page)),
      // What was cut off is not wear: nothing is drawn from before a cut to after it.
      segment: {
        borderColor: ({ p1DataIndex: to }) => (points.value[to]?.counts === points.value[to - 1]?.counts ? undefined : 'transparent'),
      },
    },
    { data: ahead.value, borderColor: inks.value.second, borderWidth: 1.5, borderDash: [5, 4], pointRadius: 0 },
  ],
}));
/** A scale on which the figures and their limit stand clear of its ends. */
function span(values: readonly number[], many: number): { min: number; max: number; step: number } {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const step = roundStep((high - low) / many);
  return { min: Math.floor(low / step - 0.35) * step, max: Math.ceil(high / step + 0.35) * step, step };
}
const options = computed<ChartOptions<'line'>>(() => {
  const all = [...points.value, ...ahead.value];
  const ys = span([...all.map((p) => p.y), props.course.limit], 4);
  const run = all.map((p) => p.x);
  const step = roundStep((Math.max(...run) - Math.min(...run)) / 5);
  const xs = { min: Math.floor(Math.min(...run) / step) * step, max: Math.ceil(Math.max(...run) / step) * step, step };
  const places = Math.max(props.decimals - 1, ys.step >= 1 ? 0 : Math.ceil(-Math.log10(ys.step)));
  return {
    ...PLAIN,
    maintainAspectRatio: false,
    parsing: false,
    scales: {
      x: axis(inks.value, props.distanceUnit, xs, groupThousands),
      y: axis(inks.value, `${props.name}, mm`, ys, (v) => fixed(v, places)),
    },
    plugins: {
      ...PLAIN.plugins,
      tooltip: { enabled: false },
      annotation: {
        annotations: {
          limit: LIMIT_LINE(inks.value, { scale: 'y', at: props.course.limit, says: `Limit ${fixed(props.course.limit, props.decimals)}` }),
        },
      },
    },
  };
});
const says = computed(() => points.value.map((p) => `${fixed(p.y, props.decimals)} at ${groupThousands(Math.round(p.x))}`).join(', '));
</script>

<template>
  <div class="wear">
    <Line :data="data" :options="options" role="img" :aria-label="`${name} over the distance run: ${says} ${distanceUnit}`" />
  </div>
</template>

<style scoped>
.wear {
  position: relative;
  /* A canvas keeps the width that it had until it is drawn anew: it must not hold a narrower page open. */
  overflow: hidden;
  height: 220px;
  max-width: 620px;
  margin: var(--space-2) 0;
}
</style>
