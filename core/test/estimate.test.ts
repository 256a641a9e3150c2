import { expect } from 'chai';
import fc from 'fast-check';
import { authorisedNow } from '../src/estimate/authorised.ts';
import { choiceRefusal, codeOf, offerDifferences, offerSum, readChoice, sheetOf, waysShown } from '../src/estimate/offer.ts';
import { estimateOf, type Estimate } from '../src/estimate/variants.ts';
import { expected } from '../src/estimate/cost.ts';
import { sumOf } from '../src/estimate/sum.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import type { ArticleVersion, RatesVersion } from '../src/ledger/priceRecords.ts';
import type { Offer } from '../src/ledger/offerRecords.ts';
import { grossOf, minorDigits, parseMinor, taxOn } from '../src/quantity/money.ts';
import { waitsOf } from '../src/views/waits.ts';
import { base, FOUR, id, JobFixture, NOW } from './jobFixture.ts';

const RATES: RatesVersion = {
  ...{ id: 'r1', currency: 'EUR', hourly: 6000, hoursADay: 6, bayADay: 1500, shipping: 900, towing: 12_000 },
  ...{ standardPermille: 200, reducedPermille: 50, reason: '', enteredBy: 'ann', enteredAt: NOW },
};
const article = (over: Partial<ArticleVersion>): ArticleVersion => ({
  ...{ id: id(), seriesId: id(), name: 'Rotor', partNumber: null, supply: 'new', kind: 'rotor', process: null, fits: 'shop' },
  ...{ appliesTo: null, make: null, model: null, axle: null, supplierId: null, price: 4000, tax: 'standard', pricedOn: '2026-05-01' },
  ...{
    leadDays: 2,
    core: 0,
    scarcity: 'available',
    covers: 'one',
    contents: [],
    states: {},
    retired: false,
    enteredBy: 'ann',
    enteredAt: NOW,
  },
  ...over,
});
const ARTICLES: readonly ArticleVersion[] = [
  article({}),
  article({ name: 'Pads', kind: 'pads', price: 3000, covers: 'axle', leadDays: 1 }),
  article({ name: 'Seal kit', kind: 'caliper', supply: 'kit', price: 1200, leadDays: 3 }),
  article({ name: 'Caliper', kind: 'caliper', price: 22_000, leadDays: 5 }),
  article({ name: 'Caliper, exchange', kind: 'caliper', supply: 'exchange', price: 11_000, core: 3000, leadDays: 9 }),
  article({ name: 'Hose', kind: 'hose', price: 2100, leadDays: 2 }),
  article({ name: 'Piston', kind: 'piston', price: 1800, leadDays: 3 }),
  article({ name: 'Copper washer', kind: null, supply: 'consumable', price: 30, leadDays: 0 }),
];

function priced(corners = FOUR): JobFixture {
  const told = new JobFixture(corners);
  told.file.rates = [RATES];
  told.file.articles = ARTICLES;
  return told;
}
function of(told: JobFixture): Estimate {
  const state = deriveJob(told.file, NOW);
  return estimateOf(state.history, state.components);
}
const row = (e: Estimate, name: string) => e.rows.find((r) => r.row.name === name)!;
const option = (e: Estimate, name: string, o: string) => row(e, name).options.find((x) => x.option === o)!;

describe('sums of money', () => {
  it('are counted in the minor units of their currency', () => {
    expect([minorDigits('EUR'), minorDigits('JPY'), minorDigits('KWD'), minorDigits(null)]).to.deep.equal([2, 0, 3, 2]);
    expect(parseMinor('12.34', 'EUR')).to.equal(1234);
    expect(parseMinor('1,250', 'JPY')).to.equal(1250);
    expect(() => parseMinor('12.5', 'JPY'))
      .to.throw('more decimals')
      .with.property('code', 'too_fine');
    expect([parseMinor('0.001', 'KWD'), parseMinor('1,250.500', 'KWD'), parseMinor('7', 'KWD')]).to.deep.equal([1, 1_250_500, 7000]);
    // Three figures behind a separator are thousands where a currency has fewer decimals.
    expect(parseMinor('12.345', 'EUR')).to.equal(1_234_500);
  });

  it('are taxed line by line, halves away from nothing', () => {
    expect([taxOn(25, 20), taxOn(-25, 20), taxOn(1250, 20), taxOn(24, 20)]).to.deep.equal([1, -1, 25, 0]);
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), fc.integer({ min: 0, max: 1000 }), (net, p) => {
        expect(grossOf(-net, p)).to.equal(-grossOf(net, p) + 0);
        expect(Math.abs(taxOn(net, p) - (net * p) / 1000)).to.be.at.most(0.5);
      }),
    );
  });
});

