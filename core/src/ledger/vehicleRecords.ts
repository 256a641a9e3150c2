import type { Climate } from '../catalogue/fluids.ts';

export type Use = 'daily' | 'seasonal' | 'stands' | 'work' | 'competition';

export type Storage = 'heated' | 'dry' | 'damp' | 'outside';

export interface Vehicle {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly make: string;
  readonly model: string;
  readonly year: number | null;
  readonly variant: string | null;
  readonly body: string;
  readonly use: Use;
  readonly climate: Climate;
  readonly storage: Storage;
  readonly standsYears: number | null;
  readonly distanceUnit: 'km' | 'mi' | 'none';
  /** Which wheels are driven; nothing where nobody said. */
  readonly driven?: 'front' | 'rear' | 'all' | 'none' | null;
  /** What lets go by itself when a line is opened: air tanks and spring chambers, or an accumulator. Source: handbook 58, D14. */
  readonly stored?: 'none' | 'air' | 'accumulator' | null;
  /** For the sums: mass as driven and what of it stands on the front axle, kg. */
  readonly massKg: number | null;
  readonly massFrontKg: number | null;
  /** mm. */
  readonly wheelbaseMm: number | null;
  readonly cgHeightMm: number | null;
  readonly tyreRadiusFrontMm: number | null;
  readonly tyreRadiusRearMm: number | null;
  readonly ownerId: string | null;
  readonly version: number;
}

/** What the sums may want of a vehicle, all unknown. */
export const UNWEIGHED = {
  massKg: null,
  massFrontKg: null,
  wheelbaseMm: null,
  cgHeightMm: null,
  tyreRadiusFrontMm: null,
  tyreRadiusRearMm: null,
} as const satisfies Partial<Vehicle>;
