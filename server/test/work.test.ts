import { expect } from 'chai';
import { type Booked, bookIn, openShop, type Shop, takeOff } from './harness.ts';

/** What is said of a part has to have been possible, whoever says it and by whatever way it comes in. */
describe('work that cannot have been done', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'drums_single', { scopeCorners: ['RL', 'RR'] });
  });
  after(() => shop.close());

  const partAt = async (slotId: string): Promise<string> =>
    (await shop.technician.file(car.jobId)).partEvents.find((e) => e.slotId === slotId)!.partId;
  const say = async (
    slotId: string,
    kind: 'resealed' | 'honed' | 'sent' | 'freed',
    over: { lot?: string | null; happenedAt?: string } = {},
  ) =>
    shop.technician.event<'partEvents'>(car.jobId, 'part-events', {
      ...{ partId: await partAt(slotId), kind, slotId, note: '', lot: 'K 77' },
      ...over,
    });

  it('a cylinder is not resealed behind its drum, six times or once, by nobody', async () => {
    const cylinder = car.slot('wheel_cylinder', 'RL');
    for (let n = 0; n < 6; n += 1) {
      const refused = await say(cylinder, 'resealed');
      expect([refused.status, refused.body.code, refused.body.detail]).to.deep.equal([
        422,
        'not_possible',
        'The rear left drum is on. Take it off first.',
      ]);
    }
    expect((await shop.technician.file(car.jobId)).partEvents.some((e) => e.kind === 'resealed')).to.equal(false);
  });

  it('and is once the drum is off: with its kit, or none known; what was sent twice is entered once', async () => {
    const cylinder = car.slot('wheel_cylinder', 'RL');
    const before = new Date(Date.now() - 60000).toISOString();
    await takeOff(shop.technician, car, car.slot('drum', 'RL'));
    expect((await say(cylinder, 'resealed', { happenedAt: before })).body.detail, 'a minute before').to.match(/drum is on/);
    expect((await say(cylinder, 'resealed', { lot: null })).body.detail).to.match(/what went into or onto the rear left wheel cylinder/);
    const done = await say(cylinder, 'resealed', { lot: '' });
    expect([done.status, done.body.record['lot']]).to.deep.equal([200, '']);
    const { id, happenedAt } = done.body.record;
    const part = await partAt(cylinder);
    const body = { partId: part, kind: 'resealed' as const, slotId: cylinder, note: '', lot: '' };
    const again = await shop.technician.ask('POST', `/api/jobs/${car.jobId}/part-events`, { id, happenedAt, device: 'test', ...body });
    expect(again.status).to.equal(200);
    expect((await shop.technician.file(car.jobId)).partEvents.filter((e) => e.kind === 'resealed')).to.have.length(1);
  });

  it('that its drum was off is not taken back while it stands as sealed behind it; the other way round it is', async () => {
    const { partEvents } = await shop.technician.file(car.jobId);
    const idOf = (kind: string): string => partEvents.findLast((e) => e.kind === kind)!.id;
    const back = (corrects: string) => shop.technician.event<'takeBacks'>(car.jobId, 'take-backs', { corrects, reason: '' } as never);
    const refused = await back(idOf('removed'));
    expect([refused.status, refused.body.code]).to.deep.equal([422, 'not_possible']);
    expect(refused.body.detail).to.match(/^Rear left wheel cylinder resealed: that could not have been done without it/);
    expect((await shop.technician.file(car.jobId)).takeBacks).to.deep.equal([]);
    expect((await back(idOf('resealed'))).status).to.equal(200);
    expect((await back(idOf('removed'))).status).to.equal(200);
    await takeOff(shop.technician, car, car.slot('drum', 'RL'));
    expect((await say(car.slot('wheel_cylinder', 'RL'), 'resealed')).status).to.equal(200);
  });

  it('nothing is honed that nobody decided to hone, and no bore of aluminium is decided so', async () => {
    const cylinder = car.slot('wheel_cylinder', 'RL');
    expect((await say(cylinder, 'honed')).body.detail).to.match(/Nobody has decided to hone/);
    const hone = (metal: 'iron' | 'aluminium' | null) =>
      shop.technician.event<'decisions'>(car.jobId, 'decisions', {
        ...{ slotId: cylinder, partId: null, option: 'hone', reason: '', reviewOn: null, metal },
      });
    // Nothing was gauged and no hone-to figure is on file.
    const refused = await hone('iron');
    expect([refused.status, refused.body.code, refused.body.detail]).to.deep.equal([
      409,
      'ruled_out',
      'Rear left wheel cylinder: “Hone and reseal” is ruled out. No hone-to figure on file.',
    ]);
    expect((await hone('aluminium')).status).to.equal(409);
  });

  it('a proof is one that the job asks for, and one that can be true: the first press before the rest, the road with its place', async () => {
    const other = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo');
    const prove = (item: string, result: 'passed' | 'same' | 'failed', note = '') =>
      shop.technician.event<'proofs'>(other.jobId, 'proofs', { item, slotId: null, corner: null, result, note });
    const code = async (...of: Parameters<typeof prove>) => (await prove(...of)).body.code;
    expect(await code('no_such_proof', 'passed')).to.equal('nothing_to_prove');
    expect(await code('first_press', 'passed'), 'nothing was moved').to.equal('nothing_to_prove');
    expect(await code('pedal_hold', 'same'), 'no answer to that').to.equal('nothing_to_prove');
    expect(await code('road', 'passed', 'The hill, 14 km')).to.equal('not_proved_yet');
    expect(await code('parking', 'passed', 'holds')).to.equal('not_proved_yet');
    await takeOff(shop.technician, other, other.slot('pads', 'FL'));
    const refused = await prove('warning_lamps', 'passed');
    expect(refused.status, 'presses nothing').to.equal(200);
    expect(await code('stop_lamp', 'passed'), 'a unit is open').to.equal('control_locked');
    const partId = (await shop.technician.file(other.jobId)).partEvents.find((e) => e.slotId === other.slot('pads', 'FL'))!.partId;
    await shop.technician.event<'partEvents'>(other.jobId, 'part-events', {
      ...{ partId, kind: 'fitted', slotId: other.slot('pads', 'FL'), note: '' },
    });
    expect((await prove('stop_lamp', 'passed')).body.detail).to.match(/^Pump the pedal up first/);
    expect((await prove('stop_lamp', 'failed')).status, 'that it failed is told at once').to.equal(200);
    expect((await prove('first_press', 'passed')).status).to.equal(200);
    expect((await prove('stop_lamp', 'passed')).status).to.equal(200);
  });

  it('a master cylinder is sent out when it is off, and a rotor of it is none', async () => {
    const master = car.slot('master_cylinder');
    expect((await say(master, 'sent')).body.detail).to.match(/is on the vehicle\. It has to be off before it can be sent out/);
    const off = { partId: await partAt(master), kind: 'removed' as const, slotId: master, note: '' };
    const refused = await shop.technician.event<'partEvents'>(car.jobId, 'part-events', off);
    expect(refused.body.detail).to.match(/which joint .* or that it hangs/);
    await takeOff(shop.technician, car, master);
    expect((await say(master, 'resealed')).status).to.equal(200);
    expect((await say(master, 'sent')).status).to.equal(200);
    expect((await say(master, 'freed')).body.detail).to.match(/is away/);
  });
});
