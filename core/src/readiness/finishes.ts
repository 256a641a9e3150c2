import { CURES_DAYS } from '../catalogue/lasting.ts';
import { curedByClock } from '../history/curing.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { CoatLook } from '../ledger/families/coatLooks.ts';
import type { Coat } from '../ledger/families/coats.ts';
import type { PartEvent } from '../ledger/families/partEvents.ts';
import { daysAfter } from '../quantity/calendar.ts';
import { FINISH_REFUSED } from '../wording/en/finishes.ts';

/** The finish that a part has, and what became of it. */
export interface FinishState {
  readonly coated: PartEvent;
  /** What was said of it beside; null where nothing was. */
  readonly coat: Coat | null;
  /** The day from which it was cured: by the clock that it cured by, else in air. */
  readonly cured: { readonly by: 'clock' | 'air'; readonly on: string };
  /** Looks at it since, the oldest first. */
  readonly looks: readonly CoatLook[];
  /** It went on in an earlier job, and nobody looked at it on this one. */
  readonly asksLook: boolean;
}

function curedOn(history: JobHistory, { slotId, happenedAt }: PartEvent, part: readonly PartEvent[]): FinishState['cured'] {
  const place = slotId ?? part.findLast((e) => e.slotId !== null)?.slotId ?? '';
  const ended = curedByClock(history, place, happenedAt);
  return ended ? { by: 'clock', on: ended.slice(0, 10) } : { by: 'air', on: daysAfter(happenedAt, CURES_DAYS) };
}

/** The finish that a part was given last, as it stands; null where none is on record. Source: handbook 50, Coats; 55, cards 22 to 24. */
export function finishOf(history: JobHistory, partId: string): FinishState | null {
  const { records } = history;
  const events = history.active(records.partEvents).filter((e) => e.partId === partId);
  const coated = events.findLast((e) => e.kind === 'coated');
  if (!coated) return null;
  const looks = history.active(records.coatLooks).filter((l) => l.eventId === coated.id);
  return {
    ...{ coated, looks },
    coat: history.active(records.coats).findLast((c) => c.eventId === coated.id) ?? null,
    cured: curedOn(history, coated, events),
    asksLook: records.release === null && coated.jobId !== records.job.id && !looks.some((l) => l.jobId === records.job.id),
  };
}

/** Whether an event says that a part was coated, and stands. */
const isCoating = (history: JobHistory, eventId: string): boolean =>
  history.active(history.records.partEvents).some((e) => e.id === eventId && e.kind === 'coated');

/** Why a finish cannot be said of a record; null where it can. */
export function whyNotFinished(history: JobHistory, { eventId }: Pick<Coat, 'eventId'>): string | null {
  return isCoating(history, eventId) ? null : FINISH_REFUSED.notCoated;
}

/** Why a finish cannot have been looked at so; null where it can. What is wrong with it is said in words. */
export function whyNotLookedAt(history: JobHistory, { eventId, state, note }: Pick<CoatLook, 'eventId' | 'state' | 'note'>): string | null {
  if (!isCoating(history, eventId)) return FINISH_REFUSED.notCoated;
  return state !== 'sound' && note.trim().length < 3 ? FINISH_REFUSED.where : null;
}
