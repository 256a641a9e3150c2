import type { FastifyInstance, FastifyRequest } from 'fastify';
import { HttpProblem } from './problem.ts';

const HARMLESS = ['GET', 'HEAD', 'OPTIONS'];

/** Whether a request that changes something was sent by a page of this very shop, or by no page at all. */
function fromHere({ headers }: Pick<FastifyRequest, 'headers'>): boolean {
  const site = headers['sec-fetch-site'];
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return false;
  const { origin } = headers;
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === headers.host;
  } catch {
    return false;
  }
}

/** Refuses what another site makes a browser send, beside the cookie that such a site does not get (OWASP: CSRF, verify origin). */
export function checkOrigin(app: FastifyInstance): void {
  app.addHook('onRequest', async (request) => {
    if (!HARMLESS.includes(request.method) && !fromHere(request))
      throw new HttpProblem('other_site', 'This was sent by a page that is not of this shop. Nothing was changed.');
  });
}

/** A body this large that is refused is not read to its end: the connection is closed instead, bytes. */
const WORTH_READING = 64 * 1024;

/** Closes the connection of whoever is refused while a large body is still on its way. */
export function closeRefused(app: FastifyInstance): void {
  app.addHook('onSend', async (request, reply) => {
    if (reply.statusCode < 400 || HARMLESS.includes(request.method)) return;
    const { 'content-length': length, 'transfer-encoding': coding } = request.headers;
    if (coding !== undefined || Number(length ?? 0) > WORTH_READING) reply.header('connection', 'close');
  });
}
