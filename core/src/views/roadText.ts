import { observationFacts } from '../catalogue/observations.ts';
import type { JobState } from '../job/job.ts';
import type { Proof } from '../ledger/families/proofs.ts';
import { convert, figure } from '../quantity/display.ts';
import { SHEET } from '../wording/en/sheet.ts';

/**
 * How far a road test went, in the vehicle's own unit, what was felt, and who drove it as well: "driven 14 km; nothing felt".
 * @param secondOwed another is still to drive it, each alone: what the first felt is not told before
 * @returns null for what is no road test
 */
export function roadText(state: JobState, p: Proof, secondOwed = false): string | null {
  if (p.roadKm == null) return null;
  const unit = state.records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km';
  const far = `${figure(convert(p.roadKm, 'distance_run', unit))} ${unit}`;
  const nameOf = (id: string | null): string | null => state.records.people.find((person) => person.id === id)?.name ?? null;
  if (secondOwed) return SHEET.roadAlone(far, nameOf(p.authorId) ?? '');
  const felt = p.felt?.flatMap((code) => observationFacts(code)?.text ?? []) ?? null;
  const item = state.context.proofItems.find((i) => i.item === p.item && i.corner === p.corner);
  const second = item && p.result === 'passed' ? state.context.proofStatus.confirmedBy(item) : null;
  return SHEET.road(far, felt, nameOf(second));
}
