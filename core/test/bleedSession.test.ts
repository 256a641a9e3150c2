import { expect } from 'chai';
import fc from 'fast-check';
import { openHistory } from '../src/history/jobHistory.ts';
import { planOfLayout } from '../src/hydraulics/ofLayout.ts';
import type { BleedSession } from '../src/ledger/families/bleedSessions.ts';
import type { BleedStepEvent, BleedStepKind } from '../src/ledger/families/bleedSteps.ts';
import { whyNotTakenBack } from '../src/readiness/takenBack.ts';
import {
  bearsStroke,
  lastSession,
  makersOrder,
  pullOf,
  type SessionState,
  sessionState,
  usualStroke,
  whyNotStepped,
} from '../src/stages/bleed/session.ts';
import { base, FOUR, JobFixture } from './jobFixture.ts';

function begun(over: Partial<BleedSession> = {}): JobFixture {
  const told = new JobFixture(FOUR);
  const circuits = [...new Set(told.layout.slots.filter((s) => s.kind === 'bleeder').flatMap((s) => s.circuits))];
  told.file.bleedSessions = [
    {
      ...base(told.next(), { device: 'tablet' }),
      ...{ circuits, method: 'vacuum', product: 'Class 4, tin', fluidClass: '4', fullMl: 200, safeMl: 40, strokeMl: 10 },
      ...over,
    },
  ];
  return told;
}
const stateOf = (told: JobFixture): SessionState => {
  const history = openHistory(told.file);
  return sessionState(history, lastSession(history)!);
};
const stepOf = (told: JobFixture, kind: BleedStepKind, over: Partial<BleedStepEvent> = {}): BleedStepEvent => ({
  ...base(told.next(), { device: 'tablet' }),
  ...{
    sessionId: told.file.bleedSessions[0]!.id,
    kind,
    slotId: null,
    colour: null,
    air: null,
    levelMl: null,
    fluidClass: null,
    bottle: '',
  },
  ...over,
});
/** Takes a step where it may be taken; says why where not. */
function take(told: JobFixture, kind: BleedStepKind, over: Partial<BleedStepEvent> = {}) {
  const step = stepOf(told, kind, over);
  const why = whyNotStepped(stateOf(told), step);
  if (why === null) told.file.bleedSteps = [...told.file.bleedSteps, step];
  return why;
}
const first = (told: JobFixture): string => planOfLayout(told.layout).bleeders[0]!.id;
const stroke = (told: JobFixture, slotId = first(told), over: Partial<BleedStepEvent> = {}) =>
  take(told, 'stroke', { slotId, colour: 'dark', air: 'none', ...over });
function close(told: JobFixture, slotId: string): void {
  for (const kind of ['closed_under_flow', 'pedal_felt', 'dry'] as const) expect(take(told, kind, { slotId })).to.equal(null);
}

