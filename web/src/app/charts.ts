import { Chart, type ChartOptions } from 'chart.js';
import { computed, type ComputedRef, nextTick, shallowRef, watch } from 'vue';
import { useTheme } from './theme.ts';

/** Colours and type of a chart, as the page has them. */
export interface ChartInks {
  readonly ink: string;
  readonly second: string;
  readonly slate: string;
  readonly hair: string;
  readonly plate: string;
  readonly blue: string;
  readonly red: string;
  readonly figures: string;
  readonly words: string;
}

function inksNow(): ChartInks {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string): string => style.getPropertyValue(`--${name}`).trim();
  return {
    ...{ ink: of('ink'), second: of('ink2'), slate: of('slate'), hair: of('hair'), plate: of('plate'), blue: of('blue'), red: of('red') },
    figures: of('figure-font'),
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
) {
  return {
    ...{ type: 'linear' as const, min, max },
    title: { display: true, text: name, color: inks.ink, font: { family: inks.words, size: 15 } },
    ticks: { stepSize: step, color: inks.ink, font: { family: inks.figures, size: 14 } },
    grid: { color: inks.hair, tickColor: inks.slate },
    border: { color: inks.slate },
  };
}

/** What every chart has: it stands still, keeps its shape, and says itself in the list beside it instead of a legend. */
export const PLAIN = {
  animation: false,
  responsive: true,
  maintainAspectRatio: true,
  plugins: { legend: { display: false } },
} as const satisfies ChartOptions;

Chart.defaults.devicePixelRatio = Math.max(2, globalThis.devicePixelRatio);
