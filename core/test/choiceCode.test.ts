import { expect } from 'chai';
import fc from 'fast-check';
import { CODE_ALPHABET, readCode, writeCode } from '../src/estimate/choiceCode.ts';

const choices = fc.bigInt({ min: 1n, max: 2n ** 90n });
const coded = fc.tuple(fc.integer({ min: 0, max: 32767 }), choices, fc.bigInt({ min: 0n, max: 2n ** 90n })).map(([sheet, n, i]) => {
  const index = i % n;
  return { sheet, index, text: writeCode(sheet, index, n) };
});
const plain = (text: string): string => text.replaceAll('-', '');

describe('the code of a choice', () => {
  it('is read back as what was written', () => {
    fc.assert(
      fc.property(coded, ({ sheet, index, text }) => {
        expect(readCode(text)).to.deep.equal({ sheet, index });
        expect(readCode(` ${text.toLowerCase().replaceAll('-', ' ')} `)).to.deep.equal({ sheet, index });
      }),
    );
  });

  it('has twelve symbols up to 2^40 choices, and four more beyond', () => {
    expect(plain(writeCode(1, 5n, 2n ** 40n))).to.have.length(12);
    expect(plain(writeCode(1, 5n, 2n ** 40n + 1n))).to.have.length(16);
    expect(plain(writeCode(1, 5n, 2n ** 60n + 1n))).to.have.length(20);
  });

  it('finds every single wrong symbol', () => {
    fc.assert(
      fc.property(coded, fc.nat(), fc.integer({ min: 1, max: 31 }), ({ text }, at, off) => {
        const symbols = [...plain(text)];
        const i = at % symbols.length;
        symbols[i] = CODE_ALPHABET.charAt((CODE_ALPHABET.indexOf(symbols[i] ?? '') + off) % 32);
        expect(() => readCode(symbols.join(''))).to.throw('A symbol is wrong');
      }),
    );
  });

  it('finds every swap of neighbours', () => {
    fc.assert(
      fc.property(coded, fc.nat(), ({ text }, at) => {
        const symbols = [...plain(text)];
        const i = at % (symbols.length - 1);
        fc.pre(symbols[i] !== symbols[i + 1]);
        [symbols[i], symbols[i + 1]] = [symbols[i + 1] ?? '', symbols[i] ?? ''];
        expect(() => readCode(symbols.join(''))).to.throw('two are swapped');
      }),
    );
  });

  it('says what is wrong with what is no code', () => {
    expect(() => readCode('ABCD-EFGH')).to.throw('this has 8');
    expect(() => readCode('UUUU-UUUU-UUUU')).to.throw('“U” is in no code');
    expect(() => writeCode(1, 7n, 7n))
      .to.throw('no such choice')
      .with.property('code', 'bad_code');
  });
});
