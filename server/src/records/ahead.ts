import { dayIn } from '@dauer/core/quantity';
import { UNTIL_PAST } from '@dauer/core/wording';
import type { Database } from '../db/connect.ts';
import { shop } from '../db/schema.ts';
import { HttpProblem } from '../platform/problem.ts';

/** The day that it was in the shop at an instant. */
export async function shopDay(db: Database, at: string): Promise<string> {
  const [own] = await db.select({ zone: shop.timeZone }).from(shop);
  return dayIn(at, own?.zone ?? 'UTC');
}

/**
 * Refuses a day until which something is promised or left, where it lay behind when it was named.
 * @param day YYYY-MM-DD; none is none
 * @param at instant of the entry, ISO 8601
 * @throws HttpProblem until_past
 */
export async function requireAhead(db: Database, day: string | null | undefined, at: string): Promise<void> {
  if (day && day < (await shopDay(db, at))) throw new HttpProblem('until_past', UNTIL_PAST.day(day));
}
