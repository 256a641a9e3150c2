import { tagCode } from '@dauer/core/supply';
import type { PaperLine } from '@dauer/core/views';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { bytesOf, headCell, INK, printable, ROW_LINES, SECOND, second } from '../../beside/paper.ts';

/** What is ordered from one supplier. */
export interface PrintedOrder {
  readonly shopName: string;
  readonly supplier: string;
  readonly contact: string;
  /** Day as it is written here. */
  readonly day: string;
  /** Sums as they are written: empty where none are shown. */
  readonly lines: readonly (Omit<PaperLine, 'price' | 'core'> & { readonly each: string; readonly core: string })[];
  readonly total: string;
}

/** One part in a box. */
interface PackedPart {
  readonly tag: string;
  readonly name: string;
  readonly vehicle: string;
  readonly process: string;
  readonly size: string;
  readonly finish: string;
  readonly masks: readonly string[];
  readonly count: number;
  readonly note: string;
}

/** What goes in a box, with a label for each part. */
export interface PrintedBox {
  readonly shopName: string;
  readonly supplier: string;
  readonly batch: string;
  readonly day: string;
  readonly parts: readonly PackedPart[];
  readonly cautions: readonly string[];
}

const page = (title: string, shopName: string, to: string, day: string, content: Content[]): TDocumentDefinitions => ({
  pageSize: 'A4',
  pageMargins: [48, 44, 48, 52],
  info: { title, creator: 'Dauer', producer: 'Dauer' },
  defaultStyle: { font: 'text', fontSize: 9.5, color: INK, lineHeight: 1.15 },
  footer: (at, of) => ({ margin: [48, 14, 48, 0], text: `${at} of ${of}`, alignment: 'right', fontSize: 8.5, color: SECOND }),
  content: [
    { text: printable(shopName), font: 'plate', fontSize: 11, color: SECOND },
    {
      columns: [
        { text: title, font: 'plate', fontSize: 24 },
        { text: printable(day), alignment: 'right', margin: [0, 12, 0, 0] },
      ],
    },
    { text: printable(to), fontSize: 11, margin: [0, 2, 0, 10] },
    ...content,
  ],
});

/** The order list of one supplier: the bytes of a PDF. */
export async function printOrder(o: PrintedOrder): Promise<Uint8Array> {
  const priced = o.total !== '';
  const body: TableCell[][] = [
    ['Count', 'What', 'Number', 'For', ...(priced ? ['Each, net'] : [])].map(headCell),
    ...o.lines.map((l): TableCell[] => [
      { text: String(l.count), font: 'figure', fontSize: 9 },
      {
        text: [printable(l.name), ...[...l.asOld.map((a) => `as the old one: ${a}`), l.note].filter(Boolean).map((t) => second(`\n${t}`))],
      },
      { text: printable(l.partNumber), font: 'figure', fontSize: 8.5 },
      printable(l.vehicle),
      ...(priced ? [{ text: [printable(l.each), l.core === '' ? '' : second(`\ncore ${l.core}`)], alignment: 'right' as const }] : []),
    ]),
  ];
  return bytesOf(
    page('Order', o.shopName, [o.supplier, o.contact].filter(Boolean).join(', '), o.day, [
      { layout: ROW_LINES, table: { headerRows: 1, dontBreakRows: true, widths: [34, '*', 84, 104, ...(priced ? [70] : [])], body } },
      priced ? { text: `Net, as far as prices are known: ${printable(o.total)}`, alignment: 'right', margin: [0, 8, 0, 0] } : '',
    ]),
  );
}

/** A tag to tie on: what it is, where it belongs, and its code. */
function label(p: PackedPart, shopName: string): Content {
  return {
    layout: 'noBorders',
    table: {
      dontBreakRows: true,
      widths: [78, '*'],
      body: [
        [
          { qr: tagCode(p.tag), fit: 72, foreground: INK },
          {
            stack: [
              { text: printable(p.tag), font: 'plate', fontSize: 20 },
              { text: printable(p.name), fontSize: 9 },
              second(`${p.vehicle}\n${shopName}`),
            ],
          },
        ],
      ],
    },
    margin: [0, 0, 0, 14],
  };
}

/** The packing sheet of a box with a tag for each part: the bytes of a PDF. */
export async function printBox(b: PrintedBox): Promise<Uint8Array> {
  const rows = b.parts.map((p): TableCell[] => [
    { text: printable(p.tag), font: 'figure', fontSize: 9 },
    { text: [printable(p.name), second(`\n${p.vehicle}`), p.note === '' ? '' : second(`\n${p.note}`)] },
    { text: [printable(p.process), ...[p.size, p.finish].filter(Boolean).map((t) => second(`\n${t}`))] },
    printable(p.masks.length === 0 ? 'nothing' : p.masks.join(', ').toLowerCase()),
    { text: String(p.count), font: 'figure', fontSize: 9, alignment: 'right' },
  ]);
  const pairs = b.parts.reduce<PackedPart[][]>(
    (all, p, i) => (i % 2 === 0 ? [...all, [p]] : [...all.slice(0, -1), [...(all.at(-1) ?? []), p]]),
    [],
  );
  return bytesOf(
    page('Packing sheet', b.shopName, [b.supplier, b.batch].filter(Boolean).join(', '), b.day, [
      ...b.cautions.map((c): Content => ({ text: printable(c), bold: true, margin: [0, 0, 0, 6] })),
      {
        layout: ROW_LINES,
        table: {
          headerRows: 1,
          dontBreakRows: true,
          widths: [54, '*', 104, 126, 36],
          body: [['Tag', 'Part', 'To be done', 'To be masked', 'Pieces'].map(headCell), ...rows],
        },
      },
      {
        text: `${b.parts.reduce((sum, p) => sum + p.count, 0)} pieces in this box. Count them out of it, and back into it.`,
        margin: [0, 8, 0, 16],
      },
      { text: 'Tags', font: 'plate', fontSize: 14, margin: [0, 0, 0, 6] },
      ...pairs.map((pair): Content => ({ columns: [...pair.map((p) => label(p, b.shopName)), ...(pair.length === 1 ? [''] : [])] })),
    ]),
  );
}
