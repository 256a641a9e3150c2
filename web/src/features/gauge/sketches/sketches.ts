import type { MeasurementId } from '@dauer/core/catalogue';
import type { Sketch } from './draw.ts';
import { REST_SKETCHES } from './rest.ts';
import { WHEEL_SKETCHES } from './wheel.ts';

/** What is measured at places with names, drawn in section. */
export const SKETCHES: Readonly<Partial<Record<MeasurementId, Sketch>>> = { ...WHEEL_SKETCHES, ...REST_SKETCHES };
