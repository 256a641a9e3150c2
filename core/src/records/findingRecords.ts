import type { ComponentKind, Corner } from '../layout/kinds.ts';
import type { EventBase } from './eventBase.ts';
import type { OptionId } from './workRecords.ts';

export type FindingCode = 'no_lining' | 'fluid_here' | 'blue' | 'seized' | 'broken' | 'rub_mark' | 'pitted' | 'worn_lip';

export type FindingSeverity = 'note' | 'watch' | 'doubt' | 'reject';

export interface Finding extends EventBase {
  readonly slotId: string;
  readonly partId: string | null;
  readonly words: string;
  /** What it is called, where it is one that others follow from. */
  readonly code: FindingCode | null;
  readonly severity: FindingSeverity;
  readonly cleaning: 'before' | 'after';
  readonly rulesOut: readonly OptionId[];
  /** An earlier finding that this one settles. */
  readonly settles: string | null;
  /** Which of the catalogue, or of the shop's own, it is; null where it was only said in words. */
  readonly entry: string | null;
  /** Where on the part. */
  readonly place: string | null;
  /** A stretch along it, mm: of a piston from its outer face, of a bore from its mouth. */
  readonly fromMm: number | null;
  readonly toMm: number | null;
  /** How deep, mm. */
  readonly depthMm: number | null;
}

/** What a finding in words alone has nothing of. */
export const SAID_IN_WORDS = { entry: null, place: null, fromMm: null, toMm: null, depthMm: null } as const satisfies Partial<Finding>;

/** A finding that the shop added to the catalogue. */
export interface FindingEntry {
  readonly id: string;
  readonly kinds: readonly ComponentKind[];
  readonly name: string;
  /** What it looks like, in a sentence. */
  readonly looks: string;
  /** Why it matters, in a sentence. */
  readonly matters: string;
  readonly severity: FindingSeverity;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

export interface Observation extends EventBase {
  readonly code: string;
  readonly corner: Corner | null;
  readonly state: 'seen' | 'not_seen' | 'not_checked';
}

/** Stands for the whole list of causes: nothing but what is named was found. */
export const NOTHING_ELSE = 'nothing_else';

/** What is said of a cause: that it is to be looked for on the bench, or what the bench found. */
export interface CauseLook extends EventBase {
  /** A kind of fault of the tables, or nothing_else. */
  readonly fault: string;
  /** Where: a slot, a wheel, a circuit, or the system. */
  readonly place: string;
  readonly state: 'wanted' | 'found' | 'absent' | 'open';
  /** How likely it had been said to be, 0 to 1, and as which of the list; null where nothing had been said. */
  readonly said: number | null;
  readonly rank: number | null;
}

/** How much likelier a kind of fault is taken to be here than the tables say, as reckoned from the shop's own cases. */
export interface PriorVersion {
  readonly id: string;
  readonly fault: string;
  /** By which its odds are multiplied; 1 takes back what was taken over. */
  readonly times: number;
  /** Places looked at and found in, as they stood when it was taken over. */
  readonly lookedAt: number;
  readonly found: number;
  readonly enteredBy: string;
  readonly enteredAt: string;
}
