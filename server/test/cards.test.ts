import { openHistory } from '@dauer/core/history';
import { cardContent, cardState, runAt } from '@dauer/core/readiness';
import { CARD_REFUSED, GATE_WORDS, TRY_REFUSED } from '@dauer/core/wording';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, PASSWORD, type Shop, takeOff, type Visitor } from './harness.ts';

describe('a work card at the bench', () => {
  let shop: Shop;
  let car: Booked;
  let caliper: string;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    caliper = car.slot('caliper', 'FL');
    const decision = { slotId: caliper, partId: null, option: 'reseal', reason: 'stuck', reviewOn: null } as const;
    await shop.technician.event<'decisions'>(car.jobId, 'decisions', decision);
  });
  after(() => shop.close());

  const content = async (): Promise<object> => {
    const history = openHistory(await shop.technician.file(car.jobId));
    return {
      slotId: caliper,
      option: 'reseal',
      ...cardContent(
        history,
        history.records.layout.slots.find((s) => s.id === caliper)!,
        'reseal',
      ),
    };
  };
  const begin = (body: object) => shop.technician.event<'cardRuns'>(car.jobId, 'card-runs', body as never);
  const now = async () => {
    const history = openHistory(await shop.technician.file(car.jobId));
    return cardState(history, runAt(history, caliper)!, new Date().toISOString())!;
  };
  const tell = async (stepId: string, over: object = {}, who: Visitor = shop.technician) =>
    who.event<'cardTells'>(car.jobId, 'card-tells', { runId: (await now()).run.id, stepId, kind: 'done', ...over } as never);

  it('is begun once, however many tablets begin it at the same moment, and never with steps of somebody’s own', async () => {
    const body = await content();
    const short = { ...body, steps: (body as { steps: readonly object[] }).steps.slice(3) };
    expect((await begin(short)).body.detail).to.equal(CARD_REFUSED.other_card);
    expect((await begin({ ...body, slotId: car.slot('caliper', 'FR') })).body.detail).to.equal(CARD_REFUSED.not_decided);
    const both = await Promise.all([begin(body), begin(body)]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect(both.find((b) => b.status === 422)!.body.detail).to.equal(CARD_REFUSED.running);
    expect((await now()).steps.length).to.be.greaterThan(15);
  });

  it('takes one of two who tell the same step at once, and tells the other one', async () => {
    const both = await Promise.all([tell('pads_out'), tell('pads_out', {}, shop.lead)]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect(both.find((b) => b.status === 422)!.body).to.include({ code: 'not_possible', detail: CARD_REFUSED.told_already });
    // Who pressed a moment before, and comes in after, is told as well: it is on record once.
    const sooner = await tell('pads_out', { happenedAt: new Date(Date.now() - 60_000).toISOString() } as never, shop.lead);
    expect(sooner.status).to.equal(422);
    expect(sooner.body.detail).to.equal(CARD_REFUSED.told_already);
    expect((await tell('pads_out', {}, shop.reader)).status).to.equal(403);
  });

  it('is repeated by the same id without a second one, and keeps what is sent for another job out', async () => {
    const id = v7();
    const first = await tell('pushed_back', { id, kind: 'not_here', note: 'no lip' });
    const { happenedAt } = first.body.record;
    const again = await shop.technician.ask<{ status: string }>('POST', `/api/jobs/${car.jobId}/card-tells`, {
      ...{ id, happenedAt, device: 'test', runId: (await now()).run.id, stepId: 'pushed_back', kind: 'not_here', note: 'no lip' },
    });
    expect([again.status, again.body.status]).to.deep.equal([200, 'already_stored']);
    const elsewhere = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    const stray = await shop.technician.event<'cardTells'>(elsewhere.jobId, 'card-tells', {
      ...{ runId: (await now()).run.id, stepId: 'marked', kind: 'done' },
    } as never);
    expect(stray.status).to.be.greaterThan(399);
  });

  it('holds the order of the work in every way in: not sealed before the bore was wiped, whoever enters it and from where', async () => {
    await takeOff(shop.technician, car, caliper);
    const partId = (await shop.technician.file(car.jobId)).partEvents.find((e) => e.slotId === caliper)!.partId;
    const part = (kind: 'opened' | 'resealed') =>
      shop.technician.event<'partEvents'>(car.jobId, 'part-events', { partId, kind, slotId: caliper, note: '', lot: 'K 4' });
    expect((await part('opened')).body.detail, 'marked first').to.contain('Mark which way round');
    expect((await tell('marked')).status).to.equal(200);
    expect((await part('opened')).status).to.equal(200);
    const early = await part('resealed');
    expect([early.status, early.body.code]).to.deep.equal([422, 'not_possible']);
    expect(early.body.detail).to.contain('Wipe bore, grooves and piston once more');
    for (const id of ['seals_out', 'groove_seal', 'blown', 'wiped']) expect((await tell(id)).status, id).to.equal(200);
    expect((await tell('blasted')).body.detail).to.match(/^Too late for this/);
    expect((await part('resealed')).status).to.equal(200);
    expect((await now()).steps.find((s) => s.step.id === 'seal_in')!.status).to.equal('done');
  });

  it('lets a lead pass what may be passed, and a step told late be of what was on record then', async () => {
    const gate = { kind: 'passed', gate: 'capped', note: 'plugged with its own bolt' };
    expect((await tell('capped')).body.detail).to.equal(GATE_WORDS.capped.missing);
    expect((await tell('capped', gate)).body.detail).to.equal(CARD_REFUSED.lead_only);
    expect((await tell('capped', gate, shop.lead)).status).to.equal(200);
    const { happenedAt } = (await now()).run;
    const early = new Date(Date.parse(happenedAt) + 1).toISOString();
    expect((await tell('capped', { happenedAt: early })).body.detail, 'before it was off').to.match(
      /^First: Take the caliper off|no cap or plug/i,
    );
    expect((await tell('capped')).status).to.equal(200);
  });

  it('takes a try at freeing while its rung holds, one of two told at once that it moved, and none by a reader', async () => {
    const at = car.slot('caliper', 'FR');
    const tried = (rungId: string, over: object = {}, who: Visitor = shop.technician) =>
      who.event<'ladderTries'>(car.jobId, 'ladder-tries', {
        slotId: at,
        ladderId: 'piston',
        rungId,
        moved: false,
        minutes: 20,
        ...over,
      } as never);
    expect((await tried('soak', {}, shop.reader)).status).to.equal(403);
    expect((await tried('soak', { minutes: 0 })).status).to.equal(400);
    // The left caliper is off: nobody presses the right one out.
    const pressed = await tried('own_pedal');
    expect([pressed.status, pressed.body.code]).to.deep.equal([422, 'not_possible']);
    const both = await Promise.all([tried('clamp', { moved: true }), tried('clamp', { moved: true })]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect(both.find((b) => b.status === 422)!.body.detail).to.equal(TRY_REFUSED.moves);
  });

  it('blocks the hand-back by what is still open on it', async () => {
    const answer = await shop.lead.ask<{ blocks: readonly { key: string }[] }>('POST', `/api/jobs/${car.jobId}/release`, {
      ...{ id: v7(), password: PASSWORD },
    });
    expect(answer.body.blocks.map((b) => b.key)).to.include(`card:${caliper}`);
  });
});
