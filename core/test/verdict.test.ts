import { expect } from 'chai';
import fc from 'fast-check';
import { DomainError, toResult } from '../src/quantity/domainError.ts';
import { type Bound, decide, type Verdict } from '../src/verdict/decide.ts';
import { checkLimit, findLimits, type LimitTarget, type LimitVersion, rankOf } from '../src/verdict/limits.ts';
import { blocksRelease, compareSeverity, SEVERITY, whoMayAccept, worst } from '../src/verdict/severity.ts';
import { mean as meanOf, ofReduction, type Reduction } from '../src/verdict/uncertainty.ts';
import { wear } from '../src/verdict/wear.ts';
import { vectorTests } from './vectors.ts';

interface VectorLimit {
  kind: 'lower' | 'upper' | 'range' | 'none';
  at_mm: number;
  low_mm: number;
  high_mm: number;
  nominal_mm?: number;
}
interface VectorGauge {
  accuracy_mm: number;
  resolution_mm: number;
}
interface Input {
  op: string;
  limit: VectorLimit;
  value_mm: number;
  expanded_mm: number;
  predicted_mm: number | null;
  gauges: VectorGauge[];
  gauge: VectorGauge;
  reduction: Reduction;
  repeats_mm?: number[];
  readings_mm: number[];
  verdicts: Verdict[];
  no_limit_accepted: boolean;
}

const boundFrom = (l: VectorLimit): Bound =>
  l.kind === 'none'
    ? { kind: 'none' }
    : l.kind === 'range'
      ? { kind: 'range', low: l.low_mm, high: l.high_mm, nominal: l.nominal_mm }
      : { kind: l.kind, at: l.at_mm, nominal: l.nominal_mm };
const gaugeFrom = (g: VectorGauge) => ({ accuracy: g.accuracy_mm, resolution: g.resolution_mm });
const judged = (l: VectorLimit, value: number, U: number, predicted: number | null) => {
  const d = decide(boundFrom(l), value, U, predicted);
  return { verdict: d.verdict, value_lies: d.side, band_left: d.toleranceLeft };
};
const mean = (v: number[]): number => v.reduce((a, b) => a + b, 0) / v.length;

describe('verdicts', () => {
  vectorTests('verdicts', (input: Input) => {
    switch (input.op) {
      case 'decide':
        return judged(input.limit, input.value_mm, input.expanded_mm, input.predicted_mm);
      case 'uncertainty': {
        const u = ofReduction(input.gauges.map(gaugeFrom), input.reduction, input.repeats_mm);
        return { u_mm: u.standard, expanded_mm: u.expanded, mean_mm: input.repeats_mm ? mean(input.repeats_mm) : undefined };
      }
      case 'worst': {
        const w = worst(input.verdicts);
        return { worst: w, blocks_release: input.verdicts.some((v) => blocksRelease(v, input.no_limit_accepted)) };
      }
      default: {
        const r = input.readings_mm;
        const value =
          input.reduction === 'min'
            ? Math.min(...r)
            : input.reduction === 'max'
              ? Math.max(...r)
              : input.reduction === 'range'
                ? Math.max(...r) - Math.min(...r)
                : mean(r);
        const U = ofReduction([gaugeFrom(input.gauge)], input.reduction, r).expanded;
        return { ...judged(input.limit, value, U, input.predicted_mm), value_mm: value, expanded_mm: U };
      }
    }
  });

  const finite = fc.double({ min: -50, max: 50, noNaN: true });
  it('a lower limit is the mirror of an upper one', () => {
    fc.assert(
      fc.property(finite, finite, fc.double({ min: 0, max: 5, noNaN: true }), (at, value, U) => {
        expect(decide({ kind: 'lower', at }, value, U).verdict).to.equal(decide({ kind: 'upper', at: -at }, -value, U).verdict);
      }),
    );
  });
  it('a finer gauge never turns holds into past or past into holds', () => {
    fc.assert(
      fc.property(
        finite,
        finite,
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (at, value, U, f) => {
          const coarse = decide({ kind: 'lower', at }, value, U).verdict;
          const fine = decide({ kind: 'lower', at }, value, U * f).verdict;
          if (coarse !== 'cant_tell') expect(fine).to.equal(coarse);
        },
      ),
    );
  });
  it('the worst of a list is in it and nothing in it is worse', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...SEVERITY), { minLength: 1 }), (list) => {
        const w = worst(list);
        expect(list).to.include(w);
        for (const v of list) expect(compareSeverity(w!, v)).to.be.at.most(0);
      }),
    );
    expect(worst([])).to.equal(null);
  });
  it('past on safety is never waived', () => {
    for (const generic of [true, false]) expect(whoMayAccept('past', 'safety', 'past', generic)).to.equal(null);
    expect(whoMayAccept('past', 'function', 'past', true)).to.equal('lead');
    expect(whoMayAccept('past', 'function', 'past', false)).to.equal(null);
    expect(whoMayAccept('cant_tell', 'function', 'within', false)).to.equal('technician');
    expect(whoMayAccept('cant_tell', 'safety', 'within', false)).to.equal('lead');
    expect(whoMayAccept('cant_tell', 'function', 'past', true)).to.equal(null);
    expect(whoMayAccept('not_gauged', 'function', null, false)).to.equal(null);
  });
});

