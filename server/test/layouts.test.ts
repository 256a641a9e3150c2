import { openHistory, strayRecords } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import {
  addWheel,
  connect,
  insertInLine,
  KIND_FACTS,
  type Layout,
  type LayoutIssue,
  placeName,
  removeComponent,
  removeWheel,
} from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { demoStory } from '@dauer/demo';
import { expect } from 'chai';
import { v7 } from 'uuid';
import { addStoryPeople, bookIn, openShop, PASSWORD, type Shop, takeIn, type Visitor } from './harness.ts';

interface Refused {
  readonly code: string;
  readonly detail: string;
  readonly current: { readonly faults: LayoutIssue[]; readonly slotIds: string[] } & Layout;
}

describe('a layout that is revised', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  const booked = async () => {
    const { jobId, vehicleId } = await bookIn(shop.technician);
    const records = await shop.technician.file(jobId);
    return { jobId, vehicleId, file: records, layout: records.layout };
  };
  const send = (jobId: string, layout: Layout, replaces: string, revision = 'correction', who: Visitor = shop.technician) =>
    who.ask<Layout & Refused>('POST', `/api/jobs/${jobId}/layout`, { layout, replaces, revision, why: 'As it is on the ramp' });
  const fresh = (layout: Layout): Layout => ({ ...layout, id: v7() });
  const lineOf = (layout: Layout) => layout.connections.find((c) => c.kind === 'line')!;
  const withValve = (layout: Layout): Layout => fresh(insertInLine(layout, lineOf(layout).id, 'valve', v7));
  const slot = (records: JobRecords, kind: string) => records.layout.slots.find((s) => s.kind === kind)!;

  it('as a correction finds what was there all along; the former drawing is kept', async () => {
    const { jobId, vehicleId, layout, file: records } = await booked();
    const next = withValve(layout);
    const valve = next.slots.find((s) => !layout.slots.some((o) => o.id === s.id))!;
    expect((await send(jobId, next, layout.id)).status).to.equal(200);
    expect((await send(jobId, next, layout.id)).status, 'sent twice').to.equal(200);
    const now = await shop.technician.file(jobId);
    expect(now.layout.slots.map((s) => s.id)).to.include(valve.id);
    expect(now.partEvents.filter((e) => e.slotId === valve.id).map((e) => e.kind)).to.deep.equal(['found']);
    expect(now.layoutRevisions.map((r) => r.revision)).to.deep.equal(['first', 'correction']);
    expect(now.layoutRevisions.at(-1)!.added).to.deep.equal([placeName(valve)]);
    const all = (await shop.reader.ask<{ layout: Layout }[]>('GET', `/api/vehicles/${vehicleId}/layouts`)).body;
    expect(all.at(-1)!.layout).to.deep.equal(records.layout);
  });

  it('as a conversion leaves a new place empty and takes the part out of one that goes', async () => {
    const { jobId, layout, file: records } = await booked();
    const hose = slot(records, 'hose');
    await shop.technician.event<'findings'>(jobId, 'findings', {
      ...{
        slotId: hose.id,
        partId: null,
        words: 'Cracked',
        code: null,
        severity: 'reject',
        cleaning: 'before',
        rulesOut: [],
        settles: null,
      },
    } as never);
    const next = fresh(removeComponent(withValve(layout), hose.id, v7));
    const refused = await send(jobId, next, layout.id, 'correction');
    expect([refused.status, refused.body.code]).to.deep.equal([409, 'layout_records']);
    expect(refused.body.current.slotIds).to.deep.equal([hose.id]);
    expect((await send(jobId, next, layout.id, 'conversion')).status).to.equal(200);
    const now = await shop.technician.file(jobId);
    const was = now.partEvents.filter((e) => e.slotId === hose.id);
    expect(was.map((e) => e.kind)).to.have.members(['found', 'removed']);
    expect(
      now.findings.map((f) => f.slotId),
      'what was found there is still on record',
    ).to.include(hose.id);
    const valve = next.slots.find((s) => !layout.slots.some((o) => o.id === s.id))!;
    expect(now.partEvents.filter((e) => e.slotId === valve.id)).to.deep.equal([]);
  });

  it('what comes in afterwards at a place that is gone is kept, told, and keeps the vehicle here', async () => {
    const { jobId, layout, file: records } = await booked();
    const hose = slot(records, 'hose');
    const earlier = new Date(Date.now() - 60000).toISOString();
    expect((await send(jobId, fresh(removeComponent(layout, hose.id, v7)), layout.id)).status).to.equal(200);
    // A tablet that was cut off has the place still.
    const late = await shop.technician.event<'findings'>(jobId, 'findings', {
      ...{
        slotId: hose.id,
        partId: null,
        words: 'Cracked',
        code: null,
        severity: 'reject',
        cleaning: 'before',
        rulesOut: [],
        settles: null,
      },
      happenedAt: earlier,
    } as never);
    expect(late.status).to.equal(200);
    const now = await shop.reader.file(jobId);
    expect(strayRecords(openHistory(now)).map((x) => [x.record.id, x.at.name])).to.deep.equal([[late.body.record.id, placeName(hose)]]);
    const blocks = async () =>
      deriveJob(await shop.reader.file(jobId), new Date().toISOString())
        .blocks.filter((o) => o.duty.kind === 'stray')
        .map((o) => o.key);
    expect(await blocks()).to.deep.equal([`stray:${late.body.record.id}`]);
    const release = await shop.lead.ask<{ blocks: { key: string }[] }>('POST', `/api/jobs/${jobId}/release`, {
      id: v7(),
      password: PASSWORD,
    });
    expect(JSON.stringify(release.body)).to.contain(`stray:${late.body.record.id}`);
    await shop.technician.event<'takeBacks'>(jobId, 'take-backs', { corrects: late.body.record.id, reason: '' });
    expect(await blocks()).to.deep.equal([]);
  });

  it('that cannot work is refused with the places, and changes nothing', async () => {
    const { jobId, layout } = await booked();
    const cut = fresh({ ...layout, connections: layout.connections.filter((c) => c.kind !== 'line') });
    const refused = await send(jobId, cut, layout.id);
    expect([refused.status, refused.body.code]).to.deep.equal([422, 'layout_impossible']);
    const lit = refused.body.current.faults.flatMap((f) => f.slotIds);
    expect(lit.length).to.be.above(3);
    for (const id of lit) expect(layout.slots.some((s) => s.id === id)).to.equal(true);
    expect((await shop.technician.file(jobId)).layout).to.deep.equal(layout);
    expect((await send(jobId, { ...cut, slots: [], connections: [] }, layout.id)).status).to.equal(422);
  });

  it('by two people at once: one is in, the other keeps what he drew and sees the first', async () => {
    const { jobId, layout } = await booked();
    const [mine, theirs] = [withValve(layout), fresh(insertInLine(layout, lineOf(layout).id, 'union', v7))];
    const answers = await Promise.all([send(jobId, mine, layout.id), send(jobId, theirs, layout.id, 'correction', shop.lead)]);
    expect(answers.map((a) => a.status).sort()).to.deep.equal([200, 409]);
    const lost = answers.findIndex((a) => a.status === 409);
    const kept = [mine, theirs][1 - lost]!;
    expect(answers[lost]!.body.code).to.equal('stale');
    expect(answers[lost]!.body.current.id).to.equal(kept.id);
    const again = fresh([mine, theirs][lost]!);
    expect((await send(jobId, again, kept.id)).status).to.equal(200);
  });

  it('is for those who work here, says why, and stays with its vehicle', async () => {
    const { jobId, layout } = await booked();
    expect((await send(jobId, withValve(layout), layout.id, 'correction', shop.reader)).status).to.equal(403);
    const silent = await shop.technician.ask('POST', `/api/jobs/${jobId}/layout`, {
      layout: withValve(layout),
      replaces: layout.id,
      revision: 'correction',
      why: ' ',
    });
    expect(silent.status).to.equal(400);
    const other = await booked();
    expect((await send(jobId, withValve(other.layout), other.layout.id)).status).to.equal(409);
  });

  it('leaves a job that was handed back with the layout of its day, and its parts with their life', async () => {
    await addStoryPeople(shop.lead);
    expect((await takeIn(shop.lead, demoStory(Date.now()).lines('a story', PASSWORD))).body.refused).to.deep.equal([]);
    const found = (await shop.lead.ask<{ tag: string; to: string }[]>('GET', '/api/search?q=V%20041')).body[0]!;
    const old = await shop.lead.file(found.to.replace('/jobs/', ''));
    expect(old.release).to.not.equal(null);
    const { id: vehicleId } = old.vehicle;
    const jobId = v7();
    const opened = await shop.technician.ask('POST', `/api/vehicles/${vehicleId}/jobs`, {
      ...{
        id: jobId,
        kind: 'conversion',
        complaint: 'Wants discs behind',
        wants: 'Discs',
        fluidKnown: '',
        promised: null,
        scopeCorners: ['RL', 'RR'],
      },
    });
    expect(opened.status).to.equal(200);
    const records = await shop.technician.file(jobId);
    const drums = records.layout.slots.filter((s) => s.corner === 'RL' || s.corner === 'RR');
    let next: Layout = records.layout;
    const union = next.slots.find((s) => s.name === 'Rear union')!;
    const equaliser = next.slots.find((s) => s.kind === 'equaliser')!;
    for (const corner of ['RL', 'RR'] as const) {
      next = addWheel(
        removeWheel(next, corner),
        corner,
        { unit: 'disc', circuit: 1, caliper: 'floating_parking', pistons: 1, pistonMm: 36, hoses: 'axle' },
        v7,
      );
      const caliper = next.slots.find((s) => s.kind === 'caliper' && s.corner === corner)!;
      next = connect(connect(next, union.id, caliper.id, 'line', v7), equaliser.id, caliper.id, 'cable', v7);
    }
    expect((await send(jobId, fresh(next), records.layout.id, 'conversion')).status).to.equal(200);
    const now = await shop.technician.file(jobId);
    const removed = now.partEvents.filter((e) => e.kind === 'removed' && drums.some((s) => s.id === e.slotId));
    expect(removed.length).to.equal(drums.filter((s) => KIND_FACTS[s.kind].article).length);
    for (const s of drums) expect(now.layout.slots.some((x) => x.id === s.id)).to.equal(false);
    const again = await shop.lead.file(old.job.id);
    expect(again.layout).to.deep.equal(old.layout);
    expect(again.release).to.deep.equal(old.release);
    // The job that goes on: what is new is empty, so nothing may be pressed.
    const state = deriveJob(now, new Date().toISOString());
    expect(state.context.proofStatus.locks.map((l) => l.control.kind)).to.include('pedal');
    expect(state.blocks.length).to.be.above(8);
  });
});
