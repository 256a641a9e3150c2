import { and, eq, lt, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { attempt } from '../db/schema.ts';
import type { AttemptKind } from '../db/schema/entities.ts';
import { HttpProblem } from './problem.ts';
import { millisecondsInDay, millisecondsInMinute } from 'date-fns/constants';

const WINDOW_MINUTES = 15;

/** How many attempts of a kind are tried in a quarter of an hour. By name they are slowed down instead, see below. */
const MOST: Readonly<Record<Exclude<AttemptKind, 'name'>, number>> = {
  known_device: 10,
  address: 40,
  again: 8,
  pin: 5,
  tablet: 30,
  calendar: 20,
};

/** By name this many are tried at once; after that each waits, twice as long as the one before, up to a minute. */
const UNDELAYED = 4;
const LONGEST_DELAY_S = 60;

/** How long the next attempt by a name waits, s. */
export const delayAfter = (tries: number): number => (tries < UNDELAYED ? 0 : Math.min(LONGEST_DELAY_S, 2 ** (tries - UNDELAYED + 1)));

const TOO_MANY: Readonly<Record<Exclude<AttemptKind, 'name'>, string>> = {
  known_device: 'Too many wrong passwords on this device. Wait a quarter of an hour and try again.',
  address: 'Too many wrong passwords from this device. Wait a quarter of an hour and try again.',
  again: 'Too many wrong passwords. Wait a quarter of an hour, or sign in anew.',
  pin: 'Too many wrong PINs. Wait a quarter of an hour, or sign in with the password.',
  calendar: 'Too many calendar addresses that do not exist. Wait a quarter of an hour.',
  tablet: 'Too many wrong PINs on this tablet. Wait a quarter of an hour, or sign in with the password.',
};

/**
 * Counts an attempt before it is tried: one statement on one row, so that however many come at once, on however many
 * processes, each is counted before the next.
 * @throws HttpProblem 429 where there were as many as are tried already
 */
export async function countAttempt(db: Database, kind: Exclude<AttemptKind, 'name'>, subject: string): Promise<void> {
  const now = Date.now();
  const since = new Date(now).toISOString();
  const opened = new Date(now - WINDOW_MINUTES * millisecondsInMinute).toISOString();
  const [row] = await db
    .insert(attempt)
    .values({ kind, subject, tries: 1, since })
    .onConflictDoUpdate({
      target: [attempt.kind, attempt.subject],
      set: {
        tries: sql`case when ${attempt.since} < ${opened} then 1 else ${attempt.tries} + 1 end`,
        since: sql`case when ${attempt.since} < ${opened} then ${since}::timestamptz else ${attempt.since} end`,
      },
    })
    .returning({ tries: attempt.tries });
  if ((row?.tries ?? 1) > MOST[kind]) throw new HttpProblem('too_many_tries', TOO_MANY[kind]);
}

/**
 * Counts an attempt by a name, from a device that does not know it yet: never a lock, only delays that grow, so that
 * nobody locks somebody else out.
 * @throws HttpProblem 429 where the delay has not passed
 */
export async function countByName(db: Database, name: string): Promise<void> {
  const now = Date.now();
  const at = new Date(now).toISOString();
  const opened = new Date(now - 4 * WINDOW_MINUTES * millisecondsInMinute).toISOString();
  const fresh = sql`${attempt.since} < ${opened}`;
  const delay = sql`least(${LONGEST_DELAY_S}, case when ${fresh} or ${attempt.tries} + 1 < ${UNDELAYED} then 0 else power(2, least(${attempt.tries} + 1 - ${UNDELAYED} + 1, 10)) end)`;
  const rows = await db
    .insert(attempt)
    .values({ kind: 'name', subject: name, tries: 1, since: at })
    .onConflictDoUpdate({
      target: [attempt.kind, attempt.subject],
      set: {
        tries: sql`case when ${fresh} then 1 else ${attempt.tries} + 1 end`,
        since: sql`case when ${fresh} then ${at}::timestamptz else ${attempt.since} end`,
        notBefore: sql`${at}::timestamptz + make_interval(secs => ${delay})`,
      },
      setWhere: sql`${attempt.notBefore} is null or ${attempt.notBefore} <= ${at}`,
    })
    .returning({ tries: attempt.tries });
  if (rows.length > 0) return;
  const [row] = await db
    .select({ notBefore: attempt.notBefore })
    .from(attempt)
    .where(and(eq(attempt.kind, 'name'), eq(attempt.subject, name)));
  const seconds = Math.max(1, Math.ceil((Date.parse(row?.notBefore ?? at) - now) / 1000));
  throw new HttpProblem(
    'too_many_tries',
    `Several wrong passwords were tried for this name. Wait ${seconds} ${seconds === 1 ? 'second' : 'seconds'} and try again; a device that signed in before need not wait.`,
  );
}

/** An attempt that fitted was none: it is not counted, and by name, PIN or session neither are those before it. */
export async function forgetAttempts(db: Database, kind: AttemptKind, subject: string): Promise<void> {
  const which = and(eq(attempt.kind, kind), eq(attempt.subject, subject));
  if (kind === 'address' || kind === 'tablet' || kind === 'calendar')
    await db
      .update(attempt)
      .set({ tries: sql`greatest(${attempt.tries} - 1, 0)` })
      .where(which);
  else await db.delete(attempt).where(which);
}

/** Counters of long ago say nothing any more. */
export async function dropOldAttempts(db: Database): Promise<void> {
  await db.delete(attempt).where(lt(attempt.since, new Date(Date.now() - millisecondsInDay).toISOString()));
}