describe('what is decided in one', () => {
  it('is both sides of an axle, pistons with their calipers, what belongs to no axle by itself', () => {
    const names = of(priced()).rows.map((r) => r.row.name);
    expect(names).to.include.members(['Front rotors', 'Front calipers', 'Front pads', 'Master cylinder']);
    expect(names.filter((n) => n.includes('iston'))).to.deep.equal([]);
    expect(row(of(priced()), 'Front calipers').row.inside).to.have.length(4);
    expect(row(of(priced(['FL'])), 'Front left rotor').row.members).to.have.length(1);
  });
});

describe('what an option costs', () => {
  it('says every term, with where it comes from; an article for an axle is bought once', () => {
    const pads = option(of(priced()), 'Front pads', 'replace');
    const parts = pads.cost.terms.find((t) => t.id === 'parts');
    expect(parts?.net).to.equal(3000);
    expect(parts?.from).to.contain('price of 2026-05-01');
    expect(pads.cost.terms.find((t) => t.id === 'labour')?.from).to.match(/^\d+ attended min/);
    const rotors = option(of(priced()), 'Front rotors', 'replace');
    expect(rotors.cost.terms.find((t) => t.id === 'parts')?.net).to.equal(8000);
  });

  it('takes core money off, and reckons with doing it again without billing it', () => {
    const cost = option(of(priced()), 'Front calipers', 'exchange').cost;
    expect(cost.terms.find((t) => t.id === 'core')?.net).to.equal(-6000);
    const rework = cost.terms.find((t) => t.id === 'rework');
    expect(rework?.billed).to.equal(false);
    expect(rework?.net).to.be.greaterThan(0);
    expect(expected(cost)).to.equal(cost.terms.reduce((s, t) => s + t.net, 0));
    expect(cost.lead).to.equal(9);
  });

  it('names what nobody has a price for', () => {
    const told = priced();
    told.file.articles = [];
    told.file.rates = [];
    const cost = option(of(told), 'Front rotors', 'replace').cost;
    expect(cost.terms.flatMap((t) => t.missing)).to.include.members(['Rotor, new', 'Hourly rate of the shop']);
  });

  it('has a person’s own figure in place of the reckoned one', () => {
    const told = priced();
    const entry = { slotId: row(of(told), 'Front rotors').row.members[0]!.slot.id, option: 'replace' as const };
    told.file.costEntries = [
      { ...base(5), ...entry, term: 'parts', amount: 5000, minutes: null, reason: 'told by phone' },
      { ...base(6), ...entry, term: 'labour', amount: null, minutes: 30, reason: '' },
    ];
    const cost = option(of(told), 'Front rotors', 'replace').cost;
    expect(cost.terms.find((t) => t.id === 'parts')).to.include({ net: 5000, entered: true, from: 'Entered here: told by phone' });
    expect(cost.terms.find((t) => t.id === 'labour')?.net).to.equal(3000);
  });

  it('rules out what is no longer made, and what a reading rules out, by the place', () => {
    const told = priced();
    told.file.articles = ARTICLES.map((a) => (a.name === 'Caliper' ? { ...a, scarcity: 'out_of_make' as const } : a));
    told.gauge(
      told.slot('rotor', 'FL'),
      Array.from({ length: 8 }, () => '10.5'),
    );
    const e = of(told);
    expect(option(e, 'Front calipers', 'replace').ruledOut).to.contain('no longer made');
    expect(option(e, 'Front rotors', 'use_again').ruledOut).to.contain('Front left rotor');
    expect(option(e, 'Front rotors', 'use_again').because).to.equal(told.slot('rotor', 'FL'));
  });

  it('renews a piston that must not go back into a caliper that is resealed', () => {
    const told = priced();
    const piston = told.layout.slots.find((s) => s.kind === 'piston' && s.corner === 'FL')!;
    told.find(piston.id, { severity: 'reject', rulesOut: ['use_again', 'put_off'], words: 'Pitted' });
    const reseal = option(of(told), 'Front calipers', 'reseal');
    expect(reseal.ruledOut).to.equal(null);
    expect(reseal.plan.find((d) => d.component.slot.id === piston.id)?.option).to.equal('replace');
    expect(option(of(told), 'Front calipers', 'use_again').ruledOut).to.contain('Pitted');
  });

  it('a house rule is departed from by reason only, and by no variant', () => {
    const told = priced();
    told.file.houseRules = [{ id: 'h', rule: 'rotors', school: 'replace', reason: 'heat', enteredBy: 'ann', enteredAt: NOW }];
    const machine = option(of(told), 'Front rotors', 'machine');
    expect(machine.departs).to.contain('replaced');
    expect(machine.byItself).to.equal(false);
  });
});

