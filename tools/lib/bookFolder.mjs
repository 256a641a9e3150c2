import { createHash, randomBytes } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, realpathSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { isRoot } from './machine.mjs';
import { majorOf, serverAccount, serverCanEnter } from './postgres.mjs';
import { say, Stop } from './say.mjs';

/** Where the data of books lies whose own folder PostgreSQL’s account cannot enter. */
const ASIDE = process.env.DAUER_ASIDE ?? '/var/lib/postgresql';
const CARD = 'book.json';
const MARK = 'dauer-book.json';
/** What a folder may hold without there being a book in it. */
const NO_BOOK = new Set(['lock', 'log', 'port', 'server.pid', 'keeping.pid', 'backup.key', 'backups']);

function readJson(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
}

/** Written beside and put in place at once: whoever reads it finds the former or the new one. */
export function writeWhole(path, text, mode = 0o600) {
  writeFileSync(`${path}.new`, text, { mode });
  renameSync(`${path}.new`, path);
}

export const hasSomething = (folder) => existsSync(folder) && readdirSync(folder).length > 0;

/** What stands in a cluster of which book it is, and of which folder. */
const markOf = (data) => readJson(join(data, MARK));

/** Writes in the cluster which book it is and which folder it belongs to. */
export function markCluster(data, id, home) {
  writeWhole(join(data, MARK), JSON.stringify({ book: id, home }), 0o644);
}

export function writeCard(home, card) {
  writeWhole(join(home, CARD), JSON.stringify(card, null, 2));
}

export const readCard = (home) => readJson(join(home, CARD));

/** Where an older program put the data of a folder that PostgreSQL’s account could not enter: by a hash of its path. */
const formerAside = (home) => join(ASIDE, `dauer-${createHash('sha256').update(home).digest('hex').slice(0, 10)}`);

/** The first folder on the way that PostgreSQL’s account cannot enter; null where it reaches all of them. */
function closedOn(path) {
  if (!isRoot) return null;
  for (let at = path; ; at = dirname(at)) {
    if (!serverCanEnter(at)) return at;
    if (at === dirname(at)) return null;
  }
}

/** Where a new book’s data will lie: in its folder, or aside where PostgreSQL’s account cannot enter that. */
export function newCard(home) {
  const id = randomBytes(8).toString('hex');
  const closed = closedOn(home);
  const data = closed ? join(ASIDE, `dauer-${id}`) : join(home, 'pg');
  if (closed) say(`PostgreSQL’s account cannot enter ${closed}; the data goes to ${data}, and ${join(home, CARD)} says so.`);
  return { book: id, data: closed ? data : 'pg', state: 'making' };
}

export const dataOf = (home, card) => (card.data.startsWith('/') ? card.data : join(home, card.data));

/** Says in a sentence why a data folder cannot be opened; null where nothing speaks against it. */
function damageOf(data) {
  const without = ['PG_VERSION', 'global/pg_control', 'base'].find((n) => !existsSync(join(data, n)));
  if (without) return `“${without}” is missing`;
  if (majorOf(data) === null) return 'its “PG_VERSION” cannot be read';
  return null;
}

function refuseDamage(data) {
  const damage = damageOf(data);
  if (!damage) return;
  throw new Stop(
    `There is something in ${data}, but it cannot be opened as a book: ${damage}.\nNothing was changed or removed. Put back what is missing, or restore a backup: npm run restore -- --set-aside`,
  );
}

function refuseStranger(data) {
  const { uid } = serverAccount();
  const owner = statSync(data).uid;
  if (owner === uid) return;
  throw new Stop(
    `The book in ${data} belongs to another account of this machine (number ${owner}). Start Dauer as whoever made it: ${owner === 0 || isRoot ? 'without root' : 'as root, or with sudo'}. Nothing was changed.`,
  );
}

