import { type EventFamily, EVENTS, type Recorded, type Sent } from '@dauer/contract';
import { type EventBase, inFormOfToday, type JobRecords, type Part, recordFrom } from '@dauer/core/ledger';
import { toResult } from '@dauer/core/quantity';
import type { PendingEvent } from './outbox/queue.ts';

function base(item: PendingEvent): EventBase {
  const { id, happenedAt, device } = item.body;
  return {
    id,
    jobId: item.jobId,
    authorId: item.authorId,
    device,
    happenedAt,
    recordedAt: happenedAt,
    corrects: item.body.corrects ?? null,
  };
}

/** What an event will be once it is in the book: the same core makes the same of it there. */
function recordIn(records: JobRecords, item: PendingEvent): object {
  const today = inFormOfToday(item.family, { ...item.body });
  // What was left out is what the book takes it for.
  const sent: Readonly<Record<string, unknown>> = { ...(EVENTS[item.family].sent.safeParse(today).data ?? today) };
  const facts = {
    vehicleId: records.vehicle.id,
    measurement: records.sets.find((s) => s.id === sent['setId'])?.measurement ?? null,
    gaugeKind: records.gauges.find((g) => g.id === sent['gaugeVersionId'])?.kind ?? null,
  };
  return recordFrom(item.family, { ...sent, ...base(item) }, facts);
}

/** A file with one more event; one that is there already is replaced. */
function withRecord<F extends EventFamily>(records: JobRecords, family: F, record: Recorded<F>): JobRecords {
  const list: readonly { readonly id: string }[] = records[family];
  return { ...records, [family]: [...list.filter((e) => e.id !== record.id), record] };
}

function describedPart(item: PendingEvent): Part | null {
  if (item.family !== 'partEvents') return null;
  const sent = item.body as Sent<'partEvents'>;
  return sent.part ? { id: sent.partId, ...sent.part } : null;
}

function withPart(records: JobRecords, item: PendingEvent): JobRecords {
  const part = describedPart(item);
  return part && !records.parts.some((p) => p.id === part.id) ? { ...records, parts: [...records.parts, part] } : records;
}

/** A file with an event that the book has now, and the part that it described. */
export function applyStored(records: JobRecords, item: PendingEvent, record: unknown): JobRecords {
  return withRecord(withPart(records, item), item.family, record as Recorded<EventFamily>);
}

/** A file with everything that waits on this device laid over it. */
export function applyPending(records: JobRecords, items: readonly PendingEvent[]): JobRecords {
  return items
    .filter((i) => i.jobId === records.job.id && i.aside === null)
    .reduce((acc, item) => {
      const known = withPart(acc, item);
      // What an older page took and this one would refuse waits for the book's answer, and is judged meanwhile as not there.
      const made = toResult(() => recordIn(known, item));
      return made.ok ? withRecord(known, item.family, made.value as Recorded<EventFamily>) : known;
    }, records);
}
