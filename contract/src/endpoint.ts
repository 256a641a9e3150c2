import { z } from 'zod';
import type { Access, Feature } from './access.ts';

/** One line of the table of endpoints: everything server and web have to agree upon. */
export interface Endpoint<
  P extends z.ZodType = z.ZodType,
  Q extends z.ZodType = z.ZodType,
  B extends z.ZodType = z.ZodType,
  R extends z.ZodType = z.ZodType,
> {
  readonly feature: Feature;
  readonly method: 'GET' | 'POST' | 'PATCH';
  /** With :params, as Fastify and the client read it. */
  readonly path: `/api/${string}`;
  /** Least role, or public. */
  readonly role: Access;
  readonly summary: string;
  readonly params: P;
  readonly query: Q;
  readonly body: B;
  readonly reply: R;
  /** Largest body, bytes; LARGEST_BODY where none is named, and less from somebody who is not signed in. */
  readonly largest?: number;
  /** The body is read as it comes (one JSON document a line), and never held as a whole. */
  readonly streamed?: true;
  /** A reply that is large and made of rows which the database types is written as it is; tests hold it to its schema. */
  readonly asItIs?: true;
}

export const nothing = z.object({});
/** Body of calls that carry none. */
export const noBody = z.undefined();

/** What most endpoints take none of: spread it first, then name what there is. */
export const none = { params: nothing, query: nothing, body: noBody };

/** Keeps the schemas' own types while checking the line as a whole. */
export function endpoint<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  line: Endpoint<P, Q, B, R>,
): Endpoint<P, Q, B, R> {
  return line;
}
