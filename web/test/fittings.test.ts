import { deriveJob } from '@dauer/core/job';
import { GENERIC_LIMITS, type Judged } from '@dauer/core/judging';
import { buildLayout } from '@dauer/core/layout';
import { NO_RECORDS, UNWEIGHED } from '@dauer/core/ledger';
import { expect } from 'chai';
import fc from 'fast-check';
import { dayText } from '../src/fittings/dates.ts';
import { BURST_MS, GaugeBurst } from '../src/fittings/gaugeBurst.ts';
import { ruleScale } from '../src/fittings/ruleScale.ts';
import { applyStored, applyPending } from '../src/job/optimistic.ts';
import { EMPTY, nextToSend, type PendingEvent } from '../src/job/outbox/queue.ts';

describe('a gauge that types', () => {
  const feed = (burst: GaugeBurst, text: string, gap: number): string | null => {
    let at = 1000;
    for (const key of text) burst.feed(key, (at += gap));
    return burst.feed('Enter', at + gap);
  };
  it('is told from a hand by its speed', () => {
    expect(feed(new GaugeBurst(), '12.078', 4)).to.equal('12.078');
    expect(feed(new GaugeBurst(), '12.078', 40)).to.equal(null);
    expect(feed(new GaugeBurst(), '12', 4)).to.equal(null);
    expect(feed(new GaugeBurst(), 'abc', 4)).to.equal(null);
  });
  it('is told from a hand that was typing just before', () => {
    const burst = new GaugeBurst();
    burst.feed('x', 0);
    expect(feed(burst, '12.078', 5)).to.equal('12.078');
  });
  it('never takes what came slower than its window', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom('1', '2', '.', '9'), minLength: 3, maxLength: 8 }),
        fc.integer({ min: BURST_MS, max: 500 }),
        (text, gap) => {
          expect(feed(new GaugeBurst(), text, gap)).to.equal(null);
        },
      ),
    );
  });
});

const judged = (bound: Judged['bound'], value: number, machineTo: number | null): Judged => ({
  characteristic: {
    id: 'rotor_thickness',
    name: '',
    short: '',
    takenFrom: 'rotor_thickness',
    reduction: { op: 'least' },
    recorded: false,
    readAsDifference: false,
    senses: null,
    belowNothing: null,
    nearNew: null,
    nearPartner: null,
    role: 'size',
    onBearing: false,
    generic: [],
    kind: 'length',
    unit: 'mm',
    bound: bound.kind === 'lower' ? 'lower' : 'upper',
    wears: null,
    gravity: 'safety',
    limitWord: 'Limit',
    newWord: 'New',
  },
  setId: '',
  slotId: '',
  partId: null,
  phase: 'as_found',
  reduced: { characteristic: 'rotor_thickness', value, expanded: 0.01, governing: [], taken: 8, needed: 4, decimals: 2 },
  verdict: 'holds',
  side: 'within',
  toleranceLeft: null,
  limit: machineTo === null ? null : { ...GENERIC_LIMITS[0]!, machineTo },
  bound,
  conflict: false,
  enough: true,
  wear: null,
  noWear: null,
  wearPoints: [],
  contradicts: null,
  unsaid: null,
  toNextService: 0,
  distanceUnit: 'km',
  bearingFirst: false,
  asksSecond: false,
  second: null,
  notes: [],
});

describe('the wear rule', () => {
  it('always runs from new on the left to the last limit on the right', () => {
    const amount = fc.double({ min: 0.02, max: 40, noNaN: true });
    fc.assert(
      fc.property(amount, amount, fc.double({ min: 0, max: 1, noNaN: true }), fc.boolean(), (at, band, share, falls) => {
        const nominal = falls ? at + band : at - band;
        const machine = at + (nominal - at) * 0.3;
        const value = at + (nominal - at) * share;
        const scale = ruleScale(judged({ kind: falls ? 'lower' : 'upper', at, nominal }, value, machine), 480, [value]);
        expect(scale.x(nominal)).to.be.below(scale.x(machine));
        expect(scale.x(machine)).to.be.below(scale.x(at));
        for (const v of [nominal, machine, at, value]) expect(scale.x(v)).to.be.within(0, 480);
        expect(scale.x(value)).to.be.within(scale.x(nominal) - 1e-6, scale.x(at) + 1e-6);
      }),
    );
  });
  it('keeps its numerals clear of the limits, and its ticks readable', () => {
    const scale = ruleScale(judged({ kind: 'lower', at: 11, nominal: 12.7 }, 12.066, 11.4), 480, [12.066, 11.9]);
    const places = [12.7, 11.4, 11].map(scale.x);
    for (const g of scale.graduations.filter((x) => x.text !== null)) for (const p of places) expect(Math.abs(g.x - p)).to.be.above(26);
    const xs = scale.graduations.map((g) => g.x).sort((a, b) => a - b);
    for (let i = 1; i < xs.length; i += 1) expect(xs[i]! - xs[i - 1]!).to.be.within(3.9, 12);
  });
  it('stands without a limit', () => {
    const scale = ruleScale(judged({ kind: 'none' }, 12, null), 480, [12, 12.1]);
    expect(scale.limits).to.deep.equal([]);
    expect(scale.zones).to.deep.equal([]);
  });
});

