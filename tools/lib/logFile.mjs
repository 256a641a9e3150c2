import { appendFileSync, existsSync, mkdirSync, renameSync, statSync } from 'node:fs';
import { join } from 'node:path';

const LARGEST = 4 * 2 ** 20;
const KEPT = 5;

/**
 * A log that never grows without end: beyond four megabytes it is put away under a number, and the fifth is dropped. A disk
 * without room for it stops nobody.
 * @param {string} folder
 * @param {string} name of the file, without its ending
 */
export function logFile(folder, name) {
  const path = join(folder, `${name}.log`);
  const old = (n) => join(folder, `${name}.${n}.log`);
  return {
    path,
    write(text) {
      try {
        mkdirSync(folder, { recursive: true, mode: 0o700 });
        if (existsSync(path) && statSync(path).size > LARGEST) {
          for (let n = KEPT - 1; n >= 1; n -= 1) if (existsSync(old(n))) renameSync(old(n), old(n + 1));
          renameSync(path, old(1));
        }
        appendFileSync(path, text, { mode: 0o600 });
      } catch {
        // Without room for the log the work goes on.
      }
    },
  };
}
