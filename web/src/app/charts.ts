import { Chart, type ChartOptions } from 'chart.js';
import type { AnnotationOptions } from 'chartjs-plugin-annotation';
import { computed, type ComputedRef, nextTick, shallowRef, watch } from 'vue';
import { useTheme } from './theme.ts';

/** Colours and type of a chart, as the page has them. */
export interface ChartInks {
  readonly ink: string;
  readonly second: string;
  readonly slate: string;
  readonly hair: string;
  readonly plate: string;
  readonly page: string;
  readonly past: string;
  readonly blue: string;
  readonly red: string;
  readonly figures: string;
  readonly words: string;
  readonly plates: string;
}

function inksNow(): ChartInks {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string): string => style.getPropertyValue(`--${name}`).trim();
  return {
    ...{
      ink: of('ink'),
      second: of('ink2'),
      slate: of('slate'),
      hair: of('hair'),
      plate: of('plate'),
      page: of('page'),
      past: of('past'),
      blue: of('blue'),
      red: of('red'),
    },
    figures: of('figure-font'),
    plates: of('plate-font'),
    words: getComputedStyle(document.body).fontFamily,
  };
}

/** The inks of the page, anew when its theme changes under an open chart. */
export function useChartInks(): ComputedRef<ChartInks> {
  const { shown } = useTheme();
  const inks = shallowRef(inksNow());
  // The page has its new colours once the theme is written into it.
  watch(shown, () => void nextTick(() => (inks.value = inksNow())));
  return computed(() => inks.value);
}

/** An axis in whole steps with its name, in the type of figures. */
export function axis(
  inks: ChartInks,
  name: string,
  { min, max, step }: { readonly min: number; readonly max: number; readonly step: number },
  text: (value: number) => string = (v) => String(v),
) {
  return {
    ...{ type: 'linear' as const, min, max },
    title: { display: name !== '', text: name, color: inks.ink, font: { family: inks.words, size: 15 } },
    ticks: {
      stepSize: step,
      maxRotation: 0,
      callback: (v: number | string) => text(Number(v)),
      color: inks.ink,
      font: { family: inks.figures, size: 14 },
    },
    grid: { color: inks.hair, tickColor: inks.slate, offset: false },
    border: { color: inks.slate },
  };
}

/** A limit across a chart, with its figure on it. */
export const LIMIT_LINE = (
  inks: ChartInks,
  {
    scale,
    at,
    says,
    side = 'end',
  }: { readonly scale: string; readonly at: number; readonly says: string; readonly side?: 'start' | 'end' },
): AnnotationOptions<'line'> => ({
  ...{ type: 'line', scaleID: scale, value: at, borderColor: inks.ink, borderWidth: 1.75, drawTime: 'beforeDatasetsDraw' },
  label: {
    ...{ display: true, content: says, position: side, yAdjust: -10, padding: { x: 4, y: 0 } },
    ...{ backgroundColor: 'transparent', color: inks.ink, font: { family: inks.words, size: 14, weight: 'normal' } },
  },
});

/** A day across a chart of years, with its name at its foot. */
export const DAY_LINE = (inks: ChartInks, { at, says }: { readonly at: number; readonly says: string }): AnnotationOptions<'line'> => ({
  ...{
    type: 'line',
    scaleID: 'x',
    value: at,
    borderColor: inks.second,
    borderWidth: 1.25,
    borderDash: [5, 4],
    drawTime: 'beforeDatasetsDraw',
  },
  label: {
    ...{ display: true, content: says, position: 'end', padding: { x: 4, y: 2 } },
    ...{ backgroundColor: inks.page, color: inks.ink, font: { family: inks.words, size: 14, weight: 'normal' } },
  },
});

/** Draws a dimension as on a drawing: from here to there on the page, px, with its name and figure beside it. */
export function dimensionLine(
  ctx: CanvasRenderingContext2D,
  inks: ChartInks,
  d: {
    readonly x: number;
    readonly from: number;
    readonly to: number;
    readonly name: string;
    readonly figure: string;
    readonly past: boolean;
  },
): void {
  const colour = d.past ? inks.past : inks.second;
  const heads = d.to - d.from > 16 ? `m-3 -7l3 7 3-7M${d.x - 3} ${d.from + 7}l3-7 3 7` : '';
  Object.assign(ctx, { strokeStyle: colour, fillStyle: colour, lineWidth: 1.25, textAlign: 'left', textBaseline: 'alphabetic' });
  ctx.stroke(new Path2D(`M${d.x - 5} ${d.from}h10M${d.x - 5} ${d.to}h10M${d.x} ${d.from}V${d.to}${heads}`));
  const middle = (d.from + d.to) / 2;
  ctx.font = `600 14px ${inks.plates}`;
  ctx.fillText(d.name, d.x + 8, middle - 4);
  ctx.font = `700 15px ${inks.figures}`;
  ctx.fillText(d.figure, d.x + 8, middle + 13);
}

/** The next round step, 1, 2 or 5 times a power of ten, that is no smaller than this. */
export function roundStep(least: number): number {
  if (!(least > 0)) return 1;
  const power = 10 ** Math.floor(Math.log10(least));
  return ([1, 2, 5].find((n) => n * power >= least * (1 - 1e-9)) ?? 10) * power;
}

/** What every chart has: it stands still, keeps its shape, and says itself in the list beside it instead of a legend. */
export const PLAIN = {
  animation: false,
  responsive: true,
  maintainAspectRatio: true,
  plugins: { legend: { display: false } },
} as const satisfies ChartOptions;

Chart.defaults.devicePixelRatio = Math.max(2, globalThis.devicePixelRatio);
