import type { JobHistory } from '../history/jobHistory.ts';
import { type Layout, type Slot, cornersOf, placeName, slotById } from '../layout/graph.ts';
import { type Control, controlsOf } from '../layout/reach.ts';
import { PLAY } from '../wording/en/play.ts';
import { bleedersFedThrough } from './disturbed.ts';
import type { ProofStatus } from './proofStatus.ts';
import { type PlaceState, stillIn } from './unitState.ts';
import { millisecondsInHour } from '../quantity/calendar.ts';

/** What a place does when a control is pressed, or something is opened. */
export type PlayDoes = 'presses' | 'moves' | 'held' | 'comes_out' | 'leaks' | 'soft' | 'runs_out' | 'drains' | 'spoils' | 'not_sure';

interface PlayStep {
  readonly slotId: string;
  readonly does: PlayDoes;
  /** In words. */
  readonly words: string;
}

/** A step played beforehand, on the layout and the present states. */
export interface Play {
  readonly title: string;
  readonly steps: readonly PlayStep[];
  /** Connections through which force, pressure or fluid goes. */
  readonly through: readonly string[];
  /** Something would move that must not. */
  readonly danger: boolean;
}

const MOVING: readonly Slot['kind'][] = ['piston', 'wheel_cylinder', 'clutch_slave'];

const GONE: readonly PlaceState['state'][] = ['open', 'away'];

/** How a mechanical or hydraulic press ends at a place whose wheel unit is whole. */
function pressed(place: PlaceState): PlayStep | null {
  const { slot } = place;
  const step = (does: PlayDoes, words: string): PlayStep => ({ slotId: slot.id, does, words });
  if (GONE.includes(place.state)) {
    return slot.circuits.length > 0
      ? step('leaks', PLAY.leaksWhere(slot, place.cause?.kind === 'joint_open'))
      : step('comes_out', PLAY.nothingHolds(slot, place.why));
  }
  if (place.state === 'blocked') return step('held', PLAY.held(slot, place.why));
  if (place.unsecured !== null) return step('leaks', PLAY.mayWeep(place.unsecured));
  return MOVING.includes(slot.kind) ? step('moves', PLAY.moves(slot)) : null;
}

/** A wheel unit with something missing goes out as one: what it says of itself once, for all that is missing there. */
function openUnits(layout: Layout, places: readonly PlaceState[]): PlayStep[] {
  return cornersOf(layout).flatMap((corner): PlayStep[] => {
    const missing = places.filter((p) => p.slot.corner === corner && GONE.includes(p.state) && p.cause?.kind !== 'joint_open');
    const [first] = missing;
    if (!first) return [];
    const hydraulic = layout.slots.some((s) => s.corner === corner && s.circuits.length > 0);
    const why = missing.map((p) => p.why ?? '');
    return [{ slotId: first.slot.id, does: 'comes_out', words: PLAY.nothingStops(hydraulic ? 'pistons' : 'shoes', why) }];
  });
}

/** Bleeders that were closed on this job and whose fluid was disturbed since: where air lies. */
function airAt(layout: Layout, standing: ProofStatus): Slot[] {
  return layout.slots.filter((s) => {
    if (s.kind !== 'bleeder') return false;
    const pull = standing.pull(s.id);
    if (pull?.record.air === 'bubbles' || pull?.record.air === 'foam' || (pull !== null && pull.lapsed !== null)) return true;
    return standing.disturbed.some(
      (d) =>
        d.does.includes('hydraulic') &&
        (pull === null || d.at > pull.record.happenedAt) &&
        bleedersFedThrough(layout, d.slot).includes(s.id),
    );
  });
}

const RANK: readonly PlayDoes[] = ['comes_out', 'leaks', 'spoils', 'drains', 'runs_out', 'soft', 'held', 'not_sure', 'moves', 'presses'];

/**
 * Plays a press of a control: which pistons move, which unit is open, which joint is loose, where air lies.
 * Source: handbook 60, If I press now.
 */
