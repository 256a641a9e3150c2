/** How numbers are written for people: the sign before decimals, and the one between thousands. */
interface NumberStyle {
  readonly decimal: string;
  readonly group: string;
}

const styleOf = (tag: string): NumberStyle => {
  const parts = new Intl.NumberFormat(tag, { numberingSystem: 'latn', useGrouping: 'always' }).formatToParts(12345678.9);
  const sign = (type: Intl.NumberFormatPartTypes): string | undefined => parts.find((p) => p.type === type)?.value;
  return { decimal: sign('decimal') ?? '.', group: sign('group') ?? '' };
};

/** What a shop writes in that has said nothing. */
export const USUAL_LOCALE = 'en-GB';
let tagNow = USUAL_LOCALE;
/** Asked of the machine with the first number that is written: a page is shown before that. */
let style: NumberStyle | null = null;
const styleNow = (): NumberStyle => (style ??= styleOf(tagNow));

/**
 * Whether text is the tag of a locale that a shop can write in: a language, perhaps its script, and a region, whose days are
 * those of the calendar that the book counts in and whose figures are those on the gauges. Source: BCP 47.
 */
export function isLocale(tag: string): boolean {
  if (!/^[a-z]{2,3}(-[A-Z][a-z]{3})?-[A-Z]{2}$/.test(tag)) return false;
  try {
    const { numberingSystem } = new Intl.NumberFormat(tag).resolvedOptions();
    const { calendar } = new Intl.DateTimeFormat(tag).resolvedOptions();
    return Intl.NumberFormat.supportedLocalesOf(tag).length === 1 && numberingSystem === 'latn' && calendar === 'gregory';
  } catch {
    return false;
  }
}

/**
 * From now on numbers for people are written as this locale has them. It is a way of writing, no rule asks for it: what is
 * read, compared, stored as a number or sent is the same in every locale.
 * @throws RangeError where it is no locale
 */
export function setNumberLocale(tag: string): void {
  if (tag === tagNow) return;
  style = styleOf(tag);
  tagNow = tag;
}

/** The locale in which numbers are written now. */
export const localeNow = (): string => tagNow;

/** Whether the day stands before the month where a day is written in figures. */
export function dayFirst(): boolean {
  const order = new Intl.DateTimeFormat(tagNow, { calendar: 'gregory', day: 'numeric', month: 'numeric', year: 'numeric' })
    .formatToParts(0)
    .map((p) => p.type);
  return order.indexOf('day') < order.indexOf('month') || order[0] === 'year';
}

/** Plain decimal text, written as the locale has it. */
export function localised(plain: string): string {
  const { decimal } = styleNow();
  return decimal === '.' ? plain : plain.replace('.', decimal);
}

/** A whole number with its thousands grouped: 12000 → "12,000" in en-GB. */
export function grouped(plain: string): string {
  return plain.replace(/\B(?=(\d{3})+(?!\d))/g, styleNow().group);
}

/**
 * A sum of money as it is written: "£1,250.00" in en-GB.
 * @param currency ISO 4217 code; null where the shop has none, and the sum stands alone
 */
export function moneyText(sum: number, currency: string | null): string {
  return new Intl.NumberFormat(tagNow, {
    numberingSystem: 'latn',
    ...(currency === null ? { minimumFractionDigits: 2, maximumFractionDigits: 2 } : { style: 'currency', currency }),
  }).format(sum);
}
