import { expect } from 'chai';
import fc from 'fast-check';
import { weighed } from '../src/features/bleed/session/weighed.ts';

/** Strokes that a row of weights comes to, a look at each. */
function strokesOf(weights: readonly number[], each: number): number {
  let from: number | null = null;
  let strokes = 0;
  for (const grams of weights)
    for (let more = true; more;) {
      const now = weighed(from, grams, each);
      from = now.from;
      more = now.stroke;
      if (now.stroke) strokes += 1;
    }
  return strokes;
}

describe('a bottle on a scale', () => {
  it('is counted by what it gains, from where it stood', () => {
    expect(strokesOf([212, 214, 217, 222.4], 5.2)).to.equal(2);
    expect(strokesOf([212], 5)).to.equal(0);
  });
  it('is weighed anew when it is emptied, and counts nothing twice', () => {
    expect(strokesOf([200, 206, 212, 100, 101, 106], 6)).to.equal(3);
    expect(strokesOf([200, 206, 205.5, 206.4], 6), 'a trembling hand').to.equal(1);
  });
  it('never counts more than was gained, nor a whole stroke less', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (steps, each) => {
          const weights = steps.reduce<number[]>((all, s) => [...all, (all.at(-1) ?? 100) + s], [100]);
          const gained = weights.at(-1)! - 100;
          const n = strokesOf(weights, each);
          expect(n * each).to.be.at.most(gained + 1e-6);
          expect((n + 1) * each).to.be.greaterThan(gained - 1e-6);
        },
      ),
    );
  });
});
