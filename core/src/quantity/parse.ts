import { DomainError } from './domainError.ts';
import { type QuantityKind, UNITS, type Unit, type UnitId, findUnit } from './units.ts';

/** A typed figure, understood. What was typed is never lost. */
export interface Quantity {
  readonly typed: string;
  readonly kind: QuantityKind;
  /** Unit that applied: the one typed, or the field's. */
  readonly unit: UnitId;
  /** Value in the kind's canonical unit (mm, °, mL, kg, N, N·m, bar, kPa below ambient, °C, s, km, 1). */
  readonly canonical: number;
  /** What the typed form resolves, in the canonical unit. */
  readonly resolution: number;
  /** Fractions are mostly nominal sizes; they are shown as if known to a thousandth of an inch. */
  readonly fraction: boolean;
}

interface Magnitude {
  readonly value: number;
  readonly resolution: number;
  readonly fraction: boolean;
  readonly bad?: 'bad_fraction';
}

const EXAMPLES: Record<QuantityKind, string> = {
  length: '12.08, 0.4757 in or 7/16 in',
  angle: '30 or 12.5 deg',
  volume: '250 mL or 0.25 L',
  mass: '12 kg or 26 lb',
  force: '40 N or 9 lbf',
  torque: '25 Nm or 18 lbf ft',
  pressure: '80 bar or 1160 psi',
  vacuum: '68 kPa or 20 inHg',
  temperature: '120 C or 248 F',
  time: '60 s or 5 min',
  distance_run: '12,000 km or 8000 mi',
  ratio: '0.35',
};

/**
 * Reads a figure as a technician types it.
 * @param typed text as typed, with or without a unit
 * @param kind kind of quantity the field takes
 * @param defaultUnit unit that applies when none is typed
 * @returns the quantity in the kind's canonical unit, with what the typed form resolves
 * @throws DomainError with code empty, not_a_number, unknown_unit, wrong_kind, ambiguous_separator, fraction_not_inch,
 *   bad_fraction, too_many_digits, below_absolute_zero or beyond_vacuum
 * Source: handbook, Quantities.
 */
export function parseQuantity(typed: string, kind: QuantityKind, defaultUnit: UnitId): Quantity {
  const text = kind === 'distance_run' ? withoutGroupSpaces(inPlainSigns(typed)) : inPlainSigns(typed);
  if (text === '') throw new DomainError('empty', `Nothing was typed. Type a figure such as ${EXAMPLES[kind]}.`);
  const split = splitFigure(text);
  const notANumber = (): DomainError =>
    new DomainError('not_a_number', `“${typed.trim()}” cannot be read as one figure. Type it like ${EXAMPLES[kind]}.`);
  if (!split) throw notANumber();
  const [, sign = '', digits = '', rest = ''] = split;
  if (/[\d/]/.test(rest) || /^[.,+]/.test(rest)) throw notANumber();
  const unit = resolveUnit(rest, kind, defaultUnit, typed);
  if (digits.replace(/\D/g, '').replace(/^0+/, '').length > MAX_DIGITS)
    throw new DomainError('too_many_digits', `“${typed.trim()}” has more than ${MAX_DIGITS} figures. No gauge shows so many.`);
  const magnitude = digits.includes('/') ? readFraction(digits, unit, typed) : readDecimal(digits, kind, typed, notANumber);
  const value = sign === '-' ? -magnitude.value : magnitude.value;
  // A zero has no sign.
  const canonical = value * unit.factor + unit.offset + 0;
  requirePhysical(canonical, kind, typed);
  return {
    typed,
    kind,
    unit: unit.id,
    canonical,
    resolution: magnitude.resolution * unit.factor,
    fraction: magnitude.fraction,
  };
}

/** The sign, the figure and what stands behind it, of a text in plain signs. */
const splitFigure = (text: string): RegExpExecArray | null => /^([+-]?)(\d+(?: +|-)\d+\/\d+|\d+\/\d+|[\d.,]*\d[\d.,]*)(.*)$/s.exec(text);

/** Whether a figure was typed without a unit. */
export function isBare(typed: string): boolean {
  return splitFigure(inPlainSigns(typed))?.[3]?.trim() === '';
}

/** Spaces, minus signs and fractions of every spelling, as plain signs: `1½` is `1 1/2`, and a minus may be an en dash. */
export function inPlainSigns(typed: string): string {
  return typed
    .replace(/[\u00a0\u2007\u2009\u202f]/g, ' ')
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/[\u00bc-\u00be\u2150-\u215e]/g, (one, at: number, all: string) => {
      const plain = one.normalize('NFKD').replace('\u2044', '/');
      return /\d/.test(all.charAt(at - 1)) ? ` ${plain}` : plain;
    })
    .replace(/\u2044/g, '/')
    .trim();
}

/** A distance run as it is often printed, `61 240`: groups of three behind spaces are one figure. */
function withoutGroupSpaces(text: string): string {
  const [grouped] = /^\d{1,3}(?: \d{3})+(?![\d/])/.exec(text) ?? [];
  return grouped === undefined ? text : grouped.replace(/ /g, '') + text.slice(grouped.length);
}

