import type { DueItem, VehicleDue } from '@dauer/contract';
import { expect } from 'chai';
import { dueSoon, isDueNow, yearAhead } from '../src/features/due/dueGroups.ts';

const TODAY = '2026-12-01';
const item = (key: string, on: string | null, over: Partial<DueItem> = {}): DueItem => ({
  ...{ key, about: 'hoses', what: key, why: '', on, km: null, reached: false, access: 'wheels_off' },
  ...over,
});
const vehicle = (tag: string, dues: readonly DueItem[], over: Partial<VehicleDue> = {}): VehicleDue => ({
  ...{ vehicleId: tag, tag, name: tag, use: 'stands', standsYears: 2, jobId: tag, inShop: false, move: 'handed_back' },
  ...{ exercised: null, fluidChanged: null, km: null, dues: [...dues] },
  ...over,
});

describe('what falls due, grouped', () => {
  it('two months ahead and no further; what its distance reached counts without a day; what is in the shop does not', () => {
    const mine = vehicle('V 1', [
      item('now', '2026-11-30'),
      item('soon', '2027-01-30'),
      item('later', '2027-01-31'),
      item('run', null, { km: 1000, reached: true }),
      item('access', null),
    ]);
    const [one] = dueSoon([mine, vehicle('V 2', [item('x', TODAY)], { inShop: true })], TODAY);
    expect(one?.bundles.flatMap((b) => b.items.map((i) => i.key))).to.deep.equal(['now', 'soon', 'run']);
    expect(dueSoon([vehicle('V 3', [item('access', null)])], TODAY)).to.deep.equal([]);
    expect([isDueNow(item('a', TODAY), TODAY), isDueNow(item('b', '2026-12-02'), TODAY)]).to.deep.equal([true, false]);
  });
  it('together what one access gives, in the order in which it is come to', () => {
    const [one] = dueSoon(
      [vehicle('V 1', [item('drive', TODAY, { access: 'driven' }), item('hose', TODAY), item('try', TODAY, { access: 'standing' })])],
      TODAY,
    );
    expect(one?.bundles.map((b) => b.access)).to.deep.equal(['wheels_off', 'standing', 'driven']);
  });
  it('twelve months from this one; overdue stands in the first, each thing in one month only', () => {
    const months = yearAhead(
      [
        vehicle('V 1', [
          item('old', '2021-09-08'),
          item('this', '2026-12-31'),
          item('next', '2027-01-01'),
          item('far', '2027-12-01'),
          item('run', null, { reached: true }),
        ]),
      ],
      TODAY,
    );
    expect([months.length, months[0]?.id, months.at(-1)?.id]).to.deep.equal([12, '2026-12', '2027-11']);
    expect(months.map((m) => m.count)).to.deep.equal([3, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0]);
  });
});
