import { expect } from 'chai';
import fc from 'fast-check';
import { accountOf } from '../src/estimate/account.ts';
import { crossing } from '../src/estimate/authorised.ts';
import { billed } from '../src/estimate/cost.ts';
import { offerSum, sheetOf } from '../src/estimate/offer.ts';
import { estimateOf } from '../src/estimate/variants.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { LONGEST_STRETCH, takenOf } from '../src/history/taken.ts';
import { deriveJob } from '../src/job/job.ts';
import type { OrderLine } from '../src/ledger/families/orderLines.ts';
import type { OrderStep } from '../src/ledger/families/orderSteps.ts';
import { isDuty } from '../src/ledger/obligation.ts';
import type { ArticleVersion, RatesVersion } from '../src/ledger/priceRecords.ts';
import { grossOf } from '../src/quantity/money.ts';
import { accountRows } from '../src/views/accountForSheet.ts';
import { buildSheet } from '../src/views/handback.ts';
import { readSheet } from '../src/views/readSheet.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const RATES: RatesVersion = {
  ...{ id: 'r1', currency: 'EUR', hourly: 6000, hoursADay: 6, bayADay: 0, shipping: 0, towing: 0 },
  ...{ standardPermille: 200, reducedPermille: 50, reason: '', enteredBy: 'ann', enteredAt: NOW },
};
const ROTOR: ArticleVersion = {
  ...{ id: 'rotor', seriesId: 'rotor', name: 'Rotor', partNumber: null, supply: 'new', kind: 'rotor', process: null, fits: 'shop' },
  ...{ appliesTo: null, make: null, model: null, axle: null, supplierId: null, price: 4000, tax: 'standard', pricedOn: '2026-05-01' },
  ...{ leadDays: 2, core: 0, scarcity: 'available', covers: 'one', contents: [], states: {}, retired: false },
  ...{ enteredBy: 'ann', enteredAt: NOW },
};

/** A job whose front rotors are to be new. */
function rotors(): JobFixture {
  const told = new JobFixture(FOUR);
  told.file.rates = [RATES];
  told.file.articles = [ROTOR];
  for (const corner of ['FL', 'FR'] as const) told.decide(told.slot('rotor', corner), 'replace');
  return told;
}
function works(told: JobFixture, slotId: string | null, attendedMinutes: number): string {
  const e = { ...base(told.next()), slotId, title: 'Work', attendedMinutes };
  told.file.operations = [...told.file.operations, e];
  return e.id;
}
/** @param at minutes since NOW's midnight */
function clock(told: JobFixture, operationId: string, kind: 'start' | 'stop' | 'done', minute: number): void {
  const happenedAt = new Date(Date.parse('2026-01-10T00:00:00.000Z') + minute * 60_000).toISOString();
  told.file.operationEvents = [...told.file.operationEvents, { ...base(told.next()), happenedAt, operationId, kind, note: '' }];
}
function ordered(told: JobFixture, over: Partial<OrderLine>): OrderLine {
  const line: OrderLine = {
    ...base(told.next()),
    ...{ supplierId: 's', supplier: 'Bramhall Spares', name: 'Rotor', articleId: 'rotor', partNumber: null, supply: 'new', count: 2 },
    ...{ places: [told.slot('rotor', 'FL'), told.slot('rotor', 'FR')], need: 'front-rotor:new:Rotor', price: 4000, core: null },
    ...{ expected: null, shopsOwn: false, note: '' },
    ...over,
  };
  told.file.orderLines = [...told.file.orderLines, line];
  return line;
}
function stepped(told: JobFixture, line: OrderLine, kind: OrderStep['kind'], over: Partial<OrderStep> = {}): void {
  const step: OrderStep = {
    ...base(told.next()),
    ...{ lineId: line.id, kind, count: line.count, day: null, result: null, slotId: null, amount: null, note: '' },
    ...over,
  };
  told.file.orderSteps = [...told.file.orderSteps, step];
}
function looked(told: JobFixture) {
  const state = deriveJob(told.file, NOW);
  const estimate = estimateOf(state.history, state.components);
  return { state, estimate, account: accountOf(state.history, estimate), over: crossing(state.history, state.components) };
}
const lineOf = (told: JobFixture, name: string) => looked(told).account.lines.find((l) => l.name === name)!;

