<script setup lang="ts">
import { WATER_DUE } from '@dauer/core/catalogue';
import { fixed, yearsBetween } from '@dauer/core/quantity';
import type { WaterCourse } from '@dauer/core/views';
import { Chart, type ChartData, type ChartOptions, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { computed } from 'vue';
import { Line } from 'vue-chartjs';
import { axis, LIMIT_LINE, PLAIN, useChartInks } from '../../app/charts.ts';
import { dayText } from '../../fittings/dates.ts';

/** Water estimated in the fluids of a circuit over the years: it falls with each whole change, and grows until the next. */
const props = defineProps<{ course: WaterCourse }>();
Chart.register(LinearScale, LineController, LineElement, PointElement, annotation);
const inks = useChartInks();
/** A day as years of the calendar, so that each year begins at a whole number. */
function inYears(day: string): number {
  const year = Number(day.slice(0, 4));
  return year + yearsBetween(`${year}-01-01`, day);
}
const at = (p: { readonly day: string; readonly water: number }): { x: number; y: number } => ({ x: inYears(p.day), y: p.water });
const data = computed<ChartData<'line', { x: number; y: number }[]>>(() => ({
  datasets: [
    ...props.course.fluids.map((f) => ({ data: f.points.map(at), borderColor: inks.value.ink, borderWidth: 1.75, pointRadius: 0 })),
    { data: [at(props.course.now)], showLine: false, pointRadius: 5, pointBackgroundColor: inks.value.blue, pointBorderWidth: 0, clip: 8 },
  ],
}));
const options = computed<ChartOptions<'line'>>(() => {
  const days = props.course.fluids.flatMap((f) => f.points.map((p) => inYears(p.day)));
  const [first, last] = [Math.floor(Math.min(...days)), Math.ceil(Math.max(...days))];
  const top = Math.max(4, Math.ceil(Math.max(...props.course.fluids.flatMap((f) => f.points.map((p) => p.water)))));
  return {
    ...PLAIN,
    maintainAspectRatio: false,
    parsing: false,
    scales: {
      x: axis(inks.value, '', { min: first, max: last, step: Math.max(1, Math.ceil((last - first) / 8)) }),
      y: axis(inks.value, 'water, %', { min: 0, max: top, step: 1 }),
    },
    plugins: {
      ...PLAIN.plugins,
      tooltip: { enabled: false },
      annotation: { annotations: { due: LIMIT_LINE(inks.value, { scale: 'y', at: WATER_DUE, says: `Due at ${WATER_DUE} %` }) } },
    },
  };
});
const says = computed(() => `now about ${fixed(props.course.now.water, 1)} percent, due ${dayText(props.course.due)}`);
</script>

<template>
  <div class="water">
    <Line :data="data" :options="options" role="img" :aria-label="`Water in the fluid over the years: ${says}`" />
  </div>
</template>

<style scoped>
.water {
  position: relative;
  /* A canvas keeps the width that it had until it is drawn anew: it must not hold a narrower page open. */
  overflow: hidden;
  height: 200px;
  max-width: 620px;
  margin: var(--space-2) 0;
}
</style>
