import type { JobHistory } from '../history/jobHistory.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import type { SendOut } from '../ledger/families/sendOuts.ts';
import type { SendOutStep } from '../ledger/families/sendOutSteps.ts';

/** What a send-out has come to: whether the part is in the box, away, back, looked at. */
export interface OutState {
  readonly out: SendOut;
  readonly steps: readonly SendOutStep[];
  readonly dropped: boolean;
  /** Instants of sending and coming back, told of the part; null where it has not. */
  readonly sent: string | null;
  readonly back: string | null;
  readonly checked: 'right' | 'wrong' | null;
  /** Pieces that did not come back, as far as they were counted. */
  readonly short: number;
  readonly expected: string | null;
  /** Net, minor units; null where nobody said it. */
  readonly cost: number | null;
  readonly done: boolean;
}

/**
 * What a send-out has come to.
 * @param next instant at which the same part was put in a box again; null where it was not
 * @param steps of this send-out that stand, in their order
 * @param events what happened to its part, in order
 */
export function outState(out: SendOut, next: string | null, steps: readonly SendOutStep[], events: readonly PartEvent[]): OutState {
  const mine = events.filter((e) => e.partId === out.partId && e.happenedAt >= out.happenedAt && (next === null || e.happenedAt < next));
  const sent = mine.find((e) => e.kind === 'sent')?.happenedAt ?? null;
  const back = mine.find((e) => e.kind === 'returned' && sent !== null && e.happenedAt >= sent)?.happenedAt ?? null;
  const check = steps.findLast((s) => s.kind === 'checked' && back !== null && s.happenedAt >= back);
  const dropped = steps.some((s) => s.kind === 'dropped') && sent === null;
  const short = Math.max(0, out.count - (check?.count ?? out.count));
  return {
    ...{ out, steps, dropped, sent, back, short },
    checked: check?.result ?? null,
    expected: steps.findLast((s) => s.kind === 'promised')?.day ?? null,
    cost: steps.findLast((s) => s.kind === 'cost')?.amount ?? null,
    done: dropped || (check?.result === 'right' && short === 0),
  };
}

const known = new WeakMap<JobHistory, readonly OutState[]>();

/** Every send-out of a job with what it has come to, the oldest first; worked out once a history. */
export function outStates(history: JobHistory): readonly OutState[] {
  const had = known.get(history);
  if (had) return had;
  const events = history.active(history.records.partEvents);
  const all = history.active(history.records.sendOutSteps);
  const outs = history.active(history.records.sendOuts);
  const states = outs.map((out) => {
    const next = outs.find((o) => o.partId === out.partId && o.happenedAt > out.happenedAt)?.happenedAt ?? null;
    return outState(
      out,
      next,
      all.filter((s) => s.sendOutId === out.id),
      events,
    );
  });
  known.set(history, states);
  return states;
}

/** Why a step cannot be of a send-out, as it has come to; null where it can. */
export type OutRefusal =
  'not_back' | 'went_already' | 'more_than_went' | 'short' | 'unlooked' | 'no_day' | 'not_gauged' | 'past' | 'no_sum';

/**
 * @param looks what is looked at of its kind: threads, seats, masks
 * @param gauged of what was cut: what its figures after the cut say; null where it was not cut, `none` where it was not gauged
 */
export function whyNotOutStep(
  s: OutState,
  step: Pick<SendOutStep, 'kind' | 'day' | 'result' | 'count' | 'looked' | 'amount'>,
  looks: readonly string[],
  gauged: 'good' | 'past' | 'none' | null,
): OutRefusal | null {
  switch (step.kind) {
    case 'promised':
      return step.day === null ? 'no_day' : s.back !== null ? 'went_already' : null;
    case 'chased':
      return null;
    case 'cost':
      return step.amount === null ? 'no_sum' : null;
    case 'dropped':
      return s.sent === null ? null : 'went_already';
    case 'checked':
      if (s.back === null) return 'not_back';
      if (step.count === null || step.count > s.out.count) return 'more_than_went';
      if (step.result !== 'right') return step.result === null ? 'unlooked' : null;
      if (step.count < s.out.count) return 'short';
      if (looks.some((l) => !step.looked.includes(l))) return 'unlooked';
      return gauged === 'none' ? 'not_gauged' : gauged === 'past' ? 'past' : null;
  }
}

/** What is looked at of everything that comes back. Source: handbook 55, card 24. */
export const BACK_LOOKS = ['Threads', 'Seats and faces', 'Nothing left of masks or plugs'] as const;

/** Parts of one batch that are still to go: named, since the others wait for them. */
export function stillInPost(states: readonly OutState[], batch: string, supplierId: string): OutState[] {
  const mine = states.filter((o) => !o.dropped && o.out.batch === batch && o.out.supplierId === supplierId);
  return mine.some((o) => o.sent !== null) ? mine.filter((o) => o.sent === null) : [];
}

/** A batch of which part has gone and part has not: what is away waits there for the rest. */
export interface WaitingBatch {
  readonly supplier: string;
  readonly batch: string;
  readonly missing: readonly OutState[];
}

/** Batches that are away and wait for more of them, each once. Source: handbook 55, card 24. */
export function waitingBatches(states: readonly OutState[]): WaitingBatch[] {
  const away = states.filter((o) => o.sent !== null && o.back === null && o.out.batch !== '');
  const each = new Map(away.map((o) => [`${o.out.supplierId}|${o.out.batch}`, o.out] as const));
  return [...each.values()]
    .map(({ supplierId, supplier, batch }) => ({ supplier, batch, missing: stillInPost(states, batch, supplierId) }))
    .filter((b) => b.missing.length > 0);
}
