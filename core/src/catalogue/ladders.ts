import type { ComponentKind } from '../layout/kinds.ts';

/**
 * What has to hold before a rung, read from the records: the unit in its place with everything on its circuits closed, the unit
 * off, opened, its other ports plugged, or the hand of its thread on record.
 */
export type RungGate = 'whole' | 'off' | 'opened' | 'plugged' | 'hand';
/** What a rung leaves owed by the records: new seals, a bore or a drum gauged since, another part. */
export type RungOwes = 'seals' | 'bore' | 'drum' | 'renewed';

/** One try at freeing something, with what has to hold before it and what is owed after it. Source: handbook 55, Ladders. */
export interface Rung {
  /** Within its ladder, and stable: tries are kept by it. */
  readonly id: string;
  readonly name: string;
  /** Attended minutes of one try, generic. */
  readonly minutes: number;
  /** Hours that it waits by itself. */
  readonly waits: number;
  /** Chance that it moves where the rungs before it did not, generic. */
  readonly chance: number;
  readonly needs: string | null;
  readonly owed: string | null;
  readonly gates: readonly RungGate[];
  readonly owes: readonly RungOwes[];
}

export interface Ladder {
  readonly id: string;
  readonly name: string;
  readonly kinds: readonly ComponentKind[];
  readonly rungs: readonly Rung[];
}

type RungMore = Partial<Pick<Rung, 'waits' | 'needs' | 'owed' | 'gates' | 'owes'>>;
/** What unscrews it: never before it is known which way. Source: handbook 58, D04. */
const HAND: RungMore = { gates: ['hand'] };
const rung = (id: string, name: string, minutes: number, chance: number, more: RungMore = {}): Rung => ({
  ...{ id, name, minutes, chance, waits: 0, needs: null, owed: null, gates: [], owes: [] },
  ...more,
});

