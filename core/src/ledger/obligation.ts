import { itemBase } from '../catalogue/proofItems.ts';
import type { Stage } from '../catalogue/stages.ts';
import { type Duty, dutyKey, stageOf } from './duty.ts';

/** Something a job still owes, or has done: derived, never stored. */
export interface Obligation {
  readonly duty: Duty;
  /** Stable name of the duty, as acceptances are stored with it. */
  readonly key: string;
  readonly stage: Stage;
  readonly slotId: string | null;
  readonly what: string;
  /** The same where its place is named beside it. */
  readonly brief: string;
  readonly state: 'open' | 'waiting' | 'closed' | 'put_off';
  /** Why it cannot be done yet, where a rule asks that. */
  readonly waitsFor: 'part_away' | 'on_order' | 'part_fitted' | 'hydraulic_parts' | null;
  /** What it waits for, or why it blocks. */
  readonly why: string | null;
  /** Who may accept it with a reason; null where it has to be answered by the work. */
  readonly acceptBy: 'technician' | 'lead' | null;
  /** What it rests on now: an acceptance holds only for this, and falls when a figure, a verdict or an answer changes. */
  readonly rests: string;
  /** The same as an earlier program wrote it down, where it wrote it otherwise; null where it did not. */
  readonly restsBefore: string | null;
  /** Id of the record that closed it, where one record did. */
  readonly closedBy: string | null;
}

/** What an acceptance refers to: the obligation, who may accept it, and what it rests on. */
export function acceptanceKey(o: Obligation): string {
  return `${o.key}|${o.acceptBy ?? ''}|${o.rests}`;
}

/** Whether one of the acceptances that stand, by what they refer to, is of this obligation as it rests now. */
export function isAccepted(o: Obligation, stored: ReadonlySet<string>): boolean {
  return stored.has(acceptanceKey(o)) || (o.restsBefore !== null && stored.has(acceptanceKey({ ...o, rests: o.restsBefore })));
}

/** The name of the duty in what an acceptance refers to. */
export function dutyNameOf(stored: string): string {
  return stored.split('|')[0] ?? '';
}

type Further = Partial<Omit<Obligation, 'duty' | 'key' | 'stage' | 'what'>>;

export function obligation(duty: Duty, what: string, closed: boolean, more: Further = {}): Obligation {
  return {
    duty,
    key: dutyKey(duty),
    stage: stageOf(duty),
    slotId: null,
    what,
    brief: what,
    state: closed ? 'closed' : 'open',
    waitsFor: null,
    why: null,
    acceptBy: null,
    rests: '',
    restsBefore: null,
    closedBy: null,
    ...more,
  };
}

/** Whether an obligation is this item of proof, of whichever control, and of no wheel. */
export function isProofOf(o: Obligation, item: string): boolean {
  return isDuty(o, 'proof') && itemBase(o.duty.item) === item && o.duty.corner === null;
}

/** Whether an obligation is of one of these kinds. */
export function isDuty<K extends Duty['kind']>(
  o: Obligation,
  ...kinds: readonly K[]
): o is Obligation & { readonly duty: Duty & { kind: K } } {
  return (kinds as readonly string[]).includes(o.duty.kind);
}
