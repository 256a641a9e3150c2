import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { findBook, writeWhole } from './lib/bookFolder.mjs';
import { openCluster } from './lib/cluster.mjs';
import { endOrphan, lockHome } from './lib/lock.mjs';
import { checkNode, ensureModules, ensurePackages, ROOT } from './lib/machine.mjs';
import { DAUER, placeOf } from './lib/runShop.mjs';
import { run, say, Stop } from './lib/say.mjs';
import { childOf } from './lib/serve.mjs';

/** How long a copy may take before nobody waits for it here, ms. */
const PATIENCE_MS = 1800000;

const statusOf = (home) => {
  const path = join(home, 'backup-status.json');
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null;
};
function sayStatus(status, what) {
  if (!status || status.trouble) throw new Stop(status?.trouble ?? 'No backup was made.');
  if (what === 'trial') {
    if (!status.lastTrial?.good) throw new Stop(status.lastTrial?.says ?? 'The trial did not come to an end.');
    return say(status.lastTrial.says);
  }
  say(
    `Copied to ${status.folder}${status.sealed ? ', sealed' : ''}: ${Math.round(status.lastCopy.bytes / 1024)} kB, up to ${status.safeTo}.`,
  );
  if (status.sameDisk)
    say('That is the disk of the book itself: it guards against a slip, not against a lost disk. A lead names another folder in Shop.');
}

/** Makes a backup now: npm run backup. With “trial” behind it, tries whether the copies can be restored. */
await run(async () => {
  checkNode();
  ensurePackages();
  ensureModules();
  const what = process.argv[2] === 'trial' ? 'trial' : 'copy';
  const home = join(DAUER, process.argv.includes('--demo') ? 'demo' : 'shop');
  if (!existsSync(home)) throw new Stop(`There is no book in ${home} yet.`);
  /** @type {ReturnType<typeof lockHome> | null} */
  let lock = null;
  try {
    lock = lockHome(home);
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
  }
  if (!lock) {
    say('Dauer is running: whoever keeps its backups is asked.');
    const before = statusOf(home);
    writeWhole(join(home, 'backup-asked'), what);
    const seen = (s) => (what === 'trial' ? s?.lastTrial?.at : s?.lastCopy?.at);
    for (const end = Date.now() + PATIENCE_MS; Date.now() < end; await wait(500)) {
      const now = statusOf(home);
      if (
        now &&
        !existsSync(join(home, 'backup-asked')) &&
        ((now.trouble && now.at > (before?.at ?? '')) || seen(now) !== seen(before)) &&
        !now.doing
      )
        return sayStatus(now, what);
    }
    throw new Stop('It did not come to an end. See .dauer/log/dauer.log.');
  }
  if (!findBook(home)) throw new Stop(`There is no book in ${home} yet.`);
  // One that was cut off leaves its keeper at work: two at once would take the waiting log from under each other.
  await endOrphan(home, 'keeping');
  const cluster = await openCluster(home, { lock });
  try {
    const child = childOf(['--import', 'tsx', join(ROOT, 'tools/lib/keeping.mjs'), 'look', what], {
      env: { ...placeOf(cluster), DATABASE_URL: cluster.database('dauer') },
      home,
      name: 'keeping',
    });
    await child.gone;
    if (child.exitCode() !== 0) throw new Stop(child.printed() || 'The backup was cut off.');
    sayStatus(statusOf(home), what);
  } finally {
    cluster.stop();
  }
});
