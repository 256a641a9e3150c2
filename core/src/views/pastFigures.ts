import type { MeasurementId } from '../catalogue/measurements.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import { type Judged, judgeSet } from '../judging/judge.ts';
import { changeWords, takenWords } from '../wording/en/history.ts';
import { figureText } from '../wording/en/verdicts.ts';

/** One figure of an earlier time, and what changed since the time before. */
interface PastFigure {
  readonly id: string;
  readonly short: string;
  readonly text: string;
  readonly judged: Judged;
  /** In words, empty for the first. */
  readonly change: string;
}
export interface PastSet {
  readonly set: ReadingSet;
  /** "as found, an earlier job". */
  readonly what: string;
  readonly figures: readonly PastFigure[];
}

/**
 * What was taken of one measurement, oldest first: of a part wherever it sat, or at a place whichever part sat in it.
 * A change is said only where it is larger than both uncertainties together.
 * @param of the part (wherever it sat), or the slot
 * @param today instant, ISO 8601
 */
export function historyOf(
  history: JobHistory,
  measurement: MeasurementId,
  of: { readonly partId: string } | { readonly slotId: string },
  today: string,
): PastSet[] {
  const sets = history.sets.filter(
    (s) =>
      s.measurement === measurement &&
      !s.blind &&
      ('partId' in of ? s.partId === of.partId : s.slotId === of.slotId) &&
      history.taken(s).length > 0,
  );
  const before = new Map<string, Judged>();
  return sets.flatMap((set): PastSet[] => {
    const figures = judgeSet(history, set, today).map((judged): PastFigure => {
      const { id, short } = judged.characteristic;
      const change = changeWords(judged, before.get(id));
      before.set(id, judged);
      return { id, short, text: figureText(judged.characteristic, judged.reduced.value, judged.reduced.decimals), judged, change };
    });
    return figures.length === 0 ? [] : [{ set, what: takenWords(set, set.jobId !== history.records.job.id), figures }];
  });
}