export function ifPressed(layout: Layout, control: Control, standing: ProofStatus): Play {
  const places = standing.places.filter((p) => control.reach.has(p.slot.id));
  const units = openUnits(layout, places);
  const blocked = new Set(places.filter((p) => p.state === 'blocked' && p.slot.corner !== null).map((p) => p.slot.corner));
  const openAt = new Set(units.map((u) => slotById(layout, u.slotId)?.corner));
  const steps = [
    ...units,
    ...places.flatMap((p) => (p.slot.corner !== null && openAt.has(p.slot.corner) ? [] : (pressed(p) ?? []))),
  ].filter((s) => s.does !== 'moves' || !blocked.has(slotById(layout, s.slotId)?.corner ?? null));
  const air = airAt(layout, standing)
    .filter((s) => control.reach.has(s.id))
    .map((s): PlayStep => ({
      slotId: s.id,
      does: 'soft',
      words: PLAY.airLies(s),
    }));
  const all = [...steps, ...air].sort((a, b) => RANK.indexOf(a.does) - RANK.indexOf(b.does));
  return {
    title: PLAY.ifPressed(control),
    steps: all,
    through: layout.connections.filter((c) => c.kind !== 'feed' && control.reach.has(c.from) && control.reach.has(c.to)).map((c) => c.id),
    danger: all.some((s) => s.does === 'comes_out' || s.does === 'leaks'),
  };
}

/** Reservoirs from which a place is fed, by lines and feeds, upwards. */
function reservoirsOf(layout: Layout, slot: Slot): { readonly tanks: Slot[]; readonly through: string[] } {
  const seen = new Set([slot.id, ...(slot.parentId ? [slot.parentId] : [])]);
  const through: string[] = [];
  const queue = [...seen];
  for (let at = queue.shift(); at !== undefined; at = queue.shift()) {
    for (const c of layout.connections) {
      if (c.kind !== 'line' && c.kind !== 'feed') continue;
      const next = c.from === at ? c.to : c.to === at ? c.from : null;
      if (next === null) continue;
      through.push(c.id);
      if (!seen.has(next)) {
        seen.add(next);
        queue.push(next);
      }
    }
  }
  return { tanks: layout.slots.filter((s) => s.kind === 'reservoir' && seen.has(s.id)), through: [...new Set(through)] };
}

/** Hours after a coat within which fluid spoils it (generic: a week). */
const FRESH_PAINT_HOURS = 168;

/**
 * Plays the opening of a place: what runs out, which reservoir drains and what it feeds besides, and which fresh paint lies below.
 * @param today ISO instant
 * Source: handbook 60, If I press now; 80.
 */
export function ifOpened(history: JobHistory, standing: ProofStatus, slot: Slot, today: string): Play {
  const { layout } = history.records;
  if (slot.circuits.length === 0) return { title: PLAY.ifOpened(slot), steps: [], through: [], danger: false };
  const { tanks, through } = reservoirsOf(layout, slot);
  const clamp = stillIn(history.active(history.records.putIns), history.active(history.records.takenOuts)).find(
    (p) => p.what === 'clamp' && layout.slots.some((s) => s.id === p.slotId && s.circuits.some((c) => slot.circuits.includes(c))),
  );
  const steps: PlayStep[] = [{ slotId: slot.id, does: 'runs_out', words: PLAY.runsOut(slot) }];
  for (const t of tanks) {
    const fed = layout.slots.filter((s) => s.kind === 'bleeder' && t.circuits.some((c) => s.circuits.includes(c)));
    const feeds = new Set(fed.map(placeName)).size;
    steps.push({ slotId: t.id, does: 'drains', words: clamp ? PLAY.heldByClamp(t) : PLAY.drains(t, feeds) });
  }
  for (const id of bleedersFedThrough(layout, slot)) {
    const s = slotById(layout, id);
    if (s) steps.push({ slotId: id, does: 'soft', words: PLAY.airGoes(s) });
  }
  const since = new Date(Date.parse(today) - FRESH_PAINT_HOURS * millisecondsInHour).toISOString();
  for (const e of history.active(history.records.partEvents).filter((x) => x.kind === 'coated' && x.happenedAt > since)) {
    const below = slotById(layout, e.slotId ?? '');
    const near = below && (below.corner === slot.corner || slot.corner === null);
    const masked = below && standing.places.some((p) => p.slot.id === below.id && p.inside.some((i) => i.what === 'mask'));
    if (below && near && !masked) {
      steps.push({
        slotId: below.id,
        does: 'spoils',
        words: PLAY.freshPaint(below),
      });
    }
  }
  return { title: PLAY.ifOpened(slot), steps, through, danger: steps.some((s) => s.does === 'spoils') };
}

/** The controls that can be played, each with what it would do. */
export function playsOf(layout: Layout, standing: ProofStatus): { readonly control: Control; readonly play: Play }[] {
  return controlsOf(layout).map((control) => ({ control, play: ifPressed(layout, control, standing) }));
}
