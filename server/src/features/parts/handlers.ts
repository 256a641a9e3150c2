import { type Done, whyNotDone } from '@dauer/core/readiness';
import { byOneName, moved, openHistory, whereabouts } from '@dauer/core/history';
import { identityFact } from '@dauer/core/catalogue';
import { placeName, type Slot } from '@dauer/core/layout';
import { readTold, toResult } from '@dauer/core/quantity';
import { CAME, type Part, type PartEventKind, retractedIds, activeEvents } from '@dauer/core/ledger';
import { asc, desc, eq, ilike, inArray, isNotNull, or, and, sql } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import * as s from '../../db/schema.ts';
import { corrected } from '../../platform/clock.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { SENT_FOR_NAME } from '@dauer/core/wording';
import { readAllLots } from '../../records/lots.ts';
import { readPriceBook } from '../../records/prices.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { requireAhead } from '../../records/ahead.ts';
import { readRuns } from '../../records/layout.ts';
import { requireOwn, requirePartNotElsewhere } from '../../records/ownership.ts';

/** Throws a HttpProblem where what is said of a part cannot have been done then; a repeat of what is on record is answered. */
async function requireDone(db: Database, jobId: string, event: Done, at: string): Promise<void> {
  const records = await readJobFile(db, jobId);
  if (records.release || records.partEvents.some((e) => e.id === event.id)) return;
  const why = whyNotDone(openHistory(records), event, at);
  if (why !== null) throw new HttpProblem('not_possible', why);
}

const LIFE_WORD = {
  found: 'Found on the vehicle',
  came_loose: 'Came loose, in a box',
  came_missing: 'Missing when the vehicle came',
  came_unknown: 'Not known whether it came',
  removed: 'Taken off',
  fitted: 'Fitted',
  sent: 'Sent out',
  returned: 'Back',
  machined: 'Machined',
  freed: 'Freed',
  opened: 'Opened',
  honed: 'Honed',
  sleeved: 'Sleeved',
  resealed: 'Resealed',
  relined: 'Re-lined',
  coated: 'Coated',
  scrapped: 'Scrapped',
} as const;

/** What did not come whole was not found: the first says what is true. */
function found<T extends { readonly kind: PartEventKind; readonly slotId: string | null }>(events: readonly T[]): T[] {
  return events.filter((e, i) => e.kind !== 'found' || !CAME.includes(events[i + 1]?.kind ?? e.kind));
}

/** Where parts are now, from their events. */
async function locate(db: Database, parts: readonly Part[]) {
  const ids = parts.map((p) => p.id);
  if (ids.length === 0) return [];
  const events = await db
    .select()
    .from(s.partEvents)
    .where(inArray(s.partEvents.partId, ids))
    .orderBy(asc(s.partEvents.happenedAt), asc(s.partEvents.id));
  const slotIds = [...new Set(events.map((e) => e.slotId).filter((x): x is string => x !== null))];
  const jobIds = [...new Set(events.map((e) => e.jobId))];
  const runs = await readRuns(db, slotIds);
  const [slots, jobs, vehicles] = await Promise.all([
    slotIds.length > 0
      ? db
          .selectDistinctOn([s.slot.id], { slot: s.slot, vehicle: s.vehicle })
          .from(s.slot)
          .innerJoin(s.layout, eq(s.layout.id, s.slot.layoutId))
          .innerJoin(s.vehicle, eq(s.vehicle.id, s.layout.vehicleId))
          .where(inArray(s.slot.id, slotIds))
          .orderBy(s.slot.id, desc(s.layout.createdAt))
      : [],
    jobIds.length > 0
      ? db
          .select({ id: s.job.id, vehicle: s.vehicle })
          .from(s.job)
          .innerJoin(s.vehicle, eq(s.vehicle.id, s.job.vehicleId))
          .where(inArray(s.job.id, jobIds))
      : [],
    runs.length > 0
      ? db
          .select()
          .from(s.vehicle)
          .where(
            inArray(
              s.vehicle.id,
              runs.map((r) => r.vehicleId),
            ),
          )
      : [],
  ]);
  const places: { readonly slot: Slot; readonly vehicle: typeof s.vehicle.$inferSelect }[] = [
    ...slots,
    ...runs.flatMap((r) => vehicles.filter((v) => v.id === r.vehicleId).map((v) => ({ slot: r.slot, vehicle: v }))),
  ];
  return parts.map((p) => {
    const mine = events.filter((e) => e.partId === p.id);
    const where = whereabouts(p.id, mine);
    const last = mine.at(-1);
    const sits = where.at === 'slot' ? places.find((x) => x.slot.id === where.slotId) : undefined;
    const known = sits?.vehicle ?? jobs.find((x) => x.id === last?.jobId)?.vehicle;
    return {
      part: p,
      vehicleTag: known?.tag ?? null,
      vehicleName: known?.name ?? null,
      place: sits ? placeName(sits.slot) : null,
      jobId: last?.jobId ?? null,
      where: where.at,
    };
  });
}

