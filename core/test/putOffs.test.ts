import { expect } from 'chai';
import { openHistory } from '../src/history/jobHistory.ts';
import { putOffsOf } from '../src/history/putOffs.ts';
import { deriveJob } from '../src/job/job.ts';
import type { Decision } from '../src/ledger/families/decisions.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const UNTIL = { reviewOn: null, untilKm: null, access: null };
/** Something put off, on this job or another. */
function putOff(t: JobFixture, slotId: string, until: Partial<Decision>, jobId = 'job'): void {
  t.file.decisions = [
    ...t.file.decisions,
    {
      ...base(t.next(), { jobId }),
      ...{
        slotId,
        partId: `part:${slotId}`,
        option: 'put_off',
        reason: 'Owner waits',
        code: null,
        metal: null,
        supersedes: null,
        ...UNTIL,
        ...until,
      },
    },
  ];
}
function run(t: JobFixture, km: number): void {
  t.file.counters = [...t.file.counters, { ...base(t.next()), vehicleId: 'car', typed: `${km}`, km }];
}
const decide = (t: JobFixture, slotId: string, at = NOW) => deriveJob(t.file, at).obligations.find((o) => o.key === `decide:${slotId}`);
const due = (t: JobFixture, at = NOW) => putOffsOf(openHistory(t.file), at)[0]?.due?.kind ?? null;

describe('what was put off', () => {
  it('falls due by its day', () => {
    const t = new JobFixture(FOUR);
    const pads = t.slot('pads');
    putOff(t, pads, { reviewOn: '2026-06-10' });
    expect([due(t), decide(t, pads)?.state]).to.deep.equal([null, 'put_off']);
    const then = '2026-06-10T07:00:00.000Z';
    expect([due(t, then), decide(t, pads, then)?.state]).to.deep.equal(['day', 'open']);
    expect(decide(t, pads, then)?.why).to.match(/^Put off \(Owner waits\) until .*2026.*: that is now\.$/);
  });

  it('falls due by its distance', () => {
    const t = new JobFixture(FOUR);
    const pads = t.slot('pads');
    run(t, 20000);
    putOff(t, pads, { untilKm: 30000 });
    expect(due(t)).to.equal(null);
    run(t, 30000);
    expect([due(t), decide(t, pads)?.state]).to.deep.equal(['run', 'open']);
  });

  it('falls due with its access, opened after it was put off and not before', () => {
    const t = new JobFixture(FOUR);
    const rotor = t.slot('rotor');
    t.part(t.slot('caliper'), 'removed');
    putOff(t, rotor, { access: 'caliper off' });
    expect(due(t), 'it was open when it was said').to.equal(null);
    t.part(t.slot('caliper'), 'fitted', `part:${t.slot('caliper')}`);
    t.part(t.slot('caliper'), 'removed');
    expect([due(t), decide(t, rotor)?.why]).to.deep.equal(['access', 'Put off (Owner waits) until caliper off: it is now.']);
  });

  it('is what the next job starts with, until it is decided there or the part is another', () => {
    const t = new JobFixture(FOUR);
    const pads = t.slot('pads');
    putOff(t, pads, { reviewOn: '2026-05-01' }, 'before');
    expect(decide(t, pads)?.state).to.equal('open');
    expect(decide(t, pads)?.why).to.match(/^Put off on an earlier job \(Owner waits\)/);
    expect(t.component(pads).decision, 'no decision of this job').to.equal(null);
    expect(buildSheet(deriveJob(t.file, NOW), NOW).putOff.map((l) => l.place)).to.deep.equal(['Front left pads']);
    t.decide(pads, 'use_again');
    expect(putOffsOf(openHistory(t.file), NOW)).to.deep.equal([]);
    const other = new JobFixture(FOUR);
    putOff(other, other.slot('pads'), { reviewOn: '2026-05-01' }, 'before');
    other.part(other.slot('pads'), 'fitted', 'new pads');
    expect(putOffsOf(openHistory(other.file), NOW)).to.deep.equal([]);
  });

  it('is told also in a job that decides nothing, and blocks it only once it is due', () => {
    const t = new JobFixture([]);
    t.file.job = { ...t.file.job, kind: 'fluid' };
    const pads = t.slot('pads');
    putOff(t, pads, { reviewOn: '2026-12-01' }, 'before');
    expect(decide(t, pads)?.state).to.equal('put_off');
    expect(decide(t, pads, '2026-12-02T00:00:00.000Z')?.state).to.equal('open');
  });

  it('of a job that was booked twice is nothing', () => {
    const t = new JobFixture(FOUR);
    putOff(t, t.slot('pads'), { reviewOn: '2026-05-01' }, 'before');
    t.file.voids = [{ ...base(t.next(), { jobId: 'before' }), reason: 'booked twice' }];
    expect(putOffsOf(openHistory(t.file), NOW)).to.deep.equal([]);
  });
});
