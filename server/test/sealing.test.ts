import { randomBytes } from 'node:crypto';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { expect } from 'chai';
import fc from 'fast-check';
import { momentOf, NoMoment } from '../src/keeping/moment.ts';
import { firstNeeded, isDue, KEPT, KEPT_BESIDE, outlived, trialIsDue } from '../src/keeping/retain.ts';
import { checkOf, fits, keyOf, NotSealed, Open, Seal } from '../src/keeping/seal.ts';

const DAY = 86400000;
const NOW = Date.parse('2026-06-15T12:00:00.000Z');
const iso = (ms: number): string => new Date(ms).toISOString();

async function through(bytes: Buffer, way: NodeJS.ReadWriteStream, piece: number): Promise<Buffer> {
  const pieces = Array.from({ length: Math.ceil(bytes.length / piece) }, (_, i) => bytes.subarray(i * piece, (i + 1) * piece));
  const out: Buffer[] = [];
  await pipeline(Readable.from(pieces), way, async (from: AsyncIterable<string | Buffer>) => {
    for await (const chunk of from) out.push(Buffer.from(chunk));
  });
  return Buffer.concat(out);
}
const opened = (bytes: Buffer, key: Buffer, piece = 5000): Promise<Buffer | 'refused'> =>
  through(bytes, new Open(key), piece).catch((error: unknown) => {
    expect(error).to.be.instanceOf(NotSealed);
    return 'refused' as const;
  });

