import { type ChildProcess, spawn } from 'node:child_process';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { instrumentMessage, type InstrumentMessage } from '@dauer/contract';
import { expect } from 'chai';

const KEY = 'a-key-of-the-bench-for-tests';

/** Stands in for Dauer: keeps what instruments say to it. */
class Listener {
  readonly heard: InstrumentMessage[] = [];
  readonly keys = new Set<string>();
  private readonly server = http.createServer((request, reply) => {
    let text = '';
    request.on('data', (d) => (text += String(d)));
    request.on('end', () => {
      this.keys.add(request.headers.authorization ?? '');
      const read = instrumentMessage.safeParse(JSON.parse(text));
      if (read.success && request.url === '/api/instruments/say') this.heard.push(read.data);
      reply.writeHead(read.success ? 200 : 400, { 'content-type': 'application/json' }).end('{"heard":true}');
    });
  });
  async open(): Promise<string> {
    await new Promise<void>((done) => this.server.listen(0, '127.0.0.1', done));
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }
  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }
}

async function freePort(): Promise<number> {
  const probe = http.createServer();
  await new Promise<void>((done) => probe.listen(0, '127.0.0.1', done));
  const { port } = probe.address() as AddressInfo;
  await new Promise((done) => probe.close(done));
  return port;
}

describe('the simulated bench as it runs', function () {
  this.timeout(60000);
  const dauer = new Listener();
  let child: ChildProcess;
  let url = '';
  const tell = (body: object) => fetch(`${url}/do`, { method: 'POST', body: JSON.stringify(body) });
  const until = async (holds: () => boolean): Promise<void> => {
    const end = Date.now() + 20000;
    while (!holds()) {
      if (Date.now() > end) throw new Error(`it never came to that: ${JSON.stringify(dauer.heard.slice(-3))}`);
      await new Promise((done) => setTimeout(done, 30));
    }
  };
  before(async () => {
    const port = await freePort();
    url = `http://127.0.0.1:${port}`;
    child = spawn(process.execPath, ['--import', 'tsx', fileURLToPath(new URL('../src/main.ts', import.meta.url))], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...process.env,
        DAUER_URL: await dauer.open(),
        DAUER_INSTRUMENT_KEY: KEY,
        INSTRUMENTS_PORT: String(port),
        INSTRUMENTS_SEED: '7',
      },
    });
    await new Promise<void>((up) => child.stdout?.on('data', (d) => String(d).includes('bench') && up()));
  });
  after(() => {
    child.kill('SIGTERM');
    dauer.close();
  });

  it('shows a page with every instrument, and nothing of it comes from elsewhere', async () => {
    const page = await fetch(url);
    expect(page.headers.get('content-security-policy')).to.contain("default-src 'self'");
    expect(await page.text()).to.not.match(/https?:\/\//);
    const { bench } = (await (await fetch(`${url}/state`)).json()) as { bench: { tag: string; parts: string[] }[] };
    expect(bench.map((b) => b.tag)).to.include.members(['M-03', 'D-02', 'O-01']);
    for (const b of bench) expect(b.parts.length).to.be.above(0);
  });

  it('says nothing until it is switched on, then what it shows, with the key of the bench', async () => {
    await new Promise((done) => setTimeout(done, 300));
    expect(dauer.heard).to.deep.equal([]);
    await tell({ tag: 'M-03', does: 'on' });
    await until(() => dauer.heard.length >= 3);
    await tell({ tag: 'M-03', does: 'off' });
    expect(new Set(dauer.heard.map((m) => `${m.instrument} ${m.kind} ${m.unit} ${m.event}`))).to.deep.equal(
      new Set(['M-03 micrometer mm live']),
    );
    expect([...dauer.keys]).to.deep.equal([`Bearer ${KEY}`]);
  });

  it('sends on a press, types like a keyboard, and is on the part it was put on', async () => {
    await tell({ tag: 'M-03', does: 'put', part: 'Rotor, worn thin' });
    await tell({ tag: 'M-03', does: 'turn', angleDeg: 310 });
    await new Promise((done) => setTimeout(done, 1500));
    await tell({ tag: 'M-03', does: 'press' });
    await tell({ tag: 'M-03', does: 'type' });
    await until(() => dauer.heard.some((m) => m.event === 'keys'));
    const press = dauer.heard.find((m) => m.event === 'press')!;
    expect(Number(press.text)).to.be.within(11.02, 11.08);
  });

  it('passes over nonsense and goes on', async () => {
    for (const body of [
      '{',
      'null',
      '{"tag":7}',
      '{"tag":"M-03","does":"explode"}',
      `{"tag":"M-03","does":"turn","angleDeg":"x"}`,
      'x'.repeat(5000),
    ])
      expect((await fetch(`${url}/do`, { method: 'POST', body })).status, body.slice(0, 30)).to.be.oneOf([204, 400]);
    expect((await fetch(`${url}/nowhere`)).status).to.equal(404);
    expect((await fetch(`${url}/state`)).status).to.equal(200);
  });
});
