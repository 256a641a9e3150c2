import type { MeasurementId } from './measurements.ts';
import { itemBase } from './proofItems.ts';

/** Where the figures of a proof are taken: at the control that it is asked of, at its wheel, or at what there is of a kind. */
type FigureAt = 'control' | 'wheel' | 'servo' | 'parking_lever' | 'parked_wheels' | 'wheels' | 'unit';

/** Figures that an answer of a proof stands on. */
export interface FigureAsk {
  readonly measurement: MeasurementId;
  readonly at: FigureAt;
  /** Places of the measurement that have to be taken; null where the measurement itself says how many. */
  readonly places: readonly string[] | null;
  /** One of a group is enough: a slope held, or a pull. Null where it is owed by itself. */
  readonly group: string | null;
  /** Required with *passed*; wanted only where there is something to take it with. */
  readonly need: 'required' | 'wanted';
  /** Only at controls that press fluid. */
  readonly wet: boolean;
}

const owed = (measurement: MeasurementId, at: FigureAt, places: readonly string[] | null = null): FigureAsk => ({
  ...{ measurement, at, places, group: null, need: 'required', wet: false },
});
const either = (group: string, measurement: MeasurementId, at: FigureAt): FigureAsk => ({ ...owed(measurement, at), group });
const wanted = (measurement: MeasurementId, at: FigureAt): FigureAsk => ({ ...owed(measurement, at), need: 'wanted' });

/**
 * What *passed* stands on, by item: a figure wherever there is one, yes or no only where nothing can be measured.
 * Source: handbook 60, Bench test and Proving; 20, Servo, Pedal and Wheel tests.
 */
const PROOF_FIGURES: Readonly<Record<string, readonly FigureAsk[]>> = {
  pedal_hold: [owed('pedal_sink', 'control', ['hard', 'light'])],
  pedal_reserve: [owed('pedal_setting', 'control', ['reserve', 'free play']), { ...owed('pedal_pump_up', 'control'), wet: true }],
  pedal_return: [owed('pedal_return', 'control')],
  servo: [owed('servo_run_up', 'servo'), wanted('servo_vacuum', 'servo')],
  release: [owed('wheel_drag', 'wheel')],
  parking: [
    owed('parking_travel', 'parking_lever'),
    either('held', 'parking_slope', 'parking_lever'),
    either('held', 'parking_pull', 'parking_lever'),
  ],
  parking_drag: [owed('parking_drag', 'parked_wheels')],
  road: [wanted('wheel_heat', 'wheels'), wanted('brake_force', 'wheels')],
  bench_tight: [owed('bench_low', 'unit'), owed('bench_high', 'unit')],
};

/** The figures that an item of proof stands on. */
export function figuresAsked(item: string): readonly FigureAsk[] {
  return PROOF_FIGURES[itemBase(item)] ?? [];
}
