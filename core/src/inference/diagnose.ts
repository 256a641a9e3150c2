import { toResult } from '../quantity/domainError.ts';
import { type Contradiction, type Contribution, contradictions, contributionsOf } from './explain.ts';
import type { Evidence, Inference, Network } from './faultNetwork.ts';
import { isTakenUp } from './decisionLoss.ts';
import { type NetworkCheck, worthDoing } from './nextCheck.ts';
import { conditionOnAnyFault, infer, maxWidth } from './noisyOr.ts';
import { inferSampled } from './sampled.ts';

/** How likely a cause is, in words. Source: handbook 30, Explain. */
export function likelyWord(p: number): 'likely' | 'possible' | 'unlikely' {
  return p >= 0.5 ? 'likely' : p >= 0.1 ? 'possible' : 'unlikely';
}

/** A fault by its number in the network, so that it may come out of another thread, and how likely it is, 0 to 1. */
interface FaultProbability {
  readonly fault: number;
  readonly probability: number;
}
/** A cause as it is weighed now. */
export interface RankedFault extends FaultProbability {
  /** Whether what is known makes it likelier than it is on any vehicle like this one. */
  readonly raised: boolean;
  /** What speaks for it and against it, the strongest first; null where nothing was said or it was not asked for. */
  readonly contributions: readonly Contribution[] | null;
}
export interface RatedCheck {
  readonly id: string;
  /** Minutes of work in vain, or of what was left in, that it is expected to save; and per minute of what it costs. */
  readonly drop: number;
  readonly dropPerMinute: number;
  /** False where outcomes of it were drawn, for all that there are. */
  readonly exact: boolean;
  /** What each way it may come out would make of the leading causes, and of what is done: faults taken up then, and let be. */
  readonly outcomes: readonly {
    readonly seen: readonly string[];
    readonly probability: number;
    readonly leads: readonly FaultProbability[];
    readonly takenUp: readonly FaultProbability[];
    readonly letBe: readonly FaultProbability[];
  }[];
}
export interface Diagnosis {
  /** The likeliest first. */
  readonly causes: readonly RankedFault[];
  /** How likely each had been before the bench made anything certain, in the order of the network's faults. */
  readonly expected: readonly number[];
  /** Standard error where the sum was too large to be exact, 0 to 1; null where it is exact. */
  readonly sampled: number | null;
  readonly next: readonly RatedCheck[];
  readonly conflicts: readonly Contradiction[];
  /** The causes are exact, but too much hangs together to rank checks and to say what speaks for each in reasonable time. */
  readonly unranked: boolean;
  /** Why nothing can be weighed; null where it can. */
  readonly refused: string | null;
  /** The fault that keeps every check that is driven off the list, by its index; null where none does. */
  readonly danger: number | null;
}

/** Checks proposed at once. Source: handbook 30, Next check worth doing. */
const MAX_PROPOSALS = 3;
/** A check that is expected to save less than this moves no decision, minutes. */
const MIN_LOSS_DROP = 0.25;
/** With more things seen that hang together one exact sum is quick still, but not the hundreds that ranking takes. */
const MAX_RANKED = 14;
/** Causes that an outcome is described by. */
const LEADS = 3;
/** Less likely causes than this are not worth a line, and what speaks for them is not said. */
export const WORTH_A_LINE = 0.03;

/** Least ratio of the odds, before and after what is known, that counts as raised. */
const RAISED = 1.05;
/** Odds of a probability. */
export const oddsOf = (p: number): number => (p >= 1 ? Infinity : p / (1 - p));
/** Whether something speaks for a fault: it is likelier than before anything was known. */
const isRaised = (p: number, prior: number): boolean => oddsOf(p) > oddsOf(prior) * RAISED;

function ranked(posterior: readonly number[]): FaultProbability[] {
  return posterior
    .map((probability, fault): FaultProbability => ({ fault, probability }))
    .sort((a, b) => b.probability - a.probability || a.fault - b.fault);
}

/**
 * The causes in their order.
 * @param plain what is observed alone makes of each, without the knowledge that there is something
 */
function causesOf(network: Network, posterior: readonly number[], plain: readonly number[]): RankedFault[] {
  return ranked(posterior).map((c): RankedFault => {
    const raised = isRaised(plain[c.fault] ?? 0, network.faults[c.fault]?.prior ?? 0);
    return { ...c, raised, contributions: null };
  });
}

