import { type Obligation, obligation } from '../../catalogue/stages.ts';
import { KIND_OF_JOB } from '../../history/scope.ts';
import { areLoose } from '../../layout/looseUnits.ts';
import type { RuleContext } from '../ruleContext.ts';

export function bookinObligations({ book }: RuleContext): Obligation[] {
  const { job, vehicle } = book.file;
  const counter = book.stand(book.file.counters).some((c) => c.jobId === job.id);
  const kind = KIND_OF_JOB[job.kind];
  const loose = areLoose(book.file.layout);
  const scoped = loose || (kind.corners ? job.scopeCorners.length > 0 || job.scopeIn.length > 0 : kind.middle || job.scopeIn.length > 0);
  return [
    ...(job.kind === 'fluid'
      ? []
      : [obligation('bookin', 'bookin:complaint', 'The complaint, in the owner’s words', job.complaint.trim() !== '')]),
    obligation('bookin', 'bookin:wants', 'What the owner wants', job.wants.trim() !== ''),
    ...(vehicle.distanceUnit === 'none' ? [] : [obligation('bookin', 'bookin:counter', 'Distance run, read off the counter', counter)]),
    obligation('bookin', 'bookin:scope', KIND_OF_JOB[job.kind].corners ? 'Corners taken in' : 'What is taken in', scoped),
  ];
}
