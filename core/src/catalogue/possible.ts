import { displayWithUnit } from '../quantity/display.ts';
import { DomainError } from '../quantity/domainError.ts';
import type { MeasurementId } from './measured/types.ts';
import { MEASUREMENTS } from './measurements.ts';

/** Least and greatest that such a thing can be at all, canonical unit. */
export type Range = readonly [number, number];

interface Possible {
  readonly all: Range;
  /** Where a named place is something else than the rest. */
  readonly at?: Readonly<Record<string, Range>>;
}

/** A size of something that is there: more than nothing. */
const size = (to: number, from = 0.01): Range => [from, to];
/** What may be none: a wear, a play, a depth. */
const upTo = (to: number): Range => [0, to];
/** What has a sense: a dial's reading, an offset. */
const either = (to: number): Range => [-to, to];

/**
 * What each figure can be at all, by sign and size: far wider than what is plausible. Only what lies outside is refused; all
 * else is kept, and asked about. No brake of a road vehicle is larger than a metre across, and no dial has more than an inch
 * or so of travel.
 */
const POSSIBLE: Readonly<Record<MeasurementId, Possible>> = {
  rotor_thickness: { all: size(150) },
  rotor_runout: { all: either(30) },
  rotor_surface: { all: upTo(30) },
  rotor_identity: { all: size(1000) },
  rotor_play: { all: upTo(30) },
  rotor_drum: { all: size(1000) },
  rotor_paint: { all: [20, 1500] },
  hub_end_float: { all: upTo(30) },
  hub_face_runout: { all: either(30), at: { 'dial radius': size(500), 'swept radius': size(500) } },
  wheel_rocking: { all: upTo(100) },
  wheel_drag: { all: upTo(2000), at: { radius: size(1000) } },
  drum_diameter: { all: size(1000) },
  drum_wall: { all: size(100) },
  drum_runout: { all: either(30) },
  drum_surface: { all: upTo(30) },
  pad_lining: { all: upTo(60) },
  pad_total: { all: size(100) },
  pad_ears: { all: upTo(30) },
  shoe_lining: { all: upTo(60) },
  shoe_above_rivets: { all: upTo(60) },
  shoe_arc: { all: size(1000) },
  shoe_centring: { all: size(500) },
  shoe_springs: { all: size(1000) },
  shoe_adjuster: { all: upTo(2000) },
  adjuster_travel: { all: size(1000) },
  pin_runout: { all: upTo(30) },
  pin_fit: { all: size(100) },
  line_pressure: { all: upTo(700) },
  bore_diameter: { all: size(200) },
  piston_diameter: { all: size(200) },
  piston_seal: { all: size(400), at: { 'seal below mouth': upTo(400) } },
  bore_zone: { all: upTo(1000) },
  servo_vacuum: { all: upTo(101.325) },
  servo_push_rod: { all: size(600), at: { 'free play': either(50) } },
  pedal_setting: { all: upTo(1000) },
  pedal_sink: { all: upTo(1000) },
  pedal_pump_up: { all: upTo(1000) },
  pedal_travel: { all: upTo(1000), at: { 'pad arm': size(1500), 'rod arm': size(1500) } },
  parking_travel: { all: upTo(200) },
  parking_cable: { all: upTo(1000) },
  linkage_play: { all: upTo(100) },
  lift_off: { all: upTo(1000) },
  expander_play: { all: upTo(100) },
  cam_angle: { all: upTo(180) },
  equaliser_level: { all: either(1000) },
  balance_bar_setting: { all: size(600), at: { offset: either(300) } },
};

/** What a figure of a measurement can be at a place, canonical unit. */
export function possibleAt(id: MeasurementId, place: string | null): Range {
  return (place === null ? undefined : POSSIBLE[id].at?.[place]) ?? POSSIBLE[id].all;
}

/** Whether a figure is one that such a thing can have at all: finite, of a sign and size that exist. */
export function isPossible(id: MeasurementId, place: string | null, canonical: number): boolean {
  const [low, high] = possibleAt(id, place);
  return Number.isFinite(canonical) && canonical >= low - 1e-9 && canonical <= high + 1e-9;
}

/**
 * Throws a DomainError `impossible` for a figure that no such thing can have: its sign, nothing at all, or past anything made.
 * What is merely far from what is usual is kept, and asked about.
 * @param typed as it was typed, for the sentence
 * @param canonical in the canonical unit of the measurement
 */
export function requirePossible(id: MeasurementId, place: string | null, canonical: number, typed: string): void {
  if (isPossible(id, place, canonical)) return;
  const { kind, unit, name, pattern } = MEASUREMENTS[id];
  const spots = pattern.form === 'spots' ? pattern.spots : pattern.also;
  const what = (spots.find((s) => s.id === place)?.name ?? name).toLowerCase();
  const [low, high] = possibleAt(id, place);
  const text = (v: number): string => displayWithUnit(v, kind, 1, unit);
  const why =
    canonical > high
      ? `is never more than ${text(high)}`
      : low >= 0 && canonical <= 0
        ? low > 0
          ? 'is always more than nothing'
          : 'is never below nothing'
        : `is never less than ${text(low)}`;
  throw new DomainError('impossible', `“${typed.trim()}” for ${what}: it ${why}. Look at the sign, the decimal point and the unit.`);
}
