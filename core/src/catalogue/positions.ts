import type { Frame, Spot } from './measured/types.ts';
import type { MeasurementId } from './measurements.ts';
import { MEASUREMENTS } from './measurements.ts';

/** Where on a part a figure was taken: a frame and a coordinate in it, never an index. */
export interface Position {
  readonly frame: Frame;
  /** Degrees from the frame's zero, in the direction in which studs are counted; null where it has no angle. */
  readonly angleDeg: number | null;
  /** Ring, depth, or the place's name; null where the angle says it all. */
  readonly place: string | null;
}

export interface PlannedPosition extends Position {
  /** Short number or name drawn beside it. */
  readonly label: string;
  readonly name: string;
  /** A figure outside is asked about at once, canonical unit. */
  readonly plausible: readonly [number, number];
}

/** Two readings are of the same position when their keys are equal. */
export function positionKey(p: Position): string {
  return `${p.frame}|${p.angleDeg === null ? '' : Math.round(p.angleDeg * 100) / 100}|${p.place ?? ''}`;
}

/** How many positions round are offered for a measurement; one where its places have names. */
export function countsFor(id: MeasurementId): readonly number[] {
  const { pattern } = MEASUREMENTS[id];
  return pattern.form === 'round' ? pattern.counts : [1];
}

/** How many positions round are taken where nothing else was chosen. */
export function usualCount(id: MeasurementId): number {
  const { pattern } = MEASUREMENTS[id];
  return pattern.form === 'round' ? pattern.usual : 1;
}

const tenth = (angle: number): number => Math.round(angle * 10) / 10;

function roundName(id: MeasurementId, ring: Spot | null, angle: number, i: number, count: number): string {
  if (id === 'rotor_thickness') return `${ring?.id === 'inner ring' ? 'Inner ring, position' : 'Position'} ${i + 1} of ${count}`;
  if (MEASUREMENTS[id].frame === 'hub_stud') return `${tenth(angle)}° from stud 1, ${i + 1} of ${count}`;
  return ring ? `${ring.name}, ${tenth(angle)}°` : `${tenth(angle)}° from the mark`;
}

/**
 * The positions of a measurement in the order in which they are taken.
 * @param count positions round (per ring or depth); without meaning where the places have names
 * @param more also the rings that may be taken besides
 */
export function plannedPositions(id: MeasurementId, count: number = usualCount(id), more = false): PlannedPosition[] {
  const { pattern, frame, plausible } = MEASUREMENTS[id];
  const named = (s: Spot): PlannedPosition => ({
    ...{ frame, angleDeg: s.angleDeg ?? null, place: s.id, label: s.label, name: s.name },
    plausible: s.plausible ?? plausible,
  });
  if (pattern.form === 'spots') return pattern.spots.map(named);
  const rings: readonly (Spot | null)[] = pattern.rings.length === 0 ? [null] : [...pattern.rings, ...(more ? pattern.more : [])];
  const byNumber = id === 'rotor_thickness' || frame === 'hub_stud';
  const round = rings.flatMap((ring) =>
    Array.from({ length: count }, (_, i): PlannedPosition => {
      const angleDeg = (pattern.turn * i) / count;
      return {
        frame,
        angleDeg,
        place: ring?.id ?? null,
        label: byNumber ? String(i + 1) : `${tenth(angleDeg)}°`,
        name: roundName(id, ring, angleDeg, i, count),
        plausible,
      };
    }),
  );
  return [...pattern.also.map(named), ...round];
}

/** Whether a measurement is taken at a position at all: in its frame, at one of its places or rings, with an angle where it has one. */
export function isPlaceOf(id: MeasurementId, p: Position): boolean {
  const { pattern, frame } = MEASUREMENTS[id];
  if (p.frame !== frame) return false;
  const spots = pattern.form === 'round' ? pattern.also : pattern.spots;
  if (spots.some((s) => s.id === p.place && (s.angleDeg ?? null) === p.angleDeg)) return true;
  if (pattern.form !== 'round' || p.angleDeg === null) return false;
  const rings = [...pattern.rings, ...pattern.more];
  return rings.length === 0 ? p.place === null : rings.some((r) => r.id === p.place);
}

/** How far a bore or piston may lie from what it was when new before it is asked about, as a share. */
const FROM_NOMINAL = 0.03;

/** What is plausible at a position: of a bore or piston near what it was when new, where the layout says so. Canonical units. */
export function plausibleAt(p: PlannedPosition, nominalMm: number | null): readonly [number, number] {
  if (nominalMm === null || (p.frame !== 'bore' && p.frame !== 'piston')) return p.plausible;
  return [nominalMm * (1 - FROM_NOMINAL), nominalMm * (1 + FROM_NOMINAL)];
}

/** Whether a figure lies outside what such a part can be: kept, but asked about at once. `plausible` in canonical units. */
export function isImplausible(canonical: number, plausible: readonly [number, number]): boolean {
  return canonical < plausible[0] || canonical > plausible[1];
}
