import type { ComponentKind } from '../../layout/kinds.ts';
import type { OptionId } from '../repairOptions.ts';

/** Where in the order of the work a step belongs. Source: handbook 55, What a card is made of. */
export type StepGroup = 'before lifting' | 'strip' | 'clean' | 'finish' | 'gauge' | 'assemble' | 'fit' | 'after';

export interface CardStep {
  readonly group: StepGroup;
  /** Imperative, one sentence. */
  readonly words: string;
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
}

/** The school that a shop follows in a house rule; null where it has picked none. */
export type Followed = (rule: string) => string | null;

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

type StepMore = Partial<Pick<CardStep, 'waits' | 'takes' | 'of' | 'by' | 'only'>>;
export const step = (group: StepGroup, minutes: number, words: string, more: StepMore = {}): CardStep => ({
  ...{ group, words, minutes, waits: null, takes: [], of: [], by: null, only: null },
  ...more,
});
export const piece = (name: string, count = 1): CardPiece => ({ name, count });

export const card = (
  id: string,
  name: string,
  kinds: readonly ComponentKind[],
  serves: readonly OptionId[],
  steps: readonly CardStep[],
  styles: readonly string[] = [],
): WorkCard => ({ id, name, kinds, styles, serves, steps });
