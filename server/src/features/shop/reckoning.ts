import { houseRule } from '@dauer/core/catalogue';
import { minorDigits } from '@dauer/core/quantity';
import { eq, isNotNull } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { articleVersion, houseRuleVersion, job, ratesVersion, shop } from '../../db/schema.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readHouseRules, readRates } from '../../records/prices.ts';

/**
 * Throws a HttpProblem where the shop has sums on record that another currency would make other sums. What was counted while
 * none was set has two decimals.
 */
export async function requireNoSums(db: Database, currency: string | null): Promise<void> {
  const [own] = await db.select({ currency: shop.currency }).from(shop);
  if (own?.currency === currency) return;
  if (own?.currency == null && minorDigits(currency) === 2) return;
  const found = await Promise.all([
    db.select({ id: job.id }).from(job).where(isNotNull(job.authorisedMinor)).limit(1),
    db.select({ id: articleVersion.id }).from(articleVersion).where(isNotNull(articleVersion.price)).limit(1),
    db.select({ id: ratesVersion.id }).from(ratesVersion).limit(1),
  ]);
  if (found.flat().length > 0)
    throw new HttpProblem(
      'currency_set',
      `Sums are on record in ${own?.currency ?? 'whole units and hundredths'}. In another currency they would be other sums: it is set once.`,
    );
}

export const reckoningHandlers: Pick<Handlers, 'reckoning' | 'enterRates' | 'enterHouseRule'> = {
  reckoning: async ({ db }) => ({ rates: await readRates(db), houseRules: await readHouseRules(db) }),
  enterRates: async ({ db, body, person }) => {
    const [own] = await db.select({ currency: shop.currency }).from(shop);
    await db
      .insert(ratesVersion)
      .values({ ...body, currency: own?.currency ?? null, enteredBy: person.id })
      .onConflictDoNothing();
    const [row] = await db.select().from(ratesVersion).where(eq(ratesVersion.id, body.id));
    return keptAs(row, body, 'version');
  },
  enterHouseRule: async ({ db, body, person }) => {
    const rule = houseRule(body.rule);
    if (!rule?.schools.some((s) => s.id === body.school))
      throw new HttpProblem('unknown_reference', 'There is no such rule, or no such school of it.');
    await db
      .insert(houseRuleVersion)
      .values({ ...body, enteredBy: person.id })
      .onConflictDoNothing();
    const [row] = await db.select().from(houseRuleVersion).where(eq(houseRuleVersion.id, body.id));
    return keptAs(row, body, 'version');
  },
};
