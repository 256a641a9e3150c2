import type { Measurement, MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS, measurement, measurementsAt } from '../catalogue/measurements.ts';
import { type Position, plannedPositions, positionKey } from '../catalogue/positions.ts';
import { readFigure } from '../catalogue/typedFigure.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { byline } from '../wording/en/history.ts';
import { PHASE_WORD } from '../wording/en/phases.ts';
import { type Slot, placeName, slotById } from '../layout/graph.ts';
import type { Phase, Surface } from '../ledger/families/sets.ts';
import { hangsOnState } from '../metrology/provisional.ts';
import { parseQuantity } from '../quantity/parse.ts';
import type { DomainErrorCode } from '../quantity/domainErrors.ts';
import { DomainError, toResult } from '../quantity/domainError.ts';
import { type UnitId, findUnit, unitOf } from '../quantity/units.ts';
import { ROW } from '../wording/en/jobs.ts';

/** Columns of a list of readings, as CSV and as JSON. Described in docs/readings-file.md. */
export const READING_COLUMNS = [
  ...['vehicle', 'job', 'component', 'part', 'measurement', 'phase', 'surface', 'cold', 'turned', 'second'],
  ...['frame', 'angle_deg', 'place', 'pass', 'typed', 'unit', 'value', 'value_unit', 'gauge', 'person', 'taken_at'],
] as const;
export type ReadingRow = Readonly<Record<string, string>>;

/** Without these a list is no list of readings. */
const NEEDED: readonly string[] = ['component', 'measurement', 'typed'];
/** Most rows taken in at once. */
const MAX_READING_ROWS = 2000;

const yes = (v: boolean): string => (v ? 'yes' : 'no');

/**
 * Readings that stand, as rows: every figure with its unit as typed, its canonical value, where it was taken, with which
 * gauge, by whom and when.
 * @param slotId only those of one place; null gives all of the job
 */
export function readingRows(history: JobHistory, slotId: string | null): ReadingRow[] {
  const { records } = history;
  return history.sets
    .filter((s) => (slotId === null ? s.jobId === records.job.id : s.slotId === slotId))
    .flatMap((s) => {
      const slot = slotById(records.layout, s.slotId);
      const { kind, unit } = MEASUREMENTS[s.measurement];
      return history.active(records.readings).flatMap((r): ReadingRow[] => {
        if (r.setId !== s.id) return [];
        return [
          {
            vehicle: records.vehicle.tag,
            job: s.jobId,
            component: slot ? placeName(slot) : '',
            part: records.parts.find((p) => p.id === s.partId)?.tag ?? '',
            measurement: s.measurement,
            phase: s.phase,
            surface: s.surface,
            cold: yes(s.cold),
            turned: String(s.turn),
            second: yes(s.blind),
            frame: r.frame,
            angle_deg: r.angleDeg === null ? '' : String(r.angleDeg),
            place: r.place ?? '',
            pass: String(r.pass),
            typed: r.typed,
            unit: r.unit,
            value: String(r.canonical),
            value_unit: unitOf(kind, unit).id,
            gauge: records.gauges.find((g) => g.id === r.gaugeVersionId)?.tag ?? '',
            person: byline(records, r),
            taken_at: r.happenedAt,
          },
        ];
      });
    });
}

/** A reading that a row gives, and the set it belongs to. */
export interface GivenReading {
  readonly slotId: string;
  readonly measurement: MeasurementId;
  readonly phase: Phase;
  readonly surface: Surface;
  readonly cold: boolean;
  readonly position: Position;
  readonly typed: string;
  readonly unit: UnitId;
  readonly canonical: number;
  readonly gaugeTag: string;
}

export interface ReadReadingRow {
  /** Counted from 1, without the heading. */
  readonly line: number;
  readonly verdict: 'new' | 'same' | 'conflicts' | 'not_understood';
  readonly why: string | null;
  /** Why it is not understood. */
  readonly code: DomainErrorCode | null;
  readonly reading: GivenReading | null;
}

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

