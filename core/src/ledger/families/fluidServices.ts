import type { FluidClass } from '../../catalogue/fluids.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface FluidService extends JobEvent {
  readonly product: string;
  readonly fluidClass: FluidClass;
  readonly batch: string;
  readonly lowMoisture: boolean;
}

export const fluidServices: FamilyDescriptor<FluidService> = {
  ...PLAIN,
  label: 'fluid',
  subjects: ['vehicle', 'fill'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['product', 'batch'],
};