/** Every way of taking one option of each row, by what the owner pays. */
function cheapest(told: JobFixture, e: Estimate): number {
  const { history } = deriveJob(told.file, NOW);
  const rows = e.rows.filter((r) => r.options.some((o) => o.byItself));
  let best = Number.POSITIVE_INFINITY;
  const go = (i: number, picked: Parameters<typeof sumOf>[2]): void => {
    const r = rows[i];
    if (!r) {
      best = Math.min(best, sumOf(history, e.book, picked).gross);
      return;
    }
    const own = r.options.filter((x) => x.byItself);
    const known = own.filter((x) => x.priced);
    for (const o of known.length > 0 ? known : own) go(i + 1, [...picked, { row: r.row, option: o.option, doings: o.plan, cost: o.cost }]);
  };
  go(0, []);
  return best;
}

describe('the three ways of doing a whole job', () => {
  it('are such as may be released, least now is the cheapest of all, and none is cheaper than it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('rotor', 'pads', 'caliper', 'hose'), { maxLength: 3 }),
        fc.integer({ min: 20, max: 300 }),
        fc.boolean(),
        (bad, price, shipped) => {
          const told = priced(['FL', 'FR']);
          told.file.job = { ...told.file.job, kind: 'axle' };
          told.file.rates = [{ ...RATES, shipping: shipped ? 2500 : 0 }];
          told.file.articles = ARTICLES.map((a) => ({
            ...a,
            supplierId: shipped ? 'one' : null,
            price: a.price === null ? null : a.price * (price / 100),
          }));
          for (const kind of bad) {
            const slot = told.layout.slots.find((s) => s.kind === kind && (s.corner === 'FL' || s.corner === null));
            if (slot) told.find(slot.id, { severity: 'reject', rulesOut: ['use_again', 'put_off'], words: 'Cracked' });
          }
          const e = of(told);
          const least = e.variants.find((v) => v.id === 'least');
          expect(least, 'one is found').to.not.equal(undefined);
          expect(least?.gross).to.be.closeTo(cheapest(told, e), 1e-6);
          for (const v of e.variants) {
            expect(v.gross).to.be.at.least((least?.gross ?? 0) - 1e-6);
            for (const o of v.picks.values()) expect(o.ruledOut).to.equal(null);
          }
          const renewed = e.variants.find((v) => v.id === 'renewed');
          for (const [rowId, o] of renewed?.picks ?? [])
            if (e.rows.find((r) => r.row.id === rowId)?.row.kind === 'hose') expect(['replace', 'exchange']).to.include(o.option);
        },
      ),
      { numRuns: 25 },
    );
  }).timeout(20_000);

  it('says where two are the same', () => {
    const told = priced(['FL', 'FR']);
    for (const s of told.layout.slots)
      if (s.kind !== 'piston')
        told.find(s.id, { severity: 'reject', rulesOut: ['use_again', 'reseal', 'machine', 'put_off', 'exchange'], words: 'Wrecked' });
    const said = of(told).variants.map((v) => v.says);
    expect(said.slice(1).some((s) => s?.startsWith('The same as'))).to.equal(true);
  });

  it('are worked out of the largest layout in time', () => {
    const told = priced();
    const { history, components } = deriveJob(told.file, NOW);
    estimateOf(history, components);
    const before = performance.now();
    estimateOf(history, components);
    expect(performance.now() - before).to.be.lessThan(1500);
  });
});

