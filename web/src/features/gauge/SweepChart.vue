<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import { type Runout, type Taken, warpAt, wobbleAt } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import {
  BarController,
  BarElement,
  Chart as ChartJs,
  type ChartData,
  type ChartEvent,
  type ChartOptions,
  LinearScale,
  LineController,
  LineElement,
  type Plugin,
  PointElement,
} from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { computed } from 'vue';
import { Chart } from 'vue-chartjs';
import { axis, dimensionLine, LIMIT_LINE, PLAIN, useChartInks } from '../../app/charts.ts';

/** A runout sweep over one turn: readings, their wobble, and below the warp as bars. */
const props = defineProps<{
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  runout: Runout | null;
  limit: number | null;
  now: number;
  past: boolean;
}>();
const emit = defineEmits<{ go: [index: number] }>();
ChartJs.register(BarController, BarElement, LinearScale, LineController, LineElement, PointElement, annotation);
const inks = useChartInks();

/** Tops of the scale that divide into three even steps, mm. */
const TOPS = [0.06, 0.12, 0.15, 0.3, 0.45, 0.6, 0.9, 1.2, 1.5, 2.1, 3, 4.5, 6, 9, 12];
const values = computed(() => props.taken.map((t) => t.value));
const low = computed(() => Math.min(0, ...values.value));
const top = computed(() => {
  const high = Math.max(low.value + (props.limit ?? 0.1), ...values.value) - low.value;
  return TOPS.find((s) => s >= high * 1.08) ?? high * 1.1;
});
const dots = computed(() =>
  props.positions.flatMap((p, i) => {
    const t = props.taken.find((r) => r.key === positionKey(p));
    const over = t !== undefined && props.past && props.limit !== null && t.value - low.value > props.limit;
    return t ? [{ i, x: p.angleDeg ?? 0, y: t.value, over }] : [];
  }),
);
/** A whole turn ends where it began. */
const turn = computed(() => {
  const [first] = dots.value;
  return first && dots.value.length === props.positions.length ? [...dots.value, { ...first, x: 360, again: true }] : dots.value;
});
const wobble = computed(() => {
  const r = props.runout;
  return r ? Array.from({ length: 73 }, (_, i) => ({ x: i * 5, y: wobbleAt(r, i * 5) })) : [];
});
const warp = computed(() => {
  const r = props.runout;
  return r ? props.positions.map((p) => ({ x: p.angleDeg ?? 0, y: warpAt(r, p.angleDeg ?? 0) })) : [];
});
/** The warp has a scale of its own: it is small beside the wobble, and its shape tells. */
const warpSide = computed(() => Math.max(0.01, (props.runout?.warp ?? 0) * 0.6));

const data = computed<ChartData<'line' | 'bar', { x: number; y: number }[]>>(() => ({
  datasets: [
    {
      ...{ type: 'line', label: 'reading', data: turn.value, yAxisID: 'y', borderColor: inks.value.ink, borderWidth: 1.75, clip: 8 },
      pointStyle: turn.value.map((d) => (d.over ? 'rectRot' : 'circle')),
      pointRadius: turn.value.map((d) => (d.over ? 6 : 3.5)),
      pointBorderWidth: turn.value.map((d) => ('again' in d ? 1.5 : 0)),
      pointBorderColor: inks.value.ink,
      pointBackgroundColor: turn.value.map((d) =>
        'again' in d ? inks.value.page : d.over ? inks.value.past : d.i === props.now ? inks.value.blue : inks.value.ink,
      ),
    },
    {
      ...{ type: 'line', label: 'wobble', data: wobble.value, yAxisID: 'y', pointRadius: 0 },
      ...{ borderColor: inks.value.second, borderWidth: 1.5, borderDash: [5, 4] },
    },
    {
      ...{ type: 'bar', label: 'warp', data: warp.value, yAxisID: 'warp', barThickness: 6, grouped: false, clip: 8 },
      backgroundColor: inks.value.second,
    },
  ],
}));

