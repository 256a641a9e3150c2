import type { TrafficRow, TrafficView } from '@dauer/contract';
import { placeName } from '@dauer/core/layout';
import type { OrderLine } from '@dauer/core/ledger';
import { daysAfter } from '@dauer/core/quantity';
import { lineState, type LineState, outState, type OutState } from '@dauer/core/supply';
import { lineWords, outWords, SENT_FOR_NAME } from '@dauer/core/wording';
import { asc, eq, inArray, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import * as s from '../db/schema.ts';
import { shopDay } from './ahead.ts';

/** Days before it falls due from which something is told among what is due. */
const SOON_DAYS = 7;

const standing = (id: typeof s.orderLines.id | typeof s.orderSteps.id | typeof s.sendOuts.id | typeof s.sendOutSteps.id) =>
  sql`not exists (select 1 from ${s.takeBacks} t where t.corrects = ${id})`;

/** Ids of lines of which something is open, by counting their steps: what is done is never read. */
async function openLines(db: Database): Promise<string[]> {
  const { rows } = await db.execute<{ id: string }>(sql`
    with n as (select line_id,
        coalesce(sum(count) filter (where kind = 'cancelled'), 0) as cancelled, coalesce(sum(count) filter (where kind = 'arrived'), 0) as arrived,
        coalesce(sum(count) filter (where kind = 'checked'), 0) as looked, coalesce(sum(count) filter (where kind = 'checked' and result = 'right'), 0) as fit,
        coalesce(sum(count) filter (where kind = 'returned'), 0) as returned, coalesce(sum(count) filter (where kind = 'credited'), 0) as credited,
        coalesce(sum(count) filter (where kind in ('core_credited', 'core_kept')), 0) as cores
      from ${s.orderSteps} where ${standing(s.orderSteps.id)} group by line_id)
    select l.id from ${s.orderLines} l left join n on n.line_id = l.id
      where not exists (select 1 from ${s.takeBacks} t where t.corrects = l.id)
      and (n.line_id is null or cancelled + arrived < l.count or looked < arrived or returned < looked - fit or credited < returned
        or (coalesce(l.core, 0) > 0 and cores < fit))`);
  return rows.map((r) => r.id);
}

function grouped<T>(list: readonly T[], by: (x: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const x of list) {
    const had = groups.get(by(x));
    if (had) had.push(x);
    else groups.set(by(x), [x]);
  }
  return groups;
}

function viewsOfLine(x: LineState, today: string): TrafficView[] {
  const soon = daysAfter(today, SOON_DAYS);
  const views: TrafficView[] = [];
  if (x.coming > 0) views.push('way');
  if (x.toCheck > 0) views.push('check');
  if (x.toReturn > 0 || x.creditWaits || x.core === 'here' || x.core === 'sent') views.push('return');
  if (x.dues.some((d) => d.on <= soon) || (x.coming > 0 && x.expected !== null && x.expected < today)) views.push('due');
  return views;
}

function viewsOfOut(x: OutState, today: string): TrafficView[] {
  const views: TrafficView[] = [];
  if (x.back === null) views.push('out');
  else if (!x.done) views.push(x.checked === null ? 'check' : 'return');
  if (x.back === null && x.sent !== null && x.expected !== null && x.expected < today) views.push('due');
  return views;
}

export type Known = Omit<TrafficRow, 'vehicleTag' | 'vehicleName' | 'places'> & {
  readonly slots: readonly string[];
  readonly supplierId: string;
};

function rowOfLine(x: LineState, today: string): Known {
  const { line } = x;
  const on = x.dues[0]?.on ?? (x.coming > 0 ? x.expected : null);
  return {
    ...{
      id: line.id,
      of: 'order' as const,
      jobId: line.jobId,
      supplierId: line.supplierId,
      supplier: line.supplier,
      what: line.name,
      partNumber: line.partNumber,
    },
    ...{ count: line.count, slots: line.places, stands: lineWords(x, today), on, late: on !== null && on < today },
    views: viewsOfLine(x, today),
  };
}

function rowOfOut(x: OutState, today: string): Known {
  const { out } = x;
  const what = [SENT_FOR_NAME[out.process], out.size, out.colour].filter(Boolean).join(', ');
  return {
    ...{
      id: out.id,
      of: 'send_out' as const,
      jobId: out.jobId,
      supplierId: out.supplierId,
      supplier: out.supplier,
      what,
      partNumber: null,
      count: out.count,
    },
    ...{ slots: [out.slotId], stands: outWords(x, today), on: x.back === null ? x.expected : null },
    late: x.back === null && x.expected !== null && x.expected < today,
    views: viewsOfOut(x, today),
  };
}

export async function knownRows(db: Database, today: string): Promise<Known[]> {
  const ids = await openLines(db);
  const some = ids.length > 0;
  const lines: OrderLine[] = some
    ? await db.select().from(s.orderLines).where(inArray(s.orderLines.id, ids)).orderBy(asc(s.orderLines.id))
    : [];
  const steps = some
    ? await db
        .select()
        .from(s.orderSteps)
        .where(sql`${inArray(s.orderSteps.lineId, ids)} and ${standing(s.orderSteps.id)}`)
        .orderBy(asc(s.orderSteps.happenedAt), asc(s.orderSteps.id))
    : [];
  const byLine = grouped(steps, (x) => x.lineId);
  const outs = await db.select().from(s.sendOuts).where(standing(s.sendOuts.id)).orderBy(asc(s.sendOuts.happenedAt), asc(s.sendOuts.id));
  const outSteps = grouped(
    await db
      .select()
      .from(s.sendOutSteps)
      .where(standing(s.sendOutSteps.id))
      .orderBy(asc(s.sendOutSteps.happenedAt), asc(s.sendOutSteps.id)),
    (x) => x.sendOutId,
  );
  const partIds = [...new Set(outs.map((o) => o.partId))];
  const events =
    partIds.length === 0
      ? []
      : await db
          .select()
          .from(s.partEvents)
          .where(
            sql`${inArray(s.partEvents.partId, partIds)} and not exists (select 1 from ${s.takeBacks} t where t.corrects = ${s.partEvents.id})`,
          )
          .orderBy(asc(s.partEvents.happenedAt), asc(s.partEvents.id));
  const byPart = grouped(events, (e) => e.partId);
  return [
    ...lines.map((l) => rowOfLine(lineState(l, byLine.get(l.id) ?? []), today)),
    ...outs.flatMap((o) => {
      const next = outs.find((x) => x.partId === o.partId && x.happenedAt > o.happenedAt)?.happenedAt ?? null;
      const state = outState(o, next, outSteps.get(o.id) ?? [], byPart.get(o.partId) ?? []);
      return state.done ? [] : [rowOfOut(state, today)];
    }),
  ];
}

/** Everything that is open with any supplier. */
export async function openTraffic(db: Database): Promise<readonly Known[]> {
  return knownRows(db, await shopDay(db, new Date().toISOString()));
}

/** Names of places by id; a place of a layout of before goes by its newest name. */
async function placeNames(db: Database, ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
  if (ids.length === 0) return new Map();
  const slots = await db
    .select()
    .from(s.slot)
    .where(inArray(s.slot.id, [...ids]));
  return new Map(slots.map((x) => [x.id, placeName(x)]));
}

/** What falls due of orders and send-outs within days, for the Yard. */
export async function dueTraffic(db: Database, today: string): Promise<TrafficRow[]> {
  const rows = (await knownRows(db, today)).filter((r) => r.views.includes('due'));
  return withNames(
    db,
    rows.sort((a, b) => ((a.on ?? '9') < (b.on ?? '9') ? -1 : 1)),
  );
}

export async function withNames(db: Database, rows: readonly Known[]): Promise<TrafficRow[]> {
  const jobIds = [...new Set(rows.map((r) => r.jobId))];
  const vehicles = new Map(
    jobIds.length === 0
      ? []
      : (
          await db
            .select({ id: s.job.id, tag: s.vehicle.tag, name: s.vehicle.name })
            .from(s.job)
            .innerJoin(s.vehicle, eq(s.vehicle.id, s.job.vehicleId))
            .where(inArray(s.job.id, jobIds))
        ).map((v) => [v.id, v] as const),
  );
  const names = await placeNames(db, [...new Set(rows.flatMap((r) => r.slots))]);
  return rows.map(({ slots, supplierId: _supplierId, ...r }) => ({
    ...r,
    vehicleTag: vehicles.get(r.jobId)?.tag ?? '',
    vehicleName: vehicles.get(r.jobId)?.name ?? '',
    places: slots.flatMap((id) => names.get(id) ?? []),
  }));
}
