import { randomBytes } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { incarnate } from '../../server/src/keeping/incarnate.ts';
import { readErasures } from '../../server/src/keeping/erasures.ts';
import { readKey, readSettings, writeKey, writeSettings } from '../../server/src/keeping/files.ts';
import { momentOf, NoMoment } from '../../server/src/keeping/moment.ts';
import { fits, keyOf, NotSealed } from '../../server/src/keeping/seal.ts';
import { booksIn, putAt, Target, TargetAway } from '../../server/src/keeping/target.ts';
import { layOutLog, unpackCopy } from '../../server/src/keeping/unpack.ts';
import { dataOf, hasSomething, markCluster, newCard, readCard, writeCard, writeWhole } from './bookFolder.mjs';
import { openCluster } from './cluster.mjs';
import { lockHome } from './lock.mjs';
import { emptyFolder, giveToServer, playBack, programsOf } from './recover.mjs';
import { run, say, Stop } from './say.mjs';

const HBA = 'local all all scram-sha-256\nlocal replication all scram-sha-256\n';

function optionsFrom(args) {
  const valueOf = (name) => {
    const i = args.indexOf(name);
    if (i < 0) return null;
    const value = args[i + 1];
    if (value === undefined || value.startsWith('--')) throw new Stop(`${name} wants something after it.`);
    return value;
  };
  const known = ['--at', '--from', '--book', '--home', '--set-aside', '--dump'];
  const odd = args.find((a) => a.startsWith('--') && !known.includes(a));
  if (odd) throw new Stop(`There is no option ${odd}. There are: ${known.join(', ')}`);
  return {
    at: valueOf('--at'),
    from: valueOf('--from'),
    book: valueOf('--book'),
    home: valueOf('--home'),
    setAside: args.includes('--set-aside'),
    dump: args.includes('--dump'),
  };
}

