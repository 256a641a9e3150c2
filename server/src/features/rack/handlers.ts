import { eq } from 'drizzle-orm';
import { gauge } from '../../db/schema.ts';
import { notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readGauges } from '../../records/jobFile.ts';

export const rackHandlers: Pick<Handlers, 'gauges' | 'enterGauge'> = {
  gauges: async ({ db }) => {
    const newest = new Map((await readGauges(db)).map((g) => [g.gaugeId, g]));
    return [...newest.values()].sort((a, b) => a.tag.localeCompare(b.tag));
  },
  enterGauge: async ({ db, body, person }) => {
    await db
      .insert(gauge)
      .values({ ...body, enteredBy: person.id })
      .onConflictDoNothing();
    const [kept] = await db.select().from(gauge).where(eq(gauge.id, body.id));
    if (!kept) throw notFound('gauge');
    return kept;
  },
};
