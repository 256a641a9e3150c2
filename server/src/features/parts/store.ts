import { placeName } from '@dauer/core/layout';
import { desc, eq, inArray, sql } from 'drizzle-orm';
import * as s from '../../db/schema.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readAllLots } from '../../records/lots.ts';
import { readPriceBook, readSuppliers } from '../../records/prices.ts';

/** One writer of the lots at a time, so that two versions made of the same one do not pass each other. */
const LOTS_LOCK = 4715;

export const storeHandlers: Pick<Handlers, 'lots' | 'enterLot' | 'lotVehicles' | 'stock' | 'moveStock'> = {
  lots: async ({ db }) => {
    const { rows } = await db.execute<{ id: string; n: number }>(
      sql`select u.lot_id as id, count(distinct j.vehicle_id)::int as n from ${s.lotUses} u join ${s.job} j on j.id = u.job_id
        where not exists (select 1 from ${s.takeBacks} t where t.corrects = u.id) group by u.lot_id`,
    );
    const uses = new Map(rows.map((r) => [r.id, r.n]));
    return (await readAllLots(db)).map((lot) => ({ lot, vehicles: uses.get(lot.seriesId) ?? 0 }));
  },
  /** A version is added to the newest one only; calling a lot in takes a lead. */
  enterLot: async ({ db, body, person }) => {
    const { replaces, ...fields } = body;
    await db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(${LOTS_LOCK})`);
      const all = await readAllLots(tx);
      const newest = all.find((l) => l.seriesId === body.seriesId);
      if (newest && newest.id !== replaces && newest.id !== body.id)
        throw new HttpProblem('stale', 'Somebody wrote more of this lot meanwhile. What you typed is kept; look at both.', {
          current: newest,
        });
      const other = all.find((l) => l.seriesId !== body.seriesId && l.label.toLowerCase() === body.label.toLowerCase());
      if (other) throw new HttpProblem('already_used', `${other.label} is another lot: ${other.name}.`);
      if (body.recalled !== (newest?.recalled ?? '') && person.role !== 'lead')
        throw new HttpProblem('role', 'A lot is called in, or taken back from that, by a lead.');
      await tx
        .insert(s.lotVersion)
        .values({ ...fields, enteredBy: person.id })
        .onConflictDoNothing();
    });
    const [row] = await db.select().from(s.lotVersion).where(eq(s.lotVersion.id, body.id));
    return keptAs(row, fields, 'lot');
  },
  lotVehicles: async ({ db, params, person }) => {
    const uses = await db
      .select({ use: s.lotUses, vehicle: s.vehicle, releasedAt: s.release.releasedAt, owner: s.owner.name })
      .from(s.lotUses)
      .innerJoin(s.job, eq(s.job.id, s.lotUses.jobId))
      .innerJoin(s.vehicle, eq(s.vehicle.id, s.job.vehicleId))
      .leftJoin(s.release, eq(s.release.jobId, s.job.id))
      .leftJoin(s.owner, eq(s.owner.id, s.vehicle.ownerId))
      .where(sql`${s.lotUses.lotId} = ${params.id} and not exists (select 1 from ${s.takeBacks} t where t.corrects = ${s.lotUses.id})`)
      .orderBy(desc(s.lotUses.happenedAt));
    const ids = [...new Set(uses.flatMap((u) => u.use.slotId ?? []))];
    const slots = ids.length === 0 ? [] : await db.select().from(s.slot).where(inArray(s.slot.id, ids));
    return uses.map(({ use, vehicle, releasedAt, owner }) => {
      const slot = slots.find((x) => x.id === use.slotId);
      return {
        ...{ jobId: use.jobId, vehicleTag: vehicle.tag, vehicleName: vehicle.name, on: use.happenedAt, inShop: releasedAt === null },
        owner: person.role === 'lead' ? (owner ?? null) : null,
        place: slot ? placeName(slot) : null,
      };
    });
  },
  stock: async ({ db }) => {
    const { rows } = await db.execute<{ id: string; count: number; level: number | null; counted: string | null }>(sql`
      with last as (select distinct on (series_id) series_id, count, entered_at, id from ${s.stockMove} where kind = 'counted'
          order by series_id, entered_at desc, id desc),
        level as (select distinct on (series_id) series_id, count from ${s.stockMove} where kind = 'level' order by series_id, entered_at desc, id desc)
      select m.series_id as id, (coalesce(max(last.count), 0) + coalesce(sum(case when m.kind = 'came' then m.count when m.kind = 'taken' then -m.count end)
          filter (where last.id is null or (m.entered_at, m.id) > (last.entered_at, last.id)), 0))::int as count,
        max(level.count)::int as level, max(last.entered_at) as counted
      from ${s.stockMove} m left join last on last.series_id = m.series_id left join level on level.series_id = m.series_id group by m.series_id`);
    const articles = new Map((await readPriceBook(db)).map((a) => [a.seriesId, a]));
    const suppliers = new Map((await readSuppliers(db)).map((x) => [x.id, x.name]));
    return rows
      .flatMap((r) => {
        const a = articles.get(r.id);
        if (!a) return [];
        const counted = r.counted === null ? null : new Date(r.counted).toISOString();
        return [
          {
            ...{ seriesId: r.id, name: a.name, partNumber: a.partNumber, count: r.count, level: r.level, counted },
            supplier: a.supplierId === null ? null : (suppliers.get(a.supplierId) ?? null),
          },
        ];
      })
      .sort((a, b) => (a.name < b.name ? -1 : 1));
  },
  moveStock: async ({ db, body, person }) => {
    const [known] = await db
      .select({ id: s.articleVersion.id })
      .from(s.articleVersion)
      .where(eq(s.articleVersion.seriesId, body.seriesId))
      .limit(1);
    if (!known) throw notFound('article');
    await db
      .insert(s.stockMove)
      .values({ ...body, enteredBy: person.id })
      .onConflictDoNothing();
    const [row] = await db.select().from(s.stockMove).where(eq(s.stockMove.id, body.id));
    return keptAs(row, body, 'move');
  },
};
