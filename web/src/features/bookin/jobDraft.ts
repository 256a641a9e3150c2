import { KIND_OF_JOB } from '@dauer/core/history';
import { type Corner, CORNERS } from '@dauer/core/layout';
import type { Finish, JobKind } from '@dauer/core/ledger';
import { orNull } from './vehicleDraft.ts';
import { sumOf } from './words.ts';

/** A job as it is typed at the desk. */
export interface JobDraft {
  kind: JobKind;
  complaint: string;
  wants: string;
  fluidKnown: string;
  promised: string;
  finish: Finish;
  authorised: string;
  corners: Corner[];
}

export function blankJob(): JobDraft {
  return {
    ...{ kind: 'overhaul', complaint: '', wants: '', fluidKnown: '', promised: '', finish: 'not_said', authorised: '' },
    corners: [...CORNERS],
  };
}

/** What cannot be used in a draft, by field, in words. */
export function jobFaults(d: Pick<JobDraft, 'authorised'>, currency: string | null): Record<string, string> {
  const sum = sumOf(d.authorised, currency);
  return sum.ok ? {} : { authorised: sum.why };
}

/** The fields of a job as they are sent; a sum that cannot be used is left out. */
export function jobOf(d: JobDraft, corners: readonly Corner[], currency: string | null) {
  const sum = sumOf(d.authorised, currency);
  return {
    ...{ kind: d.kind, complaint: d.complaint, wants: d.wants, fluidKnown: d.fluidKnown, finish: d.finish },
    promised: orNull(d.promised),
    authorisedMinor: sum.ok ? sum.sum : null,
    scopeCorners: KIND_OF_JOB[d.kind].corners ? d.corners.filter((c) => corners.includes(c)) : [],
  };
}
