import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { logFile } from '../lib/logFile.mjs';
import { freePort, isRoot } from '../lib/machine.mjs';
import { PASSWORD, Yard } from './house.ts';

const alive = (pid: number): boolean => {
  try {
    return !/^State:\s+[ZX]/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
};

describe('the launcher', function () {
  this.timeout(240000);
  const yard = new Yard();
  const shopName = async (): Promise<string> => (await yard.ask<{ shopName: string }>('GET', '/api/welcome')).body.shopName;
  before(async () => {
    await yard.start();
    await yard.ask('POST', '/api/first-lead', {
      ...{
        id: '01890000-0000-7000-8000-000000000001',
        shopName: 'Kept works',
        timeZone: 'UTC',
        name: 'Lea',
        login: 'ines',
        password: PASSWORD,
      },
    });
  });
  after(() => yard.close());

  it('starts the server again at once when it is killed, and says so', async () => {
    process.kill(yard.pidOf('server'), 'SIGKILL');
    await yard.until(() => /The server is back/.test(yard.words), 'the server');
    expect(await yard.healthy()).to.equal(true);
    expect(yard.words).to.match(/The server ended by itself; it is started again/);
  });

  it('starts the database again at once when it is killed', async () => {
    process.kill(yard.postmaster(), 'SIGKILL');
    await yard.until(() => /The database is back/.test(yard.words), 'the database');
    await yard.until(() => yard.healthy(), 'an answer');
    expect(await shopName()).to.equal('Kept works');
  });

  it('a second one on the same folder says so and leaves the first alone, on whatever port', async () => {
    const [server, postmaster] = [yard.pidOf('server'), yard.postmaster()];
    for (const port of [String(yard.port), String(await freePort())]) {
      const second = await yard.run('start.mjs', [], { PORT: port });
      expect(second.code).to.equal(1);
      expect(second.said).to.contain('Dauer runs already').and.to.contain(yard.url);
    }
    expect([yard.pidOf('server'), yard.postmaster(), await yard.healthy()]).to.deep.equal([server, postmaster, true]);
  });

  it('what a launcher that was killed left running is ended by the next one, and the book goes on', async () => {
    const [server, keeping] = [yard.pidOf('server'), yard.pidOf('keeping')];
    yard.launcher().kill('SIGKILL');
    await yard.until(() => !alive(yard.launcher().pid!), 'the launcher to die');
    expect(alive(server)).to.equal(true);
    await yard.start();
    expect([alive(server), alive(keeping)]).to.deep.equal([false, false]);
    expect(yard.words)
      .to.match(/left over from a launcher/)
      .and.to.match(/Book of Kept works at /);
    expect(await shopName()).to.equal('Kept works');
  });

  it('a lost password file is made anew, a wrong one too, and nothing in the book changes', async () => {
    for (const harm of [() => rmSync(join(yard.home, 'password')), () => writeFileSync(join(yard.home, 'password'), 'another')]) {
      await yard.stop();
      harm();
      await yard.start();
      expect(yard.words).to.match(/password of the book’s database is missing|made anew/);
      expect(await shopName()).to.equal('Kept works');
    }
  });

  it('a damaged book is said and left as it is; so is one whose data is gone', async () => {
    await yard.stop();
    for (const [from, why] of [
      ['pg/PG_VERSION', /cannot be opened as a book: “PG_VERSION” is missing/],
      ['pg/global/pg_control', /“global\/pg_control” is missing/],
      ['pg', /should lie in .* and is not there. No new one was made over it/],
    ] as const) {
      renameSync(join(yard.home, from), join(yard.folder, 'away'));
      const tried = await yard.run('start.mjs');
      expect([tried.code, why.test(tried.said)], tried.said).to.deep.equal([1, true]);
      expect(existsSync(join(yard.home, from))).to.equal(false);
      renameSync(join(yard.folder, 'away'), join(yard.home, from));
    }
    await yard.start();
    expect(await shopName()).to.equal('Kept works');
  });

  it('a cluster that was half made is told apart, and made anew; a restore that was cut off is not taken for a new shop', async () => {
    const other = new Yard();
    try {
      other.port = await freePort();
      await other.cut('start.mjs', [], 700);
      await other.start();
      expect((await other.ask<{ needsFirstLead: boolean }>('GET', '/api/welcome')).body.needsFirstLead).to.equal(true);
      await other.stop();
      writeFileSync(join(other.home, 'book.json'), JSON.stringify({ book: 'x', data: 'gone', state: 'restoring' }));
      const tried = await other.run('start.mjs');
      expect([tried.code, /restore .* was cut off/i.test(tried.said)], tried.said).to.deep.equal([1, true]);
    } finally {
      await other.close();
    }
  });

  it('the book is found after its folder was moved; a copy is a book of its own', async () => {
    await yard.stop();
    const moved = `${yard.folder}-moved`;
    const bookOf = (folder: string): string =>
      (JSON.parse(readFileSync(join(folder, 'shop', 'book.json'), 'utf8')) as { book: string }).book;
    const before = bookOf(yard.folder);
    renameSync(yard.folder, moved);
    await yard.start(moved);
    expect([await shopName(), bookOf(moved)]).to.deep.equal(['Kept works', before]);
    await yard.stop();
    renameSync(moved, yard.folder);
    cpSync(yard.folder, moved, { recursive: true, preserveTimestamps: true, filter: (path) => !path.endsWith('.sock') });
    const copied = await yard.run('start.mjs', [], { DAUER_FOLDER: moved, PORT: '1' });
    expect(copied.said).to.satisfy((s: string) => s.includes('is a copy of') || s.includes('belongs to another account'));
    rmSync(moved, { recursive: true, force: true });
    await yard.start();
    expect(bookOf(yard.folder)).to.equal(before);
  });

  it('deletes a book for its shop’s name alone', async () => {
    await yard.stop();
    const wrong = await yard.run('delete-book.mjs', [], {}, 'Some works\n');
    expect([wrong.code, /Nothing was deleted/.test(wrong.said)]).to.deep.equal([1, true]);
    expect(existsSync(join(yard.home, 'pg', 'PG_VERSION'))).to.equal(true);
    const right = await yard.run('delete-book.mjs', [], {}, 'Kept works\n');
    expect([right.code, existsSync(yard.home)], right.said).to.deep.equal([0, false]);
  });
});

describe('a folder that PostgreSQL’s account cannot enter', function () {
  this.timeout(120000);
  const yard = new Yard(0o700);
  after(() => yard.close());

  it('keeps its book through renaming, and shares it with no copy', async function () {
    if (!isRoot) return this.skip();
    await yard.start();
    await yard.ask('POST', '/api/first-lead', {
      ...{
        id: '01890000-0000-7000-8000-000000000002',
        shopName: 'Closed works',
        timeZone: 'UTC',
        name: 'Lea',
        login: 'lea',
        password: PASSWORD,
      },
    });
    const card = () => JSON.parse(readFileSync(join(yard.home, 'book.json'), 'utf8')) as { data: string };
    expect(statSync(card().data).isDirectory()).to.equal(true);
    await yard.stop();
    const moved = `${yard.folder}-moved`;
    renameSync(yard.folder, moved);
    await yard.start(moved);
    expect((await yard.ask<{ shopName: string }>('GET', '/api/welcome')).body.shopName).to.equal('Closed works');
    await yard.stop();
    cpSync(moved, yard.folder, { recursive: true });
    const copy = await yard.run('start.mjs');
    expect([copy.code, /Two folders never share one book/.test(copy.said)], copy.said).to.deep.equal([1, true]);
    rmSync(yard.folder, { recursive: true, force: true });
    renameSync(moved, yard.folder);
    await yard.start();
    expect((await yard.ask<{ shopName: string }>('GET', '/api/welcome')).body.shopName).to.equal('Closed works');
  });
});

describe('the log on the disk', () => {
  it('never grows without end, and a disk without room for it stops nobody', () => {
    const folder = mkdtempSync(join(tmpdir(), 'dauer-log-'));
    const log = logFile(folder, 'dauer');
    const line = `${'x'.repeat(1023)}\n`.repeat(1024);
    for (let i = 0; i < 40; i += 1) log.write(line);
    const files = readdirSync(folder).sort();
    expect(files).to.deep.equal(['dauer.1.log', 'dauer.2.log', 'dauer.3.log', 'dauer.4.log', 'dauer.5.log', 'dauer.log']);
    const bytes = files.reduce((sum, f) => sum + statSync(join(folder, f)).size, 0);
    expect(bytes).to.be.lessThan(32 * 2 ** 20);
    rmSync(folder, { recursive: true });
    logFile('/dev/null/nowhere', 'dauer').write(line);
  });
});
