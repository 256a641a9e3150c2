import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { createServer, type Server as HttpsServer } from 'node:https';
import type { Socket } from 'node:net';
import type { FastifyInstance, FastifyServerFactory } from 'fastify';
import { HttpProblem } from './problem.ts';
import { millisecondsInHour } from 'date-fns/constants';

export interface TlsOptions {
  readonly cert: string;
  readonly key: string;
}

/** How often the certificate is read again, ms: it is renewed beside the running server. */
const READ_AGAIN_MS = millisecondsInHour;

/** A server over TLS, with nothing older than TLS 1.2. */
export function overTls({ cert, key }: TlsOptions): FastifyServerFactory {
  return (handler) => {
    const server = createServer({ cert, key, minVersion: 'TLSv1.2' }, handler);
    answerPlainHttp(server);
    // Fastify's types know the plain server only; both take the same requests.
    return server satisfies Pick<Server, 'listen' | 'close'> as Server;
  };
}

/** The first byte of what begins TLS: a record of its handshake. Source: RFC 8446, 5.1. */
const HANDSHAKE = 22;
/** How long somebody may take to say anything at all, ms. */
const SILENCE_MS = 10_000;

/** Where somebody who asked in the clear finds the same over TLS; null where the request does not say for which name it was. */
function addressOverTls(request: string): string | null {
  const path = /^[A-Z]+ (\/[^\s"<>]*) HTTP\//.exec(request)?.[1];
  const host = /\r\nhost: *([\w.\-:[\]]+)\r\n/i.exec(request)?.[1];
  return path !== undefined && host !== undefined ? `https://${host}${path}` : null;
}

/** Tells whoever asks in the clear, on the port that speaks TLS, where the same is. */
function answerPlainHttp(server: HttpsServer): void {
  const overTls = server.listeners('connection') as ((socket: Socket) => void)[];
  server.removeAllListeners('connection');
  server.on('connection', (socket: Socket) => {
    const quiet = (): void => void socket.destroy();
    socket.setTimeout(SILENCE_MS, quiet);
    socket.on('error', quiet);
    socket.once('data', (begun) => {
      socket.pause();
      socket.setTimeout(0);
      socket.off('timeout', quiet);
      socket.off('error', quiet);
      if (begun[0] === HANDSHAKE) {
        socket.unshift(begun);
        for (const take of overTls) take.call(server, socket);
        return;
      }
      const to = addressOverTls(begun.toString('latin1'));
      const words = to === null ? 'Dauer is served over HTTPS here.' : `Dauer is served over HTTPS here: ${to}`;
      const head = [to === null ? 'HTTP/1.1 400 Bad Request' : 'HTTP/1.1 302 Found', ...(to === null ? [] : [`location: ${to}`])];
      const more = [
        'content-type: text/plain; charset=utf-8',
        `content-length: ${words.length}`,
        'cache-control: no-store',
        'connection: close',
      ];
      socket.end([...head, ...more, '', words].join('\r\n'));
    });
  });
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