/** Total, wobble and warp as dimensions beside the sweep, and where the next reading belongs. */
const dimensions: Plugin = {
  id: 'dimensions',
  afterDatasetsDraw(chart) {
    const { ctx, chartArea, scales } = chart;
    const [y, w, x] = [scales['y'], scales['warp'], scales['x']];
    if (!y || !w || !x) return;
    const at = props.positions[props.now]?.angleDeg;
    if (at != null) {
      const [px, foot] = [x.getPixelForValue(at), y.getPixelForValue(y.min)];
      Object.assign(ctx, { strokeStyle: inks.value.blue, lineWidth: 2.5 });
      ctx.stroke(new Path2D(`M${px} ${foot}v-8m-5 8h10`));
    }
    const r = props.runout;
    if (!r || values.value.length === 0) return;
    const draw = (left: number, high: number, least: number, name: string, says: number, past = false): void =>
      dimensionLine(ctx, inks.value, { x: chartArea.right + left, from: high, to: least, name, figure: fixed(says, 2), past });
    draw(12, y.getPixelForValue(Math.max(...values.value)), y.getPixelForValue(Math.min(...values.value)), 'Total', r.tir, props.past);
    draw(66, y.getPixelForValue(r.a0 + r.wobble / 2), y.getPixelForValue(r.a0 - r.wobble / 2), 'Wobble', r.wobble);
    draw(12, w.getPixelForValue(r.warp / 2), w.getPixelForValue(-r.warp / 2), 'Warp', r.warp);
  },
};

const options = computed<ChartOptions<'line' | 'bar'>>(() => ({
  ...PLAIN,
  maintainAspectRatio: false,
  parsing: false,
  layout: { padding: { right: 122, top: 6 } },
  scales: {
    x: { ...axis(inks.value, '', { min: 0, max: 360, step: 90 }, (v) => `${v}°`), offset: false },
    warp: {
      ...axis(inks.value, '', { min: -warpSide.value, max: warpSide.value, step: warpSide.value }, () => ''),
      ...{ stack: 'sweep', stackWeight: 3, grid: { display: false } },
    },
    y: {
      ...axis(inks.value, '', { min: low.value, max: low.value + top.value, step: top.value / 3 }, (v) => fixed(v, 2)),
      ...{ stack: 'sweep', stackWeight: 7 },
    },
  },
  plugins: {
    ...PLAIN.plugins,
    tooltip: { enabled: false },
    annotation: {
      annotations:
        props.limit === null
          ? {}
          : { limit: LIMIT_LINE(inks.value, { scale: 'y', at: low.value + props.limit, says: `Limit ${fixed(props.limit, 2)}` }) },
    },
  },
  onClick: (event: ChartEvent, _, chart) => {
    const at = chart.scales['x']?.getValueForPixel(event.x ?? 0);
    if (at === undefined || props.positions.length === 0) return;
    const away = props.positions.map((p) => Math.abs((((p.angleDeg ?? 0) - at + 540) % 360) - 180));
    emit('go', away.indexOf(Math.min(...away)));
  },
}));
const says = computed(() => {
  const r = props.runout;
  return r ? `total ${fixed(r.tir, 2)}, wobble ${fixed(r.wobble, 2)}, warp ${fixed(r.warp, 2)} mm` : `${dots.value.length} readings`;
});
</script>

<template>
  <div class="sweep">
    <p class="key small" aria-hidden="true">
      <span>
        <i class="reading" />
        reading
      </span>
      <span>
        <i class="wobble" />
        wobble
      </span>
      <span>
        <i class="warp" />
        warp
      </span>
    </p>
    <div class="drawn">
      <Chart type="line" :data="data" :options="options" :plugins="[dimensions]" role="img" :aria-label="`Runout over one turn: ${says}`" />
    </div>
  </div>
</template>

<style scoped>
.sweep {
  max-width: 600px;
}
.drawn {
  position: relative;
  /* A canvas keeps the width that it had until it is drawn anew: it must not hold a narrower page open. */
  overflow: hidden;
  height: 240px;
  cursor: pointer;
}
.key {
  display: flex;
  gap: var(--space-4);
  justify-content: flex-end;
  margin: 0;
}
.key span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.key i {
  width: 18px;
  border-top: 1.75px solid var(--ink);
}
.key .wobble {
  border-top: var(--line-drawn) dashed var(--ink2);
}
.key .warp {
  width: 6px;
  height: 11px;
  border: 0;
  background: var(--ink2);
}
</style>
