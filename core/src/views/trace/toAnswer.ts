import { slotOfObservation, OBSERVATIONS, type ObservationFacts, observationFacts, observationKey } from '../../catalogue/observations.ts';
import { CORNERS, type Corner } from '../../layout/kinds.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import type { PlacedCheck, PlacedSign } from '../../stages/trace/network.ts';
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
  const unmeasured = left.filter((s) => s.sign.known !== 'measured');
  const stopped = check.kind.inTurn && signs.some((s) => known[s.id] === 'not_seen');
  return { open: stopped ? [] : check.kind.inTurn ? unmeasured.slice(0, 1) : unmeasured, gauged: unmeasured.length < left.length };
}

/** A sign in words at its check: without the wheel where the check is at one wheel anyway, unless it is one of several alike. */
export function askedWords(check: PlacedCheck, s: PlacedSign): string {
  return check.corner === null || s.code.includes('#') || slotOfObservation(s.code) !== null
    ? s.text
    : (s.sign.text ?? observationFacts(s.sign.code)?.text ?? s.text);
}

/** Something that a vehicle is asked about: what some fault of its own layout brings about. */
export interface AskedOf extends ObservationFacts {
  /** The wheels that it is asked of; none where it is of the whole. */
  readonly corners: readonly Corner[];
}

/**
 * What a vehicle is asked about: of all that can be seen, felt or heard what something of its own layout may bring about, and
 * what was answered all the same, so that it can be put right.
 */
export function askedOf({ network }: ToTrace, answers: ReadonlyMap<string, Observation>): AskedOf[] {
  const known = new Set(network.observations.map((o) => o.id));
  const isAnswered = (key: string): boolean => known.has(key) || (answers.get(key)?.state ?? 'not_checked') !== 'not_checked';
  return OBSERVATIONS.flatMap((o): AskedOf[] => {
    if (!o.perCorner) {
      // At each of several pedals, levers and reservoirs by itself.
      const each = network.observations.filter((s) => s.sign.code === o.code && s.corner === null);
      return [
        ...each.map((s) => ({ ...o, code: s.code, text: s.text, corners: [] })),
        ...(!each.some((s) => s.code === o.code) && isAnswered(o.code) ? [{ ...o, corners: [] }] : []),
      ];
    }
    const corners = CORNERS.filter((c) => isAnswered(observationKey(o.code, c)));
    return corners.length > 0 ? [{ ...o, corners }] : [];
  });
}
