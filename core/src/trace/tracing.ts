import type { CharacteristicId } from '../gauge/characteristics.ts';
import { lastOpen } from '../rebuild/care.ts';
import type { JobState } from '../records/job.ts';
import { attempt } from '../refusal.ts';
import { cornersTakenIn } from '../records/scope.ts';
import { type Contradiction, contradictions, type Speaks, speaksFor } from './explain.ts';
import { networkOf, type PlacedCheck, type TraceContext, type VehicleNetwork } from './network.ts';
import { type NetworkCheck, worthOf } from './nextCheck.ts';
import { type Evidence, infer, type Network } from './noisyOr.ts';
import { observationKey } from './observations.ts';
import { type Shift, TABLES, type Tables } from './tables.ts';

/** A figure of the bench that is evidence by itself: past is seen, holds or watch is not seen. Source: handbook 30, round. */
const MEASURED_SIGN: Readonly<Partial<Record<CharacteristicId, string>>> = {
  rotor_thickness: 'rotor_thin_past',
  rotor_thickness_variation: 'variation_past',
  rotor_runout: 'runout_past',
  pad_lining: 'lining_thin',
  shoe_lining: 'lining_thin',
  shoe_above_rivets: 'lining_thin',
  drum_diameter: 'drum_past',
  drum_out_of_round: 'drum_oval_past',
  hub_end_float: 'bearing_play',
  wheel_drag: 'drags',
  pedal_sink: 'pedal_sinks',
};

const DAY_MS = 86_400_000;
const YEAR_MS = 365.25 * DAY_MS;
/** Work counts as lately for so long, days. */
const FRESH_DAYS = 120;
/** Years taken where nobody knows when a place was last open. Source: handbook 30, Years for a per-year prior. */
const YEARS_UNKNOWN = 15;

/** What shifts the priors of a job's vehicle: how it stood, how it is kept and used, what was done lately and when. */
export function contextOf(state: JobState): TraceContext {
  const { vehicle, job } = state.file;
  const at = Date.parse(job.openedAt);
  const shifts = new Set<Shift>();
  if ((vehicle.standsYears ?? 0) >= 1) shifts.add('stood');
  if (vehicle.storage === 'damp' || vehicle.storage === 'outside') shifts.add('damp');
  if (vehicle.use === 'competition' || vehicle.use === 'work') shifts.add('hard');
  const changed = state.book.stand(state.file.fluidServices).map((f) => f.happenedAt);
  const newest = [...changed].sort().at(-1);
  if (newest === undefined || at - Date.parse(newest) > 3 * YEAR_MS) shifts.add('old_fluid');
  const age = vehicle.year === null ? YEARS_UNKNOWN : new Date(at).getUTCFullYear() - vehicle.year;
  const yearsOfAll = Math.min(YEARS_UNKNOWN, Math.max(1, age));
  const events = state.book.stand(state.file.partEvents).filter((e) => Date.parse(e.happenedAt) <= at && e.kind !== 'found');
  const years = new Map<string, number>();
  const fresh = new Set<string>();
  for (const c of state.components) {
    const renewed = events.findLast((e) => e.slotId === c.slot.id && e.kind === 'fitted')?.happenedAt;
    const open = [renewed, lastOpen(state.book, c)].filter((x): x is string => typeof x === 'string' && Date.parse(x) <= at);
    const last = open.sort().at(-1);
    if (last === undefined) continue;
    years.set(c.slot.id, (at - Date.parse(last)) / YEAR_MS);
    if (at - Date.parse(last) < FRESH_DAYS * DAY_MS) fresh.add(c.slot.id);
  }
  return { years, yearsOfAll, shifts, fresh };
}

/** What a thing that is known was learnt from. */
export type LearntFrom = 'said' | 'measured';

export interface JobEvidence extends Evidence {
  readonly learntFrom: Readonly<Record<string, LearntFrom>>;
}

/**
 * The evidence of a job: what was answered in words, and what was measured. A figure stands in for the words about the
 * same thing, so that nothing counts twice; what was not gauged, cannot be told or is provisional is no evidence.
 */
