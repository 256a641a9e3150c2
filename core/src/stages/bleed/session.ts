import { fluidClass } from '../../catalogue/fluids.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { FACTOR, planOfLayout, PULL_ML } from '../../hydraulics/ofLayout.ts';
import { type Layout, type Slot, slotById } from '../../layout/graph.ts';
import type { BleedMethod, BleedPull } from '../../ledger/families/bleedPulls.ts';
import type { BleedSession } from '../../ledger/families/bleedSessions.ts';
import { type BleedStepEvent, CLOSING } from '../../ledger/families/bleedSteps.ts';
import { isContaminated } from './gates.ts';
import { STRETCH } from '../../wording/en/session.ts';

/** By how much a stroke may be other than guessed, as a share; less once a look at the level has corrected it. Generic. */
const [GUESSED, LOOKED] = [0.3, 0.1];
/** Strokes from which a look at the level tells what one of them moves. */
const TELLS_FROM = 3;
/** Share of the full level at which it is warned, and after which a look at the real one is wanted. Source: handbook 60, How much. */
const QUARTER = 1 / 4;
const SLACK = 1e-9;

/** One stroke as it came out. */
interface Stroke {
  readonly colour: BleedPull['colour'];
  readonly air: BleedPull['air'];
}

/** A bleeder in a session. */
export interface SessionBleeder {
  readonly slot: Slot;
  readonly circuit: number;
  readonly pathMm: number;
  /** What stands between what was drawn through before and it, and what is drawn until it is whole: mL. */
  readonly standsMl: number;
  readonly exchangeMl: number;
  /** The same stretch by stretch, from the cylinder on, in words. */
  readonly stretches: readonly { readonly name: string; readonly ml: number }[];
  readonly strokes: readonly Stroke[];
  /** mL, as far as is known of a stroke. */
  readonly drawnMl: number;
  /** Of them, those since it was last closed for good. */
  readonly freshMl: number;
  readonly ticks: readonly (typeof CLOSING)[number][];
  readonly done: boolean;
  /** When it was opened to run by itself; null where it was not, or is closed. ISO instant. */
  readonly openedAt: string | null;
  /** Seconds until fluid first ran; null where nobody timed it. */
  readonly flowS: number | null;
  /** It ran much later than the others: a hose shut inside, or a port that is not free. */
  readonly slow: boolean;
}

export interface SessionState {
  readonly session: BleedSession;
  /** The device that counts, and who took it over last. */
  readonly device: string;
  readonly by: string;
  readonly over: boolean;
  /** The step that was taken last; null before the first. */
  readonly last: BleedStepEvent | null;
  /** What is in the reservoir, mL: a band, since a stroke is a guess. */
  readonly level: { readonly low: number; readonly mean: number; readonly high: number };
  readonly stroke: { readonly ml: number; readonly most: number; readonly corrected: boolean };
  /** Level at which it is warned, mL. */
  readonly quarterMl: number;
  /** Strokes until it stops, by the lower edge. */
  readonly left: number;
  readonly warns: boolean;
  /** The next stroke could draw air in. */
  readonly stops: boolean;
  /** A quarter has gone since anybody looked at the real level. */
  readonly lookWanted: boolean;
  readonly filledMl: number;
  readonly bleeders: readonly SessionBleeder[];
  /** The bleeder that is worked on; null where all are closed. */
  readonly now: SessionBleeder | null;
}

/** What one stroke, pull or counted run moves, mL, before any level was looked at; generic. */
const USUAL: Readonly<Record<BleedMethod, number>> = { pedal: 3, vacuum: PULL_ML, pressure: 20, gravity: 10, reverse: PULL_ML };
/** Strokes that a full reservoir is to bear, of what is proposed. */
const LEAST_STROKES = 6;

/** What a stroke is guessed to move, mL: of a small reservoir no more at a time than it bears several times over. */
export function usualStroke(method: BleedMethod, { fullMl, safeMl }: Pick<BleedSession, 'fullMl' | 'safeMl'>): number {
  return Math.max(1, Math.floor(Math.min(USUAL[method], (fullMl - safeMl) / LEAST_STROKES)));
}

/** Whether a reservoir bears a stroke at all, as far as anybody knows what one moves. */
export function bearsStroke({ fullMl, safeMl, strokeMl }: Pick<BleedSession, 'fullMl' | 'safeMl' | 'strokeMl'>): boolean {
  return fullMl - strokeMl * (1 + GUESSED) >= safeMl - SLACK;
}

/** The session of a job that was begun last; null where none was. */
export function lastSession(history: JobHistory): BleedSession | null {
  const { bleedSessions, job } = history.records;
  return history.active(bleedSessions).findLast((s) => s.jobId === job.id) ?? null;
}

