import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { findBook } from './lib/bookFolder.mjs';
import { openCluster } from './lib/cluster.mjs';
import { checkNode } from './lib/machine.mjs';
import { DAUER } from './lib/runShop.mjs';
import { run, say, Stop } from './lib/say.mjs';

/** Deletes a book for good, once the name of its shop was typed: the one command that does. */
await run(async () => {
  checkNode();
  const home = join(DAUER, 'shop');
  if (!existsSync(home) || !findBook(home)) throw new Stop(`There is no book in ${home}.`);
  const cluster = await openCluster(home, { archive: false });
  const name = cluster.ask('dauer', 'select name from shop limit 1') || 'no name yet';
  const { data, socket, spool } = cluster;
  say(`This deletes the book of “${name}” in ${data} for good. Its backups elsewhere stay.`);
  const asked = createInterface({ input: process.stdin, output: process.stdout });
  const typed = await asked.question('Type the name of the shop to go on: ');
  asked.close();
  cluster.stop();
  if (typed.trim() !== name) throw new Stop('That is not its name. Nothing was deleted.');
  for (const path of [data, socket, spool ?? `${data}.spool`, home]) rmSync(path, { recursive: true, force: true });
  say('Deleted.');
});
