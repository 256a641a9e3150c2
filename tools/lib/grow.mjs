import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './machine.mjs';

/** Things first, then what leans on them. */
const TABLES = [
  'vehicle',
  'layout',
  'slot',
  'connection',
  'job',
  'part',
  'part_event',
  'counter_reading',
  'reading_set',
  'reading',
  'finding',
  'observation',
  'fluid_service',
  'bleed_pull',
  'proof',
  'release_record',
];
/** Columns that name who or what with; they stay as they are in every copy. */
const SHARED = new Set(['author_id', 'opened_by', 'entered_by', 'released_by', 'gauge_version_id', 'owner_id']);

/**
 * Copies one vehicle's whole life many times over: other ids, other tags, all else alike.
 * @param {{ url: string, tag: string, copies: number, told: (line: string) => void }} options
 */
export async function grow({ url, tag, copies, told }) {
  const { default: pg } = await import(createRequire(join(ROOT, 'server/package.json')).resolve('pg'));
  const db = new pg.Client({ connectionString: url });
  await db.connect();
  await db.query("set session_replication_role = 'replica'");
  const { rows } = await db.query('select id from vehicle where tag = $1', [tag]);
  const vehicleId = rows[0].id;
  const own = {
    vehicle: `id = '${vehicleId}'`,
    layout: `vehicle_id = '${vehicleId}'`,
    slot: `layout_id in (select id from layout where vehicle_id = '${vehicleId}')`,
    connection: `layout_id in (select id from layout where vehicle_id = '${vehicleId}')`,
    job: `vehicle_id = '${vehicleId}'`,
    part: `id in (select part_id from part_event where job_id in (select id from job where vehicle_id = '${vehicleId}'))`,
  };
  const events = `job_id in (select id from job where vehicle_id = '${vehicleId}')`;
  const seeds = new Map();
  for (const table of TABLES) seeds.set(table, (await db.query(`select * from ${table} where ${own[table] ?? events}`)).rowCount);
  for (const table of TABLES) {
    const begun = Date.now();
    const columns = (
      await db.query('select column_name, data_type from information_schema.columns where table_name = $1 order by ordinal_position', [
        table,
      ])
    ).rows;
    const names = columns.map((c) => `"${c.column_name}"`).join(', ');
    const picked = columns.map(({ column_name: name, data_type: type }) => {
      if (type === 'uuid' && !SHARED.has(name))
        return `overlay(overlay(md5(s."${name}"::text || n) placing '4' from 13) placing '8' from 17)::uuid`;
      if (name === 'tag') return `s.tag || ' ' || n`;
      if (table === 'vehicle' && name === 'name') return `s.name || ' ' || n`;
      return `s."${name}"`;
    });
    const from = `(select * from ${table} where ${own[table] ?? events}) s`;
    await db.query(`insert into ${table} (${names}) select ${picked.join(', ')} from ${from} cross join generate_series(1, ${copies}) n`);
    told(`${table}: ${seeds.get(table) * copies} rows, ${((Date.now() - begun) / 1000).toFixed(1)} s`);
  }
  await db.query("set session_replication_role = 'origin'");
  await db.query('analyze');
  const count = async (table) => Number((await db.query(`select count(*) n from ${table}`)).rows[0].n);
  const grown = { vehicles: await count('vehicle'), jobs: await count('job'), readings: await count('reading') };
  await db.end();
  return grown;
}
