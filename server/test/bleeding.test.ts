import { openHistory } from '@dauer/core/history';
import { lastSession, sessionState } from '@dauer/core/stages';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop, takeOff } from './harness.ts';

describe('bleeding live', () => {
  let shop: Shop;
  let car: Booked;
  const begin = (over: object = {}, at = car) =>
    shop.technician.event<'bleedSessions'>(at.jobId, 'bleed-sessions', {
      ...{ circuits: [1, 2], method: 'vacuum', product: 'Class 4, tin', fluidClass: '4', fullMl: 200, safeMl: 40, strokeMl: 20 },
      prepared: ['reservoir_filled'],
      ...over,
    } as never);
  const step = async (kind: string, over: object = {}, at = car) => {
    const [session] = (await shop.technician.file(at.jobId)).bleedSessions;
    const body = { sessionId: session!.id, kind, ...over };
    const answer = await shop.technician.event<'bleedSteps'>(at.jobId, 'bleed-steps', body as never);
    return [answer.status, answer.body.code ?? null] as const;
  };
  const stroke = (over: object = {}) => step('stroke', { slotId: car.slot('bleeder', 'FL'), colour: 'dark', air: 'none', ...over });
  const state = async () => {
    const history = openHistory(await shop.technician.file(car.jobId));
    return sessionState(history, lastSession(history)!);
  };
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', { kind: 'fluid', complaint: '', scopeCorners: [] });
  });
  after(() => shop.close());

  it('begins once, over circuits of one reservoir that bears a stroke', async () => {
    expect((await begin({ circuits: [7] })).body.code).to.equal('not_in_session');
    expect((await begin({ safeMl: 190 })).body.code).to.equal('reservoir_low');
    const unprepared = await begin({ prepared: null });
    expect([unprepared.body.code, unprepared.body.detail]).to.deep.equal([
      'gate_open',
      'Before the first bleeder it is told: Emptied, wiped and filled to its mark with Class 4, tin.',
    ]);
    // A stroke may move more than it is guessed to.
    expect((await begin({ fullMl: 40, safeMl: 8, strokeMl: 25 })).body.code).to.equal('reservoir_low');
    const both = await Promise.all([begin(), begin()]);
    expect(both.map((a) => a.status).sort()).to.deep.equal([200, 409]);
    expect(both.find((a) => a.status === 409)!.body.code).to.equal('session_elsewhere');
  });

  it('keeps each stroke until the next could draw air in, and two at once are both counted', async () => {
    const two = await Promise.all([stroke(), stroke()]);
    expect(two.map(([status]) => status)).to.deep.equal([200, 200]);
    let taken = 2;
    for (;;) {
      const [status, code] = await stroke();
      if (status !== 200) {
        expect([status, code]).to.deep.equal([409, 'reservoir_low']);
        break;
      }
      taken += 1;
    }
    const now = await state();
    expect(now.bleeders.reduce((n, b) => n + b.strokes.length, 0)).to.equal(taken);
    expect(now.level.low).to.be.at.least(40);
    expect(await step('filled', { fluidClass: '5', bottle: 'Silicone' })).to.deep.equal([409, 'not_in_session']);
    expect(await step('filled', { fluidClass: '4', bottle: 'The same tin' })).to.deep.equal([200, null]);
    expect((await stroke())[0]).to.equal(200);
  });

  it('is counted by one device until another takes it over; what was told late from before stays', async () => {
    expect(await stroke({ device: 'phone' })).to.deep.equal([409, 'session_elsewhere']);
    const before = new Date().toISOString();
    await new Promise((r) => setTimeout(r, 20));
    expect(await step('took_over', { device: 'phone' })).to.deep.equal([200, null]);
    expect(await stroke()).to.deep.equal([409, 'session_elsewhere']);
    expect(await stroke({ device: 'phone' })).to.deep.equal([200, null]);
    expect(await stroke({ happenedAt: before, id: v7() }), 'from before it was taken over').to.deep.equal([200, null]);
  });

  it('ends only with every bleeder closed, and takes nothing more then', async () => {
    const device = 'phone';
    expect(await step('ended', { device })).to.deep.equal([409, 'not_in_session']);
    expect((await step('closed_under_flow', { device, slotId: car.slot('bleeder', 'FL') }))[0]).to.equal(200);
    expect((await step('ended', { device }))[0]).to.equal(200);
    expect(await stroke({ device })).to.deep.equal([409, 'not_in_session']);
    expect((await begin()).status).to.equal(200);
  });

  it('presses no control while anything that it reaches is open', async () => {
    const open = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', { kind: 'overhaul' });
    await takeOff(shop.technician, open, open.slot('caliper', 'FL'));
    expect((await begin({ method: 'pedal' }, open)).body.code).to.equal('control_locked');
    const through = await begin({ method: 'gravity' }, open);
    expect([through.status, through.body.code]).to.deep.equal([409, 'gate_open']);
    expect(through.body.detail).to.match(/front left caliper/);
    expect((await begin({ method: 'gravity', circuits: [2] }, open)).status, 'the other circuit').to.equal(200);
  });
});
