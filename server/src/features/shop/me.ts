import { USUAL_LOCALE } from '@dauer/core/quantity';
import type { FastifyRequest } from 'fastify';
import type { Database } from '../../db/connect.ts';
import { shop } from '../../db/schema.ts';
import { sessionEnds } from '../../platform/session.ts';
import type { AccountRow } from './accounts.ts';

/** A person as others see them. */
export const personOf = ({ id, name, initials, role, active }: AccountRow) => ({ id, name, initials, role, active });

/** What a signed-in page has to know of who it works for. */
export async function meOf(db: Database, row: AccountRow, request: FastifyRequest) {
  const [own] = await db.select().from(shop);
  return {
    person: personOf(row),
    hasPin: row.pinHash !== null,
    until: await sessionEnds(db, request),
    shop: {
      name: own?.name ?? 'Workshop',
      timeZone: own?.timeZone ?? 'UTC',
      currency: own?.currency ?? null,
      locale: own?.locale ?? USUAL_LOCALE,
    },
  };
}
