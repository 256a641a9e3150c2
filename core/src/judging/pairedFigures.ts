import type { CharacteristicId } from '../catalogue/characteristics.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS } from '../catalogue/measurements.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import { type Slot, counterpart, unitMates } from '../layout/graph.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import { ofOneGauge } from '../metrology/figures.ts';
import type { Reduced } from '../metrology/reduce.ts';
import { ARC_AIM } from '../catalogue/measured/practice.ts';
import { type Taken, decimalsOf } from '../metrology/takenIn.ts';
import { ofTwo, rootSumSquares, singleReading } from '../verdict/uncertainty.ts';

/** A figure made of two sets: of two parts that meet, or of both sides of an axle. */
export interface PairedFigure {
  readonly characteristic: CharacteristicId;
  /** The set of the place it is said of. */
  readonly set: ReadingSet;
  readonly reduced: Reduced;
  /** The place whose readings it also leans on. */
  readonly with: Slot;
}

const least = (list: readonly Taken[]): Taken | undefined => [...list].sort((a, b) => a.value - b.value)[0];
const greatest = (list: readonly Taken[]): Taken | undefined => [...list].sort((a, b) => b.value - a.value)[0];

function figure(
  id: CharacteristicId,
  value: number,
  expanded: number,
  governing: readonly Taken[],
  counts: readonly (readonly [Measured, Measured])[],
): Reduced {
  return {
    characteristic: id,
    value,
    expanded,
    governing: governing.map((t) => t.reading),
    taken: counts.reduce(
      (n, [a, b]) =>
        n +
        Math.min(a.taken.length, MEASUREMENTS[a.set.measurement].least) +
        Math.min(b.taken.length, MEASUREMENTS[b.set.measurement].least),
      0,
    ),
    needed: counts.reduce((n, [a, b]) => n + MEASUREMENTS[a.set.measurement].least + MEASUREMENTS[b.set.measurement].least, 0),
    decimals: decimalsOf(governing),
  };
}

interface Measured {
  readonly set: ReadingSet;
  readonly taken: readonly Taken[];
}

/** Piston in its bore: the largest bore less the smallest piston, by two gauges. */
function clearance(bore: Measured, piston: Measured): Reduced | null {
  const [max, min] = [greatest(bore.taken), least(piston.taken)];
  if (!max || !min) return null;
  return figure('bore_clearance', max.value - min.value, ofTwo(max.errors, min.errors).expanded, [max, min], [[bore, piston]]);
}

/** Drum less lining arc, of the shoe that lies farthest from the middle of the aim. */
function arc(drum: Measured, shoes: Measured): Reduced | null {
  const max = greatest(drum.taken);
  const middle = (ARC_AIM.low + ARC_AIM.high) / 2;
  const off = (t: Taken): number => (max ? Math.abs(max.value - t.value - middle) : 0);
  const worst = [...shoes.taken].sort((a, b) => off(b) - off(a))[0];
  if (!max || !worst) return null;
  return figure('shoe_arc_difference', max.value - worst.value, ofTwo(max.errors, worst.errors).expanded, [max, worst], [[drum, shoes]]);
}

/** Both sides of an axle apart, of what governs each. */
function pair(
  id: CharacteristicId,
  mine: Measured,
  others: Measured,
  governs: (list: readonly Taken[]) => Taken | undefined,
): Reduced | null {
  const [a, b] = [governs(mine.taken), governs(others.taken)];
  if (!a || !b) return null;
  return figure(id, Math.abs(a.value - b.value), ofTwo(a.errors, b.errors).expanded, [a, b], [[mine, others]]);
}

const at = (m: Measured, place: string): Taken | undefined => m.taken.find((t) => t.reading.place === place);

/** What a hard application leaves at each wheel, apart. */
function dragPair(mine: Measured, others: Measured): Reduced | null {
  const [a, a0, b, b0] = [at(mine, 'after'), at(mine, 'before'), at(others, 'after'), at(others, 'before')];
  if (!a || !a0 || !b || !b0) return null;
  const errors = ofOneGauge('wheel_drag', [a, a0, b, b0]) ? (t: Taken) => t.shortErrors : (t: Taken) => t.errors;
  const expanded = 2 * rootSumSquares(...[a, a0, b, b0].map((t) => singleReading(errors(t))));
  return figure('wheel_drag_pair', Math.abs(a.value - a0.value - (b.value - b0.value)), expanded, [a, b], [[mine, others]]);
}

