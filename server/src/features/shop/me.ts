import { USUAL_LOCALE } from '@dauer/core/quantity';
import type { Database } from '../../db/connect.ts';
import { shop } from '../../db/schema.ts';
import type { AccountRow } from './accounts.ts';

/** A person as others see them. */
export const personOf = ({ id, name, initials, role, active }: AccountRow) => ({ id, name, initials, role, active });

/** What a signed-in page has to know of who it works for. */
export async function meOf(db: Database, row: AccountRow) {
  const [own] = await db.select().from(shop);
  return {
    person: personOf(row),
    hasPin: row.pinHash !== null,
    shop: {
      name: own?.name ?? 'Workshop',
      timeZone: own?.timeZone ?? 'UTC',
      currency: own?.currency ?? null,
      locale: own?.locale ?? USUAL_LOCALE,
    },
  };
}
