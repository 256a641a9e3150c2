import { LIVE, liveMessage, type LiveMessage } from '@dauer/contract';
import { expect } from 'chai';
import type { FastifyInstance } from 'fastify';
import pg from 'pg';
import { setTimeout as wait } from 'node:timers/promises';
import { buildApp } from '../src/app.ts';
import { type Booked, bookIn, openShop, PASSWORD, type Shop } from './harness.ts';

/** Listens to the stream of a process as a browser does. */
class Ear {
  readonly heard: LiveMessage[] = [];
  private readonly stop = new AbortController();
  status = 0;
  /** The server let go of it. */
  ended = false;
  async open(app: FastifyInstance, login: string | null): Promise<this> {
    const origin = await app.listen({ port: 0, host: '127.0.0.1' });
    const headers: Record<string, string> = {};
    if (login) {
      const reply = await fetch(`${origin}/api/sign-in`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ login, password: PASSWORD }),
      });
      headers['cookie'] = reply.headers.getSetCookie()[0]?.split(';')[0] ?? '';
    }
    const stream = await fetch(`${origin}${LIVE.path}`, { headers, signal: this.stop.signal });
    this.status = stream.status;
    if (stream.ok) void this.read(stream.body!);
    return this;
  }
  private async read(body: ReadableStream<Uint8Array>): Promise<void> {
    const text = new TextDecoder();
    try {
      for await (const chunk of body) {
        for (const line of text.decode(chunk).split('\n')) {
          if (line.startsWith('data: ')) this.heard.push(liveMessage.parse(JSON.parse(line.slice(6))));
        }
      }
      this.ended = true;
    } catch {
      // Closed from here.
    }
  }
  async until(test: (m: LiveMessage) => boolean, ms: number): Promise<number> {
    const begun = Date.now();
    while (!this.heard.some(test)) {
      if (Date.now() - begun > ms) throw new Error(`nothing heard in ${ms} ms`);
      await wait(10);
    }
    return Date.now() - begun;
  }
  close(): void {
    this.stop.abort();
  }
}

describe('the stream of changes', () => {
  let shop: Shop;
  let car: Booked;
  let second: FastifyInstance;
  const ear = new Ear();
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician, 'utility_rods');
    second = await buildApp({ databaseUrl: shop.url });
    await ear.open(second, 'rhys');
  });
  after(async () => {
    ear.close();
    await second.close();
    await shop.close();
  });
  const observe = () => shop.technician.event<'observations'>(car.jobId, 'observations', { code: 'judder', corner: null, state: 'seen' });

  it('tells of what a reader writes as well', async () => {
    ear.heard.length = 0;
    expect((await shop.reader.ask('POST', '/api/pin', { pin: '2468', password: PASSWORD })).status).to.equal(200);
    expect(await ear.until((m) => m.jobId === null, 1000)).to.be.below(1000);
  });

  it('tells another process of a change within a second, by ids only', async () => {
    ear.heard.length = 0;
    expect((await observe()).status).to.equal(200);
    expect(await ear.until((m) => m.jobId === car.jobId, 1000)).to.be.below(1000);
    for (const m of ear.heard) expect(Object.keys(m).sort()).to.deep.equal(['jobId', 'page']);
  });

  it('passes presses of an instrument on in the order in which they were answered, whichever process took them', async () => {
    const { body } = await shop.lead.ask<{ key: string }>('POST', '/api/instruments/key', { anew: false });
    const headers = { authorization: `Bearer ${body.key}` };
    ear.heard.length = 0;
    const texts = Array.from({ length: 60 }, (_, i) => (12 + i / 1000).toFixed(3));
    for (const text of texts) {
      const said = { instrument: 'M-09', kind: 'micrometer', unit: 'mm', text, event: 'press' };
      expect((await shop.nobody.ask('POST', '/api/instruments/say', said, headers)).status).to.equal(200);
    }
    await ear.until((m) => m.instrument?.text === texts.at(-1), 2000);
    expect(ear.heard.flatMap((m) => (m.instrument ? [m.instrument.text] : []))).to.deep.equal(texts);
  });

  it('comes back after its connection to the database was cut, and has everybody read again', async () => {
    ear.heard.length = 0;
    const admin = new pg.Client({ connectionString: shop.url });
    await admin.connect();
    await admin.query("select pg_terminate_backend(pid) from pg_stat_activity where query like 'listen%' and datname = current_database()");
    await admin.end();
    await ear.until((m) => m.jobId === null, 8000);
    ear.heard.length = 0;
    await observe();
    await ear.until((m) => m.jobId === car.jobId, 2000);
  });

  it('is for those who are signed in', async () => {
    const third = await buildApp({ databaseUrl: shop.url });
    const deaf = await new Ear().open(third, null);
    expect(deaf.status).to.equal(401);
    await third.close();
  });

  it('lets go at once, on every process, of whoever signed out everywhere, and of nobody else', async () => {
    const another = await buildApp({ databaseUrl: shop.url });
    const tess = await new Ear().open(another, 'tess');
    await shop.reader.ask('POST', '/api/sign-out-everywhere');
    for (let i = 0; i < 150 && !ear.ended; i += 1) await wait(10);
    expect(ear.ended).to.equal(true);
    expect(tess.ended).to.equal(false);
    tess.close();
    await another.close();
  });
});
