import { spawn } from 'node:child_process';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './machine.mjs';
import { say, Stop } from './say.mjs';

/** Is there once the whole demonstration is in the book; without it, it is filled anew from nothing. */
const loaded = (home) => join(home, 'loaded');
/** Is there while it is being filled: what was cut off then is begun anew. */
const filling = (home) => join(home, 'filling');

export const isFilled = (home) => existsSync(loaded(home));
export const wasCutOff = (home) => existsSync(filling(home));
export const forgetFilled = (home) => rmSync(loaded(home), { force: true });

/**
 * Fills an empty book with the demonstration shop, through the server.
 * @param {string} home folder of the book, where it is noted
 * @param {string} url of the server
 * @param {{ authority: string } | null} lan
 */
export async function fillDemo(home, url, lan) {
  say('Filling the demonstration shop …');
  writeFileSync(filling(home), '');
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'demo/src/main.ts'), url], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'pipe'],
    env: { ...process.env, ...(lan ? { NODE_EXTRA_CA_CERTS: lan.authority } : {}) },
  });
  let printed = '';
  child.stderr.on('data', (d) => (printed += d));
  const status = await new Promise((resolve) => child.on('close', resolve));
  if (status !== 0) throw new Stop(`The demonstration shop could not be filled; it is begun anew next time.\n${printed.trim()}`);
  writeFileSync(loaded(home), new Date().toISOString());
  rmSync(filling(home), { force: true });
}