describe('a session of bleeding', () => {
  it('begins full, at the bleeder with the longest way, and goes by the order of the plan', () => {
    const told = begun();
    const s = stateOf(told);
    expect([s.level.low, s.level.high, s.now?.slot.id, s.device]).to.deep.equal([200, 200, first(told), 'tablet']);
    expect(s.bleeders.map((b) => b.slot.id)).to.deep.equal(planOfLayout(told.layout).bleeders.map((b) => b.id));
    stroke(told);
    close(told, first(told));
    expect(stateOf(told).now?.slot.id).to.equal(s.bleeders[1]!.slot.id);
  });

  it('never draws the reservoir below its lowest safe mark, whatever a stroke really moves within what was guessed of it', () => {
    const act = fc.constantFrom('stroke', 'stroke', 'stroke', 'stroke', 'level', 'filled');
    fc.assert(
      fc.property(
        fc.array(act, { minLength: 1, maxLength: 60 }),
        fc.double({ min: 0.7, max: 1.3, noNaN: true }),
        fc.integer({ min: 4, max: 30 }),
        fc.integer({ min: 80, max: 300 }),
        (acts, share, strokeMl, fullMl) => {
          const safeMl = fullMl / 5;
          const told = begun({ strokeMl, fullMl, safeMl });
          // What is really in it.
          let level = fullMl;
          for (const a of acts) {
            if (a === 'stroke' && stroke(told) === null) level -= strokeMl * share;
            if (a === 'level') take(told, 'level', { levelMl: level });
            if (a === 'filled' && take(told, 'filled', { fluidClass: '4' }) === null) level = fullMl;
            expect(level).to.be.at.least(safeMl - 1e-6);
            const s = stateOf(told);
            expect(s.level.low).to.be.at.most(level + 1e-6);
            expect(s.level.high).to.be.at.least(level - 1e-6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is proposed with a stroke that its reservoir bears several times over', () => {
    for (const method of ['pedal', 'vacuum', 'pressure', 'gravity', 'reverse'] as const)
      for (const fullMl of [40, 90, 250]) {
        const of = { fullMl, safeMl: fullMl / 5 };
        const strokeMl = usualStroke(method, of);
        expect(strokeMl).to.be.at.least(1);
        expect(bearsStroke({ ...of, strokeMl })).to.equal(true);
      }
    expect(bearsStroke({ fullMl: 40, safeMl: 8, strokeMl: 25 })).to.equal(false);
  });

  it('warns at a quarter, and stops before the stroke that could draw air in', () => {
    const told = begun({ strokeMl: 10 });
    let taken = 0;
    while (stroke(told) === null) {
      taken += 1;
      const s = stateOf(told);
      expect(s.warns).to.equal(s.level.low <= 50);
      expect(s.left > 0).to.equal(!s.stops);
    }
    // By the lower edge: 13 mL a stroke out of 160 above the mark.
    expect(taken).to.equal(12);
    expect(stroke(told)).to.equal('reservoir_low');
    expect(take(told, 'filled', { fluidClass: '4' })).to.equal(null);
    expect(stroke(told)).to.equal(null);
  });

  it('wants a look at the real level each quarter, and takes from it what a stroke moves', () => {
    const told = begun({ strokeMl: 10 });
    for (let i = 0; i < 3; i += 1) stroke(told);
    expect(stateOf(told).lookWanted).to.equal(false);
    stroke(told);
    expect(stateOf(told).lookWanted).to.equal(true);
    take(told, 'level', { levelMl: 180 });
    const s = stateOf(told);
    expect([s.stroke.ml, s.stroke.corrected, s.lookWanted, s.level.mean]).to.deep.equal([5, true, false, 180]);
    expect(s.bleeders[0]!.drawnMl, 'what was drawn follows').to.equal(20);
    expect(take(told, 'level', { levelMl: 201 })).to.equal('level_beyond');
    expect(take(told, 'level', { levelMl: -1 })).to.equal('level_beyond');
  });

  it('takes no fluid of another kind, and classes of the same kind as it comes', () => {
    const told = begun();
    expect(take(told, 'filled', { fluidClass: '5' })).to.equal('wrong_fluid');
    expect(take(told, 'filled', { fluidClass: 'mineral' })).to.equal('wrong_fluid');
    expect(take(told, 'filled')).to.equal('wrong_fluid');
    expect(take(told, 'filled', { fluidClass: '5.1' })).to.equal(null);
  });

  it('has one bleeder open at a time, and no end while one is', () => {
    const told = begun();
    const [a, b] = planOfLayout(told.layout).bleeders.map((x) => x.id);
    expect(take(told, 'closed_under_flow', { slotId: a! })).to.equal('nothing_drawn');
    stroke(told, a);
    expect(stroke(told, b)).to.equal('still_open');
    expect(take(told, 'ended')).to.equal('still_open');
    expect(take(told, 'closed_under_flow', { slotId: a! })).to.equal(null);
    expect(stroke(told, b)).to.equal(null);
    // Drawn from again, the first is open again.
    take(told, 'closed_under_flow', { slotId: b! });
    stroke(told, a);
    expect(stateOf(told).bleeders.find((x) => x.slot.id === a)!.ticks).to.deep.equal([]);
    expect(stroke(told, told.slot('rotor'))).to.equal('not_in_session');
    close(told, a!);
    expect(take(told, 'ended')).to.equal(null);
    expect(stroke(told, a)).to.equal('session_over');
  });

  it('is counted by one device; another takes it over by name, and what the first told before that stays', () => {
    const told = begun();
    stroke(told);
    expect(stroke(told, first(told), { device: 'phone' })).to.equal('session_elsewhere');
    expect(take(told, 'took_over', { device: 'phone', authorId: 'bea' })).to.equal(null);
    const s = stateOf(told);
    expect([s.device, s.by, s.bleeders[0]!.strokes.length]).to.deep.equal(['phone', 'bea', 1]);
    expect(stroke(told)).to.equal('session_elsewhere');
    expect(stroke(told, first(told), { device: 'phone' })).to.equal(null);
  });

  it('keeps of a bleeder what was drawn since it was closed for good, and the last that came', () => {
    const told = begun();
    const at = first(told);
    const of = () => pullOf(stateOf(told).bleeders.find((b) => b.slot.id === at)!);
    stroke(told, at);
    stroke(told, at, { colour: 'clear', air: 'bubbles' });
    expect(of()).to.deep.equal({ volumeMl: 20, colour: 'clear', air: 'bubbles', closed: true });
    close(told, at);
    stroke(told, at, { colour: 'clear' });
    expect(of()).to.deep.equal({ volumeMl: 10, colour: 'clear', air: 'none', closed: true });
  });

  it('is taken back from its end, one after the other', () => {
    const told = begun();
    stroke(told);
    stroke(told);
    const [one, two] = told.file.bleedSteps;
    const why = (id: string): string | null => whyNotTakenBack(openHistory(told.file), id);
    expect([why(one!.id), why(told.file.bleedSessions[0]!.id)].every((w) => w?.includes('taken back first'))).to.equal(true);
    expect(why(two!.id)).to.equal(null);
    told.takeBack(two!.id);
    expect(why(one!.id)).to.equal(null);
    expect(stateOf(told).last?.id).to.equal(one!.id);
  });

  it('by gravity the time until fluid runs is taken, one bleeder open at a time, and the slow one is named', () => {
    const told = begun({ method: 'gravity' });
    const [one, two] = planOfLayout(told.layout).bleeders.map((b) => b.id) as [string, string];
    const at = (minute: number, second: number): string => new Date(Date.UTC(2026, 0, 3, 0, minute, second)).toISOString();
    expect(take(told, 'opened', { slotId: one, happenedAt: at(0, 0) })).to.equal(null);
    expect(take(told, 'opened', { slotId: two, happenedAt: at(0, 5) }), 'one is open').to.equal('still_open');
    expect(take(told, 'ended'), 'nothing ends over an open bleeder').to.equal('still_open');
    expect(stroke(told, two), 'nor is another drawn').to.equal('still_open');
    expect(stroke(told, one, { happenedAt: at(0, 20) })).to.equal(null);
    const flow = (id: string) => {
      const b = stateOf(told).bleeders.find((x) => x.slot.id === id)!;
      return [b.flowS, b.slow];
    };
    expect(flow(one)).to.deep.equal([20, false]);
    for (const [i, kind] of (['closed_under_flow', 'pedal_felt', 'dry'] as const).entries())
      expect(take(told, kind, { slotId: one, happenedAt: at(1, i) })).to.equal(null);
    expect(take(told, 'opened', { slotId: two, happenedAt: at(2, 0) })).to.equal(null);
    expect(flow(two)).to.deep.equal([null, false]);
    expect(stroke(told, two, { happenedAt: at(4, 0) })).to.equal(null);
    expect(flow(two)).to.deep.equal([120, true]);
  });

  it('a maker’s order goes before the way of the fluid, and is proposed again', () => {
    const plain = planOfLayout(begun().layout).bleeders.map((b) => b.id);
    const told = begun();
    const turned = stateOf(told)
      .bleeders.map((b) => b.slot.id)
      .toReversed();
    told.file.bleedSessions = [{ ...told.file.bleedSessions[0]!, ordered: turned, orderSource: 'Manual, page 12' }];
    expect(stateOf(told).bleeders.map((b) => b.slot.id)).to.deep.equal(turned);
    expect(stateOf(told).now!.slot.id).to.equal(turned[0]);
    expect(makersOrder(openHistory(told.file))).to.deep.equal({ ordered: turned, source: 'Manual, page 12' });
    expect(plain).to.have.length(turned.length);
  });
});
