import type { ComponentKind } from '../layout/kinds.ts';
import type { OptionId } from './repairOptions.ts';

export type FindingCode =
  'deposits' | 'no_lining' | 'fluid_here' | 'blue' | 'seized' | 'broken' | 'rub_mark' | 'pitted' | 'worn_lip' | 'oil_here';

export type FindingSeverity = 'note' | 'watch' | 'doubt' | 'reject';

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

/** One kind of finding: what it looks like, and why it matters. */
export interface KnownFinding extends Omit<FindingEntry, 'enteredBy' | 'enteredAt'> {
  readonly rulesOut: readonly OptionId[];
  /** What others follow from, where they do. */
  readonly code: FindingCode | null;
  /** It lies along the part: from where to where, and how deep, is asked for. */
  readonly stretch: boolean;
}

/** An entry of the catalogue. */
export const known = (
  id: string,
  kinds: readonly ComponentKind[],
  name: string,
  looks: string,
  matters: string,
  severity: FindingSeverity,
  more: Partial<Pick<KnownFinding, 'rulesOut' | 'code' | 'stretch'>> = {},
): KnownFinding => ({ id, kinds, name, looks, matters, severity, rulesOut: [], code: null, stretch: false, ...more });