/** A folder that an older program made a book in gets its card. */
function adopt(home) {
  const [here, aside] = [join(home, 'pg'), formerAside(home)];
  const asides = existsSync(ASIDE) ? readdirSync(ASIDE).filter((n) => n.startsWith('dauer-')) : [];
  const marked = asides.map((n) => join(ASIDE, n)).find((path) => markOf(path)?.home === home);
  const data = [here, aside].find(hasSomething) ?? marked ?? null;
  if (data) {
    refuseDamage(data);
    refuseStranger(data);
    const card = { book: markOf(data)?.book ?? randomBytes(8).toString('hex'), data: data === here ? 'pg' : data, state: 'made' };
    markCluster(data, card.book, home);
    writeCard(home, card);
    return card;
  }
  const others = existsSync(home) ? readdirSync(home).filter((n) => !NO_BOOK.has(n) && !(n === 'pg' && !hasSomething(here))) : [];
  if (others.length === 0) return null;
  const candidates = asides.filter((n) => !n.includes('.') && !markOf(join(ASIDE, n)));
  throw new Stop(
    `${home} is not empty (${others.slice(0, 4).join(', ')}), and the data of its book is not found. No new book was made over it.\n` +
      (candidates.length > 0
        ? `It may be ${candidates.map((n) => join(ASIDE, n)).join(' or ')}, from before the folder was renamed. Say so with: DAUER_DATA=${join(ASIDE, candidates[0])} npm start`
        : 'Put the data back, restore a backup (npm run restore -- --set-aside), or move what lies there away.'),
  );
}

/** What a lead may say of where the data of a folder lies that lost its card. */
function namedByHand(home) {
  const data = process.env.DAUER_DATA;
  if (!data) return null;
  refuseDamage(data);
  refuseStranger(data);
  const card = { book: randomBytes(8).toString('hex'), data, state: 'made' };
  if (markOf(data)) throw new Stop(`The data in ${data} belongs to the book of ${markOf(data).home} already. Nothing was changed.`);
  markCluster(data, card.book, home);
  writeCard(home, card);
  return card;
}

/** One cluster is of one folder: a moved folder keeps it, a copied one does not get it. */
function settleClaim(home, card, data) {
  const mark = markOf(data);
  if (!mark) {
    markCluster(data, card.book, home);
    return card;
  }
  if (mark.book !== card.book)
    throw new Stop(
      `${home} and the data in ${data} are of two different books (${card.book} and ${mark.book}). Nothing was changed; put the right data back.`,
    );
  if (mark.home === home || !existsSync(mark.home)) {
    if (mark.home !== home) markCluster(data, card.book, home);
    return card;
  }
  const same = realpathSync(mark.home) === realpathSync(home);
  if (same || readCard(mark.home)?.book !== card.book) {
    markCluster(data, card.book, home);
    return card;
  }
  if (card.data.startsWith('/'))
    throw new Stop(
      `The data in ${data} belongs to ${mark.home}, and ${home} is a copy of that folder. Two folders never share one book: use the first, or restore a backup here.`,
    );
  // A copy that brought its data along is a book of its own from now on: it never claims the other’s backups.
  const own = { ...card, book: randomBytes(8).toString('hex') };
  writeCard(home, own);
  markCluster(data, own.book, home);
  say(`This folder is a copy of ${mark.home}: it is a book of its own from now on.`);
  return own;
}

/**
 * Finds the book of a folder by its card, wherever the folder was moved to.
 * @param {string} home
 * @returns its card, with state `making` where it never came to be; null where there is surely none
 * @throws {Stop} where there is something that cannot be opened; nothing is changed then
 */
export function findBook(home) {
  const card = readCard(home) ?? namedByHand(home) ?? adopt(home);
  if (!card) return null;
  const data = dataOf(home, card);
  if (card.state === 'restoring') throw new Stop(`A restore into ${home} was cut off before it was done. Run it again: npm run restore`);
  if (card.state === 'making' && !hasSomething(data)) return card;
  if (!hasSomething(data))
    throw new Stop(
      `The book of ${home} should lie in ${data}, and is not there. No new one was made over it.\nPut it back, or restore a backup: npm run restore -- --set-aside`,
    );
  refuseDamage(data);
  refuseStranger(data);
  const made = card.state === 'made' ? card : { ...card, state: 'made' };
  if (made !== card) writeCard(home, made);
  return settleClaim(home, made, data);
}
