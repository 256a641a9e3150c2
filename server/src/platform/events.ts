import type { EventFamily, Recorded } from '@dauer/contract';
import { eq } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Database } from '../db/connect.ts';
import * as s from '../db/schema.ts';
import { Fault, sqlState } from './problem.ts';

/** The table of each family of events. */
export const EVENT_TABLES = {
  sets: s.readingSet,
  readings: s.reading,
  takeBacks: s.takeBack,
  findings: s.finding,
  observations: s.observation,
  decisions: s.decision,
  operations: s.operation,
  operationEvents: s.operationEvent,
  torques: s.torque,
  bleedPulls: s.bleedPull,
  fluidServices: s.fluidService,
  proofs: s.proof,
  acceptances: s.acceptance,
  cautionAcks: s.cautionAck,
  partEvents: s.partEvent,
  counters: s.counter,
  setMoves: s.setMove,
  putIns: s.putIn,
  takenOuts: s.takenOut,
  jointEvents: s.jointEvent,
  partCorrections: s.partCorrection,
  voids: s.jobVoid,
  afterCares: s.afterCare,
  amendments: s.amendment,
  redactions: s.redaction,
  pictures: s.picture,
  intakeLooks: s.intakeLook,
  cameWith: s.cameWith,
  earlierWork: s.earlierWork,
  leftItems: s.leftItem,
  causeLooks: s.causeLook,
} as const satisfies Record<EventFamily, unknown>;

/** SQLSTATE raised by the database for an event on a job that has been handed back. */
const RELEASED = 'DA001';
export const RELEASED_WORDS = 'This job has been handed back. Book the vehicle in again; a new job names the old one.';

export interface Stored<R> {
  readonly status: 'stored' | 'already_stored';
  readonly record: R;
}

/** Fields that the server adds or sets right: a repeat may differ in them. */
const SERVER_FIELDS = new Set(['recordedAt', 'happenedAt']);

function sameContent(sent: object, kept: object): boolean {
  const known = new Map<string, unknown>(Object.entries(kept));
  return Object.entries(sent).every(([key, value]) => SERVER_FIELDS.has(key) || isDeepStrictEqual(value ?? null, known.get(key) ?? null));
}

/**
 * Adds one event. Safe to repeat: the same id with the same content is answered as it was the first
 * time, also after release; the same id with other content is refused.
 */
export async function addEvent<F extends EventFamily>(
  db: Database,
  family: F,
  row: Omit<Recorded<F>, 'recordedAt'>,
): Promise<Stored<Recorded<F>>> {
  const table = EVENT_TABLES[family as 'takeBacks'];
  const values = row as Omit<Recorded<'takeBacks'>, 'recordedAt'>;
  let record: unknown;
  try {
    [record] = await db.insert(table).values(values).onConflictDoNothing({ target: table.id }).returning();
  } catch (error) {
    if (sqlState(error) !== RELEASED) throw error;
    const known = await findEvent(db, family, values.id);
    if (!known) throw new Fault(409, 'released', RELEASED_WORDS);
    return repeat(known, values);
  }
  if (record) return { status: 'stored', record: record as Recorded<F> };
  const winner = await findEvent(db, family, values.id);
  if (!winner) throw new Fault(503, 'book_away', 'The book did not answer. What you entered is kept on this device and sent again.');
  return repeat(winner, values);
}

async function findEvent<F extends EventFamily>(db: Database, family: F, id: string): Promise<Recorded<F> | null> {
  const table = EVENT_TABLES[family as 'takeBacks'];
  const [row] = await db.select().from(table).where(eq(table.id, id));
  return row ? (row as Recorded<F>) : null;
}

function repeat<R extends object>(known: R, sent: object): Stored<R> {
  if (!sameContent(sent, known)) {
    throw new Fault(409, 'id_reused', 'Something else is already on record under this id. What is on record stays as it is.', {
      current: known,
    });
  }
  return { status: 'already_stored', record: known };
}
