import { comebackCounts, type LastingCase } from '@dauer/core/estimate';
import { LASTS } from '@dauer/core/catalogue';
import type { ComebackCount } from '@dauer/core/ledger';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { comebacks, counters, decisions, job, lotUses, lotVersion, release, slot, takeBacks, voids } from '../db/schema.ts';

/**
 * Every piece of work that was handed back: how it was decided last, until somebody said that it came back for the same, or
 * its vehicle was last seen. A job that is void handed nothing back.
 */
export async function readLastingCases(db: Database): Promise<LastingCase[]> {
  const stands = (id: unknown) => sql`not exists (select 1 from ${takeBacks} t where t.corrects = ${id})`;
  const { rows } = await db.execute<{
    option: LastingCase['option'];
    kind: LastingCase['kind'];
    lots: string[] | null;
    released: string;
    seen: string;
    back: string | null;
  }>(sql`
    with done as (
      select distinct on (d.job_id, d.slot_id) d.job_id, d.slot_id, d.option, r.released_at, j.vehicle_id
        from ${decisions} d join ${release} r on r.job_id = d.job_id join ${job} j on j.id = d.job_id
        where ${stands(sql`d.id`)} and not exists (select 1 from ${voids} v where v.job_id = d.job_id and ${stands(sql`v.id`)})
        order by d.job_id, d.slot_id, d.happened_at desc, d.id desc),
      seen as (
        select j.vehicle_id, greatest(max(j.opened_at), max(r.released_at), max(c.happened_at)) as at from ${job} j
          left join ${release} r on r.job_id = j.id left join ${counters} c on c.job_id = j.id group by j.vehicle_id),
      again as (
        select b.repaired_in, b.slot_id, min(b.happened_at) as at from ${comebacks} b
          where b.answer = 'comeback' and ${stands(sql`b.id`)} group by b.repaired_in, b.slot_id)
    select done.option, (select s.kind from ${slot} s where s.id = done.slot_id limit 1) as kind, done.released_at as released,
        greatest(seen.at, done.released_at) as seen, again.at as back,
        (select array_agg(distinct l.label) from ${lotUses} u join ${lotVersion} l on l.series_id = u.lot_id
          where u.job_id = done.job_id and u.slot_id = done.slot_id and ${stands(sql`u.id`)}) as lots
      from done join seen on seen.vehicle_id = done.vehicle_id
        left join again on again.repaired_in = done.job_id and again.slot_id = done.slot_id
      where done.option in ${[...LASTS]}`);
  const instant = (at: string): string => new Date(at).toISOString();
  return rows
    .filter((r) => r.kind !== null)
    .map((r) => ({
      ...{ option: r.option, kind: r.kind, lots: r.lots ?? [], from: instant(r.released) },
      ...{ until: instant(r.back ?? r.seen), cameBack: r.back !== null },
    }));
}

/** What was counted last of each book, and of which state of it: a job is opened often, and what lasted changes seldom. */
const counted = new Map<string, { readonly of: string; readonly counts: ComebackCount[] }>();

/** How often work of each kind came back, as the reckoning takes it. */
export async function readComebackCounts(db: Database): Promise<ComebackCount[]> {
  const { rows } = await db.execute<{ book: string; of: string }>(sql`select current_database() as book,
    concat_ws(' ', (select count(*) from ${release}), (select count(*) from ${comebacks}), (select count(*) from ${voids}),
      (select count(*) from ${takeBacks} t join ${comebacks} c on c.id = t.corrects)) as of`);
  const [now] = rows;
  const last = counted.get(now?.book ?? '');
  if (now && last?.of === now.of) return last.counts;
  const counts = comebackCounts(await readLastingCases(db));
  if (now) counted.set(now.book, { of: now.of, counts });
  return counts;
}
