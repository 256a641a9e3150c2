import { mkdirSync } from 'node:fs';
import { setPriority } from 'node:os';
import { setTimeout as wait } from 'node:timers/promises';
import { connect } from '../../server/src/db/connect.ts';
import { logLine } from '../../server/src/platform/log.ts';
import { logicalDump } from '../../server/src/keeping/copies.ts';
import { Keeper } from '../../server/src/keeping/keeper.ts';
import { emptyFolder, giveToServer, playBack, programsOf } from './recover.mjs';
import { isDue } from '../../server/src/keeping/retain.ts';
import { Target } from '../../server/src/keeping/target.ts';
import { tryRestore } from '../../server/src/keeping/trial.ts';

/** How often it looks, ms: what PostgreSQL has finished of its log is in the backup folder soon after. */
const LOOK_MS = Number(process.env.DAUER_LOOK_MS ?? 3000);
const env = (name) => process.env[name] ?? '';

const place = {
  home: env('DAUER_HOME'),
  book: env('DAUER_BOOK'),
  data: env('DAUER_BOOK_DATA'),
  bin: env('DAUER_PG_BIN'),
  spool: env('DAUER_SPOOL'),
  url: env('DATABASE_URL'),
};
// Copies are made beside the work, never before it.
setPriority(10);
/** How a copy is restored beside the book: by the same means as a restore. */
const trial = (copyOf, target, connection) => tryRestore(copyOf, target, connection, { emptyFolder, giveToServer, playBack, programsOf });
let stopped = false;
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (stopped = true));

/** Where the book lies on a server of its own: a logical dump every night, beside the program. */
async function dumpNightly() {
  const folder = env('DAUER_FILES');
  mkdirSync(folder, { recursive: true });
  const connection = connect(place.url);
  const target = new Target(folder, 'elsewhere', null);
  if (!(await target.card())) await target.begin({ shop: '', seals: [] });
  /** @type {{ endedAt: string } | null} */
  let last = null;
  while (!stopped) {
    if (isDue(last, new Date(), 'UTC')) {
      try {
        await logicalDump({ pool: connection.pool, url: place.url, bin: place.bin }, target);
        last = { endedAt: new Date().toISOString() };
      } catch (error) {
        logLine('logical dump failed', { says: error instanceof Error ? error.message : '' });
        await wait(60000);
      }
    }
    await wait(1000);
  }
  await connection.close();
}

async function keepOn() {
  const keeper = new Keeper(place, trial);
  while (!stopped) {
    await keeper.look();
    for (let waited = 0; waited < LOOK_MS && !stopped; waited += 100) await wait(100);
  }
  await keeper.close();
}

/** One copy, now; says where it is. */
async function once(why) {
  const keeper = new Keeper(place, trial);
  const note = await keeper.before(why);
  process.stderr.write(
    note ? `Copied: ${note.file} (${Math.round(note.bytes / 1024)} kB).\n` : 'The book is empty; there is nothing to copy.\n',
  );
  await keeper.close();
}

const [, , what] = process.argv;
if (what === 'before-migration') await (place.home ? once('before its form was changed') : Promise.resolve());
else if (what === 'copy') await once('asked for');
else if (what === 'look') {
  const keeper = new Keeper(place, trial);
  await keeper.look(process.argv[3] === 'trial' ? 'trial' : 'copy');
  await keeper.close();
} else if (place.home) await keepOn();
else await dumpNightly();
process.exit(0);
