import { expect } from 'chai';
import { heldAsOf } from '../src/history/atOnce.ts';

const at = (seconds: number): string => new Date(Date.UTC(2026, 5, 1, 8, 0, 0) + seconds * 1000).toISOString();
const told = (...seconds: readonly number[]) => seconds.map((s) => ({ happenedAt: at(s) }));

describe('what is pressed at once', () => {
  it('is held against what came in first, whichever pressed a moment before', () => {
    expect(heldAsOf(told(), at(0))).to.equal(at(0));
    expect(heldAsOf(told(2), at(0))).to.equal(at(2));
    expect(heldAsOf(told(1, 3, 2), at(0))).to.equal(at(3));
    expect(heldAsOf(told(-2), at(0)), 'never before it was pressed').to.equal(at(0));
  });

  it('is not what comes late: that is held against what was on record then', () => {
    expect(heldAsOf(told(5), at(0))).to.equal(at(0));
    expect(heldAsOf(told(3600), at(0))).to.equal(at(0));
  });
});
