import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import Mocha from 'mocha';
import { tellPages } from '../../e2e/house.ts';
import { ROOT } from './machine.mjs';

/**
 * Browser tests, file after file in one process: the rules, the demonstration shop and the browser are loaded once for all files
 * of a lane, not once a file. What is to be run comes as messages, and what came of it goes back.
 */
const Reporter = createRequire(import.meta.url)('./reporter.cjs');
const { timeout } = JSON.parse(readFileSync(join(ROOT, '.mocharc.json'), 'utf8'));

/** @returns {Promise<unknown>} what the reporter counted */
async function countsOf(files, bail) {
  const mocha = new Mocha({ bail, timeout, reporter: Reporter, rootHooks: { afterEach: tellPages } });
  for (const file of files) mocha.addFile(join(ROOT, file));
  await mocha.loadFilesAsync();
  return new Promise((resolve) => {
    const runner = mocha.run(() => {
      mocha.dispose();
      resolve(/** @type {{ counts?: unknown }} */ (runner).counts);
    });
  });
}

process.on('message', async (/** @type {{ files: string[], bail: boolean }} */ { files, bail }) => {
  try {
    process.send?.(await countsOf(files, bail));
  } catch (error) {
    process.send?.({ passed: 0, failed: 1, skipped: 0, failures: [String(error instanceof Error ? error.stack : error)] });
  }
});
process.on('disconnect', () => process.exit());
