import { type LiveValue, stableValue } from '@dauer/core/metrology';
import { plainDisplay, type QuantityKind, parseQuantity, toResult, type UnitId, unitOf } from '@dauer/core/quantity';
import { computed, type ComputedRef, ref, type Ref, watch } from 'vue';
import type { useInstrument } from '../../app/instruments.ts';

/** Longest history of a live gauge that is looked at, ms. */
const KEPT_MS = 3000;

/** What an instrument shows, in the unit shown; whether it stands still; and a figure that is held. */
export function useLive(instrument: ReturnType<typeof useInstrument>, kind: ComputedRef<QuantityKind>, unit: Ref<UnitId>) {
  const history = ref<LiveValue[]>([]);
  const held = ref<{ readonly text: string; readonly canonical: number | null } | null>(null);
  const seen = computed(() => {
    const m = instrument.live.value;
    if (!m) return null;
    const q = toResult(() => parseQuantity(`${m.text} ${m.unit}`, kind.value, unit.value));
    const same = m.unit === unitOf(kind.value, unit.value).symbol;
    if (!q.ok) return { text: m.text, canonical: null, resolution: 0 };
    const text = same ? m.text : plainDisplay(q.value.canonical, kind.value, q.value.resolution, unit.value);
    return { text, canonical: q.value.canonical, resolution: q.value.resolution };
  });
  watch(
    () => instrument.live.value,
    () => {
      const s = seen.value;
      const at = Date.now();
      if (s?.canonical == null) history.value = [];
      else history.value = [...history.value.filter((v) => v.at > at - KEPT_MS), { value: s.canonical, at }];
    },
  );
  const steady = computed(() => {
    const newest = history.value.at(-1);
    return newest !== undefined && seen.value !== null && stableValue(history.value, seen.value.resolution, newest.at) !== null;
  });
  const live = computed(() => held.value ?? seen.value);
  function hold(): void {
    held.value = held.value || !seen.value ? null : { text: seen.value.text, canonical: seen.value.canonical };
  }
  const release = (): void => {
    held.value = null;
  };
  return { live, steady, held, hold, release };
}
