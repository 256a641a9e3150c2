import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { backupSettings, type BackupSettings, backupStatus, type BackupStatus } from '@dauer/contract';
import type { z } from 'zod';

/** Written beside and put in place at once: whoever reads it finds the former or the new one. */
function writeWhole(path: string, text: string, mode = 0o600): void {
  const beside = `${path}.${process.pid}.new`;
  writeFileSync(beside, text, { mode });
  renameSync(beside, path);
}

function readAs<T>(path: string, schema: z.ZodType<T>): T | null {
  if (!existsSync(path)) return null;
  try {
    const read = schema.safeParse(JSON.parse(readFileSync(path, 'utf8')));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

/** The folder of the book that this process works for; null where the book lies on another server. */
export const homeOf = (): string | null => process.env['DAUER_HOME'] ?? null;

const settingsAt = (home: string): string => join(home, 'backup.json');
const statusAt = (home: string): string => join(home, 'backup-status.json');
const keyAt = (home: string): string => join(home, 'backup.key');
const askedAt = (home: string): string => join(home, 'backup-asked');

/** Where copies go and how they are sealed, as a lead has said. */
export const readSettings = (home: string): BackupSettings => readAs(settingsAt(home), backupSettings) ?? { folder: null, seal: null };
export const writeSettings = (home: string, settings: BackupSettings): void =>
  writeWhole(settingsAt(home), JSON.stringify(settings, null, 2));

/** How the backups are, as whoever makes them last said. */
export const readStatus = (home: string): BackupStatus | null => readAs(statusAt(home), backupStatus);
export const writeStatus = (home: string, status: BackupStatus): void => writeWhole(statusAt(home), JSON.stringify(status, null, 2), 0o644);

/** The key that copies are sealed with; it never leaves this machine. */
export function readKey(home: string): Buffer | null {
  return existsSync(keyAt(home)) ? Buffer.from(readFileSync(keyAt(home), 'utf8'), 'base64') : null;
}
export function writeKey(home: string, key: Buffer | null): void {
  if (key) writeWhole(keyAt(home), key.toString('base64'));
  else rmSync(keyAt(home), { force: true });
}

export type Asked = 'copy' | 'trial';
/** Asks whoever makes the backups for one now. */
export const ask = (home: string, what: Asked): void => writeWhole(askedAt(home), what);
/** What was asked for since the last look. */
export function takeAsked(home: string): Asked | null {
  if (!existsSync(askedAt(home))) return null;
  const what = readFileSync(askedAt(home), 'utf8');
  rmSync(askedAt(home), { force: true });
  return what === 'trial' ? 'trial' : 'copy';
}
