import { expect } from 'chai';
import fc from 'fast-check';
import { deriveJob } from '../src/job/job.ts';
import type { LimitVersion } from '../src/verdict/limits.ts';
import {
  LIMIT_COLUMNS,
  type LimitFields,
  limitKey,
  MAX_LIMIT_ROWS,
  readLimitList,
  readLimitRow,
  rowOfLimit,
  sameLimit,
} from '../src/views/limitExchange.ts';
import { limitsNeeded } from '../src/views/limitsOfVehicle.ts';
import { FOUR, LIMIT, NOW, JobFixture } from './jobFixture.ts';

const fields = (over: Partial<LimitFields> = {}): LimitFields => {
  const { id: _i, seriesId: _s, enteredBy: _b, enteredAt: _a, checkedBy: _c, checkedAt: _d, ...rest } = LIMIT;
  return { ...rest, scope: 'type', appliesTo: null, make: 'Tavell', model: 'Corrie', yearFrom: null, yearTo: null, variant: null, ...over };
};
const row = (over: Record<string, string> = {}) => ({ ...rowOfLimit(fields()), ...over });
const stands = (over: Partial<LimitVersion> = {}): LimitVersion => ({ ...LIMIT, ...fields(), ...over });

describe('a limit list', () => {
  it('written and read again is the same limit, whatever its figures', () => {
    const figure = fc.double({ min: 1, max: 400, noNaN: true }).map((x) => Math.round(x * 1000) / 1000);
    fc.assert(
      fc.property(
        figure,
        figure,
        figure,
        fc.constantFrom('lower', 'upper'),
        fc.constantFrom('front', 'rear', null),
        (a, b, c, bound, axle) => {
          const [low = 0, mid = 0, high = 0] = [a, b, c].sort((x, y) => x - y);
          fc.pre(low < mid && mid < high);
          const characteristic = bound === 'lower' ? 'rotor_thickness' : 'drum_diameter';
          const l = fields({
            characteristic,
            bound,
            axle,
            nominal: bound === 'lower' ? high : low,
            machineTo: mid,
            at: bound === 'lower' ? low : high,
          });
          const back = readLimitRow(rowOfLimit(l));
          expect(back).to.deep.equal(l);
          expect(sameLimit(back, l)).to.equal(true);
          expect(Object.keys(rowOfLimit(l))).to.deep.equal([...LIMIT_COLUMNS]);
        },
      ),
    );
  });
  it('figures are read in their unit', () => {
    expect(readLimitRow(row({ unit: 'in', nominal: '0.5', machine_to: '', at: '0.433' })).at).to.be.closeTo(10.9982, 1e-9);
  });
  it('every row has its verdict: new, same, conflicts, not understood', () => {
    const list = readLimitList(
      [
        row(),
        row({ axle: 'rear' }),
        row({ axle: 'rear', at: '10' }),
        row({ characteristic: 'colour' }),
        row({ at: 'eleven' }),
        row({ at: '13' }),
      ],
      [stands()],
    );
    expect(list.map((r) => r.verdict)).to.deep.equal(['same', 'new', 'conflicts', 'not_understood', 'not_understood', 'not_understood']);
    expect(list.map((r) => r.line)).to.deep.equal([1, 2, 3, 4, 5, 6]);
    expect(list[2]?.why).to.equal('Row 2 is about the same.');
    for (const r of list.slice(3)) expect(r.why, String(r.line)).to.have.length.greaterThan(10);
    expect(readLimitList([row({ at: '10.9', machine_to: '' })], [stands()])[0]?.verdict).to.equal('conflicts');
  });
  it('the newest version counts, and names are compared as they are said', () => {
    const newer = stands({ id: 'lim2', at: 10.5, machineTo: null });
    expect(readLimitList([row({ at: '10.5', machine_to: '', make: 'TAVELL ' })], [stands(), newer])[0]?.verdict).to.equal('same');
    expect(limitKey(fields({ make: 'tavell' }))).to.equal(limitKey(fields()));
  });
  it('what is no limit list is refused with a sentence', () => {
    const said = (rows: Record<string, string>[]): string => {
      try {
        readLimitList(rows, []);
        return '';
      } catch (error) {
        return (error as Error).message;
      }
    };
    expect(said([])).to.include('no row');
    expect(said([{ 'characteristic;scope;bound': 'x' }])).to.include('no limit list');
    expect(said(Array.from({ length: MAX_LIMIT_ROWS + 1 }, () => row()))).to.include(String(MAX_LIMIT_ROWS + 1));
  });
});

describe('the limits that a vehicle needs', () => {
  it('are told with the one that applies and why, and what is missing', () => {
    const t = new JobFixture(FOUR);
    const of = () => limitsNeeded(deriveJob(t.file, NOW));
    const front = of().find((n) => n.characteristic === 'rotor_thickness' && n.axle === 'front')!;
    expect(front.limit?.id).to.equal('lim');
    expect(front.why).to.equal('Works manual (maker’s document), for this vehicle.');
    expect(of().find((n) => n.characteristic === 'rotor_thickness' && n.axle === 'rear')?.limit).to.equal(null);
    t.file.limits = [...t.file.limits, stands({ id: 'ty', seriesId: 'ty' })];
    expect(of().find((n) => n.characteristic === 'rotor_thickness' && n.axle === 'front')?.why).to.include('not that for this type');
    const keys = of().map((n) => `${n.characteristic}${n.axle ?? ''}`);
    expect(new Set(keys).size).to.equal(keys.length);
  });
});
