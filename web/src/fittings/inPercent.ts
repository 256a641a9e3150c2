import type { Judged } from '@dauer/core/judging';
import type { Bound } from '@dauer/core/verdict';

const times = (v: number | null | undefined): number | null => (v == null ? null : Math.round(v * 1e8) / 1e6);

function boundOf(b: Bound): Bound {
  if (b.kind === 'none') return b;
  if (b.kind === 'range') return { ...b, low: b.low * 100, high: b.high * 100, nominal: times(b.nominal) };
  return { ...b, at: times(b.at) ?? 0, nominal: times(b.nominal) };
}

/** A judged share with its figures in per cent, for drawing; anything else as it is. */
export function inPercent(j: Judged): Judged {
  if (j.characteristic.kind !== 'ratio') return j;
  const { reduced } = j;
  return {
    ...j,
    bound: boundOf(j.bound),
    reduced: { ...reduced, value: reduced.value * 100, expanded: reduced.expanded * 100, decimals: Math.max(0, reduced.decimals - 2) },
  };
}
