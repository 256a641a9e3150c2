import type { Sent } from '@dauer/contract';
import { isQueued } from '../../app/routes.ts';
import type { PreparedImage } from '../pictures.ts';
import { advance, EMPTY, nextToSend, nextTurn, type HandedIn, type PendingEvent, type Queue, type QueueAction, unsent } from './queue.ts';
import { againFrom, isAnotherBook, outlivedSent, withoutStruck } from './sentJournal.ts';
import type { OutboxStorage } from './storage.ts';

/** Pause after a server that did not answer, ms. */
const PAUSE_MS = 2500;
const PICTURE_NOT_STORED = 'This device cannot store the picture; keep the page open until it is sent.';
const OLDER_PAGE = 'Another page of Dauer is open in an older version: close it, so that this one can store what is taken.';

/** What an outbox leans on; a page gives it the browser's, a test its own. */
export interface OutboxWorld {
  /** @param blocked told where an older page holds the storage. Rejects where a device cannot store anything. */
  open(blocked: () => void): Promise<OutboxStorage>;
  /** Sends an event; resolves with the record that it became. */
  send(item: PendingEvent): Promise<unknown>;
  sendImage(image: PreparedImage): Promise<void>;
  /** Why the server will not take an event, whenever it is sent; null where the reason may pass. */
  refusal(error: unknown): string | null;
  /** What a failure is, in a sentence. */
  sentenceOf(error: unknown): string;
  /** Who is signed in. */
  personId(): string | null;
  now(): number;
  /** Runs something after a pause, ms; returns what calls it off. */
  later(run: () => void, ms: number): () => void;
  /**
   * What is written down in the moment in which it is taken, before the storage has it: a transaction that waits for
   * another one is given up when its page goes away, however soon its commit was asked for.
   */
  readonly ahead: {
    note(item: PendingEvent): void;
    /** In the order in which they were taken. */
    found(): PendingEvent[];
    drop(id: string): void;
  };
  /**
   * Runs something while no other page of this device runs such a thing: one page sends at a time, and when it goes away the
   * next one takes over.
   */
  alone(run: () => Promise<void>): Promise<void>;
  /** The other pages of this device: told what changed here, and heard when it did there. */
  readonly pages: { tell(news: PageNews): void; hear(heard: (news: PageNews) => void): void };
  /** The incarnation of the book that this device last knew. */
  readonly book: { known(): string | null; note(incarnation: string): void };
  /** An image is no longer wanted anywhere on this device. */
  forgetImage(hash: string): void;
}

/** What the pages of a device tell each other: that an event is in the book, with its record, or that what waits is another. */
export type PageNews = { readonly kind: 'sent'; readonly item: PendingEvent; readonly record: unknown } | { readonly kind: 'changed' };

/** Called with every event that the book has, before it leaves the outbox; returns what applies its record to the screen. */
type WhenSent = (item: PendingEvent, record: unknown) => Promise<() => void>;

/** A plain copy, which a database can store. */
const copyOf = (item: PendingEvent): PendingEvent => JSON.parse(JSON.stringify(item)) as PendingEvent;

/** An event as the book has it: it happened when that says, whatever this device's clock does later. */
function asKept({ stamp: _stamp, clockOffset: _offset, ...item }: PendingEvent, record: unknown): PendingEvent {
  const at = (record as { readonly happenedAt?: unknown } | null)?.happenedAt;
  return typeof at === 'string' ? { ...item, body: { ...item.body, happenedAt: at } } : item;
}

/**
 * Keeps events on this device first, with a durable commit, and sends them in their order: one at a time, each by its own
 * author, none before what was taken earlier. Knows no framework; who draws it subscribes.
 */
