/** What is said of the past: figures of earlier times, care, fluid, earlier work, hand-backs, revisions. */

import type { DueReason } from '../../catalogue/fluids.ts';
import { signatories } from '../../history/authorship.ts';
import type { FluidCause } from '../../history/due.ts';
import type { RevisionBlock } from '../../history/revise.ts';
import type { CareFault } from '../../judging/care.ts';
import type { Judged } from '../../judging/judge.ts';
import { CLUTCH_CIRCUIT, type Layout, placeName } from '../../layout/graph.ts';
import type { EventBase } from '../../ledger/eventBase.ts';
import type { EarlierWork } from '../../ledger/families/earlierWork.ts';
import type { ReadingSet } from '../../ledger/families/sets.ts';
import type { JobRecords } from '../../ledger/jobRecords.ts';
import { fixed, convert, groupThousands } from '../../quantity/display.ts';
import { partialDateText } from '../../quantity/partialDate.ts';
import { EARLIER_NAME, KNOWN_FROM_NAME } from './names.ts';
import { PHASE_WORD } from './phases.ts';
import { roundTo } from './verdicts.ts';

/** What changed since the time before; empty for the first. */
export function changeWords(now: Judged, before: Judged | undefined): string {
  if (!before) return '';
  const d = now.reduced.value - before.reduced.value;
  const explained = Math.hypot(now.reduced.expanded, before.reduced.expanded);
  return Math.abs(d) <= explained
    ? 'no change that the gauges can tell'
    : `${d > 0 ? '+' : '−'}${fixed(Math.abs(d), now.reduced.decimals)}`;
}

/** When and how a set was taken: "as found, an earlier job". */
export function takenWords(set: Pick<ReadingSet, 'phase' | 'turn' | 'surface'>, ofEarlierJob: boolean): string {
  const turned = set.turn > 0 ? `, turned on by ${set.turn}` : '';
  return `${PHASE_WORD[set.phase]}${turned}${ofEarlierJob ? ', an earlier job' : ''}${set.surface === 'dirty' ? ', dirty' : ''}`;
}

/** How fast a figure wears and how far it still goes, in words; null where no rate is known. */
export function rateWords(j: Judged): string | null {
  if (!j.wear) return null;
  const per = 1000 / convert(1, 'distance_run', j.distanceUnit);
  const error = j.wear.error === null ? '' : ` ± ${fixed(j.wear.error * per, 3)}`;
  const left = groupThousands(roundTo(convert(j.wear.remaining, 'distance_run', j.distanceUnit), 2));
  return `${j.characteristic.short} wears by ${fixed(Math.abs(j.wear.slope) * per, 3)}${error} mm in 1,000 ${j.distanceUnit}; about ${left} ${j.distanceUnit} left.`;
}

/** Why a unit that was found seized may not go out as it is. */
export function careWords({ now, least }: CareFault): string {
  return `It was seized and is ${now === 'untouched' ? 'as it was' : `only ${now}`}; for a vehicle of this use it has to be ${least}.`;
}

/** Why a unit ought to be opened whatever its fluid looks like. */
export function openDueWords(years: number): string {
  return `${NEVER_OPEN}, in ${years} years. Clear fluid says nothing of the deposits behind a piston: open it.`;
}
/** Nobody knows that a unit was ever open. */
export const NEVER_OPEN = 'Never open as far as is known';

/** Name of a circuit as it is said. */
export function circuitName(circuit: number): string {
  return circuit === CLUTCH_CIRCUIT ? 'clutch' : `circuit ${circuit}`;
}

const DUE_WORD: Readonly<Record<DueReason, string>> = {
  house_interval: 'house interval',
  water_3_percent: 'water expected to reach 3 %',
  boiling_below_need: 'boiling point expected below need',
  maker_interval: 'maker’s interval',
  measured_saturated: 'measured as saturated',
};

/** From what the due date of a fluid follows, as it goes on in a sentence. */
export function fluidCauseWords(cause: FluidCause): string {
  switch (cause.kind) {
    case 'interval':
      return DUE_WORD[cause.reason];
    case 'refused':
      return cause.refusal.message;
    case 'earlier':
      return `changed ${partialDateText(cause.on)}, of unknown kind`;
    case 'half_done':
      return `${circuitName(cause.circuit)} half done: ${cause.left === 1 ? 'one bleeder' : `${cause.left} bleeders`} to go`;
    case 'no_change':
      return `${circuitName(cause.circuit)}: no change on record`;
  }
}

type Told = Pick<JobRecords, 'release' | 'people' | 'imported'>;

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

/** Earlier work in a line: what, where, when, and how that is known. */
export function earlierText(layout: Layout, e: EarlierWork): string {
  const slot = layout.slots.find((s) => s.id === e.slotId);
  const where = slot ? `${placeName(slot)}: ${EARLIER_NAME[e.what].toLowerCase()}` : EARLIER_NAME[e.what];
  const from = [KNOWN_FROM_NAME[e.knownFrom].toLowerCase(), e.source].filter(Boolean).join(', ');
  return `${where} ${partialDateText(e)} (${from})${e.note ? `. ${e.note}` : ''}`;
}

/** Why a revision of the layout cannot be taken. */
export function revisionBlockWords({ cause, slots }: RevisionBlock): string {
  const names = slots.map((s) => placeName(s).toLowerCase()).join(', ');
  switch (cause) {
    case 'other_kind':
      return `A place cannot become another kind of thing: ${names}. Take it out and add the other one.`;
    case 'put_in':
      return `Something put in is still at: ${names}. Take it out first.`;
    case 'on_record':
      return `Something is on record at: ${names}. If it was there and is going now, this is a conversion; if it never was, take the records back first.`;
  }
}

/** Whose entry an event is: who took it, with the lead who handed it in for them. */
export function byline(records: Pick<JobRecords, 'people' | 'handIns'>, event: Pick<EventBase, 'id' | 'authorId'>): string {
  const [took, lead] = signatories(records, event).map((id) => records.people.find((p) => p.id === id)?.name ?? 'unknown');
  return lead === undefined ? (took ?? 'unknown') : `${took}, handed in by ${lead}`;
}
