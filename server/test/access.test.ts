import { ENDPOINTS, type Endpoint, mayCall } from '@dauer/contract';
import { expect } from 'chai';
import pg from 'pg';
import { v7 } from 'uuid';
import { openShop, PASSWORD, type Shop } from './harness.ts';

describe('who may do what', () => {
  let shop: Shop;
  before(async () => {
    shop = await openShop();
  });
  after(() => shop.close());

  const lines = Object.entries(ENDPOINTS) as [string, Endpoint][];
  it('every endpoint names a role', () => {
    for (const [name, line] of lines) expect(['public', 'reader', 'technician', 'lead'], name).to.include(line.role);
  });

  for (const [name, line] of lines.filter(([n]) => !n.startsWith('signOut') && n !== 'switchTo' && n !== 'firstLead' && n !== 'signIn')) {
    it(`${name}: ${line.role} and above, nobody below`, async () => {
      const url = line.path.replace(/:\w+/g, v7());
      for (const [role, visitor] of [
        [null, shop.nobody],
        ['reader', shop.reader],
        ['technician', shop.technician],
        ['lead', shop.lead],
      ] as const) {
        const answer = await visitor.ask<{ code: string }>(line.method, url, line.method === 'GET' ? undefined : {});
        const shut = answer.status === 401 || (answer.status === 403 && answer.body.code === 'role');
        expect(shut, `${name} as ${role ?? 'nobody'}: ${answer.status}`).to.equal(!mayCall(line.role, role));
        expect(answer.status, `${name} as ${role ?? 'nobody'}`).to.be.below(500);
      }
    });
  }

  it('the first lead is made once', async () => {
    const again = await shop.nobody.ask('POST', '/api/first-lead', {
      id: v7(),
      shopName: 'X',
      timeZone: 'UTC',
      name: 'Y',
      login: 'y',
      password: PASSWORD,
    });
    expect([again.status, again.body['code']]).to.deep.equal([409, 'already_set_up']);
  });

  it('sign-in by a name is slowed down after wrong passwords, and never locked: a device that signed in before goes in', async () => {
    for (let i = 0; i < 4; i += 1)
      expect((await shop.nobody.ask('POST', '/api/sign-in', { login: 'tess', password: 'wrong' })).status).to.equal(401);
    // The first wait is two seconds, which a slow machine has spent by now: it is made longer, so that it is met.
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    const waits = await client.query(`update attempt set not_before = not_before + interval '1 hour'
      where kind = 'name' and subject = 'tess' and tries = 4 and not_before > since returning 1`);
    await client.end();
    expect(waits.rowCount).to.equal(1);
    const right = await shop.nobody.ask<{ code: string; detail: string }>('POST', '/api/sign-in', { login: 'tess', password: PASSWORD });
    expect([right.status, right.body.code]).to.deep.equal([429, 'too_many_tries']);
    expect(right.body.detail).to.match(/Wait \d+ seconds? /);
    expect((await shop.technician.ask('POST', '/api/sign-in', { login: 'tess', password: PASSWORD })).status).to.equal(200);
    expect((await shop.technician.ask('GET', '/api/me')).status).to.equal(200);
  });

  it('and by address, whatever the names tried', async () => {
    const elsewhere = (login: string, remoteAddress: string) =>
      shop.app.inject({ method: 'POST', url: '/api/sign-in', remoteAddress, payload: { login, password: 'wrong' } });
    for (let i = 0; i < 40; i += 1) expect((await elsewhere(`guess${i}`, '10.9.8.7')).statusCode).to.equal(401);
    const next = await elsewhere('another', '10.9.8.7');
    expect([next.statusCode, next.json<{ code: string }>().code]).to.deep.equal([429, 'too_many_tries']);
    expect((await elsewhere('another', '10.9.8.6')).statusCode).to.equal(401);
    // A device that somebody signed in on before goes in from that very address.
    const known = await shop.app.inject({
      ...{ method: 'POST', url: '/api/sign-in', remoteAddress: '10.9.8.7', headers: { cookie: shop.reader.cookies } },
      payload: { login: 'rhys', password: PASSWORD },
    });
    expect(known.statusCode).to.equal(200);
  });

  it('a leaver and a changed role take effect at once', async () => {
    const id = v7();
    await shop.lead.ask('POST', '/api/people', { id, name: 'Nils Ostrow', login: 'nils', password: PASSWORD, role: 'technician' });
    await shop.nobody.ask('POST', '/api/sign-in', { login: 'nils', password: PASSWORD });
    expect((await shop.nobody.ask('GET', '/api/me')).status).to.equal(200);
    expect((await shop.lead.ask('PATCH', `/api/people/${id}`, { version: 1, active: false })).status).to.equal(200);
    expect((await shop.nobody.ask('GET', '/api/me')).status).to.equal(401);
    expect((await shop.lead.ask('PATCH', `/api/people/${id}`, { version: 1, active: true })).status).to.equal(409);
    expect((await shop.nobody.ask('POST', '/api/sign-in', { login: 'nils', password: PASSWORD })).status).to.equal(401);
  });

  it('signing out ends the session', async () => {
    await shop.nobody.ask('POST', '/api/sign-in', { login: 'rhys', password: PASSWORD });
    expect((await shop.nobody.ask('POST', '/api/sign-out')).status).to.equal(200);
    expect((await shop.nobody.ask('GET', '/api/me')).status).to.equal(401);
  });

  it('a forged cookie is nobody', async () => {
    const reply = await shop.app.inject({ method: 'GET', url: '/api/me', headers: { cookie: 'dauer=AAAA;BBBB' } });
    expect(reply.statusCode).to.equal(401);
  });

  it('the description of the interface is made from the table', async () => {
    const reply = await shop.app.inject({ method: 'GET', url: '/api/openapi.json' });
    const { paths } = reply.json<{ paths: Record<string, unknown> }>();
    for (const [, line] of lines) expect(Object.keys(paths)).to.include(line.path.replace(/:(\w+)/g, '{$1}'));
  });
});
