<script setup lang="ts">
import { WATER_DUE } from '@dauer/core/catalogue';
import { fixed, yearsBetween } from '@dauer/core/quantity';
import type { WaterCourse } from '@dauer/core/views';
import { Chart, type ChartData, type ChartOptions, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { computed } from 'vue';
import { Line } from 'vue-chartjs';
import { axis, DAY_LINE, LIMIT_LINE, PLAIN, useChartInks } from '../../app/charts.ts';
import { dayText } from '../../fittings/dates.ts';

/** Water estimated in the fluids of a circuit over the years, or where they boil with it: a band, and what was measured. */
const props = defineProps<{ course: WaterCourse; what: 'water' | 'boil' }>();
Chart.register(Filler, LinearScale, LineController, LineElement, PointElement, annotation);
const inks = useChartInks();
/** A day as years of the calendar, so that each year begins at a whole number. */
function inYears(day: string): number {
  const year = Number(day.slice(0, 4));
  return year + yearsBetween(`${year}-01-01`, day);
}
type Point = WaterCourse['now'];
/** What of a point is drawn: in the middle, and the edges of the band. */
const READ: Readonly<Record<'water' | 'boil', readonly [(p: Point) => number, (p: Point) => number, (p: Point) => number]>> = {
  water: [(p) => p.water, (p) => p.least, (p) => p.most],
  boil: [(p) => p.boilC, (p) => p.boilLeastC, (p) => p.boilMostC],
};
const read = computed(() => READ[props.what]);
const line = (points: readonly Point[], of: (p: Point) => number) => points.map((p) => ({ x: inYears(p.day), y: of(p) }));
const measured = computed(() =>
  props.course.samples.flatMap((m) => {
    const y = props.what === 'water' ? m.water : m.boilC;
    return y === null ? [] : [{ x: inYears(m.day), y }];
  }),
);
const data = computed<ChartData<'line', { x: number; y: number }[]>>(() => {
  const [middle, least, most] = read.value;
  const edge = { borderWidth: 0, pointRadius: 0 };
  return {
    // The first is drawn on top.
    datasets: [
      {
        ...{ data: line([props.course.now], middle), showLine: false, pointRadius: 5, clip: 8 },
        ...{ pointBackgroundColor: inks.value.blue, pointBorderWidth: 0 },
      },
      {
        ...{ data: measured.value, showLine: false, pointRadius: 5, pointStyle: 'rectRot', clip: 8 },
        ...{ pointBackgroundColor: inks.value.plate, pointBorderColor: inks.value.ink, pointBorderWidth: 2 },
      },
      ...props.course.fluids.flatMap((f) => [
        { data: line(f.points, middle), borderColor: inks.value.ink, borderWidth: 1.75, pointRadius: 0 },
        { ...edge, data: line(f.points, least) },
        { ...edge, data: line(f.points, most), fill: '-1', backgroundColor: inks.value.hair },
      ]),
    ],
  };
});
const limits = computed(() => {
  const { needC, due, interval } = props.course;
  const across = (at: number, says: string) => LIMIT_LINE(inks.value, { scale: 'y', at, says, side: 'start' });
  const down = (day: string, says: string) => DAY_LINE(inks.value, { at: inYears(day), says });
  return {
    ...(props.what === 'water' ? { limit: across(WATER_DUE, `Due at ${WATER_DUE} %`) } : {}),
    ...(props.what === 'boil' && needC !== null ? { need: across(needC, `Needed ${needC} °C`) } : {}),
    ...(interval === due ? {} : { interval: down(interval, 'interval') }),
    due: down(due, 'due'),
  };
});
const options = computed<ChartOptions<'line'>>(() => {
  const { fluids, due, interval, needC } = props.course;
  const days = [...fluids.flatMap((f) => f.points.map((p) => inYears(p.day))), inYears(due), inYears(interval)];
  const [first, last] = [Math.floor(Math.min(...days)), Math.ceil(Math.max(...days))];
  const [, least, most] = read.value;
  const heights = [...fluids.flatMap((f) => f.points.flatMap((p) => [least(p), most(p)])), ...measured.value.map((m) => m.y)];
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const y =
    props.what === 'water'
      ? axis(inks.value, 'water, %', { min: 0, max: Math.max(4, Math.ceil(high)), step: 1 })
      : axis(inks.value, 'boils at, °C', {
          min: Math.floor(Math.min(low, needC ?? low) / 20) * 20 - 20,
          max: Math.ceil(Math.max(high, needC ?? high) / 20) * 20,
          step: 20,
        });
  return {
    ...PLAIN,
    maintainAspectRatio: false,
    parsing: false,
    scales: { x: axis(inks.value, '', { min: first, max: last, step: Math.max(1, Math.ceil((last - first) / 8)) }), y },
    plugins: { ...PLAIN.plugins, tooltip: { enabled: false }, annotation: { annotations: limits.value } },
  };
});
const says = computed(() => {
  const { now, due } = props.course;
  const range = (a: number, b: number, places: number): string => `${fixed(a, places)} to ${fixed(b, places)}`;
  const is =
    props.what === 'water'
      ? `Water in the fluid over the years: now about ${fixed(now.water, 1)} percent, ${range(now.least, now.most, 1)}`
      : `Where the fluid boils over the years: now about ${fixed(now.boilC, 0)} °C, ${range(now.boilLeastC, now.boilMostC, 0)}`;
  return `${is}; due ${dayText(due)}`;
});
</script>

<template>
  <div class="water">
    <Line :data="data" :options="options" role="img" :aria-label="says" />
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