describe('hours taken', () => {
  it('are those of the clock, and the planned ones of what is done without one', () => {
    const told = rotors();
    const place = told.slot('rotor', 'FL');
    const [clocked, done, planned, running] = [
      works(told, place, 30),
      works(told, null, 25),
      works(told, place, 40),
      works(told, place, 9),
    ];
    clock(told, clocked, 'start', 480);
    clock(told, clocked, 'stop', 500);
    clock(told, clocked, 'start', 510);
    clock(told, clocked, 'done', 555);
    clock(told, done, 'done', 600);
    clock(told, running, 'start', 610);
    const taken = takenOf(openHistory(told.file));
    expect(taken.map((t) => [t.operation.id, t.minutes, t.clocked])).to.deep.equal([
      [clocked, 65, true],
      [done, 25, false],
    ]);
    expect(taken.some((t) => t.operation.id === planned)).to.equal(false);
  });

  it('never count a forgotten clock for more than anybody works in a day, nor less than it ran below that', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 * 24 * 60 }), (ran) => {
        const told = rotors();
        const o = works(told, null, 30);
        clock(told, o, 'start', 0);
        clock(told, o, 'stop', ran);
        const [t] = takenOf(openHistory(told.file));
        expect(t!.minutes + t!.uncounted).to.equal(ran);
        expect(t!.minutes).to.be.at.most(Math.ceil((ran + 1) / 1440) * LONGEST_STRETCH * 60);
        if (ran <= LONGEST_STRETCH * 60) expect(t!.uncounted).to.equal(0);
      }),
    );
  });
});

describe('the account of a job', () => {
  it('sets what was taken beside what was reckoned, row by row', () => {
    const told = rotors();
    const before = lineOf(told, 'Front rotors');
    expect([before.minutes, before.actual]).to.deep.equal([null, 0]);
    const o = works(told, told.slot('rotor', 'FR'), 20);
    clock(told, o, 'start', 480);
    clock(told, o, 'done', 510);
    ordered(told, {});
    const after = lineOf(told, 'Front rotors');
    // Half an hour at 60.00 and two rotors at 40.00, with a fifth of tax.
    expect([after.minutes, after.labour, after.goods]).to.deep.equal([30, 3600, 9600]);
    expect(after.reckoned).to.equal(before.reckoned);
    expect(looked(told).account.actual).to.equal(after.actual);
  });

  it('counts no shop’s own tool, nothing that is cancelled, and nothing that goes back', () => {
    const told = rotors();
    ordered(told, { shopsOwn: true, need: null });
    const wrong = ordered(told, {});
    stepped(told, wrong, 'arrived');
    stepped(told, wrong, 'checked', { result: 'wrong' });
    stepped(told, ordered(told, {}), 'cancelled');
    expect(lineOf(told, 'Front rotors').goods).to.equal(0);
  });

  it('puts what is of no row under the vehicle as a whole, so that the lines come to the whole', () => {
    const told = rotors();
    clock(told, works(told, null, 200), 'done', 600);
    const { account } = looked(told);
    expect(account.lines.at(-1)).to.include({ id: 'whole', minutes: 200 });
    expect(account.lines.reduce((n, l) => n + l.actual, 0)).to.equal(account.actual);
  });
});

