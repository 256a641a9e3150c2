import type { ComponentKind } from '../../layout/kinds.ts';
import type { Kind, UnitId } from '../../quantity/units.ts';
import type { GaugeKind } from '../gaugeKinds.ts';

/** What is taken with a gauge; characteristics are reduced from its readings. */
export type MeasurementId =
  | 'rotor_thickness'
  | 'rotor_runout'
  | 'rotor_surface'
  | 'rotor_identity'
  | 'rotor_play'
  | 'rotor_paint'
  | 'rotor_drum'
  | 'hub_end_float'
  | 'hub_face_runout'
  | 'wheel_rocking'
  | 'wheel_drag'
  | 'drum_diameter'
  | 'drum_wall'
  | 'drum_runout'
  | 'drum_surface'
  | 'pad_lining'
  | 'pad_total'
  | 'pad_ears'
  | 'shoe_lining'
  | 'shoe_above_rivets'
  | 'shoe_arc'
  | 'shoe_centring'
  | 'shoe_springs'
  | 'shoe_adjuster'
  | 'adjuster_travel'
  | 'pin_runout'
  | 'pin_fit'
  | 'line_pressure'
  | 'bore_diameter'
  | 'piston_diameter'
  | 'piston_seal'
  | 'bore_zone'
  | 'servo_vacuum'
  | 'servo_push_rod'
  | 'pedal_setting'
  | 'pedal_sink'
  | 'pedal_pump_up'
  | 'pedal_travel'
  | 'parking_travel'
  | 'parking_cable'
  | 'linkage_play'
  | 'lift_off'
  | 'expander_play'
  | 'cam_angle'
  | 'equaliser_level'
  | 'balance_bar_setting';

/** The frame that a position is named in. */
export type Frame = 'rotor_mark' | 'hub_stud' | 'drum_mark' | 'pads' | 'bore' | 'piston' | 'shoes' | 'place';

/** A named place within a measurement. */
export interface Spot {
  readonly id: string;
  /** Short, drawn beside the figure. */
  readonly label: string;
  readonly name: string;
  /** Only where it belongs to the place, degrees. */
  readonly angleDeg?: number;
  /** Only where it differs from the measurement's, canonical unit. */
  readonly plausible?: readonly [number, number];
  /** Only where it is taken with another gauge than the rest. */
  readonly usualGauge?: GaugeKind;
}

/** Where readings are taken: evenly round, at each of some rings or depths, or at places with names. */
export type Pattern =
  | {
      readonly form: 'round';
      /** Degrees over which the positions are spread. */
      readonly turn: 180 | 360;
      readonly counts: readonly number[];
      readonly usual: number;
      /** Rings or depths; none where the angle says it all. */
      readonly rings: readonly Spot[];
      /** Rings that may be taken as well. */
      readonly more: readonly Spot[];
      /** Places with names that belong to the sweep (a radius). */
      readonly also: readonly Spot[];
    }
  | { readonly form: 'spots'; readonly spots: readonly Spot[] };

/**
 * Whose figure it is: a part's, that of the fit of a part in its place, the place's own, or that of the article which the
 * place is in (a bore belongs to its cylinder or caliper, whichever piston sits in it).
 */
type Subject = 'part' | 'fit' | 'slot' | 'article';

export interface Measurement {
  readonly id: MeasurementId;
  readonly name: string;
  readonly on: readonly ComponentKind[];
  readonly subject: Subject;
  readonly kind: Kind;
  readonly unit: UnitId;
  /** Gauge whose generic accuracy applies when none is named. */
  readonly usualGauge: GaugeKind;
  /** A figure outside is asked about at once, canonical unit. */
  readonly plausible: readonly [number, number];
  /** Least number of positions before a set counts. */
  readonly least: number;
  readonly frame: Frame;
  readonly pattern: Pattern;
  /** Only on parts made so; on all of the kind where nothing is said. */
  readonly onStyle?: string;
  /** How it is taken, in a line. */
  readonly how: string;
}
