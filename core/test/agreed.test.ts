import { expect } from 'chai';
import { agreedBeside } from '../src/views/agreed.ts';

describe('who agreed to a torque', () => {
  const person = (id: string, name: string) => ({ id, name, initials: name.charAt(0), role: 'technician' as const, active: true });
  const records = {
    people: [person('a', 'Ada'), person('b', 'Ben')],
    torqueChecks: [
      { id: '1', torque: 'union', checkedBy: 'a', checkedAt: '2026-01-01T08:00:00.000Z' },
      { id: '2', torque: 'union', checkedBy: 'b', checkedAt: '2026-01-02T08:00:00.000Z' },
      { id: '3', torque: 'banjo_iron', checkedBy: 'a', checkedAt: '2026-01-02T08:00:00.000Z' },
    ],
  };
  it('is somebody else: one’s own word checks nothing', () => {
    const forAda = agreedBeside(records, 'a');
    expect([forAda('union'), forAda('banjo_iron'), forAda('bleeder_small')]).to.deep.equal([['Ben'], [], []]);
    expect(agreedBeside(records, undefined)('union')).to.deep.equal(['Ada', 'Ben']);
  });
});
