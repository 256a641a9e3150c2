import { STATUS } from '../wording/en/readiness.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { lastPartIn, partIn, partsInOrder, whereabouts } from '../history/whereabouts.ts';
import { type Layout, type Slot } from '../layout/graph.ts';
import { canBeOff } from '../layout/runs.ts';
import type { BleedPull } from '../ledger/families/bleedPulls.ts';
import type { JointEvent } from '../ledger/families/jointEvents.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import type { PutIn } from '../ledger/families/putIns.ts';
import type { TakenOut } from '../ledger/families/takenOuts.ts';
import { placeCauseWords } from '../wording/en/places.ts';
import type { PlaceCause, UnitState } from '../wording/reasons.ts';
import { touchedJoints } from './joints.ts';

export interface PlaceState {
  readonly slot: Slot;
  readonly state: UnitState;
  /** What makes it so; null where it is complete. */
  readonly cause: PlaceCause | null;
  /** The same in words. */
  readonly why: string | null;
  /** What was put in here and not taken out. */
  readonly inside: readonly PutIn[];
  /** Complete to be pressed, and not to be believed yet: a joint not torqued, a bleeder left open; null where nothing is. */
  readonly unsecured: string | null;
}

/** What was put in and has not been taken out, oldest first. */
export function stillIn(putIns: readonly PutIn[], takenOuts: readonly TakenOut[]): PutIn[] {
  const out = new Set(takenOuts.map((t) => t.putInId));
  return putIns.filter((p) => !out.has(p.id));
}

/** Put in, and in nobody's way: it is taken out again, and makes no press dangerous. */
const HARMLESS: readonly PutIn['what'][] = ['chock', 'mask', 'made_safe', 'way_in', 'hung'];

interface Seen {
  readonly partEvents: readonly PartEvent[];
  readonly inside: readonly PutIn[];
  /** Joints that stand open, and joints made and not torqued, by slot id. */
  readonly openJoints: ReadonlyMap<string, string>;
  readonly looseJoints: ReadonlyMap<string, string>;
  readonly pulls: readonly BleedPull[];
}

function looseAt(slot: Slot, seen: Seen): string | null {
  const joint = seen.looseJoints.get(slot.id);
  if (joint !== undefined) return STATUS.jointNotTorqued(joint);
  const pull = seen.pulls.findLast((p) => p.slotId === slot.id);
  return pull && !pull.closed ? STATUS.notClosed(slot) : null;
}

function stateOf(slot: Slot, seen: Seen): PlaceState {
  const inside = seen.inside.filter((p) => p.slotId === slot.id);
  const part = partIn(slot.id, seen.partEvents);
  const place = (state: UnitState, cause: PlaceCause | null): PlaceState => ({
    ...{ slot, inside, state, cause, unsecured: looseAt(slot, seen) },
    why: cause && placeCauseWords(slot, cause),
  });
  if (canBeOff(slot.kind) && part === null) {
    const last = lastPartIn(slot.id, seen.partEvents);
    const away = last !== null && whereabouts(last, seen.partEvents).at === 'away';
    const came = partsInOrder(seen.partEvents).findLast((e) => e.slotId === slot.id)?.kind;
    if (came === 'came_loose' || came === 'came_missing' || came === 'came_unknown') return place('open', { kind: came });
    return away ? place('away', { kind: 'away' }) : place('open', { kind: 'off' });
  }
  const joint = seen.openJoints.get(slot.id);
  if (joint !== undefined) return place('open', { kind: 'joint_open', joint });
  const first = inside.find((p) => !HARMLESS.includes(p.what));
  if (first) return place('blocked', { kind: 'inside', what: first.what });
  const fit = seen.partEvents.findLast((e) => e.partId === part && e.slotId === slot.id && (e.kind === 'fitted' || e.kind === 'found'));
  if (fit?.temporary) return place('temporary', { kind: 'temporary' });
  return place('complete', null);
}

/** Why a place makes what is proved through it provisional; null where it does not. */
export function notComplete(place: PlaceState): string | null {
  return place.state === 'complete' ? place.unsecured : place.why;
}

/**
 * The state of every place of a layout.
 * @param instant only what happened until then counts; all of it where none is given
 * Source: handbook 15, Standing and lapsing.
 */
export function placeStates(history: JobHistory, layout: Layout, instant?: string): PlaceState[] {
  const until = <T extends { readonly happenedAt: string }>(events: readonly T[]): readonly T[] =>
    instant === undefined ? events : events.filter((e) => e.happenedAt <= instant);
  const { records } = history;
  const joints = touchedJoints(layout, until<JointEvent>(history.active(records.jointEvents)));
  const at = (state: 'open' | 'made'): Map<string, string> =>
    new Map(joints.filter((j) => j.state === state).map((j) => [j.joint.slot.id, j.joint.name]));
  const seen: Seen = {
    openJoints: at('open'),
    looseJoints: at('made'),
    pulls: until(history.active(records.bleedPulls)),
    partEvents: until(history.active(records.partEvents)),
    inside: stillIn(until(history.active(records.putIns)), until(history.active(records.takenOuts))),
  };
  return layout.slots.map((slot) => stateOf(slot, seen));
}

/** Hours after which a clamped hose has to be renewed (generic). */
export const CLAMP_HOURS = 24;
