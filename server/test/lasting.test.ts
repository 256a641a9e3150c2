import { FROM_BEFORE } from '@dauer/contract';
import type { LastingCase } from '@dauer/core/estimate';
import { buildLayout } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { openShop, PASSWORD, type Shop, takeIn } from './harness.ts';

const THEN = '2021-05-04T08:00:00.000Z';
const at = (minute: number): string => new Date(Date.parse(THEN) + minute * 60000).toISOString();

describe('what work lasted', function () {
  this.timeout(60000);
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());

  it('counts from its hand-back until somebody says that it came back, and is reckoned with from then on', async () => {
    const [vehicleId, before, again] = [v7(), v7(), v7()];
    const layout = buildLayout('coupe_disc_disc_tandem_servo', v7(), vehicleId, v7);
    const caliper = layout.slots.find((s) => s.kind === 'caliper' && s.corner === 'FL')!.id;
    const rotor = layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'FL')!.id;
    const vehicle = {
      ...{ id: vehicleId, tag: 'V 801', name: 'Old coupé', make: 'Tavell', model: 'Corrie', year: 1971, variant: null, body: 'coupé' },
      ...{ use: 'daily', climate: 'temperate', storage: 'dry', standsYears: null, distanceUnit: 'km', version: 1 },
    };
    const jobFields = { complaint: 'Drags', wants: '', fluidKnown: '', promised: null, scopeCorners: ['FL'] };
    const decision = (slotId: string, option: string) => ({
      kind: 'event',
      family: 'decisions',
      authorId: FROM_BEFORE,
      record: {
        ...{ id: v7(), jobId: before, device: 'card', happenedAt: at(5), recordedAt: at(5), corrects: null, slotId, partId: null, option },
        ...{ reason: '', reviewOn: null, untilKm: null, access: null, code: null, metal: null, supersedes: null },
      },
    });
    const taken = await takeIn(shop.lead, [
      { kind: 'import', id: v7(), source: 'a card file', password: PASSWORD },
      { kind: 'vehicle', vehicle, layout },
      { kind: 'job', job: { id: before, vehicleId, kind: 'axle', ...jobFields, openedAt: THEN, openedBy: FROM_BEFORE } },
      decision(caliper, 'reseal'),
      decision(rotor, 'use_again'),
      { kind: 'release', release: { id: v7(), jobId: before, releasedAt: at(90) } },
    ]);
    expect(taken.status, JSON.stringify(taken.body)).to.equal(200);
    expect(taken.body.refused).to.deep.equal([]);
    const lasting = async () => (await shop.reader.ask<LastingCase[]>('GET', '/api/lasting')).body;
    expect((await lasting()).map((c) => [c.option, c.kind, c.cameBack])).to.deep.equal([['reseal', 'caliper', false]]);
    const booked = await shop.technician.ask('POST', `/api/vehicles/${vehicleId}/jobs`, { id: again, kind: 'axle', ...jobFields });
    expect(booked.status, JSON.stringify(booked.body)).to.equal(200);
    const say = (slotId: string, repairedIn: string) =>
      shop.technician.event<'comebacks'>(again, 'comebacks', { slotId, repairedIn, answer: 'comeback' });
    expect((await say(rotor, before)).body.code, 'nothing was done there').to.equal('unknown_reference');
    expect((await say(caliper, again)).body.code, 'not by this job').to.equal('unknown_reference');
    const said = await say(caliper, before);
    expect(said.status).to.equal(200);
    const [one] = await lasting();
    expect([one?.cameBack, one!.from < one!.until]).to.deep.equal([true, true]);
    const counts = async () => (await shop.technician.file(again)).comebackCounts as JobRecords['comebackCounts'];
    // Five years later: no comeback of the interval, but a case.
    expect(await counts()).to.deep.equal([{ option: 'reseal', kind: 'caliper', cases: 1, comebacks: 0 }]);
    await shop.technician.event<'takeBacks'>(again, 'take-backs', { corrects: said.body.record.id, reason: 'slip' });
    expect((await lasting())[0]?.cameBack).to.equal(false);
  });
});