/** The maker's order that was last newest of a vehicle, with where it stands; null where none ever was. */
export function makersOrder(history: JobHistory): { readonly ordered: readonly string[]; readonly source: string } | null {
  const newest = history.active(history.records.bleedSessions).findLast((s) => s.ordered != null && s.ordered.length > 0);
  return newest?.ordered ? { ordered: newest.ordered, source: newest.orderSource ?? '' } : null;
}

/**
 * Where a session stands, from its steps: who counts, the level as a band, what came out at each bleeder and what closes it.
 * Every warning goes by the lower edge of the band. Source: handbook 05, The reservoir empties while nobody looks; 60.
 */
export function sessionState(history: JobHistory, session: BleedSession): SessionState {
  const steps = history.active(history.records.bleedSteps).filter((s) => s.sessionId === session.id);
  return reduceSession(history, session, steps);
}

function reduceSession(history: JobHistory, session: BleedSession, steps: readonly BleedStepEvent[]): SessionState {
  const { layout } = history.records;
  const took = steps.findLast((s) => s.kind === 'took_over');
  const level = levelOf(session, steps);
  const plan = planOfLayout(layout, {
    circuits: [...session.circuits],
    factor: isContaminated(history, session.circuits) ? FACTOR.contaminated : FACTOR.clear,
    ordered: [...(session.ordered ?? [])],
  });
  const bleeders = [
    ...plan.bleeders,
    ...plan.loose.map((s) => ({ id: s.id, circuit: String(s.circuits[0] ?? 1), pathMm: 0, standsMl: 0, exchangeMl: 0, stretches: [] })),
  ].flatMap((b): SessionBleeder[] => {
    const slot = slotById(layout, b.id);
    if (!slot) return [];
    const mine = steps.filter((s) => s.slotId === b.id);
    const strokes = mine.flatMap((s) => (s.kind === 'stroke' ? [{ colour: s.colour ?? 'dark', air: s.air ?? 'none' }] : []));
    // A bleeder that is drawn from again is open again.
    const since = mine.slice(mine.findLastIndex((s) => s.kind === 'stroke') + 1);
    const ticks = CLOSING.filter((k) => since.some((s) => s.kind === k));
    const opened = mine.findLast((s) => s.kind === 'opened') ?? null;
    const ran = opened && mine.find((s) => s.kind === 'stroke' && s.happenedAt >= opened.happenedAt);
    return [
      {
        stretches: named(layout, slot, b.stretches),
        ...{ slot, circuit: Number(b.circuit), pathMm: b.pathMm, standsMl: b.standsMl, exchangeMl: b.exchangeMl, strokes, ticks },
        freshMl: mine.slice(mine.findLastIndex((s) => s.kind === 'dry') + 1).filter((s) => s.kind === 'stroke').length * level.stroke.ml,
        openedAt: opened && !ticks.includes('closed_under_flow') ? opened.happenedAt : null,
        flowS: opened && ran ? Math.max(0, (Date.parse(ran.happenedAt) - Date.parse(opened.happenedAt)) / 1000) : null,
        slow: false,
        ...{ drawnMl: strokes.length * level.stroke.ml, done: strokes.length > 0 && ticks.length === CLOSING.length },
      },
    ];
  });
  const touched = steps.findLast((s) => s.slotId !== null && s.kind === 'stroke')?.slotId;
  const open = bleeders.find((b) => b.slot.id === touched && !b.done);
  return {
    ...{ session, ...level },
    bleeders: bleeders.map((b) => ({ ...b, slow: ranLate(b, bleeders) })),
    device: took?.device ?? session.device,
    by: took?.authorId ?? session.authorId,
    over: steps.some((s) => s.kind === 'ended'),
    last: steps.at(-1) ?? null,
    now: open ?? bleeders.find((b) => !b.done) ?? null,
  };
}

/** A bleeder that runs by itself so many times later than the quickest, and so late at all, is slow (generic). */
const [SLOW_TIMES, SLOW_S] = [3, 60];

function ranLate(b: SessionBleeder, all: readonly SessionBleeder[]): boolean {
  const quickest = Math.min(...all.flatMap((x) => (x !== b && x.flowS !== null ? [x.flowS] : [])));
  return b.flowS !== null && b.flowS >= SLOW_S && b.flowS > SLOW_TIMES * quickest;
}

/** Whether a bleeder stands open: opened or drawn from, and not closed since. */
const standsOpen = (b: SessionBleeder): boolean => (b.strokes.length > 0 || b.openedAt !== null) && !b.ticks.includes('closed_under_flow');

