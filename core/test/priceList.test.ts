import { expect } from 'chai';
import fc from 'fast-check';
import { type ArticleVersion, type Supplier } from '../src/ledger/priceRecords.ts';
import {
  ARTICLE_COLUMNS,
  articleKey,
  MAX_ARTICLE_ROWS,
  readArticleList,
  readArticleRow,
  rowOfArticle,
} from '../src/views/articleExchange.ts';

const SUPPLIER: Supplier = { id: 's1', name: 'Bramhall Spares', contact: '', active: true, version: 1 };
const ROTOR: ArticleVersion = {
  ...{ id: 'a', seriesId: 'sa', name: 'Rotor', partNumber: 'R 1', supply: 'new', kind: 'rotor', process: null, fits: 'shop' },
  ...{ appliesTo: null, make: null, model: null, axle: 'front', supplierId: 's1', price: 4050, tax: 'standard', pricedOn: '2026-05-01' },
  ...{
    leadDays: 2,
    core: 0,
    scarcity: 'available',
    covers: 'one',
    contents: [],
    states: {},
    retired: false,
    enteredBy: 'ann',
    enteredAt: '2026-05-01T00:00:00.000Z',
  },
};
const row = (over: Record<string, string> = {}) => ({ ...rowOfArticle(ROTOR, [SUPPLIER], 'EUR'), ...over });
const verdicts = (rows: Record<string, string>[], book: readonly ArticleVersion[] = [ROTOR]) =>
  readArticleList(rows, book, [SUPPLIER], 'EUR').map((r) => r.verdict);

describe('a price list', () => {
  it('what goes out comes in as what stands there already, whatever the article is', () => {
    fc.assert(
      fc.property(
        fc.record({
          name: fc.constantFrom('Rotor', '=cmd|x', '-5 off', 'Dichtung, Satz'),
          price: fc.option(fc.integer({ min: 0, max: 1e7 })),
          core: fc.integer({ min: 0, max: 1e5 }),
          leadDays: fc.option(fc.integer({ min: 0, max: 400 })),
          covers: fc.constantFrom('one' as const, 'axle' as const),
          contents: fc.array(fc.record({ name: fc.constantFrom('Square seal', 'Boot'), count: fc.integer({ min: 1, max: 9 }) }), {
            maxLength: 2,
          }),
        }),
        fc.constantFrom('EUR', 'JPY', 'KWD'),
        (over, currency) => {
          const a = { ...ROTOR, ...over, supply: 'exchange' as const };
          const out = rowOfArticle(a, [SUPPLIER], currency);
          expect(Object.keys(out)).to.deep.equal([...ARTICLE_COLUMNS]);
          expect(readArticleList([out], [a], [SUPPLIER], currency)[0]?.verdict).to.equal('same');
        },
      ),
    );
  });

  it('another price of the same article supersedes it; another article is new; twice the same conflicts', () => {
    expect(verdicts([row({ price: '44.00' })])).to.deep.equal(['newer']);
    expect(readArticleList([row({ price: '44.00' })], [ROTOR], [SUPPLIER], 'EUR')[0]?.seriesId).to.equal('sa');
    expect(verdicts([row({ part_number: 'R 2' })])).to.deep.equal(['new']);
    expect(verdicts([row({ name: 'Disc' }), row({ name: 'disc ' })])).to.deep.equal(['new', 'conflicts']);
    expect(articleKey(ROTOR)).to.equal(articleKey({ ...ROTOR, name: ' ROTOR' }));
  });

  it('in two currencies, or in another than the shop’s, is none of it taken', () => {
    expect(() => verdicts([row(), row({ currency: 'USD' })])).to.throw('2 currencies');
    expect(readArticleList([row({ currency: 'USD' })], [], [SUPPLIER], 'EUR')[0]).to.include({ verdict: 'not_understood' });
    expect(() => readArticleRow(row({ currency: 'USD' }), [SUPPLIER], 'EUR')).to.throw('in USD');
  });

  it('says of a row what is wrong with it', () => {
    const why = (over: Record<string, string>) => readArticleList([row(over)], [], [SUPPLIER], 'EUR')[0]?.why ?? '';
    expect(why({ name: '' })).to.contain('“name”');
    expect(why({ supply: 'stolen' })).to.contain('one of new, exchange');
    expect(why({ price: 'dear' })).to.contain('“price”');
    expect(why({ price: '-4' })).to.contain('“price”');
    expect(why({ priced_on: '31.5.26' })).to.contain('2026-05-31');
    expect(why({ lead_days: '2.5' })).to.contain('whole number');
    expect(why({ supplier: 'Nobody' })).to.contain('enter it first');
    expect(why({ kind: '' })).to.contain('what kind of part');
    expect(why({ core: '5.00' })).to.contain('exchange unit alone');
    expect(why({ fits: 'type' })).to.contain('which make');
    expect(why({ supply: 'process' })).to.contain('which work');
  });

  it('is none where it is empty, too long, or something else', () => {
    expect(() => verdicts([])).to.throw('no row');
    expect(() => verdicts([{ fruit: 'pear' }])).to.throw('no price list');
    expect(() => verdicts(Array.from({ length: MAX_ARTICLE_ROWS + 1 }, () => row()))).to.throw('at most 10000');
  });
});
