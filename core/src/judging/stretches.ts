import type { JobHistory } from '../history/jobHistory.ts';
import { openFindings } from './components.ts';

/** A stretch along a part as it was found, mm, with the finding that says so. */
export interface DamageSegment {
  readonly findingId: string;
  /** When it was found, ISO instant. */
  readonly foundAt: string;
  readonly from: number;
  readonly to: number;
  /** mm; null where it was not measured. */
  readonly depth: number | null;
}

/** Where findings on what sits in a slot say from where to where, and nothing has settled them yet. */
export function stretchesAt(history: JobHistory, slotId: string): DamageSegment[] {
  return openFindings(history, slotId).flatMap((f) =>
    f.fromMm === null || f.toMm === null ? [] : [{ findingId: f.id, foundAt: f.happenedAt, from: f.fromMm, to: f.toMm, depth: f.depthMm }],
  );
}
