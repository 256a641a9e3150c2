import { expect } from 'chai';
import fc from 'fast-check';
import type { DomainError } from '../src/quantity/domainError.ts';
import { displayWithUnit, figure, fixed, groupThousands, plainFixed } from '../src/quantity/display.ts';
import { isLocale, localeNow, moneyText, setNumberLocale, USUAL_LOCALE } from '../src/quantity/locale.ts';
import { parseMoney } from '../src/quantity/money.ts';
import { parseQuantity } from '../src/quantity/parse.ts';

const SHOPS = ['en-GB', 'en-US', 'en-ZA', 'de-DE', 'de-CH', 'fr-FR', 'nl-NL', 'pl-PL', 'pt-BR', 'sv-SE', 'hi-IN'];

describe('the shop’s way of writing numbers', () => {
  afterEach(() => setNumberLocale(USUAL_LOCALE));

  it('is that of en-GB where nothing is said', () => {
    expect([fixed(11.05, 2), groupThousands(79400), moneyText(1250, 'GBP'), moneyText(1250, null), figure(0.5)]).to.deep.equal([
      ...['11.05', '79,400', '£1,250.00', '1,250.00', '0.5'],
    ]);
  });

  it('is that of the locale once it is said, and leaves files alone', () => {
    setNumberLocale('de-DE');
    expect(localeNow()).to.equal('de-DE');
    expect([fixed(-11.05, 2), groupThousands(79400), figure(0.5), displayWithUnit(11.05, 'length', 0.01, 'mm')]).to.deep.equal([
      ...['-11,05', '79.400', '0,5', '11,05 mm'],
    ]);
    expect(moneyText(1250.5, 'EUR')).to.match(/^1\.250,50\s€$/);
    expect(plainFixed(11.05, 2)).to.equal('11.05');
  });

  it('uses the figures of the bench, whatever the locale', () => {
    for (const tag of SHOPS) {
      setNumberLocale(tag);
      expect(fixed(1234.5, 1), tag).to.match(/^1234[.,]5$/);
      expect(groupThousands(1234567), tag).to.match(/^[\d.,’'\s\u00a0\u202f]+$/);
    }
  });

  it('is read again as what it was: a length, and a sum', () => {
    const any = fc.constantFrom(...SHOPS);
    fc.assert(
      fc.property(any, fc.integer({ min: -99999, max: 99999 }), fc.integer({ min: 0, max: 99999999 }), (tag, hundredths, cents) => {
        setNumberLocale(tag);
        expect(parseQuantity(fixed(hundredths / 100, 2), 'length', 'mm').canonical).to.be.closeTo(hundredths / 100, 1e-9);
        expect(parseMoney(moneyText(cents / 100, null), null)).to.equal(cents / 100);
      }),
    );
  });

  it('a distance is read as written, or refused as unclear: never as another', () => {
    for (const tag of SHOPS) {
      setNumberLocale(tag);
      for (const km of [12, 980, 12000, 79400, 1234567]) {
        try {
          expect(parseQuantity(groupThousands(km), 'distance_run', 'km').canonical, tag).to.equal(km);
        } catch (refused) {
          expect(['ambiguous_separator', 'not_a_number']).to.include((refused as DomainError).code);
        }
      }
    }
  });

  it('is of a locale that there is', () => {
    expect(SHOPS.every(isLocale)).to.equal(true);
    for (const no of ['', 'x', 'en', 'no such place', '12', 'e n', 'ar-EG', 'fa-IR', 'th-TH', 'en-GB-u-nu-arab', 'xx-YY', 'EN-gb'])
      expect(isLocale(no), no).to.equal(false);
    expect(() => setNumberLocale('no such place')).to.throw(RangeError);
    expect(localeNow()).to.equal(USUAL_LOCALE);
  });
});
