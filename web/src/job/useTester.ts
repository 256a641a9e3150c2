import { GAUGE_KIND_NAME, type GaugeKind } from '@dauer/core/catalogue';
import type { GaugeVersion } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import { useInstrument } from '../app/instruments.ts';
import { useOpenJob } from './openJob.ts';

/** A gauge of the rack of some kinds that may send by itself: which is chosen, and what it sends. */
export function useTester(kinds: readonly GaugeKind[], pressed: (text: string, gauge: GaugeVersion) => void) {
  const job = useOpenJob();
  const gauges = computed<GaugeVersion[]>(() => {
    const last = new Map(job.state.records.gauges.map((g) => [g.gaugeId, g]));
    return [...last.values()].filter((g) => kinds.includes(g.kind));
  });
  const tag = ref<string | null>(null);
  const gauge = computed(() => gauges.value.find((g) => g.tag === tag.value) ?? null);
  const instrument = useInstrument(tag, (text) => {
    if (gauge.value) pressed(text, gauge.value);
  });
  const items = computed(() => gauges.value.map((g) => ({ value: g.tag, title: `${g.tag}  ${g.name || GAUGE_KIND_NAME[g.kind]}` })));
  const listens = computed(() => tag.value !== null && instrument.listening.value === tag.value);
  return { tag, instrument, items, listens };
}