/** Left out where it was found to be another article on record. */
const NOT_JOINED = sql`not exists (select 1 from ${s.partCorrections} c where c.kind = 'join' and c.part_id = ${s.part.id}
  and not exists (select 1 from ${s.takeBacks} t where t.corrects = c.id))`;

/** Every article that a part was ever taken for, with the activeEvents corrections that say so, oldest first. */
async function namesOf(db: Database, partId: string) {
  const known = new Set([partId]);
  let corrections: (typeof s.partCorrections.$inferSelect)[] = [];
  for (let size = 0; size !== known.size;) {
    size = known.size;
    const ids = [...known];
    const rows = await db
      .select()
      .from(s.partCorrections)
      .where(or(inArray(s.partCorrections.partId, ids), inArray(s.partCorrections.otherId, ids)));
    const rowIds = rows.map((r) => r.id);
    const retracted = retractedIds(
      rowIds.length > 0 ? await db.select().from(s.takeBacks).where(inArray(s.takeBacks.corrects, rowIds)) : [],
    );
    corrections = activeEvents(rows, retracted);
    for (const c of corrections) known.add(c.partId).add(c.otherId);
  }
  return { ids: [...known], corrections };
}

export const partsHandlers: Pick<Handlers, 'parts' | 'findByFigure' | 'part' | 'bindTag' | 'recordPartEvent' | 'correctPart'> = {
  parts: async ({ db, query }) => {
    const q = `%${(query.q ?? '').replace(/[%_\\]/g, '\\$&')}%`;
    const rows = await db
      .select()
      .from(s.part)
      .where(and(isNotNull(s.part.tag), NOT_JOINED, or(ilike(s.part.tag, q), ilike(s.part.name, q), ilike(s.part.partNumber, q))))
      .orderBy(asc(s.part.tag))
      .limit(200);
    return locate(db, rows);
  },
  findByFigure: async ({ db, query }) => {
    const known = identityFact(query.fact);
    const read = known?.form === 'length' ? toResult(() => readTold('article', query.typed, 'mm').canonical) : null;
    if (!known || (known.form !== 'length' && known.form !== 'count') || (read && !read.ok))
      throw new HttpProblem('unknown_characteristic', read && !read.ok ? read.refusal.message : 'Nothing is found by such a figure.');
    const value = read?.ok ? read.value : Number(query.typed);
    const near = (v: number): boolean => Math.abs(v - value) <= query.by + 1e-6;
    const facts = await db
      .selectDistinctOn([s.partFacts.partId])
      .from(s.partFacts)
      .where(
        and(
          eq(s.partFacts.fact, known.id),
          isNotNull(s.partFacts.partId),
          sql`not exists (select 1 from ${s.takeBacks} t where t.corrects = ${s.partFacts.id})`,
        ),
      )
      .orderBy(s.partFacts.partId, desc(s.partFacts.happenedAt), desc(s.partFacts.id));
    const mine = facts.filter((f) => f.canonical !== null && near(f.canonical)).slice(0, 200);
    const ids = mine.flatMap((f) => f.partId ?? []);
    const found = ids.length === 0 ? [] : await locate(db, await db.select().from(s.part).where(inArray(s.part.id, ids)));
    const articles = (await readPriceBook(db)).flatMap((a) => {
      const typed = a.retired ? undefined : a.states[known.id];
      const stated =
        typed === undefined ? null : toResult(() => (known.form === 'length' ? readTold('article', typed, 'mm').canonical : Number(typed)));
      return typed !== undefined && stated?.ok && near(stated.value)
        ? [{ seriesId: a.seriesId, name: a.name, partNumber: a.partNumber, typed }]
        : [];
    });
    return { parts: found.map((p) => ({ ...p, typed: mine.find((f) => f.partId === p.part.id)?.typed ?? '' })), articles };
  },
  part: async ({ db, params }) => {
    const [row] = await db.select().from(s.part).where(eq(s.part.id, params.id));
    if (!row) throw notFound('part');
    const [located] = await locate(db, [row]);
    if (!located) throw notFound('part');
    const { ids: known, corrections } = await namesOf(db, row.id);
    const [events, sets, findings, people, slots] = await Promise.all([
      db.select().from(s.partEvents).where(inArray(s.partEvents.partId, known)),
      db
        .select()
        .from(s.sets)
        .where(
          or(
            inArray(s.sets.partId, known),
            inArray(s.sets.id, db.select({ id: s.setMoves.setId }).from(s.setMoves).where(inArray(s.setMoves.partId, known))),
          ),
        ),
      db.select().from(s.findings).where(inArray(s.findings.partId, known)),
      db.select({ id: s.account.id, name: s.account.name }).from(s.account),
      db
        .select({
          id: s.slot.id,
          name: s.slot.name,
          kind: s.slot.kind,
          corner: s.slot.corner,
          circuits: s.slot.circuits,
          parentId: s.slot.parentId,
          boreMm: s.slot.boreMm,
          lengthMm: s.slot.lengthMm,
          style: s.slot.style,
        })
        .from(s.slot),
    ]);
    // Where its figures were really taken: moves and take-backs count here as they do in a job.
    const setIds = sets.map((x) => x.id);
    const moves = setIds.length > 0 ? await db.select().from(s.setMoves).where(inArray(s.setMoves.setId, setIds)) : [];
    const [said, uses, boxes] = await Promise.all([
      db.select().from(s.partFacts).where(inArray(s.partFacts.partId, known)),
      db.select().from(s.lotUses).where(inArray(s.lotUses.partId, known)),
      db.select().from(s.sendOuts).where(inArray(s.sendOuts.partId, known)),
    ]);
    const lots = uses.length === 0 ? [] : await readAllLots(db);
    const ids = [...setIds, ...[moves, events, findings, said, uses, boxes].flatMap((list) => list.map((x) => x.id))];
    const retracted = retractedIds(ids.length > 0 ? await db.select().from(s.takeBacks).where(inArray(s.takeBacks.corrects, ids)) : []);
    const mine = <T extends { readonly partId: string | null; readonly happenedAt: string }>(list: readonly T[]): T[] =>
      byOneName(corrections, list).filter((x) => x.partId === row.id);
    const own = mine(moved(activeEvents(sets, retracted), activeEvents(moves, retracted)));
    const who = (id: string): string => people.find((p) => p.id === id)?.name ?? 'unknown';
    const lines = await readRuns(db, [...new Set([...events, ...sets, ...findings].flatMap((e) => e.slotId ?? []))]);
    const place = (id: string | null): string => {
      const found = slots.find((x) => x.id === id) ?? lines.find((l) => l.slot.id === id)?.slot;
      return found ? placeName(found) : '';
    };
    const life = [
      ...found(mine(activeEvents(events, retracted))).map((e) => ({
        at: e.happenedAt,
        what: [LIFE_WORD[e.kind], e.note].filter(Boolean).join(': '),
        where: place(e.slotId),
        by: who(e.authorId),
        jobId: e.jobId,
      })),
      ...mine(activeEvents(uses, retracted)).map((e) => ({
        at: e.happenedAt,
        what: `Out of lot ${lots.find((l) => l.seriesId === e.lotId)?.label ?? ''}`,
        where: place(e.slotId),
        by: who(e.authorId),
        jobId: e.jobId,
      })),
      ...mine(activeEvents(boxes, retracted)).map((e) => ({
        at: e.happenedAt,
        what: `In the box to ${e.supplier}: ${SENT_FOR_NAME[e.process].toLowerCase()}`,
        where: '',
        by: who(e.authorId),
        jobId: e.jobId,
      })),
      ...own.map((e) => ({
        at: e.happenedAt,
        what: `Gauged: ${e.measurement.replace(/_/g, ' ')}, ${e.phase.replace(/_/g, ' ')}`,
        where: place(e.slotId),
        by: who(e.authorId),
        jobId: e.jobId,
      })),
      ...mine(activeEvents(findings, retracted)).map((e) => ({
        at: e.happenedAt,
        what: `Finding: ${e.words}`,
        where: place(e.slotId),
        by: who(e.authorId),
        jobId: e.jobId,
      })),
    ];
    const spoken = mine(activeEvents(said, retracted));
    const facts = [...new Map([...spoken].sort((a, b) => (a.happenedAt < b.happenedAt ? -1 : 1)).map((f) => [f.fact, f])).values()].map(
      (f) => ({
        ...{ fact: f.fact, typed: f.typed, value: f.canonical, at: f.happenedAt, by: who(f.authorId) },
      }),
    );
    return { ...located, facts, life: life.sort((a, b) => (a.at < b.at ? 1 : -1)) };
  },
  /** Tags are bound, not issued: the next physical tag is typed or scanned and bound to the part. */
  bindTag: async ({ db, params, body }) => {
    const [known] = await db.select().from(s.part).where(eq(s.part.id, params.id));
    if (!known) throw notFound('part');
    if (known.tag !== null && known.tag !== body.tag)
      throw new HttpProblem('tagged', `This part already carries the tag ${known.tag}.`, { current: known });
    const [row] = await db
      .update(s.part)
      .set({ tag: body.tag, partNumber: body.partNumber ?? known.partNumber })
      .where(eq(s.part.id, params.id))
      .returning();
    return row ?? known;
  },
  /** Both articles have to be on record; the one split off is written down as a copy of what it was taken for. */
  correctPart: eventHandler('partCorrections', async (body, { db, params }) => {
    await requireOwn(db, 'partCorrections', { ...body, jobId: params.jobId });
    if (body.partId === body.otherId) throw new HttpProblem('same_part', 'These are the same article already.');
    if ((body.kind === 'split') !== (body.since !== null))
      throw new HttpProblem('split_without_since', 'A split says from when on; a join does not.');
    const [own] = await db.select().from(s.part).where(eq(s.part.id, body.partId));
    if (!own) throw notFound('part');
    const mentioned = await db.execute(sql`select 1 from ${s.partEvents} e join ${s.job} j on j.id = e.job_id
      where e.part_id = ${body.partId} and j.vehicle_id = (select vehicle_id from ${s.job} where id = ${params.jobId}) limit 1`);
    if (mentioned.rows.length === 0) throw new HttpProblem('unknown_reference', 'Nothing was told of this part on this vehicle.');
    const [other] = await db.select().from(s.part).where(eq(s.part.id, body.otherId));
    if (body.kind === 'join' && !other) throw notFound('part');
    if (body.kind === 'join' && other && other.kind !== own.kind) throw new HttpProblem('wrong_kind', 'These are parts of two kinds.');
    if (other && body.kind === 'join') await requirePartNotElsewhere(db, params.jobId, other.id, 'fitted', true);
    if (other && body.kind === 'split') {
      const [same] = await db.select({ id: s.partCorrections.id }).from(s.partCorrections).where(eq(s.partCorrections.otherId, other.id));
      if (!same) throw new HttpProblem('already_used', 'The article that is split off has to be a new one; this one is on record already.');
    }
    if (body.kind === 'split' && !other)
      await db
        .insert(s.part)
        .values({ ...own, id: body.otherId, tag: null })
        .onConflictDoNothing();
  }),
  recordPartEvent: eventHandler('partEvents', async ({ part: described, ...body }, call) => {
    // A part is not described to a job that was handed back: the event is refused below, and nothing is left of it.
    const [released] = await call.db.select({ id: s.release.id }).from(s.release).where(eq(s.release.jobId, call.params.jobId));
    // Everything is looked at first: nothing is left of a part whose event is refused.
    await requireOwn(call.db, 'partEvents', { ...body, jobId: call.params.jobId });
    await requirePartNotElsewhere(call.db, call.params.jobId, body.partId, body.kind, described !== null);
    await requireDone(call.db, call.params.jobId, body, corrected(call.request, body.happenedAt));
    await requireAhead(call.db, body.until, corrected(call.request, body.happenedAt));
    if (described && !released) {
      await call.db
        .insert(s.part)
        .values({ id: body.partId, ...described })
        .onConflictDoNothing({ target: s.part.id });
      const [stored] = await call.db.select().from(s.part).where(eq(s.part.id, body.partId));
      // A tag bound or a note added since is no other article.
      keptAs(stored, { kind: described.kind, name: described.name }, 'part');
    }
  }),
};
