import { expect } from 'chai';
import { v7 } from 'uuid';
import { buildApp } from '../src/app.ts';
import { delayAfter } from '../src/platform/attempts.ts';
import { openShop, PASSWORD, type Shop, Visitor } from './harness.ts';

const counted = (list: readonly number[]): Record<number, number> =>
  list.reduce<Record<number, number>>((sum, status) => ({ ...sum, [status]: (sum[status] ?? 0) + 1 }), {});

describe('guessing at once', function () {
  this.timeout(120000);
  let shop: Shop;
  let tessId = '';
  before(async () => {
    shop = await openShop();
    tessId = (await shop.lead.ask<{ id: string; login: string }[]>('GET', '/api/people')).body.find((p) => p.login === 'tess')!.id;
  });
  after(() => shop.close());

  it('of six hundred PINs at once, on two processes, five are tried', async () => {
    expect((await shop.technician.ask('POST', '/api/pin', { pin: '7391', password: PASSWORD })).status).to.equal(200);
    const tablet = new Visitor(() => shop.app);
    await tablet.ask('POST', '/api/sign-in', { login: 'lea', password: PASSWORD });
    await tablet.ask('POST', '/api/tablets', { id: v7(), name: 'Bench tablet', password: PASSWORD });
    await tablet.ask('POST', '/api/sign-out');
    const beside = await buildApp({ databaseUrl: shop.url });
    try {
      const { cookies } = tablet;
      const answers = await Promise.all(
        Array.from({ length: 600 }, (_, i) =>
          (i % 2 === 0 ? shop.app : beside).inject({
            method: 'POST',
            url: '/api/switch',
            headers: { cookie: cookies },
            payload: { personId: tessId, pin: String(1000 + i) },
          }),
        ),
      );
      expect(counted(answers.map((a) => a.statusCode))).to.deep.equal({ 401: 5, 429: 595 });
      const right = await tablet.ask<{ code: string }>('POST', '/api/switch', { personId: tessId, pin: '7391' });
      expect([right.status, right.body.code]).to.deep.equal([429, 'too_many_tries']);
    } finally {
      await beside.close();
    }
  });

  it('what is tried on one tablet keeps nobody from another, nor from the password', async () => {
    const other = new Visitor(() => shop.app);
    await other.ask('POST', '/api/sign-in', { login: 'lea', password: PASSWORD });
    await other.ask('POST', '/api/tablets', { id: v7(), name: 'Other tablet', password: PASSWORD });
    await other.ask('POST', '/api/sign-out');
    expect((await other.ask('POST', '/api/switch', { personId: tessId, pin: '7391' })).status).to.equal(200);
    expect((await shop.technician.ask('POST', '/api/sign-in', { login: 'tess', password: PASSWORD })).status).to.equal(200);
  });

  it('of two hundred passwords for a name at once, from many addresses, four are tried; a name is no other kind of counter', async () => {
    const answers = await Promise.all(
      Array.from({ length: 200 }, (_, i) =>
        shop.app.inject({
          method: 'POST',
          url: '/api/sign-in',
          remoteAddress: `10.1.${i % 100}.7`,
          payload: { login: 'rhys', password: `a wrong password ${i}` },
        }),
      ),
    );
    expect(counted(answers.map((a) => a.statusCode))).to.deep.equal({ 401: 4, 429: 196 });
    // A name that reads like another counter touches only the counter of that name.
    for (const login of [`pin:${tessId}`, 'again:x', '127.0.0.1'])
      await shop.app.inject({ method: 'POST', url: '/api/sign-in', remoteAddress: '10.2.0.1', payload: { login, password: 'wrong' } });
    expect((await shop.technician.ask('POST', '/api/pin', { pin: '7391', password: PASSWORD })).status).to.equal(200);
  });

  it('of a hundred passwords asked once more at once, eight are tried, and another session of the same person goes on', async () => {
    const again = (who: Visitor, password: string) => who.ask('POST', '/api/pin', { pin: '1234', password });
    const first = new Visitor(() => shop.app);
    await first.ask('POST', '/api/sign-in', { login: 'lea', password: PASSWORD });
    const answers = await Promise.all(Array.from({ length: 100 }, (_, i) => again(first, `wrong ${i}`)));
    expect(counted(answers.map((a) => a.status))).to.deep.equal({ 403: 8, 429: 92 });
    expect((await again(first, PASSWORD)).status).to.equal(429);
    expect((await again(shop.lead, PASSWORD)).status).to.equal(200);
  });

  it('delays by name grow twofold, and end at a minute', () => {
    expect([1, 3, 4, 5, 6, 7, 8, 9, 10, 100].map(delayAfter)).to.deep.equal([0, 0, 2, 4, 8, 16, 32, 60, 60, 60]);
  });
});

describe('a page of another site', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());
  const out = (headers: Record<string, string>) =>
    shop.reader.ask<{ code: string }>('POST', '/api/sign-out-everywhere', undefined, headers);

  it('changes nothing, whatever cookie its browser sends', async () => {
    const sent: Record<string, string>[] = [
      { origin: 'https://elsewhere.test' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
    ];
    for (const headers of sent) {
      const answer = await out(headers);
      expect([answer.status, answer.body.code], JSON.stringify(headers)).to.deep.equal([403, 'other_site']);
    }
    expect((await shop.reader.ask('GET', '/api/me', undefined, { origin: 'https://elsewhere.test' })).status).to.equal(200);
    expect((await out({ origin: 'http://shop.test:4680', host: 'shop.test:4680', 'sec-fetch-site': 'same-origin' })).status).to.equal(200);
  });
});
