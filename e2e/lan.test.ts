import { expect } from 'chai';
import { createHash, X509Certificate } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import http from 'node:http';
import { connect } from 'node:net';
import https from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser } from 'playwright-core';
import { ensureCertificate } from '../tools/lib/authority.mjs';
import { openBrowser } from '../tools/lib/browser.mjs';
import { openCluster } from '../tools/lib/cluster.mjs';
import { freePort } from '../tools/lib/machine.mjs';
import { startServer } from '../tools/lib/serve.mjs';

const NAME = 'bench.test';
const NAMES = { dns: [NAME, 'localhost'], ip: ['127.0.0.1'] };

describe('on the shop’s network', function () {
  this.timeout(240000);
  const home = mkdtempSync(join(tmpdir(), 'dauer-lan-'));
  chmodSync(home, 0o755);
  const folder = join(home, 'authority');
  let cluster: Awaited<ReturnType<typeof openCluster>>;
  let server: Awaited<ReturnType<typeof startServer>>;
  let browser: Browser;
  let port = 0;
  let files: ReturnType<typeof ensureCertificate>;

  before(async () => {
    files = ensureCertificate(folder, NAMES);
    cluster = await openCluster(join(home, 'c'), { scratch: true });
    port = await freePort();
    const lan = { ...files, url: `https://${NAME}:${port}` };
    server = await startServer({ databaseUrl: cluster.database('dauer'), port, lan });
    const key = new X509Certificate(readFileSync(files.cert)).publicKey.export({ type: 'spki', format: 'der' });
    // This very key and no other is taken for good, as if the authority had been installed.
    const pin = createHash('sha256').update(key).digest('base64');
    browser = await openBrowser([`--host-resolver-rules=MAP ${NAME} 127.0.0.1`, `--ignore-certificate-errors-spki-list=${pin}`]);
  });
  after(async () => {
    await browser.close();
    await server.stop();
    cluster.destroy();
    rmSync(home, { recursive: true, force: true });
  });

  const ask = (servername: string, path: string) =>
    new Promise<{ status: number; text: string }>((resolve, reject) => {
      https
        .get({ host: '127.0.0.1', port, servername, path, ca: readFileSync(files.authority), headers: { host: servername } }, (reply) => {
          let text = '';
          reply.setEncoding('utf8').on('data', (d: string) => (text += d));
          reply.on('end', () => resolve({ status: reply.statusCode ?? 0, text }));
        })
        .on('error', reject);
    });

  it('the certificate is kept, renewed for a new name, and always of the same authority', () => {
    const authority = readFileSync(files.authority, 'utf8');
    expect(files.made).to.equal(true);
    expect(ensureCertificate(folder, NAMES).made).to.equal(false);
    const elsewhere = join(home, 'other');
    const first = ensureCertificate(elsewhere, NAMES);
    const old = readFileSync(first.authority, 'utf8');
    const next = ensureCertificate(elsewhere, { ...NAMES, dns: [...NAMES.dns, 'yard.test'] });
    expect(next.made).to.equal(true);
    expect(readFileSync(next.authority, 'utf8')).to.equal(old);
    expect(new X509Certificate(readFileSync(next.cert)).checkHost('yard.test')).to.equal('yard.test');
    expect(readFileSync(files.authority, 'utf8')).to.equal(authority);
  });

  it('whoever trusts the authority trusts the shop under its name, and nobody under another', async () => {
    expect((await ask(NAME, '/api/health')).status).to.equal(200);
    expect((await ask(NAME, '/authority.crt')).text).to.equal(readFileSync(files.authority, 'utf8'));
    const other = await ask('other.test', '/api/health').then(
      () => 'trusted',
      (error: Error) => error.message,
    );
    expect(other).to.include('does not match');
  });

  it('whoever asks that port in the clear is told where the same is, and gets nothing of the book', async () => {
    const plain = await new Promise<http.IncomingMessage>((resolve, reject) => {
      http.get({ host: '127.0.0.1', port, path: '/jobs/1?x=2', headers: { host: `${NAME}:${port}` } }, resolve).on('error', reject);
    });
    expect([plain.statusCode, plain.headers.location]).to.deep.equal([302, `https://${NAME}:${port}/jobs/1?x=2`]);
    const said = (bytes: string): Promise<string> =>
      new Promise((resolve) => {
        const socket = connect(port, '127.0.0.1', () => socket.write(bytes));
        let text = '';
        socket.on('data', (b) => (text += b.toString()));
        socket.on('close', () => resolve(text));
      });
    expect(await said('GET /"><script> HTTP/1.1\r\nHost: x\r\n\r\n')).to.match(/^HTTP\/1\.1 400 /);
    expect(await said('nonsense\r\n\r\n')).to.match(/^HTTP\/1\.1 400 /);
    // A connection that says nothing keeps nobody else from theirs.
    const silent = connect(port, '127.0.0.1');
    expect((await ask(NAME, '/api/health')).status).to.equal(200);
    silent.destroy();
  });

  it('a tablet signs in over HTTPS under that name, in a secure page, and is shown the way for the next', async () => {
    const page = await (await browser.newContext({ reducedMotion: 'reduce' })).newPage();
    const password = 'long-enough-for-a-lead';
    await page.goto(`https://${NAME}:${port}/`);
    await page.getByLabel('Name of the workshop').fill('Network shop');
    await page.getByLabel('Your name').fill('Lea Dunmore');
    await page.getByLabel('Sign in as').fill('lea');
    await page.getByLabel('Password (10 or more)').fill(password);
    await page.getByRole('button', { name: 'Open the shop' }).click();
    await page.getByRole('heading', { name: /in the shop/ }).waitFor();
    expect(await page.evaluate(() => window.isSecureContext && 'serviceWorker' in navigator && location.hostname)).to.equal(NAME);
    const [cookie] = await page.context().cookies();
    expect(cookie).to.include({ secure: true, httpOnly: true, sameSite: 'Strict' });
    await page.goto(`https://${NAME}:${port}/shop`);
    await page.getByRole('button', { name: 'Show the codes' }).click();
    await page.getByText(`https://${NAME}:${port}/authority.crt`).waitFor();
    const drawn = await page.locator('figure img').evaluateAll((all) => all.map((i) => (i as HTMLImageElement).naturalWidth > 0));
    expect(drawn).to.deep.equal([true, true]);
    await page.getByRole('button', { name: 'Make this device a tablet' }).click();
    await page.getByLabel(/^Password of/).fill(password);
    await page.getByRole('button', { name: 'Make it one' }).click();
    await page.getByText('This device is a tablet of the shop now.').waitFor();
  });

  it('a device whose owner clicked the warning away is told that it opens nothing without the server', async () => {
    const careless = await openBrowser([`--host-resolver-rules=MAP ${NAME} 127.0.0.1`]);
    const page = await (await careless.newContext({ ignoreHTTPSErrors: true, reducedMotion: 'reduce' })).newPage();
    await page.goto(`https://${NAME}:${port}/`);
    await page.getByText('This device does not trust the shop’s certificate: it cannot open Dauer without the server.').waitFor();
    await careless.close();
  });
});
