import { codeOf, offerSum, readChoice, waysShown } from '@dauer/core/estimate';
import type { ArticleVersion, Offer, OwnerChoice, RatesVersion, Supplier } from '@dauer/core/ledger';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { bookIn, openShop, type Shop } from './harness.ts';

type Refused = { readonly code: string; readonly detail: string };
const RATES = {
  ...{ hourly: 6000, hoursADay: 6, bayADay: 1500, shipping: 900, towing: 12_000, standardPermille: 200, reducedPermille: 0 },
  reason: 'This year’s',
};
const article = (over: Partial<ArticleVersion> = {}) => ({
  ...{ id: v7(), seriesId: v7(), name: 'Rotor', partNumber: 'R 1', supply: 'new', kind: 'rotor', process: null, fits: 'shop' },
  ...{ appliesTo: null, make: null, model: null, axle: null, supplierId: null, price: 4000, tax: 'standard', pricedOn: '2026-05-01' },
  ...{ leadDays: 2, core: 0, scarcity: 'available', covers: 'one', contents: [], states: {}, retired: false },
  ...over,
});

describe('the price book', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  const enter = (body: object, who = shop.lead) => who.ask<ArticleVersion & Refused>('POST', '/api/articles', body);
  const book = async () => (await shop.technician.ask<ArticleVersion[]>('GET', '/api/articles')).body;

  it('is a lead’s to enter, a technician’s to read, and no reader’s', async () => {
    const a = article();
    expect((await enter(a, shop.technician)).status).to.equal(403);
    expect((await enter(a)).status).to.equal(200);
    expect((await enter(a)).status, 'the same once more').to.equal(200);
    expect((await shop.reader.ask('GET', '/api/articles')).status).to.equal(403);
    expect((await shop.reader.ask('GET', '/api/reckoning')).status).to.equal(403);
    expect((await book()).map((x) => x.name)).to.deep.equal(['Rotor']);
  });

  it('a newer price supersedes; one made of an older version is refused with the newer one', async () => {
    const [first] = await book();
    const second = article({ seriesId: first!.seriesId, price: 4400 });
    expect((await enter({ ...second, replaces: first!.id })).status).to.equal(200);
    const late = await enter({ ...article({ seriesId: first!.seriesId, price: 4100 }), replaces: first!.id });
    expect([late.status, late.body.code]).to.deep.equal([409, 'stale']);
    expect((await enter(article({ seriesId: first!.seriesId, price: 1 }))).body.code, 'nothing named').to.equal('stale');
    expect((await book()).map((x) => x.price)).to.deep.equal([4400]);
  });

  it('takes no half a cent, no article that does not say what it is for, no core money of a new part', async () => {
    expect((await enter(article({ price: 12.5 }))).status).to.equal(400);
    expect((await enter(article({ price: -1 }))).status).to.equal(400);
    for (const bad of [
      { kind: null },
      { supply: 'process' as const },
      { fits: 'vehicle' as const },
      { fits: 'type' as const },
      { core: 500 },
    ])
      expect((await enter(article(bad))).body.code, JSON.stringify(bad)).to.equal('article_incomplete');
  });

  it('takes in ten thousand lines at once, all or nothing', async () => {
    const many = Array.from({ length: 10_000 }, (_, i) =>
      article({ name: `Hose ${i}`, kind: 'hose', fits: 'part_number', appliesTo: `H ${i}` }),
    );
    const send = (articles: object[]) => shop.lead.ask<{ written: number } & Refused>('POST', '/api/articles/import', { articles });
    const stranger = await send([...many.slice(0, 5), article({ supplierId: v7() })]);
    expect([stranger.body.code, stranger.body.detail.startsWith('Row 6')]).to.deep.equal(['unknown_reference', true]);
    expect(await book()).to.have.length(1);
    expect((await send(many)).body.written).to.equal(10_000);
    expect((await send(many)).body.written, 'once more').to.equal(0);
    expect((await book()).length, 'a page of it').to.equal(500);
    const { jobId } = await bookIn(shop.technician);
    const file = await shop.technician.file(jobId);
    expect(
      file.articles.map((a) => a.name),
      'a job is read with what may be for it',
    ).to.deep.equal(['Rotor']);
  }).timeout(120_000);

  it('a supplier changed by two at once is changed by one', async () => {
    const made = await shop.lead.ask<Supplier>('POST', '/api/suppliers', { id: v7(), name: 'Bramhall Spares', contact: '' });
    const change = (name: string) => shop.lead.ask<Refused>('PATCH', `/api/suppliers/${made.body.id}`, { version: 1, name });
    const both = await Promise.all([change('One'), change('Two')]);
    expect(both.map((a) => a.status).sort()).to.deep.equal([200, 409]);
  });

  it('the currency is set once there are sums', async () => {
    const set = (currency: string | null) => shop.lead.ask<Refused>('POST', '/api/shop/currency', { currency });
    expect((await set('JPY')).body.code).to.equal('currency_set');
    expect((await set('EUR')).status, 'two decimals as before').to.equal(200);
    expect((await set('GBP')).body.code).to.equal('currency_set');
    expect((await set('EUR')).status).to.equal(200);
  });

  it('a house rule has schools, and its change a reason', async () => {
    const pick = (body: object) => shop.lead.ask<Refused>('POST', '/api/reckoning/house-rules', { id: v7(), ...body });
    expect((await pick({ rule: 'rotors', school: 'polish', reason: 'It shines' })).body.code).to.equal('unknown_reference');
    expect((await pick({ rule: 'rotors', school: 'replace', reason: '' })).status).to.equal(400);
    expect((await pick({ rule: 'rotors', school: 'replace', reason: 'Metal is heat' })).status).to.equal(200);
  });
});

