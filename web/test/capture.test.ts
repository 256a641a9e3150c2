import { MEASUREMENTS, type PlannedPosition, plannedPositions, positionKey } from '@dauer/core/catalogue';
import { expect } from 'chai';
import fc from 'fast-check';
import {
  BEGIN,
  capture,
  type CaptureAction,
  type CaptureState,
  type Course,
  doubtOf,
  firstOpen,
  nextOpen,
  refusalToTake,
} from '../src/features/gauge/captureMachine.ts';
import { orderOf } from '../src/features/gauge/takingOrder.ts';

const EIGHT = plannedPositions('rotor_thickness', 8);
const courseOf = (
  taken: ReadonlySet<string>,
  order: 'round' | 'across' = 'round',
  positions: readonly PlannedPosition[] = EIGHT,
): Course => ({
  positions,
  sequence: orderOf(positions, order),
  isTaken: (p) => taken.has(positionKey(p)),
});
const keyAt = (i: number): string => positionKey(EIGHT[i]!);
const at = (i: number): CaptureState => ({ ...BEGIN, index: i });

describe('the order in which positions are taken', () => {
  it('begins at the first one without a figure, and stands at the last where each has one', () => {
    expect(firstOpen(courseOf(new Set([keyAt(0), keyAt(1)])))).to.equal(2);
    expect(firstOpen(courseOf(new Set(EIGHT.map(positionKey))))).to.equal(7);
    expect(firstOpen(courseOf(new Set(), 'round', []))).to.equal(0);
  });
  it('goes on to the next one without a figure, round and round, in the order that was chosen', () => {
    expect(nextOpen(courseOf(new Set([keyAt(0), keyAt(1)])), 0)).to.equal(2);
    expect(nextOpen(courseOf(new Set([keyAt(7)])), 7)).to.equal(0);
    expect(nextOpen(courseOf(new Set([keyAt(0)]), 'across'), 0)).to.equal(4);
  });
  it('comes past every position once before it comes past one twice', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 16 }), fc.constantFrom('round' as const, 'across' as const), (n, order) => {
        const positions = plannedPositions('rotor_thickness', n);
        const taken = new Set<string>();
        let i = firstOpen(courseOf(taken, order, positions));
        const seen: number[] = [];
        for (let k = 0; k < positions.length; k += 1) {
          seen.push(i);
          taken.add(positionKey(positions[i]!));
          i = nextOpen(courseOf(taken, order, positions), i);
        }
        expect([...new Set(seen)]).to.have.length(positions.length);
      }),
    );
  });
});

