/** Kinds of quantity and the units each may be typed in. */
export type QuantityKind =
  'length' | 'angle' | 'volume' | 'mass' | 'force' | 'torque' | 'pressure' | 'vacuum' | 'temperature' | 'time' | 'distance_run' | 'ratio';

export type UnitId =
  | 'mm'
  | 'cm'
  | 'um'
  | 'in'
  | 'thou'
  | 'deg'
  | 'mL'
  | 'L'
  | 'us_fl_oz'
  | 'kg'
  | 'g'
  | 'lb'
  | 'N'
  | 'kgf'
  | 'lbf'
  | 'Nm'
  | 'lbf_ft'
  | 'lbf_in'
  | 'bar'
  | 'psi'
  | 'MPa'
  | 'kPa'
  | 'inHg'
  | 'degC'
  | 'degF'
  | 's'
  | 'min'
  | 'h'
  | 'km'
  | 'mi'
  | '1';

export interface Unit {
  readonly id: UnitId;
  readonly symbol: string;
  /** canonical = typed × factor + offset */
  readonly factor: number;
  readonly offset: number;
  /** Spellings, lower case and without spaces. */
  readonly aliases: readonly string[];
}

const unit = (id: UnitId, symbol: string, factor: number, aliases: string[], offset = 0): Unit => ({
  id,
  symbol,
  factor,
  offset,
  aliases,
});

const LBF_FT = 1.3558179483314;

/**
 * Units by kind, the canonical one first. Factors: international inch, pound and mile (exact),
 * standard gravity (exact), inch of mercury at 0 °C, US fluid ounce.
 */
export const UNITS: Readonly<Record<QuantityKind, readonly Unit[]>> = {
  length: [
    unit('mm', 'mm', 1, ['mm']),
    unit('cm', 'cm', 10, ['cm']),
    unit('um', 'µm', 0.001, ['um', 'µm', 'μm']),
    unit('in', 'in', 25.4, ['in', 'inch', 'inches', '"', '″', '”']),
    unit('thou', 'thou', 0.0254, ['thou', 'mil']),
  ],
  angle: [unit('deg', '°', 1, ['deg', '°'])],
  volume: [unit('mL', 'mL', 1, ['ml', 'cc']), unit('L', 'L', 1000, ['l']), unit('us_fl_oz', 'US fl oz', 29.5735295625, ['usfloz'])],
  mass: [unit('kg', 'kg', 1, ['kg']), unit('lb', 'lb', 0.45359237, ['lb', 'lbs']), unit('g', 'g', 0.001, ['g'])],
  force: [unit('N', 'N', 1, ['n']), unit('kgf', 'kgf', 9.80665, ['kgf']), unit('lbf', 'lbf', 4.4482216152605, ['lbf'])],
  torque: [
    unit('Nm', 'N·m', 1, ['nm', 'n·m', 'n⋅m', 'n.m', 'n*m', 'n-m']),
    unit('lbf_ft', 'lbf·ft', LBF_FT, [
      'lbf·ft',
      'lbf⋅ft',
      'lbfft',
      'lbf-ft',
      'lb-ft',
      'lbft',
      'lb·ft',
      'ft-lb',
      'ftlb',
      'ft·lb',
      'ft-lbf',
      'ftlbf',
      'ft·lbf',
    ]),
    unit('lbf_in', 'lbf·in', LBF_FT / 12, [
      'lbf·in',
      'lbf⋅in',
      'lbfin',
      'lbf-in',
      'lb-in',
      'lbin',
      'lb·in',
      'in-lb',
      'inlb',
      'in·lb',
      'in-lbf',
      'inlbf',
      'in·lbf',
    ]),
  ],
  pressure: [
    unit('bar', 'bar', 1, ['bar']),
    unit('psi', 'psi', 0.0689475729317, ['psi']),
    unit('MPa', 'MPa', 10, ['mpa']),
    unit('kPa', 'kPa', 0.01, ['kpa']),
  ],
  vacuum: [unit('kPa', 'kPa', 1, ['kpa']), unit('inHg', 'inHg', 3.386389, ['inhg'])],
  temperature: [unit('degC', '°C', 1, ['c', '°c', 'degc']), unit('degF', '°F', 5 / 9, ['f', '°f', 'degf'], (-32 * 5) / 9)],
  time: [unit('s', 's', 1, ['s']), unit('min', 'min', 60, ['min']), unit('h', 'h', 3600, ['h'])],
  distance_run: [unit('km', 'km', 1, ['km']), unit('mi', 'mi', 1.609344, ['mi', 'mile', 'miles'])],
  ratio: [unit('1', '', 1, [])],
};

/** The unit of a kind by its id, or undefined where the kind does not know it. */
export function findUnit(kind: QuantityKind, id: string): Unit | undefined {
  return UNITS[kind].find((u) => u.id === id);
}

/** The unit of a kind by its id; throws a plain Error for a unit of another kind (a mistake of the program). */
export function unitOf(kind: QuantityKind, id: string): Unit {
  const found = findUnit(kind, id);
  if (!found) throw new Error(`${id} is not a unit of ${kind}`);
  return found;
}

export const KINDS = Object.keys(UNITS) as readonly QuantityKind[];
