import { EVENT_LISTS } from './families.ts';
import type { JobRecords } from './jobRecords.ts';

interface Named {
  readonly id: string;
}

/** A list with what is new of it: what is there already is replaced where it stands, the rest follows. */
function mergedById<T extends Named>(had: readonly T[], fresh: readonly T[]): readonly T[] {
  const now = new Map(fresh.map((e) => [e.id, e]));
  const merged = had.map((e) => {
    const again = now.get(e.id);
    now.delete(e.id);
    return again ?? e;
  });
  return [...merged, ...now.values()];
}

/**
 * A job's file with what is new of it. Events and parts are merged by id, so that what is told twice changes nothing;
 * everything else is as it was told last.
 */
export function withChanges(records: JobRecords, fresh: Partial<JobRecords>): JobRecords {
  const lists: Readonly<Record<string, readonly Named[]>> = Object.fromEntries(
    [...EVENT_LISTS, 'parts' as const].flatMap((list) => {
      const news: readonly Named[] | undefined = fresh[list];
      return news === undefined ? [] : [[list, mergedById<Named>(records[list], news)]];
    }),
  );
  return { ...records, ...fresh, ...lists };
}
