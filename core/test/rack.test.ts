import { expect } from 'chai';
import fc from 'fast-check';
import { GAUGE_KIND_NAME, GAUGE_UNIT, GENERIC_GAUGE } from '../src/catalogue/gaugeKinds.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { judgeSet } from '../src/judging/judge.ts';
import type { CallBack, GaugeVersion } from '../src/ledger/gaugeRecords.ts';
import { asksForCheck, callBacksOn, checkVerdict, doubt, goodTo, repeatStudy, roundedUp, tellsApart } from '../src/metrology/rack.ts';
import { toResult } from '../src/quantity/domainError.ts';
import { JobFixture } from './jobFixture.ts';
import { notesOf } from '../src/wording/index.ts';

const mic: GaugeVersion = {
  id: 'mic-1',
  gaugeId: 'mic',
  tag: 'M-03',
  name: 'Micrometer',
  kind: 'micrometer',
  resolution: 0.001,
  accuracy: 0.003,
  shortSpan: 0.001,
  rangeLow: 0,
  rangeHigh: 25,
  calibrationDue: null,
  settingPiece: 25,
  checkFirst: true,
  enteredBy: 'ann',
  enteredAt: '2020-01-01T00:00:00.000Z',
};
const back = (over: Partial<CallBack> = {}): CallBack => ({
  id: 'cb',
  gaugeId: 'mic',
  since: '2000-01-01T00:00:00.000Z',
  offBy: 0.02,
  why: 'dropped',
  enteredBy: 'ann',
  enteredAt: '2020-01-01T00:00:00.000Z',
  until: null,
  ...over,
});
const of = (person: string, values: readonly number[]) => values.map((value) => ({ person, value }));

describe('a repeat study', () => {
  it('gives the spread of one person as the half-width of a rectangle, less the resolution’s own share', () => {
    const values = [12.081, 12.08, 12.082, 12.081, 12.079, 12.081];
    const s2 = values.map((v) => (v - values.reduce((a, b) => a + b) / 6) ** 2).reduce((a, b) => a + b) / 5;
    const { shortSpan, within, between } = repeatStudy(of('a', values), 0.001);
    expect(within).to.be.closeTo(Math.sqrt(s2), 1e-12);
    expect(between).to.equal(0);
    expect(shortSpan).to.be.closeTo(Math.sqrt(3 * (s2 - 0.001 ** 2 / 12)), 1e-12);
  });
  it('counts what two people differ by, and nothing where they do not', () => {
    const one = [10.0, 10.01, 10.0, 10.01, 10.005];
    const same = repeatStudy([...of('a', one), ...of('b', one)], 0.001);
    const apart = repeatStudy(
      [
        ...of('a', one),
        ...of(
          'b',
          one.map((v) => v + 0.05),
        ),
      ],
      0.001,
    );
    expect(same.between).to.equal(0);
    expect(apart.between).to.be.closeTo(0.05 / Math.SQRT2, 0.002);
    expect(apart.shortSpan).to.be.above(same.shortSpan * 3);
  });
  it('is the same whatever the figures are about, and never less than nothing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -0.05, max: 0.05, noNaN: true }), { minLength: 5, maxLength: 20 }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (spread, about) => {
          const here = repeatStudy(of('a', spread), 0.001).shortSpan;
          expect(
            repeatStudy(
              of(
                'a',
                spread.map((v) => v + about),
              ),
              0.001,
            ).shortSpan,
          ).to.be.closeTo(here, 1e-9);
          expect(here).to.be.at.least(0);
        },
      ),
    );
    expect(repeatStudy(of('a', [5, 5, 5, 5, 5]), 0.01).shortSpan).to.equal(0);
  });
  it('is refused with too few readings or too many people', () => {
    expect(toResult(() => repeatStudy([], 0.01)).ok).to.equal(false);
    expect(toResult(() => repeatStudy(of('a', [1, 2, 3, 4]), 0.01)).ok).to.equal(false);
    const three = ['a', 'b', 'c'].flatMap((p) => of(p, [1, 1, 1, 1, 1]));
    expect(toResult(() => repeatStudy(three, 0.01)).ok).to.equal(false);
  });
});

