import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { createServer } from 'node:https';
import type { FastifyInstance, FastifyServerFactory } from 'fastify';
import { HttpProblem } from './problem.ts';

export interface TlsOptions {
  readonly cert: string;
  readonly key: string;
}

/** How often the certificate is read again, ms: it is renewed beside the running server. */
const READ_AGAIN_MS = 3600000;

/** A server over TLS, with nothing older than TLS 1.2. */
export function overTls({ cert, key }: TlsOptions): FastifyServerFactory {
  return (handler) => {
    const server = createServer({ cert, key, minVersion: 'TLSv1.2' }, handler);
    // Fastify's types know the plain server only; both take the same requests.
    return server satisfies Pick<Server, 'listen' | 'close'> as Server;
  };
}

/** The certificate named by the environment; null where none is, and the server stays on loopback. */
export function tlsFromEnvironment(): { readonly options: TlsOptions; readonly follow: (server: object) => void } | null {
  const cert = process.env['DAUER_TLS_CERT'];
  const key = process.env['DAUER_TLS_KEY'];
  if (!cert || !key) return null;
  const read = (): TlsOptions => ({ cert: readFileSync(cert, 'utf8'), key: readFileSync(key, 'utf8') });
  let now = read();
  return {
    options: now,
    follow: (server) => {
      setInterval(() => {
        const next = read();
        if (next.cert === now.cert || !('setSecureContext' in server) || typeof server.setSecureContext !== 'function') return;
        now = next;
        server.setSecureContext(next);
      }, READ_AGAIN_MS).unref();
    },
  };
}

/** The shop's own authority, for tablets to install; it holds no secret. */
export function serveAuthority(app: FastifyInstance): void {
  app.get('/authority.crt', { schema: { hide: true } }, async (_request, reply) => {
    const path = process.env['DAUER_TLS_AUTHORITY'];
    if (!path) throw new HttpProblem('not_found', 'This shop is not on the network: start it with -- --lan.');
    return reply
      .type('application/x-x509-ca-cert')
      .header('content-disposition', 'attachment; filename="dauer-authority.crt"')
      .send(readFileSync(path));
  });
}
