import type { EventFamily } from '@dauer/contract';
import { MEASUREMENTS } from '@dauer/core/catalogue';
import { placeName, slotById } from '@dauer/core/layout';
import { familyOf, type JobRecords, type ReadingSet } from '@dauer/core/ledger';
import { upperFirst } from '@dauer/core/quantity';
import type { EventWords, PendingEvent } from './outbox/queue.ts';

type Known = Pick<JobRecords, 'layout' | 'sets' | 'vehicle'>;

/** An event in words, so that a list says what it is also where its job is not open: its figure or text, place and vehicle. */
export function aboutEvent(records: Known, waiting: readonly PendingEvent[], family: EventFamily, body: object): EventWords {
  const said = new Map<string, unknown>(Object.entries(body));
  const text = (field: string): string => {
    const value = said.get(field);
    return typeof value === 'string' ? value : '';
  };
  const named = text('setId');
  const sent = waiting.find((i) => i.family === 'sets' && i.body.id === named)?.body as ReadingSet | undefined;
  const set = records.sets.find((s) => s.id === named) ?? sent ?? (family === 'sets' ? (body as ReadingSet) : undefined);
  const slot = slotById(records.layout, text('slotId') || (set?.slotId ?? ''));
  const measured = set ? MEASUREMENTS[set.measurement].name : null;
  const kind = upperFirst(familyOf(family).label);
  const what =
    family === 'readings' ? `${measured ?? kind} ${text('typed')}` : family === 'sets' ? `Set of ${(measured ?? '').toLowerCase()}` : kind;
  const words = text('words') || text('note');
  return { what: words ? `${what}: ${words}` : what, place: slot ? placeName(slot) : null, vehicle: records.vehicle.tag };
}
