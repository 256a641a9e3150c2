import type { Corner } from '../layout/kinds.ts';
import type { Role } from '../verdict/severity.ts';
import type { EventBase } from './eventBase.ts';

export type JobKind = 'overhaul' | 'axle' | 'unit' | 'fluid' | 'inspection' | 'conversion';

export type Finish = 'not_said' | 'driver' | 'tidy' | 'show';

export interface Job {
  readonly id: string;
  readonly vehicleId: string;
  readonly kind: JobKind;
  readonly complaint: string;
  readonly wants: string;
  readonly fluidKnown: string;
  readonly promised: string | null;
  /** How good is good enough, as agreed. Source: handbook 05, Finish to the vehicle. */
  readonly finish: Finish;
  /** What the owner has authorised, in the shop's money; null where nothing was said. */
  readonly authorised: number | null;
  readonly scopeCorners: readonly Corner[];
  /** Places taken in or left out by hand, beyond what the kind of job takes in. */
  readonly scopeIn: readonly string[];
  readonly scopeOut: readonly string[];
  readonly openedAt: string;
  readonly openedBy: string;
  /** Taken in from elsewhere as history; null for a job of this shop's own. */
  readonly importId: string | null;
  readonly version: number;
}

/** Where a job of the past came from: who took it in, when, from what. */
export interface JobImport {
  readonly id: string;
  readonly source: string;
  readonly importedBy: string;
  readonly importedAt: string;
}

/** Takes another event back: `corrects` names it. Of somebody else's entry with a reason; both are shown. */
export interface TakeBack extends EventBase {
  readonly reason: string;
}

/** Something that could only be done now, and was left undone by name when an access was closed. */
export interface LeftItem extends EventBase {
  /** The place whose fitting closes the access; null where it is the wheel. */
  readonly closedBy: string | null;
  /** The place of what was left. */
  readonly slotId: string;
  /** Stable name of what was left: of the obligation, or of the figure. */
  readonly item: string;
  /** As it was said on screen. */
  readonly what: string;
}

/** A job that was booked twice: nothing told in it counts. */
export interface JobVoid extends EventBase {
  readonly reason: string;
}

/** An answer to an item of after-care, after hand-back. */
export interface AfterCareAnswer extends EventBase {
  readonly item: string;
  readonly result: 'done' | 'taken_over' | 'failed';
  readonly note: string;
}

/** Added to a release record after the fact; `corrects` names what it is about, where that is an event. */
export interface Amendment extends EventBase {
  readonly words: string;
  readonly reason: string;
}

/** Says that a text was blacked out: `corrects` names the event it stood in. */
export interface Redaction extends EventBase {
  readonly field: string;
  /** The line of a hand-back sheet that was picked by sight; null where record and field say which. */
  readonly line: string | null;
  readonly reason: string;
}

export interface Acceptance extends EventBase {
  /** Key of the obligation that is accepted. */
  readonly obligation: string;
  readonly reason: string;
}

export interface CautionAck extends EventBase {
  readonly caution: string;
}

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
  readonly role: Role;
  readonly active: boolean;
}
