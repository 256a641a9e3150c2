/** The seven stages in the order in which the work is done. */
export type Stage = 'bookin' | 'trace' | 'gauge' | 'decide' | 'rebuild' | 'bleed' | 'prove';
export const STAGES: readonly Stage[] = ['bookin', 'trace', 'gauge', 'decide', 'rebuild', 'bleed', 'prove'];
export const STAGE_NAME: Readonly<Record<Stage, string>> = {
  bookin: 'Book in',
  trace: 'Trace',
  gauge: 'Gauge',
  decide: 'Decide',
  rebuild: 'Rebuild',
  bleed: 'Bleed',
  prove: 'Prove',
};

/** Something a job still owes, or has done: derived, never stored. */
export interface Obligation {
  /** Stable name. */
  readonly key: string;
  readonly stage: Stage;
  readonly slotId: string | null;
  readonly what: string;
  readonly state: 'open' | 'waiting' | 'closed' | 'put_off';
  /** What it waits for, or why it blocks. */
  readonly why: string | null;
  /** Who may accept it with a reason; null where it has to be answered by the work. */
  readonly acceptBy: 'technician' | 'lead' | null;
  /** What it rests on now: an acceptance holds only for this, and falls when a figure, a verdict or an answer changes. */
  readonly rests: string;
  /** Id of the record that closed it, where one record did. */
  readonly closedBy: string | null;
}

/** What an acceptance refers to: the obligation, who may accept it, and what it rests on. */
export function acceptanceKey(o: Obligation): string {
  return `${o.key}|${o.acceptBy ?? ''}|${o.rests}`;
}

export function obligation(stage: Stage, key: string, what: string, closed: boolean, more: Partial<Obligation> = {}): Obligation {
  return {
    key,
    stage,
    slotId: null,
    what,
    state: closed ? 'closed' : 'open',
    why: null,
    acceptBy: null,
    rests: '',
    closedBy: null,
    ...more,
  };
}
