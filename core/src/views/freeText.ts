import type { EventBase } from '../ledger/eventBase.ts';
import { EVENT_LISTS, familyOf } from '../ledger/families.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import { BLACKED } from '../ledger/blacked.ts';

/** Texts of what is no event: of the job, its vehicle, its layouts and its parts. */
export const FREE_TEXT_OF = {
  job: ['complaint', 'wants', 'fluidKnown'],
  vehicle: ['name', 'make', 'model', 'variant', 'body'],
  layout: ['why'],
  part: ['name', 'partNumber', 'note'],
} as const;

/** One text that may be blacked out: which record and field, what it says, and who wrote it when, where it is an event. */
export interface FreeText {
  readonly corrects: string;
  readonly field: string;
  readonly text: string;
  readonly by: string | null;
  readonly at: string | null;
}

function textsOf(thing: object & { readonly id: string }, fields: readonly string[], by: EventBase | null): FreeText[] {
  const known = new Map<string, unknown>(Object.entries(thing));
  return fields.flatMap((field) => {
    const text = known.get(field);
    return typeof text === 'string' && text.trim() !== '' && text !== BLACKED
      ? [{ corrects: thing.id, field, text, by: by?.authorId ?? null, at: by?.happenedAt ?? null }]
      : [];
  });
}

/** Everything that somebody typed in a job and that can be blacked out, the newest first; what belongs to no moment last. */
export function freeTexts(records: JobRecords): FreeText[] {
  const events = EVENT_LISTS.flatMap((family) =>
    (records[family] as readonly EventBase[])
      .filter((e) => e.jobId === records.job.id)
      .flatMap((e) => textsOf(e, familyOf(family).blackable, e)),
  );
  return [
    ...events.sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? 1 : -1)),
    ...textsOf(records.job, FREE_TEXT_OF.job, null),
    ...textsOf(records.vehicle, FREE_TEXT_OF.vehicle, null),
    ...records.layoutRevisions.flatMap((r) => textsOf(r, FREE_TEXT_OF.layout, null)),
    ...records.parts
      .filter((p) => p.tag !== null || p.note !== '' || p.partNumber !== null)
      .flatMap((p) => textsOf(p, FREE_TEXT_OF.part, null)),
  ];
}