describe('days', () => {
  it('are said as the shop says them', () => {
    const today = new Date('2026-05-20T12:00:00Z');
    expect(dayText('2026-05-23', today)).to.equal('Sat 23 May');
    expect(dayText('2021-10-06', today)).to.equal('6 Oct 2021');
  });
});

describe('what waits on this device', () => {
  it('is laid over the file as the book will have it', () => {
    const layout = buildLayout(
      'utility_rods',
      'l',
      'car',
      (() => {
        let n = 0;
        return () => `s${(n += 1)}`;
      })(),
    );
    const file = {
      job: {
        id: 'j',
        vehicleId: 'car',
        kind: 'overhaul' as const,
        complaint: '',
        wants: '',
        fluidKnown: '',
        promised: null,
        finish: 'not_said' as const,
        authorisedMinor: null,
        scopeCorners: [],
        scopeIn: [],
        returnOf: null,
        scopeOut: [],
        openedAt: '',
        openedBy: '',
        importId: null,
        version: 1,
      },
      vehicle: {
        id: 'car',
        tag: '',
        name: '',
        make: '',
        model: '',
        year: null,
        variant: null,
        body: '',
        use: 'daily' as const,
        climate: 'dry' as const,
        storage: 'dry' as const,
        standsYears: null,
        distanceUnit: 'mi' as const,
        ...UNWEIGHED,
        ownerId: null,
        version: 1,
      },
      layout,
      ...NO_RECORDS,
      imported: null,
      release: null,
    };
    const body = { id: 'c1', happenedAt: '2026-01-01T00:00:00Z', device: 'd', typed: '100', unit: 'mi' as const };
    const waiting = { jobId: 'j', authorId: 'a', authorName: 'Ann', family: 'counters' as const, body, aside: null };
    const over = applyPending(file, [waiting]);
    expect(over.counters[0]).to.include({ km: 160.9344, vehicleId: 'car', authorId: 'a' });
    expect(deriveJob(over, '2026-02-01T00:00:00Z').obligations.find((o) => o.key === 'bookin:counter')?.state).to.equal('closed');
    expect(applyPending(file, [{ ...waiting, aside: 'refused' }]).counters).to.deep.equal([]);
    expect(applyPending(file, [{ ...waiting, jobId: 'other' }]).counters).to.deep.equal([]);
    // Stored, it stands with the part that it described, once, however often it is laid over.
    const fitted = {
      id: 'e1',
      happenedAt: '2026-01-01T00:00:00Z',
      device: 'd',
      partId: 'p1',
      kind: 'fitted' as const,
      slotId: null,
      note: '',
    };
    const part = { tag: null, kind: 'hose' as const, name: 'Hose', partNumber: null, note: '' };
    const item = { ...waiting, family: 'partEvents' as const, body: { ...fitted, part } };
    const record = {
      ...fitted,
      jobId: 'j',
      authorId: 'a',
      recordedAt: '',
      corrects: null,
      temporary: false,
      until: null,
      lot: null,
      lineOn: false,
    };
    const stored = applyStored(applyStored(file, item, record), item, record);
    expect(stored.parts.map((p) => p.id)).to.deep.equal(['p1']);
    expect(stored.partEvents).to.deep.equal([record]);
  });

  it('is sent by its own author only, in order, and never before what it leans on', () => {
    const item = (id: string, authorId: string, more: { setId?: string; aside?: string } = {}): PendingEvent => ({
      jobId: 'j',
      authorId,
      authorName: authorId,
      family: 'readings',
      body: {
        id,
        setId: more.setId ?? 'sent',
        happenedAt: '',
        device: 'd',
        frame: 'pads',
        angleDeg: null,
        place: 'inner: x',
        pass: 1,
        gaugeVersionId: null,
        typed: '1',
        unit: 'mm',
      },
      aside: more.aside ?? null,
    });
    const items = [item('r0', 'ann', { aside: 'refused' }), item('r1', 'ann'), item('r2', 'ben', { setId: 'r1' }), item('r3', 'ben')];
    expect(nextToSend({ ...EMPTY, items: items }, 'ann')?.body.id).to.equal('r1');
    expect(nextToSend({ ...EMPTY, items: items }, 'ben')?.body.id).to.equal('r3');
    expect(nextToSend({ ...EMPTY, items: items.slice(2) }, 'ben')?.body.id).to.equal('r2');
    expect(nextToSend({ ...EMPTY, items: items }, null)).to.equal(undefined);
  });
});
