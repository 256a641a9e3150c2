import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './machine.mjs';

/** Order lines of an old book, and how many of them are still open. */
const [LINES, OPEN] = [5000, 400];

/**
 * Gives an old book its orders: thousands of lines over all jobs, most of them closed, each with its steps.
 * @param {{ url: string }} options
 * @returns {Promise<{ lines: number, parts: number }>}
 */
export async function ordered({ url }) {
  const { default: pg } = await import(createRequire(join(ROOT, 'server/package.json')).resolve('pg'));
  const db = new pg.Client({ connectionString: url });
  await db.connect();
  const known = Number((await db.query('select count(*) from order_line')).rows[0].count);
  if (known < LINES) {
    await db.query("set session_replication_role = 'replica'");
    await db.query(
      `with jobs as (select j.id, row_number() over (order by j.id) as n from job j), total as (select count(*) as n from jobs),
        who as (select id from account order by id limit 1), who_sells as (select id, name from supplier order by name limit 1),
        places as (select distinct on (j.id) j.id as job, s.id as slot from job j join layout l on l.vehicle_id = j.vehicle_id
          join slot s on s.layout_id = l.id where s.kind in ('rotor', 'drum') order by j.id, s.id)
      insert into order_line (id, job_id, author_id, device, happened_at, recorded_at, corrects, supplier_id, supplier, name, article_id,
          part_number, supply, count, places, need, price, core, expected, shops_own, note)
        select gen_random_uuid(), jobs.id, who.id, 'bench', now() - i * interval '1 hour', now(), null, who_sells.id, who_sells.name,
          'Part ' || i, null, 'N ' || i, 'new', 1, array[places.slot], null, 1000 + i, null, current_date + 5, false, ''
        from generate_series(1, $1::int) i cross join who cross join who_sells cross join total
          join jobs on jobs.n = 1 + i % total.n join places on places.job = jobs.id`,
      [LINES],
    );
    for (const [kind, result] of [
      ['arrived', null],
      ['checked', 'right'],
    ])
      await db.query(
        `insert into order_step (id, job_id, author_id, device, happened_at, recorded_at, corrects, line_id, kind, count, day, result, slot_id, amount, note)
          select gen_random_uuid(), job_id, author_id, 'bench', happened_at + interval '1 day', now(), null, id, $1, 1, null, $2, null, null, ''
          from (select * from order_line where device = 'bench' order by id limit $3) l`,
        [kind, result, LINES - OPEN],
      );
    await db.query('analyze order_line');
    await db.query('analyze order_step');
  }
  const [lines, parts] = await Promise.all(['order_line', 'part'].map((t) => db.query(`select count(*)::int as n from ${t}`)));
  await db.end();
  return { lines: lines.rows[0].n, parts: parts.rows[0].n };
}
