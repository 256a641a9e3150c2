import { IDENTITY } from '../catalogue/identity.ts';
import { type ComponentKind, KIND_FACTS } from '../layout/kinds.ts';
import { type ArticleVersion, FITS, PROCESSES, SCARCITIES, SUPPLIES, type Supplier, TAX_KINDS } from '../ledger/priceRecords.ts';
import { DomainError, toResult } from '../quantity/domainError.ts';
import { majorOf, minorDigits, parseMinor } from '../quantity/money.ts';
import { readTold } from '../quantity/told.ts';
import { LIMIT_AXLES } from '../verdict/limits.ts';
import { ARTICLE_LACKS } from '../wording/en/estimate.ts';
import { ROW } from '../wording/en/jobs.ts';
import { oneOf } from './cell.ts';

/** What of an article is exchanged: all but who entered it here. */
export type ArticleFields = Omit<ArticleVersion, 'id' | 'seriesId' | 'enteredBy' | 'enteredAt'>;

/** Columns of a price list, as CSV and as JSON. Described in docs/price-list.md. */
export const ARTICLE_COLUMNS = [
  ...['name', 'part_number', 'supply', 'kind', 'process', 'fits', 'applies_to', 'make', 'model', 'axle', 'supplier'],
  ...['price', 'currency', 'tax', 'priced_on', 'lead_days', 'core', 'scarcity', 'covers', 'contents', 'states', 'retired'],
] as const;
export type ArticleRow = Readonly<Record<string, string>>;
const NEEDED: readonly string[] = ['name', 'supply', 'price', 'currency', 'priced_on'];
/** Most rows taken in at once. */
export const MAX_ARTICLE_ROWS = 10_000;

const KINDS = Object.keys(KIND_FACTS) as ComponentKind[];

/** An article as a row: sums in whole units of the currency, with its decimals. */
export function rowOfArticle(a: ArticleFields, suppliers: readonly Supplier[], currency: string | null): ArticleRow {
  const sum = (minor: number): string => majorOf(minor, currency).toFixed(minorDigits(currency));
  return {
    name: a.name,
    part_number: a.partNumber ?? '',
    supply: a.supply,
    kind: a.kind ?? '',
    process: a.process ?? '',
    fits: a.fits,
    applies_to: a.appliesTo ?? '',
    make: a.make ?? '',
    model: a.model ?? '',
    axle: a.axle ?? '',
    supplier: suppliers.find((s) => s.id === a.supplierId)?.name ?? '',
    price: a.price === null ? '' : sum(a.price),
    currency: currency ?? '',
    tax: a.tax,
    priced_on: a.pricedOn,
    lead_days: a.leadDays === null ? '' : String(a.leadDays),
    core: a.core === 0 ? '' : sum(a.core),
    scarcity: a.scarcity,
    covers: a.covers,
    contents: a.contents.map((c) => `${c.count} ${c.name}`).join('; '),
    states: statesText(a.states),
    retired: a.retired ? 'yes' : 'no',
  };
}

/** What is stated of an article, in a line: “bore=25.4 mm; outlets=2”. */
export function statesText(states: ArticleVersion['states']): string {
  return Object.entries(states)
    .map(([id, typed]) => `${id}=${typed}`)
    .join('; ');
}

/**
 * Reads what is stated of an article.
 * @throws DomainError not_one_of, where something is none of what articles are known by; what `readTold` throws of a length
 */
export function readStates(text: string): Record<string, string> {
  const lines = text
    .split(/[;\n]/)
    .map((l) => l.trim())
    .filter(Boolean);
  return Object.fromEntries(
    lines.map((line) => {
      const [, name = line, said = ''] = /^([^=:]+)[=:](.*)$/.exec(line) ?? [];
      const key = name.trim().toLowerCase();
      const fact = IDENTITY.find((f) => f.compared && (f.id === key.replace(/\s+/g, '_') || f.name.toLowerCase() === key));
      if (!fact || said.trim() === '') throw new DomainError('not_one_of', ARTICLE_LACKS.states(line));
      if (fact.form === 'length') readTold('article', said, 'mm');
      return [fact.id, said.trim()];
    }),
  );
}

