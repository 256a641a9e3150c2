import type { ReadingSet } from '../ledger/families/sets.ts';
import type { CallBack, GaugeCheck, GaugeVersion, RepeatStudy } from '../ledger/gaugeRecords.ts';
import { DomainError } from '../quantity/domainError.ts';
import { mean, ofTwo, sampleDeviation, singleReading } from '../verdict/uncertainty.ts';
import { millisecondsInHour } from '../quantity/calendar.ts';

export interface StudyResult {
  readonly count: number;
  readonly people: number;
  /** Standard deviation within a person's own readings, pooled. */
  readonly within: number;
  /** Standard deviation between the people, beyond what their own spread explains. */
  readonly between: number;
  /** Half-width a over a short span: what the two together come to, without the resolution's own share. */
  readonly shortSpan: number;
}

/** Least readings of one person in a repeat study. */
const MIN_REPEATS = 5;

/**
 * A gauge's true figure over a short span, from the same place read several times by one or two people. The spread within
 * a person (pooled) and between people add as squares; the resolution's share is taken off, because it is counted again
 * with every reading, and the rest is given as the half-width of a rectangle, as accuracies are.
 * @param resolution the gauge's, in the unit of the values
 * @throws DomainError too_few_repeats below five readings of a person; too_many_people beyond two
 * Source: ISO 5725-2 (repeatability and reproducibility), JCGM 100 4.3.7 (half-width a = √3 u).
 */
export function repeatStudy(readings: RepeatStudy['readings'], resolution: number): StudyResult {
  const names = [...new Set(readings.map((r) => r.person))];
  if (names.length > 2) throw new DomainError('too_many_people', 'A repeat study is of one person or two.');
  const groups = names.map((n) => readings.filter((r) => r.person === n).map((r) => r.value));
  if (groups.length === 0 || groups.some((g) => g.length < MIN_REPEATS))
    throw new DomainError('too_few_repeats', `Read the same place at least ${MIN_REPEATS} times each.`);
  const freedom = groups.reduce((n, g) => n + g.length - 1, 0);
  const within = Math.sqrt(groups.reduce((sum, g) => sum + (g.length - 1) * sampleDeviation(g) ** 2, 0) / freedom);
  const means = groups.map(mean);
  const size = mean(groups.map((g) => g.length));
  const between = groups.length < 2 ? 0 : Math.sqrt(Math.max(0, sampleDeviation(means) ** 2 - within ** 2 / size));
  const u2 = within ** 2 + between ** 2 - resolution ** 2 / 12;
  return { count: readings.length, people: names.length, within, between, shortSpan: Math.sqrt(3 * Math.max(0, u2)) };
}

/** The smallest difference over a short span that a gauge can tell: the expanded uncertainty of a difference of two readings. */
export function tellsApart(gauge: Pick<GaugeVersion, 'resolution' | 'shortSpan' | 'accuracy'>): number {
  const errors = { accuracy: Math.min(gauge.shortSpan, gauge.accuracy), resolution: gauge.resolution };
  return ofTwo(errors, errors).expanded;
}

/** Expanded uncertainty of one reading, anywhere in the range. */
export function goodTo(gauge: Pick<GaugeVersion, 'resolution' | 'accuracy'>): number {
  return 2 * singleReading(gauge);
}

/** A figure of a gauge as it is said in the shop: up to the next of 1, 2, 5 of a power of ten, so that it never promises too much. */
export function roundedUp(figure: number): number {
  if (!(figure > 0)) return 0;
  const power = 10 ** Math.floor(Math.log10(figure));
  const step = [1, 2, 5, 10].find((s) => s * power >= figure * (1 - 1e-9)) ?? 10;
  return Number((step * power).toPrecision(3));
}

/** Which call-backs lie on a reading: of its gauge, from when it was off, until it was put right. */
export function callBacksOn(
  gauge: Pick<GaugeVersion, 'gaugeId'> | undefined,
  happenedAt: ReadingSet['happenedAt'],
  callBacks: readonly CallBack[],
): CallBack[] {
  if (!gauge) return [];
  return callBacks.filter(
    (c) => c.gaugeId === gauge.gaugeId && happenedAt >= c.since && (c.until === null || happenedAt.slice(0, 10) < c.until),
  );
}

/** How much is added to a reading's half-width by the call-backs on it: the most that any of them says. */
export function doubt(callBacks: readonly CallBack[]): number {
  return Math.max(0, ...callBacks.map((c) => Math.abs(c.offBy)));
}

/** What a look at the setting piece says of a gauge. */
export function checkVerdict(gauge: Pick<GaugeVersion, 'accuracy' | 'resolution'>, check: Pick<GaugeCheck, 'nominal' | 'read'>) {
  const off = check.read - check.nominal;
  return { off, inside: Math.abs(off) <= gauge.accuracy + gauge.resolution / 2 + 1e-9 };
}

/** Hours for which a look at the setting piece is good (house rule): a day's work. */
const CHECK_GOOD_HOURS = 12;

/** Whether a gauge asks for its setting piece before the next reading. */
export function asksForCheck(
  gauge: Pick<GaugeVersion, 'gaugeId' | 'settingPiece' | 'checkFirst'>,
  checks: readonly GaugeCheck[],
  now: string,
): boolean {
  if (!gauge.checkFirst || gauge.settingPiece === null) return false;
  const last = checks
    .filter((c) => c.gaugeId === gauge.gaugeId)
    .map((c) => c.enteredAt)
    .sort()
    .at(-1);
  return last === undefined || Date.parse(now) - Date.parse(last) > CHECK_GOOD_HOURS * millisecondsInHour;
}
