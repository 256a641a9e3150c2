/** One value of a live gauge: canonical figure and when it came, ms. */
export interface LiveValue {
  readonly value: number;
  readonly at: number;
}

/** How long a live value has to stand still, and within how many of its steps, before it counts as settled. */
const SETTLE_MS = 600;
const SETTLE_STEPS = 1;

/**
 * Whether a live gauge stands still: over the last while its values stayed within one step of its resolution.
 * @param values oldest first
 * @param resolution step of the gauge, same unit
 * @param now ms, same clock
 * @returns the value it stands at (the newest), or null while it moves or is not known long enough
 */
export function stableValue(values: readonly LiveValue[], resolution: number, now: number): number | null {
  const newest = values.at(-1);
  const before = values.findLast((v) => v.at <= now - SETTLE_MS);
  if (!newest || !before) return null;
  const window = values.filter((v) => v.at > now - SETTLE_MS).map((v) => v.value);
  const seen = [before.value, ...window];
  return Math.max(...seen) - Math.min(...seen) <= SETTLE_STEPS * resolution + 1e-9 ? newest.value : null;
}