/**
 * Line pressures of both sides apart, as a share of the larger, at each of two pushes: which governs is told by the verdict,
 * not by the figure. One gauge on both sides cancels most of what it is out.
 */
function pressurePairs(mine: Measured, others: Measured): Reduced[] {
  return ['light', 'hard'].flatMap((place) => {
    const [a, b] = [at(mine, place), at(others, place)];
    if (!a || !b) return [];
    const [most, less] = a.value >= b.value ? [a, b] : [b, a];
    if (!(most.value > 0)) return [];
    const errors = ofOneGauge('line_pressure', [a, b]) ? (t: Taken) => t.shortErrors : (t: Taken) => t.errors;
    // r = 1 − less/most: its parts are u(less)/most and less·u(most)/most² (JCGM 100, 5.1.2).
    const expanded =
      2 * rootSumSquares(singleReading(errors(less)) / most.value, (less.value * singleReading(errors(most))) / most.value ** 2);
    const reduced = figure('line_pressure_pair', (most.value - less.value) / most.value, expanded, [a, b], [[mine, others]]);
    return [{ ...reduced, decimals: 2 }];
  });
}

/**
 * Brake forces of both wheels of an axle apart, as a share of the larger; one tester on both sides cancels nothing, since what
 * it is out is a share of what it shows.
 * Source: handbook 60, Proving.
 */
function forcePair(mine: Measured, others: Measured): Reduced | null {
  const [a, b] = [at(mine, 'force'), at(others, 'force')];
  if (!a || !b) return null;
  const [most, less] = a.value >= b.value ? [a, b] : [b, a];
  if (!(most.value > 0)) return null;
  const expanded = 2 * rootSumSquares(singleReading(less.errors) / most.value, (less.value * singleReading(most.errors)) / most.value ** 2);
  return { ...figure('brake_force_pair', 1 - less.value / most.value, expanded, [a, b], [[mine, others]]), decimals: 2 };
}

/**
 * Figures of a place that are made of two sets.
 * Source: handbook 20: Cylinder bores (clearance), Shoe arc, Axle pair, Wheel tests; handbook 10: a difference of two
 * gauges takes the root of the sum of both squares.
 */
export function pairedFiguresAt(history: JobHistory, slot: Slot): PairedFigure[] {
  const { layout } = history.records;
  const events = history.active(history.records.partEvents);
  const measured = (of: Slot, id: MeasurementId): Measured | null => {
    const set = newestSets(history, of.id, partHere(of.id, events)).get(id);
    return set ? { set, taken: history.taken(set) } : null;
  };
  const found: PairedFigure[] = [];
  const add = (of: Measured, other: Slot, reduced: Reduced | null): void => {
    if (reduced) found.push({ characteristic: reduced.characteristic, set: of.set, reduced, with: other });
  };
  const piston = measured(slot, 'piston_diameter');
  const bore = piston && measured(slot, 'bore_diameter');
  if (piston && bore) add(piston, slot, clearance(bore, piston));

  const shoes = measured(slot, 'shoe_arc');
  const drumSlot = shoes ? unitMates(layout, slot, 'drum')[0] : undefined;
  const drum = drumSlot && measured(drumSlot, 'drum_diameter');
  if (shoes && drumSlot && drum) add(shoes, drumSlot, arc(drum, shoes));

  const other = counterpart(layout, slot);
  if (!other) return found;
  const sides = (id: MeasurementId): readonly [Measured, Measured] | null => {
    const mine = measured(slot, id);
    const theirs = mine && measured(other, id);
    return mine && theirs ? [mine, theirs] : null;
  };
  const cut = (both: readonly [Measured, Measured]): boolean => both.every((m) => m.set.phase !== 'as_found');
  const rotors = sides('rotor_thickness');
  if (rotors && cut(rotors)) add(rotors[0], other, pair('rotor_pair', ...rotors, least));
  const drums = sides('drum_diameter');
  if (drums && cut(drums)) add(drums[0], other, pair('drum_pair', ...drums, greatest));
  const drag = sides('wheel_drag');
  if (drag) add(drag[0], other, dragPair(...drag));
  const force = sides('brake_force');
  if (force) add(force[0], other, forcePair(...force));
  const heat = sides('wheel_heat');
  if (heat) add(heat[0], other, pair('wheel_heat_pair', ...heat, greatest));
  const pressure = sides('line_pressure');
  for (const reduced of pressure ? pressurePairs(...pressure) : []) if (pressure) add(pressure[0], other, reduced);
  return found;
}
