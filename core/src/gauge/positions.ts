import type { MeasurementId } from './characteristics.ts';
import { DRUM_DEPTHS } from './drum.ts';
import { PAD_CORNERS } from './padLining.ts';

/** Where on a part a figure was taken: a frame and a coordinate in it, never an index. */
export interface Position {
  readonly frame: 'rotor_mark' | 'hub_stud' | 'drum_mark' | 'pads';
  /** Degrees from the frame's zero, in the direction in which studs are counted; null where it has no angle. */
  readonly angleDeg: number | null;
  /** Ring, depth, or pad and corner; null where the angle says it all. */
  readonly place: string | null;
}

export interface PlannedPosition extends Position {
  /** Short number or name drawn beside it. */
  readonly label: string;
  readonly name: string;
}

/** Two readings are of the same position when their keys are equal. */
export function positionKey(p: Position): string {
  return `${p.frame}|${p.angleDeg === null ? '' : Math.round(p.angleDeg * 100) / 100}|${p.place ?? ''}`;
}

/** How many positions round are offered for a measurement. */
export const COUNTS: Readonly<Record<MeasurementId, readonly number[]>> = {
  rotor_thickness: [4, 6, 8, 12],
  rotor_runout: [6, 8, 12, 16],
  drum_diameter: [4, 6, 8],
  pad_lining: [4],
};
export const USUAL_COUNT: Readonly<Record<MeasurementId, number>> = {
  rotor_thickness: 8,
  rotor_runout: 12,
  drum_diameter: 4,
  pad_lining: 4,
};

const round = (n: number, turn: number): number[] => Array.from({ length: n }, (_, i) => (turn * i) / n);

/**
 * The positions of a measurement in the order in which they are taken.
 * @param count positions round (per ring or depth); pads always have four corners each
 */
export function plannedPositions(id: MeasurementId, count: number = USUAL_COUNT[id]): PlannedPosition[] {
  switch (id) {
    case 'rotor_thickness':
      return round(count, 360).map((angleDeg, i) => ({
        frame: 'rotor_mark',
        angleDeg,
        place: 'outer ring',
        label: String(i + 1),
        name: `Position ${i + 1} of ${count}`,
      }));
    case 'rotor_runout':
      return round(count, 360).map((angleDeg, i) => ({
        frame: 'hub_stud',
        angleDeg,
        place: null,
        label: String(i + 1),
        name: `${Math.round(angleDeg * 10) / 10}° from stud 1, ${i + 1} of ${count}`,
      }));
    case 'drum_diameter':
      return DRUM_DEPTHS.flatMap((depth) =>
        round(count, 180).map((angleDeg): PlannedPosition => ({
          frame: 'drum_mark',
          angleDeg,
          place: depth,
          label: `${angleDeg}°`,
          name: `${depth === 'middle' ? 'Middle' : `${depth === 'open' ? 'Open' : 'Closed'} end`}, ${angleDeg}°`,
        })),
      );
    case 'pad_lining':
      return (['inner', 'outer'] as const).flatMap((pad) =>
        PAD_CORNERS.map((corner): PlannedPosition => ({
          frame: 'pads',
          angleDeg: null,
          place: `${pad}: ${corner}`,
          label: corner,
          name: `${pad === 'inner' ? 'Inner' : 'Outer'} pad, ${corner}`,
        })),
      );
  }
}

/** Whether a figure lies outside what such a part can be: kept, but asked about at once. `plausible` in canonical units. */
export function isImplausible(canonical: number, plausible: readonly [number, number]): boolean {
  return canonical < plausible[0] || canonical > plausible[1];
}
