import { expect } from 'chai';
import fc from 'fast-check';
import { chooseCheapest, type ChoiceProblem, costOfWays } from '../src/estimate/choose.ts';

const problems = fc
  .record({
    shared: fc.array(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 4 }),
    perDay: fc.integer({ min: 0, max: 60 }),
    rows: fc.array(
      fc.array(
        fc.record({
          cost: fc.integer({ min: -50, max: 500 }),
          needs: fc.uniqueArray(fc.integer({ min: 0, max: 3 }), { maxLength: 3 }),
          lead: fc.constantFrom(0, 0, 2, 5, 9),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      { minLength: 1, maxLength: 6 },
    ),
  })
  .map(({ shared, perDay, rows }): ChoiceProblem => ({
    shared,
    rows: rows.map((r) => r.map((w) => ({ ...w, needs: w.needs.filter((n) => n < shared.length) }))),
    delay: (lead) => lead * perDay,
  }));

function bruteForce(p: ChoiceProblem): number {
  const all = p.rows.reduce<number[][]>((lists, r) => lists.flatMap((l) => r.map((_, i) => [...l, i])), [[]]);
  return Math.min(...all.map((ways) => costOfWays(p, ways)));
}

describe('the cheapest way of doing every row', () => {
  it('equals trying all of them, shared things and waiting counted once', () => {
    fc.assert(
      fc.property(problems, (p) => {
        const found = chooseCheapest(p);
        if (!found) throw new Error('no way found where every row has one');
        expect(found.cost).to.be.closeTo(bruteForce(p), 1e-6);
        expect(costOfWays(p, found.ways)).to.be.closeTo(found.cost, 1e-6);
        expect(found.bound).to.equal(found.cost);
      }),
      { numRuns: 300 },
    );
  });

  it('finds none where a row cannot be done', () => {
    expect(chooseCheapest({ rows: [[{ cost: 1, needs: [], lead: 0 }], []], shared: [], delay: () => 0 })).to.equal(null);
  });

  it('waits no longer than waiting is worth', () => {
    const rows = [
      [
        { cost: 100, needs: [], lead: 0 },
        { cost: 40, needs: [], lead: 10 },
      ],
    ];
    expect(chooseCheapest({ rows, shared: [], delay: (d) => d * 5 })?.ways).to.deep.equal([1]);
    expect(chooseCheapest({ rows, shared: [], delay: (d) => d * 7 })?.ways).to.deep.equal([0]);
  });

  it('opens a corner for all that pays for it together, and for none alone', () => {
    const row = [
      { cost: 30, needs: [], lead: 0 },
      { cost: 0, needs: [0], lead: 0 },
    ];
    const problem = (n: number): ChoiceProblem => ({ rows: Array.from({ length: n }, () => row), shared: [50], delay: () => 0 });
    expect(chooseCheapest(problem(1))?.ways).to.deep.equal([0]);
    expect(chooseCheapest(problem(2))?.ways).to.deep.equal([1, 1]);
  });

  it('of a size that it cannot go through says how much cheaper it could be at most', () => {
    let seed = 7;
    const next = (n: number): number => (seed = (seed * 48271) % 2147483647) % n;
    const rows = Array.from({ length: 40 }, () =>
      Array.from({ length: 6 }, () => ({ cost: next(100), needs: Array.from({ length: 4 }, () => next(30)), lead: 0 })),
    );
    const found = chooseCheapest({ rows, shared: Array.from({ length: 30 }, () => 40 + next(80)), delay: () => 0 });
    expect(found?.bound).to.be.lessThan(found?.cost ?? 0);
    expect(found?.bound).to.be.greaterThan(0);
  }).timeout(8000);
});
