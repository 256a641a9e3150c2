import { randomBytes } from 'node:crypto';
import { isAbsolute } from 'node:path';
import type { BackupSettings } from '@dauer/contract';
import type { Database } from '../../db/connect.ts';
import { shop } from '../../db/schema.ts';
import { ask, homeOf, readSettings, readStatus, writeKey, writeSettings } from '../../keeping/files.ts';
import { checkOf, keyOf } from '../../keeping/seal.ts';
import { Target, TargetAway } from '../../keeping/target.ts';
import { HttpProblem } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { requirePassword } from '../../records/people.ts';

const MIN_PASSPHRASE = 12;

function stateOf(home: string | null) {
  return home ? { settings: readSettings(home), status: readStatus(home) } : { settings: null, status: null };
}

/** The folder of the book, or a HttpProblem where another server has the book. */
function requireHome(): string {
  const home = homeOf();
  if (home) return home;
  throw new HttpProblem(
    'book_elsewhere',
    'The book lies on a database server of its own, named by DATABASE_URL: its backups are that server’s. Here a logical dump is made every night.',
  );
}

const bookOf = (): string => process.env['DAUER_BOOK'] ?? '';

/** Says in the folder whose copies it holds, and by what their keys are known. */
async function begin(db: Database, folder: string, settings: BackupSettings): Promise<void> {
  const [own] = await db.select({ name: shop.name }).from(shop);
  const target = new Target(folder, bookOf(), null);
  const seals = (await target.card())?.seals ?? [];
  const { seal } = settings;
  const now = seal ? [...seals.filter((s) => s.check !== seal.check), { salt: seal.salt, check: seal.check }] : seals;
  try {
    await target.begin({ shop: own?.name ?? '', seals: now });
  } catch (error) {
    if (error instanceof TargetAway) throw new HttpProblem('no_folder', error.message);
    throw new HttpProblem(
      'no_folder',
      `Nothing can be written into ${folder}. Name another folder, or let the account that Dauer runs as write there.`,
    );
  }
}

type Names = 'backups' | 'nameBackupFolder' | 'sealBackups' | 'askForBackup';

/** What a lead says and sees of the backups; they are made by a process beside this one. */
export const backupHandlers: Pick<Handlers, Names> = {
  backups: async () => stateOf(homeOf()),
  nameBackupFolder: async (call) => {
    const { db, body } = call;
    await requirePassword(call, body.password);
    const home = requireHome();
    const settings = { ...readSettings(home), folder: body.folder };
    if (body.folder !== null) {
      if (!isAbsolute(body.folder)) throw new HttpProblem('no_folder', 'Name the folder with its whole path, from the root: /media/stick');
      await begin(db, body.folder, settings);
    }
    writeSettings(home, settings);
    ask(home, 'copy');
    return stateOf(home);
  },
  sealBackups: async (call) => {
    const { db, body } = call;
    await requirePassword(call, body.password);
    const home = requireHome();
    const settings = readSettings(home);
    if (body.passphrase === null) {
      writeSettings(home, { ...settings, seal: null });
      writeKey(home, null);
    } else {
      if (body.passphrase.trim().length < MIN_PASSPHRASE)
        throw new HttpProblem(
          'short_passphrase',
          `A passphrase has ${MIN_PASSPHRASE} characters or more; several words are easiest to copy.`,
        );
      const salt = randomBytes(16);
      const key = keyOf(body.passphrase, salt);
      const next = { ...settings, seal: { salt: salt.toString('base64'), check: checkOf(key), since: new Date().toISOString() } };
      if (settings.folder !== null) await begin(db, settings.folder, next);
      // The key first: what is sealed can always be opened here.
      writeKey(home, key);
      writeSettings(home, next);
    }
    ask(home, 'copy');
    return stateOf(home);
  },
  askForBackup: async ({ body }) => {
    const home = requireHome();
    ask(home, body.what);
    return stateOf(home);
  },
};
