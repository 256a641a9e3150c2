import { expect } from 'chai';
import { operationState, runningOperations } from '../src/history/running.ts';
import { deriveJob } from '../src/job/job.ts';
import type { BleedPull } from '../src/ledger/families/bleedPulls.ts';
import type { OperationEvent } from '../src/ledger/families/operationEvents.ts';
import {
  afterCareOf,
  afterCareRefusal,
  SECOND_BLEED,
  secondBleeds,
  afterCareStates,
  BEDDING_KM,
  isClosed,
  RETORQUE_KM,
} from '../src/views/afterCare.ts';
import { buildSheet } from '../src/views/handback.ts';
import { forNowOf } from '../src/views/waits.ts';
import { base, FOUR, NOW, JobFixture } from './jobFixture.ts';

const state = (t: JobFixture) => deriveJob(t.file, NOW);
const AT = '2026-03-01T15:00:00.000Z';
const care = (t: JobFixture) => afterCareOf(state(t), AT);
function torque(t: JobFixture, point: string): void {
  t.file.torques = [
    ...t.file.torques,
    {
      ...base(t.next()),
      ...{ slotId: null, point, targetTyped: '75 Nm', target: 75, typed: '75 Nm', unit: 'Nm' as const, canonical: 75, wrench: 'W 1' },
    },
  ];
}
function pull(t: JobFixture, air: BleedPull['air']): void {
  const slotId = t.layout.slots.find((s) => s.kind === 'bleeder')?.id ?? '';
  const drawn = { slotId, volumeTyped: '50 mL', volumeMl: 50, colour: 'clear' as const, air, closed: true, method: null };
  t.file.bleedPulls = [...t.file.bleedPulls, { ...base(t.next()), ...drawn }];
}

describe('what a job leaves behind', () => {
  it('nothing was done, nothing follows', () => {
    expect(care(new JobFixture(FOUR))).to.deep.equal([]);
  });
  it('an opened circuit is looked at the next day; what was fitted dry or bled with air in it is bled again', () => {
    const t = new JobFixture(FOUR);
    pull(t, 'none');
    expect(care(t).map((i) => [i.item, i.on])).to.deep.equal([['leak_next_day', '2026-03-02']]);
    pull(t, 'bubbles');
    expect(care(t).find((i) => i.item === 'second_bleed')?.why).to.equal('Air came while bleeding.');
    const dry = new JobFixture(FOUR);
    dry.part(dry.slot('caliper', 'RL'), 'resealed');
    expect(care(dry).map((i) => i.item)).to.deep.equal(['leak_next_day', 'second_bleed']);
    expect(care(dry)[1]?.why).to.equal('A component was fitted dry or resealed.');
    const tied = new JobFixture(FOUR);
    tied.file.putIns = [{ ...base(tied.next()), slotId: tied.slot('hose'), what: 'tie', note: '' }];
    expect(care(tied), 'a hose that is tied up').to.deep.equal([]);
    tied.file.putIns = [{ ...base(tied.next()), slotId: tied.slot('pedal', null), what: 'tie', note: '' }];
    expect(care(tied).map((i) => i.why)).to.deep.equal(['A lever was tied overnight: what air rose is let out.']);
  });
  it('a coat that fluid was moved over before it had cured is looked at again; one that had cured is not', () => {
    const t = new JobFixture(FOUR);
    t.part(t.slot('caliper', 'FL'), 'coated');
    expect(care(t).some((i) => i.item === 'paint')).to.equal(false);
    pull(t, 'none');
    const paint = care(t).find((i) => i.item === 'paint')!;
    expect([paint.what, paint.on]).to.deep.equal(['Look at the coat again: front left caliper', '2026-03-08']);
    const cured = new JobFixture(FOUR);
    cured.part(cured.slot('caliper', 'FL'), 'coated');
    cured.file.partEvents = cured.file.partEvents.map((e) => (e.kind === 'coated' ? { ...e, happenedAt: '2025-12-01T08:00:00.000Z' } : e));
    pull(cured, 'none');
    expect(care(cured).some((i) => i.item === 'paint')).to.equal(false);
  });
  it('wheel nuts are named by wheel and come again by distance; new linings or faces are bedded in', () => {
    const t = new JobFixture(FOUR);
    torque(t, 'wheel:FL');
    torque(t, 'wheel:RR');
    torque(t, 'caliper:x');
    const [nuts] = care(t);
    expect([nuts?.what, nuts?.km, nuts?.on]).to.deep.equal(['Wheel nuts again: front left, rear right', RETORQUE_KM, '2026-03-08']);
    t.part(t.slot('pads', 'FL'), 'fitted', 'new pads');
    const bedding = care(t).find((i) => i.item === 'bedding_in');
    expect([bedding?.km, bedding?.on]).to.deep.equal([BEDDING_KM, '2026-03-31']);
    const cut = new JobFixture(FOUR);
    cut.part(cut.slot('rotor', 'FL'), 'machined');
    expect(care(cut).map((i) => i.item)).to.deep.equal(['bedding_in']);
  });
  it('what is taken back leaves nothing', () => {
    const t = new JobFixture(FOUR);
    pull(t, 'bubbles');
    t.takeBack(t.file.bleedPulls[0]!.id);
    expect(care(t)).to.deep.equal([]);
  });
  it('a job is closed once everything is done or taken over by name; the newest answer counts', () => {
    const t = new JobFixture(FOUR);
    torque(t, 'wheel:FL');
    pull(t, 'none');
    expect(isClosed(state(t))).to.equal(false);
    const sheet = { ...buildSheet(state(t), AT), afterCare: care(t) };
    t.file.release = {
      ...{ id: 'r', jobId: 'job', releasedBy: 'ann', importId: null, releasedAt: AT },
      ownWork: false,
      ruleVersion: '1',
      sheet,
    };
    const answers = () => afterCareStates(state(t)).map((a) => [a.item, a.answer, a.by]);
    expect(answers()).to.deep.equal([
      ['leak_next_day', 'open', null],
      ['retorque', 'open', null],
    ]);
    const answer = (item: string, result: 'done' | 'taken_over' | 'failed'): void => {
      t.file.afterCares = [...t.file.afterCares, { ...base(t.next()), item, result, note: '' }];
    };
    answer('leak_next_day', 'failed');
    answer('retorque', 'taken_over');
    expect(isClosed(state(t))).to.equal(false);
    answer('leak_next_day', 'done');
    expect(answers()).to.deep.equal([
      ['leak_next_day', 'done', 'ann'],
      ['retorque', 'taken_over', 'ann'],
    ]);
    expect(isClosed(state(t))).to.equal(true);
    t.takeBack(t.file.afterCares.at(-1)!.id);
    expect(isClosed(state(t))).to.equal(false);
  });
});