/** Absolute zero, °C, and the greatest vacuum there is, kPa below the standard atmosphere. */
const ABSOLUTE_ZERO = -273.15;
const WHOLE_VACUUM = 101.325;

/** Throws a DomainError for what cannot be in any shop: colder than absolute zero, or more vacuum than there is air. */
function requirePhysical(canonical: number, kind: QuantityKind, typed: string): void {
  if (kind === 'temperature' && canonical < ABSOLUTE_ZERO - 1e-9)
    throw new DomainError('below_absolute_zero', `“${typed.trim()}” is below absolute zero. Look at the sign and the unit.`);
  if (kind === 'vacuum' && canonical > WHOLE_VACUUM + 1e-9)
    throw new DomainError(
      'beyond_vacuum',
      `“${typed.trim()}” is more vacuum than there is air outside (101 kPa, 29.9 inHg). Look at the unit.`,
    );
}

/** Most figures that a number holds to its last one. */
const MAX_DIGITS = 15;

function resolveUnit(rest: string, kind: QuantityKind, defaultUnit: UnitId, typed: string): Unit {
  const name = rest.replace(/\s+/g, '').toLowerCase();
  if (name === '') {
    const usual = findUnit(kind, defaultUnit);
    if (!usual) throw new DomainError('wrong_kind', `This field does not take ${defaultUnit}.`);
    return usual;
  }
  const own = UNITS[kind].find((u) => u.aliases.includes(name));
  if (own) return own;
  const accepted =
    UNITS[kind]
      .map((u) => u.symbol)
      .filter(Boolean)
      .join(', ') || 'no unit';
  for (const other of Object.values(UNITS)) {
    if (other.some((u) => u.aliases.includes(name))) {
      throw new DomainError('wrong_kind', `“${typed.trim()}” has a unit of another kind. This field takes ${accepted}.`);
    }
  }
  throw new DomainError('unknown_unit', `The unit “${rest.trim()}” is not known here. This field takes ${accepted}.`);
}

function readFraction(digits: string, unit: Unit, typed: string): Magnitude {
  if (unit.id !== 'in') {
    throw new DomainError(
      'fraction_not_inch',
      `“${typed.trim()}” is a fraction; fractions are read in inches only. Add “in”, or type a decimal.`,
    );
  }
  const match = /^(?:(\d+)(?: +|-))?(\d+)\/(\d+)$/.exec(digits);
  const whole = Number(match?.[1] ?? 0);
  const n = Number(match?.[2]);
  const q = Number(match?.[3]);
  if (q === 0 || (match?.[1] !== undefined && n >= q)) {
    throw new DomainError('bad_fraction', `“${typed.trim()}” is not a proper fraction. Type it like 1 9/16 in.`);
  }
  return { value: whole + n / q, resolution: 1 / q, fraction: true };
}

function readDecimal(digits: string, kind: QuantityKind, typed: string, notANumber: () => DomainError): Magnitude {
  const plain = (text: string): Magnitude => {
    const match = /^(\d*)(?:\.(\d+))?$/.exec(text);
    if (!match || text === '') throw notANumber();
    return { value: Number(text), resolution: Number(`1e-${(match[2] ?? '').length}`), fraction: false };
  };
  const commas = digits.split(',').length - 1;
  const points = digits.split('.').length - 1;
  // Leading zeros of an odometer count as figures; a lone 0 stands before a decimal.
  const grouped = /^(?!0,)\d{1,3}(?:,\d{3})+$/;
  if (commas === 0) {
    if (kind === 'distance_run' && /^(?!0\.)\d+\.\d{3}$/.test(digits)) throw ambiguous(typed, digits);
    return plain(digits);
  }
  if (points > 0) {
    const [whole = '', decimals = '', more] = digits.split('.');
    if (more !== undefined || !grouped.test(whole) || decimals === '') throw notANumber();
    return plain(`${whole.replace(/,/g, '')}.${decimals}`);
  }
  if (kind === 'distance_run' && grouped.test(digits)) return plain(digits.replace(/,/g, ''));
  if (commas > 1) throw notANumber();
  const asDecimal = kind === 'length' || kind === 'angle' || kind === 'ratio';
  // Behind more than three figures a comma cannot group thousands; behind leading zeros, or in a distance, nobody knows.
  const unsure = kind === 'distance_run' ? /^(?!0,)\d+,\d{3}$/ : /^(?:\d{1,3}|0\d+),\d{3}$/;
  if (!asDecimal && !/^0,/.test(digits) && unsure.test(digits)) throw ambiguous(typed, digits);
  if (digits.endsWith(',')) throw notANumber();
  return plain(digits.replace(',', '.'));
}

function ambiguous(typed: string, digits: string): DomainError {
  const joined = digits.replace(/[.,]/, '').replace(/^0+(?=\d)/, '');
  const decimal = digits
    .replace(',', '.')
    .replace(/^0+(?=\d)/, '')
    .replace(/0+$/, '')
    .replace(/\.$/, '');
  return new DomainError(
    'ambiguous_separator',
    `“${typed.trim()}” could mean ${joined} or ${decimal}. Type it without a thousands separator.`,
  );
}
