import type { JobFile } from '../records/jobFile.ts';

type Told = Pick<JobFile, 'release' | 'people' | 'imported'>;

/**
 * By whom a vehicle was handed back, as it follows "Handed back": by name, or, for what was handed back before these
 * records, from where it was taken in. Empty for a job that was not handed back.
 */
export function handedBackBy({ release, people, imported }: Told): string {
  if (!release) return '';
  const name = (id: string): string => people.find((p) => p.id === id)?.name ?? 'unknown';
  if (release.releasedBy !== null) return `by ${name(release.releasedBy)}${release.ownWork ? ' (own work)' : ''}`;
  return imported ? `as told; taken in by ${name(imported.importedBy)} from ${imported.source}` : 'as told';
}
