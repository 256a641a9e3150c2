import type { JobFile } from '../ledger/jobFile.ts';

type Told = Pick<JobFile, 'release' | 'people' | 'imported'>;

/**
 * By whom and when a vehicle was handed back, in words without a full stop: by name, or, for what was handed back before
 * these records, from where it was taken in. Empty for a job that was not handed back.
 * @param day a day in words, from an instant
 */
export function handedBackWords({ release, people, imported }: Told, day: (instant: string) => string): string {
  if (!release) return '';
  const name = (id: string): string => people.find((p) => p.id === id)?.name ?? 'unknown';
  const on = day(release.releasedAt);
  if (release.releasedBy !== null) return `Handed back by ${name(release.releasedBy)} on ${on}${release.ownWork ? ' (own work)' : ''}`;
  return imported
    ? `Handed back on ${on}, as told; taken in by ${name(imported.importedBy)} from ${imported.source}`
    : `Handed back on ${on}, as told`;
}
