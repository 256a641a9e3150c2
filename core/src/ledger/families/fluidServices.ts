import type { FluidClass } from '../../catalogue/fluids.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

export interface FluidService extends JobEvent {
  readonly product: string;
  readonly fluidClass: FluidClass;
  readonly batch: string;
  readonly lowMoisture: boolean;
  /** The product's own boiling points, dry and wet, °C; null where only its class is known. */
  readonly dryC: number | null;
  readonly wetC: number | null;
  /** The hottest that the fluid is expected to be in this vehicle, °C; null where it is not used hot. */
  readonly hottestC: number | null;
  /** The vehicle maker's interval, months; null where none is known. */
  readonly makerMonths: number | null;
}

/** What a fluid of which only the class is known has nothing of. */
export const BY_CLASS_ALONE = { dryC: null, wetC: null, hottestC: null, makerMonths: null } as const satisfies Partial<FluidService>;

export const fluidServices: FamilyDescriptor<FluidService> = {
  ...PLAIN,
  label: 'fluid',
  subjects: ['vehicle', 'fill'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  waitsParked: () => true,
  dropsWhenVoid: () => true,
  names: {},
  blackable: ['product', 'batch'],
};
