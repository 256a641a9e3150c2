import { grouped, localised } from './locale.ts';
import { type Quantity, inPlainSigns } from './parse.ts';
import { type QuantityKind, type UnitId, unitOf } from './units.ts';

/**
 * Converts a canonical value.
 * @param canonical value in the kind's canonical unit
 * @returns the value in `to`
 */
export function convert(canonical: number, kind: QuantityKind, to: UnitId): number {
  const unit = unitOf(kind, to);
  return (canonical - unit.offset) / unit.factor;
}

/** Rounds to `decimals` places, halves away from zero, judged on the decimal form rather than on its binary shadow. */
export function roundHalfAway(value: number, decimals: number): number {
  const clean = Number(Math.abs(value).toPrecision(13));
  const shifted = Number(`${expand(clean)}e${decimals}`);
  const rounded = Number(`${Math.round(shifted)}e-${decimals}`);
  return value < 0 && rounded !== 0 ? -rounded : rounded;
}

function expand(value: number): string {
  const text = String(value);
  return text.includes('e') ? value.toFixed(20) : text;
}

/** Decimal places p (at least none) for which 10^-p lies nearest, by difference, to a resolution. */
export function placesFor(resolution: number): number {
  let best = 0;
  for (let p = 1; p <= 9; p += 1) {
    if (Math.abs(Number(`1e-${p}`) - resolution) < Math.abs(Number(`1e-${best}`) - resolution)) best = p;
  }
  return best;
}

/** Text of a value with fixed decimals, halves away from zero, never "-0", with a point whatever the locale: for files and for reading again. */
export function plainFixed(value: number, decimals: number): string {
  return roundHalfAway(value, decimals).toFixed(decimals);
}

/** Text of a value with fixed decimals, halves away from zero, never "-0", as people read it. */
export function fixed(value: number, decimals: number): string {
  return localised(plainFixed(value, decimals));
}

/** A number with as many decimals as it has, as people read it. */
export function figure(value: number): string {
  return localised(String(value));
}

/**
 * Text of a figure in another unit, without the unit: as many decimals as its resolution is worth there.
 * @param canonical value in the canonical unit
 * @param resolution what it resolves, in the canonical unit
 * @param fraction typed as a fraction: shown as if known to 0.001 in
 * @param shown unit to show it in
 * Source: handbook, Quantities.
 */
export function display(canonical: number, kind: QuantityKind, resolution: number, shown: UnitId, fraction = false): string {
  return localised(plainDisplay(canonical, kind, resolution, shown, fraction));
}

/** The same with a point whatever the locale: as an instrument would have typed it. */
export function plainDisplay(canonical: number, kind: QuantityKind, resolution: number, shown: UnitId, fraction = false): string {
  const unit = unitOf(kind, shown);
  const worth = (fraction ? 0.0254 : resolution) / unit.factor;
  return plainFixed(convert(canonical, kind, shown), placesFor(worth));
}

/**
 * Writes a quantity so that reading it again gives the same canonical value.
 * @returns text with its unit
 */
export function writeQuantity(quantity: Pick<Quantity, 'typed' | 'kind' | 'unit'>): string {
  const unit = unitOf(quantity.kind, quantity.unit);
  const bare = /^[\s+\-\u2212\d.,/]*/.exec(inPlainSigns(quantity.typed))?.[0].trim() ?? '';
  return unit.symbol === '' ? bare : `${bare} ${unit.symbol}`;
}

/** A figure with its unit, in the unit asked for. */
export function displayWithUnit(canonical: number, kind: QuantityKind, resolution: number, shown: UnitId, fraction = false): string {
  const symbol = unitOf(kind, shown).symbol;
  const text = display(canonical, kind, resolution, shown, fraction);
  // The degree of a plane angle stands at its figure, without a space. Source: ISO 80000-1.
  if (symbol === '°') return `${text}${symbol}`;
  return symbol === '' ? text : `${text} ${symbol}`;
}

/** Groups thousands of a distance for reading: 12000 → "12,000". */
export function groupThousands(value: number): string {
  return grouped(plainFixed(value, 0));
}

/** A text as it begins a sentence. */
export function upperFirst(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A sentence as it goes on in another one. */
export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