function slotOf(cell: string, slots: readonly Slot[]): Slot {
  const found = slots.filter((s) => same(placeName(s), cell));
  const [slot] = found;
  if (!slot)
    throw new DomainError(
      'unknown_place',
      `“${cell}” is no place of this vehicle; one of them is ${slots[0] ? placeName(slots[0]) : 'none'}.`,
    );
  if (found.length > 1) throw new DomainError('two_places', `“${cell}” is said of ${found.length} places.`);
  return slot;
}

function measurementOf(cell: string, slot: Slot): Measurement {
  const on = measurementsAt(slot);
  const found = on.find((m) => same(m.id, cell) || same(m.name, cell));
  if (found) return found;
  if (measurement(cell)) throw new DomainError('wrong_place', `${cell} is not taken on ${placeName(slot).toLowerCase()}.`);
  throw new DomainError(
    'unknown_measurement',
    `“${cell}” is not known; on ${placeName(slot).toLowerCase()} there are ${on.map((m) => m.id).join(', ')}.`,
  );
}

function positionOf(row: ReadingRow, m: Measurement): Position {
  const of = (column: string): string => (row[column] ?? '').trim();
  const { pattern, frame } = m;
  const rings = pattern.form === 'round' ? [...pattern.rings, ...pattern.more] : [];
  const spots = pattern.form === 'round' ? pattern.also : pattern.spots;
  const place = of('place');
  const spot = spots.find((s) => same(s.id, place));
  if (spot) return { frame, angleDeg: spot.angleDeg ?? null, place: spot.id };
  if (pattern.form === 'spots')
    throw new DomainError('unknown_position', `“${place}” is no place of it; there are ${spots.map((s) => s.id).join(', ')}.`);
  const ring = rings.find((r) => same(r.id, place));
  if (rings.length > 0 && !ring)
    throw new DomainError('unknown_position', `“${place}” is no ring or depth of it; there are ${rings.map((r) => r.id).join(', ')}.`);
  const angle = toResult(() => parseQuantity(of('angle_deg'), 'angle', 'deg').canonical);
  if (!angle.ok || angle.value < 0 || angle.value >= 360)
    throw new DomainError('no_angle', `“${of('angle_deg')}” is no angle from 0 to under 360°.`);
  return { frame, angleDeg: angle.value, place: ring?.id ?? null };
}

function readRow(row: ReadingRow, slots: readonly Slot[]): GivenReading {
  const of = (column: string): string => (row[column] ?? '').trim();
  const missing = NEEDED.filter((c) => of(c) === '');
  if (missing.length > 0) throw new DomainError('empty', `Nothing stands in ${missing.map((m) => `“${m}”`).join(' and ')}.`);
  const slot = slotOf(of('component'), slots);
  const m = measurementOf(of('measurement'), slot);
  const unit = of('unit') === '' ? m.unit : findUnit(m.kind, of('unit'))?.id;
  if (!unit) throw new DomainError('unknown_unit', `“${of('unit')}” is not a unit of ${m.name.toLowerCase()}.`);
  const phase =
    of('phase') === ''
      ? 'as_found'
      : (Object.keys(PHASE_WORD) as Phase[]).find((p) => same(p, of('phase')) || same(PHASE_WORD[p], of('phase')));
  if (!phase) throw new DomainError('unknown_phase', `“${of('phase')}” is none of ${Object.keys(PHASE_WORD).join(', ')}.`);
  const unsaid = ['surface', 'cold'].filter((c) => of(c) === '');
  if (unsaid.length > 0 && hangsOnState(m))
    throw new DomainError('empty', `Nothing stands in ${unsaid.map((c) => `“${c}”`).join(' and ')}: how clean was it, and was it cold?`);
  const surface = (['dirty', 'wiped', 'clean'] as const).find((s) => same(s, of('surface') || 'clean'));
  if (!surface) throw new DomainError('unknown_surface', `“${of('surface')}” is none of dirty, wiped, clean.`);
  if (same(of('second'), 'yes'))
    throw new DomainError('blind_second', 'A second measure is taken here, by somebody who does not see the first.');
  const position = positionOf(row, m);
  const { canonical } = readFigure(m.id, position.place, of('typed'), unit, null);
  return {
    ...{ slotId: slot.id, measurement: m.id, phase, surface, cold: !same(of('cold'), 'no') },
    ...{ position, typed: of('typed'), unit, gaugeTag: of('gauge') },
    canonical,
  };
}

