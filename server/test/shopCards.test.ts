import { CARDS, type ShopStep } from '@dauer/core/catalogue';
import { openHistory } from '@dauer/core/history';
import type { ShopCardVersion } from '@dauer/core/ledger';
import { cardContent } from '@dauer/core/readiness';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop } from './harness.ts';

const OWN: ShopStep = {
  ...{ id: 'own_1', after: null, group: 'strip', words: 'Lay the halves on the numbered tray', why: 'They went back crossed once.' },
  ...{ kind: 'do', minutes: 2, ready: '', hazard: '', obliged: true, second: false },
};

describe('work cards as the shop does them', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());
  const enter = (over: object, who = shop.lead) =>
    who.ask('POST', '/api/shop-cards', {
      ...{ id: v7(), cardId: 'caliper_fixed', changes: [], own: [OWN], reason: 'They were crossed once', replaces: null },
      ...over,
    });
  const all = async () => (await shop.reader.ask<ShopCardVersion[]>('GET', '/api/shop-cards')).body;
  const card = CARDS.find((c) => c.id === 'caliper_fixed')!;

  it('is said by a lead alone, of a card and its steps, with a reason, and never takes out what has to stay', async () => {
    const stays = card.steps.find((s) => s.obliged)!.id;
    const nothing = { words: '', minutes: null, ready: '', hazard: '' };
    expect((await enter({}, shop.technician)).status).to.equal(403);
    expect((await enter({}, shop.reader)).status).to.equal(403);
    expect((await enter({ reason: '  ' })).status).to.equal(400);
    expect((await enter({ own: [{ ...OWN, minutes: 2.5 }] })).status).to.equal(400);
    expect((await enter({ own: [{ ...OWN, kind: 'torque' }] })).status, 'a torque has a target').to.equal(400);
    expect((await enter({ own: [{ ...OWN, words: '' }] })).status).to.equal(400);
    for (const bad of [
      { cardId: 'no_such' },
      { changes: [{ ...nothing, stepId: stays, leftOut: true }] },
      { changes: [{ ...nothing, stepId: 'no_such', leftOut: true }] },
      { own: [{ ...OWN, id: stays }] },
      { own: [{ ...OWN, after: 'no_such' }] },
      { own: [OWN, OWN] },
    ]) {
      const reply = await enter(bad);
      expect([reply.status, (reply.body as { code?: string }).code], JSON.stringify(bad)).to.deep.equal([409, 'card_refused']);
    }
    expect(await all()).to.deep.equal([]);
  });

  it('a second version is made of the newest; of two leads at once one is told, and a request sent twice is one', async () => {
    const first = v7();
    const sent = { id: first };
    expect((await enter(sent)).status).to.equal(200);
    expect((await enter(sent)).status, 'sent again').to.equal(200);
    expect((await enter({ ...sent, reason: 'Something else' })).status, 'another under its name').to.equal(409);
    const both = await Promise.all([1, 2].map((minutes) => enter({ replaces: first, own: [{ ...OWN, minutes }] })));
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 409]);
    expect((both.find((b) => b.status === 409)!.body as { code?: string }).code).to.equal('stale');
    expect((await enter({ replaces: null })).status, 'of what is no longer so').to.equal(409);
    expect(await all()).to.have.length(2);
  });

  it('a card is begun as the shop does it, and one that runs stays as it was', async () => {
    const slotId = car.slot('caliper', 'FL');
    const slot = car.layout.slots.find((s) => s.id === slotId)!;
    const send = (path: string, body: object) => shop.technician.event<'cardRuns'>(car.jobId, path, body as never);
    const file = () => shop.technician.file(car.jobId);
    await send('decisions', { slotId, partId: null, option: 'reseal', reason: 'Weeps', reviewOn: null });
    const content = cardContent(openHistory(await file()), slot, 'reseal')!;
    const cardId = content.cardId;
    const newest = async () => (await all()).filter((v) => v.cardId === cardId).at(-1)?.id ?? null;
    const words = 'Lay both halves on the numbered tray';
    expect((await enter({ cardId, own: [{ ...OWN, words }], replaces: await newest() })).status).to.equal(200);
    const ours = cardContent(openHistory(await file()), slot, 'reseal')!;
    expect(ours.steps.map((s) => s.words)).to.include(words);
    expect((await send('card-runs', { slotId, option: 'reseal', ...ours, steps: ours.steps.slice(1) })).status).to.be.within(400, 499);
    expect((await send('card-runs', { slotId, option: 'reseal', ...ours })).status).to.equal(200);
    expect((await enter({ cardId, own: [], replaces: await newest() })).status).to.equal(200);
    const [run] = (await file()).cardRuns;
    expect(run!.steps.map((s) => s.words)).to.include(words);
    // Only the newest few go with a job; the shop keeps them all.
    for (const minutes of [4, 5, 6]) await enter({ cardId, own: [{ ...OWN, minutes }], replaces: await newest() });
    expect((await file()).shopCards.filter((v) => v.cardId === cardId).map((v) => v.own[0]?.minutes)).to.deep.equal([4, 5, 6]);
    expect((await all()).filter((v) => v.cardId === cardId).length).to.be.greaterThan(4);
  });
});
