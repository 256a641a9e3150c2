import { type ComponentKind, KIND_FACTS } from '../../layout/kinds.ts';
import { DomainError } from '../../quantity/domainError.ts';
import { observedCode } from '../observations.ts';
import type { OptionId } from '../repairOptions.ts';
import { CHECKS_TABLE } from './checks.ts';
import { FAULTS_TABLE } from './faults.ts';
import { FOLLOWS_TABLE, LINKS_TABLE } from './links.ts';
import { SIGNS_TABLE } from './signs.ts';

/** What shifts the odds of a fault: of the vehicle, or of what was done here lately. */
export const SHIFTS = ['stood', 'damp', 'damp_air', 'old_fluid', 'unknown_fluid', 'hard', 'fresh'] as const;
export type Shift = (typeof SHIFTS)[number];

/** One kind of fault, of a kind of component or of the whole. */
export interface FaultKind {
  readonly id: string;
  /** `fluid`: what one reservoir holds and feeds. */
  readonly on: ComponentKind | 'system' | 'fluid' | 'circuit' | 'axle';
  /** The style that a component must have (its beginning), mechanical at a cam or wedge, or hydraulic for what only fluid can have. */
  readonly style: string | null;
  readonly name: string;
  readonly prior: number;
  /** Grows with the years since the component was renewed or open, is of the vehicle as it comes, or comes with the water that is reckoned with in the fluid. */
  readonly per: 'year' | 'once' | 'fluid';
  readonly shifts: Readonly<Partial<Record<Shift, number>>>;
  readonly option: OptionId;
  readonly reason: string;
}

/** Where a link shows, seen from the fault. */
const WHERE = ['system', 'here', 'axle', 'circuit', 'all', 'rear', 'away', 'toward', 'own', 'other'] as const;
type Where = (typeof WHERE)[number];

export interface Link {
  readonly fault: string;
  readonly sign: string;
  readonly strength: number;
  readonly where: Where;
  readonly reason: string;
}

/** Something that may be seen, with how often it is without any fault of the table. */
export interface Sign {
  readonly code: string;
  readonly leak: number;
  readonly known: 'felt' | 'checked' | 'measured';
  /** A piece is one of several alike at a wheel, each piston, or one circuit of several. */
  readonly scope: 'system' | 'corner' | 'piece';
  /** Worded here where it is not asked in words elsewhere. */
  readonly text: string | null;
  readonly reason: string;
}

/** What makes a check dangerous, or impossible as the vehicle stands. */
const CHECK_HAZARDS = ['presses', 'opens', 'clamps', 'drives', 'wheel'] as const;
export type CheckHazard = (typeof CHECK_HAZARDS)[number];

export interface CheckKind {
  readonly id: string;
  readonly name: string;
  /** To do it, or to set it up where it goes from wheel to wheel. */
  readonly minutes: number;
  /** More for each wheel, where it goes from wheel to wheel. */
  readonly minutesEach: number;
  readonly helpers: number;
  /** Wheels: at every wheel one after another. */
  readonly scope: 'system' | 'corner' | 'wheels';
  readonly signs: readonly string[];
  /** One of these must be seen, at its wheel, or the check says nothing. */
  readonly onlyWhere: readonly string[];
  /** Its signs are answered one after another, the next only where the one before is seen. */
  readonly inTurn: boolean;
  /** None, one or several. */
  readonly hazards: readonly CheckHazard[];
  readonly tools: string | null;
  readonly steps: string;
}

/** What a sign brings about by itself, alike for every fault that makes it. */
interface Follows {
  readonly sign: string;
  readonly then: string;
  readonly strength: number;
}

export interface Tables {
  readonly faults: readonly FaultKind[];
  readonly links: readonly Link[];
  readonly signs: readonly Sign[];
  readonly checks: readonly CheckKind[];
  readonly follows: readonly Follows[];
}

/** A table as it stands in its file. */
export interface TableText {
  readonly name: string;
  readonly text: string;
}

interface Row {
  readonly cells: readonly string[];
  readonly refuse: (why: string) => never;
}

/** The lines of a table; each knows where it stands. */
function rowsOf({ name, text }: TableText, columns: number): Row[] {
  return text.split('\n').flatMap((line, i): Row[] => {
    const refuse = (why: string): never => {
      throw new DomainError('bad_table', `${name}, line ${i + 1}: ${why}`);
    };
    if (line.trim() === '' || line.startsWith('#')) return [];
    const cells = line.split('|').map((c) => c.trim());
    if (cells.length !== columns) return refuse(`${columns} columns are wanted, and there are ${cells.length}.`);
    return [{ cells, refuse }];
  });
}

