import http from 'node:http';

/** What stands between a tablet and the server: a network that loses answers, and a server that gives out a newer build. */
export class Between {
  /** Paths whose request does not arrive, or whose answer is lost on the way back. */
  readonly lost = new Map<string, 'request' | 'answer'>();
  /** The build that is given out from now on is another one. */
  newer = false;
  readonly #server: http.Server;

  constructor(to: string) {
    const target = new URL(to);
    this.#server = http.createServer((request, reply) => {
      const path = (request.url ?? '').split('?')[0] ?? '';
      const loses = this.lost.get(path);
      if (loses === 'request') {
        request.socket.destroy();
        return;
      }
      const rewrites = this.newer && (path === '/sw.js' || path === '/');
      const { 'if-none-match': _match, 'if-modified-since': _since, ...anew } = request.headers;
      const headers = rewrites ? { ...anew, 'accept-encoding': 'identity' } : request.headers;
      const onward = http.request(
        { host: target.hostname, port: target.port, path: request.url, method: request.method, headers },
        (answer) => {
          if (loses === 'answer') {
            answer.resume().on('end', () => request.socket.destroy());
            return;
          }
          if (rewrites) {
            const parts: Buffer[] = [];
            answer.on('data', (b: Buffer) => parts.push(b));
            answer.on('end', () => {
              const text = Buffer.concat(parts).toString('utf8');
              const { 'content-length': _length, etag: _etag, ...headers } = answer.headers;
              reply.writeHead(answer.statusCode ?? 200, headers);
              reply.end(path === '/' ? text.replace(/(src="\/assets\/)/, '$1newer-') : `${text}\n// newer`);
            });
            return;
          }
          reply.writeHead(answer.statusCode ?? 200, answer.headers);
          answer.pipe(reply);
        },
      );
      onward.on('error', () => request.socket.destroy());
      reply.on('close', () => onward.destroy());
      request.pipe(onward);
    });
  }
  /** @returns the address under which the server is reached by this way */
  async open(): Promise<string> {
    await new Promise<void>((resolve) => this.#server.listen(0, '127.0.0.1', resolve));
    const address = this.#server.address();
    return `http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}`;
  }
  close(): void {
    this.#server.closeAllConnections();
    this.#server.close();
  }
}
