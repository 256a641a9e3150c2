import { type EventList, familyOf, type Person } from '@dauer/core/ledger';
import { and, eq, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { account, handIns } from '../db/schema.ts';
import { HttpProblem } from '../platform/problem.ts';
import { ANY_EVENT } from './ownership.ts';

interface Sent {
  /** Family of the event; undefined where something else is asked for. */
  readonly family: EventList | undefined;
  readonly jobId: string;
  readonly eventId: string;
  readonly sender: Person;
  /** Who took it, by id, as the sender says. */
  readonly takenBy: string;
}

/**
 * Under whose name an event goes into the book that somebody else took and a lead sends.
 * @throws HttpProblem 403 where the sender is no lead, has not said before to hand it in, or it is an act of its moment
 */
export async function takenBy(db: Database, { family, jobId, eventId, sender, takenBy: id }: Sent): Promise<Person> {
  if (id === sender.id) return sender;
  const queued = family !== undefined && familyOf(family).sending === 'queued';
  const [said] =
    queued && sender.role === 'lead'
      ? await db
          .select({ id: account.id, name: account.name, initials: account.initials, role: account.role, active: account.active })
          .from(handIns)
          .innerJoin(account, eq(sql`${account.id}::text`, id))
          .where(and(eq(handIns.eventId, eventId), eq(handIns.jobId, jobId), eq(handIns.authorId, sender.id)))
          .limit(1)
      : [];
  if (said) return said;
  throw new HttpProblem(
    'not_handed_in',
    'This was taken by somebody else. Only a lead hands in what another person left on a device, and says so first.',
  );
}

/**
 * @throws HttpProblem 409 where an event that is to be handed in is on record already, and nobody handed it in: who entered it
 * stands beside it as it is
 */
export async function requireNotOnRecord(db: Database, { id, eventId }: { readonly id: string; readonly eventId: string }): Promise<void> {
  const { rows } = await db.execute(sql`select 1 from (${ANY_EVENT}) e where e.id = ${eventId}
    and not exists (select 1 from ${handIns} where ${handIns.id} = ${id}) limit 1`);
  if (rows.length > 0) throw new HttpProblem('on_record', 'This is in the book already, under the name of who sent it.');
}
