import type { ComponentKind } from '../layout/kinds.ts';

/** One try at freeing something, with what has to hold before it and what is owed after it. Source: handbook 55, Ladders. */
export interface Rung {
  readonly name: string;
  /** Attended minutes of one try, generic. */
  readonly minutes: number;
  /** Hours that it waits by itself. */
  readonly waits: number;
  /** Chance that it moves where the rungs before it did not, generic. */
  readonly chance: number;
  readonly needs: string | null;
  readonly owed: string | null;
}

export interface Ladder {
  readonly id: string;
  readonly name: string;
  readonly kinds: readonly ComponentKind[];
  readonly rungs: readonly Rung[];
}

const rung = (
  name: string,
  minutes: number,
  chance: number,
  more: { readonly waits?: number; readonly needs?: string; readonly owed?: string } = {},
): Rung => ({ name, minutes, chance, waits: more.waits ?? 0, needs: more.needs ?? null, owed: more.owed ?? null });

/** Cards 25 to 27 are these ladders. Gentle to harsh. Source: handbook 55, Ladders; 58, A25, D20, D25. Minutes and chances are generic first guesses. */
export const LADDERS: readonly Ladder[] = [
  {
    ...{ id: 'piston', name: 'Piston that will not move', kinds: ['caliper', 'piston', 'wheel_cylinder', 'clutch_slave'] },
    rungs: [
      rung('Soak, days, repeat', 10, 0.25, { waits: 48 }),
      rung('Rock it in and out with a clamp, one at a time', 20, 0.3),
      rung('Own pedal, vehicle still whole', 10, 0.4, { needs: 'The circuit is full and every other unit on it closed.' }),
      rung('Hand pump with fluid, or grease gun, at the port', 30, 0.6, {
        needs: 'The other ports plugged, fittings at hand.',
        owed: 'Every rubber part new; grease out with brake cleaner or alcohol, never petroleum solvent, and wiped.',
      }),
      rung('Air at least pressure, block, cloth, face away', 15, 0.3),
      rung('Ultrasonic bath, then the clamp and the pump again', 30, 0.35, { waits: 2 }),
      rung('Warmth within the limits of finish and alloy', 20, 0.3, {
        needs: 'The cylinder open, no seal in it that stays.',
        owed: 'Every seal new.',
      }),
      rung('Cut or drilled out', 60, 0.9, { owed: 'The piston is lost; the bore is gauged before anything is bought for it.' }),
    ],
  },
  {
    ...{ id: 'master_piston', name: 'Piston of a master cylinder that will not move', kinds: ['master_cylinder', 'clutch_master'] },
    rungs: [
      rung('Soak', 10, 0.25, { waits: 48 }),
      rung('Push it and let the spring return it', 15, 0.3),
      rung('Fluid pushed back from a working caliper', 20, 0.5, { needs: 'The circuit is full: before it is taken off.' }),
      rung('Rod through a plug or port', 20, 0.35),
      rung('Knock the open end on wood', 10, 0.25),
      rung('Grease gun', 30, 0.6, {
        needs: 'The other ports plugged.',
        owed: 'Every rubber part new; grease out with brake cleaner or alcohol, never petroleum solvent.',
      }),
      rung('Air', 15, 0.3, { needs: 'A single-piston cylinder.' }),
    ],
  },
  {
    ...{ id: 'drum', name: 'Drum that will not come off', kinds: ['drum', 'band_drum'] },
    rungs: [
      rung('Adjuster backed off through the hole', 15, 0.45),
      rung('Parking cable slack', 10, 0.3),
      rung('Screws soaked and shocked', 15, 0.3, { waits: 24 }),
      rung('Jacking threads', 10, 0.4),
      rung('Tapped between the studs', 15, 0.4),
      rung('Warmth on the hub seat', 15, 0.4),
      rung('Puller on the hub or the jacking holes, steady pins cut first', 25, 0.7, {
        needs: 'Never on the rim of a cast drum.',
        owed: 'Diameter and out-of-round gauged again.',
      }),
    ],
  },
  {
    ...{ id: 'rotor', name: 'Rotor that will not come off its hub', kinds: ['rotor'] },
    rungs: [
      rung('Soak at the seat', 5, 0.25, { waits: 24 }),
      rung('Retaining screws by impact', 10, 0.4),
      rung('Struck between the studs, turning', 15, 0.45),
      rung('Two nuts as jacks', 15, 0.5),
      rung('Press or puller', 25, 0.7),
      rung('Cut', 30, 1, { owed: 'It is scrap.' }),
    ],
  },
  {
    ...{ id: 'fastener', name: 'Union, bleeder or adjuster that will not turn', kinds: ['line', 'hose', 'union', 'bleeder', 'expander'] },
    rungs: [
      rung('Soak over days', 5, 0.3, { waits: 48 }),
      rung('The spanner made for it', 5, 0.35),
      rung('Tighten a hair, then loosen', 5, 0.25),
      rung('Warmth at the seat beside no rubber and no fluid', 15, 0.4),
      rung('A tool that grips rounded corners', 10, 0.4),
      rung('Cut the line', 10, 0.9, { owed: 'A new line is on the list at once.' }),
      rung('Drill it out, thread repaired', 60, 0.85, { owed: 'The thread repair is on record.' }),
    ],
  },
  {
    ...{ id: 'unit', name: 'Unit rusted on its studs, spigot or bracket', kinds: ['hub', 'servo', 'shoes', 'parking_shoes', 'band'] },
    rungs: [
      rung('Soak', 5, 0.25, { waits: 24 }),
      rung('Turn it, if it may turn', 5, 0.3),
      rung('Drift beside the stud', 10, 0.4),
      rung('Two nuts and the stud out', 20, 0.5),
      rung('Warmth, no rubber, no fluid', 15, 0.4),
      rung('Cut the stud', 30, 0.9, { owed: 'A new stud is on the list.' }),
    ],
  },
];

export function ladderFor(kind: ComponentKind): Ladder | undefined {
  return LADDERS.find((l) => l.kinds.includes(kind));
}