/**
 * Reads a list of readings against a job: what is new, what stands there already, what stands there otherwise, and what
 * cannot be understood.
 * @throws DomainError where it is no list of readings, or too long to be one
 */
export function readReadingList(rows: readonly ReadingRow[], history: JobHistory): ReadReadingRow[] {
  const [first] = rows;
  if (!first) throw new DomainError('empty', 'There is no row in it.');
  if (rows.length > MAX_READING_ROWS)
    throw new DomainError('too_long', `It has ${rows.length} rows; at most ${MAX_READING_ROWS} are taken at once.`);
  const missing = NEEDED.filter((c) => !(c in first));
  if (missing.length > 0) {
    const found = Object.keys(first).slice(0, 4).join(', ');
    throw new DomainError(
      'no_columns',
      `This is no list of readings: there is no column ${missing.map((m) => `“${m}”`).join(', ')}. It begins with ${found || 'nothing'}.`,
    );
  }
  const { slots } = history.records.layout;
  const seen = new Map<string, number>();
  return rows.map((row, i): ReadReadingRow => {
    const line = i + 1;
    const read = toResult(() => readRow(row, slots));
    if (!read.ok) return { line, verdict: 'not_understood', why: read.refusal.message, code: read.refusal.code, reading: null };
    const reading = read.value;
    const key = `${reading.slotId}|${reading.measurement}|${reading.phase}|${positionKey(reading.position)}`;
    const before = seen.get(key);
    seen.set(key, before ?? line);
    if (before !== undefined) return { line, verdict: 'conflicts', why: ROW.samePosition(before), code: null, reading };
    const set = history.sets.findLast(
      (s) =>
        s.slotId === reading.slotId &&
        s.measurement === reading.measurement &&
        s.phase === reading.phase &&
        s.jobId === history.records.job.id &&
        !s.blind,
    );
    const stands = set && history.taken(set).find((t) => t.key === positionKey(reading.position));
    if (!stands) return { line, verdict: 'new', why: null, code: null, reading };
    return Math.abs(stands.value - reading.canonical) < 1e-9
      ? { line, verdict: 'same', why: null, code: null, reading }
      : {
          line,
          verdict: 'conflicts',
          why: ROW.readingStands(stands.reading.typed),
          code: null,
          reading,
        };
  });
}

/** New readings of a list, gathered to sets; the positions round are counted by their angles. */
export function gatherSets(
  rows: readonly ReadReadingRow[],
): { readonly first: GivenReading; readonly readings: readonly GivenReading[]; readonly count: number }[] {
  const sets = new Map<string, GivenReading[]>();
  for (const { verdict, reading } of rows) {
    if (verdict !== 'new' || !reading) continue;
    const key = `${reading.slotId}|${reading.measurement}|${reading.phase}|${reading.surface}|${reading.cold}`;
    sets.set(key, [...(sets.get(key) ?? []), reading]);
  }
  return [...sets.values()].flatMap((readings) => {
    const [first] = readings;
    if (!first) return [];
    const angles = new Set(readings.flatMap((r) => (r.position.angleDeg === null ? [] : [r.position.angleDeg])));
    const planned = plannedPositions(first.measurement).length;
    const round = MEASUREMENTS[first.measurement].pattern.form === 'round';
    return [{ first, readings, count: round ? Math.max(1, Math.min(64, angles.size)) : Math.max(1, Math.min(64, planned)) }];
  });
}
