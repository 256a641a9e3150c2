import { BLACKED } from '@dauer/core/ledger';
import { isDeepStrictEqual } from 'node:util';
import { HttpProblem, notFound } from './problem.ts';

/** Fields that the server adds or sets right: a repeat may differ in them. */
const SERVER_FIELDS = new Set(['recordedAt', 'happenedAt']);

const INSTANT = /^\d{4}-\d\d-\d\dT/;
/** Whether two values say the same; an instant may be written in several ways. */
function alike(a: unknown, b: unknown): boolean {
  const instants = typeof a === 'string' && typeof b === 'string' && INSTANT.test(a) && INSTANT.test(b);
  return instants ? Date.parse(a) === Date.parse(b) : isDeepStrictEqual(a, b);
}

/** Whether what was sent says the same as what is on record under its id; what was blacked out there says nothing. */
export function sameContent(sent: object, stored: object): boolean {
  const known = new Map<string, unknown>(Object.entries(stored));
  return Object.entries(sent).every(
    ([key, value]) => SERVER_FIELDS.has(key) || known.get(key) === BLACKED || alike(value ?? null, known.get(key) ?? null),
  );
}

export const idReused = (current: object): HttpProblem =>
  new HttpProblem('id_reused', 'Something else is already on record under this id. What is on record stays as it is.', { current });

/**
 * What is on record under an id after something was sent to be kept under it: a repeat is answered as the first time.
 * @throws HttpProblem 409 where it is something else; 404 where there is nothing
 */
export function keptAs<T extends object>(stored: T | undefined | null, sent: object, what: string): T {
  if (!stored) throw notFound(what);
  if (!sameContent(sent, stored)) throw idReused(stored);
  return stored;
}
