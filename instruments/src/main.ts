/** The simulated bench: a small page to turn and press on, and a connection to Dauer like that of a real instrument. */
import { readFile } from 'node:fs/promises';
import http from 'node:http';
import { ENDPOINTS, type InstrumentMessage } from '@dauer/contract';
import { makeBench } from './bench.ts';
import type { Instrument } from './instrument.ts';

const dauer = process.env['DAUER_URL'] ?? 'http://127.0.0.1:4680';
const key = process.env['DAUER_INSTRUMENT_KEY'] ?? '';
const port = Number(process.env['INSTRUMENTS_PORT'] ?? 4690);
const TICK_MS = 120;
const bench = makeBench(Number(process.env['INSTRUMENTS_SEED'] ?? Date.now() % 100000));
const on = new Set<string>();
let trouble = '';
const seconds = (): number => performance.now() / 1000;
const page = new URL('../page/', import.meta.url);

async function say(i: Instrument, event: InstrumentMessage['event'], text: string): Promise<void> {
  const { tag, kind, unit } = i.facts;
  try {
    const reply = await fetch(dauer + ENDPOINTS.instrumentSays.path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', authorization: `Bearer ${key}` },
      body: JSON.stringify({ instrument: tag, kind, unit, text, event } satisfies InstrumentMessage),
      signal: AbortSignal.timeout(3000),
    });
    trouble = reply.ok
      ? ''
      : reply.status === 401
        ? 'Dauer does not know this bench: its key is wrong.'
        : `Dauer answered ${reply.status}.`;
  } catch {
    trouble = 'Dauer cannot be reached just now.';
  }
}

setInterval(() => {
  for (const i of bench) if (on.has(i.facts.tag)) void say(i, 'live', i.read(seconds()).text);
}, TICK_MS);

interface Told {
  readonly tag: string;
  readonly does: 'on' | 'off' | 'put' | 'turn' | 'press' | 'type';
  readonly part?: string;
  readonly angleDeg?: number;
}
async function does({ tag, does: what, part, angleDeg }: Told): Promise<void> {
  const i = bench.find((x) => x.facts.tag === tag);
  if (!i) return;
  if (what === 'on') on.add(tag);
  if (what === 'off') on.delete(tag);
  if (what === 'put' && part) i.put(part, seconds());
  if (what === 'turn' && angleDeg !== undefined && Number.isFinite(angleDeg)) i.turn(angleDeg);
  if (what === 'press') await say(i, 'press', i.read(seconds()).text);
  if (what === 'type') await say(i, 'keys', i.read(seconds()).text);
}
const state = () => ({
  trouble,
  bench: bench.map((i) => ({
    ...i.facts,
    parts: i.facts.parts.map((p) => p.name),
    part: i.partName,
    angleDeg: i.angleDeg,
    on: on.has(i.facts.tag),
    text: i.read(seconds()).text,
  })),
});

async function body(request: http.IncomingMessage): Promise<string> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > 2000) throw new Error('too long');
  }
  return text;
}
const FILES: Readonly<Record<string, readonly [string, string]>> = {
  '/': ['bench.html', 'text/html; charset=utf-8'],
  '/bench.js': ['bench.js', 'text/javascript; charset=utf-8'],
};
const server = http.createServer((request, reply) => {
  const answer = async (): Promise<void> => {
    const file = FILES[request.url ?? ''];
    if (request.method === 'GET' && file) {
      reply.writeHead(200, { 'content-type': file[1], 'content-security-policy': "default-src 'self'; style-src 'self' 'unsafe-inline'" });
      reply.end(await readFile(new URL(file[0], page)));
    } else if (request.method === 'GET' && request.url === '/state') {
      reply.writeHead(200, { 'content-type': 'application/json' });
      reply.end(JSON.stringify(state()));
    } else if (request.method === 'POST' && request.url === '/do') {
      await does(JSON.parse(await body(request)) as Told);
      reply.writeHead(204).end();
    } else reply.writeHead(404).end();
  };
  answer().catch(() => reply.writeHead(400).end());
});
server.listen(port, '127.0.0.1', () => process.stdout.write(`bench ${port}\n`));
