import type { VehicleDue } from '@dauer/contract';
import { duesOf, lastExercised } from '@dauer/core/service';
import { fluidRecordsOf, fluidState, openHistory } from '@dauer/core/history';
import type { JobState } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { mayMove } from '@dauer/core/views';
import { dueWhat, dueWhy } from '@dauer/core/wording';

/** What is kept of a vehicle so that its list need not be worked out again until its records change. */
export type DueFacts = Pick<VehicleDue, 'jobId' | 'inShop' | 'move' | 'exercised' | 'fluidChanged' | 'km' | 'dues'>;

/** Counts up with every change of the rules by which the list is worked out. */
export const DUE_RULES_VERSION = 3;

/** Of a vehicle whose newest job cannot be derived: the yard says so. */
export const noFacts = (jobId: string): DueFacts => ({
  ...{ jobId, inShop: true, move: null, exercised: null, fluidChanged: null, km: null, dues: [] },
});

/** What falls due on a vehicle, from the records of its newest job: what came after its hand-back counts as well. */
export function dueFactsOf(state: JobState, records: JobRecords, today: string): DueFacts {
  const history = openHistory(records);
  const fluid = fluidState(records.layout, fluidRecordsOf(history), records.vehicle, today);
  const counted = [...history.active(records.counters), ...history.active(records.exercises)].flatMap((c) => (c.km === null ? [] : [c]));
  const km = counted.sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1)).at(-1)?.km ?? null;
  return {
    jobId: records.job.id,
    inShop: !state.released && !state.voided,
    move: mayMove(state)?.level ?? null,
    exercised: lastExercised(history),
    fluidChanged: fluid?.changed ?? null,
    km,
    dues: duesOf(history, today).map((d) => ({
      ...{ key: d.key, about: d.about, what: dueWhat(d), why: dueWhy(d.why), on: d.on, km: d.km, access: d.access },
      reached: d.km !== null && km !== null && km >= d.km,
    })),
  };
}
