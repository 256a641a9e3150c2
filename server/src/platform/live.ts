import { LIVE, mayCall, PAGE_HEADER } from '@dauer/contract';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import pg from 'pg';
import type { Database } from '../db/connect.ts';
import { HttpProblem } from './problem.ts';
import { requireSamePerson, whoAsks } from './session.ts';
import { CHANNEL } from './tell.ts';

const RETRY_MS = 1000;
const HEARTBEAT_MS = 20000;

/** The page that sent a request, as it names itself; empty where it does not. */
export function pageOf(request: FastifyRequest): string {
  const header = request.headers[PAGE_HEADER];
  return typeof header === 'string' && /^[\w-]{1,40}$/.test(header) ? header : '';
}

/** Passes what PostgreSQL announces on to the pages that listen here; comes back by itself when its connection is lost. */
class Listener {
  private client: pg.Client | null = null;
  private timer: NodeJS.Timeout | null = null;
  private closed = false;
  /** Open connections, each with a re-check of its session. */
  readonly readers = new Map<FastifyReply, () => void>();
  private readonly url: string;
  constructor(url: string) {
    this.url = url;
  }
  async open(): Promise<void> {
    if (this.closed) return;
    const client = new pg.Client({ connectionString: this.url });
    this.client = client;
    let again = false;
    // A lost client both fails and ends: it comes back once.
    const lost = (): void => {
      if (again || this.closed) return;
      again = true;
      client.removeAllListeners('notification');
      client.end().catch(() => undefined);
      this.timer = setTimeout(() => void this.open(), RETRY_MS);
    };
    client.on('error', lost);
    client.on('end', lost);
    client.on('notification', ({ payload }) => this.send(payload ?? ''));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      // Whatever was announced while nobody listened is caught up with by reading again.
      this.send(JSON.stringify({ jobId: null, page: '' }));
    } catch {
      lost();
    }
  }
  private send(payload: string): void {
    const people = payload.includes('"people":true');
    for (const [reader, ask] of this.readers) {
      reader.raw.write(`data: ${payload}\n\n`);
      if (people) ask();
    }
  }
  async close(): Promise<void> {
    this.closed = true;
    if (this.timer) clearTimeout(this.timer);
    for (const reader of this.readers.keys()) reader.raw.end();
    await this.client?.end().catch(() => undefined);
  }
}

/** Serves the stream of changes. Whoever has left or was signed out is let go at once, on every process. */
export function serveLive(app: FastifyInstance, db: Database, databaseUrl: string): void {
  const listener = new Listener(databaseUrl);
  app.addHook('onReady', () => listener.open());
  app.addHook('preClose', () => listener.close());
  app.get(LIVE.path, { schema: { hide: true } }, async (request, reply) => {
    const person = await whoAsks(db, request);
    if (!person) throw new HttpProblem('signed_out', 'You are not signed in, or your session has ended. Sign in again.');
    requireSamePerson(person, (request.query as { person?: string }).person);
    if (!mayCall(LIVE.role, person.role)) throw new HttpProblem('role', `This takes the role of ${LIVE.role}.`);
    reply.hijack();
    reply.raw.writeHead(200, {
      ...(reply.getHeaders() as Record<string, string>),
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
    });
    reply.raw.write(`retry: ${RETRY_MS}\n\n`);
    const ask = (): void => {
      whoAsks(db, request)
        .then((still) => (still ? reply.raw.write('event: here\ndata: 1\n\n') : reply.raw.end()))
        .catch(() => undefined);
    };
    listener.readers.set(reply, ask);
    const beat = setInterval(ask, HEARTBEAT_MS);
    request.raw.on('close', () => {
      clearInterval(beat);
      listener.readers.delete(reply);
    });
  });
}