describe('the mean of readings', () => {
  it('is of readings: of none there is none', () => {
    expect(meanOf([3, 5])).to.equal(4);
    expect(toResult(() => meanOf([]))).to.have.nested.property('refusal.code', 'too_few_readings');
  });
});

describe('wear', () => {
  interface Point {
    run_km: number;
    value_mm: number;
    u_mm?: number;
    after_machining?: boolean;
  }
  vectorTests(
    'wear',
    (i: {
      points: Point[];
      direction: 'falls' | 'grows';
      limit_mm: number;
      km_to_next_service: number;
      new?: { run_km: number; value_mm: number };
    }) => {
      const w = wear(
        i.points.map((p) => ({ run: p.run_km, value: p.value_mm, u: p.u_mm, afterMachining: p.after_machining })),
        i.direction,
        i.limit_mm,
        i.km_to_next_service,
        i.new ? { run: i.new.run_km, value: i.new.value_mm } : null,
      );
      return {
        slope_mm_per_1000km: w.slope * 1000,
        error_mm_per_1000km: w.error === null ? null : w.error * 1000,
        points_used: w.pointsUsed,
        predicted_mm: w.predicted,
        predicted_past: w.predictedPast,
        remaining_km: w.remaining,
      };
    },
  );
  it('does not depend on the order of the readings', () => {
    const points = [
      [0, 12],
      [9000, 11.91],
      [21000, 11.7],
      [30000, 11.64],
    ].map(([run, value]) => ({ run: run!, value: value! }));
    const forward = wear(points, 'falls', 10, 10000);
    expect(wear([...points].reverse(), 'falls', 10, 10000)).to.deep.equal(forward);
    expect(forward.predictedBad).to.be.below(forward.predicted);
  });
});

const limit = (over: Partial<LimitVersion>): LimitVersion => ({
  id: '1',
  seriesId: 's',
  characteristic: 'rotor_thickness',
  scope: 'shop',
  appliesTo: null,
  make: null,
  model: null,
  yearFrom: null,
  yearTo: null,
  variant: null,
  axle: null,
  bound: 'lower',
  nominal: null,
  machineTo: null,
  at: 10,
  low: null,
  high: null,
  gravity: 'safety',
  atLeast: false,
  source: 'house',
  sourceText: '',
  asPrinted: '',
  printedUnit: 'mm',
  enteredBy: 'x',
  enteredAt: '',
  checkedBy: null,
  checkedAt: null,
  ...over,
});
const target: LimitTarget = {
  characteristic: 'rotor_thickness',
  axle: 'front',
  partId: 'part',
  partNumber: 'PN 1',
  vehicleId: 'veh',
  make: 'Tavell',
  model: 'Corrie',
  year: 1971,
  variant: 'GT',
};

