import type { ComponentKind } from '../../layout/kinds.ts';
import type { OptionId } from '../repairOptions.ts';

/** Where in the order of the work a step belongs, in that order. Source: handbook 55, What a card is made of. */
export const STEP_GROUPS = ['before lifting', 'strip', 'clean', 'finish', 'gauge', 'assemble', 'fit', 'after'] as const;
export type StepGroup = (typeof STEP_GROUPS)[number];

/** Kinds of vehicle with steps of their own: those worked by a lever at the handlebar. */
export const RIGS = ['motorcycle'] as const;
export type Rig = (typeof RIGS)[number];

/** What a step is: done by hand, looked at, gauged, drawn up to a figure, pictured, or waited for. */
export const STEP_KINDS = ['do', 'look', 'figure', 'torque', 'picture', 'wait'] as const;
type StepKind = (typeof STEP_KINDS)[number];

/** Where a step is done. */
export const WORK_PLACES = ['vehicle', 'bench', 'washer', 'bath', 'cabinet', 'press', 'lathe', 'oven', 'outside'] as const;
export type WorkPlace = (typeof WORK_PLACES)[number];

/** What happens to the part in a place, or to the line at it, and closes a step by its own record. */
export const STEP_RECORDS = [
  ...(['removed', 'opened', 'honed', 'resealed', 'machined', 'relined', 'coated', 'fitted'] as const),
  ...(['line_opened', 'line_made'] as const),
] as const;
export type StepRecord = (typeof STEP_RECORDS)[number];

/**
 * What has to be true before a step, read from the records and never ticked. A hard one is passed by nobody; any other by a lead
 * with a reason. Source: handbook 55, gate; 50, Order rules.
 */
export const GATES = [
  ...(['made_safe', 'pedal_barred', 'off', 'capped', 'opened', 'pistons_move', 'bore_holds', 'cured', 'arrived', 'resealed'] as const),
  ...(['shoes_set', 'circuit_closed'] as const),
] as const;
export type Gate = (typeof GATES)[number];
export const HARD_GATES: readonly Gate[] = ['made_safe', 'bore_holds', 'arrived', 'opened'];

/** What a step rests on: a record of the vehicle, another step before it, one told since another, or one that must not be done yet. */
export type Need =
  | { readonly of: 'record'; readonly gate: Gate }
  | { readonly of: 'after'; readonly step: string }
  | { readonly of: 'since'; readonly step: string; readonly than: string }
  | { readonly of: 'before'; readonly step: string };

/** What goes on, where, and where never. */
export interface Lubricant {
  readonly what: 'fluid' | 'kit_grease' | 'pin_grease' | 'plate_grease' | 'anti_seize' | 'bearing_grease' | 'film' | 'none';
  readonly where: string;
  readonly never: string;
}

export interface CardStep {
  /** Within its card, and stable: what was told of a step is told of this. */
  readonly id: string;
  readonly group: StepGroup;
  /** Imperative, one sentence. */
  readonly words: string;
  /** Why it is done, or done then; one sentence. */
  readonly why: string;
  readonly kind: StepKind;
  readonly at: WorkPlace;
  /** Attended minutes, generic: a first guess that the shop's own times replace. */
  readonly minutes: number;
  /** Hours that it waits for by itself, and for what. */
  readonly waits: { readonly hours: number; readonly on: string } | null;
  /** One-use parts and consumables that it takes, by their names in the price book. */
  readonly takes: readonly CardPiece[];
  /** Decisions that need it; none named: every one that the card serves. */
  readonly of: readonly OptionId[];
  /** The house rule by which it is done one way or another, with its words by school. */
  readonly by: { readonly rule: string; readonly words: Readonly<Record<string, string>> } | null;
  /** Schools of a house rule by which it is done at all; a shop that has picked none does it where `picked` is not asked for. */
  readonly only: { readonly rule: string; readonly schools: readonly string[]; readonly picked: boolean } | null;
  readonly needs: readonly Need[];
  readonly lubricant: Lubricant | null;
  /** Which way round, in words; empty where nothing can be turned. */
  readonly orientation: string;
  /** What is unlike at the two sides by design: said here instead of being mirrored; empty where nothing is. Source: handbook 58, A07. */
  readonly unlike: string;
  /** Tools beyond the usual, and what must lie ready. */
  readonly ready: string;
  /** What hurts somebody here; empty where nothing beyond the usual does. Source: handbook 80. */
  readonly hazard: string;
  /** A unit is not complete without it. */
  readonly obliged: boolean;
  /** A second person is asked for. */
  readonly second: boolean;
  /** The record of the part that closes it; null where it is closed by being told. */
  readonly enters: StepRecord | null;
  /** The kind of vehicle that it is done on alone; null on any. */
  readonly rig: Rig | null;
}

/** How a shop works: the school that it follows in a house rule, null where it has picked none, and a card as it does it. */
export interface Followed {
  (rule: string): string | null;
  readonly card?: (work: WorkCard) => WorkCard;
}

/** A piece that a step takes: of the price book by its name, so many at each unit. */
export interface CardPiece {
  readonly name: string;
  readonly count: number;
}

/** The order of the work for one kind of unit and some decisions, as data. Source: handbook 55. */
export interface WorkCard {
  readonly id: string;
  readonly name: string;
  readonly kinds: readonly ComponentKind[];
  /** Styles of those kinds that it is for; none named: all. */
  readonly styles: readonly string[];
  readonly serves: readonly OptionId[];
  readonly steps: readonly CardStep[];
}

/** By which name the price book has what circuits are filled with. */
export const BRAKE_FLUID = 'Brake fluid';

type StepMore = Partial<Omit<CardStep, 'id' | 'group' | 'minutes' | 'words' | 'why'>>;
/** Steps of one group at their place: by hand, obligatory, nothing in their way, where nothing else is said. */
export const step = (id: string, group: StepGroup, minutes: number, words: string, why: string, more: StepMore = {}): CardStep => ({
  ...{ id, group, words, why, minutes, waits: null, takes: [], of: [], by: null, only: null, needs: [], lubricant: null },
  ...{ kind: 'do', at: group === 'clean' || group === 'assemble' || group === 'gauge' ? 'bench' : 'vehicle' },
  ...{ orientation: '', unlike: '', ready: '', hazard: '', obliged: true, second: false, enters: null, rig: null },
  ...more,
});
export const piece = (name: string, count = 1): CardPiece => ({ name, count });
export const record = (gate: Gate): Need => ({ of: 'record', gate });
export const after = (id: string): Need => ({ of: 'after', step: id });
export const since = (id: string, than: string): Need => ({ of: 'since', step: id, than });
export const before = (id: string): Need => ({ of: 'before', step: id });
export const lubricant = (what: Lubricant['what'], where: string, never = ''): Lubricant => ({ what, where, never });

export const card = (
  id: string,
  name: string,
  kinds: readonly ComponentKind[],
  serves: readonly OptionId[],
  steps: readonly CardStep[],
  styles: readonly string[] = [],
): WorkCard => ({ id, name, kinds, styles, serves, steps });