/** What an article is about: two with the same are two versions of one. */
export function articleKey(
  a: Pick<
    ArticleFields,
    'name' | 'partNumber' | 'supply' | 'kind' | 'process' | 'fits' | 'appliesTo' | 'make' | 'model' | 'axle' | 'supplierId'
  >,
): string {
  const { name, partNumber, supply, kind, process, fits, appliesTo, make, model, axle, supplierId } = a;
  return [name, partNumber, supply, kind, process, fits, appliesTo, make, model, axle, supplierId]
    .map((v) =>
      String(v ?? '')
        .trim()
        .toLowerCase(),
    )
    .join('|');
}

function whole(cell: string, column: string, most: number): number {
  if (!/^\d{1,6}$/.test(cell) || Number(cell) > most)
    throw new DomainError('not_a_number', `“${column}” says “${cell}”, which is no whole number up to ${most}.`);
  return Number(cell);
}

/**
 * Reads one row.
 * @param currency of the shop
 * @throws DomainError with a sentence that names the column
 */
export function readArticleRow(row: ArticleRow, suppliers: readonly Supplier[], currency: string | null): ArticleFields {
  const of = (column: string): string => (row[column] ?? '').trim();
  const orNull = (column: string): string | null => of(column) || null;
  if (of('name') === '') throw new DomainError('empty', 'Nothing stands in “name”.');
  const said = of('currency').toUpperCase();
  if (said !== (currency ?? ''))
    throw new DomainError('other_currency', `This row is in ${said || 'no currency'}; the shop reckons in ${currency ?? 'none yet'}.`);
  const sum = (column: string): number | null => {
    if (of(column) === '') return null;
    const read = toResult(() => parseMinor(of(column), currency));
    if (!read.ok) throw new DomainError(read.refusal.code, `“${column}”: ${read.refusal.message}`);
    return read.value;
  };
  if (!/^\d{4}-\d\d-\d\d$/.test(of('priced_on')) || Number.isNaN(Date.parse(of('priced_on'))))
    throw new DomainError('not_a_date', `“priced_on” says “${of('priced_on')}”; write the day like 2026-05-31.`);
  const supplier = of('supplier') === '' ? null : suppliers.find((s) => s.name.toLowerCase() === of('supplier').toLowerCase());
  if (supplier === undefined) throw new DomainError('no_target', `“${of('supplier')}” is none of the shop’s suppliers: enter it first.`);
  const contents = of('contents')
    .split(';')
    .map((c) => c.trim())
    .filter(Boolean)
    .map((c) => {
      const [, count = '1', name = c] = /^(\d{1,3})\s+(.+)$/.exec(c) ?? [];
      return { name: name.trim(), count: Number(count) };
    });
  const article: ArticleFields = {
    ...{ name: of('name'), partNumber: orNull('part_number'), supply: oneOf(of('supply'), SUPPLIES, 'supply') },
    kind: of('kind') === '' ? null : oneOf(of('kind'), KINDS, 'kind'),
    process: of('process') === '' ? null : oneOf(of('process'), PROCESSES, 'process'),
    fits: of('fits') === '' ? 'shop' : oneOf(of('fits'), FITS, 'fits'),
    ...{ appliesTo: orNull('applies_to'), make: orNull('make'), model: orNull('model') },
    axle: of('axle') === '' ? null : oneOf(of('axle'), LIMIT_AXLES, 'axle'),
    supplierId: supplier?.id ?? null,
    price: sum('price'),
    tax: of('tax') === '' ? 'standard' : oneOf(of('tax'), TAX_KINDS, 'tax'),
    pricedOn: of('priced_on'),
    leadDays: of('lead_days') === '' ? null : whole(of('lead_days'), 'lead_days', 400),
    core: sum('core') ?? 0,
    scarcity: of('scarcity') === '' ? 'available' : oneOf(of('scarcity'), SCARCITIES, 'scarcity'),
    covers: of('covers') === '' ? 'one' : oneOf(of('covers'), ['one', 'axle'] as const, 'covers'),
    contents,
    states: readStates(of('states')),
    retired: of('retired') !== '' && oneOf(of('retired'), ['yes', 'no'] as const, 'retired') === 'yes',
  };
  checkArticle(article);
  return article;
}

