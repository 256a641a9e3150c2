import type { ENDPOINTS, Recorded } from '@dauer/contract';
import { eq } from 'drizzle-orm';
import { redactions } from '../../db/schema.ts';
import { type Stored } from '../../platform/events.ts';
import { recordOfSent } from '../../platform/handlers.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Call } from '../../platform/routes.ts';
import { strike } from '../../records/strike.ts';

/**
 * Blacks a text out for good: the original goes, from the record and from what was made of it in sheets that were written
 * already; an event says who did it, when and why.
 * Source: handbook 15, People, time, distance, privacy.
 */
export async function redact(call: Call<typeof ENDPOINTS.redact>): Promise<Stored<Recorded<'redactions'>>> {
  const { db, body, params } = call;
  return db.transaction(async (tx) => {
    const [known] = await tx.select().from(redactions).where(eq(redactions.id, body.id));
    if (known) return { status: 'already_stored', record: keptAs(known, { ...body, jobId: params.jobId }, 'black-out') };
    const found = await strike(tx, { jobId: params.jobId, corrects: body.corrects, field: body.field, line: body.line });
    if (!found) throw new HttpProblem('unknown_reference', 'There is no such text in this job.');
    if (found.text === '') throw new HttpProblem('nothing_there', 'There is nothing left to black out.');
    const [record] = await tx
      .insert(redactions)
      .values(await recordOfSent('redactions', call))
      .returning();
    if (!record) throw new HttpProblem('book_away', 'The book did not answer. Nothing was blacked out; try again.');
    return { status: 'stored', record };
  });
}
