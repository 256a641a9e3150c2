import { appendFileSync, existsSync, readFileSync } from 'node:fs';
import Mocha from 'mocha';

/**
 * Runs tests until one fails, those files first that most often were the first to fail before: most mutants are noticed by the
 * same few, and need none of the rest.
 * Arguments: the file in which it is noted which file failed, and the files of tests, those that take longest last.
 */
const [noted = '', ...files] = process.argv.slice(2);
const GROUP = 8;

const noticed = existsSync(noted) ? readFileSync(noted, 'utf8').split('\n') : [];
const times = (file) => noticed.filter((n) => n === file).length;
const ordered = [...files].sort((a, b) => times(b) - times(a));

/** @returns {Promise<number>} how many of these tests failed: one at most */
async function failuresOf(group) {
  const mocha = new Mocha({ bail: true, reporter: 'min', timeout: 60000 });
  for (const file of group) mocha.addFile(file);
  await mocha.loadFilesAsync();
  return new Promise((resolve) => {
    mocha.run(resolve).on('fail', (test) => {
      const file = files.find((f) => test.file?.endsWith(f));
      if (file) appendFileSync(noted, `${file}\n`);
    });
  });
}

for (let at = 0; at < ordered.length; at += GROUP) if ((await failuresOf(ordered.slice(at, at + GROUP))) > 0) process.exit(1);
process.exit(0);
