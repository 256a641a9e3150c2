import { CHARACTERISTICS, characteristic, checkLimitOf } from '../catalogue/characteristics.ts';
import { parseQuantity } from '../quantity/parse.ts';
import { isYear } from '../quantity/partialDate.ts';
import { DomainError, toResult } from '../quantity/domainError.ts';
import { UNITS, type UnitId } from '../quantity/units.ts';
import { LIMIT_AXLES, type LimitSource, type LimitVersion, SOURCE_RANK, currentLimits } from '../verdict/limits.ts';
import { ROW } from '../wording/en/jobs.ts';
import { oneOf } from './cell.ts';

/** What of a limit is exchanged: all but who entered and checked it here. */
export type LimitFields = Omit<LimitVersion, 'id' | 'seriesId' | 'enteredBy' | 'enteredAt' | 'checkedBy' | 'checkedAt'>;

/** Columns of a limit list, as CSV and as JSON. Described in docs/limits-file.md. */
export const LIMIT_COLUMNS = [
  ...['characteristic', 'scope', 'applies_to', 'make', 'model', 'year_from', 'year_to', 'variant', 'axle'],
  ...['bound', 'nominal', 'machine_to', 'at', 'low', 'high', 'unit', 'gravity', 'at_least'],
  ...['source', 'source_text', 'as_printed', 'printed_unit'],
] as const;
export type LimitRow = Readonly<Record<string, string>>;

/** Without these a list is no limit list. */
const NEEDED: readonly string[] = ['characteristic', 'scope', 'bound', 'source', 'source_text'];
/** Most rows taken in at once. */
export const MAX_LIMIT_ROWS = 5000;

const text = (v: string | number | null): string => (v === null ? '' : String(v));

/** A limit as a row: figures in the characteristic's canonical unit, with all their digits. */
export function rowOfLimit(l: LimitFields): LimitRow {
  return {
    characteristic: l.characteristic,
    scope: l.scope,
    applies_to: text(l.appliesTo),
    make: text(l.make),
    model: text(l.model),
    year_from: text(l.yearFrom),
    year_to: text(l.yearTo),
    variant: text(l.variant),
    axle: text(l.axle),
    bound: l.bound,
    nominal: text(l.nominal),
    machine_to: text(l.machineTo),
    at: text(l.at),
    low: text(l.low),
    high: text(l.high),
    unit: characteristic(l.characteristic)?.unit ?? 'mm',
    gravity: l.gravity,
    at_least: l.atLeast ? 'yes' : 'no',
    source: l.source,
    source_text: l.sourceText,
    as_printed: l.asPrinted,
    printed_unit: l.printedUnit,
  };
}

/** What a limit is about: two with the same are two versions, or a conflict. */
export function limitKey(
  l: Pick<LimitFields, 'characteristic' | 'scope' | 'appliesTo' | 'make' | 'model' | 'yearFrom' | 'yearTo' | 'variant' | 'axle'>,
): string {
  const { characteristic: c, scope, appliesTo, make, model, yearFrom, yearTo, variant, axle } = l;
  return [c, scope, appliesTo, make, model, yearFrom, yearTo, variant, axle]
    .map((v) =>
      String(v ?? '')
        .trim()
        .toLowerCase(),
    )
    .join('|');
}

const near = (a: number | null, b: number | null): boolean => a === b || (a !== null && b !== null && Math.abs(a - b) < 1e-9);

/** Whether two limits say the same of the same. */
export function sameLimit(a: LimitFields, b: LimitFields): boolean {
  const figures = (['nominal', 'machineTo', 'at', 'low', 'high'] as const).every((k) => near(a[k], b[k]));
  const facts = (['bound', 'gravity', 'atLeast', 'source'] as const).every((k) => a[k] === b[k]);
  return limitKey(a) === limitKey(b) && figures && facts && a.sourceText.trim() === b.sourceText.trim();
}

function year(cell: string, column: string): number | null {
  if (cell.trim() === '') return null;
  const n = Number(cell);
  if (!isYear(n)) throw new DomainError('not_a_year', `“${column}” says “${cell}”, which is not a year.`);
  return n;
}

/**
 * Reads one row.
 * @throws DomainError with a sentence that names the column
 */
