import { NOTHING_ELSE, type PriorVersion } from '@dauer/core/ledger';
import { type CalibrationCase, recordOf } from '@dauer/core/views';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop } from './harness.ts';

const LOOK = { fault: 'piston_seized', state: 'found', said: 0.41, rank: 2 } as const;

describe('tracing', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());
  const look = (body: Record<string, unknown>) => shop.technician.event<'causeLooks'>(car.jobId, 'cause-looks', body as never);
  const record = async () => (await shop.reader.ask<{ cases: CalibrationCase[]; priors: PriorVersion[] }>('GET', '/api/tracing')).body;

  it('what is felt at one of several levers names a lever of this very vehicle', async () => {
    const bike = await bookIn(shop.technician, 'motorcycle_disc_rod', { kind: 'overhaul', complaint: '', scopeCorners: ['F', 'R'] });
    const say = (code: string) => shop.technician.event<'observations'>(bike.jobId, 'observations', { code, corner: null, state: 'seen' });
    const lever = bike.layout.slots.find((s) => s.kind === 'hand_lever')!.id;
    expect((await say(`pedal_spongy~${lever}`)).status).to.equal(200);
    const wrong = [
      `pedal_spongy~${bike.slot('rotor', 'F')}`,
      `pedal_spongy~${car.slot('pedal')}`,
      `judder~${lever}`,
      `pedal_nothing~${lever}`,
    ];
    for (const code of wrong) expect((await say(code)).body.code, code).to.equal('unknown_observation');
  });

  it('what is seen in one of several reservoirs names a reservoir of this very vehicle', async () => {
    const van = await bookIn(shop.technician, 'saloon_disc_drum_single');
    const say = (code: string) => shop.technician.event<'observations'>(van.jobId, 'observations', { code, corner: null, state: 'seen' });
    const clutch = van.layout.slots.find((s) => s.kind === 'clutch_master')!.id;
    for (const code of [`level_low~${clutch}`, 'level_low']) expect((await say(code)).status, code).to.equal(200);
    // The only one on the map is meant where none is named.
    for (const code of [
      `level_low~${van.slot('pedal')}`,
      `fluid_dark~${van.slot('reservoir')}`,
      `line_rusted~${clutch}`,
      `pedal_spongy~${clutch}`,
    ])
      expect((await say(code)).body.code, code).to.equal('unknown_observation');
    const look = await shop.technician.event<'causeLooks'>(van.jobId, 'cause-looks', { ...LOOK, fault: 'fluid_water', place: clutch });
    expect(look.status).to.equal(200);
  });

  it('keeps an answer about one of several pistons, at its wheel, and refuses what is nowhere on the list', async () => {
    const say = (code: string, corner: string | null) =>
      shop.technician.event<'observations'>(car.jobId, 'observations', { code, corner, state: 'seen' } as never);
    expect((await say('piston_stiff#2', 'FL')).status).to.equal(200);
    expect((await say('piston_stiff#2', null)).body.code).to.equal('corner_or_whole');
    expect((await say('joint_wet#1', null)).status).to.equal(200);
    expect((await say('drags', 'F')).body.code).to.equal('unknown_place');
    expect((await say('runout_past', 'FL')).body.code).to.equal('unknown_observation');
    expect((await say('piston_stiff#22', 'FL')).body.code).to.equal('unknown_observation');
  });

  it('keeps what the bench found of a cause, once, and refuses a cause that this vehicle has no place for', async () => {
    const place = car.slot('piston', 'FL');
    const sent = { ...LOOK, id: v7(), place };
    expect((await look(sent)).body.record).to.include({ fault: 'piston_seized', place, state: 'found', said: 0.41, rank: 2 });
    expect((await look(sent)).body.status).to.equal('already_stored');
    expect((await look({ ...LOOK, place: car.slot('rotor', 'FL') })).body.code).to.equal('unknown_cause');
    expect((await look({ ...LOOK, fault: 'teapot', place })).body.code).to.equal('unknown_cause');
    expect((await look({ ...LOOK, fault: NOTHING_ELSE, place })).body.code).to.equal('unknown_cause');
    expect((await look({ ...LOOK, place, said: 1.2 })).status).to.equal(400);
    expect((await shop.reader.event<'causeLooks'>(car.jobId, 'cause-looks', { ...LOOK, place } as never)).status).to.equal(403);
  });

  it('a job counts in the record once nothing else was found', async () => {
    expect((await record()).cases).to.deep.equal([]);
    await look({ fault: NOTHING_ELSE, place: 'system', state: 'found', said: null, rank: null });
    const { cases } = await record();
    expect(cases.map((c) => c.jobId)).to.deep.equal([car.jobId]);
    expect(cases[0]?.causes).to.deep.include({
      ...{ fault: 'piston_seized', name: 'Piston seized', where: 'front left piston 1', found: true, said: 0.41, rank: 2 },
    });
    expect(recordOf(cases)).to.include({ cases: 1, found: 1, first: 0, firstThree: 1 });
    await look({ fault: NOTHING_ELSE, place: 'system', state: 'open', said: null, rank: null });
    expect((await record()).cases).to.deep.equal([]);
  });

  it('a lead takes over the shop’s own odds: they come with every job, and no other role may', async () => {
    const prior = { id: v7(), fault: 'piston_seized', times: 2.5, lookedAt: 40, found: 9 };
    const take = (who: Shop['lead'], p: Record<string, unknown>) => who.ask<PriorVersion[]>('POST', '/api/tracing/priors', { priors: [p] });
    expect((await take(shop.technician, prior)).status).to.equal(403);
    expect((await take(shop.lead, { ...prior, fault: 'teapot' })).status).to.equal(422);
    expect((await take(shop.lead, { ...prior, times: 0 })).status).to.equal(400);
    const kept = await take(shop.lead, prior);
    expect(kept.body).to.have.length(1);
    expect((await take(shop.lead, prior)).body).to.deep.equal(kept.body);
    expect((await record()).priors.map((p) => [p.fault, p.times])).to.deep.equal([['piston_seized', 2.5]]);
    const records = await shop.reader.file(car.jobId);
    expect(records.priors.map((p) => p.times)).to.deep.equal([2.5]);
  });
});