/** Cards 25 to 27 are these ladders. Gentle to harsh. Source: handbook 55, Ladders; 58, A25, D20, D25. Minutes and chances are generic first guesses. */
export const LADDERS: readonly Ladder[] = [
  {
    ...{ id: 'piston', name: 'Piston that will not move', kinds: ['caliper', 'piston', 'wheel_cylinder', 'clutch_slave'] },
    rungs: [
      rung('soak', 'Soak, days, repeat', 10, 0.25, { waits: 48 }),
      rung('clamp', 'Rock it in and out with a clamp, one at a time', 20, 0.3),
      rung('own_pedal', 'Own pedal, vehicle still whole', 10, 0.4, {
        gates: ['whole'],
        needs: 'The circuit is full and every other unit on it closed.',
      }),
      rung('pump', 'Hand pump with fluid, or grease gun, at the port', 30, 0.6, {
        gates: ['plugged'],
        owes: ['seals'],
        needs: 'The other ports plugged, fittings at hand.',
        owed: 'Every rubber part new; grease out with brake cleaner or alcohol, never petroleum solvent, and wiped.',
      }),
      rung('air', 'Air at least pressure, block, cloth, face away', 15, 0.3, { gates: ['off'] }),
      rung('ultrasonic', 'Ultrasonic bath, then the clamp and the pump again', 30, 0.35, { gates: ['off'], waits: 2 }),
      rung('warmth', 'Warmth within the limits of finish and alloy', 20, 0.3, {
        gates: ['opened'],
        owes: ['seals'],
        needs: 'The cylinder open, no seal in it that stays.',
        owed: 'Every seal new.',
      }),
      rung('cut', 'Cut or drilled out', 60, 0.9, {
        gates: ['off'],
        owes: ['bore', 'renewed'],
        owed: 'The piston is lost; the bore is gauged before anything is bought for it.',
      }),
    ],
  },
  {
    ...{ id: 'master_piston', name: 'Piston of a master cylinder that will not move', kinds: ['master_cylinder', 'clutch_master'] },
    rungs: [
      rung('soak', 'Soak', 10, 0.25, { waits: 48 }),
      rung('push', 'Push it and let the spring return it', 15, 0.3),
      rung('fluid_back', 'Fluid pushed back from a working caliper', 20, 0.5, {
        gates: ['whole'],
        needs: 'The circuit is full: before it is taken off.',
      }),
      rung('rod', 'Rod through a plug or port', 20, 0.35, { gates: ['off'] }),
      rung('knock', 'Knock the open end on wood', 10, 0.25, { gates: ['off'] }),
      rung('grease_gun', 'Grease gun', 30, 0.6, {
        gates: ['plugged'],
        owes: ['seals'],
        needs: 'The other ports plugged.',
        owed: 'Every rubber part new; grease out with brake cleaner or alcohol, never petroleum solvent.',
      }),
      rung('air', 'Air', 15, 0.3, { gates: ['off'], needs: 'A single-piston cylinder.' }),
    ],
  },
  {
    ...{ id: 'drum', name: 'Drum that will not come off', kinds: ['drum', 'band_drum'] },
    rungs: [
      rung('adjuster', 'Adjuster backed off through the hole', 15, 0.45),
      rung('cable', 'Parking cable slack', 10, 0.3),
      rung('screws', 'Screws soaked and shocked', 15, 0.3, { waits: 24 }),
      rung('jacking', 'Jacking threads', 10, 0.4),
      rung('tapped', 'Tapped between the studs', 15, 0.4),
      rung('warmth', 'Warmth on the hub seat', 15, 0.4),
      rung('puller', 'Puller on the hub or the jacking holes, steady pins cut first', 25, 0.7, {
        owes: ['drum'],
        needs: 'Never on the rim of a cast drum.',
        owed: 'Diameter and out-of-round gauged again.',
      }),
    ],
  },
  {
    ...{ id: 'rotor', name: 'Rotor that will not come off its hub', kinds: ['rotor'] },
    rungs: [
      rung('soak', 'Soak at the seat', 5, 0.25, { waits: 24 }),
      rung('screws', 'Retaining screws by impact', 10, 0.4),
      rung('struck', 'Struck between the studs, turning', 15, 0.45),
      rung('two_nuts', 'Two nuts as jacks', 15, 0.5),
      rung('puller', 'Press or puller', 25, 0.7),
      rung('cut', 'Cut', 30, 1, { owes: ['renewed'], owed: 'It is scrap.' }),
    ],
  },
  {
    ...{ id: 'fastener', name: 'Union, bleeder or adjuster that will not turn', kinds: ['line', 'hose', 'union', 'bleeder', 'expander'] },
    rungs: [
      rung('soak', 'Soak over days', 5, 0.3, { waits: 48 }),
      rung('spanner', 'The spanner made for it', 5, 0.35, HAND),
      rung('tighten', 'Tighten a hair, then loosen', 5, 0.25, HAND),
      rung('warmth', 'Warmth at the seat beside no rubber and no fluid', 15, 0.4, HAND),
      rung('grip', 'A tool that grips rounded corners', 10, 0.4, HAND),
      rung('cut', 'Cut the line', 10, 0.9, { owes: ['renewed'], owed: 'A new line is on the list at once.' }),
      rung('drill', 'Drill it out, thread repaired', 60, 0.85, { owed: 'The thread repair is on record.' }),
    ],
  },
  {
    ...{ id: 'unit', name: 'Unit rusted on its studs, spigot or bracket', kinds: ['hub', 'servo', 'shoes', 'parking_shoes', 'band'] },
    rungs: [
      rung('soak', 'Soak', 5, 0.25, { waits: 24 }),
      rung('turn', 'Turn it, if it may turn', 5, 0.3, HAND),
      rung('drift', 'Drift beside the stud', 10, 0.4),
      rung('stud_out', 'Two nuts and the stud out', 20, 0.5),
      rung('warmth', 'Warmth, no rubber, no fluid', 15, 0.4),
      rung('cut_stud', 'Cut the stud', 30, 0.9, { owed: 'A new stud is on the list.' }),
    ],
  },
];

export function ladderFor(kind: ComponentKind): Ladder | undefined {
  return LADDERS.find((l) => l.kinds.includes(kind));
}

/** A rung by the names that it is kept with; undefined where there is none. */
export function ladderRung(ladderId: string, rungId: string): Rung | undefined {
  return LADDERS.find((l) => l.id === ladderId)?.rungs.find((r) => r.id === rungId);
}
