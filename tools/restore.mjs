import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureModules, ensurePackages, ROOT } from './lib/machine.mjs';
import { DAUER } from './lib/runShop.mjs';
import { run } from './lib/say.mjs';

/** Restores a backup: npm run restore -- [--at "yesterday 14:00"] [--from /media/stick] [--set-aside] [--dump] */
await run(async () => {
  checkNode();
  ensurePackages();
  ensureModules();
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'tools/lib/restoring.mjs'), ...process.argv.slice(2)], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, DAUER_FOLDER: DAUER },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill('SIGTERM'));
  process.exit(await new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 1))));
});
