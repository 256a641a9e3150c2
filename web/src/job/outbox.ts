import { EVENT_ENDPOINT, type Sent } from '@dauer/contract';
import { familyOf } from '@dauer/core/ledger';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { ApiProblem, call, sentenceOf, whenAnswered } from '../app/client.ts';
import { base64Of, forgetImage, type PreparedImage } from './pictures.ts';
import { nextToSend, type PendingEvent } from './outboxQueue.ts';
import { againFrom, isAnotherBook, outlivedSent, type SentEvent, withoutStruck } from './sentJournal.ts';
import { useSession } from '../app/session.ts';

interface Schema extends DBSchema {
  outbox: { key: number; value: PendingEvent };
  /** Images that the book does not have yet, by hash. */
  images: { key: string; value: PreparedImage };
  /** What the book has acknowledged, for nine days: a restored one is sent it again. */
  sent: { key: string; value: SentEvent };
  sentImages: { key: string; value: PreparedImage & { readonly sentAt: number } };
}

const BOOK = 'dauer.history';

/** A plain copy, without the reactivity that a database cannot store. */
const copyOf = (item: PendingEvent): PendingEvent => JSON.parse(JSON.stringify(item)) as PendingEvent;

/** Keeps events here first, with a strictly durable commit, and sends them in their order. */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession();
  const items = ref<PendingEvent[]>([]);
  const images = ref(new Map<string, PreparedImage>());
  const trouble = ref<string | null>(null);
  const sending = ref(false);
  /** Ids of events on their way into this device's storage: shown, and not yet acknowledged as kept. */
  const storing = ref(new Set<string>());
  let db: IDBPDatabase<Schema> | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let stored: (item: PendingEvent, record: unknown) => Promise<() => void> = async () => () => undefined;

  async function open(): Promise<void> {
    try {
      db = await openDB<Schema>('dauer', 3, {
        upgrade: (d, old) => {
          if (old < 1) d.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true });
          if (old < 2) d.createObjectStore('images', { keyPath: 'hash' });
          d.createObjectStore('sent', { keyPath: 'id' });
          d.createObjectStore('sentImages', { keyPath: 'hash' });
        },
        // An older page of Dauer holds the store: what is taken here is only in this page until that one is closed.
        blocked: () =>
          (trouble.value = 'Another page of Dauer is open in an older version: close it, so that this one can store what is taken.'),
        blocking: (_now, _next, event) => (event.target as IDBDatabase | null)?.close(),
      });
      items.value = await db.getAll('outbox');
      for (const image of await db.getAll('images')) images.value.set(image.hash, image);
      await dropOutlived(db);
    } catch {
      db = null;
    }
    void flush();
  }
  /** Called with every event that the server has acknowledged, before it leaves the outbox; returns a function that applies its record to the screen. */
  function whenStored(f: (item: PendingEvent, record: unknown) => Promise<() => void>): void {
    stored = f;
  }
  /** The key under which this device holds an event for good; none where its storage fails, and the page alone holds it. */
  async function storeDurably(plain: PendingEvent): Promise<number | undefined> {
    if (!db) return undefined;
    try {
      const tx = db.transaction('outbox', 'readwrite', { durability: 'strict' });
      const added = tx.store.add(plain);
      // Asked for at once, so that it is carried through even where the page goes away in this very moment.
      tx.commit();
      const seq = await added;
      await tx.done;
      return seq;
    } catch {
      trouble.value = 'This device cannot store what is taken; keep the page open until it is sent.';
      return undefined;
    }
  }
  /**
   * Takes an event. It is shown at once, and counts as kept only when it is safe on this device; it is sent after that,
   * and never before one that was taken earlier.
   */
  async function keep(item: PendingEvent): Promise<void> {
    const plain = copyOf(item);
    const committed = storeDurably(plain);
    storing.value.add(plain.body.id);
    items.value.push(plain);
    const seq = await committed;
    const found = items.value.find((i) => i.body.id === plain.body.id);
    if (found && seq !== undefined) found.seq = seq;
    storing.value.delete(plain.body.id);
    void flush();
  }
  /** Keeps an image here until the book has it: it is sent before the event that shows it. */
  async function keepImage(image: PreparedImage): Promise<void> {
    images.value.set(image.hash, image);
    try {
      await db?.put('images', image);
    } catch {
      trouble.value = 'This device cannot store the picture; keep the page open until it is sent.';
    }
  }
  async function sendImage(hash: string): Promise<void> {
    const image = images.value.get(hash);
    if (!image) return;
    await call('keepPicture', { body: { base64: base64Of(image.bytes) } });
    images.value.delete(hash);
    if (!db) return;
    const tx = db.transaction(['images', 'sentImages'], 'readwrite');
    void tx.objectStore('sentImages').put({ ...image, sentAt: Date.now() });
    void tx.objectStore('images').delete(hash);
    await tx.done;
  }
  /** What was acknowledged long enough ago goes from this device. */
  async function dropOutlived(d: IDBPDatabase<Schema>): Promise<void> {
    for (const id of outlivedSent(await d.getAll('sent'), Date.now())) await d.delete('sent', id);
    const pictures = (await d.getAll('sentImages')).map((i) => ({ id: i.hash, sentAt: i.sentAt }));
    for (const hash of outlivedSent(pictures, Date.now())) await d.delete('sentImages', hash);
  }
  /** The book has it: it waits no more, and stays on this device for nine days, whatever happens to the book meanwhile. */
  async function acknowledged(item: PendingEvent): Promise<void> {
    items.value = items.value.filter((i) => i.body.id !== item.body.id);
    if (!db) return;
    const plain = copyOf(item);
    const tx = db.transaction(['outbox', 'sent'], 'readwrite');
    // What asks for a password is an act of its moment: it is not done again by itself.
    if (familyOf(item.family).sending === 'queued') void tx.objectStore('sent').put({ id: plain.body.id, sentAt: Date.now(), item: plain });
    if (plain.seq !== undefined) void tx.objectStore('outbox').delete(plain.seq);
    await tx.done;
  }
  let turning: Promise<void> | null = null;
  /** Told by which incarnation of the book an answer was given: a restored one is sent again all that is still kept here. */
  async function heardOf(book: string | null): Promise<void> {
    const known = localStorage.getItem(BOOK);
    if (book && known === null) localStorage.setItem(BOOK, book);
    if (!db || !isAnotherBook(known, book) || turning) return;
    turning = sendAgain(db, book ?? '').finally(() => (turning = null));
    await turning;
  }
  async function sendAgain(d: IDBPDatabase<Schema>, book: string): Promise<void> {
    const again = againFrom(await d.getAll('sent'), items.value);
    const tx = d.transaction(['outbox', 'sent', 'images', 'sentImages'], 'readwrite', { durability: 'strict' });
    for (const image of await tx.objectStore('sentImages').getAll()) {
      void tx.objectStore('images').put({ hash: image.hash, bytes: image.bytes });
      images.value.set(image.hash, { hash: image.hash, bytes: image.bytes });
    }
    const added: PendingEvent[] = [];
    for (const item of again) {
      const seq = await tx.objectStore('outbox').add(item);
      added.push({ ...item, seq });
    }
    void tx.objectStore('sent').clear();
    void tx.objectStore('sentImages').clear();
    await tx.done;
    // Only now: a page that goes away before does it again.
    localStorage.setItem(BOOK, book);
    items.value = [...items.value, ...added];
    void flush();
  }
  whenAnswered((book) => void heardOf(book).catch(() => undefined));
  /** Lets go of what was blacked out in the book: of texts and pictures that are still kept here to be sent again. */
  async function blackOut(struck: readonly { readonly id: string; readonly field: string }[]): Promise<void> {
    if (!db) return;
    for (const { id, field } of struck) {
      const held = await db.get('sent', id);
      if (!held) continue;
      const tx = db.transaction(['sent', 'sentImages'], 'readwrite');
      const { item, hash } = withoutStruck(held.item, field);
      void tx.objectStore('sent').put({ ...held, item });
      if (hash !== null) {
        void tx.objectStore('sentImages').delete(hash);
        void forgetImage(hash);
      }
      await tx.done;
    }
  }
  async function forget(item: PendingEvent): Promise<void> {
    items.value = items.value.filter((i) => i.body.id !== item.body.id);
    if (db && item.seq !== undefined) await db.delete('outbox', item.seq);
  }
  async function setAside(item: PendingEvent, reason: string | null): Promise<void> {
    const found = items.value.find((i) => i.body.id === item.body.id);
    if (!found) return;
    found.aside = reason;
    if (db && found.seq !== undefined) await db.put('outbox', copyOf(found));
  }
  /** What is safe on this device, up to the first event that is not yet: nothing overtakes what it leans on. */
  function persisted(): readonly PendingEvent[] {
    const first = items.value.findIndex((i) => storing.value.has(i.body.id));
    return first < 0 ? items.value : items.value.slice(0, first);
  }
  /** Only its own author may send an event: the book names whoever is signed in. */
  const due = (): PendingEvent | undefined => nextToSend(persisted(), session.person?.id ?? null);
  async function flush(): Promise<void> {
    if (sending.value) return;
    sending.value = true;
    if (timer) clearTimeout(timer);
    timer = null;
    for (let next = due(); next; next = due()) {
      try {
        if (next.family === 'pictures') await sendImage((next.body as Sent<'pictures'>).hash);
        const answer = (await call(EVENT_ENDPOINT[next.family] as 'takeBack', {
          params: { jobId: next.jobId },
          body: next.body as Sent<'takeBacks'>,
          ...(next.clockOffset === undefined ? {} : { clockOffset: next.clockOffset }),
        })) as { record: unknown };
        // What it became and that it waits no more are shown as one change.
        const show = await stored(next, answer.record);
        show();
        await acknowledged(next);
        trouble.value = null;
      } catch (error) {
        if (error instanceof ApiProblem && !error.passes) {
          await setAside(next, error.message);
          continue;
        }
        trouble.value = sentenceOf(error);
        timer = setTimeout(() => void flush(), 2500);
        break;
      }
    }
    sending.value = false;
  }
  async function retry(item: PendingEvent): Promise<void> {
    await setAside(item, null);
    await flush();
  }
  /** Who else has something here that waits until they sign in. */
  const others = computed(() => [
    ...new Set(items.value.filter((i) => i.aside === null && i.authorId !== session.person?.id).map((i) => i.authorName)),
  ]);
  watch(
    () => session.person?.id,
    () => void flush(),
  );
  const unsent = computed(() => items.value.filter((i) => i.aside === null && !storing.value.has(i.body.id)).length);
  /** Whether everything that was taken is in the book, after waiting for what is on its way, ms at most. */
  async function settled(atMost: number): Promise<boolean> {
    const until = Date.now() + atMost;
    while (storing.value.size + unsent.value > 0 && Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 50));
    return storing.value.size + unsent.value === 0;
  }
  const aside = computed(() => items.value.filter((i) => i.aside !== null));
  window.addEventListener('online', () => void flush());
  return {
    blackOut,
    items,
    storing,
    trouble,
    unsent,
    others,
    aside,
    open,
    keep,
    forget,
    retry,
    flush,
    settled,
    whenStored,
    images,
    keepImage,
  };
});