describe('the capture bar', () => {
  const none = courseOf(new Set());
  it('goes on once a figure is taken, and stays where one is doubtful', () => {
    const taken = courseOf(new Set([keyAt(0)]));
    expect(capture(at(0), { kind: 'taken', doubt: null }, taken).index).to.equal(1);
    const doubt = { text: 'far off', key: keyAt(0) };
    const asking = capture(at(0), { kind: 'taken', doubt }, taken);
    expect([asking.index, asking.question]).to.deep.equal([0, doubt]);
    const confirmed = capture(asking, { kind: 'confirmed' }, taken);
    expect([confirmed.index, confirmed.question, confirmed.confirmed.has(keyAt(0))]).to.deep.equal([1, null, true]);
  });
  it('keeps what was said of a figure that was not taken until one is', () => {
    const refused = capture(at(2), { kind: 'refused', message: 'no such unit' }, none);
    expect([refused.index, refused.message]).to.deep.equal([2, 'no such unit']);
    expect(capture(refused, { kind: 'taken', doubt: null }, courseOf(new Set([keyAt(2)]))).message).to.equal(null);
  });
  it('stands at the position whose figure was taken back, and says which', () => {
    const back = capture({ ...at(5), question: { text: '?', key: keyAt(3) } }, { kind: 'taken_back', key: keyAt(3), typed: '12.40' }, none);
    expect([back.index, back.question]).to.deep.equal([3, null]);
    expect(back.message).to.equal(`12.40 at ${EIGHT[3]!.name} is taken back.`);
  });
  it('steps no further than its ends, and forgets everything where another set begins', () => {
    expect(capture(at(0), { kind: 'stepped', by: -1 }, none).index).to.equal(0);
    expect(capture(at(7), { kind: 'stepped', by: 1 }, none).index).to.equal(7);
    const asking = { ...at(4), message: 'x', question: { text: '?', key: keyAt(1) }, confirmed: new Set([keyAt(1)]) };
    expect(capture(asking, { kind: 'begun' }, courseOf(new Set([keyAt(0)])))).to.deep.equal({ ...BEGIN, index: 1 });
  });
  it('always stands at a position of its measurement, whatever is pressed', () => {
    const action: fc.Arbitrary<CaptureAction> = fc.oneof(
      fc.constantFrom<CaptureAction>({ kind: 'begun' }, { kind: 'reordered' }, { kind: 'confirmed' }, { kind: 'question_dropped' }),
      fc.integer({ min: -3, max: 3 }).map((by): CaptureAction => ({ kind: 'stepped', by })),
      fc.nat(7).map((index): CaptureAction => ({ kind: 'picked', index })),
      fc.nat(9).map((i): CaptureAction => ({ kind: 'taken_back', key: EIGHT[i] ? keyAt(i) : 'nowhere', typed: '1' })),
      fc.option(fc.nat(7)).map((i): CaptureAction => ({ kind: 'taken', doubt: i === null ? null : { text: '?', key: keyAt(i) } })),
    );
    fc.assert(
      fc.property(fc.array(action), fc.uniqueArray(fc.nat(7)), (actions, taken) => {
        const course = courseOf(new Set(taken.map(keyAt)));
        const end = actions.reduce((s, a) => capture(s, a, course), capture(BEGIN, { kind: 'begun' }, course));
        expect(EIGHT[end.index]).to.not.equal(undefined);
        if (end.question) expect(end.index).to.be.within(0, 7);
      }),
    );
  });
});

describe('a figure', () => {
  it('is refused where the place is closed, and until it is said how clean and how warm the part is', () => {
    const open = { closed: null, asksState: true, surface: 'clean', cold: true };
    expect(refusalToTake(open)).to.equal(null);
    expect(refusalToTake({ ...open, closed: 'The drum is on.' })).to.equal('The drum is on.');
    expect(refusalToTake({ ...open, surface: null })).to.match(/^Say first how clean/);
    expect(refusalToTake({ ...open, cold: null })).to.match(/^Say first how clean/);
    expect(refusalToTake({ ...open, asksState: false, surface: null, cold: null })).to.equal(null);
  });

  const thickness = (canonical: number) => ({ canonical, resolution: 0.01 });
  const taken = (i: number, value: number) => ({
    ...{ key: keyAt(i), value },
    reading: { typed: String(value), angleDeg: EIGHT[i]!.angleDeg, place: EIGHT[i]!.place },
  });
  const ask = (value: number, before: readonly ReturnType<typeof taken>[] = [], confirmed: readonly string[] = []) =>
    doubtOf({
      ...{ measurement: MEASUREMENTS.rotor_thickness, position: EIGHT[6]!, quantity: thickness(value), text: String(value) },
      ...{ symbol: 'mm', name: 'Front left rotor', boreMm: null, taken: before, positions: EIGHT, confirmed: new Set(confirmed) },
      errorOf: () => 0.005,
    });
  const even = [0, 1, 2, 3, 4, 5].map((i) => taken(i, 12.4));

  it('that no such part usually has is asked about, in the unit in which it was typed', () => {
    const name = MEASUREMENTS.rotor_thickness.name.toLowerCase();
    expect(ask(1.24)?.text).to.equal(`1.24 mm for ${name} of a front left rotor? It is kept.`);
  });
  it('among its like asks nothing', () => {
    expect(ask(12.4, even)).to.equal(null);
  });
  it('far from the others is asked about at its own position, and one before it that was not confirmed at that one', () => {
    const doubt = ask(14.2, even);
    expect(doubt?.key).to.equal(keyAt(6));
    expect(doubt?.text).to.match(/^14\.2 mm lies far from the others/);
    const odd = [...even.slice(1), taken(0, 14.2)];
    expect(ask(12.4, odd)?.key).to.equal(keyAt(0));
    expect(ask(12.4, odd)?.text).to.match(/^14\.2 at /);
    expect(ask(12.4, odd, [keyAt(0)])).to.equal(null);
  });
});
