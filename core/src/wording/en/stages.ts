import { type Stage, STAGE_NAME } from '../../catalogue/stages.ts';
import type { NotApplicable } from '../reasons.ts';
import { JOB_KIND_NAME } from './names.ts';

const NOT_APPLICABLE = { units_alone: 'units alone', no_fluid: 'no fluid' } as const;

/** Why a job has no use for a stage. */
export function notApplicableWords(why: NotApplicable): string {
  return why.kind === 'kind_of_job' ? JOB_KIND_NAME[why.of].toLowerCase() : NOT_APPLICABLE[why.kind];
}

/** A stage as it is counted. */
interface Counted {
  readonly open: number;
  readonly waiting: number;
  readonly all: number;
  readonly waitsFor: Stage | null;
  readonly notApplicable: NotApplicable | null;
}

/** How a stage stands: "done", "8 open", "after Decide". */
export function stageNote(s: Counted): string {
  if (s.notApplicable) return notApplicableWords(s.notApplicable);
  if (s.waitsFor) return `after ${STAGE_NAME[s.waitsFor]}`;
  if (s.open + s.waiting > 0) return `${s.open + s.waiting} open`;
  return s.all === 0 ? 'nothing due' : 'done';
}
