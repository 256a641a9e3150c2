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
