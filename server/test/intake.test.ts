import { plainJpeg } from '@dauer/core/picture';
import { expect } from 'chai';
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { bookIn, openShop, type Shop } from './harness.ts';

/** A picture of made-up colours. */
function photograph(width: number, height: number, seed = 1): Promise<Buffer> {
  const data = Buffer.alloc(width * height * 4);
  for (let i = 0; i < width * height; i += 1) data.set([(i * seed) % 256, (i >> 4) % 256, (i >> 7) % 256, 255], i * 4);
  return sharp(data, { raw: { width, height, channels: 4 } })
    .jpeg({ quality: 70 })
    .toBuffer();
}
/** The same with the place where it was taken written into it, and something after its end. */
function withSecrets(plain: Buffer): Buffer {
  const exif = Buffer.from('Exif\0\0 taken at the owner’s home');
  const segment = Buffer.concat([Buffer.from([0xff, 0xe1, 0, exif.length + 2]), exif]);
  return Buffer.concat([plain.subarray(0, 2), segment, plain.subarray(2), Buffer.from('hidden behind the end')]);
}
/** The head of a picture that says it is larger than any memory. */
function bomb(plain: Buffer): Buffer {
  const out = Buffer.from(plain);
  for (let i = 2; i + 9 < out.length; i += 2 + out.readUInt16BE(i + 2))
    if (out[i + 1] === 0xc0) {
      out.writeUInt16BE(65000, i + 5);
      out.writeUInt16BE(65000, i + 7);
      break;
    }
  return out;
}

describe('pictures', () => {
  let shop: Shop;
  let jobId = '';
  let slotId = '';
  before(async () => {
    shop = await openShop();
    const booked = await bookIn(shop.technician);
    jobId = booked.jobId;
    slotId = booked.slot('caliper', 'FL');
  });
  after(() => shop.close());
  const keep = (bytes: Buffer, who = shop.technician) =>
    who.ask<{ hash: string; width: number; height: number; code: string; detail: string }>('POST', '/api/pictures', {
      base64: bytes.toString('base64'),
    });
  const fetchIt = (hash: string, query = '') => shop.app.inject({ method: 'GET', url: `/api/pictures/${hash}${query}` });
  const get = (hash: string, query = '') => shop.lead.raw(`/api/pictures/${hash}${query}`);

  it('are kept once under their hash, with nothing in them but the image, and a thumbnail beside', async () => {
    const plain = await photograph(640, 480);
    const kept = await keep(withSecrets(plain));
    expect(kept.status).to.equal(200);
    expect(kept.body).to.deep.equal({ hash: createHash('sha256').update(plain).digest('hex'), width: 640, height: 480 });
    expect((await keep(plain)).body.hash).to.equal(kept.body.hash);
    const whole = await get(kept.body.hash);
    expect(whole.type).to.equal('image/jpeg');
    expect(whole.bytes.equals(plain)).to.equal(true);
    const thumb = await get(kept.body.hash, '?thumb=1');
    const size = plainJpeg(thumb.bytes);
    expect([size.width, size.height]).to.deep.equal([320, 240]);
    expect(thumb.bytes.length).to.be.below(whole.bytes.length);
  });

  it('are shown to nobody who is not signed in, and kept by nobody who only reads', async () => {
    const { body } = await keep(await photograph(64, 64));
    expect((await fetchIt(body.hash)).statusCode).to.equal(401);
    expect((await keep(await photograph(64, 64), shop.reader)).status).to.equal(403);
    expect((await get('0'.repeat(64))).status).to.equal(404);
  });

  it('are real ones: a renamed programme, a cut-off file, another format and an image bomb get a sentence and nothing is kept', async () => {
    const plain = await photograph(320, 240);
    const wrong: readonly [string, Buffer, string][] = [
      ['a programme', Buffer.concat([Buffer.from('MZ\x90\0'), Buffer.alloc(4000, 7)]), 'not_an_image'],
      ['a script named .jpg', Buffer.from('<script>alert(1)</script>'.repeat(40)), 'not_an_image'],
      ['another format', Buffer.from('89504e470d0a1a0a0000000d49484452000000010000000108060000001f15c489', 'hex'), 'not_an_image'],
      ['cut off', plain.subarray(0, plain.length / 2), 'not_an_image'],
      ['a programme with a picture’s head', Buffer.concat([plain.subarray(0, 300), Buffer.alloc(5000, 0x90)]), 'not_an_image'],
      ['an image bomb', bomb(plain), 'too_large'],
      ['damaged inside', Buffer.concat([plain.subarray(0, 250), Buffer.alloc(40, 0xff), plain.subarray(290)]), 'not_an_image'],
    ];
    for (const [what, bytes, code] of wrong) {
      const begun = Date.now();
      const refused = await keep(bytes);
      expect([refused.status, refused.body.code], what).to.deep.equal([422, code]);
      expect(refused.body.detail, what).to.match(/^This .*\.$/);
      expect(Date.now() - begun, what).to.be.below(5000);
    }
    const huge = await shop.technician.ask('POST', '/api/pictures', { base64: 'A'.repeat(3_000_001) });
    expect(huge.status).to.equal(400);
  });

  it('say in a job what they show, of which place, and a lead blacks one out for good', async () => {
    const { body } = await keep(await photograph(200, 100, 3));
    const said = await shop.technician.event<'pictures'>(jobId, 'pictures', { hash: body.hash, of: 'place', slotId, note: 'As found' });
    expect(said.status).to.equal(200);
    expect((await shop.technician.file(jobId)).pictures.map((p) => [p.hash, p.slotId])).to.deep.equal([[body.hash, slotId]]);
    const stray = await shop.technician.event<'pictures'>(jobId, 'pictures', { hash: body.hash, of: 'place', slotId: v7(), note: '' });
    expect(stray.status).to.equal(422);
    const black = await shop.lead.event<'redactions'>(jobId, 'redactions', {
      corrects: said.body.record.id,
      field: 'image',
      reason: 'A face',
    });
    expect(black.status).to.equal(200);
    const gone = await get(body.hash);
    expect([gone.status, (JSON.parse(gone.bytes.toString()) as { code: string }).code]).to.deep.equal([410, 'blacked_out']);
    expect((await keep(await photograph(200, 100, 3))).status, 'the same image again stays black').to.equal(200);
    expect((await get(body.hash)).status).to.equal(410);
  });
});

