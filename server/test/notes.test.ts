import { cardContent, isFirstTime, kitOf, notesAt, stripOf } from '@dauer/core/readiness';
import { openHistory } from '@dauer/core/history';
import { KIT, STRIP_REFUSED } from '@dauer/core/wording';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { type Booked, bookIn, openShop, type Shop, type Visitor } from './harness.ts';

const MARK = { x: 0.25, y: 0.5, what: 'Long spring', note: 'Rear hole', fate: 'back' } as const;

describe('what came off, kits, and notes of the shop', () => {
  let shop: Shop;
  let car: Booked;
  let like: Booked;
  let other: Booked;
  let caliper: string;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
    like = await bookIn(shop.technician, 'coupe_disc_disc_tandem_servo', {});
    other = await bookIn(shop.technician, 'motorcycle_disc_rod');
    caliper = car.slot('caliper', 'FL');
  });
  after(() => shop.close());

  const send = (path: string, body: object, who: Visitor = shop.technician, at: Booked = car) =>
    who.event<'stripMarks'>(at.jobId, path, body as never);
  const historyOf = async (at: Booked) => openHistory(await shop.technician.file(at.jobId));
  const place = (at: Booked, id: string) => at.layout.slots.find((s) => s.id === id)!;
  const takeBack = (corrects: string, at: Booked = car) =>
    send('take-backs', { corrects, reason: 'A slip of the hand' }, shop.technician, at);

  it('marks a piece at its place, and tells once what became of it, whoever presses at the same moment', async () => {
    const { id } = (await send('strip-marks', { ...MARK, slotId: caliper })).body.record;
    expect((await send('strip-marks', { ...MARK, slotId: caliper, x: 1.2 })).status).to.equal(400);
    expect((await send('strip-marks', { ...MARK, slotId: caliper, y: null })).body.detail).to.equal(STRIP_REFUSED.halfPlace);
    expect((await send('strip-marks', { ...MARK, slotId: caliper, hash: 'a'.repeat(64) })).body.detail).to.equal(STRIP_REFUSED.picture);
    expect((await send('strip-marks', { ...MARK, slotId: caliper, what: '  ' })).status).to.be.within(400, 422);
    expect((await send('strip-marks', { ...MARK, slotId: caliper }, shop.reader)).status).to.equal(403);
    const tell = { markId: id, kind: 'in' };
    const both = await Promise.all([send('strip-tells', tell), send('strip-tells', tell, shop.lead)]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect(both.find((b) => b.status === 422)!.body.detail).to.equal(STRIP_REFUSED.twice);
    expect(stripOf(await historyOf(car), place(car, caliper)).open).to.have.length(0);
    // What was told is taken back: it is not in again.
    await takeBack(both.find((b) => b.status === 200)!.body.record.id);
    expect(stripOf(await historyOf(car), place(car, caliper)).open.map((p) => p.mark.id)).to.deep.equal([id]);
    expect((await send('strip-tells', { markId: id, kind: 'left', note: '' })).body.detail).to.equal(STRIP_REFUSED.why);
    expect((await send('strip-tells', { markId: v7(), kind: 'in' })).status).to.be.within(400, 499);
  });

  it('counts a kit of a running card; what is short is not sealed in by any way', async () => {
    await send('decisions', { slotId: caliper, partId: null, option: 'reseal', reason: 'Weeps', reviewOn: null });
    const content = cardContent(await historyOf(car), place(car, caliper), 'reseal')!;
    const runId = (await send('card-runs', { slotId: caliper, option: 'reseal', ...content })).body.record.id;
    const run = (await shop.technician.file(car.jobId)).cardRuns.find((r) => r.id === runId)!;
    const { wanted } = kitOf(await historyOf(car), run);
    const pieces = wanted.map((w, i) => ({ ...w, found: i === 0 ? w.wanted - 1 : w.wanted }));
    expect((await send('kit-counts', { slotId: caliper, runId, pieces: [{ name: 'Spoon', wanted: 1, found: 1 }] })).body.detail).to.equal(
      KIT.notTaken,
    );
    expect((await send('kit-counts', { slotId: car.slot('caliper', 'FR'), runId, pieces })).body.detail).to.equal(KIT.noCard);
    expect((await send('kit-counts', { slotId: caliper, runId, pieces })).status).to.equal(200);
    const short = kitOf(await historyOf(car), run).short;
    expect(short.map((p) => p.name)).to.deep.equal([wanted[0]!.name]);
    // Told at its step, or by the record that closes it: refused for what is short, or for what stands before it anyhow.
    for (const s of run.steps.filter((x) => x.takes.some((t) => t.name === wanted[0]!.name))) {
      const told = await send('card-tells', { runId, stepId: s.id, kind: 'done' });
      expect(told.status, s.words).to.equal(422);
    }
    // Nobody has worked by it yet: whoever does has somebody look.
    const history = await historyOf(car);
    const [technician] = (await shop.technician.file(car.jobId)).people.filter((p) => p.role === 'technician');
    expect(isFirstTime(history, run, technician!.id)).to.equal(true);
    const early = run.steps.find((s) => s.needs.length === 0 && s.enters === null && s.kind === 'do' && s.takes.length === 0)!;
    expect((await send('card-tells', { runId, stepId: early.id, kind: 'done' })).status).to.equal(200);
    const hands = (await shop.technician.file(like.jobId)).cardHands;
    const [told] = (await shop.technician.file(car.jobId)).cardTells;
    expect(hands).to.deep.equal([{ cardId: content.cardId, personId: told!.authorId, since: told!.happenedAt }]);
    expect((await shop.technician.file(car.jobId)).cardHands, 'what was told here is no other job').to.deep.equal([]);
  });

  it('keeps the hand of a thread with the vehicle, for a wheel or a unit that it has', async () => {
    const nuts = { form: 'stud_nut', count: 5, hand: 'left' };
    expect((await send('fastener-facts', { ...nuts, point: 'wheel:FL' })).status).to.equal(200);
    for (const bad of [
      { point: 'wheel:ML' },
      { point: `hub:${caliper}` },
      { point: 'wheel:FL', count: 0 },
      { point: 'wheel:FL', hand: 'up' },
    ])
      expect((await send('fastener-facts', { ...nuts, ...bad })).status, JSON.stringify(bad)).to.be.within(400, 499);
  });

  it('shows a note where it is pinned, and nowhere else', async () => {
    const slot = place(car, caliper);
    const noteOf = async (body: object, at: Booked = car) => (await send('shop-notes', body, shop.technician, at)).body.record.id;
    const mine = await noteOf({ pin: 'vehicle', words: 'The key sticks in the cold' });
    const typed = await noteOf({ pin: 'type', type: 'Tavell Corrie', words: 'Front hose is a hand short' });
    const unit = await noteOf({ pin: 'unit', slotId: caliper, kind: 'caliper', style: slot.style, words: 'Burr at the bleeder side' });
    const seen = async (at: Booked, slotId: string | null) =>
      notesAt(await historyOf(at), { slot: slotId === null ? null : place(at, slotId), step: null }).map((n) => n.note.id);
    expect([...(await seen(car, null))].sort()).to.deep.equal([mine, typed].sort());
    expect(await seen(like, null)).to.deep.equal([typed]);
    expect(await seen(other, null), 'a vehicle of another type').to.deep.equal(
      (await shop.technician.file(other.jobId)).vehicle.model === 'Corrie' ? [typed] : [],
    );
    expect(await seen(like, like.slot('caliper', 'FR'))).to.deep.equal([unit]);
    expect(await seen(like, like.slot('rotor', 'FR'))).to.deep.equal([]);
    for (const bad of [
      { pin: 'type', type: 'Another make', words: 'Of another type' },
      { pin: 'unit', slotId: caliper, kind: 'rotor', words: 'Of another kind' },
      { pin: 'step', slotId: caliper, kind: 'caliper', cardId: 'no_card', stepId: 'x', words: 'Of no card' },
      { pin: 'vehicle', words: 'An arrow at nothing', arrow: { x: 0.5, y: 0.5 } },
      { pin: 'vehicle', slotId: other.slot('caliper', 'F'), words: 'At another vehicle' },
    ])
      expect((await send('shop-notes', bad)).status, bad.words).to.be.within(400, 499);
  });

  it('counts that it helped, once a job and person; it is taken down with a reason, by its writer or a lead', async () => {
    const noteId = (await send('shop-notes', { pin: 'vehicle', words: 'Nut behind the lamp is loose' })).body.record.id;
    const say = (body: object, who: Visitor = shop.technician, at: Booked = car) => send('note-tells', { noteId, ...body }, who, at);
    const both = await Promise.all([say({ kind: 'useful' }), say({ kind: 'useful' })]);
    expect(both.map((b) => b.status).sort()).to.deep.equal([200, 422]);
    expect((await say({ kind: 'useful' }, shop.lead)).status).to.equal(200);
    const useful = notesAt(await historyOf(car), { slot: null, step: null }).find((n) => n.note.id === noteId)?.useful;
    expect(useful).to.equal(2);
    // Of another vehicle it is not known there.
    expect((await say({ kind: 'useful' }, shop.technician, like)).status).to.be.within(400, 499);
    const found = async () =>
      (await shop.reader.ask<{ kind: string; title: string }[]>('GET', '/api/search?q=behind%20the%20lamp')).body.map((h) => h.kind);
    expect(await found()).to.deep.equal(['note']);
    expect((await say({ kind: 'wrong', note: '' }, shop.lead)).status).to.equal(422);
    expect((await say({ kind: 'wrong', note: 'Tightened for good' }, shop.lead)).status).to.equal(200);
    expect(notesAt(await historyOf(car), { slot: null, step: null }).some((n) => n.note.id === noteId)).to.equal(false);
    expect(await found()).to.deep.equal([]);
    expect((await say({ kind: 'useful' }, shop.lead)).status).to.equal(422);
  });

  it('a note that was taken back at its own vehicle is seen at no other', async () => {
    const unit = { pin: 'unit', slotId: caliper, kind: 'caliper', words: 'Taken back again' };
    const { id } = (await send('shop-notes', unit)).body.record;
    const words = async () => (await shop.technician.file(like.jobId)).shopNotes.map((n) => n.words);
    expect(await words()).to.include(unit.words);
    await takeBack(id);
    expect(await words()).to.not.include(unit.words);
  });
});