/** Stretches by what they are, what follows of one kind added up: a bent line is one line. */
function named(
  layout: Layout,
  bleeder: Slot,
  stretches: readonly { readonly id: string; readonly ml: number }[],
): SessionBleeder['stretches'] {
  const unit = bleeder.parentId === null ? undefined : slotById(layout, bleeder.parentId);
  const nameOf = (id: string): string =>
    id === 'cylinder'
      ? STRETCH.cylinder
      : id === 'unit'
        ? (unit?.name ?? bleeder.name).toLowerCase()
        : id.includes('/')
          ? STRETCH.hose
          : STRETCH.line;
  const list: { name: string; ml: number }[] = [];
  for (const s of stretches) {
    const last = list.at(-1);
    if (last?.name === nameOf(s.id)) last.ml += s.ml;
    else list.push({ name: nameOf(s.id), ml: s.ml });
  }
  return list;
}

/** The level of the reservoir after some steps: full at the start, and as it was looked at or filled since. */
function levelOf(
  { fullMl, safeMl, strokeMl }: BleedSession,
  steps: readonly BleedStepEvent[],
): Pick<SessionState, 'level' | 'stroke' | 'quarterMl' | 'left' | 'warns' | 'stops' | 'lookWanted' | 'filledMl'> {
  let [anchor, since, ml, share, filled] = [fullMl, 0, strokeMl, GUESSED, 0];
  let unseen = 0;
  for (const s of steps) {
    if (s.kind === 'stroke') {
      since += 1;
      unseen += 1;
    } else if (s.kind === 'level' && s.levelMl !== null) {
      // What was drawn since the level was known last, over its strokes, is what one of them moves.
      if (since >= TELLS_FROM && s.levelMl < anchor) [ml, share] = [(anchor - s.levelMl) / since, LOOKED];
      [anchor, since, unseen] = [s.levelMl, 0, 0];
    } else if (s.kind === 'filled') {
      filled += fullMl - Math.max(0, anchor - since * ml);
      [anchor, since, unseen] = [fullMl, 0, 0];
    }
  }
  const most = ml * (1 + share);
  const low = Math.max(0, anchor - since * most);
  const level = { low, mean: Math.max(0, anchor - since * ml), high: Math.max(0, anchor - since * ml * (1 - share)) };
  return {
    ...{ level, stroke: { ml, most, corrected: share === LOOKED }, filledMl: filled },
    quarterMl: fullMl * QUARTER,
    left: Math.max(0, Math.floor((low - safeMl) / most + SLACK)),
    warns: low <= fullMl * QUARTER + SLACK,
    stops: low - most < safeMl - SLACK,
    lookWanted: unseen * most >= fullMl * QUARTER - SLACK,
  };
}

export type SessionRefusal =
  | 'session_over'
  | 'session_elsewhere'
  | 'reservoir_low'
  | 'wrong_fluid'
  | 'not_in_session'
  | 'level_beyond'
  | 'nothing_drawn'
  | 'still_open';

/** Why a step cannot be of a session as it stands; null where it can. */
export function whyNotStepped(
  s: SessionState,
  step: Pick<BleedStepEvent, 'kind' | 'slotId' | 'levelMl' | 'fluidClass' | 'device'>,
): SessionRefusal | null {
  if (s.over) return 'session_over';
  if (step.kind === 'took_over') return null;
  if (step.device !== s.device) return 'session_elsewhere';
  const at = s.bleeders.find((b) => b.slot.id === step.slotId);
  switch (step.kind) {
    case 'stroke':
      if (!at) return 'not_in_session';
      // One bleeder is open at a time.
      if (s.bleeders.some((b) => b !== at && standsOpen(b))) return 'still_open';
      return s.stops ? 'reservoir_low' : null;
    case 'filled':
      return step.fluidClass !== null && fluidClass(step.fluidClass)?.kind === fluidClass(s.session.fluidClass)?.kind
        ? null
        : 'wrong_fluid';
    case 'level':
      return step.levelMl === null || step.levelMl < 0 || step.levelMl > s.session.fullMl ? 'level_beyond' : null;
    case 'ended':
      return s.bleeders.some(standsOpen) ? 'still_open' : null;
    case 'opened':
      if (!at) return 'not_in_session';
      return s.bleeders.some(standsOpen) ? 'still_open' : null;
    default:
      if (!at) return 'not_in_session';
      return at.strokes.length === 0 ? 'nothing_drawn' : null;
  }
}

/** What a bleeder that was closed came to, as it is kept of it: all that was drawn, and the last of what came. */
export function pullOf(b: SessionBleeder): Pick<BleedPull, 'colour' | 'air' | 'closed'> & { readonly volumeMl: number } {
  const last = b.strokes.at(-1);
  return { volumeMl: Math.round(b.freshMl), colour: last?.colour ?? 'dark', air: last?.air ?? 'none', closed: true };
}
