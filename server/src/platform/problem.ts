import { type Problem, type ProblemCode, PROBLEMS } from '@dauer/contract';
import { DomainError } from '@dauer/core/quantity';
import type { FastifyError, FastifyInstance } from 'fastify';
import { hasZodFastifySchemaValidationErrors } from 'fastify-type-provider-zod';
import { diskIsFull } from './disk.ts';

type More = Partial<Pick<Problem, 'fields' | 'current' | 'blocks'>>;

/** An error with a code and a sentence for the technician; it leaves the server as problem+json. */
export class HttpProblem extends Error {
  readonly code: ProblemCode;
  readonly more: More;
  constructor(code: ProblemCode, message: string, more: More = {}) {
    super(message);
    this.code = code;
    this.more = more;
  }
}

export const notFound = (what: string): HttpProblem => new HttpProblem('not_found', `There is no such ${what}.`);

const TITLES: Readonly<Record<number, string>> = {
  400: 'Not understood',
  401: 'Not signed in',
  403: 'Not allowed',
  404: 'Not found',
  405: 'Not allowed here',
  409: 'Does not fit what is on record',
  413: 'Too large',
  415: 'Wrong kind of content',
  422: 'Cannot be used',
  429: 'Too many tries',
  500: 'Something broke',
  503: 'Not available',
  507: 'No room left',
};

function problemOf(code: ProblemCode, detail: string, more: More = {}): Problem {
  return withStatus(PROBLEMS[code].status, code, detail, more);
}

function withStatus(status: number, code: string, detail: string, more: More = {}): Problem {
  return { type: `urn:dauer:${code}`, title: TITLES[status] ?? 'Refused', status, code, detail, ...more };
}

/** SQLSTATE of a database error, wherever in the chain of causes it sits. */
export function sqlState(error: unknown): string | null {
  for (let at: unknown = error; at instanceof Error; at = at.cause) {
    const code = 'code' in at ? at.code : undefined;
    if (typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code)) return code;
  }
  return null;
}

/** What drivers say of a connection that is lost or not to be had: over the network, and over a socket whose file is gone. */
const CONNECTION_LOST =
  /ECONNREFUSED|ECONNRESET|EPIPE|connect ENOENT|connect EACCES|terminat|timeout exceeded|Connection ended|not queryable|shutting down|not currently accepting/i;

const sizeWords = (bytes: number): string => (bytes >= 2 ** 20 ? `${Math.round(bytes / 2 ** 20)} MB` : `${Math.round(bytes / 1024)} kB`);

function messages(error: unknown): string {
  const all: string[] = [];
  for (let at: unknown = error; at instanceof Error; at = at.cause) all.push(at.message, 'code' in at ? String(at.code) : '');
  return all.join(' ');
}

const NO_ROOM = 'The disk of the server is full. What you entered is kept on this device and sent again once there is room.';
/** Classes of SQLSTATE that pass by themselves: no room, no connection to spare, shutting down, connection lost. */
const PASSING = ['53', '57', '08'];

/** Turns any error into a problem. SQL and values never leave the server. */
function toProblem(error: unknown, largest: number): Problem {
  if (error instanceof HttpProblem) return problemOf(error.code, error.message, error.more);
  if (error instanceof DomainError) return withStatus(422, error.code, error.message);
  if (hasZodFastifySchemaValidationErrors(error)) {
    const fields = error.validation.map((v) => ({
      path: v.instancePath.replace(/^\//, '').replace(/\//g, '.'),
      message: v.message ?? 'not understood',
    }));
    const first = fields[0];
    return problemOf('invalid', first?.path ? `“${first.path}” cannot be used: ${first.message}.` : 'The request cannot be used.', {
      fields,
    });
  }
  const state = sqlState(error);
  if (state === 'DA002') return toProblem(notFound('job'), largest);
  if (state === 'DA003') return problemOf('not_released', 'This belongs to a job that has been handed back; this one has not.');
  if (state === '23505') return problemOf('already_used', 'This number or name is already in use. Choose another one.');
  if (state === '23503') return problemOf('unknown_reference', 'This refers to something that is not on record. Load the page again.');
  if (state === '22P05' || state === '22021') return problemOf('invalid', 'The text holds characters that cannot be kept.');
  if (state?.startsWith('22')) return problemOf('invalid', 'A figure or date in this is beyond what can be kept.');
  if (state === '53100' || /\bENOSPC\b/.test(messages(error))) return problemOf('disk_full', NO_ROOM);
  if ((state !== null && PASSING.includes(state.slice(0, 2))) || CONNECTION_LOST.test(messages(error))) {
    if (diskIsFull()) return problemOf('disk_full', NO_ROOM);
    return problemOf('book_away', 'The book cannot be reached just now. What you entered is kept on this device and sent again.');
  }
  const fastify = error as Partial<FastifyError>;
  const status = typeof fastify.statusCode === 'number' ? fastify.statusCode : 500;
  if (status === 413) return problemOf('too_large', `This is too large to be taken in. The largest is ${sizeWords(largest)}.`);
  if (status === 415) return problemOf('wrong_content', 'This kind of content is not taken here.');
  if (status >= 400 && status < 500) return withStatus(status, 'invalid', 'The request cannot be read.');
  return problemOf('broken', 'Something broke on the server. Nothing you entered was changed; try again.');
}

/** Code and sentence of an error that is about what was sent; null where something broke, or passes by itself. */
export function refusalOf(error: unknown): { readonly code: string; readonly why: string } | null {
  const { status, code, detail } = toProblem(error, 0);
  return status < 500 ? { code, why: detail } : null;
}

export function installProblems(app: FastifyInstance): void {
  app.setErrorHandler(async (error, request, reply) => {
    const problem = toProblem(error, request.routeOptions.bodyLimit);
    if (problem.status >= 500) {
      request.log.error({ err: error, req: request, problem: problem.code }, 'failed');
      problem.detail += ` In the log of the server this is ${request.id}.`;
      problem.request = request.id;
    }
    return reply.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  });
}
