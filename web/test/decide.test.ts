import { expect } from 'chai';
import fc from 'fast-check';
import { type SumMark, sumScale } from '../src/features/decide/sumScale.ts';

const mark = (id: string, gross: number): SumMark => ({ id, name: id, gross, says: '', filled: false });

describe('the rule of sums', () => {
  it('has nothing at the left, every sum on it, and the dearer further right', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 1e7 }), { minLength: 1, maxLength: 4 }),
        fc.option(fc.integer({ min: 0, max: 1e7 })),
        fc.integer({ min: 260, max: 1200 }),
        (sums, authorised, width) => {
          const s = sumScale(
            sums.map((g, i) => mark(String(i), g)),
            authorised,
            width,
            100,
          );
          expect(s.marks).to.have.length(sums.length);
          for (const m of s.marks) expect(m.x).to.be.within(s.x(0), width);
          const sorted = [...s.marks].sort((a, b) => a.gross - b.gross);
          for (const [i, m] of sorted.entries()) expect(m.x).to.be.at.least(sorted[i - 1]?.x ?? 0);
          expect(s.ticks.length).to.be.lessThan(400);
          expect(s.ticks.filter((t) => t.minor !== null).length).to.be.lessThan(12);
        },
      ),
    );
  });

  it('labels that would meet stand on lines of their own', () => {
    const s = sumScale([mark('a', 50_000), mark('b', 50_100), mark('c', 200_000)], 90_000, 850, 100);
    expect(s.marks.map((m) => m.level)).to.deep.equal([0, 1, 0]);
    expect(s.levels).to.equal(2);
  });

  it('a sum of nothing at all still has a rule', () => {
    const s = sumScale([mark('a', 0)], null, 400, 100);
    expect(s.x(1000)).to.be.greaterThan(s.x(0));
  });
});
