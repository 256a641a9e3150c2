import { type OptionId, type ReasonCode, RENEWS, STAYS } from '../catalogue/repairOptions.ts';
import type { Component } from '../judging/components.ts';
import type { DecideRow } from './rows.ts';

/** Why a place is decided so, as the records have it: a limit, a finding, the other side of the axle, or before it fails. */
export function reasonCodeFor(row: DecideRow, c: Component, option: OptionId): ReasonCode | null {
  if (STAYS.includes(option)) return null;
  if (c.judged.some((j) => j.verdict === 'past')) return 'limit';
  if (c.findings.some((f) => f.severity === 'reject' || f.severity === 'doubt')) return 'finding';
  const others = row.members.filter((m) => m.slot.id !== c.slot.id);
  if (RENEWS.includes(option) && others.some((m) => m.verdict === 'past')) return 'pair';
  return 'preventive';
}
