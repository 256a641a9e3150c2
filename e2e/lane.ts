import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import Mocha from 'mocha';
import { ROOT } from '../tools/lib/machine.mjs';
import { tellPages } from './house.ts';

/*
 * Browser tests, file after file in one process: the rules, the demonstration shop and the browser are loaded once for all files
 * of a lane, not once a file. What is to be run comes as messages, and what came of it goes back.
 */

/** As the reporter counts them. */
interface Counts {
  readonly passed: number;
  readonly failed: number;
  readonly skipped: number;
  readonly failures: readonly string[];
}

const reporter = createRequire(import.meta.url)('../tools/lib/reporter.cjs') as Mocha.ReporterConstructor;
const { timeout } = JSON.parse(readFileSync(join(ROOT, '.mocharc.json'), 'utf8')) as { timeout: number };

/** What follows a failed test in its file mostly stands on it, and would only wait for what cannot come. */
async function countsOf(files: readonly string[]): Promise<Counts> {
  const mocha = new Mocha({ bail: true, timeout, reporter, rootHooks: { afterEach: tellPages } });
  for (const file of files) mocha.addFile(join(ROOT, file));
  await mocha.loadFilesAsync();
  return new Promise((resolve, reject) => {
    const runner: Mocha.Runner & { counts?: Counts } = mocha.run(() => {
      mocha.dispose();
      if (runner.counts) resolve(runner.counts);
      else reject(new Error('the run ended without a report'));
    });
  });
}

process.on('message', (files: readonly string[]) => {
  countsOf(files).then(
    (counts) => process.send?.(counts),
    (error: unknown) => {
      const why = error instanceof Error ? (error.stack ?? error.message) : String(error);
      process.send?.({ passed: 0, failed: 1, skipped: 0, failures: [why] });
    },
  );
});
process.on('disconnect', () => process.exit());
