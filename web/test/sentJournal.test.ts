import { BLACKED } from '@dauer/core/ledger';
import { expect } from 'chai';
import fc from 'fast-check';
import type { PendingEvent } from '../src/job/outbox/queue.ts';
import {
  againFrom,
  isAnotherBook,
  KEPT_AFTER_SENT_MS,
  outlivedSent,
  withoutStruck,
  type SentEvent,
} from '../src/job/outbox/sentJournal.ts';
import { ageWords, sizeWords } from '../src/features/shop/backupWords.ts';

const DAY = 86400000;
const item = (id: string, seq?: number): PendingEvent => ({
  ...{ jobId: 'j', authorId: 'a', authorName: 'Ann', family: 'putIns', aside: null, ...(seq === undefined ? {} : { seq }) },
  body: { id, happenedAt: '2026-01-01T00:00:00Z', device: 'd', slotId: 's', what: 'plug', note: '' },
});
const sent = (id: string, seq: number, sentAt = 0): SentEvent => ({ id, sentAt, item: item(id, seq) });

describe('what the book has acknowledged', () => {
  it('stays on the device for nine days, and longer where its clock was set back', () => {
    expect(KEPT_AFTER_SENT_MS).to.equal(9 * DAY);
    const list = [sent('old', 1, 0), sent('new', 2, DAY)];
    expect(outlivedSent(list, 9 * DAY)).to.deep.equal([]);
    expect(outlivedSent(list, 9 * DAY + 1)).to.deep.equal(['old']);
    expect(outlivedSent(list, -DAY)).to.deep.equal([]);
  });

  it('is sent again to another incarnation of the book, and to no other answer', () => {
    expect(isAnotherBook('a', 'b')).to.equal(true);
    for (const [known, said] of [
      ['a', 'a'],
      ['a', null],
      ['a', ''],
      [null, 'a'],
      [null, null],
    ] as const)
      expect(isAnotherBook(known, said)).to.equal(false);
  });

  it('in the order in which it was taken, each once, without what waits already or what it was refused for', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(50), { minLength: 1, maxLength: 20 }), fc.nat(5), (seqs, many) => {
        const all = seqs.map((s) => ({ ...sent(`e${s}`, s, s), item: { ...item(`e${s}`, s), aside: 'refused once' } }));
        const waiting = seqs.slice(0, many).map((s) => item(`e${s}`));
        const again = againFrom(all, waiting);
        const expected = [...seqs]
          .slice(many)
          .sort((a, b) => a - b)
          .map((s) => `e${s}`);
        expect(again.map((a) => a.body.id)).to.deep.equal(expected);
        expect(again.every((a) => a.aside === null && a.seq === undefined)).to.equal(true);
      }),
    );
  });
});

describe('what is said of backups', () => {
  it('ages and sizes are in words that are read at a glance', () => {
    const now = Date.parse('2026-06-10T12:00:00Z');
    const ago = (ms: number): string => ageWords(new Date(now - ms).toISOString(), now);
    expect([ago(0), ago(-5000), ago(3600000), ago(5 * 3600000), ago(DAY), ago(9 * DAY)]).to.deep.equal([
      'within the hour',
      'within the hour',
      'an hour ago',
      '5 hours ago',
      'a day ago',
      '9 days ago',
    ]);
    expect([sizeWords(10), sizeWords(4_962_301), sizeWords(2.34e9)]).to.deep.equal(['1 kB', '5.0 MB', '2.3 GB']);
  });
});

describe('what was blacked out in the book', () => {
  const item = { seq: 3, jobId: 'j', authorId: 'a', authorName: 'A', family: 'findings', aside: null } as const;
  const body = {
    id: 'f',
    happenedAt: '2026-01-01T00:00:00.000Z',
    device: 'd',
    slotId: 's',
    partId: null,
    words: 'Call 555 0100.',
  } as const;
  const rest = { severity: 'note', cleaning: 'after', rulesOut: [], settles: null } as const;
  it('is taken out of what this device still keeps of it, and nothing else is', () => {
    const waiting: PendingEvent = { ...item, body: { ...body, ...rest, rulesOut: [] } };
    const struck = withoutStruck(waiting, 'words');
    expect(struck.hash).to.equal(null);
    expect(struck.item.body).to.deep.equal({ ...waiting.body, words: BLACKED });
    expect(withoutStruck(waiting, 'nothing').item).to.deep.equal(waiting);
  });
  it('names the picture that goes with it', () => {
    const picture: PendingEvent = {
      ...item,
      family: 'pictures',
      body: {
        id: 'p',
        happenedAt: body.happenedAt,
        device: 'd',
        hash: 'a'.repeat(64),
        of: 'place',
        slotId: 's',
        findingId: null,
        note: 'x',
      },
    };
    expect(withoutStruck(picture, 'image')).to.deep.equal({ item: picture, hash: 'a'.repeat(64) });
  });
});
