import { randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './machine.mjs';

/**
 * Gives a job one set with this many readings, and says how to ask what is new of it after one more observation.
 * @param {{ url: string, databaseUrl: string, cookie: string, jobId: string, readings: number }} options
 * @returns an observation followed by what is new, timed from the question on: bytes of the answer
 */
export async function followed({ url, databaseUrl, cookie, jobId, readings }) {
  const ask = async (path, body) => {
    const reply = await fetch(url + path, {
      ...(body
        ? { method: 'POST', body: JSON.stringify({ id: randomUUID(), happenedAt: new Date().toISOString(), device: 'bench', ...body }) }
        : {}),
      headers: { cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
    });
    const text = await reply.text();
    if (!reply.ok) throw new Error(`${path}: ${reply.status} ${text.slice(0, 300)}`);
    return text;
  };
  const { layout, people } = JSON.parse(await ask(`/api/jobs/${jobId}`));
  const slotId = layout.slots.find((s) => s.kind === 'rotor' || s.kind === 'drum' || s.kind === 'hub').id;
  const { default: pg } = await import(createRequire(join(ROOT, 'server/package.json')).resolve('pg'));
  const db = new pg.Client({ connectionString: databaseUrl });
  await db.connect();
  const set = randomUUID();
  const base = `$1, $2, 'bench', now(), now()`;
  await db.query(
    `insert into reading_set (id, job_id, author_id, device, happened_at, recorded_at, slot_id, measurement, phase, surface, cold, averages, count)
      values (gen_random_uuid(), ${base}, $3, 'rotor_runout', 'as_found', 'clean', true, false, 16)`.replace(
      'gen_random_uuid()',
      `'${set}'`,
    ),
    [jobId, people[0].id, slotId],
  );
  await db.query(
    `insert into reading (id, job_id, author_id, device, happened_at, recorded_at, set_id, frame, angle_deg, pass, typed, unit, canonical, resolution, fraction)
      select gen_random_uuid(), ${base}, $3, 'rotor_mark', n % 360, 1, '0.01', 'mm', 0.01, 0.01, false from generate_series(1, $4::int) n`,
    [jobId, people[0].id, set, readings],
  );
  await db.end();
  let { cursor } = JSON.parse(await ask(`/api/jobs/${jobId}`));
  return {
    write: () => ask(`/api/jobs/${jobId}/observations`, { code: 'judder', corner: null, state: 'seen' }),
    follow: async () => {
      const text = await ask(`/api/jobs/${jobId}/changes?since=${cursor}`);
      cursor = JSON.parse(text).cursor;
      return text.length;
    },
  };
}
