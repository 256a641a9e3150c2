import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { PreparedImage } from '../pictures.ts';
import type { PendingEvent } from './queue.ts';
import type { SentEvent } from './sentJournal.ts';

interface Schema extends DBSchema {
  outbox: { key: number; value: PendingEvent };
  /** Images that the book does not have yet, by hash. */
  images: { key: string; value: PreparedImage };
  /** What the book has acknowledged, for nine days: a restored one is sent it again. */
  sent: { key: string; value: SentEvent };
  sentImages: { key: string; value: SentImage };
}

/** An image that the book has acknowledged, and when. */
export type SentImage = PreparedImage & { readonly sentAt: number };

/** What a device keeps of what it sends. Each call is one transaction: all of it is done, or nothing. */
export interface OutboxStorage {
  /** What waits, and the images that wait with it. */
  found(): Promise<{ readonly items: PendingEvent[]; readonly images: PreparedImage[] }>;
  /** What waits, by now: another page of this device may have stored or sent some of it. */
  items(): Promise<PendingEvent[]>;
  /** Holds an event for good; resolves with its place once it is safe. */
  add(item: PendingEvent): Promise<number>;
  /** An event that stays at its place with something changed. */
  put(item: PendingEvent): Promise<void>;
  drop(place: number): Promise<void>;
  putImage(image: PreparedImage): Promise<void>;
  /** It waits no more, and is kept as sent where it may be sent again. */
  acknowledge(place: number | undefined, sent: SentEvent | null): Promise<void>;
  acknowledgeImage(image: SentImage): Promise<void>;
  sent(): Promise<SentEvent[]>;
  sentImages(): Promise<SentImage[]>;
  dropSent(ids: readonly string[], hashes: readonly string[]): Promise<void>;
  /** Everything that was sent waits again: events at new places in their order, and all images. */
  requeue(items: readonly PendingEvent[]): Promise<{ readonly items: PendingEvent[]; readonly images: PreparedImage[] }>;
  /** A sent event as it is kept from now on, and the image that goes with it struck, where one is. */
  strike(sent: SentEvent, hash: string | null): Promise<void>;
  sentOf(id: string): Promise<SentEvent | undefined>;
}

/**
 * Opens this device's storage.
 * @param blocked told where an older page of Dauer holds it
 */
export async function openStorage(blocked: () => void): Promise<OutboxStorage> {
  const db: IDBPDatabase<Schema> = await openDB<Schema>('dauer', 3, {
    upgrade: (d, old) => {
      if (old < 1) d.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true });
      if (old < 2) d.createObjectStore('images', { keyPath: 'hash' });
      d.createObjectStore('sent', { keyPath: 'id' });
      d.createObjectStore('sentImages', { keyPath: 'hash' });
    },
    blocked,
    blocking: (_now, _next, event) => (event.target as IDBDatabase | null)?.close(),
  });
  return {
    found: async () => ({ items: await db.getAll('outbox'), images: await db.getAll('images') }),
    items: () => db.getAll('outbox'),
    async add(item) {
      const tx = db.transaction('outbox', 'readwrite', { durability: 'strict' });
      const added = tx.store.add(item);
      // Asked for at once, so that it is carried through even where the page goes away in this very moment.
      tx.commit();
      const place = await added;
      await tx.done;
      return place;
    },
    put: async (item) => void (await db.put('outbox', item)),
    drop: (place) => db.delete('outbox', place),
    putImage: async (image) => void (await db.put('images', image)),
    async acknowledge(place, sent) {
      const tx = db.transaction(['outbox', 'sent'], 'readwrite');
      if (sent) void tx.objectStore('sent').put(sent);
      if (place !== undefined) void tx.objectStore('outbox').delete(place);
      await tx.done;
    },
    async acknowledgeImage(image) {
      const tx = db.transaction(['images', 'sentImages'], 'readwrite');
      void tx.objectStore('sentImages').put(image);
      void tx.objectStore('images').delete(image.hash);
      await tx.done;
    },
    sent: () => db.getAll('sent'),
    sentImages: () => db.getAll('sentImages'),
    async dropSent(ids, hashes) {
      for (const id of ids) await db.delete('sent', id);
      for (const hash of hashes) await db.delete('sentImages', hash);
    },
    async requeue(items) {
      const tx = db.transaction(['outbox', 'sent', 'images', 'sentImages'], 'readwrite', { durability: 'strict' });
      const images = (await tx.objectStore('sentImages').getAll()).map(({ hash, bytes }) => ({ hash, bytes }));
      for (const image of images) void tx.objectStore('images').put(image);
      const added: PendingEvent[] = [];
      for (const item of items) added.push({ ...item, seq: await tx.objectStore('outbox').add(item) });
      void tx.objectStore('sent').clear();
      void tx.objectStore('sentImages').clear();
      await tx.done;
      return { items: added, images };
    },
    async strike(sent, hash) {
      const tx = db.transaction(['sent', 'sentImages'], 'readwrite');
      void tx.objectStore('sent').put(sent);
      if (hash !== null) void tx.objectStore('sentImages').delete(hash);
      await tx.done;
    },
    sentOf: (id) => db.get('sent', id),
  };
}
