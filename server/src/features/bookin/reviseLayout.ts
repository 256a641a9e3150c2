import { revisionBlockWords } from '@dauer/core/wording';
import type { ENDPOINTS } from '@dauer/contract';
import { partIn, revisionBlocks } from '@dauer/core/history';
import { checkLayout, compareLayouts, KIND_FACTS, type Layout } from '@dauer/core/layout';
import { inOrder, type JobRecords } from '@dauer/core/ledger';
import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Database } from '../../db/connect.ts';
import { part, partEvents, vehicle } from '../../db/schema.ts';
import { RELEASED_WORDS } from '../../platform/events.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Call } from '../../platform/routes.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { insertLayout, readLayouts } from '../../records/layout.ts';

type Revise = Call<typeof ENDPOINTS.reviseLayout>;
type PartRow = typeof partEvents.$inferInsert;

/** Refuses a layout that cannot work, with what is wrong and at which places. */
export function requireWorking(layout: Layout): void {
  const faults = checkLayout(layout);
  const [fault] = faults;
  if (fault) throw new HttpProblem('layout_impossible', `The layout cannot be right: ${fault.message}`, { current: { faults } });
}

/** Parts that go with their places, and parts that were there all along and are only now drawn. */
async function moveParts(db: Database, call: Revise, records: JobRecords, at: string): Promise<void> {
  const { revision, layout, why } = call.body;
  const { added, removed } = compareLayouts(records.layout, layout);
  const row = (partId: string, kind: PartRow['kind'], slotId: string, note: string): PartRow => ({
    ...{ id: v7(), jobId: call.params.jobId, authorId: call.person.id, device: 'layout', happenedAt: at, corrects: null },
    ...{ partId, kind, slotId, note },
  });
  const events = inOrder(records.partEvents);
  const off = removed.flatMap((s) => {
    const sits = partIn(s.id, events);
    const note = revision === 'conversion' ? `Taken out by a conversion: ${why}` : `Was never there: ${why}`;
    return sits ? [row(sits, 'removed', s.id, note)] : [];
  });
  const found = revision === 'correction' ? added.filter((s) => KIND_FACTS[s.kind].article).map((s) => ({ s, partId: v7() })) : [];
  if (found.length > 0)
    await db
      .insert(part)
      .values(found.map(({ s, partId }) => ({ id: partId, tag: null, kind: s.kind, name: s.name, partNumber: null, note: '' })));
  const rows = [...off, ...found.map(({ s, partId }) => row(partId, 'found', s.id, ''))];
  if (rows.length > 0) await db.insert(partEvents).values(rows);
}

/** Takes a revision of the layout: nothing is overwritten, and whoever was overtaken sees both. */
export async function reviseLayout(call: Revise): Promise<Layout> {
  const { body, params, person } = call;
  return call.db.transaction(async (tx) => {
    const { vehicle: of } = await readJobFile(tx, params.jobId);
    await tx.execute(sql`select 1 from ${vehicle} where ${vehicle.id} = ${of.id} for update`);
    const revisions = await readLayouts(tx, of.id);
    const known = revisions.find((r) => r.id === body.layout.id);
    if (known) return known.layout;
    const records = await readJobFile(tx, params.jobId);
    if (records.release) throw new HttpProblem('released', RELEASED_WORDS);
    if (records.layout.id !== body.replaces)
      throw new HttpProblem('stale', 'Somebody changed this layout meanwhile. What you drew is kept; look at both and decide.', {
        current: records.layout,
      });
    const next = { ...body.layout, vehicleId: of.id };
    requireWorking(next);
    const [block] = revisionBlocks(records, next, body.revision);
    if (block) throw new HttpProblem('layout_records', revisionBlockWords(block), { current: { slotIds: block.slots.map((s) => s.id) } });
    await insertLayout(tx, next, { revision: body.revision, why: body.why, enteredBy: person.id });
    await moveParts(tx, call, records, new Date().toISOString());
    return next;
  });
}
