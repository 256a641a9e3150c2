import type { MeasurementId } from '../catalogue/measurements.ts';
import type { Book } from '../history/book.ts';
import type { ReadingSet } from '../ledger/families/sets.ts';
import { convert, fixed, groupThousands } from '../quantity/display.ts';
import { type Judged, judgeSet } from './judge.ts';
import { PHASE_WORD } from '../wording/en/phases.ts';
import { figureText, roundTo } from './words.ts';

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

function changeOf(now: Judged, before: Judged | undefined): string {
  if (!before) return '';
  const d = now.reduced.value - before.reduced.value;
  const explained = Math.hypot(now.reduced.expanded, before.reduced.expanded);
  return Math.abs(d) <= explained
    ? 'no change that the gauges can tell'
    : `${d > 0 ? '+' : '−'}${fixed(Math.abs(d), now.reduced.decimals)}`;
}

/**
 * What was taken of one measurement, oldest first: of a part wherever it sat, or at a place whichever part sat in it.
 * A change is said only where it is larger than both uncertainties together.
 * @param of the part (wherever it sat), or the slot
 * @param today instant, ISO 8601
 */
export function historyOf(
  book: Book,
  measurement: MeasurementId,
  of: { readonly partId: string } | { readonly slotId: string },
  today: string,
): PastSet[] {
  const sets = book.sets.filter(
    (s) =>
      s.measurement === measurement &&
      !s.blind &&
      ('partId' in of ? s.partId === of.partId : s.slotId === of.slotId) &&
      book.taken(s).length > 0,
  );
  const before = new Map<string, Judged>();
  return sets.flatMap((set): PastSet[] => {
    const turned = set.turn > 0 ? `, turned on by ${set.turn}` : '';
    const earlier = set.jobId === book.file.job.id ? '' : ', an earlier job';
    const figures = judgeSet(book, set, today).map((judged): PastFigure => {
      const { id, short } = judged.characteristic;
      const change = changeOf(judged, before.get(id));
      before.set(id, judged);
      return { id, short, text: figureText(judged.characteristic, judged.reduced.value, judged.reduced.decimals), judged, change };
    });
    const dirty = set.surface === 'dirty' ? ', dirty' : '';
    return figures.length === 0 ? [] : [{ set, what: `${PHASE_WORD[set.phase]}${turned}${earlier}${dirty}`, figures }];
  });
}

/** How fast a figure wears and how far it still goes, in words; null where no rate is known. */
export function rateWords(j: Judged): string | null {
  if (!j.wear) return null;
  const per = 1000 / convert(1, 'distance_run', j.distanceUnit);
  const error = j.wear.error === null ? '' : ` ± ${fixed(j.wear.error * per, 3)}`;
  const left = groupThousands(roundTo(convert(j.wear.remaining, 'distance_run', j.distanceUnit), 2));
  return `${j.characteristic.short} wears by ${fixed(Math.abs(j.wear.slope) * per, 3)}${error} mm in 1,000 ${j.distanceUnit}; about ${left} ${j.distanceUnit} left.`;
}