/** Puts what lies in the folder aside, under another name: nothing of it is removed. Returns where it is now. */
function putAside(home) {
  const aside = `${home}.set-aside-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  const card = readCard(home);
  renameSync(home, aside);
  if (card?.data?.startsWith('/') && existsSync(card.data)) {
    const data = `${card.data}.set-aside-${aside.slice(-24)}`;
    renameSync(card.data, data);
    writeCard(aside, { ...card, data });
    markCluster(data, card.book, aside);
  }
  mkdirSync(home, { recursive: true });
  for (const name of ['backup.json', 'backup.key']) if (existsSync(join(aside, name))) copyFileSync(join(aside, name), join(home, name));
  return aside;
}

/** Whether there is anything in the folder that a restore must not run over. */
function holdsBook(home) {
  const card = readCard(home);
  if (card?.state === 'restoring') return false;
  return hasSomething(join(home, 'pg')) || (card !== null && card.state === 'made');
}

async function passphrase() {
  if (process.env.DAUER_PASSPHRASE) return process.env.DAUER_PASSPHRASE;
  if (!process.stdin.isTTY) throw new Stop('These copies are sealed. Say the passphrase: DAUER_PASSPHRASE=… npm run restore');
  const asked = createInterface({ input: process.stdin, output: process.stdout });
  const said = await asked.question('Passphrase of the backups: ');
  asked.close();
  return said;
}

/** The key of a copy: the one that lies here, or the one that the passphrase gives. */
async function keyFor(home, card, check) {
  if (check === null) return null;
  const here = existsSync(home) ? readKey(home) : null;
  if (here && fits(here, check)) return here;
  const seal = card.seals.find((s) => s.check === check);
  if (!seal) throw new Stop('What the passphrase of this copy is known by is missing beside the copies; it cannot be opened.');
  const key = keyOf(await passphrase(), Buffer.from(seal.salt, 'base64'));
  if (!fits(key, check)) throw new Stop('The passphrase does not fit. Nothing was changed.');
  return key;
}

/** Which book’s copies: the one of this folder, or the only one there. */
async function chooseBook(from, wanted, own) {
  const books = await booksIn(from);
  if (books.length === 0)
    throw new Stop(`No backups of Dauer were found in ${from}. Say where they are: npm run restore -- --from /media/stick`);
  const found = books.find((b) => b.book === (wanted ?? own)) ?? (books.length === 1 && !wanted ? books[0] : null);
  if (found) return found;
  throw new Stop(
    `There are backups of several books in ${from}. Say which: ${books.map((b) => `--book ${b.book} (${b.card.shop || 'no name yet'})`).join(' or ')}`,
  );
}

async function allCopies(target) {
  const lists = await Promise.all((await target.incarnations()).map((i) => target.copies(i)));
  return lists.flat().sort((a, b) => (a.endedAt < b.endedAt ? -1 : 1));
}

function chooseCopy(copies, at) {
  const newest = copies.findLast((c) => at === null || c.endedAt <= at);
  if (newest) return newest;
  throw new Stop(
    copies.length === 0
      ? 'No whole copy was ever finished there.'
      : `The oldest copy there was finished at ${copies[0].endedAt}; nothing before it can be restored.`,
  );
}

/** Where a restore is made ready, beside the folder that it is for: what is there stays until all of it is. */
const workOf = (home) => `${home}.restoring`;

/** An empty place for a restore; one that was cut off before is begun anew. */
function beginWork(home) {
  const work = workOf(home);
  const before = existsSync(work) ? readCard(work) : null;
  if (before?.data?.startsWith('/'))
    for (const end of ['', '.making', '.wal', '.sock']) rmSync(`${before.data}${end}`, { recursive: true, force: true });
  rmSync(work, { recursive: true, force: true });
  mkdirSync(work, { recursive: true });
  return work;
}

/** Puts what was made ready into its place; the card comes last, so that nothing half there is taken for a book. */
function putInPlace(work, home) {
  const card = readCard(work);
  mkdirSync(home, { recursive: true });
  writeCard(home, { ...card, state: 'restoring' });
  for (const name of readdirSync(work).filter((n) => n !== 'book.json' && n !== 'lock')) {
    rmSync(join(home, name), { recursive: true, force: true });
    renameSync(join(work, name), join(home, name));
  }
  markCluster(dataOf(home, card), card.book, home);
  giveToServer(join(dataOf(home, card), 'dauer-book.json'));
  writeCard(home, card);
  rmSync(work, { recursive: true, force: true });
}

async function restoreCopy({ home, target, copy, at, erasures }) {
  const bin = programsOf(copy.major);
  const card = { ...newCard(home), book: copy.book, state: 'restoring' };
  writeCard(home, card);
  const data = dataOf(home, card);
  const [making, wal, socket] = [`${data}.making`, `${data}.wal`, `${data}.sock`];
  emptyFolder(making);
  emptyFolder(wal);
  say(`Unpacking the copy of ${copy.endedAt} …`);
  await unpackCopy(target, copy, making);
  const many = await layOutLog(target, copy, wal);
  giveToServer(wal);
  say(`Playing the log back (${many} ${many === 1 ? 'segment' : 'segments'}) …`);
  const password = randomBytes(18).toString('base64url');
  const played = await playBack({ data: making, bin, wal, socket, password, until: at === null ? null : { time: at } });
  const upTo = played.lastChange ?? copy.endedAt;
  const again = await incarnate(played.address('dauer'), upTo, erasures);
  played.seal(HBA);
  markCluster(making, card.book, home);
  giveToServer(making);
  writeWhole(join(home, 'password'), password);
  renameSync(making, data);
  writeCard(home, { ...card, state: 'made' });
  rmSync(wal, { recursive: true, force: true });
  return { upTo, again };
}

/** Restores the logical dump into a cluster of the newest PostgreSQL on this machine. */
async function restoreDump({ home, target, key, at, erasures }) {
  const dumps = (
    await Promise.all((await target.incarnations()).map(async (i) => (await target.names(`${i}/dump`)).map((n) => ({ i, n }))))
  )
    .flat()
    .sort((a, b) => (a.n < b.n ? -1 : 1));
  const limit = at === null ? '~' : at.replace(/[:.]/g, '-');
  const chosen = dumps.findLast((d) => d.n.slice(0, 24) <= limit);
  if (!chosen) throw new Stop('There is no logical dump of before that moment.');
  if (chosen.n.endsWith('.sealed') && !key) throw new Stop('This dump is sealed, and the passphrase is not known.');
  say(`Reading the dump ${chosen.n} …`);
  const work = mkdtempSync(join(tmpdir(), 'dauer-dump-'));
  try {
    const file = join(work, 'book.dump');
    await putAt(file, target.read(`${chosen.i}/dump/${chosen.n}`));
    const cluster = await openCluster(home, { archive: false });
    const url = cluster.database('dauer');
    const done = spawnSync(
      join(cluster.bin, 'pg_restore'),
      ['--no-owner', '--exit-on-error', '-h', cluster.socket, '-U', 'dauer', '-d', 'dauer', file],
      {
        encoding: 'utf8',
        env: { ...process.env, PGPASSWORD: cluster.password },
      },
    );
    if (done.status !== 0) throw new Stop(`The dump could not be read: ${done.stderr.trim().split('\n').slice(-2).join(' ')}`);
    const at = `${chosen.n.slice(0, 10)}T${chosen.n.slice(11, 19).replace(/-/g, ':')}.${chosen.n.slice(20, 23)}Z`;
    const again = await incarnate(url, at, erasures);
    cluster.stop();
    return { upTo: at, again };
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}

/** Copies go on to where they came from, sealed as they were: also on a machine that knew nothing of them. */
function goOn(home, from, card, copy, key) {
  const settings = readSettings(home);
  const seal = settings.seal ?? card.seals.find((s) => s.check === copy?.seal) ?? null;
  const folder = settings.folder ?? (resolve(from) === join(home, 'backups') || from.includes('.set-aside-') ? null : resolve(from));
  writeSettings(home, { folder, seal: seal && { ...seal, since: seal.since ?? new Date().toISOString() } });
  if (seal && key && fits(key, seal.check)) writeKey(home, key);
}

async function main() {
  const options = optionsFrom(process.argv.slice(2));
  const home = options.home ?? join(String(process.env.DAUER_FOLDER), 'shop');
  mkdirSync(dirname(home), { recursive: true });
  const lock = lockHome(home);
  if (holdsBook(home) && !options.setAside)
    throw new Stop(
      `There is a book in ${home}. A restore never runs over one: it is put aside under another name, and nothing of it removed, with:\n  npm run restore -- --set-aside`,
    );
  const from = options.from ?? readSettings(home).folder ?? join(home, 'backups');
  const { book, card } = await chooseBook(from, options.book, readCard(home)?.book);
  const copies = await allCopies(new Target(from, book, null));
  const zone = copies.at(-1)?.zone ?? 'UTC';
  const at = options.at === null ? null : momentOf(options.at, zone, Date.now());
  const copy = options.dump ? copies.at(-1) : chooseCopy(copies, at);
  const key = await keyFor(home, card, copy?.seal ?? null);
  const target = new Target(from, book, key);
  const erasures = await readErasures(target);
  const work = beginWork(home);
  const { upTo, again } = options.dump
    ? await restoreDump({ home: work, target, key, at, erasures })
    : await restoreCopy({ home: work, target, copy, at, erasures });
  if (holdsBook(home)) say(`What was there is now ${putAside(home)}.`);
  putInPlace(work, home);
  goOn(home, from, card, copy, key);
  lock.release();
  say(
    `\nRestored: the book of ${card.shop || copy?.shop || 'this shop'} as it stood at ${upTo}.${again > 0 ? ` Blanked or blacked out again: ${again}.` : ''}\nEverybody signs in anew; tablets send again what they have taken in the last nine days. Start it with: npm start`,
  );
}

await run(async () => {
  try {
    await main();
  } catch (error) {
    if (error instanceof TargetAway || error instanceof NotSealed || error instanceof NoMoment) throw new Stop(error.message);
    throw error;
  }
  process.exit(0);
});
