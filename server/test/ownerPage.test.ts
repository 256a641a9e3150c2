import type { HandbackSheet } from '@dauer/core/ledger';
import { readSheet } from '@dauer/core/views';
import { expect } from 'chai';
import sharp from 'sharp';
import { printOwnerPage } from '../src/features/prove/printOwnerPage.ts';

const lines = (n: number, words: string): string[] => Array.from({ length: n }, (_, i) => `${i + 1}: ${words}`);
const pagesOf = (pdf: Uint8Array): number =>
  Buffer.from(pdf)
    .toString('latin1')
    .match(/\/Type \/Page\b/g)?.length ?? 0;

/** A sheet with as much as its owner’s page may hold, each line of so many words. */
function full(words: string): HandbackSheet {
  return {
    ...readSheet({ vehicleTag: 'V 900', vehicleName: 'Tavell Corrie', distance: '41,050 km', complaint: words, complaintAnswer: 'Gone' }),
    pairs: lines(40, 'Front left rotor').map((place) => ({
      place,
      what: 'Thickness',
      before: '10.40 mm',
      after: '12.70 mm',
      limit: 'at least 11.0 mm',
    })),
    owner: {
      ...{ wrong: lines(7, words), done: lines(9, words), watch: lines(4, words), why: words, habit: words },
      back: lines(7, words).map((what) => ({ what, on: '2027-03-01', km: 1500 })),
      pictures: [{ place: 'Front left rotor', before: 'a', after: 'b' }],
    },
  };
}

describe('the owner’s page on paper', function () {
  this.timeout(60000);
  let image = '';
  before(async () => {
    const plain = sharp({ create: { width: 64, height: 48, channels: 3, background: '#888' } });
    image = (await plain.jpeg().toBuffer()).toString('base64');
  });
  const printed = (sheet: HandbackSheet, images: Record<string, string>) =>
    printOwnerPage({ sheet, images, shopName: 'Shop', zone: 'UTC', locale: 'en-GB', releasedAt: '2026-11-01T10:00:00.000Z' });

  it('stands on one side, however much there is to say', async () => {
    const short = 'Front left caliper cleaned';
    const long = `${'Front left caliper seized on its pin and leaking past the seal '.repeat(4)}`;
    const few = await printed(readSheet({ vehicleTag: 'V 1', vehicleName: 'Car' }), {});
    expect(pagesOf(few)).to.equal(1);
    const much = await printed(full(short), { a: image, b: image });
    expect(pagesOf(much)).to.equal(1);
    expect(Buffer.from(much).includes('/Subtype /Image'), 'with its pictures').to.equal(true);
    expect(pagesOf(await printed(full(long), { a: image, b: image }))).to.equal(1);
  });

  it('leaves out a picture that is not here any more', async () => {
    const one = await printed(full('Short'), { a: image });
    expect(Buffer.from(one).includes('/Subtype /Image')).to.equal(false);
  });
});
