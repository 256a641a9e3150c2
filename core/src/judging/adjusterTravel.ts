import type { MeasurementId } from '../catalogue/measurements.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import { type Slot, unitMates } from '../layout/graph.ts';
import type { Taken } from '../metrology/takenIn.ts';
import { DomainError, SLACK } from '../quantity/domainError.ts';
import { findLimits } from '../verdict/limits.ts';
import { mean } from '../verdict/uncertainty.ts';
import { axleOfSlot, genericFor } from './genericLimits.ts';
import { limitTarget } from './judge.ts';

/** A length now and when new, mm. */
interface WornLength {
  readonly now: number;
  readonly fresh: number;
}

export interface AdjusterInput {
  /** Diameter of the drum, mm. */
  readonly drum: WornLength;
  /** Lining of each shoe, mm. */
  readonly linings: readonly WornLength[];
  /** Least lining thickness, mm; null where no limit is on file. */
  readonly liningDiscard: number | null;
  /** Link or push rod between the shoes, mm. */
  readonly link?: WornLength | null;
  /** Height of the cam or wedge that spreads the shoes, mm. */
  readonly cam?: WornLength | null;
  /** How far the adjuster runs out from all the way in, mm. */
  readonly travel: number;
  /** mm of travel a click or turn; null where it is not known. */
  readonly perClick?: number | null;
  /**
   * How far the adjusted end of a shoe moves for what its middle takes up: 2 where the other end hinges on its anchor,
   * 1 where both ends move alike.
   */
  readonly leverage: 1 | 2;
}

/** One thing that draws on the adjuster. */
export interface Draw {
  readonly what: 'drum' | 'linings' | 'link' | 'cam';
  /** mm of the adjuster's travel. */
  readonly mm: number;
}

export interface AdjusterTravel {
  readonly draws: readonly Draw[];
  /** Travel used by all of it together, mm. */
  readonly used: number;
  /** Travel left, mm; below nothing where it has run out. */
  readonly left: number;
  /** Clicks or turns left; null where one is not known in mm. */
  readonly clicksLeft: number | null;
  /** Lining at which the travel ends, the same worn off every shoe from now on, mm of the thinnest. */
  readonly endsAtLining: number;
  /** The travel ends before the thinnest lining is worn to its discard; null without one. */
  readonly endsBeforeDiscard: boolean | null;
  /** Packing, a longer link or a higher cam, mm in all, that puts the adjuster back into the middle; 0 where it stands short of it. */
  readonly liftToMiddle: number;
}

/**
 * What is left of an adjuster's travel once the drum's growth, thin linings, a short link and a worn cam all draw on it.
 * At the middle of a shoe the drum's growth takes half of its difference in diameter and the lining what it has lost;
 * the adjusted end moves `leverage` times that, and both shoes share the adjuster. Link and cam draw as they are short.
 * @throws DomainError nothing_measured without a lining, nonpositive_length, longer_than_new (a link or cam over its new length)
 * Source: handbook 05, Wear adds up; 20, Adjuster travel left and Shoe centring (an end's lift moves the middle by half).
 */
export function adjusterTravel(input: AdjusterInput): AdjusterTravel {
  const { drum, linings, leverage } = input;
  const thinnest = Math.min(...linings.map((l) => l.now));
  if (linings.length === 0) throw new DomainError('nothing_measured', 'Gauge the linings first: they draw on the adjuster the most.');
  const lengths = [drum, ...linings, input.link, input.cam].flatMap((l) => (l ? [l.now, l.fresh] : []));
  if (lengths.some((l) => !(l >= 0)) || !(input.travel > 0) || !(drum.now > 0) || !(drum.fresh > 0))
    throw new DomainError('nonpositive_length', 'A length is more than nothing.');
  for (const [name, l] of [
    ['link', input.link],
    ['cam', input.cam],
  ] as const) {
    if (l && l.now > l.fresh + SLACK)
      throw new DomainError('longer_than_new', `The ${name} is longer than when new: one of the two figures is wrong.`);
  }
  const short = (l: WornLength | null | undefined): number => (l ? l.fresh - l.now : 0);
  const shoes = linings.length;
  const draws: Draw[] = [
    { what: 'drum', mm: shoes * leverage * ((drum.now - drum.fresh) / 2) },
    { what: 'linings', mm: leverage * linings.reduce((s, l) => s + (l.fresh - l.now), 0) },
    { what: 'link', mm: short(input.link) },
    { what: 'cam', mm: short(input.cam) },
  ];
  const used = draws.reduce((s, d) => s + d.mm, 0);
  const left = input.travel - used;
  const endsAtLining = thinnest - left / (shoes * leverage);
  const perClick = input.perClick ?? null;
  return {
    draws,
    used,
    left,
    clicksLeft: perClick !== null && perClick > 0 ? Math.floor(left / perClick + SLACK) : null,
    endsAtLining,
    endsBeforeDiscard: input.liningDiscard === null ? null : endsAtLining > input.liningDiscard + SLACK,
    liftToMiddle: Math.max(0, used - input.travel / 2),
  };
}

