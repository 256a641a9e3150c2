import type { ComponentKind } from '../../layout/kinds.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** Something that came with the vehicle in a box: what it is, for which place, and whether it fits there. */
export interface CameWith extends JobEvent {
  readonly name: string;
  readonly kind: ComponentKind | null;
  readonly slotId: string | null;
  readonly partNumber: string | null;
  readonly count: number;
  readonly fits: 'fits' | 'does_not_fit' | 'not_tried';
  readonly note: string;
}

export const cameWith: FamilyDescriptor<CameWith> = {
  ...PLAIN,
  label: 'part that came',
  subjects: ['job', 'slot'],
  readWith: 'job',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['name', 'partNumber', 'note'],
};
