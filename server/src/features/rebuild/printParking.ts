import { setNumberLocale } from '@dauer/core/quantity';
import type { ParkingCard } from '@dauer/core/views';
import { PARKED } from '@dauer/core/wording';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { bytesOf, INK, printable, SECOND } from '../../beside/paper.ts';

/** The card for a windscreen, with everything on it in words. */
export interface PrintedParking {
  readonly shopName: string;
  readonly locale: string;
  readonly tag: string;
  readonly vehicle: string;
  /** Who parked it, and when, in words; null before it is parked. */
  readonly parkedBy: string | null;
  readonly stands: string;
  readonly heldBy: string;
  readonly knows: string;
  readonly until: string;
  readonly card: ParkingCard;
  readonly printedAt: string;
}

/** How large it is set: the largest at which it stands on one side of paper. */
const SIZES = [15, 13, 11.5, 10, 9, 8] as const;

function definition(p: PrintedParking, size: number, pages: (n: number) => void): TDocumentDefinitions {
  setNumberLocale(p.locale);
  const { sections } = PARKED;
  const heading = (text: string): Content => ({
    text: printable(text),
    font: 'plate',
    fontSize: size + 2,
    color: SECOND,
    margin: [0, size * 0.6, 0, 1],
  });
  const list = (title: string, lines: readonly string[], none = ''): Content[] =>
    lines.length === 0 && none === ''
      ? []
      : [heading(title), lines.length === 0 ? { text: printable(none) } : { ul: lines.map(printable) }];
  const line = (title: string, text: string): Content[] => (text === '' ? [] : [heading(title), { text: printable(text) }]);
  const { card } = p;
  return {
    pageSize: 'A4',
    pageMargins: [40, 36, 40, 48],
    info: { title: `${PARKED.title} ${p.tag}`, creator: 'Dauer', producer: 'Dauer' },
    defaultStyle: { font: 'text', fontSize: size, color: INK, lineHeight: 1.15 },
    footer: (_page, of) => {
      pages(of);
      return { margin: [40, 10, 40, 0], text: printable(`${PARKED.foot} ${p.printedAt}`), fontSize: 9, color: SECOND };
    },
    content: [
      {
        text: printable([p.shopName, ...(p.parkedBy === null ? [] : [`${PARKED.title} ${p.parkedBy}`])].join('   ')),
        font: 'plate',
        fontSize: 11,
        color: SECOND,
      },
      {
        columns: [
          { text: printable(p.tag), font: 'plate', fontSize: 46 },
          { text: printable(p.vehicle), font: 'plate', fontSize: 20, alignment: 'right', margin: [0, 22, 0, 0] },
        ],
      },
      ...card.press.flatMap(({ what, because }): Content[] => [
        {
          table: {
            widths: ['*'],
            body: [
              [
                {
                  stack: [{ text: printable(what), font: 'plate', fontSize: size + 13 }, { ul: because.map(printable) }],
                  margin: [8, 6, 8, 6],
                },
              ],
            ],
          },
          layout: { hLineWidth: () => 2.5, vLineWidth: () => 2.5, hLineColor: () => INK, vLineColor: () => INK },
          margin: [0, 6, 0, 2],
        },
      ]),
      { text: printable(`${sections.move}: ${card.move.level}`), font: 'plate', fontSize: size + 7, margin: [0, 6, 0, 0] },
      ...(card.move.because.length > 0 ? [{ ul: card.move.because.map(printable) } satisfies Content] : []),
      {
        columnGap: 20,
        columns: [
          {
            stack: [
              ...line(sections.stands, p.stands),
              ...line(sections.held, p.heldBy),
              ...line(sections.knows, p.knows),
              ...list(sections.open, card.open, PARKED.nothingOpen),
              ...list(sections.off, card.off, PARKED.nothingOff),
            ],
          },
          {
            stack: [
              ...list(sections.waits, [...card.waits, ...(p.until === '' ? [] : [p.until])]),
              ...line(sections.next, card.next ?? ''),
              ...list(sections.inside, card.inside),
              ...list(sections.running, card.running),
            ],
          },
        ],
      },
    ],
  };
}

/** Prints the card for a windscreen as PDF, on one side of paper where it can be. */
export async function printParking(printed: PrintedParking): Promise<Uint8Array> {
  let bytes = new Uint8Array();
  for (const size of SIZES) {
    let pages = 0;
    bytes = Uint8Array.from(await bytesOf(definition(printed, size, (n) => (pages = n))));
    if (pages === 1) break;
  }
  return bytes;
}
