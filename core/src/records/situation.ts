import type { Owed } from '../gauge/consequences.ts';
import type { ProofItem } from '../prove/items.ts';
import type { Standing } from '../standing/stands.ts';
import type { Book } from './book.ts';
import type { Component } from './components.ts';
import type { Observation } from './findingRecords.ts';

/** What the derivations of obligations start from. */
export interface Situation {
  readonly book: Book;
  readonly components: readonly Component[];
  /** Newest answer per observation key. */
  readonly answers: ReadonlyMap<string, Observation>;
  readonly proofItems: readonly ProofItem[];
  readonly hydraulic: boolean;
  /** What is owed because of what was found. */
  readonly owed: readonly Owed[];
  /** ISO instant. */
  readonly today: string;
  /** What was proved, and what ended it since. */
  readonly standing: Standing;
}
