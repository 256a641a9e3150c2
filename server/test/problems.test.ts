import { PROBLEMS, type ProblemCode } from '@dauer/contract';
import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { apart, WorkFailed } from '../src/beside/apart.ts';
import { HttpProblem } from '../src/platform/problem.ts';
import { type Booked, bookIn, openShop, PASSWORD, type Shop } from './harness.ts';

const ROOT = join(import.meta.dirname, '../..');
const CODES = Object.keys(PROBLEMS) as ProblemCode[];

/** The text of every TypeScript file under some folders. */
const textOf = (...folders: readonly string[]): string =>
  folders
    .flatMap((folder) =>
      readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
        .filter((f) => f.endsWith('.ts'))
        .map((f) => readFileSync(join(ROOT, folder, f), 'utf8')),
    )
    .join('\n');

describe('the problems that the server answers with', () => {
  it('are each thrown somewhere, and each asserted in a test', () => {
    const [thrown, asserted] = [textOf('server/src'), textOf('server/test', 'tools/test', 'contract/test')];
    const without = (text: string): string[] => CODES.filter((code) => !text.includes(`'${code}'`));
    expect(without(thrown)).to.deep.equal([]);
    expect(without(asserted)).to.deep.equal([]);
  });

  it('are in the document, with their status and what they mean, and no others', () => {
    const told = readFileSync(join(ROOT, 'docs/problems.md'), 'utf8');
    const rows = told.split('\n').filter((l) => l.startsWith('| `'));
    expect(rows).to.deep.equal(CODES.map((code) => `| \`${code}\` | ${PROBLEMS[code].status} | ${PROBLEMS[code].means} |`));
  });

  it('are of a class of status that says whether asking again can help', () => {
    for (const code of CODES) expect(PROBLEMS[code].status, code).to.be.within(400, 599);
    expect(CODES.filter((c) => PROBLEMS[c].status >= 500)).to.have.members(['broken', 'book_away', 'busy', 'disk_full']);
  });
});

describe('a problem', function () {
  this.timeout(60000);
  let shop: Shop;
  let car: Booked;
  before(async () => {
    shop = await openShop();
    car = await bookIn(shop.technician);
  });
  after(() => shop.close());
  const codeOf = (answer: { readonly status: number; readonly body: unknown }) => [answer.status, (answer.body as { code?: string }).code];

  it('of who asks', async () => {
    expect(codeOf(await shop.nobody.ask('GET', '/api/yard'))).to.deep.equal([401, 'signed_out']);
    const wrong = await shop.nobody.ask('POST', '/api/sign-in', { login: 'nobody at all', password: PASSWORD });
    expect(codeOf(wrong)).to.deep.equal([401, 'wrong_sign_in']);
    const { id, version } = (await shop.lead.ask<{ id: string; login: string; version: number }[]>('GET', '/api/people')).body.find(
      (p) => p.login === 'lea',
    )!;
    const resigned = await shop.lead.ask('PATCH', `/api/people/${id}`, { version, active: true, role: 'reader' });
    expect(codeOf(resigned)).to.deep.equal([409, 'own_account']);
  });

  it('of instruments and gauges', async () => {
    const said = { instrument: 'M-01', kind: 'micrometer', unit: 'mm', text: '12.1', event: 'live' };
    expect(codeOf(await shop.nobody.ask('POST', '/api/instruments/say', said))).to.deep.equal([401, 'instrument_key']);
    const before = process.env['DAUER_INSTRUMENT_KEY'];
    process.env['DAUER_INSTRUMENT_KEY'] = 'k'.repeat(24);
    try {
      expect(codeOf(await shop.lead.ask('POST', '/api/instruments/key', { anew: true }))).to.deep.equal([409, 'key_given']);
    } finally {
      if (before === undefined) delete process.env['DAUER_INSTRUMENT_KEY'];
      else process.env['DAUER_INSTRUMENT_KEY'] = before;
    }
    const gaugeId = v7();
    const plain = {
      ...{ id: v7(), gaugeId, tag: `M-${gaugeId.slice(-4)}`, name: 'Micrometer', kind: 'micrometer', resolution: 0.01 },
      ...{ accuracy: 0.01, shortSpan: 0.01, rangeLow: 0, rangeHigh: 25, calibrationDue: null, settingPiece: null, checkFirst: false },
    };
    const added = await shop.lead.ask('POST', '/api/gauges', plain);
    expect(added.status, JSON.stringify(added.body)).to.equal(200);
    expect(codeOf(await shop.technician.ask('POST', `/api/gauges/${gaugeId}/checks`, { id: v7(), read: 25 }))).to.deep.equal([
      409,
      'no_piece',
    ]);
    const back = { id: v7(), since: '2999-01-01T00:00:00.000Z', offBy: 0.1, why: 'Dropped' };
    expect(codeOf(await shop.lead.ask('POST', `/api/gauges/${gaugeId}/call-backs`, back))).to.deep.equal([422, 'future']);
  });

  it('of what is entered in a job', async () => {
    const hose = { slotId: car.slot('hose', 'FL'), partId: null, option: 'machine', reason: 'x', reviewOn: null } as const;
    expect(codeOf(await shop.technician.event<'decisions'>(car.jobId, 'decisions', hose))).to.deep.equal([422, 'no_such_option']);
    const earlier = {
      ...({ what: 'renewed', slotId: null, on: '2020-13', about: false, knownFrom: 'owner', source: 'said so' } as const),
      ...{ km: null, note: '' },
    };
    expect(codeOf(await shop.technician.event<'earlierWork'>(car.jobId, 'earlier-work', earlier))).to.deep.equal([422, 'not_a_date']);
  });

  it('of what is sent as it comes', async () => {
    const headers = { 'content-type': 'application/json' };
    expect(codeOf(await shop.lead.ask('POST', '/api/import', {}, headers))).to.deep.equal([415, 'wrong_content']);
    const long = await shop.lead.ask('POST', '/api/import', `{"kind":"${'x'.repeat(2 ** 20 + 9)}`, {
      'content-type': 'application/x-ndjson',
    });
    expect(codeOf(long)).to.deep.equal([413, 'import_line_too_long']);
  });

  it('of a book that lies elsewhere: its backups are not asked for here', async () => {
    expect(codeOf(await shop.lead.ask('POST', '/api/backups/ask', { what: 'copy' }))).to.deep.equal([409, 'book_elsewhere']);
  });

  it('of a thread that has too much to do: who comes then is asked to come again, and nobody waits for ever', async () => {
    const all = await Promise.allSettled(Array.from({ length: 20 }, () => apart('sheet', { file: null, at: '' } as never)));
    const reasons = all.map((r) => (r.status === 'rejected' ? (r.reason as Error) : null));
    expect(reasons.filter((r) => r instanceof HttpProblem && r.code === 'busy')).to.have.length(7);
    expect(reasons.filter((r) => r instanceof WorkFailed)).to.have.length(13);
  });
});