/** What an outcome makes of the leading causes, and of what is done about which. */
function changes(
  network: Network,
  now: readonly number[],
  then: readonly number[],
): Pick<RatedCheck['outcomes'][number], 'leads' | 'takenUp' | 'letBe'> {
  const order = ranked(then);
  const moved = order.filter(
    (c) => isTakenUp(network.faults[c.fault], c.probability) !== isTakenUp(network.faults[c.fault], now[c.fault] ?? 0),
  );
  const taken = (c: FaultProbability): boolean => isTakenUp(network.faults[c.fault], c.probability);
  // What is done about anyway, and nothing speaks for, is no news: fluid as old as on any such vehicle.
  const news = order.filter((c) => {
    const fault = network.faults[c.fault];
    return isRaised(c.probability, fault?.prior ?? 0) || !taken(c) || !isTakenUp(fault, now[c.fault] ?? 0);
  });
  return {
    leads: news.slice(0, LEADS),
    takenUp: moved.filter(taken).slice(0, LEADS),
    letBe: moved.filter((c) => !taken(c)).slice(0, LEADS),
  };
}

/** From so likely on a fault with which nobody drives keeps what is driven off the list. Source: handbook 35, Checks to mend. */
const TOO_LIKELY = 0.1;
/** The likeliest fault with which nobody drives, where it is likely enough; null where none is. */
function dangerOf(network: Network, posterior: readonly number[]): number | null {
  const worst = ranked(posterior).find((c) => network.faults[c.fault]?.hazard === true);
  return worst && worst.probability >= TOO_LIKELY ? worst.fault : null;
}

/**
 * Weighs a network: the causes, the checks worth doing next, and what does not go together. Everything that goes in and
 * comes out is plain, so that it may be done beside the page.
 * @param checks those that can be done as the vehicle stands now
 * @param complaint that something is at fault is known, since somebody complains
 */
export function diagnose(network: Network, evidence: Evidence, checks: readonly NetworkCheck[], complaint = false): Diagnosis {
  const done = toResult((): Diagnosis => {
    const plain = Object.keys(evidence.certain).length === 0;
    const exact = toResult(() => infer(network, evidence));
    if (!exact.ok && exact.refusal.code === 'too_large') return bySampling(network, evidence);
    if (!exact.ok) throw exact.refusal;
    const known = (e: Evidence, i: Inference): readonly number[] => (complaint ? conditionOnAnyFault(network, e, i) : i).posterior;
    const posterior = known(evidence, exact.value);
    const all = causesOf(network, posterior, exact.value.posterior);
    const before = { ...evidence, certain: {} };
    const expected = plain ? posterior : known(before, infer(network, before));
    if (maxWidth(network, evidence) > MAX_RANKED)
      return { causes: all, expected, sampled: null, next: [], conflicts: [], unranked: true, refused: null, danger: null };
    const speaks = contributionsOf(network, evidence);
    const causes = all.map((c): RankedFault => (c.probability >= WORTH_A_LINE ? { ...c, contributions: speaks(c.fault) } : c));
    const danger = dangerOf(network, posterior);
    const open = danger === null ? checks : checks.filter((c) => !c.drives);
    const next = worthDoing(network, evidence, open, complaint)
      .filter((w) => w.drop >= MIN_LOSS_DROP)
      .slice(0, MAX_PROPOSALS)
      .map((w): RatedCheck => ({
        id: w.check.id,
        drop: w.drop,
        dropPerMinute: w.dropPerMinute,
        exact: w.exact,
        outcomes: w.outcomes.map((o) => ({ seen: o.seen, probability: o.probability, ...changes(network, posterior, o.posterior) })),
      }));
    return { causes, expected, sampled: null, next, conflicts: contradictions(network, evidence), unranked: false, refused: null, danger };
  });
  return done.ok
    ? done.value
    : { causes: [], expected: [], sampled: null, next: [], conflicts: [], unranked: false, refused: done.refusal.message, danger: null };
}

/** The causes alone, sampled, with how far off they may be. */
function bySampling(network: Network, evidence: Evidence): Diagnosis {
  const { posterior, error } = inferSampled(network, evidence);
  const before = inferSampled(network, { ...evidence, certain: {} });
  const causes = causesOf(network, posterior, posterior);
  return { causes, expected: before.posterior, sampled: error, next: [], conflicts: [], unranked: true, refused: null, danger: null };
}
