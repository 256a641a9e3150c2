import type { Diagnosis } from '../../inference/diagnose.ts';
import { type CauseLook, NOTHING_ELSE } from '../../ledger/families/causeLooks.ts';
import type { PlacedFault } from '../../stages/trace/network.ts';
import { linesOf } from './traceWords.ts';
import type { ToTrace } from './tracing.ts';

/** What is put down of a cause. */
export type Prediction = Pick<CauseLook, 'fault' | 'place' | 'state' | 'said' | 'rank'>;

/** A cause that was asked about or found: what had been said of it, and what the bench says. */
export interface ExpectedAndFound {
  readonly fault: PlacedFault;
  /** How likely it was before the bench made anything certain, 0 to 1. */
  readonly said: number;
  readonly rank: number;
  readonly state: 'wanted' | 'found' | 'absent';
}

/** The place of a cause among all: 1 is the likeliest; of equal ones that which stands first in the network. */
export function rankIn(expected: readonly number[], i: number): number {
  const mine = expected[i] ?? 0;
  return 1 + expected.filter((p, k) => p > mine || (p === mine && k < i)).length;
}

/** What is put down where somebody says something of a cause now. */
export function saidOf(of: ToTrace, result: Diagnosis, i: number, state: CauseLook['state']): Prediction[] {
  const fault = of.network.faults[i];
  return fault
    ? [{ fault: fault.kind.id, place: fault.place, state, said: result.expected[i] ?? null, rank: rankIn(result.expected, i) }]
    : [];
}

/** What was asked about or found, the likeliest as it had been said first; with what was said at the time it was. */
export function expectedAndFound(of: ToTrace, result: Diagnosis, looks: ReadonlyMap<string, CauseLook>): ExpectedAndFound[] {
  return of.network.faults
    .flatMap((fault, i): ExpectedAndFound[] => {
      const certain = of.evidence.found.get(fault.id);
      const look = looks.get(fault.id);
      const state = certain ? (certain.state === 'present' ? 'found' : 'absent') : look?.state === 'wanted' ? 'wanted' : null;
      const now = result.expected[i] ?? 0;
      return state === null ? [] : [{ fault, said: look?.said ?? now, rank: look?.rank ?? rankIn(result.expected, i), state }];
    })
    .sort((a, b) => b.said - a.said);
}

/** Whether anything else was found than what is named. */
export const nothingElse = (state: 'found' | 'open'): Prediction => ({
  ...{ fault: NOTHING_ELSE, place: 'system', state, said: null, rank: null },
});

/**
 * What is put down when nothing else was found: causes that stood on the list, or were to be looked for, and are not
 * answered are not there, what the catalogue's findings say is there is said so, with what had been said of each.
 */
export function toClose(of: ToTrace, result: Diagnosis, looks: ReadonlyMap<string, CauseLook>): Prediction[] {
  const listed = new Set(linesOf(of.network, result.causes).flatMap((l) => l.alike));
  const absent = of.network.faults.flatMap((fault, i) =>
    !of.evidence.found.has(fault.id) && (listed.has(i) || looks.get(fault.id)?.state === 'wanted') ? [i] : [],
  );
  const found = of.network.faults.flatMap((fault, i) =>
    of.evidence.found.get(fault.id)?.state === 'present' && looks.get(fault.id)?.state !== 'found' ? [i] : [],
  );
  return [
    ...absent.flatMap((i) => saidOf(of, result, i, 'absent')),
    ...found.flatMap((i) => saidOf(of, result, i, 'found')),
    nothingElse('found'),
  ];
}
