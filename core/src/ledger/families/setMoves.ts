import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Says that a set was taken at another place: `corrects` names the set, or the move before. */
export interface SetMove extends JobEvent {
  readonly setId: string;
  readonly slotId: string;
  readonly partId: string | null;
  /** Ids of the moves of this set that its author saw in force; null where none is named. */
  readonly supersedes: readonly string[] | null;
}

export const setMoves: FamilyDescriptor<SetMove> = {
  ...PLAIN,
  label: 'set moved',
  subjects: ['record', 'slot', 'part'],
  readWith: 'parts',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { setId: 'set', slotId: 'place', partId: 'part', supersedes: 'event_of_vehicle' },
  blackable: [],
  supersedes: (m) => m.setId,
};
