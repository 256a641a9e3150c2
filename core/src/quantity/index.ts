/** Figures as they are typed, kept and shown: units, days, money. */
export {
  dayIn,
  daysAfter,
  millisecondsInDay,
  millisecondsInHour,
  millisecondsInMinute,
  millisecondsInYear,
  monthsAfter,
  workingDaysAfter,
  yearsBetween,
  minutesUntil,
} from './calendar.ts';
export {
  convert,
  display,
  displayWithUnit,
  figure,
  fixed,
  groupThousands,
  lowerFirst,
  plainDisplay,
  plainFixed,
  upperFirst,
} from './display.ts';
export { isLocale, localeNow, moneyText, USUAL_LOCALE, setNumberLocale } from './locale.ts';
export { DomainError, toResult } from './domainError.ts';
export { grossOf, isCurrency, majorOf, minorDigits, parseMinor, taxOn } from './money.ts';
export { parseQuantity, type Quantity } from './parse.ts';
export { FIRST_YEAR, isPartialDate, isYear, LAST_YEAR, parsePartialDate, partialDateText } from './partialDate.ts';
export { readTold, toldRange, withUnit } from './told.ts';
export { type QuantityKind, type UnitId, unitOf, UNITS } from './units.ts';
