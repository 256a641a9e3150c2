import type { PlacedCheck, PlacedSign } from './network.ts';
import { observationFacts } from './observations.ts';
import type { ToTrace } from './tracing.ts';

/** What is left to answer of a check. */
export interface ToAnswer {
  /** By word; where the next hangs on the one before, one at a time, and none once one of them was not seen. */
  readonly open: readonly PlacedSign[];
  /** Whether any of it is a figure, taken at Gauge. */
  readonly gauged: boolean;
}

export function toAnswer(of: ToTrace, check: PlacedCheck): ToAnswer {
  const known = of.evidence.observations;
  const signs = check.observations.flatMap((id) => of.network.observations.find((o) => o.id === id) ?? []);
  const left = signs.filter((s) => known[s.id] === undefined);
  const words = left.filter((s) => s.sign.known !== 'measured');
  const stopped = check.kind.inTurn && signs.some((s) => known[s.id] === 'not_seen');
  return { open: stopped ? [] : check.kind.inTurn ? words.slice(0, 1) : words, gauged: words.length < left.length };
}

/** A sign in words at its check: without the wheel where the check is at one wheel anyway, unless it is one of several alike. */
export function askedWords(check: PlacedCheck, s: PlacedSign): string {
  return check.corner === null || s.code.includes('#') ? s.text : (s.sign.text ?? observationFacts(s.sign.code)?.text ?? s.text);
}
