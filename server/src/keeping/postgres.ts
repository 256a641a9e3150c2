import { spawn } from 'node:child_process';
import { join } from 'node:path';
import type { Readable } from 'node:stream';

/** A program of PostgreSQL ended with an error. */
export class ProgramFailed extends Error {}

/** Environment in which PostgreSQL’s programs reach a database: never as an argument, which others of the machine could read. */
export function reaching(url: string): NodeJS.ProcessEnv {
  const at = new URL(url);
  return {
    ...process.env,
    PGHOST: at.searchParams.get('host') ?? at.hostname,
    PGPORT: at.port || '5432',
    PGUSER: decodeURIComponent(at.username),
    PGPASSWORD: decodeURIComponent(at.password),
    PGDATABASE: at.pathname.slice(1),
  };
}

/**
 * Runs a program of PostgreSQL that gives its result out as it comes.
 * @returns its output, and a promise that fails with what it said where it did not end well
 */
export function running(
  bin: string,
  program: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv,
): { readonly output: Readable; readonly ended: Promise<void>; readonly kill: () => void } {
  const child = spawn(join(bin, program), [...args], { stdio: ['ignore', 'pipe', 'pipe'], env });
  let said = '';
  child.stderr.on('data', (d: Buffer) => {
    said = (said + String(d)).slice(-2000);
  });
  const ended = new Promise<void>((resolve, reject) => {
    child.on('error', (error) => reject(new ProgramFailed(`${program} could not be run: ${error.message}`)));
    child.on('close', (code) =>
      code === 0 ? resolve() : reject(new ProgramFailed(`${program} failed: ${said.trim().split('\n').slice(-2).join(' ')}`)),
    );
  });
  // Whoever waits for it hears of it; until then it is not an error that nobody looked at.
  ended.catch(() => undefined);
  return { output: child.stdout, ended, kill: () => child.kill('SIGTERM') };
}
