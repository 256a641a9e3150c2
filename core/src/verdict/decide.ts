import { DomainError, SLACK } from '../quantity/domainError.ts';

export type Verdict = 'holds' | 'watch' | 'no_limit' | 'not_gauged' | 'cant_tell' | 'past';

/** What a figure is held against, all in the figure's canonical unit. */
export type Bound =
  | { readonly kind: 'none' }
  | { readonly kind: 'lower' | 'upper'; readonly at: number; readonly nominal?: number | null }
  | { readonly kind: 'range'; readonly low: number; readonly high: number; readonly nominal?: number | null };

export interface Judgement {
  readonly verdict: Verdict;
  /** On which side of the limit the value itself lies; null where there is no limit. */
  readonly side: 'within' | 'past' | null;
  /** Share of the band from nominal to limit still left; null where there is none. */
  readonly toleranceLeft: number | null;
}

/** Share of the band below which a part is watched when nothing is known of its wear (generic, a house rule). */
const WATCH_MARGIN = 0.1;

/** Throws DomainError limit_inconsistent where nominal and limit do not lie in order, or are no figures. */
export function checkBound(bound: Bound): void {
  const nominal = bound.kind === 'none' ? null : (bound.nominal ?? null);
  const ends = bound.kind === 'none' ? [] : bound.kind === 'range' ? [bound.low, bound.high] : [bound.at];
  const bad =
    [...ends, nominal ?? 0].some((end) => !Number.isFinite(end)) ||
    (bound.kind === 'range' && (!(bound.low < bound.high) || (nominal !== null && (nominal < bound.low || nominal > bound.high)))) ||
    (bound.kind === 'lower' && nominal !== null && !(nominal > bound.at)) ||
    (bound.kind === 'upper' && nominal !== null && !(nominal < bound.at));
  if (bad) throw new DomainError('limit_inconsistent', 'The limit contradicts itself: the nominal figure must lie on the good side of it.');
}

/**
 * Guard-banded decision: past only when the figure lies beyond the limit by more than its expanded
 * uncertainty, holds only when it lies within by at least as much, else the gauge cannot tell.
 * @param bound limit
 * @param value reduced figure
 * @param expanded expanded uncertainty U, same unit
 * @param predicted figure expected at the next service, null without usable wear history
 * @returns can't tell, lying nowhere, for a figure or an uncertainty that is not finite: nothing follows from it
 * @throws DomainError limit_inconsistent, negative_uncertainty
 * Source: ISO 14253-1 and JCGM 106, as the handbook applies them (Judgement rule).
 */
export function decide(bound: Bound, value: number, expanded: number, predicted: number | null = null): Judgement {
  if (expanded < 0) throw new DomainError('negative_uncertainty', 'The uncertainty of a figure cannot be negative.');
  checkBound(bound);
  if (bound.kind === 'none') return { verdict: 'no_limit', side: null, toleranceLeft: null };
  if (!Number.isFinite(value) || !Number.isFinite(expanded)) return { verdict: 'cant_tell', side: null, toleranceLeft: null };
  const sides =
    bound.kind === 'range'
      ? [roomTo('lower', bound.low, value), roomTo('upper', bound.high, value)]
      : [roomTo(bound.kind, bound.at, value)];
  const room = Math.min(...sides);
  const lies = room >= -SLACK ? 'within' : 'past';
  const bandLeft = shareLeft(bound, value);
  if (room + expanded < -SLACK) return { verdict: 'past', side: lies, toleranceLeft: bandLeft };
  if (room - expanded < -SLACK) return { verdict: 'cant_tell', side: lies, toleranceLeft: bandLeft };
  const watched =
    predicted !== null && Number.isFinite(predicted) ? beyond(bound, predicted) : bandLeft !== null && bandLeft < WATCH_MARGIN - SLACK;
  return { verdict: watched ? 'watch' : 'holds', side: lies, toleranceLeft: bandLeft };
}

/** Signed distance to a limit, positive on the good side. */
function roomTo(kind: 'lower' | 'upper', at: number, value: number): number {
  return kind === 'lower' ? value - at : at - value;
}

/** Whether a plain figure lies beyond the limit; equality counts as inside. */
export function beyond(bound: Bound, value: number): boolean {
  if (bound.kind === 'none') return false;
  if (bound.kind === 'range') return value < bound.low - SLACK || value > bound.high + SLACK;
  return roomTo(bound.kind, bound.at, value) < -SLACK;
}

function shareLeft(bound: Bound, value: number): number | null {
  if (bound.kind === 'none') return null;
  if (bound.kind === 'range') {
    const from = bound.nominal ?? (bound.low + bound.high) / 2;
    const nearLow = Math.abs(value - bound.low) <= Math.abs(value - bound.high);
    const band = nearLow ? from - bound.low : bound.high - from;
    if (band <= SLACK) return null;
    return (nearLow ? value - bound.low : bound.high - value) / band;
  }
  if (bound.nominal === undefined || bound.nominal === null) return null;
  return roomTo(bound.kind, bound.at, value) / Math.abs(bound.nominal - bound.at);
}
