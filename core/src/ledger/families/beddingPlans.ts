import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** One step of bedding in: so many stops from one speed to another, and how long it runs free between two. */
export interface BeddingStep {
  readonly stops: number;
  readonly fromKmh: number;
  readonly toKmh: number;
  /** s. */
  readonly coolS: number;
}

/** How new linings are bedded in, by the product's own steps. Source: handbook 60, Proving. */
export interface BeddingPlan extends JobEvent {
  readonly product: string;
  readonly steps: readonly BeddingStep[];
  /** Where the steps stand: its slip, its maker's sheet. */
  readonly source: string;
}

export const beddingPlans: FamilyDescriptor<BeddingPlan> = {
  ...PLAIN,
  label: 'bedding plan',
  subjects: ['vehicle'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['product', 'source'],
};