describe('sealing', function () {
  this.timeout(60000);
  const key = randomBytes(32);

  it('gives back what went in, whatever its length and however it comes in pieces', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(0, 1, 15, 16, 65535, 65536, 65537, 131072, 200001),
        fc.integer({ min: 1000, max: 90000 }),
        async (length, piece) => {
          const plain = randomBytes(length);
          const sealed = await through(plain, new Seal(key), piece);
          expect(sealed.includes(plain.subarray(0, 64)) && length >= 64).to.equal(false);
          expect(await opened(sealed, key, piece)).to.deep.equal(plain);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('refuses what was changed anywhere, cut off anywhere, moved about, or sealed with another key', async () => {
    const plain = randomBytes(200000);
    const sealed = await through(plain, new Seal(key), 65536);
    for (const at of [0, 12, 30, 100, 65600, 131100, sealed.length - 1]) {
      const changed = Buffer.from(sealed);
      changed[at] = (changed[at] ?? 0) ^ 1;
      expect(await opened(changed, key), `byte ${at}`).to.equal('refused');
    }
    const [head, frame] = [11 + 16, 65536 + 16];
    for (const length of [0, 10, head, head + 5, head + frame, head + 2 * frame, sealed.length - 1])
      expect(await opened(sealed.subarray(0, length), key), `cut at ${length}`).to.equal('refused');
    const [a, b] = [sealed.subarray(head, head + frame), sealed.subarray(head + frame, head + 2 * frame)];
    const swapped = Buffer.concat([sealed.subarray(0, head), b, a, sealed.subarray(head + 2 * frame)]);
    expect(await opened(swapped, key)).to.equal('refused');
    expect(await opened(sealed, randomBytes(32))).to.equal('refused');
    expect(await opened(Buffer.concat([sealed, sealed]), key)).to.equal('refused');
  });

  it('the same twice is not the same, and a passphrase gives one key', async () => {
    const plain = Buffer.from('the same');
    expect(await through(plain, new Seal(key), 100)).to.not.deep.equal(await through(plain, new Seal(key), 100));
    const salt = randomBytes(16);
    const own = keyOf('four plain words here', salt);
    expect(fits(keyOf('four plain words here', salt), checkOf(own))).to.equal(true);
    expect(fits(keyOf('four plain words her', salt), checkOf(own))).to.equal(false);
    expect(keyOf('four plain words here', randomBytes(16))).to.not.deep.equal(own);
  });
});

describe('how long copies are kept', () => {
  const nightly = (days: number) =>
    Array.from({ length: days }, (_, i) => ({
      name: `c${i}`,
      endedAt: iso(NOW - (days - 1 - i) * DAY),
      fromSegment: String(i).padStart(24, '0'),
    }));
  const left = (days: number, kept = KEPT as Parameters<typeof outlived>[2]): string[] => {
    const copies = nightly(days);
    const gone = outlived(copies, NOW, kept);
    return copies.filter((c) => !gone.has(c.name)).map((c) => c.endedAt);
  };
  it('every one for days, then one a week, then one a month, and the newest always', () => {
    const after = left(400);
    const age = (at: string): number => (NOW - Date.parse(at)) / DAY;
    expect(after.filter((at) => age(at) <= 8)).to.have.length(9);
    const weeks = after.filter((at) => age(at) > 8 && age(at) <= 42);
    expect(weeks.length).to.be.within(4, 6);
    const months = after.filter((at) => age(at) > 42);
    expect(new Set(months.map((at) => at.slice(0, 7))).size).to.equal(months.length);
    expect(months.length).to.be.within(10, 12);
    expect(left(3)).to.have.length(3);
    expect(outlived([{ name: 'only', endedAt: iso(NOW - 900 * DAY) }], NOW, KEPT).size).to.equal(0);
    expect(left(400, KEPT_BESIDE)).to.have.length(4);
  });
  it('kept night by night, the same stay as if all were looked at once', () => {
    let copies = nightly(1).slice(0, 0);
    for (let i = 0; i < 120; i += 1) {
      const now = NOW + i * DAY;
      copies = [...copies, { name: `n${i}`, endedAt: iso(now), fromSegment: '' }];
      const gone = outlived(copies, now, KEPT);
      copies = copies.filter((c) => !gone.has(c.name));
    }
    expect(copies.length).to.be.within(15, 20);
    expect(copies.at(-1)?.name).to.equal('n119');
  });
  it('the log is kept from the oldest copy of the days, so that any moment of them can be restored', () => {
    const copies = nightly(30);
    expect(firstNeeded(copies, NOW, KEPT)).to.equal(copies.find((c) => NOW - Date.parse(c.endedAt) <= 8 * DAY)?.fromSegment);
    expect(firstNeeded(copies.slice(0, 2), NOW, KEPT)).to.equal(copies[1]?.fromSegment);
    expect(firstNeeded([], NOW, KEPT)).to.equal(null);
  });
  it('a copy is due at night in the shop’s own time, and after a day without one', () => {
    const copy = (at: string) => ({ endedAt: at });
    expect(isDue(null, new Date(NOW), 'UTC')).to.equal(true);
    expect(isDue(copy('2026-06-14T03:00:00Z'), new Date('2026-06-15T01:00:00Z'), 'UTC')).to.equal(false);
    expect(isDue(copy('2026-06-14T03:00:00Z'), new Date('2026-06-15T02:01:00Z'), 'UTC')).to.equal(true);
    expect(isDue(copy('2026-06-14T03:00:00Z'), new Date('2026-06-15T00:30:00Z'), 'Europe/Berlin')).to.equal(true);
    expect(isDue(copy('2026-06-15T02:01:00Z'), new Date('2026-06-15T23:00:00Z'), 'UTC')).to.equal(false);
    expect(isDue(copy('2026-06-14T21:00:00Z'), new Date('2026-06-15T02:30:00Z'), 'UTC'), 'six hours ago').to.equal(false);
    expect(isDue(copy('2026-06-13T01:00:00Z'), new Date('2026-06-14T03:30:00Z'), 'UTC')).to.equal(true);
  });
  it('a trial is due soon after the first copy, a week after a good one, an hour after a bad one', () => {
    const first = iso(NOW - 20 * 60000);
    expect(trialIsDue(null, null, NOW)).to.equal(false);
    expect(trialIsDue(null, iso(NOW), NOW)).to.equal(false);
    expect(trialIsDue(null, first, NOW)).to.equal(true);
    expect(trialIsDue({ at: iso(NOW - 6 * DAY), good: true }, first, NOW)).to.equal(false);
    expect(trialIsDue({ at: iso(NOW - 8 * DAY), good: true }, first, NOW)).to.equal(true);
    expect(trialIsDue({ at: iso(NOW - 2 * 3600000), good: false }, first, NOW)).to.equal(true);
  });
});

describe('a moment as it is said', () => {
  const zone = 'Europe/London';
  // In June the clocks there show an hour more than UTC.
  const moment = (said: string, now = NOW): string => momentOf(said, zone, now);
  it('is in the shop’s own days and hours', () => {
    expect(moment('yesterday 14:00')).to.equal('2026-06-14T13:00:00.000Z');
    expect(moment('today 9:15')).to.equal('2026-06-15T08:15:00.000Z');
    expect(moment('9:15')).to.equal('2026-06-15T08:15:00.000Z');
    expect(moment('2026-01-10 14:00:30')).to.equal('2026-01-10T14:00:30.000Z');
    expect(moment('2026-06-10')).to.equal('2026-06-10T22:59:59.000Z');
    expect(moment('today')).to.equal(iso(NOW));
    expect(moment('2026-06-15T10:00:00+02:00')).to.equal('2026-06-15T08:00:00.000Z');
    expect(momentOf('yesterday 23:30', 'Pacific/Auckland', NOW)).to.equal('2026-06-15T11:30:00.000Z');
  });
  it('is right on the days on which the clocks are set', () => {
    expect(moment('2026-03-29 00:30')).to.equal('2026-03-29T00:30:00.000Z');
    expect(moment('2026-03-29 03:30')).to.equal('2026-03-29T02:30:00.000Z');
    expect(momentOf('2025-10-26 12:00', zone, NOW)).to.equal('2025-10-26T12:00:00.000Z');
  });
  it('is refused where it is none, or has not been', () => {
    for (const said of ['', 'soon', '25:00', '2026-13-01', 'tomorrow 9:00', '9.15', 'today 13:30', '2027-01-01'])
      expect(() => moment(said), said).to.throw(NoMoment);
  });
});
