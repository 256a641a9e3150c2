import type { CharacteristicId } from '../catalogue/characteristics.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import type { Book } from '../history/book.ts';
import { newestSets } from '../history/setsOf.ts';
import { partHere } from '../history/whereabouts.ts';
import { type Layout, type Slot, slotById, unitMates } from '../layout/graph.ts';
import { inForce } from '../ledger/inForce.ts';
import { type LiningState, type PitZone, type Reach, type SealFacts, pitZone } from '../metrology/pitZone.ts';
import { toResult } from '../quantity/domainError.ts';
import { type LimitVersion, findLimits } from '../verdict/limits.ts';
import { mean } from '../verdict/uncertainty.ts';
import { axleOfSlot, genericFor } from './genericLimits.ts';
import { limitTarget } from './judge.ts';
import { type DamageSegment, stretchesAt } from './stretches.ts';

export interface SealZone {
  readonly caliper: 'fixed' | 'floating';
  /** The pad whose lining it is reckoned with: that of the piston’s own side. */
  readonly pad: 'inner' | 'outer';
  readonly pits: readonly DamageSegment[];
  readonly seal: SealFacts | null;
  readonly result: PitZone | null;
  /** Why the linings do not fit or a pit cannot be judged. */
  readonly refused: string | null;
  /** What is not known yet, in words. */
  readonly missing: readonly string[];
}

function limitFor(book: Book, id: CharacteristicId, slot: Slot): LimitVersion | null {
  const part = book.file.parts.find((p) => p.id === partHere(slot.id, book.stand(book.file.partEvents)));
  const target = limitTarget(book.file.vehicle, id, axleOfSlot(slot), part?.id ?? null, part?.partNumber ?? null);
  return findLimits([...book.file.limits, ...genericFor(slot, book.file.vehicle)], target).governing[0] ?? null;
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
export function sealZone(book: Book, slot: Slot): SealZone {
  const { layout, decisions } = book.file;
  const events = book.stand(book.file.partEvents);
  // Of its own caliper's side: a wheel may have two discs.
  const at = (kind: Slot['kind']): Slot | undefined => unitMates(layout, slot, kind)[0];
  const valuesOf = (of: Slot | undefined, id: MeasurementId, places: (place: string) => boolean): number[] => {
    const set = of && newestSets(book, of.id, partHere(of.id, events)).get(id);
    return set ? book.taken(set).flatMap((t) => (places(t.reading.place ?? '') ? [t.value] : [])) : [];
  };
  const one = (of: Slot | undefined, id: MeasurementId, place: string): number | null => valuesOf(of, id, (p) => p === place)[0] ?? null;
  const caliper = slot.parentId ? slotById(layout, slot.parentId) : undefined;
  const fixed = caliper?.style === 'fixed';
  const [pads, rotor] = [at('pads'), at('rotor')];
  const missing: string[] = [];
  const want = <T>(value: T | null, name: string): T | null => {
    if (value === null && !missing.includes(name)) missing.push(name);
    return value;
  };
  const mouth = want(one(slot, 'piston_seal', 'mouth to face'), 'mouth of the bore to the rotor’s face or the fingers');
  const below = want(one(slot, 'piston_seal', 'seal below mouth'), 'where the seal sits');
  const width = want(one(slot, 'piston_seal', 'seal width'), 'width of the seal');
  const length = want(one(slot, 'piston_seal', 'sealing length'), 'sealing length of the piston');
  const lining = (pad: string): number | null => {
    const list = valuesOf(pads, 'pad_lining', (p) => p.startsWith(`${pad}:`));
    return list.length > 0 ? mean(list) : null;
  };
  const padLimit = pads ? limitFor(book, 'pad_lining', pads) : null;
  const padNew = want(padLimit?.nominal ?? null, 'lining thickness when new (limit book)');
  const padDiscard = want(padLimit?.at ?? null, 'discard thickness of the lining (limit book)');
  const padOf = (pad: string): Record<LiningState, number> | null => {
    const total = want(one(pads, 'pad_total', pad), `${pad} pad with backing and shims`);
    const worn = want(lining(pad), `lining of the ${pad} pad`);
    if (total === null || worn === null || padNew === null || padDiscard === null) return null;
    const backing = total - worn;
    return { as_found: total, new: backing + padNew, discard: backing + padDiscard };
  };
  // In a fixed caliper a piston presses on the pad of its own side.
  const side = fixed ? padSide(layout, slot) : 'inner';
  const inner = padOf(side);
  const outer = fixed ? null : padOf('outer');
  const thickness = valuesOf(rotor, 'rotor_thickness', () => true);
  const rotorLimit = rotor ? limitFor(book, 'rotor_thickness', rotor) : null;
  const rotorNew = want(rotorLimit?.nominal ?? null, 'rotor thickness when new (limit book)');
  const rotorDiscard = want(rotorLimit?.at ?? null, 'discard thickness of the rotor (limit book)');
  const rotorNow = want(thickness.length > 0 ? mean(thickness) : null, 'rotor thickness');
  const replaced = rotor !== undefined && inForce(book.stand(decisions).filter((d) => d.slotId === rotor.id)).now?.option === 'replace';
  const pits = stretchesAt(book, slot.id);
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
  return tried.ok ? { ...none, result: tried.value } : { ...none, refused: tried.refusal.message };
}

/** What the zone says, in words: found, and what to do. */
export function sealZoneWords(z: SealZone): string {
  if (z.refused) return z.refused;
  if (!z.result) return z.pits.length === 0 ? 'No pit was written down on this piston.' : `Not known yet: ${z.missing.join(', ')}.`;
  const { result } = z;
  const leaves = result.leavesSeal ? ' Worn out, the set would let the piston leave its seal.' : '';
  if (z.pits.length === 0) return `No pit was written down on this piston.${leaves}`;
  const withPad = z.caliper === 'fixed' ? ` Reckoned with the ${z.pad} pad, on which this piston presses.` : '';
  if (result.wornPadTrap)
    return `Tight today on worn pads: the seal stands beside the pit. New pads push the piston home, and the pit comes under the seal: it will leak then. Reject the piston.${leaves}${withPad}`;
  if (result.reject) return `A pit lies where the seal rests or sweeps between worn and new linings. Reject the piston.${leaves}${withPad}`;
  return `Every pit stays clear of the seal in all three states. The piston may be used for them.${leaves}${withPad}`;
}
