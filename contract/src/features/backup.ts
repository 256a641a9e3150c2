import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { id, instant, words } from '../primitives.ts';

/** Where copies go, and how they are sealed: the salt of the key, and what a key is known by. */
export const backupSettings = z.object({
  folder: z.string().nullable(),
  seal: z.object({ salt: z.string(), check: z.string(), since: instant }).nullable(),
});
export type BackupSettings = z.infer<typeof backupSettings>;

/** What a trial found: a copy restored beside the book, and every row and every job's state held against it. */
export const trialResult = z.object({
  at: instant,
  good: z.boolean(),
  /** In a sentence. */
  says: z.string(),
  rows: z.number().int(),
  jobs: z.number().int(),
  seconds: z.number(),
});
export type TrialResult = z.infer<typeof trialResult>;

/** How the backups are, as whoever makes them last said. */
export const backupStatus = z.object({
  at: instant,
  /** Whole copies with continuous archiving, or logical dumps alone where the book lies on another server. */
  way: z.enum(['archive', 'dump']),
  book: z.string(),
  incarnation: id,
  folder: z.string(),
  /** The folder lies on the disk of the book. */
  sameDisk: z.boolean(),
  sealed: z.boolean(),
  /** What keeps it from copying, in a sentence; null while nothing does. */
  trouble: z.string().nullable(),
  /** The chain of the log was broken off, since when. */
  brokenSince: instant.nullable(),
  lastCopy: z.object({ at: instant, why: z.string(), bytes: z.number() }).nullable(),
  copies: z.number().int(),
  /** Up to when everything is in the folder. */
  safeTo: instant.nullable(),
  lastTrial: trialResult.nullable(),
  lastGoodTrial: instant.nullable(),
  /** What it is doing just now. */
  doing: z.string().nullable(),
});
export type BackupStatus = z.infer<typeof backupStatus>;

const reply = z.object({ settings: backupSettings.nullable(), status: backupStatus.nullable() });
const password = z.string().max(200);

export const backup = {
  backups: endpoint({
    ...none,
    feature: 'shop',
    method: 'GET',
    path: '/api/backups',
    role: 'lead',
    summary: 'How the backups of the book are',
    reply,
  }),
  nameBackupFolder: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/backups/folder',
    role: 'lead',
    summary: 'Says to which folder of the server copies go; none goes back to the folder beside the book',
    body: z.object({ folder: words(500).nullable(), password }),
    reply,
  }),
  sealBackups: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/backups/seal',
    role: 'lead',
    summary: 'Seals copies from now on with a passphrase, or no more',
    body: z.object({ passphrase: z.string().max(200).nullable(), password }),
    reply,
  }),
  askForBackup: endpoint({
    ...none,
    feature: 'shop',
    method: 'POST',
    path: '/api/backups/ask',
    role: 'lead',
    summary: 'Asks for a copy, or for a trial, now',
    body: z.object({ what: z.enum(['copy', 'trial']) }),
    reply,
  }),
};