describe('the limit book', () => {
  it('prefers this part, then its number, the vehicle, the closest type, the shop, generic', () => {
    const inOrder = [
      limit({ scope: 'part', appliesTo: 'part' }),
      limit({ scope: 'part_number', appliesTo: 'pn 1' }),
      limit({ scope: 'vehicle', appliesTo: 'veh' }),
      limit({ scope: 'type', make: 'TAVELL', model: 'corrie', yearFrom: 1970, yearTo: 1973, variant: 'gt' }),
      limit({ scope: 'type', make: 'Tavell', model: 'Corrie', yearFrom: 1970 }),
      limit({ scope: 'type', make: 'Tavell', model: 'Corrie' }),
      limit({ scope: 'shop' }),
      limit({ scope: 'shop', source: 'generic' }),
    ].map((l, i) => ({ ...l, id: String(i), seriesId: String(i) }));
    const ranks = inOrder.map((l) => rankOf(l, target) ?? Infinity);
    expect([...ranks].sort((a, b) => a - b)).to.deep.equal(ranks);
    fc.assert(
      fc.property(fc.shuffledSubarray(inOrder, { minLength: 1 }), (some) => {
        const best = [...some].sort((a, b) => Number(a.id) - Number(b.id))[0];
        expect(findLimits(some, target).governing.map((l) => l.id)).to.deep.equal([best!.id]);
      }),
    );
  });
  it('does not apply across axles, makes, years or characteristics', () => {
    const no = [
      limit({ axle: 'rear' }),
      limit({ characteristic: 'pad_lining' }),
      limit({ scope: 'type', make: 'Rooke', model: 'Corrie' }),
      limit({ scope: 'type', make: 'Tavell', model: 'Corrie', yearTo: 1969 }),
      limit({ scope: 'vehicle', appliesTo: 'other' }),
    ];
    for (const l of no) expect(rankOf(l, target)).to.equal(null);
  });
  it('a number or a type that nobody knows is none that a limit is of, and blanks round it make no other one', () => {
    const unknown = { ...target, partNumber: null, make: '', model: '', variant: null };
    const numbered = limit({ scope: 'part_number', appliesTo: ' pn 1' });
    const typed = limit({ scope: 'type', make: 'Tavell ', model: ' Corrie', variant: 'GT ' });
    expect([numbered, typed].map((l) => rankOf(l, unknown))).to.deep.equal([null, null]);
    expect(rankOf(limit({ scope: 'part_number' }), unknown), 'no number beside no number').to.equal(null);
    expect(rankOf(limit({ scope: 'part_number' }), target), 'no number beside one').to.equal(null);
    expect(rankOf(numbered, { ...target, partNumber: 'PN 1 ' })).to.be.a('number');
    expect(rankOf(typed, { ...target, make: ' TAVELL', model: 'Corrie ', variant: ' gt' })).to.be.a('number');
  });
  it('counts only the newest version of a series', () => {
    const found = findLimits([limit({ id: '1', at: 10 }), limit({ id: '2', at: 11 })], target);
    expect(found.governing.map((l) => l.at)).to.deep.equal([11]);
  });
  it('keeps two of one rank in conflict, and "at least" binding below its rank', () => {
    const found = findLimits(
      [
        limit({ id: '1', seriesId: 'a', scope: 'vehicle', appliesTo: 'veh' }),
        limit({ id: '2', seriesId: 'b', scope: 'vehicle', appliesTo: 'veh', at: 11 }),
        limit({ id: '3', seriesId: 'c', atLeast: true, at: 12 }),
        limit({ id: '4', seriesId: 'd', at: 13 }),
      ],
      target,
    );
    expect(found.governing).to.have.length(2);
    expect(found.also.map((l) => l.at)).to.deep.equal([12]);
  });
  it('refuses figures that do not lie in order', () => {
    const bad = [{ at: 10, machineTo: 9 }, { at: 10, nominal: 9 }, { at: 10, machineTo: 12, nominal: 11 }, { at: null }];
    for (const b of bad) expect(() => checkLimit(limit(b)), JSON.stringify(b)).to.throw(DomainError);
    expect(() => checkLimit(limit({ bound: 'range', at: null, low: 2, high: 1 }))).to.throw(DomainError);
    expect(() => checkLimit(limit({ at: 10, machineTo: 10.4, nominal: 12 }))).to.not.throw();
    expect(() => checkLimit(limit({ bound: 'upper', at: 230, machineTo: 229.6, nominal: 228.6 }))).to.not.throw();
  });
});
