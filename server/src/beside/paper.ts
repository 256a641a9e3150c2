/** Paper: the fonts, colours and table lines of everything that is printed. */
import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';

const require = createRequire(import.meta.url);
const font = (file: string): string => require.resolve(`@fontsource/${file}`);
const TEXT = {
  normal: font('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff'),
  bold: font('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff'),
};
const PLATE = font('barlow-condensed/files/barlow-condensed-latin-600-normal.woff');
const FIGURE = {
  normal: font('b612-mono/files/b612-mono-latin-400-normal.woff'),
  bold: font('b612-mono/files/b612-mono-latin-700-normal.woff'),
};
pdfmake.setFonts({
  text: { ...TEXT, italics: TEXT.normal, bolditalics: TEXT.bold },
  plate: { normal: PLATE, bold: PLATE, italics: PLATE, bolditalics: PLATE },
  figure: { ...FIGURE, italics: FIGURE.normal, bolditalics: FIGURE.bold },
});
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.includes('@fontsource'));

export const INK = '#1B2226';
export const SECOND = '#46525A';
const HAIR = '#C9C6BA';

/** Signs that the fonts lack would vanish without a word: they are written with signs that they have. */
export function printable(text: string): string {
  return text
    .replace(/≥/g, 'at least ')
    .replace(/≤/g, 'at most ')
    .replace(/→/g, 'to ')
    .replace(/■+/g, '[blacked out]')
    .replace(/[\u2007\u202f]/g, '\u00a0')
    .replace(/[⌀Ω]/g, '')
    .replace(/[μµ]m/g, 'um')
    .replace(/[‐-]/g, '-');
}

/** Writes days as a shop does: what is a day alone stays that day in every zone. @param zone of instants, IANA */
export function dayWriter(locale: string, zone: string): (at: string) => string {
  return (at) =>
    new Intl.DateTimeFormat(locale, {
      ...{ numberingSystem: 'latn', calendar: 'gregory', day: 'numeric', month: 'long', year: 'numeric' },
      timeZone: at.length === 10 ? 'UTC' : zone,
    }).format(new Date(at));
}

/** Cell of a table's head. */
export const headCell = (text: string): TableCell => ({ text: printable(text), font: 'plate', fontSize: 10, color: SECOND });

/** What stands in second ink. */
export const second = (text: string) => ({ text: printable(text), color: SECOND, fontSize: 8.5 });

/** Lines between the rows of a table, and none around it. */
export const ROW_LINES = {
  hLineColor: () => HAIR,
  hLineWidth: (i: number) => (i === 0 ? 0 : 0.5),
  vLineWidth: () => 0,
  paddingLeft: () => 0,
};

/** Makes the bytes of a document. */
export async function bytesOf(definition: TDocumentDefinitions): Promise<Uint8Array> {
  return pdfmake.createPdf(definition).getBuffer();
}
