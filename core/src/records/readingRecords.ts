import type { GaugeKind } from '../gauge/gaugeKinds.ts';
import type { MeasurementId } from '../gauge/measurements.ts';
import type { Position } from '../gauge/positions.ts';
import type { UnitId } from '../quantity/units.ts';
import type { EventBase } from './eventBase.ts';

export type Phase = 'as_found' | 'after_machining' | 'as_fitted' | 'at_service';

export type Surface = 'dirty' | 'wiped' | 'clean';

export interface ReadingSet extends EventBase {
  readonly slotId: string;
  readonly partId: string | null;
  readonly measurement: MeasurementId;
  readonly phase: Phase;
  readonly surface: Surface;
  readonly cold: boolean;
  readonly averages: boolean;
  /** Positions meant to be taken round. */
  readonly count: number;
  /** Studs the rotor was turned on by from where it first sat, for a sweep; 0 where it was not turned. */
  readonly turn: number;
  /** Studs of the hub, where a sweep goes with them; null where nobody counted. */
  readonly studs: number | null;
  /** A second measure by another person who did not see the first: it confirms, it does not replace. */
  readonly blind: boolean;
}

/** A set of the part as it sits, taken in sight of all. */
export const PLAIN_SET = { turn: 0, studs: null, blind: false } as const satisfies Partial<ReadingSet>;

export interface Reading extends EventBase, Position {
  readonly setId: string;
  readonly pass: number;
  readonly gaugeVersionId: string | null;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  readonly resolution: number;
  readonly fraction: boolean;
}

/** Says that a set was taken at another place: `corrects` names the set, or the move before. */
export interface SetMove extends EventBase {
  readonly setId: string;
  readonly slotId: string;
  readonly partId: string | null;
  /** Ids of the moves of this set that its author saw in force; null where none is named. */
  readonly supersedes: readonly string[] | null;
}

/** One version of a gauge on the rack. */
export interface GaugeVersion {
  readonly id: string;
  readonly gaugeId: string;
  readonly tag: string;
  readonly name: string;
  readonly kind: GaugeKind;
  /** In the unit of its kind (a torque wrench's accuracy: a share). */
  readonly resolution: number;
  readonly accuracy: number;
  readonly shortSpan: number;
  readonly rangeLow: number | null;
  readonly rangeHigh: number | null;
  readonly calibrationDue: string | null;
  /** Nominal of the piece that it is set or checked on; null where it has none. */
  readonly settingPiece: number | null;
  /** It asks for a look at its setting piece before use. */
  readonly checkFirst: boolean;
  readonly enteredBy: string;
  readonly enteredAt: string;
}
