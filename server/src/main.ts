import { spawn } from 'node:child_process';
import { buildApp } from './app.ts';
import { inServer } from './place.ts';
import { tlsFromEnvironment } from './platform/tls.ts';
import { migrate, NewerBook, NoSession } from './db/migrate.ts';

/** Starts one process of the application: DATABASE_URL, PORT and HOST from the environment. */
const databaseUrl = process.env['DATABASE_URL'];
if (!databaseUrl) {
  process.stderr.write('DATABASE_URL is not set. Use npm start, which brings its own database.\n');
  process.exit(2);
}

/** Runs what the launcher names for it: a backup of the book, before its schema is changed. */
function backupFirst(): Promise<void> {
  const command = process.env['DAUER_BEFORE_MIGRATION'];
  if (!command) return Promise.resolve();
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--import', 'tsx', command, 'before-migration'], { stdio: ['ignore', 'inherit', 'inherit'] });
    child.on('error', reject);
    child.on('exit', (code) =>
      code === 0 ? resolve() : reject(new Error('the backup that is taken before failed; see what was printed above')),
    );
  });
}

try {
  await migrate(databaseUrl, { before: backupFirst });
} catch (error) {
  const said = error instanceof NewerBook || error instanceof NoSession;
  const reason = error instanceof Error ? (error.cause instanceof Error ? error.cause.message : error.message) : String(error);
  process.stderr.write(said ? `${reason}\n` : `The database could not be brought up to date, and was left as it was: ${reason}\n`);
  process.exit(3);
}
const tls = tlsFromEnvironment();
const app = await buildApp({
  databaseUrl,
  ...(tls ? { tls: tls.options } : {}),
  webRoot: inServer('../web/dist'),
  log: true,
});
if (tls) tls.follow(app.server);
const stop = (): void => void app.close().then(() => process.exit(0));
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
try {
  await app.listen({ port: Number(process.env['PORT'] ?? 4680), host: process.env['HOST'] ?? '127.0.0.1' });
} catch (error) {
  const code = error instanceof Error && 'code' in error ? error.code : null;
  process.stderr.write(
    code === 'EADDRINUSE'
      ? `Port ${process.env['PORT'] ?? 4680} is taken. Stop what uses it, or choose another with PORT=….\n`
      : `The server could not start: ${code ?? 'see the log'}\n`,
  );
  process.exit(4);
}
