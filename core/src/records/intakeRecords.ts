import type { ComponentKind, Corner } from '../layout/kinds.ts';
import type { EventBase } from './eventBase.ts';

/** What a picture shows. */
export type PictureOf = 'vehicle' | 'came_with' | 'place' | 'paper' | 'finding';

/** A picture: the image itself is kept once, under the hash of its bytes. */
export interface Picture extends EventBase {
  /** SHA-256 of the image's bytes, hexadecimal. */
  readonly hash: string;
  readonly of: PictureOf;
  readonly slotId: string | null;
  /** The finding that it shows. */
  readonly findingId: string | null;
  readonly note: string;
}

/** What is looked at and tried at intake, corner by corner, before the first order. Source: handbook 05, 11 and 15. */
export type IntakeThing = 'unions' | 'bleeders' | 'hoses' | 'fasteners' | 'adjusters' | 'springs';

export type IntakeState = 'sound' | 'stiff' | 'rounded' | 'seized' | 'cracked' | 'leaks' | 'missing' | 'none_here';

export interface IntakeLook extends EventBase {
  /** The wheel; null for the middle of the vehicle. */
  readonly corner: Corner | null;
  readonly thing: IntakeThing;
  readonly state: IntakeState;
  readonly note: string;
}

/** Something that came with the vehicle in a box: what it is, for which place, and whether it fits there. */
export interface CameWith extends EventBase {
  readonly name: string;
  readonly kind: ComponentKind | null;
  readonly slotId: string | null;
  readonly partNumber: string | null;
  readonly count: number;
  readonly fits: 'fits' | 'does_not_fit' | 'not_tried';
  readonly note: string;
}

export type EarlierWhat = 'fluid_changed' | 'renewed' | 'overhauled' | 'machined' | 'inspected' | 'other';

export type KnownFrom = 'invoice' | 'service_book' | 'owner' | 'marked_on_part' | 'other';

/** Work of before the shop's own records, with its own, perhaps partial, date and where it is known from. */
export interface EarlierWork extends EventBase {
  readonly what: EarlierWhat;
  readonly slotId: string | null;
  /** As much of the day as is known: YYYY, YYYY-MM or YYYY-MM-DD. */
  readonly on: string;
  /** The date is a guess. */
  readonly about: boolean;
  readonly knownFrom: KnownFrom;
  /** Invoice number, page, who said it. */
  readonly source: string;
  /** Distance run then, km; null where it is not known. */
  readonly km: number | null;
  readonly note: string;
}
