import type { JobHistory } from '../history/jobHistory.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import { drumPair, turning, turningOutside } from '../metrology/drum.ts';
import { machining } from '../metrology/rotorThickness.ts';
import { runoutOf } from '../metrology/takenIn.ts';
import { type DomainError, toResult } from '../quantity/domainError.ts';
import type { Judged } from './judge.ts';
import { onStuds } from './turnOnStuds.ts';

/** What a cut leans on and nobody gauged. */
export type NotGauged = 'score_depth' | 'radial_runout' | 'warp_and_wobble';

/** What a cut would have to take out, as far as it was gauged, mm. */
export interface CutFacts {
  readonly scoreInner: number;
  readonly scoreOuter: number;
  /** Of a drum. */
  readonly score: number;
  readonly warp: number;
  /** Wobble that the cut takes out: the rotor's own where hub and rotor were told apart, all of it otherwise. */
  readonly wobble: number;
  /** First harmonic inside a drum on its hub. */
  readonly radialWobble: number;
  /** What was not gauged and is taken as none. */
  readonly takenAsNone: readonly NotGauged[];
}

/**
 * What a cut of a rotor or drum would have to take out, from the newest sets of it.
 * Source: handbook 20, Can it be machined?; Can it be turned?
 */
export function cutFacts(history: JobHistory, slotId: string): CutFacts {
  const partId = partHere(slotId, history.active(history.records.partEvents));
  const newest = newestSets(history, slotId, partId);
  const at = (id: 'rotor_surface' | 'drum_surface' | 'band_drum_surface', place: string): number | null => {
    const set = newest.get(id);
    return (set && history.taken(set).find((t) => t.reading.place === place)?.value) ?? null;
  };
  const sweepOf = (id: 'rotor_runout' | 'drum_runout' | 'band_drum_runout') => {
    const set = newest.get(id);
    return set ? runoutOf(history.taken(set)) : null;
  };
  const sweep = sweepOf('rotor_runout');
  const kind = slotById(history.records.layout, slotId)?.kind;
  const radial = sweepOf(kind === 'band_drum' ? 'band_drum_runout' : 'drum_runout');
  const studs = history.sets.findLast((s) => s.slotId === slotId && s.studs !== null)?.studs ?? null;
  const apart = studs === null ? null : onStuds(history, slotId, partId, studs, 0).result;
  const [inner, outer, drum] = [
    at('rotor_surface', 'inner face: score'),
    at('rotor_surface', 'outer face: score'),
    at(kind === 'band_drum' ? 'band_drum_surface' : 'drum_surface', 'score'),
  ];
  const none: NotGauged[] = [];
  if (kind === 'drum' || kind === 'band_drum') {
    if (drum === null) none.push('score_depth');
    if (radial === null) none.push('radial_runout');
  } else {
    if (inner === null || outer === null) none.push('score_depth');
    if (sweep === null) none.push('warp_and_wobble');
  }
  return {
    scoreInner: inner ?? 0,
    scoreOuter: outer ?? 0,
    score: drum ?? 0,
    warp: sweep?.warp ?? 0,
    wobble: apart ? apart.rotor.tir : (sweep?.wobble ?? 0),
    radialWobble: radial?.wobble ?? 0,
    takenAsNone: none,
  };
}

/** Whether a part may be cut, and what follows for the other side of the axle. */
export interface Cut {
  readonly state: ReturnType<typeof turning>['state'] | ReturnType<typeof machining>['state'] | null;
  /** Why nothing can be said; null where something can. */
  readonly refused: DomainError | null;
  /** What it comes out at cut clean, mm. */
  readonly after: number;
  readonly machineTo: number | null;
  /** It would be past discard before the next service. */
  readonly early: boolean;
  /** What it means for the other drum of the axle; null where nothing. */
  readonly pair: CutPair | null;
  /** What was not gauged and is taken as none. */
  readonly takenAsNone: readonly NotGauged[];
}

/** Both drums of an axle as they would be turned, mm: what the other comes out at, and what both are turned to where that is too far apart. */
export interface CutPair {
  readonly other: number;
  readonly together: { readonly mine: number; readonly other: number; readonly allowed: boolean } | null;
}

/** The figure that a cut is judged by, where it is known well enough. */
const governing = (judged: readonly Judged[]): Judged | undefined => judged.find((j) => j.characteristic.role === 'size' && j.enough);

/** What a drum comes out at; null where it is not gauged or has no limit. */
function turned(history: JobHistory, slot: Slot, judged: readonly Judged[]) {
  const j = governing(judged);
  if (!j?.limit || j.limit.at === null) return null;
  const { at: discard, machineTo } = j.limit;
  const f = cutFacts(history, slot.id);
  const tried = toResult(() => turning({ max: j.reduced.value, discard, machineTo, scoreDepth: f.score, radialWobble: f.radialWobble }));
  return tried.ok ? { ...tried.value, machineTo } : null;
}

/** Both drums of an axle are turned to within what is allowed of each other: the smaller goes along. */
function alongside(history: JobHistory, slot: Slot, judged: readonly Judged[], other: Slot, others: readonly Judged[]): CutPair | null {
  const [mine, theirs] = [turned(history, slot, judged), turned(history, other, others)];
  if (!mine || !theirs || theirs.machineTo === null) return null;
  const both = drumPair(
    { after: mine.after, turnable: mine.state === 'turnable' },
    { after: theirs.after, turnable: theirs.state === 'turnable' },
    theirs.machineTo,
  );
  return { other: theirs.after, together: both.ok ? null : { mine: both.leftTo, other: both.rightTo, allowed: both.turnable } };
}

/**
 * Whether a cut would leave enough metal, where the figure would end, and what it means for the pair.
 * @param judged figures of the rotor or drum
 * @param other the other side of the axle with its figures, where there is one
 * @returns null where it is not gauged or has no limit
 * Source: handbook 20, Can it be machined?; Can it be turned?
 */
export function cutOf(
  history: JobHistory,
  slot: Slot,
  judged: readonly Judged[],
  other: { readonly slot: Slot; readonly judged: readonly Judged[] } | null,
): Cut | null {
  const m = governing(judged);
  if (!m?.limit || m.limit.at === null) return null;
  const { at: discard, machineTo } = m.limit;
  const drum = slot.kind === 'drum';
  const f = cutFacts(history, slot.id);
  const { takenAsNone } = f;
  const tried = toResult(() => {
    if (slot.kind === 'band_drum')
      return {
        ...turningOutside({ min: m.reduced.value, discard, machineTo, scoreDepth: f.score, radialWobble: f.radialWobble }),
        early: false,
      };
    if (drum)
      return { ...turning({ max: m.reduced.value, discard, machineTo, scoreDepth: f.score, radialWobble: f.radialWobble }), early: false };
    const cut = machining({
      ...{ min: m.reduced.value, discard, machineTo, scoreInner: f.scoreInner, scoreOuter: f.scoreOuter },
      ...{ warp: f.warp, wobbleRemoved: f.wobble, kmToNextService: m.toNextService },
      wearPer1000Km: m.wear ? Math.abs(m.wear.slope) * 1000 : null,
    });
    return { ...cut, early: cut.underDiscardBeforeService === true };
  });
  const pair = drum && other ? alongside(history, slot, judged, other.slot, other.judged) : null;
  if (!tried.ok) return { state: null, refused: tried.refusal, after: m.reduced.value, machineTo, early: false, pair: null, takenAsNone };
  const { state, after, early } = tried.value;
  return { state, refused: null, after, machineTo, early, pair, takenAsNone };
}
