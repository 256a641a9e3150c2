import type { JobHistory } from '../history/jobHistory.ts';
import type { OrderLine } from '../ledger/families/orderLines.ts';
import type { OrderStep } from '../ledger/families/orderSteps.ts';
import { daysAfter } from '../quantity/calendar.ts';

/** Days after an arrival until which what is wrong is sent back, or the old unit for its core money, where nobody said another day; generic. */
export const RETURN_DAYS = 14;
export const CORE_DAYS = 30;

/** What one line has come to, counted from its steps. */
export interface LineState {
  readonly line: OrderLine;
  readonly steps: readonly OrderStep[];
  readonly cancelled: number;
  readonly arrived: number;
  readonly right: number;
  /** Looked at, and not to be fitted. */
  readonly bad: number;
  readonly returned: number;
  /** Still to come. */
  readonly coming: number;
  /** Arrived, and not looked at. */
  readonly toCheck: number;
  /** Not to be fitted, and still here. */
  readonly toReturn: number;
  /** Money for what went back has not come; only where something went back. */
  readonly creditWaits: boolean;
  /** Old units whose core money is out: still here, or sent and not credited. */
  readonly core: 'none' | 'here' | 'sent' | 'settled';
  /** Old units that are still to be sent, and that were sent and not credited. */
  readonly coresHere: number;
  readonly coresOut: number;
  /** Newest promised day; null where none was said. */
  readonly expected: string | null;
  readonly credited: number;
  /** Nothing of it is open any more. */
  readonly done: boolean;
  /** What falls due, with its day, the nearest first. */
  readonly dues: readonly { readonly what: 'return' | 'claim' | 'core'; readonly on: string }[];
}

const total = (steps: readonly OrderStep[], kind: OrderStep['kind'], holds: (s: OrderStep) => boolean = () => true): number =>
  steps.filter((s) => s.kind === kind && holds(s)).reduce((sum, s) => sum + s.count, 0);

/** What a line has come to. @param steps of this line that stand, in their order */
export function lineState(line: OrderLine, steps: readonly OrderStep[]): LineState {
  const cancelled = total(steps, 'cancelled');
  const arrived = total(steps, 'arrived');
  const right = total(steps, 'checked', (s) => s.result === 'right');
  const bad = total(steps, 'checked', (s) => s.result !== 'right');
  const returned = total(steps, 'returned');
  const coming = Math.max(0, line.count - cancelled - arrived);
  const toCheck = Math.max(0, arrived - right - bad);
  const toReturn = Math.max(0, bad - returned);
  const cores = line.core === null || line.core === 0 ? 0 : right;
  const coresHere = Math.max(0, cores - total(steps, 'core_sent') - total(steps, 'core_kept'));
  const coresOut = Math.max(0, total(steps, 'core_sent') - total(steps, 'core_credited'));
  const core = cores === 0 ? 'none' : coresHere > 0 ? 'here' : coresOut > 0 ? 'sent' : 'settled';
  const creditWaits = returned > 0 && total(steps, 'credited') < returned;
  const bads = steps.filter((s) => s.kind === 'checked' && s.result !== 'right');
  const came = steps.findLast((s) => s.kind === 'arrived');
  const day = (s: OrderStep, usual: number): string => s.day ?? daysAfter(s.happenedAt.slice(0, 10), usual);
  const dues = [
    ...(toReturn > 0
      ? bads.slice(-1).map((s) => ({ what: s.result === 'damaged' ? ('claim' as const) : ('return' as const), on: day(s, RETURN_DAYS) }))
      : []),
    ...(core === 'here' && came ? [{ what: 'core' as const, on: day(came, CORE_DAYS) }] : []),
  ].sort((a, b) => (a.on < b.on ? -1 : 1));
  return {
    ...{ line, steps, cancelled, arrived, right, bad, returned, coming, toCheck, toReturn, creditWaits, core, coresHere, coresOut, dues },
    expected: steps.findLast((s) => s.kind === 'promised' && s.day !== null)?.day ?? line.expected,
    credited: steps.reduce((sum, s) => sum + (s.amount ?? 0), 0),
    done: coming === 0 && toCheck === 0 && toReturn === 0 && !creditWaits && core !== 'here' && core !== 'sent',
  };
}

const known = new WeakMap<JobHistory, readonly LineState[]>();

/** Every order line of a job with what it has come to, the oldest first; worked out once a history. */
export function orderStates(history: JobHistory): readonly LineState[] {
  const had = known.get(history);
  if (had) return had;
  const steps = history.active(history.records.orderSteps);
  const states = history.active(history.records.orderLines).map((line) =>
    lineState(
      line,
      steps.filter((s) => s.lineId === line.id),
    ),
  );
  known.set(history, states);
  return states;
}

/** How many of what was ordered are on their way, here and not looked at, or found right: not to be ordered again. */
export function inHand(s: LineState): number {
  return s.coming + s.toCheck + s.right;
}

/** Why a step cannot be of a line, as it has come to; null where it can. */
export type StepRefusal = 'nothing_to_come' | 'nothing_to_check' | 'nothing_to_return' | 'nothing_to_credit' | 'no_core' | 'no_day';

export function whyNotStep(s: LineState, step: Pick<OrderStep, 'kind' | 'count' | 'day' | 'result'>): StepRefusal | null {
  switch (step.kind) {
    case 'promised':
      return s.coming === 0 ? 'nothing_to_come' : step.day === null ? 'no_day' : null;
    case 'chased':
      return s.coming === 0 && !s.creditWaits && s.core !== 'sent' ? 'nothing_to_come' : null;
    case 'arrived':
    case 'cancelled':
      return step.count > s.coming ? 'nothing_to_come' : null;
    case 'checked':
      return step.result === null || step.count > s.toCheck ? 'nothing_to_check' : null;
    case 'returned':
      return step.count > s.toReturn ? 'nothing_to_return' : null;
    case 'credited':
      return step.count > s.returned - total(s.steps, 'credited') ? 'nothing_to_credit' : null;
    case 'core_sent':
    case 'core_kept':
      return step.count > s.coresHere ? 'no_core' : null;
    case 'core_credited':
      return step.count > s.coresOut ? 'no_core' : null;
  }
}

/** Whether the steps that are left when one is taken back could still have been taken, one after the other. */
export function holdsWithout(s: LineState, stepId: string): boolean {
  let before: readonly OrderStep[] = [];
  for (const step of s.steps) {
    if (step.id === stepId) continue;
    if (whyNotStep(lineState(s.line, before), step) !== null) return false;
    before = [...before, step];
  }
  return true;
}
