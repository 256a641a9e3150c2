import type { JobHistory } from '../history/jobHistory.ts';
import type { BeddingPlan, BeddingStep } from '../ledger/families/beddingPlans.ts';
import { disturbances } from './disturbed.ts';

/** A step of bedding in with how many of its stops were driven. */
interface BeddingStepState extends BeddingStep {
  readonly done: number;
}

/** Bedding in as it stands. */
export interface BeddingState {
  readonly plan: BeddingPlan;
  readonly steps: readonly BeddingStepState[];
  /** The step that is driven now; null where all is done. */
  readonly now: number | null;
  readonly counted: number;
  readonly total: number;
  /** Stops that came before it had run free for as long as it has to. */
  readonly tooSoon: number;
  /** Until when it runs free before the next stop, ISO instant; null where it may stop now. */
  readonly coolUntil: string | null;
  /** The stop that was counted last. */
  readonly last: string | null;
}

/** Two counts so near are one stop, counted on two devices or by two fingers. */
const ONE_STOP_MS = 2000;
/** A stop that is counted a moment early is not told: a finger is quicker than a clock. */
const SLACK_MS = 1500;

/**
 * How far new linings are bedded in, by the plan of this job that was entered last. Stops from before a lining, rotor, drum or
 * shoe was moved count no more.
 * Source: handbook 60, Proving, Standing and lapsing.
 */
export function beddingOf(history: JobHistory): BeddingState | null {
  const { beddingPlans, beddingStops, job } = history.records;
  const plan = history.active(beddingPlans).findLast((p) => p.jobId === job.id);
  if (!plan) return null;
  const moved = disturbances(history).findLast((d) => d.does.includes('lining'));
  const mine = history.active(beddingStops).filter((s) => s.planId === plan.id && (moved === undefined || s.happenedAt > moved.at));
  const stops = mine.filter((s, i) => i === 0 || Date.parse(s.happenedAt) - Date.parse(mine[i - 1]?.happenedAt ?? '') >= ONE_STOP_MS);
  const steps = plan.steps.map((s, i) => ({ ...s, done: Math.min(s.stops, stops.filter((x) => x.step === i).length) }));
  const now = steps.findIndex((s) => s.done < s.stops);
  const coolAfter = (i: number): number => (plan.steps[stops[i]?.step ?? -1]?.coolS ?? 0) * 1000;
  const at = (i: number): number => Date.parse(stops[i]?.happenedAt ?? '');
  const last = stops.length - 1;
  return {
    ...{ plan, steps, now: now < 0 ? null : now },
    counted: steps.reduce((n, s) => n + s.done, 0),
    total: steps.reduce((n, s) => n + s.stops, 0),
    tooSoon: stops.filter((_, i) => i > 0 && at(i) - at(i - 1) < coolAfter(i - 1) - SLACK_MS).length,
    coolUntil: last < 0 || now < 0 ? null : new Date(at(last) + coolAfter(last)).toISOString(),
    last: stops[last]?.id ?? null,
  };
}
