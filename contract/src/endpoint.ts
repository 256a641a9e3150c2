import { z } from 'zod';

export type Access = 'public' | 'reader' | 'technician' | 'lead';
export type Feature =
  'yard' | 'bookin' | 'trace' | 'gauge' | 'decide' | 'rebuild' | 'bleed' | 'prove' | 'parts' | 'limits' | 'rack' | 'shop';

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

/** Most rows of a list that are given at once; what follows is asked for by the id of the last. */
export const PAGE_SIZE = 500;

/** Largest body of an endpoint that names none, bytes; and of one that is open to anybody. */
export const LARGEST_BODY = 256 * 1024;
export const LARGEST_PUBLIC_BODY = 16 * 1024;

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

/** What a technician may do, a lead may; what a reader may, both may. */
export const ROLE_RANK = { reader: 1, technician: 2, lead: 3 } as const;

/** Whether somebody of this role may call an endpoint. */
export function mayCall(access: Access, role: keyof typeof ROLE_RANK | null): boolean {
  return access === 'public' || (role !== null && ROLE_RANK[role] >= ROLE_RANK[access]);
}
