import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface TakenOut extends JobEvent {
  readonly putInId: string;
}

export const takenOuts: FamilyDescriptor<TakenOut> = {
  ...PLAIN,
  label: 'taken out',
  subjects: ['record'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: { putInId: 'event_of_vehicle' },
  blackable: [],
};