describe('the second bleeding', () => {
  it('is closed by what came at every bleeder that was drawn at, not by a tick', () => {
    const t = new JobFixture(FOUR);
    const bleeders = t.layout.slots.filter((s) => s.kind === 'bleeder').slice(0, 2);
    for (const b of bleeders) {
      const drawn = {
        slotId: b.id,
        volumeTyped: '50',
        volumeMl: 50,
        colour: 'clear' as const,
        air: 'bubbles' as const,
        closed: true,
        method: null,
      };
      t.file.bleedPulls = [...t.file.bleedPulls, { ...base(t.next()), ...drawn }];
    }
    const again = (slotId: string, air: BleedPull['air'], closed: boolean): void => {
      t.file.afterPulls = [...t.file.afterPulls, { ...base(t.next()), slotId, volumeTyped: '20', volumeMl: 20, air, closed }];
    };
    const left = () => afterCareRefusal(state(t), SECOND_BLEED, 'done');
    const [first, second] = [bleeders[0]!.id, bleeders[1]!.id];
    expect(
      secondBleeds(state(t))
        .map((b) => b.bleeder.id)
        .sort(),
    ).to.deep.equal([first, second].sort());
    expect(left()).to.match(/not by a tick.*bleeder/);
    again(first, 'none', true);
    again(second, 'bubbles', true);
    expect(left(), 'air came again').to.not.equal(null);
    again(second, 'none', false);
    expect(left(), 'left open').to.not.equal(null);
    again(second, 'none', true);
    expect(left()).to.equal(null);
    t.takeBack(t.file.afterPulls.at(-1)!.id);
    expect(left(), 'taken back').to.not.equal(null);
    for (const result of ['taken_over', 'failed'] as const) expect(afterCareRefusal(state(t), SECOND_BLEED, result)).to.equal(null);
    expect(afterCareRefusal(state(t), 'retorque', 'done')).to.equal(null);
  });
});

describe('work under way', () => {
  const clock = (t: JobFixture, operationId: string, kind: OperationEvent['kind'], minute: number): void => {
    t.file.operationEvents = [...t.file.operationEvents, { ...base(minute), operationId, kind, note: '' }];
  };
  it('runs from its newest start, is stopped and done, and the longest stands first', () => {
    const t = new JobFixture(FOUR);
    const ops = ['Soak', 'Cure', 'Bead'].map((title) => ({ ...base(t.next()), slotId: null, title, attendedMinutes: 5 }));
    t.file.operations = ops;
    const [soak, cure, bead] = ops.map((o) => o.id) as [string, string, string];
    clock(t, soak, 'start', 10);
    clock(t, cure, 'start', 20);
    clock(t, cure, 'stop', 30);
    clock(t, cure, 'start', 100);
    clock(t, bead, 'start', 40);
    clock(t, bead, 'done', 50);
    const now = new Date(Date.UTC(2026, 0, 1) + 130 * 60000 + 59000).toISOString();
    const { history } = deriveJob(t.file, now);
    expect([soak, cure, bead, 'nothing'].map((o) => operationState(history, o))).to.deep.equal(['running', 'running', 'done', 'open']);
    expect(runningOperations(history, now).map((r) => [r.operation.title, r.minutes])).to.deep.equal([
      ['Soak', 120],
      ['Cure', 30],
    ]);
    clock(t, soak, 'stop', 110);
    expect(runningOperations(deriveJob(t.file, now).history, now).map((r) => r.operation.title)).to.deep.equal(['Cure']);
    // A device whose clock runs behind gives no negative minutes.
    expect(runningOperations(deriveJob(t.file, now).history, base(0).happenedAt)[0]?.minutes).to.equal(0);
  });
  it('what is fitted for now is named with its day, until what belongs there is fitted', () => {
    const t = new JobFixture(FOUR);
    const hose = t.slot('hose', 'FL');
    t.part(hose, 'removed');
    t.file.partEvents = [
      ...t.file.partEvents,
      {
        ...base(t.next()),
        ...({
          partId: 'lent',
          kind: 'fitted',
          slotId: hose,
          note: '',
          temporary: true,
          until: '2026-07-01',
          lot: null,
          lineOn: false,
        } as const),
      },
    ];
    expect(forNowOf(state(t))).to.deep.equal([{ what: 'Front left hose', until: '2026-07-01' }]);
    t.part(hose, 'removed', 'lent');
    t.part(hose, 'fitted', 'new hose');
    expect(forNowOf(state(t))).to.deep.equal([]);
  });
});
