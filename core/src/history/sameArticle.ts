import type { PartCorrection } from '../ledger/families/partCorrections.ts';
import type { JobRecords } from '../ledger/jobRecords.ts';
import { activeEvents } from '../ledger/retraction.ts';

interface OfPart {
  readonly partId: string | null;
  readonly happenedAt: string;
}

/** The article that something is about, once a correction is heeded. */
function named(c: PartCorrection, e: OfPart): string | null {
  if (e.partId !== c.partId) return e.partId;
  if (c.kind === 'join') return c.otherId;
  return c.since !== null && e.happenedAt >= c.since ? c.otherId : e.partId;
}

/** Part records with the merges and splits in force applied, oldest correction first. */
export function byOneName<T extends OfPart>(corrections: readonly PartCorrection[], list: readonly T[]): T[] {
  return corrections.reduce<T[]>((acc, c) => acc.map((e) => ({ ...e, partId: named(c, e) })), [...list]);
}

/**
 * A file in which every article goes by one name: what was told of an article joined to another is the other's, and
 * what happened to one from the instant at which it was split is the new one's. Everything else is as it was.
 * @param gone ids of what has been taken back
 * Source: handbook 15, Corrections.
 */
export function withOneName(records: JobRecords, retracted: ReadonlySet<string>): JobRecords {
  return activeEvents(records.partCorrections, retracted).reduce((acc, c) => {
    const heed = <T extends OfPart>(list: readonly T[]): T[] => list.map((e) => ({ ...e, partId: named(c, e) }));
    return {
      ...acc,
      partEvents: acc.partEvents.map((e) => ({ ...e, partId: named(c, e) ?? e.partId })),
      sets: heed(acc.sets),
      setMoves: heed(acc.setMoves),
      findings: heed(acc.findings),
      decisions: heed(acc.decisions),
      partFacts: heed(acc.partFacts),
      lotUses: heed(acc.lotUses),
      sendOuts: acc.sendOuts.map((e) => ({ ...e, partId: named(c, e) ?? e.partId })),
    };
  }, records);
}