export function readLimitRow(row: LimitRow): LimitFields {
  const of = (column: string): string => (row[column] ?? '').trim();
  const missing = NEEDED.filter((c) => of(c) === '');
  if (missing.length > 0) throw new DomainError('empty', `Nothing stands in ${missing.map((m) => `“${m}”`).join(' and ')}.`);
  const facts = characteristic(of('characteristic'));
  if (!facts)
    throw new DomainError(
      'unknown_characteristic',
      `“${of('characteristic')}” is not known; known are ${CHARACTERISTICS.map((c) => c.id).join(', ')}.`,
    );
  const unit = of('unit') === '' ? facts.unit : UNITS[facts.kind].find((u) => u.id === of('unit'))?.id;
  if (!unit) throw new DomainError('unknown_unit', `“${of('unit')}” is not a unit of this characteristic.`);
  const figure = (column: string): number | null =>
    of(column) === '' ? null : parseQuantity(of(column), facts.kind, unit satisfies UnitId).canonical;
  const scope = oneOf(of('scope'), ['part', 'part_number', 'vehicle', 'type', 'shop'] as const, 'scope');
  const orNull = (column: string): string | null => of(column) || null;
  const limit: LimitFields = {
    characteristic: facts.id,
    scope,
    appliesTo: orNull('applies_to'),
    make: orNull('make'),
    model: orNull('model'),
    yearFrom: year(of('year_from'), 'year_from'),
    yearTo: year(of('year_to'), 'year_to'),
    variant: orNull('variant'),
    axle: of('axle') === '' ? null : oneOf(of('axle'), LIMIT_AXLES, 'axle'),
    bound: oneOf(of('bound'), ['lower', 'upper', 'range'] as const, 'bound'),
    nominal: figure('nominal'),
    machineTo: figure('machine_to'),
    at: figure('at'),
    low: figure('low'),
    high: figure('high'),
    gravity: of('gravity') === '' ? facts.gravity : oneOf(of('gravity'), ['safety', 'function'] as const, 'gravity'),
    atLeast: of('at_least') !== '' && oneOf(of('at_least'), ['yes', 'no'] as const, 'at_least') === 'yes',
    source: oneOf<LimitSource>(of('source'), SOURCE_RANK, 'source'),
    sourceText: of('source_text'),
    asPrinted: of('as_printed'),
    printedUnit: of('printed_unit') || unit,
  };
  if (scope === 'type' && (limit.make === null || limit.model === null))
    throw new DomainError('no_type', 'A type needs “make” and “model”.');
  if (['part', 'part_number', 'vehicle'].includes(scope) && limit.appliesTo === null)
    throw new DomainError('no_target', 'Say in “applies_to” which part, number or vehicle.');
  checkLimitOf(limit);
  return limit;
}

export type RowVerdict = 'new' | 'same' | 'conflicts' | 'not_understood';

/** A row with what becomes of it. */
export interface ReadLimitRow {
  /** Counted from 1, without the heading. */
  readonly line: number;
  readonly verdict: RowVerdict;
  readonly why: string | null;
  readonly limit: LimitFields | null;
}

/**
 * Reads a limit list against the book: what is new, what stands there already, what says something else of the same,
 * and what cannot be understood.
 * @param rows by column name
 * @param known every version of the book
 * @throws DomainError where it is no limit list, or too long to be one
 */
export function readLimitList(rows: readonly LimitRow[], known: readonly LimitVersion[]): ReadLimitRow[] {
  const [first] = rows;
  if (!first) throw new DomainError('empty', 'There is no row in it.');
  if (rows.length > MAX_LIMIT_ROWS)
    throw new DomainError('too_long', `It has ${rows.length} rows; at most ${MAX_LIMIT_ROWS} are taken at once.`);
  const missing = NEEDED.filter((c) => !(c in first));
  if (missing.length > 0) {
    const found = Object.keys(first).slice(0, 4).join(', ');
    throw new DomainError(
      'no_columns',
      `This is no limit list: there is no column ${missing.map((m) => `“${m}”`).join(', ')}. It begins with ${found || 'nothing'}.`,
    );
  }
  const book = new Map(currentLimits(known).map((l) => [limitKey(l), l]));
  const seen = new Map<string, number>();
  return rows.map((row, i): ReadLimitRow => {
    const line = i + 1;
    const read = toResult(() => readLimitRow(row));
    if (!read.ok) return { line, verdict: 'not_understood', why: read.refusal.message, limit: null };
    const limit = read.value;
    const key = limitKey(limit);
    const before = seen.get(key);
    seen.set(key, before ?? line);
    if (before !== undefined) return { line, verdict: 'conflicts', why: ROW.sameLimit(before), limit };
    const stands = book.get(key);
    if (!stands) return { line, verdict: 'new', why: null, limit };
    return sameLimit(stands, limit)
      ? { line, verdict: 'same', why: null, limit }
      : {
          line,
          verdict: 'conflicts',
          why: ROW.limitStands(stands.sourceText),
          limit,
        };
  });
}
