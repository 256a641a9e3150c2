import { openHistory } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop } from './harness.ts';

describe('a line of a vehicle', () => {
  let shop: Shop;
  let car: Booked;
  let other: Booked;
  before(async () => {
    shop = await openShop();
    const job = { kind: 'overhaul', complaint: '', scopeCorners: [] } as const;
    car = await bookIn(shop.technician, 'drums_single', job);
    other = await bookIn(shop.technician, 'drums_single', job);
  });
  after(() => shop.close());
  const lineOf = (b: Booked) => b.layout.connections.find((c) => c.kind === 'line' && c.to === b.slot('hose', 'FL'))!;
  const find = (b: Booked, slotId: string, partId: string | null) =>
    shop.technician.event<'findings'>(b.jobId, 'findings', {
      ...{ slotId, partId, words: 'Rusted under the clips', severity: 'reject', cleaning: 'after' },
      ...{ rulesOut: ['use_again', 'put_off'], settles: null },
    });
  const move = (b: Booked, kind: 'removed' | 'fitted' | 'freed', partId: string, described = false) =>
    shop.technician.event<'partEvents'>(b.jobId, 'part-events', {
      ...{ partId, kind, slotId: kind === 'freed' ? null : lineOf(b).id, note: '', lot: null, lineOn: false, temporary: false },
      part: described ? { tag: null, kind: 'line', name: 'Line', partNumber: 'L 5', note: '' } : null,
    });

  it('is looked at, decided upon and renewed under the id of its connection, and nobody else’s is', async () => {
    const line = lineOf(car);
    expect((await find(car, lineOf(other).id, null)).body.code).to.equal('unknown_place');
    expect((await find(car, line.id, lineOf(other).id)).body.code).to.equal('unknown_reference');
    expect((await find(car, line.id, line.id)).status).to.equal(200);
    const decide = (option: 'use_again' | 'replace') =>
      shop.technician.event<'decisions'>(car.jobId, 'decisions', {
        slotId: line.id,
        partId: line.id,
        option,
        reason: 'Rusted',
        reviewOn: null,
      });
    expect((await decide('use_again')).body.code).to.equal('ruled_out');
    expect((await decide('replace')).status).to.equal(200);
    const stillMade = await move(car, 'removed', line.id);
    expect(stillMade.body.code).to.equal('not_possible');
    expect(stillMade.body.detail).to.match(/still made at the .* and at the front left hose/);
    for (const slotId of [line.from, line.to])
      await shop.technician.event<'jointEvents'>(car.jobId, 'joints', {
        connectionId: line.id,
        slotId,
        kind: 'opened',
        seal: null,
        note: '',
      });
    expect((await move(car, 'removed', line.id)).status).to.equal(200);
    const renewed = v7();
    expect((await move(car, 'fitted', renewed, true)).status).to.equal(200);
    const file = await shop.technician.file(car.jobId);
    expect(file.parts.find((p) => p.id === line.id)).to.include({ kind: 'line', name: 'Line' });
    const c = deriveJob(file, new Date().toISOString()).components.find((x) => x.slot.id === line.id)!;
    expect([c.part?.id, c.part?.partNumber, c.fittedHere, c.findings.length]).to.deep.equal([renewed, 'L 5', true, 0]);
    expect(openHistory(file).records.parts.filter((p) => p.id === line.id)).to.have.length(1);
  });

  it('is gauged by nobody, and bled at by nobody', async () => {
    const line = lineOf(other);
    const set = { slotId: line.id, partId: null, measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean', cold: true } as const;
    const begun = await shop.technician.event<'sets'>(other.jobId, 'sets', { ...set, averages: false, count: 8 } as never);
    expect(begun.body.code).to.equal('wrong_place');
    const pull = { volumeTyped: '50 ml', colour: 'clear', air: 'none', closed: true } as const;
    for (const slotId of [line.id, other.slot('drum', 'FL')])
      expect((await shop.technician.event<'bleedPulls'>(other.jobId, 'bleed-pulls', { slotId, ...pull })).status, slotId).to.not.equal(200);
  });

  it('has a life of its own, with its place', async () => {
    const { body } = await shop.technician.ask<{ life: { what: string; where: string }[]; where: string }>(
      'GET',
      `/api/parts/${lineOf(car).id}`,
    );
    expect(body.where).to.equal('shelf');
    expect(body.life.map((l) => l.what)).to.have.members(['Taken off', 'Finding: Rusted under the clips']);
    expect(body.life.every((l) => /^Line, .* to front left hose$/.test(l.where))).to.equal(true);
  });

  it('is told of first by whatever is done, and by nothing of another vehicle', async () => {
    const rod = other.layout.connections.find((c) => c.kind === 'rod' || c.kind === 'cable')!;
    const freed = (partId: string) =>
      shop.technician.event<'partEvents'>(other.jobId, 'part-events', {
        ...{ partId, kind: 'freed', slotId: null, note: '', lot: null, lineOn: false, temporary: false, part: null },
      });
    expect((await freed(lineOf(car).id)).status).to.not.equal(200);
    expect((await freed(rod.id)).status).to.equal(200);
    expect((await freed(v7())).body.code).to.equal('unknown_reference');
  });

  it('no joint is opened while the vehicle stores energy, whatever way it is told', async () => {
    const car = await bookIn(shop.technician);
    const { vehicle } = await shop.technician.file(car.jobId);
    const { id: _i, ownerId: _o, version, ...fields } = vehicle as typeof vehicle & { ownerId?: string };
    const changed = await shop.technician.ask('PATCH', `/api/vehicles/${car.vehicleId}`, { ...fields, stored: 'air', version });
    expect(changed.status, JSON.stringify(changed.body)).to.equal(200);
    const line = car.layout.connections.find((c) => c.kind === 'line')!;
    const open = () =>
      shop.technician.event<'jointEvents'>(car.jobId, 'joints', {
        connectionId: line.id,
        slotId: line.from,
        kind: 'opened',
        seal: null,
        note: '',
      });
    expect((await open()).body.code).to.equal('not_possible');
    await shop.technician.event<'putIns'>(car.jobId, 'put-ins', { slotId: car.slot('pedal'), what: 'made_safe', note: '' });
    expect((await open()).status).to.equal(200);
  });
});