describe('what is told at intake', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());

  it('earlier work with as much of its date as is known, over all jobs of the vehicle', async () => {
    const { jobId, slot } = await bookIn(shop.technician);
    const work = {
      what: 'renewed' as const,
      slotId: slot('hose'),
      about: true,
      knownFrom: 'invoice' as const,
      source: 'no. 118',
      km: 61000,
      note: '',
    };
    for (const on of ['1998', '1998-03', '1998-03-12'])
      expect((await shop.technician.event<'earlierWork'>(jobId, 'earlier-work', { ...work, on })).status, on).to.equal(200);
    for (const on of ['1998-02-31', '1998-13', '0998'])
      expect((await shop.technician.event<'earlierWork'>(jobId, 'earlier-work', { ...work, on })).status, on).to.equal(422);
    expect((await shop.technician.event<'earlierWork'>(jobId, 'earlier-work', { ...work, on: 'last year' })).status).to.equal(400);
    expect((await shop.technician.file(jobId)).earlierWork.map((e) => e.on)).to.have.members(['1998', '1998-03', '1998-03-12']);
  });

  it('how fasteners are and what came in a box, taken back like anything else', async () => {
    const { jobId, slot } = await bookIn(shop.technician);
    const look = await shop.technician.event<'intakeLooks'>(jobId, 'intake-looks', {
      corner: 'FL',
      thing: 'bleeders',
      state: 'seized',
      note: '',
    });
    expect(look.status).to.equal(200);
    const box = await shop.technician.event<'cameWith'>(jobId, 'came-with', {
      ...{ name: 'Seal kit', kind: null, slotId: slot('caliper', 'FL'), partNumber: 'K 12', count: 2, fits: 'does_not_fit', note: '' },
    });
    expect(box.status).to.equal(200);
    await shop.technician.event<'takeBacks'>(jobId, 'take-backs', { corrects: look.body.record.id });
    const records = await shop.technician.file(jobId);
    expect([records.intakeLooks.length, records.cameWith.length, records.takeBacks.length]).to.deep.equal([1, 1, 1]);
  });

  it('masses and lengths of a vehicle, finish and sum of a job, come back as they were sent', async () => {
    const { jobId, vehicleId } = await bookIn(shop.technician, undefined, { finish: 'show', authorisedMinor: 185_000 });
    const { vehicle, job } = await shop.technician.file(jobId);
    expect([job.finish, job.authorisedMinor, vehicle.massKg]).to.deep.equal(['show', 185_000, null]);
    const { id: _i, ownerId: _o, version, ...fields } = vehicle;
    const sent = {
      ...fields,
      massKg: 1010,
      massFrontKg: 560,
      wheelbaseMm: 2440,
      cgHeightMm: 520,
      tyreRadiusFrontMm: 285,
      tyreRadiusRearMm: 285,
      version,
    };
    expect((await shop.technician.ask('PATCH', `/api/vehicles/${vehicleId}`, sent)).status).to.equal(200);
    expect((await shop.technician.file(jobId)).vehicle).to.include({ massKg: 1010, wheelbaseMm: 2440 });
    expect((await shop.technician.ask('PATCH', `/api/vehicles/${vehicleId}`, { ...sent, massKg: -4, version: 2 })).status).to.equal(400);
  });
});
