import { type Obligation, obligation } from '../../ledger/obligation.ts';
import { arrivalsOf } from '../../history/arrivals.ts';
import { KIND_OF_JOB } from '../../history/scope.ts';
import { isStandalone } from '../../layout/standaloneUnits.ts';
import type { RuleContext } from '../ruleContext.ts';
import { TITLE } from '../../wording/en/duties.ts';

export function bookinObligations({ history }: RuleContext): Obligation[] {
  const { job, vehicle } = history.records;
  const counter = history.active(history.records.counters).some((c) => c.jobId === job.id);
  const kind = KIND_OF_JOB[job.kind];
  const loose = isStandalone(history.records.layout);
  const scoped = loose || (kind.corners ? job.scopeCorners.length > 0 || job.scopeIn.length > 0 : kind.middle || job.scopeIn.length > 0);
  return [
    ...(job.kind === 'fluid' ? [] : [obligation({ kind: 'bookin', ask: 'complaint' }, TITLE.complaint, job.complaint.trim() !== '')]),
    obligation({ kind: 'bookin', ask: 'wants' }, TITLE.wants, job.wants.trim() !== ''),
    ...(vehicle.distanceUnit === 'none' ? [] : [obligation({ kind: 'bookin', ask: 'counter' }, TITLE.counter, counter)]),
    ...arrivalsOf(history)
      .filter((a) => a.arrival === 'unknown')
      .map((a) => obligation({ kind: 'came', slotId: a.slot.id }, TITLE.came(a.slot), a.settled, { slotId: a.slot.id })),
    obligation({ kind: 'bookin', ask: 'scope' }, TITLE.scope(KIND_OF_JOB[job.kind].corners), scoped),
  ];
}