function cell(row: Row, at: number): string {
  return row.cells[at] ?? '';
}
function oneOf<T extends string>(row: Row, at: number, list: readonly T[]): T {
  return list.find((x) => x === cell(row, at)) ?? row.refuse(`“${cell(row, at)}” is none of ${list.join(', ')}.`);
}
function probabilityIn(row: Row, at: number): number {
  const value = Number(cell(row, at));
  if (cell(row, at) === '' || !(value >= 0 && value <= 1))
    return row.refuse(`“${cell(row, at)}” is no probability: it lies between 0 and 1.`);
  return value;
}
/** A strength: nothing is certain, and what hardly ever shows is no link. Source: handbook 35. */
function strengthIn(row: Row, at: number): number {
  const value = probabilityIn(row, at);
  return value >= 0.02 && value <= 0.98 ? value : row.refuse(`“${cell(row, at)}” is no strength: it lies between 0.02 and 0.98.`);
}
function hazardsIn(row: Row, at: number): CheckHazard[] {
  const named = cell(row, at).split(/\s+/);
  if (named.length === 1 && named[0] === 'none') return [];
  return named.map((n) => CHECK_HAZARDS.find((h) => h === n) ?? row.refuse(`“${n}” is none of none, ${CHECK_HAZARDS.join(', ')}.`));
}
function countIn(row: Row, at: number): number {
  const value = Number(cell(row, at));
  if (cell(row, at) === '' || !(value >= 0)) return row.refuse(`“${cell(row, at)}” is no number of 0 or more.`);
  return value;
}
/** “6”, or “6+2” where each wheel takes two more. */
function minutesIn(row: Row, at: number): { readonly minutes: number; readonly minutesEach: number } {
  const [minutes = NaN, each = 0, ...more] = cell(row, at).split('+').map(Number);
  if (!(minutes > 0) || !(each >= 0) || more.length > 0) return row.refuse('a check takes some minutes.');
  return { minutes, minutesEach: each };
}
function reasonIn(row: Row, at: number): string {
  return cell(row, at).length >= 4
    ? cell(row, at)
    : row.refuse('the reasoning is missing: every figure says why it stands where it stands.');
}
const orNone = (text: string): string | null => (text === '-' || text === '' ? null : text);

/** Whether a check of a scope can settle a sign of a scope: a piece may be at a wheel or of a circuit. */
const fits = (sign: Sign['scope'] | undefined, check: CheckKind['scope']): boolean =>
  sign === undefined || sign === 'piece' || (sign === 'system') === (check === 'system');

const OPTIONS: readonly OptionId[] = ['use_again', 'reseal', 'machine', 'replace'];

function shiftsIn(row: Row, at: number): FaultKind['shifts'] {
  const text = orNone(cell(row, at));
  if (text === null) return {};
  return Object.fromEntries(
    text.split(/\s+/).map((one) => {
      const [name = '', times = ''] = one.split('*');
      const shift = SHIFTS.find((s) => s === name) ?? row.refuse(`“${name}” is no shift: ${SHIFTS.join(', ')} are.`);
      const by = Number(times);
      if (!(by > 0)) row.refuse(`“${one}” does not say by how much.`);
      return [shift, by];
    }),
  );
}

/**
 * Reads the tables of faults, links, signs and checks.
 * @throws DomainError bad_table, with the table and the line: a strength
 * outside 0.02 to 0.98, a link that stands twice, a check that settles nothing, a missing reasoning, a name that is nowhere
 * Source of their shape: handbook 30.
 */
