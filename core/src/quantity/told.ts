import { isBare, type Quantity, parseQuantity } from './parse.ts';
import { DomainError } from './domainError.ts';
import { type QuantityKind, type UnitId, unitOf } from './units.ts';

/** Figures that are told beside the gauging, each with what it can be at all, canonical units. */
const TOLD = {
  counter: {
    kind: 'distance_run',
    name: 'A counter',
    from: 0,
    to: 10_000_000,
    less: 'does not show less than nothing',
    more: '10,000,000 km',
  },
  road: { kind: 'distance_run', name: 'A road test', from: 0.2, to: 400, less: 'goes 200 m at least', more: '400 km' },
  torque: { kind: 'torque', name: 'A torque', from: 0.05, to: 3000, less: 'is more than nothing', more: '3,000 N·m' },
  boiling: {
    kind: 'temperature',
    name: 'A boiling point',
    from: 80,
    to: 400,
    less: 'of brake fluid lies above 80 °C',
    more: '400 °C',
  },
  article: { kind: 'length', name: 'A figure of an article', from: 0.1, to: 20_000, less: 'is more than nothing', more: '20 m' },
  rated: { kind: 'temperature', name: 'A rated temperature', from: 50, to: 1200, less: 'lies above 50 °C', more: '1,200 °C' },
  part_heat: { kind: 'temperature', name: 'A part', from: -20, to: 600, less: 'is not so cold', more: '600 °C' },
  water: { kind: 'ratio', name: 'Water', from: 0, to: 20, less: 'is not less than nothing', more: '20 %', sign: '%' },
  months: { kind: 'ratio', name: 'An interval', from: 1, to: 240, less: 'is a month at least', more: '240 months' },
  spring_wire: { kind: 'length', name: 'Wire of a spring', from: 0.1, to: 20, less: 'is more than nothing', more: '20 mm' },
  spring_free: { kind: 'length', name: 'A spring', from: 1, to: 500, less: 'is a millimetre long at least', more: '500 mm' },
  turn_further: { kind: 'angle', name: 'A turn further', from: 1, to: 720, less: 'is a degree at least', more: 'two turns' },
  bled: { kind: 'volume', name: 'A volume', from: 0.05, to: 10_000, less: 'is more than nothing', more: '10 L at one bleeder' },
} as const satisfies Record<
  string,
  { kind: QuantityKind; name: string; from: number; to: number; less: string; more: string; sign?: string }
>;

/** What such a figure can be at all, canonical unit: from, to. */
export function toldRange(what: keyof typeof TOLD): readonly [from: number, to: number] {
  const { from, to } = TOLD[what];
  return [from, to];
}

/**
 * Reads a counter, a torque, what was bled, or what was measured of a fluid, as typed. Water may carry its “%”, as a tester sends it.
 * @param defaultUnit unit that applies when none is typed
 * @throws DomainError as parseQuantity, and `impossible` for what no such thing can be
 */
export function readTold(what: keyof typeof TOLD, typed: string, defaultUnit: UnitId): Quantity {
  const { kind, name, from, to, less, more, ...rest } = TOLD[what];
  const text = typed.trim();
  const figure = 'sign' in rest && text.endsWith(rest.sign) ? text.slice(0, -rest.sign.length) : text;
  const quantity = parseQuantity(figure, kind, defaultUnit);
  if (quantity.canonical < from) throw new DomainError('impossible', `“${text}”: ${name.toLowerCase()} ${less}.`);
  if (quantity.canonical > to) throw new DomainError('impossible', `“${text}”: ${name.toLowerCase()} of more than ${more} is a slip.`);
  return quantity;
}

/**
 * A figure as it was typed, with the unit that was meant where none was typed: "8" told in newton metres → "8 N·m", "18 lbf ft"
 * and what is no figure as it is, and nothing of nothing.
 */
export function withUnit(typed: string, kind: QuantityKind, unit: UnitId): string {
  const text = typed.trim();
  return isBare(text) ? `${text} ${unitOf(kind, unit).symbol}` : text;
}
