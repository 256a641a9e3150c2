import { expect } from 'chai';
import fc from 'fast-check';
import { Outbox, type OutboxWorld, type PageNews } from '../src/job/outbox/outbox.ts';
import {
  advance,
  EMPTY,
  type HandedIn,
  nextToSend,
  ofOthers,
  type PendingEvent,
  waitingFor,
  persisted,
  type Queue,
  type QueueAction,
  unsent,
} from '../src/job/outbox/queue.ts';
import type { SentEvent } from '../src/job/outbox/sentJournal.ts';
import type { OutboxStorage, SentImage } from '../src/job/outbox/storage.ts';
import { writeAhead } from '../src/job/outbox/writeAhead.ts';
import type { PreparedImage } from '../src/job/pictures.ts';

const event = (id: string, authorId = 'ann', body: object = {}): PendingEvent =>
  ({ jobId: 'j', authorId, authorName: authorId, family: 'findings', body: { id, words: 'worn', ...body }, aside: null }) as PendingEvent;
/** A lead who hands in what others took. */
const LEA: HandedIn = { id: 'h', leadId: 'lea', leadName: 'Lea', at: '2026-01-01T00:00:00.000Z' };
const ids = (list: readonly PendingEvent[]): string[] => list.map((i) => i.body.id);
const settle = async (): Promise<void> => {
  for (let i = 0; i < 200; i += 1) await Promise.resolve();
};

