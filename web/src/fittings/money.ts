import { localeNow, majorOf, minorDigits, moneyText } from '@dauer/core/quantity';

/** A sum as it stands in a table or on a rule: without its currency, and without decimals that are nothing. */
export function plainSum(minor: number, currency: string | null): string {
  const digits = minor % 10 ** minorDigits(currency) === 0 ? 0 : minorDigits(currency);
  return new Intl.NumberFormat(localeNow(), {
    numberingSystem: 'latn',
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  }).format(majorOf(minor, currency));
}

/** A sum in a sentence, with its currency. */
export function sumText(minor: number, currency: string | null): string {
  return moneyText(majorOf(minor, currency), currency);
}
