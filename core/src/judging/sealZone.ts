import type { CharacteristicId } from '../catalogue/characteristics.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import { type Layout, type Slot, slotById, unitMates } from '../layout/graph.ts';
import type { PadPlace } from '../metrology/padLining.ts';
import { type LiningState, type PitZone, type Reach, type SealFacts, pitZone } from '../metrology/pitZone.ts';
import { type DomainError, toResult } from '../quantity/domainError.ts';
import { type LimitVersion, findLimits } from '../verdict/limits.ts';
import { mean } from '../verdict/uncertainty.ts';
import { axleOfSlot, genericFor } from './genericLimits.ts';
import { limitTarget } from './judge.ts';
import { type DamageSegment, stretchesAt } from './stretches.ts';

/** What has to be known before it can be said where a seal sweeps; what is of when new or at discard stands in the limit book. */
export type SealMissing =
  | 'mouth'
  | 'seal_place'
  | 'seal_width'
  | 'sealing_length'
  | 'lining_new'
  | 'lining_discard'
  | `${PadPlace}_pad`
  | `${PadPlace}_lining`
  | 'rotor_new'
  | 'rotor_discard'
  | 'rotor';

export interface SealZone {
  readonly caliper: 'fixed' | 'floating';
  /** The pad whose lining it is reckoned with: that of the piston’s own side. */
  readonly pad: 'inner' | 'outer';
  readonly pits: readonly DamageSegment[];
  readonly seal: SealFacts | null;
  readonly result: PitZone | null;
  /** Why the linings do not fit or a pit cannot be judged. */
  readonly refused: DomainError | null;
  /** What is not known yet. */
  readonly missing: readonly SealMissing[];
}

function limitFor(history: JobHistory, id: CharacteristicId, slot: Slot): LimitVersion | null {
  const part = history.records.parts.find((p) => p.id === partHere(slot.id, history.active(history.records.partEvents)));
  const target = limitTarget(history.records.vehicle, id, axleOfSlot(slot), part?.id ?? null, part?.partNumber ?? null);
  return findLimits([...history.records.limits, ...genericFor(slot, history.records.vehicle)], target).governing[0] ?? null;
}

/**
 * The pad that a piston of a fixed caliper presses on: as its name says, else the first half of the pistons the inner one.
 */
function padSide(layout: Layout, piston: Slot): 'inner' | 'outer' {
  if (/inner|outer/i.test(piston.name)) return /outer/i.test(piston.name) ? 'outer' : 'inner';
  const all = layout.slots.filter((s) => s.kind === 'piston' && s.parentId === piston.parentId);
  return all.findIndex((s) => s.id === piston.id) < all.length / 2 ? 'inner' : 'outer';
}

/**
 * Whether pits of a caliper's piston lie where its seal sweeps or rests, from what was gauged at this wheel: the seal's
 * groove, the pads with and without backing, the rotor, and their limits for new and discard.
 * Source: handbook 20, Does a pit matter?
 */
export function sealZone(history: JobHistory, slot: Slot): SealZone {
  const { layout } = history.records;
  const events = history.active(history.records.partEvents);
  // Of its own caliper's side: a wheel may have two discs.
  const at = (kind: Slot['kind']): Slot | undefined => unitMates(layout, slot, kind)[0];
  const valuesOf = (of: Slot | undefined, id: MeasurementId, places: (place: string) => boolean): number[] => {
    const set = of && newestSets(history, of.id, partHere(of.id, events)).get(id);
    return set ? history.taken(set).flatMap((t) => (places(t.reading.place ?? '') ? [t.value] : [])) : [];
  };
  const one = (of: Slot | undefined, id: MeasurementId, place: string): number | null => valuesOf(of, id, (p) => p === place)[0] ?? null;
  const caliper = slot.parentId ? slotById(layout, slot.parentId) : undefined;
  const fixed = caliper?.style === 'fixed';
  const [pads, rotor] = [at('pads'), at('rotor')];
  const missing: SealMissing[] = [];
  const want = <T>(value: T | null, name: SealMissing): T | null => {
    if (value === null && !missing.includes(name)) missing.push(name);
    return value;
  };
  const mouth = want(one(slot, 'piston_seal', 'mouth to face'), 'mouth');
  const below = want(one(slot, 'piston_seal', 'seal below mouth'), 'seal_place');
  const width = want(one(slot, 'piston_seal', 'seal width'), 'seal_width');
  const length = want(one(slot, 'piston_seal', 'sealing length'), 'sealing_length');
  const lining = (pad: PadPlace): number | null => {
    const list = valuesOf(pads, 'pad_lining', (p) => p.startsWith(`${pad}:`));
    return list.length > 0 ? mean(list) : null;
  };
  const padLimit = pads ? limitFor(history, 'pad_lining', pads) : null;
  const padNew = want(padLimit?.nominal ?? null, 'lining_new');
  const padDiscard = want(padLimit?.at ?? null, 'lining_discard');
  const padOf = (pad: PadPlace): Record<LiningState, number> | null => {
    const total = want(one(pads, 'pad_total', pad), `${pad}_pad`);
    const worn = want(lining(pad), `${pad}_lining`);
    if (total === null || worn === null || padNew === null || padDiscard === null) return null;
    const backing = total - worn;
    return { as_found: total, new: backing + padNew, discard: backing + padDiscard };
  };
  // In a fixed caliper a piston presses on the pad of its own side.
  const side = fixed ? padSide(layout, slot) : 'inner';
  const inner = padOf(side);
  const outer = fixed ? null : padOf('outer');
  const thickness = valuesOf(rotor, 'rotor_thickness', () => true);
  const rotorLimit = rotor ? limitFor(history, 'rotor_thickness', rotor) : null;
  const rotorNew = want(rotorLimit?.nominal ?? null, 'rotor_new');
  const rotorDiscard = want(rotorLimit?.at ?? null, 'rotor_discard');
  const rotorNow = want(thickness.length > 0 ? mean(thickness) : null, 'rotor');
  const renewal = rotor && decidedHere(history, rotor.id).now?.option;
  const replaced = renewal === 'replace' || renewal === 'exchange';
  const pits = stretchesAt(history, slot.id);
  const seal =
    below !== null && width !== null && length !== null ? { sealBelowMouth: below, sealWidth: width, sealingLength: length } : null;
  const none = { caliper: fixed ? ('fixed' as const) : ('floating' as const), pad: side, pits, seal, result: null, refused: null, missing };
  if (seal === null || mouth === null || inner === null || rotorNew === null || rotorDiscard === null || rotorNow === null) return none;
  const rotors: Record<LiningState, number> = { as_found: rotorNow, new: replaced ? rotorNew : rotorNow, discard: rotorDiscard };
  const each = <T>(make: (state: LiningState) => T): Record<LiningState, T> => ({
    as_found: make('as_found'),
    new: make('new'),
    discard: make('discard'),
  });
  let reach: Reach;
  if (fixed) {
    reach = {
      caliper: 'fixed',
      mouthToNewRotorFace: mouth,
      states: each((s) => ({ padTotal: inner[s], rotorFaceWear: (rotorNew - rotors[s]) / 2 })),
    };
  } else {
    if (outer === null) return none;
    reach = {
      caliper: 'floating',
      mouthToFingers: mouth,
      states: each((s) => ({ innerPadTotal: inner[s], outerPadTotal: outer[s], rotorThickness: rotors[s] })),
    };
  }
  const tried = toResult(() => pitZone(reach, seal, pits));
  return tried.ok ? { ...none, result: tried.value } : { ...none, refused: tried.refusal };
}
