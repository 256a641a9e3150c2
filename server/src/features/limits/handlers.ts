import { characteristic, checkLimit, limitKey } from '@dauer/core';
import { isDeepStrictEqual } from 'node:util';
import { and, eq, ne, sql } from 'drizzle-orm';
import { account, limit, limitCheck, shop } from '../../db/schema.ts';
import { Fault, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readLimit, readLimits } from '../../records/limits.ts';

export const limitsHandlers: Pick<Handlers, 'limits' | 'enterLimit' | 'importLimits' | 'checkLimit'> = {
  limits: async ({ db, query }) => readLimits(db, query.vehicleId),
  enterLimit: async ({ db, body, person }) => {
    if (!characteristic(body.characteristic)) throw new Fault(422, 'unknown_characteristic', 'This characteristic is not known.');
    checkLimit(body);
    await db
      .insert(limit)
      .values({ ...body, enteredBy: person.id })
      .onConflictDoNothing();
    const kept = await readLimit(db, body.id);
    if (!kept) throw notFound('limit');
    const sent: Record<string, unknown> = { ...body };
    const same = Object.entries(kept).every(([key, value]) => !(key in sent) || isDeepStrictEqual(value, sent[key]));
    if (!same) throw new Fault(409, 'id_reused', 'Another limit is already on record under this id.', { current: kept });
    return kept;
  },
  /** Judged again against the book as it stands now: what conflicts by then is refused, and nothing of the list is written. */
  importLimits: async ({ db, body, person }) =>
    db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(4712)`);
      const book = new Map((await readLimits(tx)).map((l) => [limitKey(l), l]));
      const seen = new Set<string>();
      body.limits.forEach((l, i) => {
        const key = limitKey(l);
        if (!characteristic(l.characteristic))
          throw new Fault(422, 'unknown_characteristic', `Row ${i + 1}: this characteristic is not known.`);
        checkLimit(l);
        if ((book.has(key) && book.get(key)?.id !== l.id) || seen.has(key))
          throw new Fault(
            409,
            'conflicts',
            `Row ${i + 1}: a limit for the same stands in the book by now. Nothing was taken in; look at the list again.`,
          );
        seen.add(key);
      });
      const written = await tx
        .insert(limit)
        .values(body.limits.map((l) => ({ ...l, enteredBy: person.id })))
        .onConflictDoNothing()
        .returning({ id: limit.id });
      return { written: written.length };
    }),
  checkLimit: async ({ db, params, person }) => {
    const found = await readLimit(db, params.id);
    if (!found) throw notFound('limit');
    if (found.enteredBy === person.id) {
      const others = await db
        .select({ id: account.id })
        .from(account)
        .where(and(ne(account.id, person.id), ne(account.role, 'reader'), eq(account.active, true)))
        .limit(1);
      if (others.length > 0) throw new Fault(403, 'own_limit', 'A limit is checked by a second person, not by the one who entered it.');
      // Alone in the shop, and on a later day: it shows as checked alone.
      const [own] = await db.select({ zone: shop.timeZone }).from(shop);
      const dayOf = (at: string | Date): string => new Intl.DateTimeFormat('sv-SE', { timeZone: own?.zone ?? 'UTC' }).format(new Date(at));
      if (dayOf(found.enteredAt) >= dayOf(new Date()))
        throw new Fault(409, 'same_day', 'Alone in the shop, a limit is checked on a later day than it was entered.');
    }
    await db.insert(limitCheck).values({ limitId: found.id, checkedBy: person.id }).onConflictDoNothing();
    return (await readLimit(db, params.id)) ?? found;
  },
};
