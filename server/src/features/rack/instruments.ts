import { randomBytes, timingSafeEqual } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { secret } from '../../db/schema.ts';
import { pageOf } from '../../platform/live.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { tell, tellInOrder } from '../../platform/tell.ts';

export type InstrumentNames = 'instrumentSays' | 'claimInstrument' | 'instrumentKey';

const NAME = 'instruments';
/** Live figures of one instrument that come faster than this are passed over, ms. */
const MIN_APART_MS = 40;
const lastHeard = new Map<string, number>();

/** The key of the shop's instruments: given with the environment, or kept in the database. */
async function keyOf(db: Database): Promise<string | null> {
  const received = process.env['DAUER_INSTRUMENT_KEY'];
  if (received) return received;
  const [row] = await db.select().from(secret).where(eq(secret.name, NAME));
  return row?.value ?? null;
}

function same(received: string, key: string): boolean {
  const [a, b] = [Buffer.from(received), Buffer.from(key)];
  return a.length === b.length && timingSafeEqual(a, b);
}

export const instrumentHandlers: Pick<Handlers, InstrumentNames> = {
  instrumentSays: async ({ db, body, request }) => {
    const received = /^Bearer (.{16,200})$/.exec(request.headers.authorization ?? '')?.[1];
    const key = await keyOf(db);
    if (!received || !key || !same(received, key))
      throw new HttpProblem('instrument_key', 'This instrument is not known here. A lead gives it the key of the bench under Gauges.');
    const now = Date.now();
    if (body.event === 'live' && now - (lastHeard.get(body.instrument) ?? 0) < MIN_APART_MS) return { heard: false };
    if (lastHeard.size > 500) lastHeard.clear();
    lastHeard.set(body.instrument, now);
    // The next press must not overtake this one: it would be taken at another position.
    await tellInOrder(db, { jobId: null, page: '', instrument: body });
    return { heard: true };
  },
  claimInstrument: async ({ db, params, request }) => {
    tell(db, { jobId: null, page: pageOf(request), claims: params.tag });
    return {};
  },
  instrumentKey: async ({ db, body }) => {
    const known = await keyOf(db);
    if (known && !body.anew) return { key: known };
    if (process.env['DAUER_INSTRUMENT_KEY'])
      throw new HttpProblem('key_given', 'The key of the bench is given when the server is started; it is changed there.');
    const key = randomBytes(24).toString('base64url');
    await db
      .insert(secret)
      .values({ name: NAME, value: key })
      .onConflictDoUpdate({ target: secret.name, set: { value: key } });
    return { key };
  },
};
