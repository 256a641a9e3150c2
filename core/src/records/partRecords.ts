import type { ComponentKind } from '../layout/kinds.ts';
import type { EventBase } from './eventBase.ts';

export interface Part {
  readonly id: string;
  readonly tag: string | null;
  readonly kind: ComponentKind;
  readonly name: string;
  readonly partNumber: string | null;
  readonly note: string;
}

export type PartEventKind =
  'found' | 'removed' | 'fitted' | 'sent' | 'returned' | 'machined' | 'freed' | 'opened' | 'resealed' | 'coated' | 'scrapped';

export interface PartEvent extends EventBase {
  readonly partId: string;
  readonly kind: PartEventKind;
  readonly slotId: string | null;
  readonly note: string;
  /** Fitted for now only: shows everywhere until what belongs there is fitted. */
  readonly temporary: boolean;
  /** Day until which something fitted for now may stay; null where none was set. */
  readonly until: string | null;
}

export type PutInKind = 'block' | 'cap' | 'plug' | 'clamp' | 'mask' | 'tie' | 'chock' | 'other';

/** Something put in at a place that must come out again. */
export interface PutIn extends EventBase {
  readonly slotId: string;
  readonly what: PutInKind;
  readonly note: string;
}

export interface TakenOut extends EventBase {
  readonly putInId: string;
}

export type JointEventKind = 'opened' | 'made' | 'torqued' | 'looked' | 'held' | 'weeps';

export type JointSeal = 'flare' | 'washers' | 'taper_sealant' | 'o_ring' | 'other';

/** What happened to a joint: the end of a line at a place. */
export interface JointEvent extends EventBase {
  readonly connectionId: string;
  readonly slotId: string;
  readonly kind: JointEventKind;
  /** How it was sealed when it was made. */
  readonly seal: JointSeal | null;
  readonly note: string;
}

/** Says that two articles on record are one (join), or that one is two from an instant on (split). */
export interface PartCorrection extends EventBase {
  readonly kind: 'join' | 'split';
  readonly partId: string;
  /** The article that stays (join), or the new one (split). */
  readonly otherId: string;
  /** Split: what happened from this instant on happened to the other one. */
  readonly since: string | null;
  readonly reason: string;
}
