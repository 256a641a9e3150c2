import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureModules, ensurePackages, ROOT } from './lib/machine.mjs';
import { run } from './lib/say.mjs';

/** Long drills: npm run drills -- [kills] [disk] [fuzz] [restore] [tablet] … [--kills 500] [--fuzz 200] [--tablet 300] [--seed 7] */
await run(async () => {
  checkNode();
  ensurePackages();
  ensureModules();
  ensureBuilt();
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'tools/lib/drilling.mjs'), ...process.argv.slice(2)], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM', 'SIGHUP'])) process.on(signal, () => child.kill(signal));
  process.exit(await new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 1))));
});
