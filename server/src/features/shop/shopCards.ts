import { CARDS, shopCardFault } from '@dauer/core/catalogue';
import { newestVersion } from '@dauer/core/ledger';
import { shopCardRefused } from '@dauer/core/wording';
import { eq, sql } from 'drizzle-orm';
import { shopCardVersion } from '../../db/schema.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readShopCards } from '../../records/shopCards.ts';

/** Two leads change the cards one after the other. */
const CARDS_LOCK = 4716;

export const shopCardHandlers: Pick<Handlers, 'shopCards' | 'enterShopCard'> = {
  shopCards: async ({ db }) => readShopCards(db),
  enterShopCard: async ({ db, body, person }) => {
    const { replaces, ...fields } = body;
    const work = CARDS.find((c) => c.id === body.cardId);
    const fault = shopCardFault(work, body);
    if (fault) {
      const words = [...(work?.steps ?? []), ...body.own].find((s) => s.id === fault.stepId)?.words ?? '';
      throw new HttpProblem('card_refused', shopCardRefused(fault, words));
    }
    await db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(${CARDS_LOCK})`);
      const newest = newestVersion((await readShopCards(tx)).filter((v) => v.cardId === body.cardId));
      if ((newest?.id ?? null) !== replaces && newest?.id !== body.id)
        throw new HttpProblem('stale', 'Somebody changed this card meanwhile. What you changed is kept here; look at both.', {
          current: newest,
        });
      await tx
        .insert(shopCardVersion)
        .values({ ...fields, enteredBy: person.id })
        .onConflictDoNothing();
    });
    const [row] = await db.select().from(shopCardVersion).where(eq(shopCardVersion.id, body.id));
    return keptAs(row, fields, 'version');
  },
};
