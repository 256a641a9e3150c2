import type { LineShape } from '../ledger/families/lineShapes.ts';
import type { JobHistory } from './jobHistory.ts';

/** How a line was measured last, on whichever job of its vehicle; null where it never was. */
export function shapeOf(history: JobHistory, connectionId: string): LineShape | null {
  return history.active(history.records.lineShapes).findLast((s) => s.connectionId === connectionId) ?? null;
}
