import { Refusal } from '../refusal.ts';
import { findUnit, type Kind, type Unit, type UnitId, UNITS } from './units.ts';

/** A typed figure, understood. What was typed is never lost. */
export interface Quantity {
  readonly typed: string;
  readonly kind: Kind;
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

const EXAMPLES: Record<Kind, string> = {
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
 * @throws Refusal with code empty, not_a_number, unknown_unit, wrong_kind, ambiguous_separator, fraction_not_inch or bad_fraction
 * Source: handbook, Quantities.
 */
export function parseQuantity(typed: string, kind: Kind, defaultUnit: UnitId): Quantity {
  const text = typed
    .replace(/[\u00a0\u2007\u2009\u202f]/g, ' ')
    .replace(/\u2212/g, '-')
    .trim();
  if (text === '') throw new Refusal('empty', `Nothing was typed. Type a figure such as ${EXAMPLES[kind]}.`);
  const split = /^([+-]?)(\d+(?: +|-)\d+\/\d+|\d+\/\d+|[\d.,]*\d[\d.,]*)(.*)$/s.exec(text);
  const notANumber = (): Refusal =>
    new Refusal('not_a_number', `“${typed.trim()}” cannot be read as one figure. Type it like ${EXAMPLES[kind]}.`);
  if (!split) throw notANumber();
  const [, sign = '', digits = '', rest = ''] = split;
  if (/[\d/]/.test(rest) || /^[.,+]/.test(rest)) throw notANumber();
  const unit = resolveUnit(rest, kind, defaultUnit, typed);
  const magnitude = digits.includes('/') ? readFraction(digits, unit, typed) : readDecimal(digits, kind, typed, notANumber);
  const value = sign === '-' ? -magnitude.value : magnitude.value;
  return {
    typed,
    kind,
    unit: unit.id,
    canonical: value * unit.factor + unit.offset,
    resolution: magnitude.resolution * unit.factor,
    fraction: magnitude.fraction,
  };
}

function resolveUnit(rest: string, kind: Kind, defaultUnit: UnitId, typed: string): Unit {
  const name = rest.replace(/\s+/g, '').toLowerCase();
  if (name === '') {
    const usual = findUnit(kind, defaultUnit);
    if (!usual) throw new Refusal('wrong_kind', `This field does not take ${defaultUnit}.`);
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
      throw new Refusal('wrong_kind', `“${typed.trim()}” has a unit of another kind. This field takes ${accepted}.`);
    }
  }
  throw new Refusal('unknown_unit', `The unit “${rest.trim()}” is not known here. This field takes ${accepted}.`);
}

function readFraction(digits: string, unit: Unit, typed: string): Magnitude {
  if (unit.id !== 'in') {
    throw new Refusal(
      'fraction_not_inch',
      `“${typed.trim()}” is a fraction; fractions are read in inches only. Add “in”, or type a decimal.`,
    );
  }
  const match = /^(?:(\d+)(?: +|-))?(\d+)\/(\d+)$/.exec(digits);
  const whole = Number(match?.[1] ?? 0);
  const n = Number(match?.[2]);
  const q = Number(match?.[3]);
  if (q === 0 || (match?.[1] !== undefined && n >= q)) {
    throw new Refusal('bad_fraction', `“${typed.trim()}” is not a proper fraction. Type it like 1 9/16 in.`);
  }
  return { value: whole + n / q, resolution: 1 / q, fraction: true };
}

function readDecimal(digits: string, kind: Kind, typed: string, notANumber: () => Refusal): Magnitude {
  const plain = (text: string): Magnitude => {
    const match = /^(\d*)(?:\.(\d+))?$/.exec(text);
    if (!match || text === '') throw notANumber();
    return { value: Number(text), resolution: Number(`1e-${(match[2] ?? '').length}`), fraction: false };
  };
  const commas = digits.split(',').length - 1;
  const points = digits.split('.').length - 1;
  const grouped = /^[1-9]\d{0,2}(?:,\d{3})+$/;
  if (commas === 0) {
    if (kind === 'distance_run' && /^[1-9]\d{0,2}\.\d{3}$/.test(digits)) throw ambiguous(typed, digits);
    return plain(digits);
  }
  if (points > 0) {
    const [whole = '', decimals = '', more] = digits.split('.');
    if (more !== undefined || !grouped.test(whole) || decimals === '') throw notANumber();
    return plain(`${whole.replace(/,/g, '')}.${decimals}`);
  }
  if (kind === 'distance_run' && grouped.test(digits)) return plain(digits.replace(/,/g, ''));
  if (commas > 1) throw notANumber();
  if (grouped.test(digits) && kind !== 'length' && kind !== 'angle' && kind !== 'ratio') throw ambiguous(typed, digits);
  if (digits.endsWith(',')) throw notANumber();
  return plain(digits.replace(',', '.'));
}

function ambiguous(typed: string, digits: string): Refusal {
  const joined = digits.replace(/[.,]/, '');
  const decimal = digits.replace(',', '.').replace(/0+$/, '').replace(/\.$/, '');
  return new Refusal('ambiguous_separator', `“${typed.trim()}” could mean ${joined} or ${decimal}. Type it without a thousands separator.`);
}
