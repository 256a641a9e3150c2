import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureModules, ROOT } from './lib/machine.mjs';
import { run, say, Stop } from './lib/say.mjs';

/** The simulated bench beside a shop that runs already: DAUER_URL says where, DAUER_INSTRUMENT_KEY is its key. */
await run(async () => {
  checkNode();
  ensureModules();
  if (!process.env.DAUER_INSTRUMENT_KEY)
    throw new Stop('The key of the bench is missing. A lead finds it under Gauges; then: DAUER_INSTRUMENT_KEY=… npm run instruments');
  const port = Number(process.env.INSTRUMENTS_PORT ?? 4690);
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'instruments/src/main.ts')], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  say(`The simulated bench is at http://127.0.0.1:${port}. Ctrl-C stops it.`);
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill('SIGTERM'));
  await new Promise((resolve) => child.on('exit', resolve));
});