describe('the owner’s choice', () => {
  let shop: Shop;
  let car: Awaited<ReturnType<typeof bookIn>>;
  let offer: Offer;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
    await shop.lead.ask<RatesVersion>('POST', '/api/reckoning/rates', { id: v7(), ...RATES });
    for (const a of [
      article(),
      article({ name: 'Hose', kind: 'hose', price: 2100 }),
      article({ name: 'Pads', kind: 'pads', covers: 'axle' }),
    ])
      await shop.lead.ask('POST', '/api/articles', a);
  });
  after(() => shop.close());
  const makeOffer = (id = v7()) => shop.technician.ask<Offer & Refused>('POST', `/api/jobs/${car.jobId}/offers`, { id });
  const choose = (over: object) =>
    shop.technician.event<'ownerChoices'>(car.jobId, 'owner-choices', {
      ...{ offerId: offer.id, answer: 'yes', variant: null, picks: [], sum: 0, by: 'The owner', how: 'in_shop', code: null, wishes: '' },
      ...over,
    } as never);
  const picksOf = (o: Offer, at: number) => o.sheet.rows.map((r) => ({ row: r.id, option: waysShown(r).at(at)!.option }));

  it('is made of a sheet that is kept as it was, with its hash', async () => {
    const id = v7();
    const made = await makeOffer(id);
    expect(made.status, JSON.stringify(made.body)).to.equal(200);
    offer = made.body;
    expect(offer.hash).to.match(/^[0-9a-f]{64}$/);
    expect((await makeOffer(id)).body.hash, 'once more').to.equal(offer.hash);
    expect(JSON.stringify(offer.sheet)).to.not.match(/supplier|hourly|contact/);
  });

  it('is exactly what stands on the sheet, and nothing that is ruled out', async () => {
    const picks = picksOf(offer, 0);
    const { gross: sum } = offerSum(offer.sheet, picks);
    expect((await choose({ picks, sum: sum + 1 })).body.code).to.equal('not_on_sheet');
    expect((await choose({ picks: picks.slice(1), sum })).body.code).to.equal('not_on_sheet');
    expect((await choose({ offerId: v7(), picks, sum })).body.code).to.be.oneOf(['not_on_sheet', 'unknown_reference']);
    const stored = await choose({ picks, sum });
    expect(stored.status, JSON.stringify(stored.body)).to.equal(200);
  });

  it('a code says exactly the choice that is sent with it', async () => {
    const picks = picksOf(offer, 0);
    const sum = offerSum(offer.sheet, picks).gross;
    const many = offer.sheet.rows.findIndex((r) => waysShown(r).length > 1);
    const otherwise = picks.map((p, i) => (i === many ? { ...p, option: waysShown(offer.sheet.rows[i]!)[1]!.option } : p));
    const lying = await choose({ picks, sum, how: 'by_file', code: codeOf(offer, otherwise) });
    expect([lying.body.code, lying.body.detail]).to.deep.equal([
      'not_on_sheet',
      'The code says another choice than the one that is sent with it.',
    ]);
    expect((await choose({ picks, sum, how: 'by_file', code: codeOf(offer, null) })).body.code).to.equal('not_on_sheet');
    expect((await choose({ picks, sum, how: 'by_file', code: codeOf(offer, picks) })).status).to.equal(200);
  });

  it('a figure of one’s own is minutes of labour, and money of everything else', async () => {
    const slotId = car.slot('rotor', 'FL');
    const enter = (over: object) =>
      shop.technician.event<'costEntries'>(car.jobId, 'cost-entries', {
        slotId,
        option: 'replace',
        reason: '',
        minutes: null,
        ...over,
      } as never);
    expect((await enter({ term: 'parts', amount: -5 })).body.code).to.equal('not_counted');
    expect((await enter({ term: 'core', amount: 5 })).body.code).to.equal('not_counted');
    expect((await enter({ term: 'labour', amount: 500 })).body.code).to.equal('not_counted');
    expect((await enter({ term: 'parts', amount: 5.5 })).status).to.equal(400);
    expect((await enter({ term: 'labour', amount: null, minutes: 45 })).status).to.equal(200);
  });

  it('a finding that rules an option out strikes it from the next sheet; the older one is void', async () => {
    const rotor = car.slot('rotor', 'FL');
    await shop.technician.event<'findings'>(car.jobId, 'findings', {
      ...{ slotId: rotor, partId: null, words: 'Cracked to the edge', severity: 'reject', cleaning: 'after' },
      ...{ rulesOut: ['use_again', 'machine', 'put_off'], settles: null },
    });
    const older = offer;
    const now = await choose({ picks: picksOf(older, 0), sum: offerSum(older.sheet, picksOf(older, 0)).gross });
    expect([now.body.code, now.body.detail.includes('since the sheet was made')], 'before a new sheet is made').to.deep.equal([
      'ruled_out',
      true,
    ]);
    offer = (await makeOffer()).body;
    const again = await choose({ offerId: older.id, picks: picksOf(older, 0), sum: offerSum(older.sheet, picksOf(older, 0)).gross });
    expect([again.status, again.body.code]).to.deep.equal([409, 'not_on_sheet']);
    expect(again.body.detail).to.contain('older sheet');
    const row = offer.sheet.rows.find((r) => r.ways.some((w) => w.plan.some((p) => p.slotId === rotor)))!;
    expect(row.ways.find((w) => w.option === 'use_again')?.ruledOut).to.contain('Cracked to the edge');
    const picks = picksOf(offer, 0).map((p) => (p.row === row.id ? { ...p, option: 'use_again' } : p));
    expect((await choose({ picks, sum: 0 })).body.detail).to.contain('must not be chosen');
    const read = readChoice((await shop.technician.file(car.jobId)).offers, codeOf(older, picksOf(older, 0)));
    expect(read.ok ? '' : read.why).to.contain('older sheet');
  });

  it('a no is kept, and a repeat of what was stored is answered as before', async () => {
    const body = { id: v7(), answer: 'no' as const };
    expect((await choose(body)).body.status).to.equal('stored');
    await makeOffer();
    expect((await choose(body)).body.status).to.equal('already_stored');
  });

  it('is shown without sums to a reader, who makes no sheet', async () => {
    const file = await shop.reader.file(car.jobId);
    expect([file.articles.length, file.rates.length, file.offers.length, file.job.authorisedMinor]).to.deep.equal([0, 0, 0, null]);
    expect(file.ownerChoices.map((c: OwnerChoice) => c.sum)).to.deep.equal(file.ownerChoices.map(() => 0));
    expect(JSON.stringify(file)).to.not.contain('"price":4000');
    expect((await shop.reader.ask('POST', `/api/jobs/${car.jobId}/offers`, { id: v7() })).status).to.equal(403);
    expect((await shop.reader.raw(`/api/jobs/${car.jobId}/offers/${offer.id}/choice-file`)).status).to.equal(403);
  });

  it('is of a job on which something is decided', async () => {
    const fluid = await bookIn(shop.technician, undefined, { kind: 'fluid' });
    const made = await shop.technician.ask<Refused>('POST', `/api/jobs/${fluid.jobId}/offers`, { id: v7() });
    expect([made.status, made.body.code]).to.deep.equal([409, 'nothing_to_offer']);
  });

  it('a departure from a house rule, and a use for now, need their reason in every way in', async () => {
    await shop.lead.ask('POST', '/api/reckoning/house-rules', { id: v7(), rule: 'pairs', school: 'both', reason: 'They age alike' });
    await shop.lead.ask('POST', '/api/reckoning/house-rules', { id: v7(), rule: 'rotors', school: 'replace', reason: 'Metal is heat' });
    const slotId = (await shop.technician.file(car.jobId)).layout.slots.find((s) => s.kind === 'hose')!.id;
    const decide = (over: object) =>
      shop.technician.event<'decisions'>(car.jobId, 'decisions', {
        slotId,
        partId: null,
        option: 'for_now',
        reason: '',
        reviewOn: null,
        ...over,
      } as never);
    expect((await decide({})).body.code).to.equal('reason_missing');
    expect((await decide({ reason: 'Until the season ends' })).body.code).to.equal('until_missing');
    expect((await decide({ reason: 'Until the season ends', reviewOn: '2099-10-01' })).status).to.equal(200);
  });
});

