import type { ComponentKind } from '../layout/kinds.ts';
import type { MeasurementId } from './measured/types.ts';
import { MEASUREMENTS } from './measurements.ts';
import type { OptionId } from './repairOptions.ts';

/** What is asked of a figure: owed, wanted where there is time, or only written down. */
export type Need = 'required' | 'wanted' | 'recorded';

/** One line of the programme: of a kind of component, as found or after what is done with it. */
export interface ProgrammeLine {
  readonly kind: ComponentKind;
  readonly done: 'found' | OptionId;
  readonly measurement: MeasurementId;
  readonly need: Need;
  /** Least positions from which the figure counts. */
  readonly least: number;
  /** As found, before it is taken apart or put together again, or as fitted, after. */
  readonly phase: 'as_found' | 'as_fitted';
  /** What answers it as well: the same thing taken another way. */
  readonly or: MeasurementId | null;
}

const line = (
  kind: ComponentKind,
  done: ProgrammeLine['done'],
  measurement: MeasurementId,
  need: Need = 'required',
  more: Partial<Pick<ProgrammeLine, 'phase' | 'or'>> = {},
): ProgrammeLine => ({
  ...{ kind, done, measurement, need, least: MEASUREMENTS[measurement].least },
  ...{ phase: done === 'found' ? 'as_found' : 'as_fitted', or: null, ...more },
});
/** A cylinder that is resealed is gauged while it is open: free movement is no proof. */
const resealed = (kind: ComponentKind): ProgrammeLine[] => [
  line(kind, 'reseal', 'bore_diameter', 'required', { phase: 'as_found' }),
  line(kind, 'reseal', 'piston_diameter', 'required', { phase: 'as_found' }),
  line(kind, 'found', 'bore_diameter', 'wanted'),
  line(kind, 'found', 'piston_diameter', 'wanted'),
];

/** What has to be gauged on each kind of component. Source: handbook 15, Scope and programme; 20. */
export const PROGRAMME: readonly ProgrammeLine[] = [
  line('rotor', 'found', 'rotor_thickness'),
  line('rotor', 'found', 'rotor_runout'),
  line('rotor', 'found', 'rotor_surface', 'wanted'),
  line('hub', 'found', 'hub_end_float'),
  line('hub', 'found', 'hub_face_runout', 'wanted'),
  line('hub', 'found', 'wheel_drag', 'wanted'),
  line('rotor', 'replace', 'rotor_thickness'),
  line('rotor', 'replace', 'rotor_runout'),
  line('rotor', 'machine', 'rotor_thickness'),
  line('rotor', 'machine', 'rotor_runout'),
  line('drum', 'found', 'drum_diameter'),
  line('drum', 'found', 'drum_surface', 'wanted'),
  line('drum', 'found', 'drum_runout', 'wanted'),
  line('drum', 'replace', 'drum_diameter'),
  line('drum', 'machine', 'drum_diameter'),
  line('pads', 'found', 'pad_lining'),
  line('pads', 'replace', 'pad_lining'),
  line('pads', 'found', 'pad_total', 'wanted'),
  line('shoes', 'found', 'shoe_lining', 'required', { or: 'shoe_above_rivets' }),
  line('shoes', 'replace', 'shoe_lining', 'required', { or: 'shoe_above_rivets' }),
  line('shoes', 'found', 'shoe_centring', 'wanted'),
  line('caliper', 'found', 'pin_runout', 'wanted'),
  line('rotor', 'found', 'rotor_drum'),
  line('rotor', 'replace', 'rotor_drum'),
  line('parking_shoes', 'found', 'shoe_lining', 'required', { or: 'shoe_above_rivets' }),
  line('parking_shoes', 'replace', 'shoe_lining', 'required', { or: 'shoe_above_rivets' }),
  line('servo', 'found', 'servo_push_rod', 'wanted'),
  line('piston', 'found', 'piston_diameter', 'wanted'),
  line('piston', 'found', 'piston_seal', 'wanted'),
  ...(['wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'] as const).flatMap(resealed),
  line('servo', 'found', 'servo_vacuum', 'wanted'),
  ...(['pedal', 'hand_lever', 'foot_lever'] as const).flatMap((kind) => [
    line(kind, 'found', 'pedal_setting', 'wanted'),
    line(kind, 'found', 'pedal_sink', 'wanted'),
    line(kind, 'found', 'pedal_pump_up', 'wanted'),
  ]),
  line('pedal', 'found', 'pedal_travel', 'recorded'),
  line('foot_lever', 'found', 'pedal_travel', 'recorded'),
  line('parking_lever', 'found', 'parking_travel', 'wanted'),
  line('cross_shaft', 'found', 'linkage_play', 'wanted'),
  line('expander', 'found', 'cam_angle', 'wanted'),
  line('shoes', 'found', 'shoe_adjuster', 'recorded'),
  line('parking_lever', 'found', 'parking_cable', 'recorded'),
  line('balance_bar', 'found', 'balance_bar_setting', 'wanted'),
];

/** Kinds that have to be looked at, whatever is gauged on them. */
const LOOKED_AT: readonly ComponentKind[] = [
  'rotor',
  'drum',
  'pads',
  'caliper',
  'piston',
  'wheel_cylinder',
  'shoes',
  'parking_shoes',
  'master_cylinder',
  'servo',
  'balance_bar',
  'valve',
  'hose',
  'hub',
  'clutch_master',
  'clutch_slave',
];

/** The lines of a kind of component, as found or after what was done. */
export function programmeFor(
  kind: ComponentKind,
  done: ProgrammeLine['done'],
  programme: readonly ProgrammeLine[] = PROGRAMME,
): ProgrammeLine[] {
  return programme.filter((p) => p.kind === kind && p.done === done);
}

/** Whether a look with words is owed for a kind of component. */
export function looksAt(kind: ComponentKind): boolean {
  return LOOKED_AT.includes(kind);
}
