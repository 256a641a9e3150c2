import type { MeasurementId } from '@dauer/core/catalogue';
import type { Bench } from './bench.ts';
import { BAND_BENCHES } from './bands.ts';
import { CONTROL_BENCHES } from './controls.ts';
import { CYLINDER_BENCHES } from './cylinders.ts';
import { DRUM_BENCHES } from './drums.ts';
import { HUB_BENCHES } from './hubs.ts';
import { LINING_BENCHES } from './linings.ts';
import { PROVING_BENCHES } from './proving.ts';
import { ROTOR_BENCHES } from './rotors.ts';

/** The bench of every measurement: one that has none does not compile. */
export const BENCHES: Readonly<Record<MeasurementId, Bench>> = {
  ...ROTOR_BENCHES,
  ...HUB_BENCHES,
  ...DRUM_BENCHES,
  ...BAND_BENCHES,
  ...LINING_BENCHES,
  ...CYLINDER_BENCHES,
  ...CONTROL_BENCHES,
  ...PROVING_BENCHES,
};