describe('the authorised sum', () => {
  it('is held against hours and parts as they are taken', () => {
    const told = rotors();
    const planned = looked(told).over?.sum ?? looked(told).estimate.now.gross;
    told.file.job = { ...told.file.job, authorisedMinor: planned };
    expect(looked(told).over).to.include({ by: 0, spent: null });
    const o = works(told, told.slot('rotor', 'FL'), 20);
    clock(told, o, 'start', 0);
    clock(told, o, 'stop', 300);
    const { over, estimate, state } = looked(told);
    const cost = estimate.rows.find((r) => r.row.name === 'Front rotors')!.decided!.cost;
    // Five hours, less what was reckoned for it.
    expect(over?.by).to.equal(grossOf(30_000, 200) - cost.terms.find((t) => t.id === 'labour')!.gross);
    expect(over?.spent).to.deep.equal({ row: 'Front rotors', gross: over?.by });
    expect(state.obligations.find((x) => isDuty(x, 'authorised'))).to.include({ state: 'open' });
    expect(state.obligations.find((x) => isDuty(x, 'authorised'))?.why).to.contain('Front rotors');
    // What the clock took stands under its limit when the work stayed within what was reckoned.
    told.file.operationEvents = [];
    clock(told, o, 'start', 0);
    clock(told, o, 'stop', 5);
    expect(looked(told).over).to.include({ by: 0, spent: null });
  });

  it('is crossed by what was bought dearer, and is not by what was bought cheaper', () => {
    const told = rotors();
    told.file.job = { ...told.file.job, authorisedMinor: looked(told).estimate.now.gross };
    const line = ordered(told, { price: 5500 });
    expect(looked(told).over?.by).to.equal(2 * 1500 * 1.2);
    told.file.orderLines = [{ ...line, price: 3000 }];
    expect(looked(told).over?.by).to.equal(-2 * 1000 * 1.2);
    // A line that nothing reckons with counts whole.
    told.file.orderLines = [];
    ordered(told, { need: null, price: 1000, count: 1 });
    expect(looked(told).over?.by).to.equal(1200);
    // No price told is not a price of nothing.
    told.file.orderLines = [{ ...line, price: null }];
    expect(looked(told).over?.by).to.equal(0);
    expect(lineOf(told, 'Front rotors').unpriced).to.deep.equal(['Rotor']);
  });

  it('knows the price of what the price book had none of, once it is ordered', () => {
    const told = rotors();
    told.file.articles = [];
    const missing = (): readonly string[] =>
      looked(told)
        .estimate.rows.find((r) => r.row.name === 'Front rotors')!
        .decided!.cost.terms.flatMap((t) => t.missing);
    expect(missing()).to.include('Rotor, new');
    ordered(told, { name: 'Rotor, new', articleId: null, need: 'front-rotor:new:Rotor, new', price: 4700 });
    expect(missing()).to.not.include('Rotor, new');
    expect(lineOf(told, 'Front rotors').goods).to.equal(2 * 4700 * 1.2);
  });

  it('is crossed by work that belongs to no row, beyond what rows share', () => {
    const told = rotors();
    const before = looked(told);
    told.file.job = { ...told.file.job, authorisedMinor: before.estimate.now.gross };
    const shared = before.estimate.now.shared.reduce((n, s) => n + s.minutes, 0);
    clock(told, works(told, null, shared + 60), 'done', 600);
    const { over } = looked(told);
    expect(over?.by).to.be.closeTo(7200, 2);
    expect(over?.spent?.row).to.equal(null);
  });

  it('stands on the sheet of the owner, so that his yes covers what was spent', () => {
    const told = rotors();
    const o = works(told, told.slot('rotor', 'FL'), 20);
    clock(told, o, 'start', 0);
    clock(told, o, 'stop', 300);
    clock(told, works(told, null, 900), 'done', 600);
    const { state, estimate, over } = looked(told);
    const sheet = sheetOf(state.history, estimate, 'Shop', '2026-01-20');
    const mine = sheet.rows.filter((r) => r.name === 'Front rotors');
    const only = offerSum({ ...sheet, rows: mine }, [{ row: mine[0]!.id, option: 'replace' }]);
    told.file.job = { ...told.file.job, authorisedMinor: only.gross };
    expect(over).to.equal(null);
    expect(looked(told).over?.by).to.equal(0);
  });

  it('counts time that is gone into every other way, whichever is taken', () => {
    const told = rotors();
    const without = looked(told).estimate.rows.find((r) => r.row.name === 'Front rotors')!;
    const o = works(told, told.slot('rotor', 'FL'), 20);
    clock(told, o, 'start', 0);
    clock(told, o, 'stop', 120);
    const after = looked(told).estimate.rows.find((r) => r.row.name === 'Front rotors')!;
    for (const option of after.options) {
      const was = without.options.find((x) => x.option === option.option)!;
      const more = billed(option.cost) - billed(was.cost);
      if (option.option === 'replace')
        expect(more).to.equal(Math.max(0, 14_400 - (was.cost.terms.find((t) => t.id === 'labour')?.gross ?? 0)));
      else expect(more, option.option).to.equal(14_400);
    }
  });
});

describe('the account on the sheet', () => {
  it('stands there with whose word it was, reads back as it was kept, and goes out in rows that add up', () => {
    const told = rotors();
    told.file.job = { ...told.file.job, authorisedMinor: 50_000 };
    clock(told, works(told, told.slot('rotor', 'FL'), 70), 'done', 600);
    told.find(told.slot('rotor', 'FL'), { words: 'Scored', severity: 'reject', jobId: told.file.job.id });
    const sheet = buildSheet(deriveJob(told.file, NOW), NOW);
    expect(sheet.account).to.include({ authorised: 50_000, currency: 'EUR', actual: 8400 });
    expect(sheet.account?.agreed?.text).to.contain('booked in');
    expect(sheet.account?.lines[0]).to.include({ what: 'Front rotors', minutes: 70, actual: 8400 });
    expect(sheet.account?.lines[0]?.why).to.contain('Scored');
    expect(readSheet(JSON.parse(JSON.stringify(sheet)))).to.deep.equal(sheet);
    const rows = accountRows(sheet.account!);
    expect(rows[0]).to.include({ for: 'Authorised', reckoned: '500.00' });
    const lines = rows.slice(1, -1);
    expect(lines.reduce((n, r) => n + Number(r.taken), 0)).to.equal(Number(rows.at(-1)!.taken));
    expect(lines[0]).to.include({ taken: '84.00', taken_minutes: '70', currency: 'EUR' });
    // What was reckoned in the past nobody knows.
    told.file.imported = { source: 'paper', importedBy: 'ann', importedAt: '2026-09-01T00:00:00.000Z' } as never;
    expect(buildSheet(deriveJob(told.file, NOW), NOW).account).to.equal(undefined);
  });
});
