import { demoStory } from '@dauer/demo';
import { deriveJob } from '@dauer/core/job';
import { acceptanceKey, type JobRecords } from '@dauer/core/ledger';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { addStoryPeople, type Booked, bookIn, finishFluid, openShop, PASSWORD, type Shop, takeIn } from './harness.ts';

describe('handing back', () => {
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', {
      kind: 'fluid',
      complaint: '',
      wants: 'Fluid change',
      scopeCorners: [],
    });
  });
  after(() => shop.close());

  const release = (password = PASSWORD, id = v7()) =>
    shop.lead.ask<{
      code: string;
      id: string;
      blocks: { key: string; stage: string; what: string }[];
      sheet: { fluid: { text: string }[] };
      ownWork: boolean;
    }>('POST', `/api/jobs/${car.jobId}/release`, { id, password });

  it('is refused while anything blocks, and names all of it', async () => {
    const answer = await release();
    expect([answer.status, answer.body.code]).to.deep.equal([409, 'blocked']);
    const keys = answer.body.blocks.map((b) => b.key);
    expect(keys).to.include.members(['bookin:counter', 'bleed:fluid', 'proof:pedal_hold', 'proof:road']);
    expect(answer.body.blocks.filter((b) => b.stage === 'bleed')).to.have.length(6);
  });

  it('asks for the password again', async () => {
    expect((await release('something else')).body.code).to.equal('wrong_password');
  });

  it('what does not block cannot be accepted, and what is answered by work is no waiver', async () => {
    const accept = (obligation: string) =>
      shop.lead.event<'acceptances'>(car.jobId, 'acceptances', { obligation, reason: 'because', password: PASSWORD });
    expect((await accept('verdict:nothing')).body.code).to.equal('nothing_to_accept');
    expect((await accept('proof:pedal_hold||')).body.code).to.equal('no_waiver');
  });

  it('a complaint that is still the same goes home only by a lead’s reason', async () => {
    const other = await bookIn(shop.technician, 'utility_rods', { kind: 'fluid', complaint: 'Squeals', wants: 'Quiet', scopeCorners: [] });
    await shop.technician.event<'proofs'>(other.jobId, 'proofs', {
      item: 'complaint',
      slotId: null,
      corner: null,
      result: 'same',
      note: '',
    });
    const asked = deriveJob(await shop.reader.file(other.jobId), new Date().toISOString());
    const obligation = acceptanceKey(asked.blocks.find((b) => b.key === 'proof:complaint')!);
    const accept = (who: typeof shop.lead, reason = 'Owner will live with it') =>
      who.event<'acceptances'>(other.jobId, 'acceptances', { obligation, reason, password: PASSWORD });
    expect((await accept(shop.technician)).body.code).to.equal('role');
    for (const reason of ['ok', 'because', 'yes yes yes yes', 'x'.repeat(40), '            '])
      expect((await accept(shop.lead, reason)).body.code, reason).to.be.oneOf(['reason_missing', 'invalid']);
    expect((await accept(shop.lead)).status).to.equal(200);
    const state = deriveJob(await shop.reader.file(other.jobId), new Date().toISOString());
    expect(state.blocks.map((b) => b.key)).to.not.include('proof:complaint');
  });

  const finish = (): Promise<void> => finishFluid(shop, car);

  it('a bleeder left open, dark or airy is not bled', async () => {
    const [bleeder] = car.layout.slots.filter((s) => s.kind === 'bleeder');
    // Told by a test before it is moved: afterwards it is what went in.
    const sample = { slotId: car.slot('reservoir'), fluidClass: '4' as const, how: 'Drop in water' };
    expect((await shop.technician.event<'fluidSamples'>(car.jobId, 'fluid-samples', sample)).status).to.equal(200);
    for (const wrong of [{ closed: false }, { colour: 'dark' as const }, { air: 'bubbles' as const }]) {
      await shop.technician.event<'bleedPulls'>(car.jobId, 'bleed-pulls', {
        slotId: bleeder!.id,
        volumeTyped: '50',
        colour: 'clear',
        air: 'none',
        closed: true,
        ...wrong,
      });
      const state = deriveJob(await shop.reader.file(car.jobId), new Date().toISOString());
      expect(state.obligations.find((o) => o.key === `bleed:${bleeder!.id}`)?.state).to.equal('open');
    }
  });

  it('is written once, and a repeat is answered the same', async () => {
    await finish();
    const id = v7();
    const [first, twin] = await Promise.all([release(PASSWORD, id), release(PASSWORD, id)]);
    expect([first.status, twin.status]).to.deep.equal([200, 200]);
    expect(twin.body).to.deep.equal(first.body);
    expect(first.body.sheet.fluid[0]?.text).to.include('Class 4 fluid');
    expect(first.body.ownWork).to.equal(false);
    expect((await release()).body.code).to.equal('released');
  });

  it('after it, nothing is added; a repeat of what was there before is still answered', async () => {
    const records = await shop.reader.file(car.jobId);
    const known = records.counters[0]!;
    const late = await shop.technician.event<'findings'>(car.jobId, 'findings', {
      slotId: car.slot('hose', 'FL'),
      partId: null,
      words: 'too late',
      severity: 'note',
      cleaning: 'after',
      rulesOut: [],
      settles: null,
    });
    expect([late.status, late.body.code]).to.deep.equal([409, 'released']);
    const fluid = records.fluidServices[0]!;
    const again = await shop.technician.ask<{ status: string }>('POST', `/api/jobs/${car.jobId}/fluid-services`, {
      id: fluid.id,
      happenedAt: fluid.happenedAt,
      device: fluid.device,
      product: fluid.product,
      fluidClass: fluid.fluidClass,
      batch: fluid.batch,
      lowMoisture: fluid.lowMoisture,
    });
    expect([again.status, again.body.status]).to.deep.equal([200, 'already_stored']);
    expect(known.km).to.equal(79400);
    const { id: _id, vehicleId: _vehicle, openedAt: _at, openedBy: _by, ...fields } = records.job;
    const edited = await shop.technician.ask<{ code: string }>('PATCH', `/api/jobs/${car.jobId}`, { ...fields, complaint: 'Never said' });
    expect([edited.status, edited.body.code]).to.deep.equal([409, 'released']);
    expect((await shop.reader.file(car.jobId)).job.complaint).to.equal(records.job.complaint);
  });

  it('a new complaint is a new job, which names the old', async () => {
    const id = v7();
    const answer = await shop.technician.ask('POST', `/api/vehicles/${car.vehicleId}/jobs`, {
      id,
      kind: 'inspection',
      complaint: 'Spongy',
      wants: '',
      fluidKnown: '',
      promised: null,
      scopeCorners: ['FL'],
    });
    expect(answer.status).to.equal(200);
    const records = await shop.reader.file(id);
    expect(records.pastJobs.map((p) => p.id)).to.deep.equal([car.jobId]);
    expect(records.fluidServices).to.have.length(1);
  });
});

