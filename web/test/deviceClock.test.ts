import { expect } from 'chai';
import fc from 'fast-check';
import {
  type DeviceClock,
  instantOf,
  isSettled,
  lookAt,
  measured,
  offsetIn,
  openClock,
  type Stamp,
  toldAfter,
} from '../src/app/deviceClock.ts';

const [MINUTE, HOUR] = [60000, 3600000];

/** A device with a clock that somebody sets, a page that dies, and a server that is sometimes there. */
class Tablet {
  now = 1_000_000_000_000;
  /** What its clock is ahead of the server's by, ms. */
  ahead = 0;
  #steadyFrom = this.now;
  #slept = 0;
  #ids = 0;
  clock: DeviceClock = openClock([], 'era 0', this.now, 0);
  readonly taken: { stamp: Stamp; at: number }[] = [];
  get #steady(): number {
    return this.now - this.#steadyFrom - this.#slept;
  }
  #id = (): string => `era ${(this.#ids += 1)}`;
  look(): void {
    this.clock = lookAt(this.clock, this.now + this.ahead, this.#steady, this.#id);
  }
  pass(ms: number): void {
    this.now += ms;
    this.look();
  }
  set(by: number): void {
    this.look();
    this.ahead += by;
    this.look();
  }
  sleep(ms: number): void {
    this.look();
    this.now += ms;
    this.#slept += ms;
    this.look();
  }
  /** @param way how long the request was on its way, ms, and the answer */
  answer(...way: readonly [there: number, back: number] | readonly []): void {
    this.look();
    const [there = 0, back = 0] = way;
    this.clock = measured(this.clock, [-this.ahead - back, -this.ahead + there]);
  }
  reload(): void {
    this.#steadyFrom = this.now;
    this.#slept = 0;
    this.clock = openClock(this.clock.eras, this.#id(), this.now + this.ahead, 0);
  }
  take(): void {
    this.look();
    this.taken.push({ stamp: { wall: this.now + this.ahead, era: this.clock.eras.at(-1)!.id }, at: this.now });
  }
  /** By how much each moment is told wrong, ms. */
  errors(): number[] {
    return this.taken.map((t) => instantOf(this.clock.eras, t.stamp) - t.at);
  }
}

describe('the clock of a device that is cut off', () => {
  it('is set right by an hour, either way, in the middle: every moment is still told as it was, and in its order', () => {
    for (const by of [HOUR, -HOUR]) {
      const t = new Tablet();
      t.answer();
      t.take();
      t.pass(MINUTE);
      t.set(by);
      t.take();
      t.pass(MINUTE);
      t.take();
      // Only what the next answer says tells a clock that was set forward from a device that slept.
      expect(isSettled(t.clock.eras, t.taken[1]!.stamp.era)).to.equal(false);
      t.answer();
      expect(t.errors(), String(by)).to.deep.equal([0, 0, 0]);
    }
  });
  it('sleeps an hour: what was taken before and after it is an hour apart', () => {
    const t = new Tablet();
    t.answer();
    t.take();
    t.sleep(HOUR);
    t.take();
    t.pass(MINUTE);
    t.answer();
    expect(t.errors()).to.deep.equal([0, 0]);
  });
  it('is wrong from the beginning and set right by the network itself: what was taken before is told by what it jumped', () => {
    const t = new Tablet();
    t.ahead = -5 * HOUR;
    t.reload();
    t.take();
    t.pass(MINUTE);
    t.set(5 * HOUR);
    t.answer();
    t.take();
    // Nothing was ever measured before it: a jump forward may as well have been sleep, and the device was never known to be wrong.
    expect(t.errors()[1]).to.equal(0);
    const known = new Tablet();
    known.ahead = -5 * HOUR;
    known.reload();
    known.answer();
    known.take();
    known.pass(MINUTE);
    known.set(5 * HOUR);
    known.take();
    known.answer();
    expect(known.errors()).to.deep.equal([0, 0]);
  });
  it('is set while no page is open: what the next page takes is told by its own answer, what the last one took by its own', () => {
    const t = new Tablet();
    t.answer();
    t.take();
    t.ahead += HOUR;
    t.pass = (ms: number) => void (t.now += ms);
    t.pass(MINUTE);
    t.reload();
    t.take();
    t.answer();
    expect(t.errors()).to.deep.equal([0, 0]);
  });
  it('is measured a little otherwise with every answer: what was taken later is told later, and the same again as it was', () => {
    const t = new Tablet();
    t.answer();
    t.take();
    t.pass(150);
    t.take();
    const first = toldAfter(t.clock.eras, null, t.taken[0]!.stamp);
    const eras = measured(t.clock, [-400, -400]).eras;
    const second = toldAfter(eras, first, t.taken[1]!.stamp);
    expect([first.at, second.at]).to.deep.equal([t.taken[0]!.at, t.taken[0]!.at + 1]);
    expect(toldAfter(eras, second, t.taken[1]!.stamp)).to.equal(second);
    // What was taken before and is sent again later is not pushed behind it.
    expect(toldAfter(eras, second, t.taken[0]!.stamp).at).to.equal(t.taken[0]!.at - 400);
  });
  it('is right, on a slow network: it stays as it is, and two such devices tell what they saw in its order', () => {
    const [bench, bay] = [new Tablet(), new Tablet()];
    bench.answer(4000, 10);
    bay.answer(10, 4000);
    bench.take();
    bay.pass(bench.now - bay.now + 5);
    bay.take();
    expect([bench.errors(), bay.errors()]).to.deep.equal([[0], [0]]);
  });
  it('is wrong, on a slow network: each answer narrows how far, and a slow one does not undo what a quick one said', () => {
    const t = new Tablet();
    t.ahead = 10000;
    t.reload();
    t.take();
    t.answer(3000, 1000);
    expect(t.errors()).to.deep.equal([3000]);
    t.answer(20, 1900);
    expect(t.errors()).to.deep.equal([20]);
    t.answer(4000, 4);
    expect(t.errors()).to.deep.equal([20]);
    t.answer(6, 4);
    expect(t.errors()).to.deep.equal([6]);
  });
  it('drifts: what was said long ago gives way to what is said now', () => {
    const t = new Tablet();
    t.answer(2, 2);
    t.ahead = 900;
    t.answer(30, 30);
    t.take();
    expect(Math.abs(t.errors()[0]!)).to.be.at.most(30);
  });
  it('says nothing where nothing was ever measured, and remembers so many eras and no more', () => {
    const t = new Tablet();
    expect(offsetIn(t.clock.eras, 'era 0')).to.equal(null);
    for (let i = 0; i < 200; i += 1) t.reload();
    expect(t.clock.eras.length).to.equal(60);
    t.answer();
    expect(offsetIn(t.clock.eras, 'long ago')).to.equal(0);
  });
  it('whatever is done with it while a page looks on, in whatever order: one setting between two answers is found out', () => {
    const step = fc.oneof(
      { weight: 4, arbitrary: fc.constant('take') },
      { weight: 2, arbitrary: fc.constant('pass') },
      { weight: 1, arbitrary: fc.constantFrom('set forward', 'set back', 'sleep', 'answer') },
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), fc.integer({ min: 3, max: 900 }), (steps, minutes) => {
        const t = new Tablet();
        t.answer();
        let uncertain = 0;
        for (const s of steps) {
          if (s === 'take') t.take();
          if (s === 'pass') t.pass(MINUTE);
          if (s === 'answer') {
            t.answer();
            uncertain = 0;
          }
          // Two of the same length and another kind cannot be told apart by what they add up to.
          if (s.startsWith('set') || s === 'sleep') {
            if (uncertain > 0 && s !== 'set back') continue;
            if (s === 'set forward') t.set(minutes * MINUTE);
            if (s === 'set back') t.set(-minutes * MINUTE * 1.5);
            if (s === 'sleep') t.sleep(minutes * MINUTE);
            if (s !== 'set back') uncertain += 1;
          }
          t.pass(1000);
        }
        t.answer();
        for (const e of t.errors()) expect(Math.abs(e)).to.be.at.most(1);
      }),
    );
  });
});
