import { characteristic, checkLimit } from '@dauer/core';
import { isDeepStrictEqual } from 'node:util';
import { limit, limitCheck } from '../../db/schema.ts';
import { Fault, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readLimit, readLimits } from '../../records/limits.ts';

export const limitsHandlers: Pick<Handlers, 'limits' | 'enterLimit' | 'checkLimit'> = {
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
  checkLimit: async ({ db, params, person }) => {
    const found = await readLimit(db, params.id);
    if (!found) throw notFound('limit');
    if (found.enteredBy === person.id)
      throw new Fault(403, 'own_limit', 'A limit is checked by a second person, not by the one who entered it.');
    await db.insert(limitCheck).values({ limitId: found.id, checkedBy: person.id }).onConflictDoNothing();
    return (await readLimit(db, params.id)) ?? found;
  },
};
