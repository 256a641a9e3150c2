import type { ProofItem } from '../catalogue/proofItems.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from '../judging/components.ts';
import type { Owed } from './owed.ts';
import type { Observation } from '../ledger/families/observations.ts';
import type { ProofFigure } from '../readiness/proofFigures.ts';
import type { ProofStatus } from '../readiness/proofStatus.ts';

/** What the derivations of obligations start from. */
export interface RuleContext {
  readonly history: JobHistory;
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
  readonly proofStatus: ProofStatus;
  /** The figures that an item of proof stands on, as they stand. */
  readonly figuresOf: (item: ProofItem) => readonly ProofFigure[];
}
