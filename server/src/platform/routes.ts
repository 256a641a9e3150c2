import {
  type Endpoint,
  ENDPOINTS,
  type EndpointName,
  LARGEST_BODY,
  LARGEST_PUBLIC_BODY,
  mayCall,
  PERSON_HEADER,
  TAKEN_BY_HEADER,
} from '@dauer/contract';
import type { EventList, Person } from '@dauer/core/ledger';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import type { z } from 'zod';
import type { Database } from '../db/connect.ts';
import { pageOf } from './live.ts';
import { HttpProblem } from './problem.ts';
import { takenBy } from '../records/handedIn.ts';
import { writeAsTheShop } from '../records/locale.ts';
import { requireSamePerson, whoAsks } from './session.ts';
import { tell } from './tell.ts';

export interface Call<E extends Endpoint> {
  readonly params: z.output<E['params']>;
  readonly query: z.output<E['query']>;
  readonly body: z.output<E['body']>;
  readonly db: Database;
  /** Present wherever the endpoint is not public. */
  readonly person: Person;
  readonly request: FastifyRequest;
}

/** What the core hands out is read-only all the way down; a reply may be. */
export type DeepReadonly<T> = T extends readonly (infer I)[]
  ? readonly DeepReadonly<I>[]
  : T extends object
    ? { readonly [K in keyof T]: DeepReadonly<T[K]> }
    : T;
type Handler<E extends Endpoint> = (call: Call<E>) => Promise<DeepReadonly<z.input<E['reply']>>>;
export type Handlers = { readonly [K in EndpointName]: Handler<(typeof ENDPOINTS)[K]> };

const NOBODY: Person = { id: '', name: '', initials: '', role: 'reader', active: false };

/** Throws where a handler is of no endpoint: what it looks at would be looked at by nobody. */
export function requireEndpoints(names: readonly string[]): void {
  const unknown = names.filter((name) => !(name in ENDPOINTS));
  if (unknown.length > 0) throw new Error(`no endpoint takes the handlers ${unknown.join(', ')}`);
}

/**
 * Registers every line of the contract's table with its handler. Closed by default: a line without a
 * role does not start, nor does a handler without a line, and a request is let in only where the role of its sender, looked up now, allows it.
 */
export function registerRoutes(app: FastifyInstance, db: Database, handlers: Handlers): void {
  requireEndpoints(Object.keys(handlers));
  for (const name of Object.keys(ENDPOINTS) as EndpointName[])
    register(app, db, name, ENDPOINTS[name], handlers[name] as Handler<Endpoint>);
}

/** Whoever asks; or who took what a lead hands in for them. */
async function inWhoseName(db: Database, line: Endpoint, request: FastifyRequest): Promise<Person> {
  const sender = request.person ?? NOBODY;
  const id = request.headers[TAKEN_BY_HEADER];
  if (typeof id !== 'string') return sender;
  const family = 'family' in line ? (line.family as EventList) : undefined;
  const [{ jobId }, { id: eventId }] = [request.params as { jobId: string }, (request.body ?? {}) as { id: string }];
  return takenBy(db, { family, jobId, eventId, sender, takenBy: id });
}

function register(app: FastifyInstance, db: Database, name: string, line: Endpoint, handler: Handler<Endpoint>): void {
  if (!line.role) throw new Error(`endpoint ${name} names no role`);
  app.route({
    method: line.method,
    url: line.path,
    bodyLimit: line.largest ?? (line.role === 'public' ? LARGEST_PUBLIC_BODY : LARGEST_BODY),
    schema: {
      summary: line.summary,
      tags: [line.feature],
      params: line.params,
      querystring: line.query,
      ...(line.method === 'GET' || line.streamed || line.body.safeParse(undefined).success ? {} : { body: line.body }),
      response: { 200: line.reply },
    },
    // Before the body is read: who may not send it does not keep the server busy with it.
    onRequest: async (request) => {
      request.person = await whoAsks(db, request);
      if (line.role !== 'public' && !request.person)
        throw new HttpProblem('signed_out', 'You are not signed in, or your session has ended. Sign in again; nothing typed is lost.');
      if (line.role !== 'public') requireSamePerson(request.person, request.headers[PERSON_HEADER]);
      if (!mayCall(line.role, request.person?.role ?? null)) {
        throw new HttpProblem('role', `This takes the role of ${line.role}; you are signed in as ${request.person?.role ?? 'nobody'}.`);
      }
    },
    // Whoever looks at this job elsewhere is told, after the answer has gone out.
    onResponse: async (request, reply) => {
      if (line.method === 'GET' || reply.statusCode !== 200 || line.role === 'public') return;
      const { jobId } = request.params as { jobId?: string };
      tell(db, { jobId: jobId ?? null, page: pageOf(request) });
    },
    ...(line.asItIs && { serializerCompiler: () => (whole: unknown) => JSON.stringify(whole) }),
    handler: async (request) => {
      await writeAsTheShop(db);
      const person = await inWhoseName(db, line, request);
      return handler({ params: request.params, query: request.query, body: request.body, db, person, request });
    },
  });
}