export function evidenceOf(state: JobState, network: VehicleNetwork): JobEvidence {
  const known = new Set(network.observations.map((o) => o.id));
  const observations: Record<string, 'seen' | 'not_seen'> = {};
  const learntFrom: Record<string, LearntFrom> = {};
  for (const [key, o] of state.situation.answers) {
    if (o.state === 'not_checked' || !known.has(key)) continue;
    observations[key] = o.state;
    learntFrom[key] = 'said';
  }
  const here = new Map(state.book.sets.map((s) => [s.id, s]));
  for (const c of state.components) {
    for (const j of c.judged) {
      const code = MEASURED_SIGN[j.characteristic.id];
      const set = here.get(j.setId);
      if (code === undefined || set === undefined || set.jobId !== state.file.job.id || set.phase !== 'as_found' || set.surface === 'dirty')
        continue;
      const key = [observationKey(code, c.slot.corner), code].find((k) => known.has(k));
      const as = j.verdict === 'past' ? 'seen' : j.verdict === 'holds' || j.verdict === 'watch' ? 'not_seen' : null;
      if (key === undefined || as === null) continue;
      // Several parts at one wheel: the worst of them speaks.
      if (learntFrom[key] === 'measured' && observations[key] === 'seen') continue;
      observations[key] = as;
      learntFrom[key] = 'measured';
    }
  }
  return { observations, learntFrom, certain: {} };
}

/** How likely a cause is, in words. Source: handbook 30, Explain. */
export function likelyWord(p: number): 'likely' | 'possible' | 'unlikely' {
  return p >= 0.5 ? 'likely' : p >= 0.1 ? 'possible' : 'unlikely';
}

/** A cause with its number in the network, so that it may come out of another thread. */
export interface Weighed {
  readonly fault: number;
  readonly probability: number;
  /** What speaks for it and against it, the strongest first; null where nothing was said or it was not asked for. */
  readonly speaks: readonly Speaks[] | null;
}
export interface WeighedCheck {
  readonly id: string;
  /** Bits by which it is expected to narrow the causes down, and per minute. */
  readonly drop: number;
  readonly dropPerMinute: number;
  /** What each way it may come out would make of the leading causes. */
  readonly outcomes: readonly { readonly seen: readonly string[]; readonly probability: number; readonly leads: readonly Weighed[] }[];
}
export interface Weighing {
  /** The likeliest first. */
  readonly causes: readonly Weighed[];
  readonly next: readonly WeighedCheck[];
  readonly odd: readonly Contradiction[];
  /** Why nothing can be weighed; null where it can. */
  readonly refused: string | null;
}

/** Checks proposed at once. Source: handbook 30, Next check worth doing. */
const MOST_PROPOSALS = 3;
/** A check that is expected to say less than this says nothing that would move a decision, bits. */
const WORTH_DOING = 0.02;
/** Causes that an outcome is described by. */
const LEADS = 3;
/** Causes of which is said what speaks for them. */
const EXPLAINED = 6;

function ranked(posterior: readonly number[]): Weighed[] {
  return posterior
    .map((probability, fault): Weighed => ({ fault, probability, speaks: null }))
    .sort((a, b) => b.probability - a.probability || a.fault - b.fault);
}

/**
 * Weighs a network: the causes, the checks worth doing next, and what does not go together. Everything that goes in and
 * comes out is plain, so that it may be done beside the page.
 * @param checks those that can be done as the vehicle stands now
 */
export function weigh(network: Network, evidence: Evidence, checks: readonly NetworkCheck[]): Weighing {
  const done = attempt((): Weighing => {
    const { posterior } = infer(network, evidence);
    const causes = ranked(posterior).map((c, i): Weighed => {
      const id = network.faults[c.fault]?.id;
      return i < EXPLAINED && id !== undefined ? { ...c, speaks: speaksFor(network, evidence, id) } : c;
    });
    const next = worthOf(network, evidence, checks)
      .filter((w) => w.drop >= WORTH_DOING)
      .slice(0, MOST_PROPOSALS)
      .map((w): WeighedCheck => ({
        id: w.check.id,
        drop: w.drop,
        dropPerMinute: w.dropPerMinute,
        outcomes: w.outcomes.map((o) => ({ seen: o.seen, probability: o.probability, leads: ranked(o.posterior).slice(0, LEADS) })),
      }));
    return { causes, next, odd: contradictions(network, evidence), refused: null };
  });
  return done.ok ? done.value : { causes: [], next: [], odd: [], refused: done.refusal.message };
}

/** What is traced on a job: its network, what is known, and what may be checked as the vehicle stands. */
export interface ToTrace {
  readonly network: VehicleNetwork;
  readonly evidence: JobEvidence;
  readonly checks: readonly PlacedCheck[];
}

/**
 * Sets out what is to be weighed for a job. A check that presses a pedal is left out while anything locks one; one that
 * is about a wheel that the job did not take in is not proposed.
 */
export function toTrace(state: JobState, tables: Tables = TABLES): ToTrace {
  const network = networkOf(state.file.layout, contextOf(state), tables);
  const locked = state.situation.standing.locks.length > 0;
  const taken = new Set(cornersTakenIn(state.file.job, state.file.layout));
  const checks = network.checks.filter((c) => !(locked && c.kind.hazard === 'presses') && (c.corner === null || taken.has(c.corner)));
  return { network, evidence: evidenceOf(state, network), checks };
}
