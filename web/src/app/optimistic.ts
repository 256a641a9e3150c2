import { type EventFamily, EVENTS, type Recorded, type Sent } from '@dauer/contract';
import { type EventBase, type JobFile, MEASUREMENTS, type Part, parseQuantity } from '@dauer/core';
import type { Waiting } from './sending.ts';

function base(item: Waiting): EventBase {
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
function recordOf(item: Waiting, file: JobFile): object {
  // What was left out is what the book takes it for.
  const {
    password: _p,
    part: _q,
    ...sent
  } = { password: null, part: null, ...(EVENTS[item.family].sent.safeParse(item.body).data ?? item.body) };
  const own = { ...sent, ...base(item) };
  switch (item.family) {
    case 'readings': {
      const sent = item.body as Sent<'readings'>;
      const set = file.sets.find((s) => s.id === sent.setId);
      const q = parseQuantity(sent.typed, MEASUREMENTS[set?.measurement ?? 'rotor_thickness'].kind, sent.unit);
      return { ...own, canonical: q.canonical, resolution: q.resolution, fraction: q.fraction };
    }
    case 'torques': {
      const sent = item.body as Sent<'torques'>;
      return {
        ...own,
        target: parseQuantity(sent.targetTyped, 'torque', sent.unit).canonical,
        canonical: parseQuantity(sent.typed, 'torque', sent.unit).canonical,
      };
    }
    case 'bleedPulls':
      return { ...own, volumeMl: parseQuantity((item.body as Sent<'bleedPulls'>).volumeTyped, 'volume', 'mL').canonical };
    case 'counters': {
      const sent = item.body as Sent<'counters'>;
      return { ...own, vehicleId: file.vehicle.id, km: parseQuantity(sent.typed, 'distance_run', sent.unit).canonical };
    }
    default:
      return own;
  }
}

/** A file with one more event; one that is there already is replaced. */
function withRecord<F extends EventFamily>(file: JobFile, family: F, record: Recorded<F>): JobFile {
  const list: readonly { readonly id: string }[] = file[family];
  return { ...file, [family]: [...list.filter((e) => e.id !== record.id), record] };
}

function describedPart(item: Waiting): Part | null {
  if (item.family !== 'partEvents') return null;
  const sent = item.body as Sent<'partEvents'>;
  return sent.part ? { id: sent.partId, ...sent.part } : null;
}

function withPart(file: JobFile, item: Waiting): JobFile {
  const part = describedPart(item);
  return part && !file.parts.some((p) => p.id === part.id) ? { ...file, parts: [...file.parts, part] } : file;
}

/** A file with an event that the book has now, and the part that it described. */
export function withStored(file: JobFile, item: Waiting, record: unknown): JobFile {
  return withRecord(withPart(file, item), item.family, record as Recorded<EventFamily>);
}

/** A file with everything that waits on this device laid over it. */
export function withWaiting(file: JobFile, items: readonly Waiting[]): JobFile {
  return items
    .filter((i) => i.jobId === file.job.id && i.aside === null)
    .reduce((so, item) => {
      const known = withPart(so, item);
      return withRecord(known, item.family, recordOf(item, known) as Recorded<EventFamily>);
    }, file);
}
