import type { FluidClass } from '../../catalogue/fluids.ts';
import type { JobEvent } from '../eventBase.ts';
import { type FamilyDescriptor, PLAIN } from '../family.ts';

/** What was measured of the fluid at a place. */
export interface FluidSample extends JobEvent {
  /** Where it was drawn: a reservoir or a bleeder. */
  readonly slotId: string;
  /** Water, percent; null where it was not measured. */
  readonly waterPercent: number | null;
  /** Boiling point as it is now, °C; null where it was not measured. */
  readonly boilC: number | null;
  /** What kind it was told to be by a test; null where that was not tried, or told nothing. */
  readonly fluidClass: FluidClass | null;
  /** By what test or with what instrument. */
  readonly how: string;
}

export const fluidSamples: FamilyDescriptor<FluidSample> = {
  ...PLAIN,
  label: 'fluid sample',
  subjects: ['slot', 'fill'],
  readWith: 'vehicle',
  release: 'frozen',
  late: 'late',
  dropsWhenVoid: () => true,
  names: { slotId: 'place' },
  blackable: ['how'],
};