function offerOf(told: JobFixture, hash = 'ab12cd'): Offer {
  const state = deriveJob(told.file, NOW);
  return { id: id(), jobId: 'job', sheet: sheetOf(state.history, of(told), 'Shop', '2026-06-01'), hash, madeBy: 'ann', madeAt: NOW };
}

describe('the sheet for the owner', () => {
  it('names no supplier and no cost of the shop, and sums what is shared once', () => {
    const told = priced();
    told.file.articles = ARTICLES.map((a) => ({ ...a, supplierId: 'sup-secret' }));
    const { sheet } = offerOf(told);
    const text = JSON.stringify(sheet);
    expect(text).to.not.match(/hourly|supplier|rework|permille/);
    const picks = sheet.rows.map((r) => ({ row: r.id, option: waysShown(r).at(-1)!.option }));
    const ways = sheet.rows.map((r) => waysShown(r).at(-1)!);
    const once = new Set(ways.flatMap((w) => w.needs));
    const shared = sheet.shared.filter((s) => once.has(s.id)).reduce((sum, s) => sum + s.gross, 0);
    expect(offerSum(sheet, picks).gross).to.equal(ways.reduce((sum, w) => sum + w.gross, 0) + shared);
    for (const v of sheet.variants) expect(v.ways).to.have.length(sheet.rows.length);
  });

  it('comes to the same as the variants that stand on it', () => {
    const told = priced();
    const e = of(told);
    const { sheet } = offerOf(told);
    expect(sheet.variants.map((v) => v.id)).to.include('least');
    for (const shown of sheet.variants) {
      const v = e.variants.find((x) => x.id === shown.id)!;
      const sum = offerSum(sheet, shown.ways);
      expect([sum.gross, sum.days]).to.deep.equal([v.gross, v.days]);
    }
  });

  it('shows nothing that has no price, and no variant that would need it', () => {
    const told = priced();
    const bare = offerOf(told).sheet;
    expect(bare.variants.map((v) => v.id)).to.not.include('renewed');
    for (const r of bare.rows)
      for (const w of r.ways) if (w.option !== 'use_again' && w.ruledOut === null) expect(w.gross).to.be.greaterThan(0);
    const slot = told.layout.slots.find((s) => s.kind === 'servo')!;
    told.find(slot.id, { severity: 'reject', rulesOut: ['use_again', 'put_off'], words: 'Leaks vacuum' });
    expect(offerOf(told).sheet.without).to.deep.equal(['Servo']);
  });

  it('every choice of it has a code, and the code is read as that choice', () => {
    const told = priced();
    const offer = offerOf(told);
    fc.assert(
      fc.property(fc.array(fc.nat(), { minLength: 40, maxLength: 40 }), (n) => {
        const picks = offer.sheet.rows.map((r, i) => ({ row: r.id, option: waysShown(r)[(n[i] ?? 0) % waysShown(r).length]!.option }));
        const read = readChoice([offer], codeOf(offer, picks));
        expect(read.ok && read.picks).to.deep.equal(picks);
        expect(
          choiceRefusal([offer], {
            offerId: offer.id,
            answer: 'yes',
            picks,
            sum: offerSum(offer.sheet, picks).gross,
            code: codeOf(offer, picks),
          }),
        ).to.equal(null);
      }),
      { numRuns: 50 },
    );
    const no = readChoice([offer], codeOf(offer, null));
    expect(no.ok && no.picks).to.equal(null);
  });

  it('a code of another sheet and of an older one is said to be that', () => {
    const told = priced();
    const [older, newer, other] = [offerOf(told, 'ab12'), offerOf(told, 'cd34'), offerOf(told, 'ef56')];
    const picks = older.sheet.rows.map((r) => ({ row: r.id, option: waysShown(r)[0]!.option }));
    const why = (offers: Offer[], code: string) => {
      const read = readChoice(offers, code);
      return read.ok ? '' : read.why;
    };
    expect(why([older, newer], codeOf(older, picks))).to.contain('older sheet');
    expect(why([older, newer], codeOf(other, picks))).to.contain('another sheet');
  });

  it('a part that must not be used again cannot be chosen for use', () => {
    const told = priced();
    told.find(told.slot('rotor', 'FL'), {
      severity: 'reject',
      rulesOut: ['use_again', 'machine', 'put_off'],
      words: 'Cracked to the edge',
    });
    const offer = offerOf(told);
    const rotors = offer.sheet.rows.find((r) => r.name === 'Front rotors')!;
    expect(rotors.ways.find((w) => w.option === 'use_again')?.ruledOut).to.contain('Cracked to the edge');
    const picks = offer.sheet.rows.map((r) => ({
      row: r.id,
      option: r.id === rotors.id ? ('use_again' as const) : waysShown(r)[0]!.option,
    }));
    expect(choiceRefusal([offer], { offerId: offer.id, answer: 'yes', picks, sum: 0, code: null })).to.contain('must not be chosen');
    expect(choiceRefusal([offer], { offerId: offer.id, answer: 'yes', picks: picks.slice(1), sum: 0, code: null })).to.contain(
      'nothing that stands on the sheet',
    );
    expect(choiceRefusal([offer], { offerId: 'x', answer: 'no', picks: [], sum: 0, code: null })).to.contain('another sheet');
  });

  it('a newer one says what it says otherwise', () => {
    const told = priced();
    const older = offerOf(told).sheet;
    told.file.articles = ARTICLES.map((a) => (a.name === 'Hose' ? { ...a, price: 2600 } : a));
    const said = offerDifferences(older, offerOf(told).sheet);
    expect(said.map((d) => d.row).every((n) => n.toLowerCase().includes('hose'))).to.equal(true);
    expect(said).to.not.have.length(0);
  });
});