/**
 * Checks an article before it is entered: it says what it is for.
 * @throws DomainError no_target, no_type
 */
export function checkArticle(a: ArticleFields): void {
  const refuse = (what: string): never => {
    throw new DomainError('no_target', `${a.name}: ${what}`);
  };
  if (a.supply === 'process' && a.process === null) refuse(ARTICLE_LACKS.process);
  if (a.supply !== 'consumable' && a.supply !== 'piece' && a.kind === null) refuse(ARTICLE_LACKS.kind);
  if ((a.fits === 'vehicle' || a.fits === 'part_number') && a.appliesTo === null) refuse(ARTICLE_LACKS.target);
  if (a.fits === 'type' && a.make === null) throw new DomainError('no_type', `${a.name}: ${ARTICLE_LACKS.make}`);
  if (a.core > 0 && a.supply !== 'exchange') refuse(ARTICLE_LACKS.core);
}

type ArticleRowVerdict = 'new' | 'newer' | 'same' | 'conflicts' | 'not_understood';

/** A row with what becomes of it. */
export interface ReadArticleRow {
  /** Counted from 1, without the heading. */
  readonly line: number;
  readonly verdict: ArticleRowVerdict;
  readonly why: string | null;
  readonly article: ArticleFields | null;
  /** The article of the book that it is a newer version of. */
  readonly seriesId: string | null;
}

/**
 * Reads a price list against the book: what is new, what is another price of the same, what stands there already, what two
 * rows say differently, and what cannot be understood.
 * @throws DomainError where it is no price list, or too long to be one
 */
export function readArticleList(
  rows: readonly ArticleRow[],
  book: readonly ArticleVersion[],
  suppliers: readonly Supplier[],
  currency: string | null,
): ReadArticleRow[] {
  const [first] = rows;
  if (!first) throw new DomainError('empty', 'There is no row in it.');
  if (rows.length > MAX_ARTICLE_ROWS)
    throw new DomainError('too_long', `It has ${rows.length} rows; at most ${MAX_ARTICLE_ROWS} are taken at once.`);
  const missing = NEEDED.filter((c) => !(c in first));
  if (missing.length > 0)
    throw new DomainError('no_columns', `This is no price list: there is no column ${missing.map((m) => `“${m}”`).join(', ')}.`);
  const currencies = new Set(rows.map((r) => (r['currency'] ?? '').trim().toUpperCase()));
  if (currencies.size > 1)
    throw new DomainError('other_currency', `It is in ${currencies.size} currencies (${[...currencies].join(', ')}). One list has one.`);
  const stands = new Map(book.map((a) => [articleKey(a), a]));
  const seen = new Map<string, number>();
  return rows.map((row, i): ReadArticleRow => {
    const line = i + 1;
    const read = toResult(() => readArticleRow(row, suppliers, currency));
    if (!read.ok) return { line, verdict: 'not_understood', why: read.refusal.message, article: null, seriesId: null };
    const article = read.value;
    const key = articleKey(article);
    const before = seen.get(key);
    seen.set(key, before ?? line);
    const known = stands.get(key) ?? null;
    const seriesId = known?.seriesId ?? null;
    if (before !== undefined) return { line, verdict: 'conflicts', why: ROW.sameArticle(before), article, seriesId };
    if (!known) return { line, verdict: 'new', why: null, article, seriesId };
    const plain = (a: ArticleFields): string => JSON.stringify(rowOfArticle(a, suppliers, currency));
    return plain(known) === plain(article)
      ? { line, verdict: 'same', why: null, article, seriesId }
      : { line, verdict: 'newer', why: ROW.newerArticle(known.pricedOn), article, seriesId };
  });
}
