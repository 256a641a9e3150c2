import { expect } from 'chai';
import { openHistory } from '../src/history/jobHistory.ts';
import { lastPartIn } from '../src/history/whereabouts.ts';
import { deriveJob } from '../src/job/job.ts';
import { beddingOf } from '../src/readiness/bedding.ts';
import { afterCareOf } from '../src/views/afterCare.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const STEPS = [
  { stops: 2, fromKmh: 50, toKmh: 10, coolS: 90 },
  { stops: 1, fromKmh: 80, toKmh: 20, coolS: 0 },
];
/** New pads, and the plan by which they are bedded in. */
function planned(): JobFixture {
  const t = new JobFixture(FOUR);
  const pads = t.slot('pads');
  t.part(pads, 'removed');
  t.part(pads, 'fitted', 'new pads');
  t.file.beddingPlans = [{ ...base(t.next()), product: 'Pads 12', steps: STEPS, source: 'its slip' }];
  return t;
}
function stop(t: JobFixture, step: number, minute = t.next()): string {
  const row = { ...base(minute), planId: t.file.beddingPlans[0]!.id, step };
  t.file.beddingStops = [...t.file.beddingStops, row];
  return row.id;
}
const state = (t: JobFixture) => beddingOf(openHistory(t.file))!;
const left = (t: JobFixture) => afterCareOf(deriveJob(t.file, NOW), NOW).find((a) => a.item === 'bedding_in');

describe('bedding in', () => {
  it('goes step by step, and what is not driven here is after-care, in figures', () => {
    const t = planned();
    expect([state(t).now, state(t).total, state(t).coolUntil]).to.deep.equal([0, 3, null]);
    const first = stop(t, 0);
    expect(state(t).coolUntil).to.equal(new Date(Date.parse(t.file.beddingStops[0]!.happenedAt) + 90000).toISOString());
    expect(state(t).last).to.equal(first);
    t.next();
    stop(t, 0);
    expect(state(t).now).to.equal(1);
    expect(left(t)?.why).to.equal('2 of 3 stops done here, by Pads 12; still to do: 1 from 80 to 20 km/h.');
    stop(t, 1);
    expect([state(t).now, state(t).counted, state(t).coolUntil]).to.deep.equal([null, 3, null]);
    expect(left(t), 'all driven').to.equal(undefined);
    expect(buildSheet(deriveJob(t.file, NOW), NOW).done.map((l) => l.text)).to.include(
      'Bedded in by Pads 12: 3 of 3 stops, its slip; 1 of them before it had run free',
    );
  });
  it('a stop before it had run free is told; one taken back counts no more', () => {
    const t = planned();
    stop(t, 0);
    const soon = stop(t, 0);
    expect([state(t).counted, state(t).tooSoon]).to.deep.equal([2, 1]);
    t.takeBack(soon);
    expect([state(t).counted, state(t).tooSoon]).to.deep.equal([1, 0]);
  });
  it('one stop counted on two tablets at once is one stop', () => {
    const t = planned();
    const minute = t.next();
    stop(t, 0, minute);
    stop(t, 0, minute + 1 / 60);
    expect(state(t).counted).to.equal(1);
    stop(t, 0, minute + 2);
    expect(state(t).counted).to.equal(2);
  });
  it('ends with the lining: what was driven before another went in counts no more', () => {
    const t = planned();
    stop(t, 0);
    const pads = t.slot('pads');
    t.part(pads, 'removed');
    t.part(pads, 'fitted', lastPartIn(pads, t.file.partEvents)!);
    expect(state(t).counted).to.equal(0);
  });
});
