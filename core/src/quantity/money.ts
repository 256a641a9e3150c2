import { DomainError } from './domainError.ts';

/** Currencies by what stands before or behind a sum. Source: ISO 4217. */
const SIGNS: Readonly<Record<string, readonly string[]>> = {
  '£': ['GBP'],
  '€': ['EUR'],
  $: ['USD', 'CAD', 'AUD', 'NZD', 'SGD', 'HKD', 'MXN'],
  '¥': ['JPY', 'CNY'],
  zł: ['PLN'],
  kč: ['CZK'],
  ft: ['HUF'],
  kr: ['SEK', 'NOK', 'DKK', 'ISK'],
  fr: ['CHF'],
};
/** Greatest sum that is taken. */
const MOST = 1e9;

/** Whether text is the code of a currency, three capital letters. */
export function isCurrency(text: string): boolean {
  return /^[A-Z]{3}$/.test(text);
}

function requireShopCurrency(said: string, currency: string | null, typed: string): void {
  const name = said.toUpperCase();
  const codes = SIGNS[said.toLowerCase()] ?? (isCurrency(name) ? [name] : null);
  if (codes === null) throw new DomainError('not_a_sum', `“${typed}” cannot be read as one sum. Type it like 450 or 1,250.00.`);
  if (currency === null)
    throw new DomainError(
      'other_currency',
      `“${typed}” names a currency, and the shop has none set. Type the sum alone, or set it under Shop.`,
    );
  if (!codes.includes(currency))
    throw new DomainError(
      'other_currency',
      `“${typed}” is not in ${currency}, which the shop reckons in. Type what it comes to in ${currency}.`,
    );
}

/**
 * Reads a sum of money as it is typed: `450`, `£450`, `600.00 EUR`, `1 250`, `1,250.00`, `1.250,00`. A separator with one or
 * two figures behind it, and no other like it, is the decimal one; with three it is a thousands separator, since no sum is
 * told to the thousandth.
 * @param currency ISO 4217 code that the shop reckons in; null where none is set
 * @returns the sum, at least 0, in whole units of the currency and hundredths
 * @throws DomainError empty, not_a_sum, other_currency, too_large
 */
export function parseMoney(typed: string, currency: string | null): number {
  const text = typed.replace(/[\s\u00a0\u2007\u2009\u202f]+/g, ' ').trim();
  if (text === '') throw new DomainError('empty', 'Nothing was typed. Type a sum such as 450.');
  const not = (): DomainError => new DomainError('not_a_sum', `“${text}” cannot be read as one sum. Type it like 450 or 1,250.00.`);
  const [, before = '', figure = '', after = ''] = /^([^\d,'’+-]*?)(\d[\d.,'’ ]*\d|\d)([^\d]*)$/.exec(text) ?? [];
  if (figure === '') throw not();
  const said = [before, after].map((t) => t.trim().replace(/\.$/, '')).filter((t) => t !== '');
  for (const one of said) requireShopCurrency(one, currency, text);
  const [, whole = '', decimals = ''] = /^(.*?)(?:[.,](\d{1,2}))?$/.exec(figure) ?? [];
  const separators = new Set(whole.match(/\D/g) ?? []);
  // In threes, or in twos before the last three, as lakhs are written.
  const grouped = /^(?:\d{1,3}(?:[.,'’ ]\d{3})+|\d{1,2}(?:[.,'’ ]\d{2})+[.,'’ ]\d{3})$/.test(whole) && separators.size === 1;
  const sameAsDecimal = decimals !== '' && separators.has(figure.charAt(whole.length));
  if ((!grouped && !/^\d+$/.test(whole)) || sameAsDecimal) throw not();
  const sum = Number(`${whole.replace(/\D/g, '')}.${decimals || '0'}`);
  if (sum > MOST) throw new DomainError('too_large', `“${text}” is more than a shop is paid. Look at the separators.`);
  return sum;
}

/**
 * Decimal places that sums of a currency are counted in: 2 for most, 0 for yen, 3 for dinars; 2 where none is set.
 * Source: ISO 4217, as the platform has it.
 */
export function minorDigits(currency: string | null): number {
  if (currency === null || !isCurrency(currency)) return 2;
  return new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
}

/**
 * Reads a typed sum into whole minor units of the shop's currency.
 * @param currency ISO 4217 code; null where the shop has none, and sums have two decimals
 * @returns minor units, at least 0
 * @throws DomainError empty, not_a_sum, other_currency, too_large; too_fine where it has more decimals than the currency
 */
export function parseMinor(typed: string, currency: string | null): number {
  const digits = minorDigits(currency);
  const last = /[.,](\d+)\D*$/.exec(typed.trim())?.[1] ?? '';
  // Three figures behind a separator are thousands, as parseMoney reads them; only shorter ones are decimals.
  if (last.length > 0 && last.length < 3 && last.length > digits && Number(last) !== 0)
    throw new DomainError('too_fine', `“${typed}” has more decimals than ${currency ?? 'a sum'} is counted in. Round it.`);
  // Where a currency has three decimals, three figures behind the only separator are those.
  const [, before = '', separator = '', thousandths = '', after = ''] =
    digits === 3 ? (/^(.*\d)([.,])(\d{3})(\D*)$/.exec(typed.trim()) ?? []) : [];
  if (separator !== '' && !before.includes(separator)) return parseMoney(`${before}${after}`, currency) * 1000 + Number(thousandths);
  return Math.round(parseMoney(typed, currency) * 10 ** digits);
}

/** Minor units as a plain number of whole units, for writing. */
export function majorOf(minor: number, currency: string | null): number {
  return minor / 10 ** minorDigits(currency);
}

/**
 * Tax on a net sum, whole minor units, halves away from zero. Source: handbook 40, Money; tax is rounded per line.
 * @param net minor units; negative for what is given back
 * @param permille of the net
 */
export function taxOn(net: number, permille: number): number {
  // In whole numbers as long as they are exact, so that a half is a half.
  const thousandths = Math.abs(net) * permille;
  const tax = Math.floor((thousandths + 500) / 1000);
  return net < 0 ? -tax : tax;
}

/** A net line with its tax, minor units. */
export function grossOf(net: number, permille: number): number {
  return net + taxOn(net, permille);
}
