import { readdirSync, readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { ENDPOINTS } from '@dauer/contract';
import { deriveJob } from '@dauer/core/job';
import { EVENT_LISTS, type EventList, familyOf } from '@dauer/core/ledger';
import { expect } from 'chai';
import { getTableName } from 'drizzle-orm';
import pg from 'pg';
import { buildApp } from '../src/app.ts';
import { EVENT_TABLES } from '../src/db/eventTables.ts';
import { applyRules, triggersWanted } from '../src/db/rules.ts';
import { migrate, NewerBook, NoSession, requireSession } from '../src/db/migrate.ts';
import { newDatabase, openShop, Visitor } from './harness.ts';

const FOLDER = new URL('./earlier/', import.meta.url);
const BOOKS = readdirSync(FOLDER).filter((n) => n.endsWith('.sql.gz'));
const DEMO_PASSWORD = 'brakes-hold-lives';

async function load(name: string): Promise<string> {
  const url = await newDatabase();
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  // Lines that begin with a backslash are psql’s own.
  await client.query(
    gunzipSync(readFileSync(new URL(name, FOLDER)))
      .toString('utf8')
      .replace(/^\\.*$/gm, ''),
  );
  await client.end();
  return url;
}

describe('a book of an earlier schema', function () {
  this.timeout(120000);
  it('there are books of several', () => {
    expect(BOOKS.length).to.be.greaterThan(5);
  });

  for (const name of BOOKS)
    it(`opens, and what was handed back in it opens and prints: ${name}`, async () => {
      const url = await load(name);
      let before = 0;
      await migrate(url, { before: async () => void (before += 1) });
      expect(before, 'a backup is taken before').to.equal(1);
      const app = await buildApp({ databaseUrl: url });
      try {
        const lead = new Visitor(() => app);
        expect((await lead.ask('POST', '/api/sign-in', { login: 'ines', password: DEMO_PASSWORD })).status).to.equal(200);
        const yard = await lead.ask<{ jobs: { jobId: string }[]; handedBack: { jobId: string }[] }>('GET', '/api/yard');
        expect([yard.status, yard.body.jobs.length > 2]).to.deep.equal([200, true]);
        const client = new pg.Client({ connectionString: url });
        await client.connect();
        const { rows } = await client.query<{ id: string }>(
          'select j.id, r.id as released from job j join release_record r on r.job_id = j.id',
        );
        await client.end();
        expect(rows.length).to.be.greaterThan(2);
        // What is open was derived for the Yard just now.
        for (const { id } of rows) {
          const records = await lead.file(id);
          ENDPOINTS.job.reply.parse(records);
          expect(deriveJob(records, new Date().toISOString()).components.length, id).to.be.greaterThan(0);
          const printed = await lead.raw(`/api/jobs/${id}/sheet.pdf`);
          expect([printed.status, printed.type], `${id} as PDF`).to.deep.equal([200, 'application/pdf']);
          const owners = await lead.raw(`/api/jobs/${id}/sheet.pdf?page=owner`);
          expect([owners.status, records.release!.sheet.owner], `${id}: a sheet of before has no page for its owner`).to.deep.equal([
            404,
            undefined,
          ]);
        }
      } finally {
        await app.close();
      }
    });
});

/** Every trigger of a database, as “table name”. */
async function triggersOf(url: string): Promise<string[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<{ at: string }>(
    `select c.relname || ' ' || g.tgname as at from pg_trigger g join pg_class c on c.oid = g.tgrelid where not g.tgisinternal`,
  );
  await client.end();
  return rows.map((r) => r.at).sort();
}

describe('bringing a book up to date', function () {
  this.timeout(60000);

  it('leaves every table with the triggers that its family asks for, and no others', async () => {
    const wanted = [...triggersWanted()].flatMap(([table, names]) => names.map((name) => `${table} ${name}`)).sort();
    for (const url of [await newDatabase(), await load(BOOKS[0]!)]) {
      await migrate(url);
      expect(await triggersOf(url)).to.deep.equal(wanted);
    }
    // Each family is in the database what it says it is.
    const of = (list: EventList): readonly string[] => triggersWanted().get(getTableName(EVENT_TABLES[list])) ?? [];
    for (const list of EVENT_LISTS) {
      const { release, late } = familyOf(list);
      expect(of(list), list).to.include('only_added');
      expect(of(list).includes('came_late'), list).to.equal(release === 'frozen');
      if (late === 'afterwards') expect(of(list), list).not.to.include('open_job');
    }
  });

  it('keeps what is of no job out by no hand-back, and asks every family that is always of one for it', async () => {
    const url = await newDatabase();
    await migrate(url);
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    await client.query('create table leaflet (id uuid, job_id uuid, happened_at timestamptz)');
    for (const rule of ['refuse_after_release', 'refuse_before_release', 'refuse_any_release'])
      await client.query(`create trigger ${rule} before insert on leaflet for each row execute function ${rule}()`);
    await client.query(`create trigger came_late after insert on leaflet for each row execute function mark_late()`);
    await client.query('insert into leaflet values (gen_random_uuid(), null, now())');
    expect((await client.query('select count(*)::int as n from leaflet')).rows).to.deep.equal([{ n: 1 }]);
    const { rows } = await client.query<{ at: string }>(
      `select table_name as at from information_schema.columns where column_name = 'job_id' and is_nullable = 'NO'`,
    );
    await client.end();
    const asked = new Set(rows.map((r) => r.at));
    for (const list of EVENT_LISTS) expect(asked.has(getTableName(EVENT_TABLES[list])), list).to.equal(familyOf(list).job === 'always');
  });

  it('puts back a rule that somebody took away once the rules are others, and leaves them alone while they are the same', async () => {
    const url = await newDatabase();
    await migrate(url);
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    await client.query('drop trigger open_job on reading');
    await applyRules(client);
    expect(await triggersOf(url)).not.to.include('reading open_job');
    await client.query(`comment on function refuse_change() is 'rules of another program'`);
    await applyRules(client);
    await client.end();
    expect(await triggersOf(url)).to.include('reading open_job');
  });

  it('one process does it, and the others wait for it', async () => {
    const url = await newDatabase();
    await Promise.all(Array.from({ length: 4 }, () => migrate(url)));
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    const { rows } = await client.query<{ steps: string; books: string }>(
      'select (select count(*) from drizzle.__drizzle_migrations) as steps, (select count(*) from incarnation) as books',
    );
    await client.end();
    const { entries } = JSON.parse(readFileSync(new URL('../migrations/meta/_journal.json', import.meta.url), 'utf8')) as {
      entries: object[];
    };
    expect(rows[0]).to.deep.equal({ steps: String(entries.length), books: '1' });
  });

  it('a book that a newer program wrote is refused in a sentence, and left as it was', async () => {
    const shop = await openShop();
    const client = new pg.Client({ connectionString: shop.url });
    await client.connect();
    await client.query(`insert into drizzle.__drizzle_migrations (hash, created_at) values ('later', 99999999999999)`);
    const refused = await migrate(shop.url).then(
      () => null,
      (error: unknown) => error,
    );
    expect(refused).to.be.instanceOf(NewerBook);
    expect((refused as Error).message).to.match(/written by a newer Dauer/);
    expect((await client.query('select 1 from account')).rowCount).to.equal(3);
    await client.end();
    await shop.close();
  });

  it('nothing is copied before a book that is new, nor before one that is up to date', async () => {
    const url = await newDatabase();
    let before = 0;
    const copy = { before: async () => void (before += 1) };
    await migrate(url, copy);
    await migrate(url, copy);
    expect(before).to.equal(0);
  });

  it('where the backup before it fails, nothing is changed', async () => {
    const url = await load(BOOKS[0]!);
    const failed = await migrate(url, { before: () => Promise.reject(new Error('no room')) }).then(
      () => 'migrated',
      (error: Error) => error.message,
    );
    expect(failed).to.equal('no room');
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    expect((await client.query(`select to_regclass('incarnation') as there`)).rows[0]).to.deep.equal({ there: null });
    await client.end();
  });

  /** What a pooler does in transaction mode: whoever asks gets the session that is free. */
  class Pooled {
    private readonly free: number[];
    constructor(free: number[]) {
      this.free = free;
    }
    private held: number | null = null;
    query = async (text: string): Promise<{ rows: { pid: number }[] }> => {
      const pid = this.held ?? this.free.shift()!;
      if (text === 'begin') this.held = pid;
      else if (text === 'commit') {
        this.free.unshift(pid);
        this.held = null;
      } else if (this.held === null) this.free.unshift(pid);
      return { rows: [{ pid }] };
    };
  }
  const asked = (one: Pooled, other: Pooled): Promise<string> =>
    requireSession(one as never, other as never).then(
      () => 'has its own',
      (error: unknown) => (error instanceof NoSession ? 'refused' : 'broken'),
    );

  it('a pooler in transaction mode is refused; sessions of one’s own are not', async () => {
    const sessions = [1, 2, 3];
    expect(await asked(new Pooled(sessions), new Pooled(sessions))).to.equal('refused');
    expect(await asked(new Pooled([1]), new Pooled([2]))).to.equal('has its own');
  });
});