export class Outbox {
  readonly #world: OutboxWorld;
  #storage: OutboxStorage | null = null;
  #queue: Queue = EMPTY;
  #images: ReadonlyMap<string, PreparedImage> = new Map();
  #trouble: string | null = null;
  #sending = false;
  #callOff: () => void = () => undefined;
  #turning: Promise<void> | null = null;
  #whenSent: WhenSent = async () => () => undefined;
  readonly #listeners = new Set<() => void>();

  constructor(world: OutboxWorld) {
    this.#world = world;
    world.pages.hear((news) => void this.#hear(news));
  }

  get queue(): Queue {
    return this.#queue;
  }
  /** Images that the book does not have yet, by hash. */
  get images(): ReadonlyMap<string, PreparedImage> {
    return this.#images;
  }
  /** What keeps it from storing or sending, in a sentence; null where nothing does. */
  get trouble(): string | null {
    return this.#trouble;
  }
  subscribe(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }
  whenSent(f: WhenSent): void {
    this.#whenSent = f;
  }

  #tell(): void {
    for (const l of this.#listeners) l();
  }
  #advance(action: QueueAction): void {
    this.#queue = advance(this.#queue, action);
    this.#tell();
  }
  #say(trouble: string | null): void {
    if (this.#trouble === trouble) return;
    this.#trouble = trouble;
    this.#tell();
  }
  #holdImage(image: PreparedImage): void {
    this.#images = new Map([...this.#images, [image.hash, image]]);
    this.#tell();
  }

  /** Another page of this device stored, sent or dropped something. */
  async #hear(news: PageNews): Promise<void> {
    if (news.kind === 'sent') {
      const show = await this.#whenSent(news.item, news.record);
      show();
      this.#advance({ kind: 'left', id: news.item.body.id });
      return;
    }
    await this.#sync();
    void this.flush();
  }
  /** Ids on their way out of the storage: what is read there meanwhile does not bring them back. */
  readonly #leaving = new Set<string>();
  async #sync(): Promise<void> {
    try {
      const held = await this.#storage?.items();
      if (held) this.#advance({ kind: 'synced', items: held.filter((i) => !this.#leaving.has(i.body.id)) });
    } catch {
      // What this page knows of is sent all the same.
    }
  }
  /** Takes an event out of the queue, and out of the storage by what is given. */
  async #leave(id: string, out: () => Promise<void> | undefined): Promise<void> {
    this.#leaving.add(id);
    this.#advance({ kind: 'left', id });
    this.#world.ahead.drop(id);
    await out();
    this.#leaving.delete(id);
  }

  /** Opens this device's storage, and sends what it holds. A device that stores nothing goes on from the page alone. */
  async open(): Promise<void> {
    try {
      this.#storage = await this.#world.open(() => {
        this.#say(OLDER_PAGE);
      });
      const { items, images } = await this.#storage.found();
      for (const image of images) this.#holdImage(image);
      this.#found(items);
      await this.#storeAgain(new Set(this.#queue.items.map((i) => i.body.id)));
      await this.#dropOutlived(this.#storage);
    } catch {
      this.#storage = null;
      this.#found([]);
    }
    void this.flush();
  }
  /** What the storage held, and after it what was taken when the last page went away before it was stored. */
  #found(items: readonly PendingEvent[]): void {
    const held = new Set(items.map((i) => i.body.id));
    const ahead = this.#world.ahead.found();
    for (const { body } of ahead) if (held.has(body.id)) this.#world.ahead.drop(body.id);
    this.#advance({ kind: 'found', items: [...items, ...ahead.filter((i) => !held.has(i.body.id))] });
  }

  /** Stores what has no place yet: it was taken while the storage was being opened, or was refused. */
  async #storeAgain(these: ReadonlySet<string>): Promise<void> {
    const unplaced = this.#queue.items.filter(({ body: { id } }) => these.has(id) && !this.#queue.places.has(id));
    for (const item of unplaced) {
      const place = await this.#store(item);
      if (this.#queue.items.some((i) => i.body.id === item.body.id)) this.#advance({ kind: 'stored', id: item.body.id, place });
      // It was sent meanwhile.
      else if (place !== undefined) await this.#storage?.drop(place);
    }
  }

  /**
   * Takes an event. It is shown at once, and counts as kept only when it is safe on this device; it is sent after that, or at
   * once where the storage refuses it,
   * and never before one that was taken earlier.
   */
  async keep(item: PendingEvent): Promise<void> {
    const plain = { ...copyOf(item), turn: nextTurn(this.#queue) };
    this.#world.ahead.note(plain);
    const committed = this.#store(plain);
    this.#advance({ kind: 'taken', item: plain });
    const place = await committed;
    const others = this.#queue.loose.size > 0 && place !== undefined;
    this.#advance({ kind: 'stored', id: plain.body.id, place });
    this.#world.pages.tell({ kind: 'changed' });
    // It stores again: also what it refused before.
    if (others) await this.#storeAgain(this.#queue.loose);
    void this.flush();
  }
  async #store(plain: PendingEvent): Promise<number | undefined> {
    try {
      const place = await this.#storage?.add(plain);
      if (place !== undefined) this.#world.ahead.drop(plain.body.id);
      return place;
    } catch {
      return undefined;
    }
  }

  /** Keeps an image here until the book has it: it is sent before the event that shows it. */
  async keepImage(image: PreparedImage): Promise<void> {
    this.#holdImage(image);
    try {
      await this.#storage?.putImage(image);
    } catch {
      this.#say(PICTURE_NOT_STORED);
    }
  }
  async #sendImage(hash: string): Promise<void> {
    const image = this.#images.get(hash);
    if (!image) return;
    await this.#world.sendImage(image);
    this.#images = new Map([...this.#images].filter(([h]) => h !== hash));
    this.#tell();
    await this.#storage?.acknowledgeImage({ ...image, sentAt: this.#world.now() });
  }

  /** What was acknowledged long enough ago goes from this device. */
  async #dropOutlived(storage: OutboxStorage): Promise<void> {
    const now = this.#world.now();
    const pictures = (await storage.sentImages()).map((i) => ({ id: i.hash, sentAt: i.sentAt }));
    await storage.dropSent(outlivedSent(await storage.sent(), now), outlivedSent(pictures, now));
  }

  /** The book has it: it waits no more, and stays on this device for nine days, whatever happens to the book meanwhile. */
  async #acknowledge(item: PendingEvent, record: unknown): Promise<void> {
    const { id } = item.body;
    const place = this.#queue.places.get(id);
    // What asks for a password is an act of its moment: it is not done again by itself.
    const again = isQueued(item.family);
    const plain = asKept({ ...copyOf(item), ...(place === undefined ? {} : { seq: place }) }, record);
    await this.#leave(id, () => this.#storage?.acknowledge(place, again ? { id, sentAt: this.#world.now(), item: plain } : null));
    this.#world.pages.tell({ kind: 'sent', item: plain, record });
  }

  /** Told by which incarnation of the book an answer was given: a restored one is sent again all that is still kept here. */
  async heardOf(book: string | null): Promise<void> {
    const known = this.#world.book.known();
    if (book && known === null) this.#world.book.note(book);
    if (!this.#storage || !isAnotherBook(known, book) || this.#turning) return;
    this.#turning = this.#sendAgain(this.#storage, book ?? '').finally(() => (this.#turning = null));
    await this.#turning;
  }
  async #sendAgain(storage: OutboxStorage, book: string): Promise<void> {
    const { items, images } = await storage.requeue(againFrom(await storage.sent(), this.#queue.items));
    for (const image of images) this.#holdImage(image);
    // Only now: a page that goes away before does it again.
    this.#world.book.note(book);
    this.#advance({ kind: 'again', items });
    void this.flush();
  }

  /** Lets go of what was blacked out in the book: of texts and pictures that are still kept here to be sent again. */
  async blackOut(struck: readonly { readonly id: string; readonly field: string }[]): Promise<void> {
    if (!this.#storage) return;
    for (const { id, field } of struck) {
      const held = await this.#storage.sentOf(id);
      if (!held) continue;
      const { item, hash } = withoutStruck(held.item, field);
      await this.#storage.strike({ ...held, item }, hash);
      if (hash !== null) this.#world.forgetImage(hash);
    }
  }

  /** Drops an event that the server would not take. */
  async forget(item: PendingEvent): Promise<void> {
    const place = this.#queue.places.get(item.body.id);
    await this.#leave(item.body.id, () => (place === undefined ? undefined : this.#storage?.drop(place)));
    this.#world.pages.tell({ kind: 'changed' });
  }
  /** Sends again what the server would not take, in the order in which it was taken. */
  async retry(these: readonly PendingEvent[]): Promise<void> {
    for (const { body } of these) {
      this.#advance({ kind: 'retried', id: body.id });
      await this.#keepAsItIs(body.id);
    }
    this.#world.pages.tell({ kind: 'changed' });
    await this.flush();
  }
  /** Sends what somebody else left here, in the order in which it was taken: under their name, as handed in by a lead. */
  async handIn(these: readonly { readonly item: PendingEvent; readonly by: HandedIn }[]): Promise<void> {
    for (const { item, by } of these) {
      this.#advance({ kind: 'handed_in', id: item.body.id, by });
      await this.#keepAsItIs(item.body.id);
    }
    this.#world.pages.tell({ kind: 'changed' });
    await this.flush();
  }
  async #keepAsItIs(id: string): Promise<void> {
    const found = this.#queue.items.find((i) => i.body.id === id);
    const place = this.#queue.places.get(id);
    if (found && place !== undefined) await this.#storage?.put({ ...copyOf(found), seq: place });
  }

  /** Sends what is due, one after the other, until nothing is or the server does not answer. */
  async flush(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    this.#callOff();
    const due = nextToSend(this.#queue, this.#world.personId());
    if (due) {
      await this.#world.alone(async () => {
        // What another page has sent meanwhile is not sent again.
        await this.#sync();
        await this.#drain();
      });
    }
    this.#sending = false;
    // What was taken while the turn was another page's, or after this one found nothing left.
    if (due && !this.#waits && nextToSend(this.#queue, this.#world.personId())) void this.flush();
  }
  /** Whether it waits for a server that did not answer. */
  #waits = false;
  async #drain(): Promise<void> {
    this.#waits = false;
    const due = (): PendingEvent | undefined => nextToSend(this.#queue, this.#world.personId());
    for (let next = due(); next; next = due()) {
      try {
        if (next.family === 'pictures') await this.#sendImage((next.body as Sent<'pictures'>).hash);
        const record = await this.#world.send(next);
        // What it became and that it waits no more are shown as one change.
        const show = await this.#whenSent(next, record);
        show();
        await this.#acknowledge(next, record);
        this.#say(null);
      } catch (error) {
        const reason = this.#world.refusal(error);
        if (reason === null) {
          this.#say(this.#world.sentenceOf(error));
          this.#waits = true;
          this.#callOff = this.#world.later(() => void this.flush(), PAUSE_MS);
          break;
        }
        this.#advance({ kind: 'refused', id: next.body.id, reason });
        await this.#keepAsItIs(next.body.id);
        this.#world.pages.tell({ kind: 'changed' });
      }
    }
  }

  /** Whether everything that was taken is in the book, after waiting for what is on its way, ms at most. */
  async settled(atMost: number): Promise<boolean> {
    const until = this.#world.now() + atMost;
    const left = (): number => this.#queue.storing.size + unsent(this.#queue);
    while (left() > 0 && this.#world.now() < until) await new Promise<void>((resolve) => void this.#world.later(resolve, 50));
    return left() === 0;
  }
}
