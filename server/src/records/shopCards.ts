import type { JobRecords } from '@dauer/core/ledger';
import { asc, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { shopCardVersion } from '../db/schema.ts';

/** Cards as the shop does them, every version, the oldest first. */
export async function readShopCards(db: Database): Promise<JobRecords['shopCards'][number][]> {
  return db.select().from(shopCardVersion).orderBy(asc(shopCardVersion.enteredAt), asc(shopCardVersion.id));
}

/** How many versions of a card a job is read with: what a device that was away for a while may still begin. */
const ON_FILE = 3;

/** The newest versions of each card, the oldest first. */
export async function readNewestShopCards(db: Database): Promise<JobRecords['shopCards'][number][]> {
  const place = sql<number>`row_number() over (partition by ${shopCardVersion.cardId} order by ${shopCardVersion.enteredAt} desc, ${shopCardVersion.id} desc)`;
  const ranked = db
    .select({ id: shopCardVersion.id, place: place.as('place') })
    .from(shopCardVersion)
    .as('ranked');
  return db
    .select()
    .from(shopCardVersion)
    .where(sql`${shopCardVersion.id} in (select ${ranked.id} from ${ranked} where ${ranked.place} <= ${ON_FILE})`)
    .orderBy(asc(shopCardVersion.enteredAt), asc(shopCardVersion.id));
}
