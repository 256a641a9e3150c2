import type { Verdict } from './decide.ts';

/** Worst first. */
export const SEVERITY: readonly Verdict[] = ['past', 'cant_tell', 'not_gauged', 'no_limit', 'watch', 'holds'];

/** Negative where `a` is worse than `b`. */
export function compareSeverity(a: Verdict, b: Verdict): number {
  return SEVERITY.indexOf(a) - SEVERITY.indexOf(b);
}

/**
 * The worst of several verdicts; null where there are none. Criteria do not average.
 * @throws Error for what is no verdict: a newer one must not pass for the mildest
 */
export function worst(verdicts: readonly Verdict[]): Verdict | null {
  const unknown = verdicts.find((v) => !SEVERITY.includes(v));
  if (unknown !== undefined) throw new Error(`${String(unknown)} is no verdict`);
  return SEVERITY.find((s) => verdicts.includes(s)) ?? null;
}

/**
 * Whether a verdict blocks release.
 * @param noLimitAccepted a lead has accepted with a reason that there is no limit on file
 */
export function blocksRelease(verdict: Verdict, noLimitAccepted = false): boolean {
  if (verdict === 'no_limit') return !noLimitAccepted;
  return verdict === 'past' || verdict === 'cant_tell' || verdict === 'not_gauged';
}

export type Gravity = 'safety' | 'function';
export type Role = 'reader' | 'technician' | 'lead';

/**
 * Who may accept a verdict with a reason so that it no longer blocks release; null where nobody may.
 * Past on safety is answered by the part or by a better source, never by a waiver.
 * @param lies side on which the value itself lies
 * @param generic the limit is a generic one
 * Source: handbook, Decision rule.
 */
export function whoMayAccept(verdict: Verdict, gravity: Gravity, lies: 'within' | 'past' | null, generic: boolean): Role | null {
  if (verdict === 'no_limit') return 'lead';
  if (verdict === 'past') return gravity === 'function' && generic ? 'lead' : null;
  if (verdict === 'cant_tell' && lies === 'within') return gravity === 'function' ? 'technician' : 'lead';
  return null;
}
