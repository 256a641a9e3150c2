import { DomainError } from '../quantity/domainError.ts';

/** Figures and letters without I, L, O and U: 32 that are not taken for one another. */
export const CODE_ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** Symbols that say which sheet it is, and least ones for the choice: twelve with the check symbol. */
const [SHEET, LEAST, STEP] = [3, 8, 4];

/** Powers of the generator of GF(32), x⁵ + x² + 1: field arithmetic by exponents. */
const POWER = ((): number[] => {
  const list = [1];
  for (let i = 1; i < 31; i += 1) {
    const next = (list[i - 1] ?? 1) << 1;
    list.push(next > 31 ? next ^ 0b100101 : next);
  }
  return list;
})();
const LOG = new Map(POWER.map((v, i) => [v, i]));

/** Product in GF(32) of a symbol and the generator to a power. */
function times(symbol: number, power: number): number {
  const log = LOG.get(symbol);
  return log === undefined ? 0 : (POWER[(log + power) % 31] ?? 0);
}

/** Sum over all symbols, each weighted by the generator to its place: 0 of a code that is whole. */
function syndrome(symbols: readonly number[]): number {
  return symbols.reduce((sum, s, i) => sum ^ times(s, i), 0);
}

/** The symbol that makes the weighted sum nothing, to be put last. */
function checkFor(symbols: readonly number[]): number {
  const sum = syndrome(symbols);
  return times(sum, (31 - (symbols.length % 31)) % 31);
}

/** How many symbols of choice a number of choices takes. */
function lengthFor(choices: bigint): number {
  let symbols = LEAST;
  while (32n ** BigInt(symbols) < choices) symbols += STEP;
  return symbols;
}

/**
 * A choice as a code to read out: three symbols of the sheet, the choice, one check symbol; in groups of four. One wrong
 * symbol and two neighbours swapped are found always, since each place weighs otherwise in a field of 32.
 * @param sheet number of the sheet, 0 to 32767
 * @param index of the choice, 0 to choices − 1
 * @throws DomainError bad_code where there is no such choice
 */
export function writeCode(sheet: number, index: bigint, choices: bigint): string {
  if (index < 0n || index >= choices) throw new DomainError('bad_code', 'There is no such choice on this sheet.');
  const symbols = [(sheet >> 10) & 31, (sheet >> 5) & 31, sheet & 31];
  const length = lengthFor(choices);
  for (let i = length - 1; i >= 0; i -= 1) symbols.push(Number((index >> BigInt(5 * i)) & 31n));
  symbols.push(checkFor(symbols));
  const text = symbols.map((s) => CODE_ALPHABET.charAt(s)).join('');
  return (text.match(/.{1,4}/g) ?? []).join('-');
}

export interface CodeRead {
  readonly sheet: number;
  readonly index: bigint;
}

/**
 * Reads a code as it was typed: small letters, spaces and hyphens do not matter; I and L are read as 1, O as 0.
 * @throws DomainError bad_code with what is wrong with it
 */
export function readCode(typed: string): CodeRead {
  const text = typed.toUpperCase().replace(/[\s-]/g, '').replace(/[IL]/g, '1').replace(/O/g, '0');
  const symbols = [...text].map((c) => CODE_ALPHABET.indexOf(c));
  if (symbols.includes(-1)) {
    const odd = [...text].find((c) => !CODE_ALPHABET.includes(c)) ?? '';
    throw new DomainError('bad_code', `“${odd}” is in no code. Ask for it once more.`);
  }
  const choice = symbols.length - SHEET - 1;
  if (choice < LEAST || (choice - LEAST) % STEP !== 0)
    throw new DomainError('bad_code', `A code has twelve symbols, or four more; this has ${symbols.length}.`);
  if (syndrome(symbols) !== 0) throw new DomainError('bad_code', 'A symbol is wrong, or two are swapped. Ask for it once more.');
  const [a = 0, b = 0, c = 0] = symbols;
  const index = symbols.slice(SHEET, -1).reduce((sum, s) => (sum << 5n) | BigInt(s), 0n);
  return { sheet: (a << 10) | (b << 5) | c, index };
}
