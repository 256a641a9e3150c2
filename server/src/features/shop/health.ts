import { mayCall } from '@dauer/contract';
import { sql } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import type { Database } from '../../db/connect.ts';
import { whoAsks } from '../../platform/session.ts';
import { noticesFor } from './notices.ts';

/** How long the database may take to say that it is there, ms. */
const PATIENCE_MS = 3000;

async function databaseAnswers(db: Database): Promise<boolean> {
  const late = new Promise<false>((resolve) => setTimeout(() => resolve(false), PATIENCE_MS).unref());
  const answers = db.execute(sql`select 1`).then(
    () => true,
    () => false,
  );
  return Promise.race([answers, late]);
}

/**
 * What is served and what is not, with reasons: 503 while the database is away, 200 otherwise. Strangers get the reasons
 * by their codes alone; a lead gets them in words.
 */
export function serveHealth(app: FastifyInstance, db: Database): void {
  app.get('/api/health', { schema: { hide: true } }, async (request, reply) => {
    if (!(await databaseAnswers(db))) return reply.status(503).send({ ok: false, reasons: ['database_away'] });
    const person = await whoAsks(db, request).catch(() => null);
    const notices = await noticesFor(db, 'lead').catch(() => []);
    const lead = mayCall('lead', person?.role ?? null);
    return { ok: true, reasons: notices.map((n) => n.code), ...(lead ? { notices } : {}) };
  });
}
