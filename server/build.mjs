import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

/** What the server and the rooms it is made of take from npm: it is left where it lies. */
const packages = ['.', '../core', '../contract']
  .flatMap((room) => Object.keys(JSON.parse(readFileSync(new URL(`${room}/package.json`, import.meta.url), 'utf8')).dependencies))
  .filter((name) => !name.startsWith('@dauer/'));

/** The server and its thread as JavaScript, each module as it stands, in few files: a thousand of them take seconds to read. */
await build({
  absWorkingDir: fileURLToPath(new URL('.', import.meta.url)),
  entryPoints: { main: 'src/main.ts', thread: 'src/beside/thread.ts' },
  outdir: 'dist',
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  external: packages,
  logLevel: 'warning',
});
