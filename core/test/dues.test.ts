import { expect } from 'chai';
import fc from 'fast-check';
import { DUE_RULES, type DueRuleId } from '../src/service/dueRules.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { monthsAfter } from '../src/quantity/calendar.ts';
import type { Use } from '../src/ledger/vehicleRecords.ts';
import { type Due, duesOf } from '../src/service/dues.ts';
import { dueWhat, dueWhy } from '../src/wording/en/service.ts';
import { base, FOUR, JobFixture, LIMIT, NOW } from './jobFixture.ts';

const dues = (t: JobFixture): Due[] => duesOf(openHistory(t.file), NOW);
const about = (t: JobFixture, what: Due['about']): Due[] => dues(t).filter((d) => d.about === what);
function used(t: JobFixture, use: Use): JobFixture {
  t.file.vehicle = { ...t.file.vehicle, use };
  return t;
}
function exercised(t: JobFixture, minute: number): void {
  const row = { ...base(minute), vehicleId: 'car', what: 'driven' as const, typed: null, km: null, note: '' };
  t.file.exercises = [...t.file.exercises, row];
}
function renewed(t: JobFixture, slotId: string): void {
  const { kind, name } = t.layout.slots.find((s) => s.id === slotId)!;
  t.file.parts = [...t.file.parts, { id: `new:${slotId}`, tag: null, kind, name, partNumber: null, note: '' }];
  t.part(slotId, 'removed');
  t.part(slotId, 'fitted', `new:${slotId}`);
}

describe('what falls due', () => {
  it('a vehicle without a record is due in everything, from the day on which these records begin', () => {
    const t = used(new JobFixture(FOUR), 'stands');
    const list = dues(t);
    expect([...new Set(list.map((d) => d.about))].sort()).to.deep.equal([
      'bearings',
      'exercise',
      'fluid',
      'hoses',
      'limits',
      'open',
      'parking',
    ]);
    for (const d of list.filter((x) => x.about !== 'limits'))
      expect([d.on, d.why.kind], d.key).to.deep.equal([t.file.job.openedAt.slice(0, 10), 'unknown']);
    expect(dueWhat(about(t, 'hoses')[0]!)).to.match(/^Renew: .*front left hose/);
    expect(dueWhy(about(t, 'fluid')[0]!.why)).to.equal('no change is on record');
  });

  it('a limit of the vehicle that nobody checked is due from the day it was entered, and a checked one is not', () => {
    const t = new JobFixture(FOUR);
    const [one] = about(t, 'limits');
    expect(one!.on).to.equal(LIMIT.enteredAt.slice(0, 10));
    expect(dueWhat(one!)).to.equal('Check what was entered once: Rotor thickness');
    t.file.limits = [{ ...LIMIT, checkedBy: 'ben', checkedAt: NOW }];
    expect(about(t, 'limits')).to.deep.equal([]);
    t.file.limits = [{ ...LIMIT, scope: 'type', appliesTo: null }];
    expect(about(t, 'limits'), 'of the type: the book says it').to.deep.equal([]);
  });

  it('only what stands is exercised, every three months from the last time', () => {
    expect(about(new JobFixture(FOUR), 'exercise')).to.deep.equal([]);
    const t = used(new JobFixture(FOUR), 'stands');
    exercised(t, 60);
    exercised(t, 30);
    const [one] = about(t, 'exercise');
    expect(one?.on).to.equal(monthsAfter('2026-01-01', 3));
    expect(dueWhy(one!.why)).to.equal('every 3 months (generic): it stands');
  });

  it('two clocks: a hose or unit that was renewed starts anew, its fluid does not', () => {
    const t = new JobFixture(FOUR);
    renewed(t, t.slot('hose'));
    renewed(t, t.slot('caliper'));
    const on = (list: Due[], slot: string): string | null | undefined => list.find((d) => d.slots.some((s) => s.id === slot))?.on;
    expect(on(about(t, 'hoses'), t.slot('hose'))).to.equal('2036-01-01');
    expect(on(about(t, 'hoses'), t.slot('hose', 'FR'))).to.equal(t.file.job.openedAt.slice(0, 10));
    expect(on(about(t, 'open'), t.slot('caliper'))).to.equal('2036-01-01');
    expect(on(about(used(t, 'stands'), 'open'), t.slot('caliper'))).to.equal('2031-01-01');
    expect(about(t, 'fluid')[0]?.why.kind).to.equal('unknown');
  });

  it('after-care, put-offs and what is fitted for now stand there until they are answered', () => {
    const t = new JobFixture(FOUR);
    const put = { ...base(t.next()), slotId: t.slot('hose'), partId: null, code: null, metal: null, supersedes: null };
    t.file.decisions = [{ ...put, option: 'put_off', reason: 'waits for its union', reviewOn: '2026-09-01', untilKm: 81000, access: null }];
    const [off] = about(t, 'put_off');
    expect([off?.on, off?.km, dueWhat(off!), dueWhy(off!.why)]).to.deep.equal([
      ...['2026-09-01', 81000, 'Put off: front left hose', 'waits for its union'],
    ]);
    t.file.decisions = [];
    expect(about(t, 'put_off')).to.deep.equal([]);
  });

  it('no day lies later than its rule allows, whatever was done and whenever', () => {
    const uses: Use[] = ['daily', 'seasonal', 'stands', 'work', 'competition'];
    const step = fc.record({ what: fc.constantFrom('hose', 'caliper', 'exercise', 'float', 'parking'), corner: fc.constantFrom(...FOUR) });
    fc.assert(
      fc.property(fc.constantFrom(...uses), fc.array(step, { maxLength: 12 }), (use, steps) => {
        const t = used(new JobFixture(FOUR), use);
        for (const { what, corner } of steps) {
          if (what === 'hose' || what === 'caliper') renewed(t, t.slot(what, corner === 'RL' || corner === 'RR' ? 'FL' : corner));
          else if (what === 'exercise') exercised(t, t.next());
          else if (what === 'float') t.gauge(t.slot('hub', corner), ['0.05'], { measurement: 'hub_end_float' });
          else
            t.file.proofs = [
              ...t.file.proofs,
              { ...base(t.next()), item: 'parking', slotId: null, corner: null, result: 'passed', note: '' },
            ];
        }
        const last = new Date(Date.UTC(2026, 0, 1) + t.next() * 60000).toISOString();
        for (const d of dues(t)) {
          if (d.why.kind === 'unknown') expect(d.on, d.key).to.equal(t.file.job.openedAt.slice(0, 10));
          else if (d.why.kind === 'interval') {
            const months = DUE_RULES[d.about as DueRuleId].months[use]!;
            expect(d.on, d.key).to.equal(monthsAfter(d.why.last, months));
            expect(d.on! <= monthsAfter(last, months), d.key).to.equal(true);
          }
        }
      }),
      { numRuns: 60 },
    );
  });
});
