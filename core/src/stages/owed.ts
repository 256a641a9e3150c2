import type { MeasurementId } from '../catalogue/measurements.ts';
import type { Slot } from '../layout/graph.ts';
import type { Duty } from '../ledger/duty.ts';

/** Something owed because of something found. */
export interface Owed {
  readonly duty: Duty;
  readonly slot: Slot;
  readonly measurement: MeasurementId | null;
  readonly what: string;
  /** The same where its place is named beside it. */
  readonly brief: string;
  /** Why, in a sentence. */
  readonly because: string;
  readonly done: boolean;
  /** The record that closed it. */
  readonly closedBy: string | null;
}
