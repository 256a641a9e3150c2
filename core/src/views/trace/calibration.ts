import { TABLES } from '../../catalogue/trace/tables.ts';
import type { JobState } from '../../job/job.ts';
import { NOTHING_ELSE } from '../../ledger/families/causeLooks.ts';
import { certainOf, closedTheLoop, looksOf } from '../../stages/trace/causes.ts';
import { networkOf } from '../../stages/trace/network.ts';
import { contextOf } from './context.ts';

/** What had been said of a cause, and what the bench found. */
interface SaidAndFound {
  readonly fault: string;
  readonly name: string;
  readonly where: string;
  readonly found: boolean;
  readonly said: number | null;
  readonly rank: number | null;
}

/** A kind of fault on one vehicle: places that may have it, what the tables expect in all of them, and in how many it was. */
interface Exposed {
  readonly fault: string;
  readonly places: number;
  /** Sum of the supplied priors over those places. */
  readonly expected: number;
  readonly found: number;
}

/** A job whose causes were gone through to the end: nothing but what is named was found. */
export interface CalibrationCase {
  readonly jobId: string;
  readonly tag: string;
  readonly vehicle: string;
  readonly at: string;
  readonly causes: readonly SaidAndFound[];
  readonly exposed: readonly Exposed[];
}

/** The case of a job whose loop is closed; null where it is not. */
export function calibrationCase(state: JobState): CalibrationCase | null {
  const looks = looksOf(state.history);
  const closed = closedTheLoop(looks);
  if (closed === null) return null;
  // As the tables have it: the shop's own odds are what is to be reckoned.
  const network = networkOf(state.records.layout, { ...contextOf(state), times: new Map() }, TABLES);
  const certain = certainOf(state.history, network.faults);
  const found = new Set([...certain].flatMap(([id, c]) => (c.state === 'present' ? [id] : [])));
  const faults = new Map(network.faults.map((f) => [f.id, f]));
  const answered = new Set([...found, ...[...looks].flatMap(([id, l]) => (l.state === 'found' || l.state === 'absent' ? [id] : []))]);
  const causes = [...answered].flatMap((id): SaidAndFound[] => {
    const fault = faults.get(id);
    const look = looks.get(id);
    return fault === undefined || look?.fault === NOTHING_ELSE
      ? []
      : [
          {
            ...{ fault: fault.kind.id, name: fault.kind.name, where: fault.where, found: found.has(id) },
            said: look?.said ?? null,
            rank: look?.rank ?? null,
          },
        ];
  });
  const exposed = new Map<string, { places: number; expected: number; found: number }>();
  for (const f of network.faults) {
    const mine = exposed.get(f.kind.id) ?? { places: 0, expected: 0, found: 0 };
    exposed.set(f.kind.id, { places: mine.places + 1, expected: mine.expected + f.prior, found: mine.found + (found.has(f.id) ? 1 : 0) });
  }
  const { vehicle, job } = state.records;
  return {
    ...{ jobId: job.id, tag: vehicle.tag, vehicle: vehicle.name, at: closed.happenedAt, causes },
    exposed: [...exposed].map(([fault, e]) => ({ fault, ...e })),
  };
}

/** A tenth of the scale: how often something was said to be so likely, and came true. */
export interface Decile {
  readonly from: number;
  readonly said: number;
  readonly times: number;
  readonly true: number;
}

/** How likely a kind of fault is at one place, as supplied and as the shop's own cases would have it. */
export interface Estimate {
  readonly fault: string;
  readonly name: string;
  readonly lookedAt: number;
  readonly found: number;
  readonly supplied: number;
  readonly own: number;
  /** By which the supplied odds would be multiplied. */
  readonly times: number;
}

/** Odds that differ by less, in the natural logarithm, are not worth a change. */
const WORTH_A_CHANGE = 0.1;

/**
 * The estimates that are worth showing: of faults that were found, or whose odds would become others than those in use.
 * @param inUse by which the supplied odds are multiplied now, by fault; 1 where not named
 */
export function estimatesWorth(estimates: readonly Estimate[], inUse: ReadonlyMap<string, number>): Estimate[] {
  return estimates.filter((e) => e.found > 0 || Math.abs(Math.log(e.times / (inUse.get(e.fault) ?? 1))) >= WORTH_A_CHANGE);
}

export interface CalibrationRecord {
  readonly cases: number;
  /** Faults found whose rank had been said, how many of them were first, and among the first three. */
  readonly found: number;
  readonly first: number;
  readonly firstThree: number;
  readonly tenths: readonly Decile[];
  readonly estimates: readonly Estimate[];
}

/** The supplied figures weigh as much as so many places looked at. */
export const SUPPLIED_WEIGHT = 100;
/** Fewer places are not worth an estimate. */
const MIN_PLACES = 4;

/**
 * How the shop's cases bear out what was said: how often the true fault was first and in the first three, whether stated
 * probabilities came true, and what the cases make of the priors. The prior of a fault at one place has a beta
 * distribution with the supplied mean m and the weight W of so many places: (m W + found) / (W + looked at).
 * Source: handbook 30; Gelman and others, Bayesian Data Analysis, binomial data with a beta prior.
 */
export function recordOf(cases: readonly CalibrationCase[]): CalibrationRecord {
  const causes = cases.flatMap((c) => c.causes);
  const ranked = causes.filter((c) => c.found && c.rank !== null);
  const tenths = Array.from({ length: 10 }, (_, i): Decile => {
    const mine = causes.filter((c) => c.said !== null && Math.min(9, Math.floor(c.said * 10)) === i);
    const said = mine.reduce((s, c) => s + (c.said ?? 0), 0);
    return { from: i / 10, times: mine.length, said: mine.length > 0 ? said / mine.length : 0, true: mine.filter((c) => c.found).length };
  });
  const sums = new Map<string, { places: number; expected: number; found: number }>();
  for (const e of cases.flatMap((c) => c.exposed)) {
    const s = sums.get(e.fault) ?? { places: 0, expected: 0, found: 0 };
    sums.set(e.fault, { places: s.places + e.places, expected: s.expected + e.expected, found: s.found + e.found });
  }
  const odds = (p: number): number => p / (1 - p);
  const estimates = [...sums]
    .filter(([, s]) => s.places >= MIN_PLACES && s.expected > 0)
    .map(([fault, s]): Estimate => {
      const supplied = s.expected / s.places;
      const own = (supplied * SUPPLIED_WEIGHT + s.found) / (SUPPLIED_WEIGHT + s.places);
      const name = TABLES.faults.find((f) => f.id === fault)?.name ?? fault;
      return { fault, name, lookedAt: s.places, found: s.found, supplied, own, times: odds(own) / odds(supplied) };
    })
    .sort((a, b) => Math.abs(Math.log(b.times)) - Math.abs(Math.log(a.times)));
  return {
    cases: cases.length,
    found: ranked.length,
    first: ranked.filter((c) => c.rank === 1).length,
    firstThree: ranked.filter((c) => (c.rank ?? 9) <= 3).length,
    tenths,
    estimates,
  };
}