describe('the authorised sum', () => {
  const owed = (told: JobFixture) => deriveJob(told.file, NOW).obligations.find((o) => o.key === 'money:authorised');
  it('stops what crosses it at Decide, says by how much and since what, until the owner answers', () => {
    const told = priced(['FL', 'FR']);
    expect(owed(told)).to.equal(undefined);
    told.file.job = { ...told.file.job, authorisedMinor: 10_000 };
    told.find(told.slot('rotor', 'FL'), { severity: 'reject', rulesOut: ['use_again'], words: 'Blue' });
    for (const c of ['FL', 'FR'] as const) told.decide(told.slot('rotor', c), 'replace');
    expect(owed(told)?.state).to.equal('open');
    expect(owed(told)?.why).to.match(/over the €100\.00 that is authorised, since the front right rotor was decided/);
    const offer = offerOf(told);
    told.file.offers = [offer];
    const choice = { offerId: offer.id, variant: null, picks: [], by: 'Owner', how: 'by_phone' as const, code: null, wishes: '' };
    told.file.ownerChoices = [{ ...base(500), ...choice, answer: 'yes', sum: 900_000 }];
    expect(owed(told)?.state).to.equal('closed');
    expect(authorisedNow(openHistory(told.file)).sum).to.equal(900_000);
    told.file.ownerChoices = [...told.file.ownerChoices, { ...base(501), ...choice, answer: 'no', sum: 0 }];
    expect(owed(told)?.state).to.equal('open');
  });
});

describe('what a job waits for', () => {
  it('is the owner, from the sheet on until he answers that very one', () => {
    const told = priced(['FL', 'FR']);
    const waits = () => waitsOf(deriveJob(told.file, NOW)).filter((w) => w.includes('owner'));
    expect(waits()).to.deep.equal([]);
    const offer = offerOf(told);
    told.file.offers = [offer];
    expect(waits()).to.deep.equal(['the owner’s answer, asked 1 Jun 2026']);
    const choice = { offerId: offer.id, variant: null, picks: [], by: 'Owner', how: 'by_phone' as const, code: null, wishes: '' };
    told.file.ownerChoices = [{ ...base(500), ...choice, answer: 'no', sum: 0 }];
    expect(waits()).to.deep.equal([]);
    told.file.offers = [offer, offerOf(told)];
    expect(waits(), 'asked anew').to.have.length(1);
  });
});