describe('a gauge in shop terms', () => {
  it('tells apart no less than the uncertainty of a difference, and is good to that of one reading', () => {
    const u = (a: number, d: number): number => Math.sqrt(a ** 2 / 3 + d ** 2 / 12);
    expect(tellsApart(mic)).to.be.closeTo(2 * Math.SQRT2 * u(0.001, 0.001), 1e-12);
    expect(goodTo(mic)).to.be.closeTo(2 * u(0.003, 0.001), 1e-12);
  });
  it('is rounded up to 1, 2 or 5, never down', () => {
    for (const [given, shown] of [
      [0.0018, 0.002],
      [0.0021, 0.005],
      [0.005, 0.005],
      [0.0501, 0.1],
      [3, 5],
      [0, 0],
    ] as const)
      expect(roundedUp(given)).to.equal(shown);
    fc.assert(
      fc.property(fc.double({ min: 1e-6, max: 1e4, noNaN: true }), (x) => {
        expect(roundedUp(x)).to.be.at.least(x * (1 - 1e-8));
        expect(roundedUp(x)).to.be.at.most(x * 2.5 * (1 + 1e-8));
      }),
    );
  });
  it('has a name, a unit and generic figures for every kind', () => {
    for (const kind of Object.keys(GAUGE_KIND_NAME) as (keyof typeof GAUGE_KIND_NAME)[]) {
      expect(GAUGE_UNIT[kind]).to.be.a('string');
      expect(GENERIC_GAUGE[kind].accuracy).to.be.above(0);
      expect(goodTo(GENERIC_GAUGE[kind])).to.be.above(0);
    }
  });
  it('asks for its setting piece once a day, if it is one that asks', () => {
    const check = (enteredAt: string) => ({ id: 'c', gaugeId: 'mic', nominal: 25, read: 25.001, enteredBy: 'ann', enteredAt });
    expect(asksForCheck(mic, [], '2026-05-20T12:00:00Z')).to.equal(true);
    expect(asksForCheck(mic, [check('2026-05-20T06:00:00Z')], '2026-05-20T12:00:00Z')).to.equal(false);
    expect(asksForCheck(mic, [check('2026-05-19T06:00:00Z')], '2026-05-20T12:00:00Z')).to.equal(true);
    expect(asksForCheck({ ...mic, checkFirst: false }, [], '2026-05-20T12:00:00Z')).to.equal(false);
    expect(asksForCheck({ ...mic, settingPiece: null }, [], '2026-05-20T12:00:00Z')).to.equal(false);
    expect(checkVerdict(mic, { nominal: 25, read: 25.003 }).inside).to.equal(true);
    expect(checkVerdict(mic, { nominal: 25, read: 24.99 }).inside).to.equal(false);
  });
});

describe('a gauge that is called back', () => {
  const told = (figures: readonly string[]) => {
    const t = new JobFixture();
    t.file.gauges = [mic];
    const set = t.gauge(t.slot('rotor'), figures);
    t.file.readings = t.file.readings.map((r) => ({ ...r, gaugeVersionId: 'mic-1' }));
    return { t, set };
  };
  const judged = (t: JobFixture, id: string) => {
    const history = openHistory(t.file);
    return judgeSet(
      history,
      history.sets.find((s) => s.id === id)!,
      '2026-05-20T12:00:00Z',
    ).find((j) => j.characteristic.id === 'rotor_thickness')!;
  };
  it('widens what was read with it by as much as it was off, and says so', () => {
    const { t, set } = told(Array<string>(8).fill('12.600'));
    const before = judged(t, set.id);
    t.file.callBacks = [back()];
    const after = judged(t, set.id);
    expect(after.reduced.value).to.equal(before.reduced.value);
    expect(after.reduced.expanded).to.be.closeTo(2 * Math.sqrt((0.003 + 0.02) ** 2 / 3 + 0.001 ** 2 / 12), 1e-9);
    expect(notesOf(after).join()).to.match(/M-03 was called back/);
    expect(notesOf(before).join()).to.not.match(/called back/);
  });
  it('turns a figure near its limit into one that cannot be told, never a past one into one that holds', () => {
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 400 }), fc.double({ min: 0.001, max: 0.3, noNaN: true }), (off, offBy) => {
        const { t, set } = told(Array<string>(8).fill((11 + off / 1000).toFixed(3)));
        const before = judged(t, set.id);
        t.file.callBacks = [back({ offBy })];
        const after = judged(t, set.id);
        if (before.verdict === 'past') expect(after.verdict).to.be.oneOf(['past', 'cant_tell']);
        if (before.verdict === 'cant_tell') expect(after.verdict).to.equal('cant_tell');
        if (Math.abs(off / 1000) < offBy / 2) expect(after.verdict).to.equal('cant_tell');
      }),
      { numRuns: 60 },
    );
  });
  it('lies on readings of its gauge from then until it was put right, and on no others', () => {
    const at = (instant: string, gaugeId = 'mic') =>
      callBacksOn({ gaugeId }, instant, [back({ since: '2026-03-01T00:00:00.000Z', until: '2026-04-01' })]).length;
    expect([at('2026-02-28T10:00:00.000Z'), at('2026-03-02T10:00:00.000Z'), at('2026-04-01T10:00:00.000Z')]).to.deep.equal([0, 1, 0]);
    expect(at('2026-03-02T10:00:00.000Z', 'other')).to.equal(0);
    expect(callBacksOn(undefined, '2026-03-02T10:00:00.000Z', [back()])).to.deep.equal([]);
    expect(doubt([back({ offBy: 0.01 }), back({ offBy: -0.03 })])).to.equal(0.03);
  });
  it('leaves a job that was handed back before as it was', () => {
    const { t } = told(Array<string>(8).fill('12.600'));
    const counts = deriveJob(t.file, '2026-05-20T12:00:00Z').counts;
    t.file.callBacks = [back({ enteredAt: '2999-01-01T00:00:00.000Z', since: '2999-01-01T00:00:00.000Z' })];
    expect(deriveJob(t.file, '2026-05-20T12:00:00Z').counts).to.deep.equal(counts);
  });
});
