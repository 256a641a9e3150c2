import type { GaugeKind } from '../catalogue/gaugeKinds.ts';

/** A calibration as its certificate has it. */
export interface Calibration {
  readonly id: string;
  readonly gaugeId: string;
  /** Day, ISO 8601. */
  readonly on: string;
  readonly by: string;
  readonly result: 'good' | 'adjusted' | 'out';
  /** What it read too much (+) or too little (−) before, in the gauge's unit; null where nothing was found. */
  readonly offBy: number | null;
  readonly certificate: string;
  readonly nextDue: string | null;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** A look at the setting piece: what the gauge read on it. */
export interface GaugeCheck {
  readonly id: string;
  readonly gaugeId: string;
  /** The piece's nominal and what was read, in the gauge's unit. */
  readonly nominal: number;
  readonly read: number;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** The same place read several times, by one or two people. */
export interface RepeatStudy {
  readonly id: string;
  readonly gaugeId: string;
  readonly place: string;
  readonly readings: readonly { readonly person: string; readonly value: number }[];
  /** True half-width over a short span that it gave. */
  readonly shortSpan: number;
  readonly enteredBy: string;
  readonly enteredAt: string;
}

/** A gauge found out: what was read with it from then on is in doubt by so much. */
export interface CallBack {
  readonly id: string;
  readonly gaugeId: string;
  /** Instant, ISO 8601 UTC. */
  readonly since: string;
  /** Most that it was off by, in the gauge's unit. */
  readonly offBy: number;
  readonly why: string;
  readonly enteredBy: string;
  readonly enteredAt: string;
  /** Day of the calibration that ended it; null while it stands. */
  readonly until: string | null;
}

/** One version of a gauge on the rack. */
/** Somebody agreed that a generic torque is what this shop sets. */
export interface TorqueCheck {
  readonly id: string;
  /** Stable name of the torque. */
  readonly torque: string;
  readonly checkedBy: string;
  readonly checkedAt: string;
}
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
