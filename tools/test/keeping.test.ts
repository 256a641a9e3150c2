import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { expect } from 'chai';
import { connect } from '@dauer/server/db';
import { difference, type Fingerprint, fingerprint } from '@dauer/server/fingerprint';
import { PASSWORD, Yard } from './house.ts';

const AT = '2026-01-01T00:00:00.000Z';
/** What a restore changes on purpose: sessions end, keys are new, and it is another incarnation. */
const RENEWED = ['public.session', 'public.secret', 'public.attempt', 'public.incarnation'];

function kept(print: Fingerprint): Fingerprint {
  return { ...print, tables: Object.fromEntries(Object.entries(print.tables).filter(([name]) => !RENEWED.includes(name))) };
}

function filesUnder(folder: string): string[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((f) => f.isFile())
    .map((f) => join(f.parentPath, f.name));
}

describe('backups', function () {
  this.timeout(300000);
  const yard = new Yard();
  const stick = (): string => join(yard.folder, 'stick');
  let jobId = '';
  let slotId = '';
  const prints: Record<string, { at: string; print: Fingerprint }> = {};

  const printNow = async (): Promise<Fingerprint> => {
    const { db, close } = connect(yard.databaseUrl());
    try {
      return kept(await fingerprint(db, AT));
    } finally {
      await close();
    }
  };
  const put = (id = randomUUID()) =>
    yard.ask<{ code?: string; status?: string }>('POST', `/api/jobs/${jobId}/put-ins`, {
      ...{ id, happenedAt: new Date().toISOString(), device: 'test', slotId, what: 'plug', note: `Ada ${id.slice(-4)}` },
    });
  const finishSegment = async (): Promise<void> => {
    const name = await yard.finishSegment();
    await yard.until(() => filesUnder(stick()).some((f) => f.includes(`${name}.gz`)), `segment ${name}`);
  };
  const remember = async (name: string): Promise<void> => {
    prints[name] = { at: new Date().toISOString(), print: await printNow() };
    await wait(1100);
  };
  const settle = (): Promise<void> => yard.until(() => yard.status()?.lastCopy != null && yard.status()?.doing === null, 'a copy');

  before(async () => {
    await yard.start();
    await yard.fill();
    const { jobs } = (await yard.ask<{ jobs: { jobId: string; layout: { slots: { id: string; kind: string }[] } }[] }>('GET', '/api/yard'))
      .body;
    const { mkdirSync } = await import('node:fs');
    mkdirSync(stick());
    const job = jobs.find((j) => j.layout.slots.some((s) => s.kind === 'caliper'))!;
    [jobId, slotId] = [job.jobId, job.layout.slots.find((s) => s.kind === 'caliper')!.id];
  });
  after(() => yard.close());

  it('go to the folder that a lead names, sealed on wish; of the passphrase only the derived key stays', async () => {
    const none = await yard.ask<{ code: string }>('POST', '/api/backups/folder', { folder: join(stick(), 'nowhere'), password: PASSWORD });
    expect(none.body.code).to.equal('no_folder');
    expect((await yard.ask('POST', '/api/backups/folder', { folder: stick(), password: 'wrong' })).status).to.equal(403);
    expect((await yard.ask('POST', '/api/backups/folder', { folder: stick(), password: PASSWORD })).status).to.equal(200);
    await yard.until(() => filesUnder(stick()).some((f) => f.endsWith('.tar.gz')), 'an open copy');
    expect((await yard.ask<{ code: string }>('POST', '/api/backups/seal', { passphrase: 'short', password: PASSWORD })).body.code).to.equal(
      'short_passphrase',
    );
    expect((await yard.ask('POST', '/api/backups/seal', { passphrase: 'four plain words here', password: PASSWORD })).status).to.equal(200);
    await yard.until(() => filesUnder(stick()).some((f) => f.endsWith('.tar.gz.sealed')), 'a sealed copy');
    await settle();
    expect(statSync(join(yard.home, 'backup.key')).mode & 0o777).to.equal(0o600);
    const everything = [...filesUnder(stick()), join(yard.home, 'backup.json'), join(yard.home, 'backup.key')].map((f) =>
      readFileSync(f, 'latin1'),
    );
    expect(everything.some((text) => text.includes('four plain words'))).to.equal(false);
  });

  it('are tried: restored beside the book, and every row and every job held against it', async () => {
    const tried = await yard.run('backup.mjs', ['trial']);
    expect([tried.code, /Restored whole: \d+ rows and \d+ jobs, each the same/.test(tried.said)], tried.said).to.deep.equal([0, true]);
    expect(readdirSync(yard.home).filter((n) => n.includes('trial'))).to.deep.equal([]);
  });

  it('keep everything that is acknowledged afterwards, segment by segment', async () => {
    expect((await put()).status).to.equal(200);
    await remember('first');
    expect((await put()).status).to.equal(200);
    await remember('second');
    expect((await put()).status).to.equal(200);
    await finishSegment();
    await remember('third');
  });

  it('a stick that is away blocks nothing, is said, and gets what it missed when it is back', async () => {
    renameSync(stick(), `${stick()}-away`);
    await yard.until(() => /is not there/.test(yard.status()?.trouble ?? ''), 'the trouble to be said');
    expect((await put()).status).to.equal(200);
    expect(existsSync(stick())).to.equal(false);
    const notices = (await yard.ask<{ code: string }[]>('GET', '/api/notices')).body;
    expect(notices.map((n) => n.code)).to.include('backup_trouble');
    renameSync(`${stick()}-away`, stick());
    await yard.until(() => yard.status()?.trouble === null, 'the trouble to pass');
    await finishSegment();
    await remember('fourth');
  });

  it('an empty folder in its place is not written to', async () => {
    renameSync(stick(), `${stick()}-away`);
    const { mkdirSync } = await import('node:fs');
    mkdirSync(stick());
    await yard.until(() => /does not hold the backups of this book/.test(yard.status()?.trouble ?? ''), 'the trouble to be said');
    expect(readdirSync(stick())).to.deep.equal([]);
    rmSync(stick(), { recursive: true });
    renameSync(`${stick()}-away`, stick());
    await yard.until(() => yard.status()?.trouble === null, 'the trouble to pass');
  });

  it('never run over a living book, nor over one that lies there', async () => {
    const living = await yard.run('restore.mjs', ['--from', stick()]);
    expect([living.code, /Dauer runs already/.test(living.said)], living.said).to.deep.equal([1, true]);
    await yard.stop();
    const there = await yard.run('restore.mjs', ['--from', stick()]);
    expect([there.code, /A restore never runs over one/.test(there.said)], there.said).to.deep.equal([1, true]);
    expect(existsSync(join(yard.home, 'pg', 'PG_VERSION'))).to.equal(true);
  });

  it('a copy that is cut off in the middle harms none that was there, and none that comes after', async () => {
    const copies = (): string[] => filesUnder(stick()).filter((f) => /base\/.*\.json$/.test(f));
    const before = copies();
    for (const ms of [1300, 2100]) await yard.cut('backup.mjs', [], ms);
    // Cut off just as its keeper is at work: that one lives on by itself, and is ended before another begins.
    const keeper = (): string => {
      const note = join(yard.home, 'keeping.pid');
      return existsSync(note) ? readFileSync(note, 'utf8') : '';
    };
    const former = keeper();
    await yard.cut('backup.mjs', [], () => keeper() !== '' && keeper() !== former);
    for (const note of before) expect(existsSync(note), note).to.equal(true);
    const again = await yard.run('backup.mjs');
    expect([again.code, /A keeping left over/.test(again.said)], again.said).to.deep.equal([0, true]);
    expect(copies().length).to.be.greaterThan(before.length);
  });

  it('the wrong passphrase opens nothing, and no passphrase neither', async () => {
    renameSync(join(yard.home, 'backup.key'), join(yard.folder, 'key'));
    const blank = await yard.run('restore.mjs', ['--from', stick(), '--home', join(yard.folder, 'new')]);
    expect([blank.code, /are sealed/.test(blank.said)], blank.said).to.deep.equal([1, true]);
    const wrong = await yard.run('restore.mjs', ['--from', stick(), '--home', join(yard.folder, 'new')], {
      DAUER_PASSPHRASE: 'four plain words there',
    });
    expect([wrong.code, /does not fit/.test(wrong.said)], wrong.said).to.deep.equal([1, true]);
  });

  it('a restore that is cut off is not taken for a book, and done again it is whole', async () => {
    const target = join(yard.folder, 'cut');
    for (const ms of [1500, 2500]) {
      process.env['DAUER_PASSPHRASE'] = 'four plain words here';
      await yard.cut('restore.mjs', ['--from', stick(), '--home', target], ms);
    }
    const done = await yard.run('restore.mjs', ['--from', stick(), '--home', target], { DAUER_PASSPHRASE: 'four plain words here' });
    expect(done.code, done.said).to.equal(0);
    rmSync(target, { recursive: true });
    delete process.env['DAUER_PASSPHRASE'];
  });

  for (const [name, moment] of [
    ['the end', null],
    ['a moment', 'second'],
  ] as const)
    it(`restored to ${name}, every row and every job is as it was then, and it is another book`, async () => {
      await yard.stop();
      const at = moment ? ['--at', prints[moment]!.at] : [];
      const done = await yard.run('restore.mjs', ['--from', stick(), '--set-aside', ...at], { DAUER_PASSPHRASE: 'four plain words here' });
      expect(done.code, done.said).to.equal(0);
      await yard.start();
      const expected = prints[moment ?? 'fourth']!.print;
      expect(difference(expected, await printNow())).to.equal(null);
      expect((await yard.ask('GET', '/api/me')).status, 'a session of before').to.equal(401);
      expect(await yard.signIn()).to.equal(200);
    });

  it('what was blanked or blacked out after the moment is so again, also when a device sends it anew', async () => {
    // The book stands at the second moment; something is said, blacked out, and the book is set back before it.
    const id = randomUUID();
    expect((await put(id)).body.status).to.equal('stored');
    await finishSegment();
    const struck = {
      ...{ id: randomUUID(), happenedAt: new Date().toISOString(), device: 'desk' },
      corrects: id,
      field: 'note',
      reason: 'a name',
    };
    expect((await yard.ask('POST', `/api/jobs/${jobId}/redactions`, struck)).status).to.equal(200);
    await yard.until(
      () => filesUnder(stick()).some((f) => f.endsWith('erasures.json') && readFileSync(f, 'utf8').includes(id)),
      'the list',
    );
    expect(filesUnder(stick()).filter((f) => f.endsWith('erasures.json') && readFileSync(f, 'utf8').includes('Ada'))).to.deep.equal([]);
    const book = (await yard.ask('GET', '/api/welcome')).headers.get('x-dauer-book');
    await yard.stop();
    const done = await yard.run('restore.mjs', ['--from', stick(), '--set-aside', '--at', prints['second']!.at], {
      DAUER_PASSPHRASE: 'four plain words here',
    });
    expect(done.code, done.said).to.equal(0);
    expect(done.said).to.match(/blacked out again: 1/);
    await yard.start();
    expect(await yard.signIn()).to.equal(200);
    expect((await yard.ask('GET', '/api/welcome')).headers.get('x-dauer-book')).to.not.equal(book);
    // What a tablet still has comes in again, but for what was blacked out.
    expect((await put(id)).body.status).to.equal('stored');
    expect((await put(id)).body.status).to.equal('already_stored');
    const file = (
      await yard.ask<{ putIns: { id: string; note: string }[]; redactions: { corrects: string }[] }>('GET', `/api/jobs/${jobId}`)
    ).body;
    expect(file.putIns.find((p) => p.id === id)?.note).to.equal('■■■');
    expect(file.redactions.map((r) => r.corrects)).to.include(id);
  });

  it('the logical dump opens too', async () => {
    await yard.stop();
    const target = join(yard.folder, 'dumped');
    const done = await yard.run('restore.mjs', ['--from', stick(), '--dump', '--home', target], {
      DAUER_PASSPHRASE: 'four plain words here',
    });
    expect([done.code, /Restored: the book of Kept works/.test(done.said)], done.said).to.deep.equal([0, true]);
  });

  it('a spool that is full breaks the chain off, says so, and begins a new one with a whole copy', async () => {
    rmSync(join(yard.home, 'backup.json'));
    writeFileSync(join(yard.home, 'backup.json'), JSON.stringify({ folder: join(yard.folder, 'gone'), seal: null }));
    process.env['DAUER_SPOOL_KB'] = '8';
    await yard.start();
    expect(await yard.signIn()).to.equal(200);
    await yard.until(() => /is not there/.test(yard.status()?.trouble ?? ''), 'the trouble to be said');
    for (let i = 0; i < 4; i += 1) {
      expect((await put()).status).to.equal(200);
      await yard.finishSegment();
      await wait(300);
    }
    const broken = () =>
      (JSON.parse(readFileSync(join(yard.home, 'backup-status.json'), 'utf8')) as { brokenSince: string | null }).brokenSince;
    await yard.until(() => broken() !== null, 'the chain to break off');
    const waiting = filesUnder(join(yard.home, 'pg.spool')).reduce((sum, f) => sum + statSync(f).size, 0);
    expect(waiting).to.be.lessThan(2 ** 20);
    const { mkdirSync } = await import('node:fs');
    mkdirSync(join(yard.folder, 'gone'));
    expect((await yard.ask('POST', '/api/backups/folder', { folder: join(yard.folder, 'gone'), password: PASSWORD })).status).to.equal(200);
    await yard.until(() => broken() === null && yard.status()?.lastCopy != null && yard.status()?.doing === null, 'a new chain');
    await yard.stop();
    delete process.env['DAUER_SPOOL_KB'];
    const done = await yard.run('restore.mjs', ['--from', join(yard.folder, 'gone'), '--home', join(yard.folder, 'again')]);
    expect(done.code, done.said).to.equal(0);
  });
});
