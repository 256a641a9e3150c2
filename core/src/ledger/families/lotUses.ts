import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Something out of a lot that went into a vehicle: rubber, fluid, a lining, an adhesive, a coating. */
export interface LotUse extends JobEvent {
  /** The lot, whatever version of what is written of it. */
  readonly lotId: string;
  /** Where it went; null where it is in the whole of it, as fluid is. */
  readonly slotId: string | null;
  readonly partId: string | null;
  /** Why it was taken past its age; empty where it was not. */
  readonly reason: string;
}

export const lotUses: FamilyDescriptor<LotUse> = {
  ...PLAIN,
  label: 'use of a lot',
  subjects: ['lot', 'slot', 'part'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place', partId: 'part' },
  blackable: ['reason'],
};
