import type { LineShape } from '../ledger/families/lineShapes.ts';
import type { JobHistory } from './jobHistory.ts';

/** How a line was measured, on whichever job of its vehicle, the newest last. */
export function shapesOf(history: JobHistory, connectionId: string): LineShape[] {
  return history.active(history.records.lineShapes).filter((s) => s.connectionId === connectionId);
}

/** How a line was measured last; null where it never was. */
export function shapeOf(history: JobHistory, connectionId: string): LineShape | null {
  return shapesOf(history, connectionId).at(-1) ?? null;
}
