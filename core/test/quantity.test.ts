import { expect } from 'chai';
import fc from 'fast-check';
import { convert, display, fixed, groupThousands, placesFor, roundHalfAway, writeQuantity } from '../src/quantity/display.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { parseQuantity } from '../src/quantity/parse.ts';
import { type QuantityKind, KINDS, type UnitId, UNITS } from '../src/quantity/units.ts';
import { vectorTests } from './vectors.ts';

interface Input {
  op: string;
  typed: string;
  kind: QuantityKind;
  default_unit: UnitId;
  canonical: number;
  to_unit: UnitId;
  shown_unit: UnitId;
}

describe('quantities', () => {
  vectorTests('quantities', (input: Input) => {
    if (input.op === 'convert') return { value: convert(input.canonical, input.kind, input.to_unit) };
    const q = parseQuantity(input.typed, input.kind, input.default_unit);
    if (input.op === 'display') return { shown: display(q.canonical, q.kind, q.resolution, input.shown_unit, q.fraction) };
    return { canonical: q.canonical, unit: q.unit, resolution_canonical: q.resolution };
  });

  const unitCases = KINDS.flatMap((kind) => UNITS[kind].map((unit) => ({ kind, unit })));
  it('reads, writes and reads again to the same figure, for every kind and unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...unitCases),
        fc.integer({ min: -9999999, max: 9999999 }),
        fc.integer({ min: 0, max: 5 }),
        fc.boolean(),
        ({ kind, unit }, n, d, comma) => {
          let digits = (n / 10 ** d).toFixed(d);
          if (comma && d !== 3) digits = digits.replace('.', ',');
          let first;
          try {
            first = parseQuantity(digits, kind, unit.id);
          } catch (error) {
            // What cannot be read so, or cannot be at all.
            const refused = { distance_run: 'ambiguous_separator', temperature: 'below_absolute_zero', vacuum: 'beyond_vacuum' } as const;
            expect((error as DomainError).code).to.equal((refused as Partial<Record<QuantityKind, string>>)[kind]);
            return;
          }
          const again = parseQuantity(writeQuantity(first), kind, UNITS[kind][0]!.id);
          expect(again.canonical).to.equal(first.canonical);
          expect(again.unit).to.equal(first.unit);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('reads inch fractions exactly and writes them back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 1, max: 63 }), fc.constantFrom(2, 4, 8, 16, 32, 64), (w, n, q) => {
        fc.pre(n < q);
        const read = parseQuantity(w === 0 ? `${n}/${q} in` : `${w}-${n}/${q} in`, 'length', 'mm');
        expect(read.canonical).to.be.closeTo((w + n / q) * 25.4, 1e-9);
        expect(parseQuantity(writeQuantity(read), 'length', 'mm').canonical).to.equal(read.canonical);
      }),
    );
  });

  it('never answers nonsense with a figure: it reads it or refuses it with a code', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 14 }), fc.constantFrom(...KINDS), (text, kind) => {
        try {
          expect(Number.isFinite(parseQuantity(text, kind, UNITS[kind][0]!.id).canonical)).to.equal(true);
        } catch (error) {
          expect(error).to.be.instanceOf(DomainError);
          expect((error as DomainError).message).to.have.length.above(20);
        }
      }),
      { numRuns: 3000 },
    );
  });

  it('offers both readings of an ambiguous separator', () => {
    expect(() => parseQuantity('1,160 psi', 'pressure', 'bar')).to.throw(DomainError, /1160 or 1\.16/);
  });

  it('keeps two parts apart that differ by a fraction of a millimetre', () => {
    const inch = parseQuantity('7/8 in', 'length', 'mm');
    expect(display(inch.canonical, 'length', inch.resolution, 'mm', inch.fraction)).to.equal('22.23');
  });

  it('rounds halves away from zero on the decimal form', () => {
    expect(roundHalfAway(1.005, 2)).to.equal(1.01);
    expect(roundHalfAway(-2.5, 0)).to.equal(-3);
    expect(fixed(-0.001, 2)).to.equal('0.00');
    expect(placesFor(1)).to.equal(0);
    expect(groupThousands(1234567)).to.equal('1,234,567');
  });

  for (const text of ['12 .08', '12..08', '1/0 in', '1,23,4', '--3', '+', '12mm3', '3/4', '12 kg', '1.2.3', 'twelve']) {
    it(`refuses “${text}” in a millimetre field`, () => expect(() => parseQuantity(text, 'length', 'mm')).to.throw(DomainError));
  }
});
