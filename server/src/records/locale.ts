import { USUAL_LOCALE, setNumberLocale } from '@dauer/core/quantity';
import type { Database } from '../db/connect.ts';
import { shop } from '../db/schema.ts';

/** How long another process may go on writing numbers as the shop did before, ms. */
const FRESH_MS = 5000;
const read = new WeakMap<Database, { readonly locale: string; readonly at: number }>();

/** Numbers in what this process writes for people are written as the shop has them. */
export async function writeAsTheShop(db: Database): Promise<void> {
  const known = read.get(db);
  if (known && Date.now() - known.at < FRESH_MS) {
    setNumberLocale(known.locale);
    return;
  }
  const [own] = await db.select({ locale: shop.locale }).from(shop);
  const locale = own?.locale ?? USUAL_LOCALE;
  read.set(db, { locale, at: Date.now() });
  setNumberLocale(locale);
}

export function forgetLocale(db: Database): void {
  read.delete(db);
}
