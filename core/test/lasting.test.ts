import { expect } from 'chai';
import fc from 'fast-check';
import { comebackCounts, type LastingCase, survival } from '../src/estimate/lasting.ts';
import { workedBefore } from '../src/history/workedBefore.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { base, JobFixture } from './jobFixture.ts';

const DAY = 86_400_000;
const START = Date.UTC(2020, 0, 1);
const one = (days: number, cameBack: boolean, over: Partial<LastingCase> = {}): LastingCase => ({
  ...{ option: 'reseal', kind: 'caliper', lots: [], from: new Date(START).toISOString(), cameBack },
  until: new Date(START + days * DAY).toISOString(),
  ...over,
});

describe('what work lasted', () => {
  it('is the product of what was left at each comeback, of those still watched', () => {
    // Worked by hand: six watched, one back at 100 of six, one seen last at 150, one back at 300 of four.
    const steps = survival([one(100, true), one(150, false), one(300, true), one(400, false), one(500, false), one(600, false)])!;
    expect(steps.map((s) => [s.days, s.watched])).to.deep.equal([
      [100, 6],
      [300, 4],
    ]);
    expect(steps[0]!.share).to.be.closeTo(5 / 6, 1e-12);
    expect(steps[1]!.share).to.be.closeTo((5 / 6) * (3 / 4), 1e-12);
    // log-log band at the first step: se = sqrt(1 / 30), S = 5/6.
    const spread = (1.959964 * Math.sqrt(1 / 30)) / Math.abs(Math.log(5 / 6));
    expect(steps[0]!.low).to.be.closeTo(Math.pow(5 / 6, Math.exp(spread)), 1e-9);
    expect(steps[0]!.high).to.be.closeTo(Math.pow(5 / 6, Math.exp(-spread)), 1e-9);
  });

  it('says nothing under five, falls never, and its band lies within nothing and all, around it', () => {
    expect(survival([1, 2, 3, 4].map((d) => one(d, true)))).to.equal(null);
    fc.assert(
      fc.property(
        fc.array(fc.record({ days: fc.integer({ min: 0, max: 4000 }), back: fc.boolean() }), { minLength: 5, maxLength: 60 }),
        (list) => {
          const steps = survival(list.map((c) => one(c.days, c.back)))!;
          let last = 1;
          for (const s of steps) {
            expect(s.share).to.be.at.most(last + 1e-12);
            expect(s.low).to.be.within(0, s.share + 1e-9);
            expect(s.high).to.be.within(s.share - 1e-9, 1);
            last = s.share;
          }
          if (list.every((c) => !c.back)) expect(steps).to.deep.equal([]);
          // Without anybody lost to sight it is the plain share.
          const seen = list.filter((c) => c.back).length === list.length;
          if (seen) expect(last).to.be.closeTo(0, 1e-12);
        },
      ),
    );
  });

  it('counts what came back within its interval, by work and kind', () => {
    const counts = comebackCounts([one(100, true), one(2000, true), one(400, false), one(10, true, { kind: 'hose', option: 'replace' })]);
    expect(counts).to.have.deep.members([
      { option: 'reseal', kind: 'caliper', cases: 3, comebacks: 1 },
      { option: 'replace', kind: 'hose', cases: 1, comebacks: 1 },
    ]);
  });
});

describe('work that an earlier job handed back', () => {
  it('is the newest at the place, and only what was handed back', () => {
    const t = new JobFixture();
    const at = t.slot('caliper');
    expect(workedBefore(openHistory(t.file), at)).to.equal(null);
    t.decide(at, 'reseal');
    t.file.decisions = t.file.decisions.map((d) => ({ ...d, jobId: 'before' }));
    const past = { id: 'before', kind: 'overhaul' as const, complaint: '', openedAt: '2024-01-01T00:00:00.000Z' };
    t.file.pastJobs = [{ ...past, releasedAt: null }];
    expect(workedBefore(openHistory(t.file), at), 'not handed back').to.equal(null);
    t.file.pastJobs = [{ ...past, releasedAt: '2024-02-01T00:00:00.000Z' }];
    expect(workedBefore(openHistory(t.file), at)).to.include({ option: 'reseal', jobId: 'before', said: null });
    t.file.comebacks = [{ ...base(t.next()), slotId: at, repairedIn: 'before', answer: 'comeback', note: '' }];
    expect(workedBefore(openHistory(t.file), at)?.said?.answer).to.equal('comeback');
  });
});
