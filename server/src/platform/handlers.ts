import { EVENT_ENDPOINT, type EventEndpointName, type EventFamily, type EVENTS, type Recorded } from '@dauer/contract';
import { type DeriveFacts, EVENT_LISTS, familyOf, inFormOfToday, recordFrom } from '@dauer/core/ledger';
import { sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Database } from '../db/connect.ts';
import { gauge, job, sets } from '../db/schema.ts';
import { addEvent, type Stored } from './events.ts';
import { corrected } from './clock.ts';
import { notFound } from './problem.ts';
import type { Call, Handlers } from './routes.ts';

type Output<F extends EventFamily> = z.output<(typeof EVENTS)[F]['sent']>;
type EventCall = Pick<Call<never>, 'db' | 'person' | 'request'> & { readonly params: { readonly jobId: string } };

/** What the records of a family are worked out with: one question, whatever an event names. */
async function factsFor(db: Database, jobId: string, sent: Readonly<Record<string, unknown>>): Promise<DeriveFacts> {
  const named = (field: string): string | null => (typeof sent[field] === 'string' ? sent[field] : null);
  const { rows } = await db.execute<{ vehicle: string | null } & Pick<DeriveFacts, 'measurement'> & { kind: DeriveFacts['gaugeKind'] }>(sql`
    select (select ${job.vehicleId} from ${job} where ${job.id} = ${jobId}) as vehicle,
      (select ${sets.measurement} from ${sets} where ${sets.id} = ${named('setId')}) as measurement,
      (select ${gauge.kind} from ${gauge} where ${gauge.id} = ${named('gaugeVersionId')}) as kind`);
  const [found] = rows;
  if (!found?.vehicle) throw notFound('job');
  return { vehicleId: found.vehicle, measurement: found.measurement, gaugeKind: found.kind };
}

const NOTHING_NEEDED: DeriveFacts = { vehicleId: '', measurement: null, gaugeKind: null };

/** What a sent event becomes before it is kept: of its job and author, at the instant in one form, with what is worked out of it. */
export async function recordOfSent<F extends EventFamily>(
  family: F,
  call: EventCall & { readonly body: Output<F> },
): Promise<Omit<Recorded<F>, 'recordedAt'>> {
  const { db, body, params, person, request } = call;
  const sent = inFormOfToday(family, { ...body });
  const facts = familyOf(family).derive === undefined ? NOTHING_NEEDED : await factsFor(db, params.jobId, sent);
  const base = { jobId: params.jobId, authorId: person.id, happenedAt: corrected(request, body.happenedAt) };
  return recordFrom(family, { ...sent, ...base }, facts) as Omit<Recorded<F>, 'recordedAt'>;
}

/** Handler of an event family: what was sent is looked at, made a record of, and kept. `look` throws a HttpProblem where it cannot be. */
export function eventHandler<F extends EventFamily>(
  family: F,
  look: (body: Output<F>, call: EventCall) => void | Promise<void> = () => undefined,
): (call: EventCall & { readonly body: Output<F> }) => Promise<Stored<Recorded<F>>> {
  return async (call) => {
    await look(call.body, call);
    return addEvent(call.db, family, await recordOfSent(family, call));
  };
}

type Look<F extends EventFamily> = NonNullable<Parameters<typeof eventHandler<F>>[1]>;

/** A family of which one thing is taken at a time of each job: what two tablets send at once is looked at one after the other. */
export function oneAtATime<F extends EventFamily>(family: F, look: Look<F>): ReturnType<typeof eventHandler<F>> {
  const take = eventHandler(family, look);
  return (call) =>
    call.db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${call.params.jobId}, 2))`);
      return take({ ...call, db: tx as Database });
    });
}

/** What takes a family of which nothing has to be looked at but what every event is held to. */
export function keepAll(): Pick<Handlers, EventEndpointName> {
  const all: Partial<Record<EventEndpointName, unknown>> = {};
  for (const family of EVENT_LISTS) all[EVENT_ENDPOINT[family]] = eventHandler(family);
  return all as Pick<Handlers, EventEndpointName>;
}
