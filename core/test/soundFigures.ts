import { type MeasurementId, MEASUREMENTS } from '../src/catalogue/measurements.ts';
import { itemBase } from '../src/catalogue/proofItems.ts';

import { figuresMissing, type ProofFigure } from '../src/readiness/proofFigures.ts';
import type { JobState } from '../src/job/job.ts';

import type { UnitId } from '../src/quantity/units.ts';

/** What a sound vehicle shows at each place of what proofs stand on, as typed. */
export const SOUND_FIGURES: Readonly<Partial<Record<MeasurementId, Readonly<Record<string, string>>>>> = {
  pedal_sink: { hard: '1.0', light: '1.5' },
  pedal_setting: { 'free play': '4', reserve: '70' },
  pedal_pump_up: { first: '150', second: '155' },
  pedal_return: { before: '180', after: '180' },
  servo_run_up: { fall: '9' },
  servo_vacuum: { 'at rest': '2', applied: '1' },
  wheel_drag: { before: '0.5', after: '0.8' },
  parking_travel: { clicks: '6' },
  parking_slope: { up: '9.5', down: '9.5' },
  parking_drag: { 'let go': '0.6' },
  bench_low: { start: '3.00', end: '3.00' },
  bench_high: { start: '70', end: '70' },
};

/** A set of readings that proofs wait for, as it is sent, with what a sound vehicle shows. */
export interface SoundSet {
  readonly slotId: string;
  readonly partId: string | null;
  readonly measurement: MeasurementId;
  readonly readings: readonly { readonly place: string; readonly typed: string; readonly unit: UnitId }[];
}

/** What the proofs of a job wait for, of a sound vehicle; `only` of one item. */
export function soundSets({ context, components }: Pick<JobState, 'context' | 'components'>, only: string | null = null): SoundSet[] {
  const items = context.proofItems.filter((i) => only === null || itemBase(i.item) === only);
  const figures = new Map(
    items.flatMap((i) => figuresMissing(context.figuresOf(i))).map((f) => [`${f.slot.id}|${f.ask.measurement}`, f] as const),
  );
  return [...figures.values()].map(({ slot, ask }: ProofFigure): SoundSet => {
    const { subject, unit } = MEASUREMENTS[ask.measurement];
    return {
      ...{ slotId: slot.id, measurement: ask.measurement },
      partId: subject === 'part' ? (components.find((c) => c.slot.id === slot.id)?.part?.id ?? null) : null,
      readings: Object.entries(SOUND_FIGURES[ask.measurement] ?? {}).map(([place, typed]) => ({ place, typed, unit })),
    };
  });
}
