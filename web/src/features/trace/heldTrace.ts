import type { PlacedCheck } from '@dauer/core/stages';
import { type CauseLine, linesOf } from '@dauer/core/views';
import type { WeighedNow } from './useWeighing.ts';

/**
 * What stands on the page while somebody answers: its order is kept until they go on, so that nothing moves under a finger.
 * Figures follow every answer.
 */
export interface HeldTrace {
  readonly network: WeighedNow['input']['network'];
  /** Faults of each line, in the order in which the lines stand. */
  readonly lines: readonly (readonly number[])[];
  /** Whether the checks are the first round, before anything was said. */
  readonly round: boolean;
  readonly checks: readonly PlacedCheck[];
}

const isSilent = (now: WeighedNow): boolean => Object.keys(now.input.evidence.observations).length === 0;

function checksOf(now: WeighedNow): { readonly round: boolean; readonly checks: readonly PlacedCheck[] } {
  if (isSilent(now) && now.input.firstRound.length > 0) return { round: true, checks: now.input.firstRound };
  const proposed = now.result.next.flatMap(({ id }) => now.input.checks.find((c) => c.id === id) ?? []);
  return { round: false, checks: proposed };
}

/** The page as it stands now, taken over. */
export function holdNow(now: WeighedNow): HeldTrace {
  const lines = isSilent(now) ? [] : linesOf(now.input.network, now.result.causes).map((l) => l.alike);
  return { network: now.input.network, lines, ...checksOf(now) };
}

/** A line of the causes where it was when it was first shown. */
export interface HeldLine extends CauseLine {
  /** What it stands for has come apart since: its figure is that of the likeliest. */
  readonly apart: boolean;
  /** The likeliest of all now, though it does not stand first. */
  readonly likeliest: boolean;
}

/** The lines in their kept order with the figures of now; what has come up since stands last. */
export function heldLines(held: HeldTrace, now: WeighedNow): HeldLine[] {
  if (isSilent(now)) return [];
  const ranked = new Map(now.result.causes.map((c) => [c.fault, c] as const));
  const fresh = linesOf(now.input.network, now.result.causes);
  const before = new Set(held.lines.flat());
  const groups = [...held.lines, ...fresh.filter((l) => !l.alike.some((f) => before.has(f))).map((l) => l.alike)];
  const best = fresh[0]?.probability ?? 0;
  const lines = groups.flatMap((alike): Omit<HeldLine, 'likeliest'>[] => {
    const of = alike.flatMap((f) => ranked.get(f) ?? []).sort((a, b) => b.probability - a.probability);
    const [first] = of;
    if (!first) return [];
    // A line keeps the fault that it is known by.
    const known = ranked.get(alike[0] ?? -1) ?? first;
    const apart = of.some((c) => Math.abs(c.probability - first.probability) > 1e-9);
    return [{ ...known, probability: first.probability, alike, apart }];
  });
  const top = lines.findIndex((l) => l.probability >= best - 1e-9);
  return lines.map((l, i) => ({ ...l, likeliest: i === top && i > 0 }));
}

/** What is worth most now: shown but not first, or not shown; null where what stands first is as good. */
export function betterCheck(held: HeldTrace, now: WeighedNow): PlacedCheck | null {
  const { round, checks } = checksOf(now);
  const [first] = checks;
  return first && (round !== held.round || first.id !== held.checks[0]?.id) ? first : null;
}

/** Whether going on would change the order of anything. */
export function hasMoved(held: HeldTrace, now: WeighedNow): boolean {
  const fresh = holdNow(now);
  const order = (h: HeldTrace): string => JSON.stringify([h.lines, h.round, h.checks.map((c) => c.id)]);
  return order(fresh) !== order(held);
}