/** What has to be known before an adjuster can be reckoned; what is of when new stands in the limit book or is measured beside. */
export type AdjusterMissing = 'drum' | 'drum_new' | 'linings' | 'lining_new' | 'above_rivets_new' | 'whole_travel';

/** What draws on an adjuster as far as it was gauged at one wheel, and what is missing. */
export interface AdjusterFacts {
  readonly drum: WornLength | null;
  readonly linings: readonly WornLength[];
  readonly liningDiscard: number | null;
  readonly link: WornLength | null;
  readonly cam: WornLength | null;
  readonly travel: number | null;
  readonly perClick: number | null;
  readonly missing: readonly AdjusterMissing[];
}

/**
 * Gathers what draws on the adjuster of a pair of shoes: of the wheel's drum, the linings (mean of each shoe), link, cam
 * and adjuster the newest sets; what they were when new from the limit book or as measured beside.
 */
export function adjusterFacts(history: JobHistory, shoes: Slot): AdjusterFacts {
  const { layout, vehicle, parts, limits } = history.records;
  const events = history.active(history.records.partEvents);
  const drumSlot = unitMates(layout, shoes, 'drum')[0];
  const takenAt = (slot: Slot | undefined, id: MeasurementId): readonly Taken[] => {
    const set = slot && newestSets(history, slot.id, partHere(slot.id, events)).get(id);
    return set ? history.taken(set) : [];
  };
  const limitOf = (slot: Slot | undefined, id: 'drum_diameter' | 'shoe_lining' | 'shoe_above_rivets') => {
    if (!slot) return null;
    const part = parts.find((p) => p.id === partHere(slot.id, events));
    const target = limitTarget(vehicle, id, axleOfSlot(slot), part?.id ?? null, part?.partNumber ?? null);
    return findLimits([...limits, ...genericFor(slot, vehicle)], target).governing[0] ?? null;
  };
  const bonded = takenAt(shoes, 'shoe_lining');
  const measured = bonded.length > 0 ? bonded : takenAt(shoes, 'shoe_above_rivets');
  const lining = limitOf(shoes, bonded.length > 0 ? 'shoe_lining' : 'shoe_above_rivets');
  const travelSet = takenAt(shoes, 'adjuster_travel');
  const at = (place: string): number | null => travelSet.find((t) => t.reading.place === place)?.value ?? null;
  const pair = (now: string, fresh: string): WornLength | null => {
    const [n, f] = [at(now), at(fresh)];
    return n === null || f === null ? null : { now: n, fresh: f };
  };
  const drums = takenAt(drumSlot, 'drum_diameter').map((t) => t.value);
  const drumNew = limitOf(drumSlot, 'drum_diameter')?.nominal ?? null;
  // Above the rivets or above the shoe: new and worn are reckoned from the same.
  const freshLining = at(bonded.length > 0 ? 'lining new' : 'above rivets new') ?? lining?.nominal ?? null;
  const ofShoe = (shoe: string): number[] => measured.filter((t) => (t.reading.place ?? '').startsWith(`${shoe}:`)).map((t) => t.value);
  const linings =
    freshLining === null
      ? []
      : ['leading', 'trailing'].map(ofShoe).flatMap((list) => (list.length === 0 ? [] : [{ now: mean(list), fresh: freshLining }]));
  const missing: AdjusterMissing[] = [];
  if (drums.length === 0) missing.push('drum');
  if (drumNew === null) missing.push('drum_new');
  if (measured.length === 0) missing.push('linings');
  else if (freshLining === null) missing.push(bonded.length > 0 ? 'lining_new' : 'above_rivets_new');
  if (at('whole travel') === null) missing.push('whole_travel');
  return {
    drum: drums.length > 0 && drumNew !== null ? { now: Math.max(...drums), fresh: drumNew } : null,
    linings,
    liningDiscard: lining?.at ?? null,
    link: pair('link', 'link new'),
    cam: pair('cam', 'cam new'),
    travel: at('whole travel'),
    perClick: at('per click'),
    missing,
  };
}