describe('the import', () => {
  let shop: Shop;
  const lines = demoStory(Date.now()).lines('a story', PASSWORD);
  before(async () => {
    shop = await openShop();
    await addStoryPeople(shop.lead);
  });
  after(() => shop.close());

  it('takes the whole demonstration shop, and the same again without doubles', async () => {
    const first = await takeIn(shop.lead, lines);
    expect([first.status, first.body.refused], JSON.stringify(first.body)).to.deep.equal([200, []]);
    const again = await takeIn(shop.lead, lines);
    expect([again.status, again.body.written, again.body.known]).to.deep.equal([200, 0, first.body.written]);
  });

  it('a job of the past is handed back as it stood then, not as the vehicle stands now', async () => {
    const yard = (await shop.reader.ask<{ jobs: { jobId: string; vehicle: { tag: string } }[] }>('GET', '/api/yard')).body;
    const { pastJobs } = await shop.reader.file(yard.jobs.find((j) => j.vehicle.tag === 'V 071')!.jobId);
    const oldest = pastJobs.at(-1)!;
    const { release } = await shop.reader.file(oldest.id);
    expect(release?.sheet.distance).to.equal('41,200 km');
    // Nothing wears out before the next visit; units that nobody ever opened are named.
    expect(release?.sheet.watch.filter((w) => !w.includes('Never open'))).to.deep.equal([]);
    expect(release?.sheet.figures.every((f) => f.takenOn <= (oldest.releasedAt ?? ''))).to.equal(true);
    expect(release?.sheet.figures.find((f) => f.characteristic === 'Pad lining')?.figure).to.equal('9.00 mm');
  });

  it('the yard stands as the shop’s own derivation says', async () => {
    const yard = (
      await shop.reader.ask<{
        jobs: { jobId: string; stage: string; share: number; blocks: number; vehicle: { tag: string } }[];
        fluid: { tag: string; due: string }[];
      }>('GET', '/api/yard')
    ).body;
    expect(yard.jobs.map((j) => j.vehicle.tag).sort()).to.deep.equal([
      'V 059',
      'V 063',
      'V 068',
      'V 071',
      'V 072',
      'V 074',
      'V 076',
      'V 078',
    ]);
    for (const j of yard.jobs) {
      const state = deriveJob(await shop.reader.file(j.jobId), new Date().toISOString());
      expect([j.stage, j.share, j.blocks]).to.deep.equal([state.stage, state.share, state.blocks.length]);
    }
    expect(yard.fluid.map((f) => f.due)).to.deep.equal(yard.fluid.map((f) => f.due).sort());
  });

  it('a rotor carries its life: a rate of wear from its former figures', async () => {
    const { jobs } = (await shop.reader.ask<{ jobs: { jobId: string; vehicle: { tag: string } }[] }>('GET', '/api/yard')).body;
    const records: JobRecords = await shop.reader.file(jobs.find((j) => j.vehicle.tag === 'V 071')!.jobId);
    const state = deriveJob(records, new Date().toISOString());
    const rotor = state.components.find((c) => c.slot.kind === 'rotor' && c.slot.corner === 'FL')!;
    const thickness = rotor.judged.find((j) => j.characteristic.id === 'rotor_thickness')!;
    expect(thickness.wear?.pointsUsed).to.equal(2);
    expect(thickness.wear?.slope).to.be.closeTo((12.066 - 12.701) / (79400 - 41200), 1e-9);
    const part = (await shop.reader.ask<{ life: { what: string }[]; place: string }>('GET', `/api/parts/${rotor.part!.id}`)).body;
    expect(part.life.map((l) => l.what)).to.include('Fitted: new, pair');
    expect(part.place).to.equal('Front left rotor');
  });

  it('a tag is bound once', async () => {
    const records = await shop.reader.file((await shop.reader.ask<{ jobs: { jobId: string }[] }>('GET', '/api/yard')).body.jobs[0]!.jobId);
    const [first, second] = records.parts.filter((p) => p.tag === null);
    const bind = (id: string, tag: string) =>
      shop.technician.ask<{ code: string; tag: string }>('POST', `/api/parts/${id}/tag`, { tag, partNumber: null });
    expect((await bind(first!.id, 'P 7000')).body.tag).to.equal('P 7000');
    expect((await bind(second!.id, 'P 7000')).body.code).to.equal('already_used');
    expect((await bind(first!.id, 'P 7001')).body.code).to.equal('tagged');
  });
});