describe('the choice file', () => {
  let shop: Shop;
  let car: Awaited<ReturnType<typeof bookIn>>;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());

  it('has nothing from outside, a policy by hash, and no text that becomes part of the page', async () => {
    await shop.lead.ask('POST', '/api/reckoning/rates', { id: v7(), ...RATES });
    await shop.lead.ask('POST', '/api/articles', article());
    const slotId = car.slot('rotor', 'FL');
    const evil = '</script><img src=x onerror=alert(1)>';
    await shop.technician.event<'findings'>(car.jobId, 'findings', {
      ...{ slotId, partId: null, words: evil, severity: 'reject', cleaning: 'after', rulesOut: ['use_again'], settles: null },
    });
    const made = await shop.technician.ask<Offer>('POST', `/api/jobs/${car.jobId}/offers`, { id: v7() });
    const file = await shop.technician.raw(`/api/jobs/${car.jobId}/offers/${made.body.id}/choice-file`);
    const page = file.bytes.toString('utf8');
    expect([file.status, file.type]).to.deep.equal([200, 'text/html; charset=utf-8']);
    expect(page).to.contain("default-src 'none'; script-src 'sha256-");
    expect(page).to.not.contain(evil);
    expect(page).to.contain('&#60;/script&#62;');
    expect(page).to.not.match(/https?:|<[^>]*(?:src|href)=|url\(|@import/);
    const other = await bookIn(shop.technician);
    expect((await shop.technician.raw(`/api/jobs/${other.jobId}/offers/${made.body.id}/choice-file`)).status).to.equal(404);
  });
});
