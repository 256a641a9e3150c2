import type { CardHand } from '@dauer/core/ledger';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { cardRuns, cardTells, takeBacks } from '../db/schema.ts';

/** Who told a step of which card as done, on any job but this one. */
export async function readCardHands(db: Database, jobId: string): Promise<CardHand[]> {
  const { rows } = await db.execute<{ card: string; person: string; since: string }>(sql`
    select r.card_id as card, t.author_id as person, min(t.happened_at) as since from ${cardTells} t join ${cardRuns} r on r.id = t.run_id
    where t.kind = 'done' and t.job_id <> ${jobId} and not exists (select 1 from ${takeBacks} b where b.corrects = t.id)
    group by r.card_id, t.author_id`);
  return rows.map(({ card, person, since }) => ({ cardId: card, personId: person, since: new Date(since).toISOString() }));
}
