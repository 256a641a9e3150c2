import type { JobHistory } from '../history/jobHistory.ts';
import { fastenerOf } from '../history/fasteners.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { fastenerKey, readFastener } from '../ledger/duty.ts';
import { FASTENER_REFUSED } from '../wording/en/fasteners.ts';

/** What may be left-handed on one side: nuts of hubs, and adjusters. Unions and bleeders never are. Source: handbook 58, D04. */
const MAY_BE_LEFT: readonly ComponentKind[] = ['hub', 'expander'];

/** The stored name of what holds a unit, where its thread may be left-handed; null where it never is. */
export function handedPoint(slot: Slot): string | null {
  return MAY_BE_LEFT.includes(slot.kind) ? fastenerKey({ of: 'unit', kind: slot.kind, slotId: slot.id }) : null;
}

/** Whether it is not known which way what holds a place is undone: nothing harsher than a soak is tried before. */
export function handUnknown(history: JobHistory, slot: Slot): boolean {
  const point = handedPoint(slot);
  if (point === null) return false;
  const fact = fastenerOf(history, point);
  return fact === null || fact.hand === 'unknown';
}

/** Why a fastener cannot be put on record under a stored name, in a sentence; null where the vehicle has such a wheel or unit. */
export function whyNotFastened(history: JobHistory, point: string): string | null {
  const { layout } = history.records;
  const fastener = readFastener(point);
  if (fastener.of === 'wheel') return layout.slots.some((s) => s.corner === fastener.corner) ? null : FASTENER_REFUSED.noWheel;
  return slotById(layout, fastener.slotId)?.kind === fastener.kind ? null : FASTENER_REFUSED.noUnit;
}
