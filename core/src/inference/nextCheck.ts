import { concern, decisionLoss } from './decisionLoss.ts';
import { type Evidence, type Network, seenIn } from './faultNetwork.ts';
import { entropySum } from './noisyOr.ts';
import { type Outcome, Weighed } from './weighed.ts';

/** A check settles some observations and costs its minutes. */
export interface NetworkCheck {
  readonly id: string;
  readonly minutes: number;
  /** Ids of the observations it settles. */
  readonly observations: readonly string[];
  /** It is done by driving. */
  readonly drives?: boolean;
  /** What it costs in all, minutes: its own, its helpers', and the bleeding that it makes necessary; its own where nothing is said. */
  readonly cost?: number;
}

export interface Worth {
  readonly check: NetworkCheck;
  /** By how much what is asked about is expected to fall: summed entropy in bits, or the loss of deciding now in minutes. */
  readonly drop: number;
  readonly dropPerMinute: number;
  /** False where it settles more at once than can be gone through: a number of its outcomes was drawn, and stands for all. */
  readonly exact: boolean;
  /** All of them up to four things settled; beyond that the likeliest. */
  readonly outcomes: readonly Outcome[];
}

/** What each check would be worth now, in the order given; one of which everything is known already is left out. */
function worths(weighed: Weighed, evidence: Evidence, checks: readonly NetworkCheck[], costOf: (check: NetworkCheck) => number): Worth[] {
  const { before } = weighed;
  return checks.flatMap((check): Worth[] => {
    const open = check.observations.filter((id) => evidence.observations[id] === undefined && weighed.knows(id));
    if (open.length === 0) return [];
    const { expected, exact, outcomes } = weighed.ask(open);
    const drop = before - expected;
    return [{ check, drop, dropPerMinute: drop / costOf(check), exact, outcomes }];
  });
}

const most = (list: readonly Worth[], of: (w: Worth) => number): Worth[] =>
  list
    .map((w, i) => ({ w, i }))
    .sort((a, b) => of(b.w) - of(a.w) || a.i - b.i)
    .map(({ w }) => w);

/**
 * What each check would tell: the expected drop of the summed entropy of the faults' posteriors, bits, over all joint outcomes
 * of what it settles and is still unchecked, divided by its minutes; the most first, equal ones in the order given. A check of
 * which everything is known already is left out.
 * @param complaint that at least one fault is present is known
 * @throws DomainError too_large, and those of infer
 * Source: handbook 30, Next check worth doing.
 */
export function expectedInfoGain(network: Network, evidence: Evidence, checks: readonly NetworkCheck[], complaint = false): Worth[] {
  const weighed = new Weighed(network, evidence, complaint, () => entropySum);
  return most(
    worths(weighed, evidence, checks, (c) => c.minutes),
    (w) => w.dropPerMinute,
  );
}

/** By so much, as a share, a check that bears on what was seen goes before one that does not: they are of equal worth. */
const EQUAL = 0.1;

/**
 * What each check would change in what is done: the expected fall of the loss of deciding now, minutes, per minute of all that
 * the check costs; the most first. At equal worth, within a tenth, the one that bears on what was seen goes before.
 * @param complaint that at least one fault is present is known
 * @throws DomainError too_large, and those of infer
 * Source: handbook 35, What a check is worth.
 */
export function worthDoing(network: Network, evidence: Evidence, checks: readonly NetworkCheck[], complaint = false): Worth[] {
  const weighed = new Weighed(network, evidence, complaint, (now) => {
    const weights = concern(network, evidence, now);
    return (posterior) => decisionLoss(network, posterior, weights);
  });
  const seen = new Set(seenIn(evidence));
  const suspects = new Set(network.observations.flatMap((o) => (seen.has(o.id) ? Object.keys(o.strengths) : [])));
  const bears = new Set(network.observations.flatMap((o) => (Object.keys(o.strengths).some((f) => suspects.has(f)) ? [o.id] : [])));
  const weight = (w: Worth): number => w.dropPerMinute * (w.check.observations.some((o) => bears.has(o)) ? 1 + EQUAL : 1);
  return most(
    worths(weighed, evidence, checks, (c) => c.cost ?? c.minutes),
    weight,
  );
}
