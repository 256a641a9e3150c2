import { counterpart, placeName, type Slot } from '../layout/graph.ts';
import type { Book } from '../records/book.ts';
import { partIn } from '../records/standing.ts';
import type { ReadingSet } from '../records/readingRecords.ts';
import { ofTwo } from '../verdict/uncertainty.ts';
import type { CharacteristicId } from './characteristics.ts';
import { MEASUREMENTS, type MeasurementId } from './measurements.ts';
import { decimalsOf, type Reduced, type Taken } from './reduce.ts';
import { newestSets } from './setsOf.ts';
import { ARC_AIM } from './shoeArc.ts';

/** A figure made of two sets: of two parts that meet, or of both sides of an axle. */
export interface Between {
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
  const expanded = Math.hypot(ofTwo(a.errors, a0.errors).expanded, ofTwo(b.errors, b0.errors).expanded);
  return figure('wheel_drag_pair', Math.abs(a.value - a0.value - (b.value - b0.value)), expanded, [a, b], [[mine, others]]);
}

/** Line pressures of both sides apart, as a share of the larger: the worse of the two pushes. */
function pressurePair(mine: Measured, others: Measured): Reduced | null {
  const both = ['light', 'hard'].flatMap((place) => {
    const [a, b] = [at(mine, place), at(others, place)];
    if (!a || !b) return [];
    const most = Math.max(a.value, b.value);
    if (!(most > 0)) return [];
    return [{ value: Math.abs(a.value - b.value) / most, expanded: ofTwo(a.errors, b.errors).expanded / most, governing: [a, b] }];
  });
  const worst = both.sort((x, y) => y.value - x.value)[0];
  if (!worst) return null;
  return { ...figure('line_pressure_pair', worst.value, worst.expanded, worst.governing, [[mine, others]]), decimals: 2 };
}

/**
 * Figures of a place that are made of two sets.
 * Source: handbook 20: Cylinder bores (clearance), Shoe arc, Axle pair, Wheel tests; handbook 10: a difference of two
 * gauges takes the root of the sum of both squares.
 */
export function betweenAt(book: Book, slot: Slot): Between[] {
  const { layout } = book.file;
  const events = book.stand(book.file.partEvents);
  const measured = (of: Slot, id: MeasurementId): Measured | null => {
    const set = newestSets(book, of.id, partIn(of.id, events)).get(id);
    return set ? { set, taken: book.taken(set) } : null;
  };
  const found: Between[] = [];
  const add = (of: Measured, other: Slot, reduced: Reduced | null): void => {
    if (reduced) found.push({ characteristic: reduced.characteristic, set: of.set, reduced, with: other });
  };
  const piston = measured(slot, 'piston_diameter');
  const bore = piston && measured(slot, 'bore_diameter');
  if (piston && bore) add(piston, slot, clearance(bore, piston));

  const shoes = measured(slot, 'shoe_arc');
  const drumSlot = shoes && layout.slots.find((s) => s.kind === 'drum' && s.corner === slot.corner);
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
  const pressure = sides('line_pressure');
  if (pressure) add(pressure[0], other, pressurePair(...pressure));
  return found;
}

/** What a figure between two places also leans on, in words. */
export function alongWith(b: Between, slot: Slot): string {
  return b.with.id === slot.id ? '' : `With the ${placeName(b.with).toLowerCase()}.`;
}