/** A device whose storage, server and clock are in the hand of the test. */
class Device implements OutboxWorld {
  /** What survives when the page goes. */
  readonly disk = new Map<number, PendingEvent>();
  /** What is written down at once. */
  readonly notes = new Map<string, PendingEvent>();
  readonly sentDisk = new Map<string, SentEvent>();
  readonly images = new Map<string, PreparedImage>();
  readonly sentImagesDisk = new Map<string, SentImage>();
  readonly struck: string[] = [];
  /** Ids in the order in which the server took them. */
  readonly taken: string[] = [];
  /** What the server says to an id: a refusal, or that it is away. */
  says: (id: string) => 'takes' | 'refuses' | 'away' = () => 'takes';
  person: string | null = 'ann';
  clock = 1000;
  incarnation: string | null = null;
  storesNothing = false;
  refusesToStore = false;
  /** Commits wait until they are let go. */
  holdsCommits = false;
  #commits: (() => void)[] = [];
  #timers: { run: () => void }[] = [];
  #next = 1;
  /** Pages of this device hear each other, and send one after the other. */
  readonly #heard: ((news: PageNews) => void)[] = [];
  #turn: Promise<void> = Promise.resolve();
  readonly alone = (run: () => Promise<void>): Promise<void> => {
    this.#turn = this.#turn.then(run);
    return this.#turn;
  };
  get pages(): OutboxWorld['pages'] {
    let own: ((news: PageNews) => void) | null = null;
    return {
      tell: (news) => {
        for (const h of this.#heard) if (h !== own) h(news);
      },
      hear: (heard) => {
        own = heard;
        this.#heard.push(heard);
      },
    };
  }
  /** A page goes away without a word. */
  closeFirst(): void {
    this.#heard.shift();
  }
  readonly ahead = {
    note: (item: PendingEvent) => void this.notes.set(item.body.id, item),
    found: () => [...this.notes.values()],
    drop: (id: string) => void this.notes.delete(id),
  };
  readonly book = { known: () => this.incarnation, note: (i: string) => void (this.incarnation = i) };
  readonly personId = () => this.person;
  readonly now = () => this.clock;
  readonly refusal = (error: unknown) => (error instanceof Error && error.message.startsWith('no: ') ? error.message : null);
  readonly sentenceOf = () => 'The server is away.';
  readonly forgetImage = (hash: string) => void this.struck.push(hash);
  readonly later = (run: () => void) => {
    const timer = { run };
    this.#timers.push(timer);
    return () => void (this.#timers = this.#timers.filter((t) => t !== timer));
  };
  readonly sendImage = async (image: PreparedImage) => void this.taken.push(`image ${image.hash}`);
  readonly send = async (item: PendingEvent) => {
    const answer = this.says(item.body.id);
    if (answer === 'away') throw new Error('away');
    if (answer === 'refuses') throw new Error(`no: ${item.body.id}`);
    this.taken.push(item.body.id);
    return { id: item.body.id };
  };
  /** Everything that was waiting for a pause to pass. */
  pass(): void {
    const due = this.#timers;
    this.#timers = [];
    for (const t of due) t.run();
  }
  letCommit(): void {
    this.holdsCommits = false;
    for (const go of this.#commits.splice(0)) go();
  }
  /** The page went away with them. */
  dropCommits(): void {
    this.holdsCommits = false;
    this.#commits = [];
  }
  readonly open = async (): Promise<OutboxStorage> => {
    if (this.storesNothing) throw new Error('no storage here');
    return {
      found: async () => ({ items: [...this.disk].map(([seq, i]) => ({ ...i, seq })), images: [...this.images.values()] }),
      items: async () => [...this.disk].map(([seq, i]) => ({ ...i, seq })),
      add: async (item) => {
        const place = this.#next;
        this.#next += 1;
        if (this.refusesToStore) throw new Error('no room');
        if (this.holdsCommits) await new Promise<void>((resolve) => void this.#commits.push(resolve));
        this.disk.set(place, item);
        return place;
      },
      put: async (item) => void this.disk.set(item.seq ?? -1, item),
      drop: async (place) => void this.disk.delete(place),
      putImage: async (image) => void this.images.set(image.hash, image),
      acknowledge: async (place, sent) => {
        if (place !== undefined) this.disk.delete(place);
        if (sent) this.sentDisk.set(sent.id, sent);
      },
      acknowledgeImage: async (image) => {
        this.images.delete(image.hash);
        this.sentImagesDisk.set(image.hash, image);
      },
      sent: async () => [...this.sentDisk.values()],
      sentImages: async () => [...this.sentImagesDisk.values()],
      dropSent: async (gone, hashes) => {
        for (const id of gone) this.sentDisk.delete(id);
        for (const h of hashes) this.sentImagesDisk.delete(h);
      },
      requeue: async (items) => {
        const images = [...this.sentImagesDisk.values()].map(({ hash, bytes }) => ({ hash, bytes }));
        for (const i of images) this.images.set(i.hash, i);
        const added = items.map((item) => {
          const seq = this.#next;
          this.#next += 1;
          this.disk.set(seq, item);
          return { ...item, seq };
        });
        this.sentDisk.clear();
        this.sentImagesDisk.clear();
        return { items: added, images };
      },
      strike: async (sent, hash) => {
        this.sentDisk.set(sent.id, sent);
        if (hash !== null) this.sentImagesDisk.delete(hash);
      },
      sentOf: async (id) => this.sentDisk.get(id),
    };
  };
  /** What the world of a page is: this device, as it is whenever it is asked. */
  #asSeen(): Omit<OutboxWorld, 'pages'> {
    const { open, send, sendImage, refusal, sentenceOf, personId, now, later, book, forgetImage, ahead, alone } = this;
    return { open, send, sendImage, refusal, sentenceOf, personId, now, later, book, forgetImage, ahead, alone };
  }
  /** A page of this device, as after every start. */
  async page(): Promise<Outbox> {
    const outbox = new Outbox({ ...this.#asSeen(), pages: this.pages });
    await outbox.open();
    await settle();
    return outbox;
  }
}

describe('the queue of an outbox', () => {
  const after = (...actions: QueueAction[]): Queue => actions.reduce(advance, EMPTY);
  const taken = (item: PendingEvent): QueueAction => ({ kind: 'taken', item });
  const stored = (id: string, place: number | undefined = 1): QueueAction => ({ kind: 'stored', id, place });

  it('holds back what is not stored yet, and everything that was taken after it', () => {
    const q = after(taken(event('a')), taken(event('b')), stored('b'));
    expect(persisted(q)).to.deep.equal([]);
    expect(nextToSend(q, 'ann')).to.equal(undefined);
    expect(nextToSend(advance(q, stored('a')), 'ann')?.body.id).to.equal('a');
  });
  it('counts what is stored and not sent, without what was refused', () => {
    const q = after(taken(event('a')), taken(event('b')), stored('a'), stored('b'), { kind: 'refused', id: 'a', reason: 'no' });
    expect(unsent(q)).to.equal(1);
    expect(unsent(advance(q, { kind: 'retried', id: 'a' }))).to.equal(2);
  });
  it('puts what was on the device before what was taken while it was opened, and nothing in twice', () => {
    const q = after(taken(event('new')), {
      kind: 'found',
      items: [
        { ...event('old'), seq: 4 },
        { ...event('new'), seq: 5 },
      ],
    });
    expect(ids(q.items)).to.deep.equal(['old', 'new']);
    expect(q.places.get('old')).to.equal(4);
  });
  it('leaves its list as it is where an event was only stored, so that nothing is derived anew', () => {
    const q = after(taken(event('a')));
    expect(advance(q, stored('a')).items).to.equal(q.items);
  });
  it('loses and doubles nothing, whatever happens in whatever order', () => {
    const ID = fc.constantFrom('a', 'b', 'c', 'd');
    const action = fc.oneof(
      ID.map((id): QueueAction => ({ kind: 'taken', item: event(id) })),
      fc.tuple(ID, fc.option(fc.nat(9), { nil: undefined })).map(([id, place]): QueueAction => ({ kind: 'stored', id, place })),
      ID.map((id): QueueAction => ({ kind: 'left', id })),
      ID.map((id): QueueAction => ({ kind: 'refused', id, reason: 'no' })),
      ID.map((id): QueueAction => ({ kind: 'retried', id })),
      ID.map((id): QueueAction => ({ kind: 'handed_in', id, by: LEA })),
      fc.uniqueArray(ID, { maxLength: 3 }).map((list): QueueAction => ({ kind: 'again', items: list.map((i) => event(i)) })),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 30 }), (actions) => {
        let queue = EMPTY;
        const there = new Set<string>();
        for (const a of actions) {
          // An id is taken once; a page makes a new one each time.
          if (a.kind === 'taken' && there.has(a.item.body.id)) continue;
          queue = advance(queue, a);
          if (a.kind === 'taken') there.add(a.item.body.id);
          if (a.kind === 'again') for (const i of a.items) there.add(i.body.id);
          if (a.kind === 'left') there.delete(a.id);
          expect(ids(queue.items).sort()).to.deep.equal([...there].sort());
          for (const id of [...queue.storing, ...queue.loose, ...queue.places.keys()]) expect(there.has(id), id).to.equal(true);
        }
      }),
    );
  });
});

describe('an outbox', () => {
  it('sends what is taken in its order, and keeps it for a book that is restored', async () => {
    const device = new Device();
    const page = await device.page();
    for (const id of ['a', 'b', 'c']) void page.keep(event(id));
    await settle();
    expect(device.taken).to.deep.equal(['a', 'b', 'c']);
    expect([device.disk.size, page.queue.items.length, device.sentDisk.size]).to.deep.equal([0, 0, 3]);
  });
  it('sends nothing before it is safe here, nor what was taken after it', async () => {
    const device = new Device();
    const page = await device.page();
    device.holdsCommits = true;
    void page.keep(event('a'));
    void page.keep(event('b'));
    await settle();
    expect([device.taken, [...page.queue.storing]]).to.deep.equal([[], ['a', 'b']]);
    device.letCommit();
    await settle();
    expect(device.taken).to.deep.equal(['a', 'b']);
  });
  it('a page that is killed loses nothing of what was safe, and sends it when it is opened again', async () => {
    const device = new Device();
    device.says = () => 'away';
    const first = await device.page();
    await first.keep(event('a'));
    await first.keep(event('b'));
    expect(device.disk.size).to.equal(2);
    device.says = () => 'takes';
    const second = await device.page();
    expect(device.taken).to.deep.equal(['a', 'b']);
    expect(second.queue.items).to.deep.equal([]);
  });
  it('a page that goes away before a commit is through loses nothing either, and doubles nothing', async () => {
    const device = new Device();
    const first = await device.page();
    device.holdsCommits = true;
    void first.keep(event('a'));
    void first.keep(event('b'));
    await settle();
    expect([device.disk.size, [...device.notes.keys()]]).to.deep.equal([0, ['a', 'b']]);
    // Its transactions are given up with it; the next page stores what it wrote down.
    device.dropCommits();
    device.says = () => 'away';
    const second = await device.page();
    expect([ids([...device.disk.values()]), [...device.notes.keys()]]).to.deep.equal([['a', 'b'], []]);
    expect(second.queue.storing.size).to.equal(0);
    device.says = () => 'takes';
    device.pass();
    await settle();
    expect([device.taken, device.disk.size, second.queue.items]).to.deep.equal([['a', 'b'], 0, []]);
  });
  it('an event that two pages stored is taken over once, and what was written down and is stored is written down no more', async () => {
    const device = new Device();
    device.says = () => 'away';
    device.disk.set(1, event('a'));
    device.disk.set(2, event('a'));
    device.notes.set('a', event('a'));
    const page = await device.page();
    expect([ids(page.queue.items), device.notes.size]).to.deep.equal([['a'], 0]);
  });
  it('a device whose storage cannot be opened keeps what it wrote down until it is sent', async () => {
    const device = new Device();
    device.storesNothing = true;
    device.says = () => 'away';
    await (await device.page()).keep(event('a'));
    device.says = () => 'takes';
    const next = await device.page();
    expect([device.taken, device.notes.size, next.queue.items]).to.deep.equal([['a'], 0, []]);
  });
  it('what is taken while the storage is being opened is stored as well', async () => {
    const device = new Device();
    device.says = () => 'away';
    const outbox = new Outbox(device);
    const opened = outbox.open();
    void outbox.keep(event('early'));
    await opened;
    await settle();
    expect([...device.disk.values()].map((i) => i.body.id)).to.deep.equal(['early']);
    expect(ids(outbox.queue.items)).to.deep.equal(['early']);
  });
  it('waits for a server that is away and goes on by itself; what it says meanwhile is taken back', async () => {
    const device = new Device();
    const page = await device.page();
    device.says = () => 'away';
    await page.keep(event('a'));
    await settle();
    expect([device.taken, page.trouble]).to.deep.equal([[], 'The server is away.']);
    device.says = () => 'takes';
    device.pass();
    await settle();
    expect([device.taken, page.trouble]).to.deep.equal([['a'], null]);
  });
  it('sets aside what is refused, sends the others, and remembers it; once more, or dropped, by hand', async () => {
    const device = new Device();
    const page = await device.page();
    device.says = (id) => (id === 'bad' ? 'refuses' : 'takes');
    for (const id of ['a', 'bad', 'b']) await page.keep(event(id));
    await settle();
    expect(device.taken).to.deep.equal(['a', 'b']);
    const again = await device.page();
    expect(again.queue.items.map((i) => [i.body.id, i.aside])).to.deep.equal([['bad', 'no: bad']]);
    device.says = () => 'takes';
    await again.retry(again.queue.items);
    expect([device.taken, device.disk.size]).to.deep.equal([['a', 'b', 'bad'], 0]);
    device.says = () => 'refuses';
    await again.keep(event('worse'));
    await settle();
    await again.forget(again.queue.items[0]!);
    expect([device.disk.size, again.queue.items.length]).to.deep.equal([0, 0]);
  });
  it('sends for whoever is signed in alone; what leans on somebody else’s waits', async () => {
    const device = new Device();
    device.person = null;
    const page = await device.page();
    await page.keep(event('a', 'ann'));
    await page.keep(event('leans', 'ben', { settles: 'a' }));
    await page.keep(event('b', 'ben'));
    device.person = 'ben';
    await page.flush();
    expect(device.taken).to.deep.equal(['b']);
    device.person = 'ann';
    await page.flush();
    device.person = 'ben';
    await page.flush();
    expect(device.taken).to.deep.equal(['b', 'a', 'leans']);
  });
  it('a lead hands in what somebody else left, also what was refused: in its order, and by whoever of the leads said so', async () => {
    const device = new Device();
    device.says = (id) => (id === 'refused' ? 'refuses' : 'away');
    const page = await device.page();
    await page.keep(event('refused', 'ann'));
    await page.keep(event('a', 'ann'));
    await page.keep(event('leans', 'ann', { settles: 'a' }));
    await device.pass();
    device.says = () => 'takes';
    // Another lead than who said it sends nothing of it, nor does who took it: one of them does, or it stands twice.
    device.person = 'max';
    await page.handIn(page.queue.items.map((item) => ({ item, by: LEA })));
    for (const who of ['max', 'ann']) {
      device.person = who;
      await page.flush();
    }
    expect(device.taken).to.deep.equal([]);
    expect([ids(ofOthers(page.queue, 'max')), waitingFor(ofOthers(page.queue, 'max'))]).to.deep.equal([['refused', 'a', 'leans'], ['Lea']]);
    // It is so after the page was closed as well.
    const again = await device.page();
    device.person = 'lea';
    await again.flush();
    expect(device.taken).to.deep.equal(['refused', 'a', 'leans']);
    expect(device.sentDisk.get('a')?.item).to.deep.include({ authorId: 'ann', handIn: LEA });
  });
  it('sends a picture before the event that shows it', async () => {
    const device = new Device();
    const page = await device.page();
    await page.keepImage({ hash: 'h', bytes: new Uint8Array([1]) } as PreparedImage);
    await page.keep({ ...event('p'), family: 'pictures', body: { id: 'p', hash: 'h' } } as PendingEvent);
    await settle();
    expect(device.taken).to.deep.equal(['image h', 'p']);
    expect([device.images.size, [...device.sentImagesDisk.keys()]]).to.deep.equal([0, ['h']]);
  });
  it('sends everything of nine days again to a book that was restored, once, and in its order', async () => {
    const device = new Device();
    const page = await device.page();
    await page.heardOf('one');
    for (const id of ['a', 'b']) await page.keep(event(id));
    await settle();
    await page.heardOf('one');
    await settle();
    expect(device.taken).to.deep.equal(['a', 'b']);
    await Promise.all([page.heardOf('two'), page.heardOf('two')]);
    await settle();
    expect([device.taken, device.incarnation]).to.deep.equal([['a', 'b', 'a', 'b'], 'two']);
  });
  it('what one page took another shows, sends when the first is gone, and both let go of once', async () => {
    const device = new Device();
    device.says = () => 'away';
    const first = await device.page();
    const second = await device.page();
    await first.keep(event('a'));
    await settle();
    expect(ids(second.queue.items)).to.deep.equal(['a']);
    await second.keep(event('b'));
    await settle();
    expect(ids(first.queue.items)).to.deep.equal(['a', 'b']);
    const shown: string[] = [];
    first.whenSent(async (item) => () => void shown.push(item.body.id));
    device.says = () => 'takes';
    device.pass();
    await settle();
    expect([device.taken, device.disk.size, first.queue.items, second.queue.items]).to.deep.equal([['a', 'b'], 0, [], []]);
    expect(shown, 'each page shows what it became').to.deep.equal(['a', 'b']);
    // The first one dies with something unsent: the second takes it up.
    device.says = () => 'away';
    await first.keep(event('c'));
    await settle();
    device.closeFirst();
    device.says = () => 'takes';
    await second.flush();
    await settle();
    expect([device.taken, second.queue.items]).to.deep.equal([['a', 'b', 'c'], []]);
  });
  it('what is set aside, sent again or dropped on one page is so on the other', async () => {
    const device = new Device();
    const first = await device.page();
    const second = await device.page();
    device.says = (id) => (id.startsWith('bad') ? 'refuses' : 'takes');
    for (const id of ['bad 1', 'a', 'bad 2']) await first.keep(event(id));
    await settle();
    expect(second.queue.items.map((i) => [i.body.id, i.aside])).to.deep.equal([
      ['bad 1', 'no: bad 1'],
      ['bad 2', 'no: bad 2'],
    ]);
    await second.forget(second.queue.items[0]!);
    await settle();
    expect(ids(first.queue.items)).to.deep.equal(['bad 2']);
    device.says = () => 'takes';
    await second.retry(second.queue.items);
    await settle();
    expect([device.taken, first.queue.items, device.disk.size]).to.deep.equal([['a', 'bad 2'], [], 0]);
  });
  it('lets go of what was acknowledged long ago, and of what was blacked out', async () => {
    const device = new Device();
    const first = await device.page();
    await first.keep(event('old'));
    await settle();
    device.clock += 10 * 86400000;
    const page = await device.page();
    expect(device.sentDisk.size).to.equal(0);
    await page.keep(event('named'));
    await settle();
    await page.blackOut([
      { id: 'named', field: 'words' },
      { id: 'nobody', field: 'words' },
    ]);
    expect(JSON.stringify([...device.sentDisk.values()])).to.not.contain('worn');
  });
  it('what the storage refuses is never taken for kept, is sent all the same, and stored as soon as it stores again', async () => {
    const device = new Device();
    const page = await device.page();
    device.says = () => 'away';
    device.refusesToStore = true;
    await page.keep(event('a'));
    await page.keep(event('b'));
    expect([[...page.queue.loose], page.queue.storing.size, unsent(page.queue), device.disk.size]).to.deep.equal([['a', 'b'], 0, 2, 0]);
    device.refusesToStore = false;
    await page.keep(event('c'));
    expect([page.queue.loose.size, ids([...device.disk.values()]).sort()]).to.deep.equal([0, ['a', 'b', 'c']]);
    device.refusesToStore = true;
    await page.keep(event('d'));
    await settle();
    device.says = () => 'takes';
    device.pass();
    await settle();
    expect([device.taken, page.queue.loose.size, page.queue.items]).to.deep.equal([['a', 'b', 'c', 'd'], 0, []]);
  });
  it('a device that stores nothing still sends from the page', async () => {
    const device = new Device();
    device.storesNothing = true;
    const page = await device.page();
    await page.keep(event('a'));
    await settle();
    expect([device.taken, page.queue.items]).to.deep.equal([['a'], []]);
  });
  it('shows what an event became and that it left as one change', async () => {
    const device = new Device();
    const page = await device.page();
    const seen: string[] = [];
    page.whenSent(async (item) => () => void seen.push(`shown ${item.body.id}, ${page.queue.items.length} left`));
    page.subscribe(() => void seen.push(`${page.queue.items.length} left`));
    await page.keep(event('a'));
    await settle();
    expect(seen.slice(-2)).to.deep.equal(['shown a, 1 left', '0 left']);
  });
  it('says whether all is in the book, and waits no longer than it is told', async () => {
    const device = new Device();
    const page = await device.page();
    expect(await page.settled(100)).to.equal(true);
    device.says = () => 'away';
    await page.keep(event('a'));
    await settle();
    const asking = page.settled(100);
    device.clock += 200;
    device.pass();
    await settle();
    device.pass();
    expect(await asking).to.equal(false);
  });
});

describe('what is written down at once', () => {
  /** As browsers have it. */
  const storage = (full = false): Storage => {
    const held = new Map<string, string>();
    return {
      get length() {
        return held.size;
      },
      key: (i: number) => [...held.keys()][i] ?? null,
      getItem: (k: string) => held.get(k) ?? null,
      setItem: (k: string, v: string) => {
        if (full) throw new Error('full');
        held.set(k, v);
      },
      removeItem: (k: string) => void held.delete(k),
      clear: () => {
        held.clear();
      },
    };
  };
  it('is found in the order in which it was taken, without what is not an event, and goes when it is dropped', () => {
    const device = storage();
    const ahead = writeAhead(device);
    device.setItem('dauer.units', '{}');
    device.setItem('dauer.taken.0', 'cut o');
    for (const id of ['2', '1', '3']) ahead.note(event(id));
    expect(ahead.found()).to.deep.equal([event('1'), event('2'), event('3')]);
    ahead.drop('2');
    expect(ids(ahead.found())).to.deep.equal(['1', '3']);
  });
  it('a storage that is full loses no page', () => {
    const ahead = writeAhead(storage(true));
    ahead.note(event('1'));
    expect(ahead.found()).to.deep.equal([]);
  });
});
