import { groupThousands, setNumberLocale } from '@dauer/core/quantity';
import type { HandbackSheet } from '@dauer/core/ledger';
import { OWNER_SAYS } from '@dauer/core/wording';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { bytesOf, dayWriter, headCell, INK, printable, ROW_LINES, SECOND, second } from '../../beside/paper.ts';
import type { Printed } from './printSheet.ts';

/** The owner's page, with the images of its pictures by their hashes, as JPEG in base 64. */
export interface PrintedOwnerPage extends Pick<Printed, 'shopName' | 'zone' | 'locale'> {
  readonly sheet: HandbackSheet;
  readonly releasedAt: string | null;
  readonly images: Readonly<Record<string, string>>;
}

/** How it is set: tried one after the other until it stands on one side of paper. `lines` of a list at most. */
const SETTINGS = [
  { fontSize: 10.5, lines: 9, pairs: 8, pictures: 2 },
  { fontSize: 9.5, lines: 9, pairs: 8, pictures: 2 },
  { fontSize: 9, lines: 9, pairs: 6, pictures: 1 },
  { fontSize: 8.5, lines: 9, pairs: 5, pictures: 0 },
  { fontSize: 8, lines: 6, pairs: 4, pictures: 0 },
  { fontSize: 8, lines: 4, pairs: 3, pictures: 0 },
  { fontSize: 7.5, lines: 2, pairs: 2, pictures: 0 },
] as const;
type Setting = (typeof SETTINGS)[number];

function shortened(lines: readonly string[], most: number): string[] {
  return lines.length <= most ? [...lines] : [...lines.slice(0, most - 1), OWNER_SAYS.more(lines.length - most + 1)];
}

function definition(
  printed: PrintedOwnerPage,
  { fontSize, lines: most, pairs, pictures }: Setting,
  pages: (n: number) => void,
): TDocumentDefinitions {
  const { sheet, shopName, zone, locale, images, releasedAt } = printed;
  setNumberLocale(locale);
  const day = dayWriter(locale, zone);
  const heading = (text: string): Content => ({
    text: printable(text),
    font: 'plate',
    fontSize: fontSize + 4.5,
    margin: [0, fontSize * 0.8, 0, 2],
  });
  const list = (title: string, lines: readonly string[], none: string): Content[] => [
    heading(title),
    lines.length === 0 ? second(none) : { ul: shortened(lines, most).map(printable) },
  ];
  const after = (text: string): Content[] => (text === '' ? [] : [{ text: printable(text), margin: [0, 2, 0, 0] }]);
  const side = (left: Content[], right: Content[]): Content => ({ columns: [{ stack: left }, { stack: right }], columnGap: 24 });
  const own = sheet.owner ?? { wrong: [], why: '', habit: '', done: [], watch: [], back: [], pictures: [] };
  const shown = (sheet.pairs ?? []).slice(0, pairs);
  const seen = own.pictures.filter((p) => images[p.before] && images[p.after]).slice(0, pictures);
  const image = (hash: string): Content => ({ image: `data:image/jpeg;base64,${images[hash] ?? ''}`, fit: [118, 88] });
  return {
    pageSize: 'A4',
    pageMargins: [48, 40, 48, 44],
    info: { title: `Owner’s page ${sheet.vehicleTag}`, creator: 'Dauer', producer: 'Dauer' },
    defaultStyle: { font: 'text', fontSize, color: INK, lineHeight: 1.15 },
    footer: (_page, of) => {
      pages(of);
      return { margin: [48, 12, 48, 0], text: printable(OWNER_SAYS.foot), fontSize: 8, color: SECOND };
    },
    content: [
      { text: printable(shopName), font: 'plate', fontSize: 11, color: SECOND },
      {
        columns: [
          { text: printable(sheet.vehicleName), font: 'plate', fontSize: 22 },
          { text: printable(`${sheet.vehicleTag}   ${sheet.distance}`), alignment: 'right', margin: [0, 11, 0, 0] },
        ],
      },
      { text: printable(releasedAt === null ? OWNER_SAYS.notYet : OWNER_SAYS.since(day(releasedAt))), color: SECOND },
      ...(sheet.leaves ? [{ text: printable(sheet.leaves), bold: true, margin: [0, 4, 0, 0] } satisfies Content] : []),
      ...list(OWNER_SAYS.came, [OWNER_SAYS.complaint(sheet.complaint, sheet.complaintAnswer)], ''),
      side(
        [...list(OWNER_SAYS.wrong, own.wrong, OWNER_SAYS.nothingWrong), ...after(own.why)],
        list(OWNER_SAYS.done, own.done, OWNER_SAYS.nothingDone),
      ),
      ...(shown.length === 0
        ? []
        : [
            heading(OWNER_SAYS.pairs),
            {
              layout: ROW_LINES,
              table: {
                headerRows: 1,
                widths: ['*', 96, 96, '*'],
                body: [
                  ['', OWNER_SAYS.before, OWNER_SAYS.after, OWNER_SAYS.limit].map(headCell),
                  ...shown.map((p): TableCell[] => [
                    printable(OWNER_SAYS.pair(p.place, p.what)),
                    { text: printable(p.before), noWrap: true },
                    { text: printable(p.after), noWrap: true, bold: true },
                    { ...second(p.limit) },
                  ]),
                ],
              },
            } satisfies Content,
          ]),
      ...(seen.length === 0
        ? []
        : [
            {
              margin: [0, 8, 0, 0],
              columns: seen.map((p) => ({
                stack: [{ columns: [image(p.before), image(p.after)], columnGap: 4 }, second(OWNER_SAYS.seen(p.place))],
              })),
            } satisfies Content,
          ]),
      side(
        [...list(OWNER_SAYS.watch, own.watch, OWNER_SAYS.nothingToWatch), ...after(own.habit)],
        list(
          OWNER_SAYS.back,
          own.back.map((b) => OWNER_SAYS.backOn(`${day(b.on)}${b.km === null ? '' : OWNER_SAYS.orAfter(groupThousands(b.km))}`, b.what)),
          OWNER_SAYS.noDate,
        ),
      ),
    ],
  };
}

/** The owner's page on one side of paper: the bytes of a PDF. Set smaller, and with fewer pairs and pictures, until it fits. */
export async function printOwnerPage(printed: PrintedOwnerPage): Promise<Uint8Array> {
  let bytes: Uint8Array = new Uint8Array();
  for (const setting of SETTINGS) {
    let pages = 0;
    bytes = await bytesOf(definition(printed, setting, (n) => (pages = n)));
    if (pages <= 1) break;
  }
  return bytes;
}
