import type { OptionId, ReasonCode } from '../../catalogue/repairOptions.ts';
import type { BoreMaterial } from '../../catalogue/repairOptions.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface Decision extends JobEvent {
  readonly slotId: string;
  readonly partId: string | null;
  readonly option: OptionId;
  readonly reason: string;
  /** Why, as a code; null where none was said. */
  readonly code: ReasonCode | null;
  readonly reviewOn: string | null;
  /** Put off until this distance run, km, or until this access is open. */
  readonly untilKm: number | null;
  readonly access: string | null;
  /** Metal of the bore that is honed, as its author saw it; null for every other option. */
  readonly metal: BoreMaterial | null;
  /** Ids of the decisions on this place that its author saw in force; null where none is named. */
  readonly supersedes: readonly string[] | null;
}

export const decisions: FamilyDescriptor<Decision> = {
  ...PLAIN,
  label: 'decision',
  subjects: ['slot', 'part'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', partId: 'part', supersedes: 'event_of_vehicle' },
  blackable: ['reason', 'access'],
  supersedes: (d) => d.slotId,
};
