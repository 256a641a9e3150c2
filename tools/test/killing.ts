import { seededUniform } from '@dauer/core/inference';
import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { plannedPositions } from '@dauer/core/catalogue';
import { connect } from '@dauer/server/db';
import { PASSWORD, type Yard } from './house.ts';

/** What a campaign of kills came to. */
export interface Campaign {
  readonly kills: number;
  readonly acknowledged: number;
  readonly lost: number;
  readonly doubled: number;
  /** How long it took to answer again after each kill, ms, sorted. */
  readonly back: readonly number[];
  /** Answers that were neither taken nor a pass to be tried again. */
  readonly odd: Readonly<Record<string, number>>;
}

/** Shares of the kills that hit the server alone, and server and database at once; the rest hits the database alone. */
const SERVER = 0.2;
const BOTH = 0.1;

interface Post {
  readonly status: number;
}

/** A browser of its own, signed in. */
async function client(yard: Yard): Promise<(path: string, body: object) => Promise<Post>> {
  let cookie = '';
  const post = async (path: string, body: object): Promise<Post> => {
    const reply = await fetch(yard.url + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(10000),
    });
    cookie = reply.headers.getSetCookie()[0]?.split(';')[0] ?? cookie;
    await reply.arrayBuffer();
    return { status: reply.status };
  };
  for (;;) {
    if ((await post('/api/sign-in', { login: 'ines', password: PASSWORD }).catch(() => ({ status: 0 }))).status === 200) return post;
    await wait(100);
  }
}

/**
 * Kills server, database or both at random moments while clients take readings; each reading is sent until it is
 * acknowledged, as a tablet does. Afterwards every acknowledged one has to be in the book, once.
 */
export async function killing(
  yard: Yard,
  { kills, clients, seed, told = () => undefined }: { kills: number; clients: number; seed: number; told?: (line: string) => void },
): Promise<Campaign> {
  const random = seededUniform(seed);
  const { jobs } = (await yard.ask<{ jobs: { jobId: string; layout: { slots: { id: string; kind: string }[] } }[] }>('GET', '/api/yard'))
    .body;
  const job = jobs.find((j) => j.layout.slots.some((s) => s.kind === 'rotor'))!;
  const slotId = job.layout.slots.find((s) => s.kind === 'rotor')!.id;
  const places = plannedPositions('rotor_thickness', 8);
  const acknowledged = new Set<string>();
  const odd: Record<string, number> = {};
  let over = false;
  const work = async (n: number, post: Awaited<ReturnType<typeof client>>): Promise<void> => {
    const setId = randomUUID();
    const send = async (path: string, body: { readonly id: string }): Promise<void> => {
      for (;;) {
        const status = await post(`/api/jobs/${job.jobId}/${path}`, { happenedAt: new Date().toISOString(), device: `drill ${n}`, ...body })
          .then((a) => a.status)
          .catch(() => 0);
        if (status === 200) {
          acknowledged.add(body.id);
          return;
        }
        if (status !== 0 && status !== 503 && status !== 507) {
          odd[status] = (odd[status] ?? 0) + 1;
          if (status < 500) throw new Error(`${path} was refused with ${status}`);
        }
        await wait(30);
      }
    };
    await send('sets', {
      ...{ id: setId, slotId, partId: null, measurement: 'rotor_thickness', phase: 'as_found', surface: 'clean', cold: true },
      ...{ averages: true, count: 8 },
    } as never);
    for (let i = 0; !over; i += 1) {
      const figure = (12 + (i % 50) / 100).toFixed(2);
      await send('readings', {
        ...{ id: randomUUID(), setId, ...places[i % places.length]!, pass: 1, gaugeVersionId: null },
        ...{ typed: figure, unit: 'mm' },
      } as never);
      await wait(5 + random() * 20);
    }
  };
  // Everybody is signed in before the first kill: what is tried is the taking of readings.
  const posts: Awaited<ReturnType<typeof client>>[] = [];
  for (let n = 0; n < clients; n += 1) posts.push(await client(yard));
  const workers = posts.map((post, n) => work(n, post));
  const back: number[] = [];
  for (let k = 0; k < kills; k += 1) {
    // Some readings come in between two kills, so that each falls among them.
    const before = acknowledged.size;
    await yard.until(() => acknowledged.size >= before + clients, 'readings between two kills');
    await wait(random() * 300);
    const what = random();
    await yard.until(() => yard.isNoted(), 'both to be there');
    const [server, postmaster] = [yard.pidOf('server'), yard.postmaster()];
    const begun = performance.now();
    const [killsServer, killsDatabase] = [what < SERVER + BOTH, what >= SERVER];
    if (killsServer) process.kill(server, 'SIGKILL');
    if (killsDatabase) process.kill(postmaster, 'SIGKILL');
    await yard.until(
      async () => {
        const again =
          (!killsServer || yard.pidIs('server', server) === false) && (!killsDatabase || yard.postmasterIs(postmaster) === false);
        return again && (await yard.healthy());
      },
      'an answer after a kill',
      120000,
    );
    back.push(performance.now() - begun);
    if ((k + 1) % 25 === 0) told(`${k + 1} kills, ${acknowledged.size} acknowledged`);
  }
  over = true;
  await Promise.all(workers);
  const { pool, close } = connect(yard.databaseUrl());
  const { rows } = await pool.query<{ id: string }>(`select id from reading union all select id from reading_set`);
  await close();
  const kept = new Map<string, number>();
  for (const { id } of rows) kept.set(id, (kept.get(id) ?? 0) + 1);
  return {
    ...{ kills, acknowledged: acknowledged.size, odd, back: back.sort((a, b) => a - b) },
    lost: [...acknowledged].filter((id) => !kept.has(id)).length,
    doubled: [...acknowledged].filter((id) => (kept.get(id) ?? 0) > 1).length,
  };
}
