import { EVENT_ENDPOINT, ENDPOINTS, type EventFamily } from '@dauer/contract';
import { CORNERS } from '@dauer/core/layout';
import { deriveJob } from '@dauer/core/job';
import { dutyOf, EVENT_LISTS, type EventList, familyOf, readFastener } from '@dauer/core/ledger';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { applyPending } from '../../web/src/job/optimistic.ts';
import type { PendingEvent } from '../../web/src/job/outbox/queue.ts';
import { openShop, type Shop } from './harness.ts';

interface Kept {
  readonly booking: object;
  readonly items: readonly PendingEvent[];
}
/** What waited on a device of an earlier program, as its storage held it: each event in full, and with nothing but what had to be said. */
const stored = JSON.parse(readFileSync(new URL('./earlier/outbox.json', import.meta.url), 'utf8')) as Kept;
/** The same as if the vehicle had been booked in just before: all else is as it was stored. */
const kept: { readonly booking: object; items: readonly PendingEvent[] } = { ...stored };
const jobId = kept.items[0]!.jobId;

/** Not among them: what came later, what the desk sends at once, or what an image has to come before. */
const ELSEWHERE: readonly EventList[] = [
  ...(['fluidSamples', 'pictures', 'partCorrections', 'voids', 'afterCares', 'afterPulls', 'amendments'] as const),
  ...(['partFacts', 'orderLooks', 'lotUses', 'bleedSessions', 'bleedSteps', 'exercises', 'beddingPlans', 'beddingStops'] as const),
  ...(['cardRuns', 'cardTells', 'ladderTries', 'lineShapes', 'timers', 'timerSteps', 'parkings', 'takeOvers'] as const),
  ...(['stripMarks', 'stripTells', 'portFacts', 'coats', 'coatLooks', 'kitCounts', 'fastenerFacts', 'shopNotes', 'noteTells'] as const),
];

describe('an outbox that an earlier program filled', function () {
  this.timeout(60000);
  let shop: Shop;
  before(async () => {
    shop = await openShop();
    const booked = await shop.technician.ask('POST', '/api/vehicles', kept.booking);
    expect(booked.status, JSON.stringify(booked.body)).to.equal(200);
    const now = Date.now();
    kept.items = stored.items.map((i, n) => ({ ...i, body: { ...i.body, happenedAt: new Date(now + n).toISOString() } }));
  });
  after(() => shop.close());
  const send = (item: PendingEvent) =>
    shop.technician.ask<{ status: string; detail: string; record: Record<string, unknown> }>(
      'POST',
      ENDPOINTS[EVENT_ENDPOINT[item.family]].path.replace(':jobId', item.jobId),
      item.body,
    );

  it('has every family that may wait on a device', () => {
    const here = new Set(kept.items.map((i) => i.family));
    const wanted = EVENT_LISTS.filter((k) => familyOf(k).sending === 'queued' && !ELSEWHERE.includes(k));
    expect([...here].sort()).to.deep.equal([...wanted].sort());
  });

  it('is shown over the job before it is sent', async () => {
    const records = await shop.technician.file(jobId);
    const shown = applyPending(records, kept.items);
    for (const item of kept.items)
      expect(
        (shown[item.family] as readonly { id: string }[]).some((e) => e.id === item.body.id),
        item.family,
      ).to.equal(true);
    expect(deriveJob(shown, '2026-12-01T00:00:00.000Z').obligations.length).to.be.greaterThan(10);
  });

  it('is sent and taken in its order, and what it becomes is what was shown', async () => {
    const shown = applyPending(await shop.technician.file(jobId), kept.items);
    for (const item of kept.items) {
      const answer = await send(item);
      expect(answer.status, `${item.family}: ${answer.body.detail}`).to.equal(200);
      expect(answer.body.status).to.equal('stored');
      const { recordedAt: _r, authorId: _a, happenedAt: _h, ...record } = answer.body.record;
      const was = (shown[item.family] as readonly { id: string }[]).find((e) => e.id === item.body.id);
      expect(was, item.family).to.deep.include(record);
    }
    for (const item of kept.items) expect((await send(item)).body.status, item.family).to.equal('already_stored');
  });

  it('names duties, fasteners and places that are still understood', async () => {
    const records = await shop.technician.file(jobId);
    expect(records.leftItems.length).to.be.greaterThan(1);
    for (const left of records.leftItems) expect(dutyOf(left.item), left.item).to.not.equal(null);
    const slots = new Set(records.layout.slots.map((s) => s.id));
    for (const { point } of records.torques) {
      const fastener = readFastener(point);
      if (fastener.of === 'wheel') expect(CORNERS).to.include(fastener.corner);
      else expect(slots.has(fastener.slotId), point).to.equal(true);
    }
    const state = deriveJob(records, '2026-12-01T00:00:00.000Z');
    expect(state.context.proofStatus.torque('wheel:FL'), 'a torque counts').to.not.equal(null);
    const put = state.obligations.find((o) => o.duty.kind === 'decide' && o.slotId === records.decisions[0]?.slotId);
    expect(put?.state).to.equal('put_off');
  });

  it('of nonsense is refused, and keeps the rest from nothing', async () => {
    const families = new Set<EventFamily>(kept.items.map((i) => i.family));
    for (const family of families) {
      const answer = await shop.technician.ask<{ code: string }>('POST', ENDPOINTS[EVENT_ENDPOINT[family]].path.replace(':jobId', jobId), {
        id: 'x',
      });
      expect(answer.status, family).to.equal(400);
    }
  });
});