export function readTables(texts: {
  readonly faults: TableText;
  readonly links: TableText;
  readonly signs: TableText;
  readonly checks: TableText;
  readonly follows?: TableText;
}): Tables {
  const kinds = [...(Object.keys(KIND_FACTS) as ComponentKind[]), 'system', 'fluid', 'circuit', 'axle'] as const;
  const known = new Set<string>();
  const faults = rowsOf(texts.faults, 9).map((row): FaultKind => {
    const id = cell(row, 0);
    if (known.has(id) || id === '') row.refuse(`“${id}” stands twice, or is no name.`);
    known.add(id);
    return {
      ...{ id, on: oneOf(row, 1, kinds), style: orNone(cell(row, 2)), name: cell(row, 3), prior: probabilityIn(row, 4) },
      ...{
        per: oneOf(row, 5, ['year', 'once', 'fluid'] as const),
        shifts: shiftsIn(row, 6),
        option: oneOf(row, 7, OPTIONS),
        reason: reasonIn(row, 8),
      },
    };
  });
  const codes = new Set<string>();
  const signs = rowsOf(texts.signs, 6).map((row): Sign => {
    const code = cell(row, 0);
    if (codes.has(code) || code === '') row.refuse(`“${code}” stands twice, or is no name.`);
    codes.add(code);
    const sign = {
      ...{ code, leak: probabilityIn(row, 1), known: oneOf(row, 2, ['felt', 'checked', 'measured'] as const) },
      ...{ scope: oneOf(row, 3, ['system', 'corner', 'piece'] as const), text: orNone(cell(row, 4)), reason: reasonIn(row, 5) },
    };
    if (sign.known !== 'felt' && sign.text === null) row.refuse('what only a check or the bench brings out is worded here.');
    return sign;
  });
  const signOf = (row: Row, code: string): string => {
    const named = code === 'pull' ? ['pulls_left', 'pulls_right'] : code === 'locks' ? ['locks_front', 'locks_rear'] : [code];
    return named.every((c) => codes.has(c)) ? code : row.refuse(`“${code}” is no sign of the table.`);
  };
  const linked = new Set<string>();
  const links = rowsOf(texts.links, 5).map((row): Link => {
    const fault = cell(row, 0);
    if (!known.has(fault)) row.refuse(`“${fault}” is no fault of the table.`);
    const where = oneOf(row, 3, WHERE);
    const sign = signOf(row, cell(row, 1));
    const sided = where === 'away' || where === 'toward';
    const axled = where === 'own' || where === 'other';
    if ((sign === 'pull') !== sided || (sign === 'locks') !== axled) row.refuse(`“${sign}” does not show “${where}”.`);
    const scope = signs.find((s) => s.code === sign)?.scope;
    if (scope === 'piece' && where !== 'here') row.refuse(`“${sign}” is of one piece, and shows “here” only.`);
    if (scope !== undefined && (scope === 'system') !== (where === 'system'))
      row.refuse(`“${sign}” is of the ${scope}, and cannot show “${where}”.`);
    const once = `${fault} ${sign} ${where}`;
    if (linked.has(once)) row.refuse(`“${fault}” and “${sign}” are linked so twice.`);
    linked.add(once);
    return { fault, sign, strength: strengthIn(row, 2), where, reason: reasonIn(row, 4) };
  });
  const follows = rowsOf(texts.follows ?? { name: 'follows', text: '' }, 4).map((row): Follows => {
    reasonIn(row, 3);
    return { sign: signOf(row, cell(row, 0)), then: signOf(row, cell(row, 1)), strength: strengthIn(row, 2) };
  });
  const checks = rowsOf(texts.checks, 9).map((row): CheckKind => {
    const scope = oneOf(row, 4, ['system', 'corner', 'wheels'] as const);
    const [first = '', second] = cell(row, 5).split('?');
    if ((second ?? first).trim() === '') row.refuse('a check settles something.');
    const namedIn = (text: string): string[] => text.split(/[\s>]+/).flatMap((code) => (code === '' ? [] : [signOf(row, code)]));
    const settles = namedIn(second ?? first);
    for (const code of settles)
      if (!fits(signs.find((s) => s.code === code)?.scope, scope))
        row.refuse(`“${code}” is not of a ${scope === 'system' ? 'whole vehicle' : 'wheel'}.`);
    return {
      ...{
        id: cell(row, 0),
        name: cell(row, 1),
        ...minutesIn(row, 2),
        helpers: countIn(row, 3),
      },
      ...{
        scope,
        signs: settles,
        onlyWhere: second === undefined ? [] : namedIn(first),
        inTurn: cell(row, 5).includes('>'),
        hazards: hazardsIn(row, 6),
        tools: orNone(cell(row, 7)),
        steps: reasonIn(row, 8),
      },
    };
  });
  return { faults, links, signs, checks, follows };
}

/** The tables that come with the application. */
export const TABLES: Tables = readTables({
  faults: { name: 'faults', text: FAULTS_TABLE },
  links: { name: 'links', text: LINKS_TABLE },
  signs: { name: 'signs', text: SIGNS_TABLE },
  checks: { name: 'checks', text: CHECKS_TABLE },
  follows: { name: 'follows', text: FOLLOWS_TABLE },
});

/** Whether something can be answered in words, and at each wheel or of the whole; null for what only the bench says. */
export function answerable(code: string): { readonly perCorner: boolean } | null {
  const sign = TABLES.signs.find((s) => s.code === observedCode(code).replace(/#\d$/, ''));
  return sign && sign.known !== 'measured'
    ? { perCorner: sign.scope === 'corner' || (sign.scope === 'piece' && sign.code !== 'joint_wet') }
    : null;
}
