import { expect } from 'chai';
import fc from 'fast-check';
import { daysAfter, monthsAfter, workingDaysAfter, yearsAfter, yearsBetween } from '../src/quantity/calendar.ts';

const day = fc.integer({ min: 0, max: 60000 }).map((n) => new Date(Date.UTC(1950, 0, 1) + n * 86400000).toISOString().slice(0, 10));

describe('the calendar of the book', () => {
  it('counts working days over Saturdays and Sundays, and never ends on one', () => {
    // A Friday.
    expect([0, 1, 5, 6].map((n) => workingDaysAfter('2026-11-27', n))).to.deep.equal([
      '2026-11-27',
      '2026-11-30',
      '2026-12-04',
      '2026-12-07',
    ]);
    fc.assert(
      fc.property(day, fc.integer({ min: 1, max: 60 }), (from, n) => {
        const to = workingDaysAfter(from, n);
        expect([0, 6]).not.to.include(new Date(`${to}T00:00:00Z`).getUTCDay());
        expect(workingDaysAfter(workingDaysAfter(from, n), 5)).to.equal(daysAfter(to, 7).slice(0, 10));
      }),
    );
  });

  it('clips a month that has no such day, and knows leap years', () => {
    expect(monthsAfter('2024-01-31', 1)).to.equal('2024-02-29');
    expect(monthsAfter('2023-01-31', 1)).to.equal('2023-02-28');
    expect(monthsAfter('2024-02-29', 12)).to.equal('2025-02-28');
    expect(monthsAfter('2026-11-30T23:59:59.999Z', 24)).to.equal('2028-11-30');
    expect(daysAfter('2026-02-28', 1)).to.equal('2026-03-01');
    expect(daysAfter('2026-03-01', -1)).to.equal('2026-02-28');
  });
  it('days add up, and come back', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: -5000, max: 5000 }), (from, a, b) => {
        expect(daysAfter(daysAfter(from, a), b)).to.equal(daysAfter(from, a + b));
      }),
    );
  });
  it('a month later is 28 to 31 days later, and never past the month that follows', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: 0, max: 60 }), (from, months) => {
        const then = monthsAfter(from, months);
        const [y, m] = then.split('-').map(Number) as [number, number];
        const [y0, m0, d0] = from.split('-').map(Number) as [number, number, number];
        expect(y * 12 + m).to.equal(y0 * 12 + m0 + months);
        expect(Number(then.slice(8))).to.be.at.most(d0);
      }),
    );
  });
  it('years of elapsed time go forth and back to the day', () => {
    fc.assert(
      fc.property(day, fc.double({ min: 0, max: 40, noNaN: true }), (from, years) => {
        expect(yearsBetween(from, yearsAfter(from, years))).to.be.within(years - 1.01 / 365.25, years + 1e-6);
      }),
    );
  });
  it('is the same wherever the device is', () => {
    const zone = process.env['TZ'];
    const sums = (): string[] => [
      monthsAfter('2026-03-31', 6),
      daysAfter('2026-03-28T23:30:00Z', 1),
      String(yearsBetween('2025-03-29', '2026-10-26')),
    ];
    try {
      const [first, ...others] = ['UTC', 'Pacific/Kiritimati', 'America/Adak', 'Europe/Paris'].map((tz) => {
        process.env['TZ'] = tz;
        return sums();
      });
      for (const other of others) expect(other).to.deep.equal(first);
    } finally {
      if (zone === undefined) delete process.env['TZ'];
      else process.env['TZ'] = zone;
    }
  });
});
