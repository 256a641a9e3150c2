import { majorOf, moneyText, setNumberLocale } from '@dauer/core/quantity';
import { ACCOUNT, byline, handedBackWords, OWNER_SAYS, PHASE_WORD, timeWords } from '@dauer/core/wording';
import type { HandbackSheet, JobRecords, SheetLine } from '@dauer/core/ledger';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { bytesOf, dayWriter, headCell, INK, printable, ROW_LINES, SECOND, second } from '../../beside/paper.ts';

/** What is printed, and for whom. */
export interface Printed {
  readonly file: Pick<JobRecords, 'release' | 'people' | 'amendments' | 'handIns' | 'imported'>;
  readonly sheet: HandbackSheet;
  readonly shopName: string;
  readonly zone: string;
  readonly locale: string;
  readonly ownerName: string | null;
  /** Whether the vehicle holds fluid at all. */
  readonly hydraulic: boolean;
}

function definition({ file: records, sheet, shopName, zone, locale, ownerName, hydraulic }: Printed): TDocumentDefinitions {
  const { release } = records;
  const day = dayWriter(locale, zone);
  const plain = (text: string): string => printable(text);
  const heading = (text: string): Content => ({ text: plain(text), style: 'h2', headlineLevel: 1 });
  const lines = (title: string, list: readonly SheetLine[], none: string): Content[] => [
    heading(title),
    list.length === 0
      ? second(none)
      : {
          stack: list.map((l) => ({
            margin: [0, 1, 0, 1],
            text: [
              l.place === sheet.vehicleName ? '' : { text: `${plain(l.place)}: `, bold: true },
              plain(l.text),
              second(`  ${l.by}, ${day(l.on)}`),
            ],
          })),
        },
  ];
  const figures: Content =
    sheet.figures.length === 0
      ? second('No figure was taken.')
      : {
          layout: ROW_LINES,
          table: {
            headerRows: 1,
            dontBreakRows: true,
            widths: [84, 88, 54, 76, '*', 56],
            body: [
              ['Place', 'Characteristic', 'When', 'Figure', 'Limit', 'Verdict'].map(headCell),
              ...sheet.figures.map((f): TableCell[] => [
                { text: [plain(f.place), f.tag ? second(`\n${f.tag}`) : ''] },
                plain(f.characteristic),
                PHASE_WORD[f.phase],
                {
                  text: [...figureRuns(f.figure, true), '\n', ...figureRuns(f.uncertainty)],
                  alignment: 'right',
                  margin: [0, 0, 10, 0],
                  noWrap: true,
                },
                { text: [...figureRuns(f.limit), second(`\n${f.source}`)] },
                plain(f.verdict),
              ]),
            ],
          },
        };
  const km = (n: number | null): string => (n === null ? '' : `, or after ${n} km`);
  return {
    pageSize: 'A4',
    pageMargins: [48, 44, 48, 52],
    info: { title: `Hand-back sheet ${sheet.vehicleTag}`, creator: 'Dauer', producer: 'Dauer' },
    defaultStyle: { font: 'text', fontSize: 9.5, color: INK, lineHeight: 1.15 },
    styles: { h2: { font: 'plate', fontSize: 14, margin: [0, 12, 0, 3] } },
    pageBreakBefore: (node, around) => node.headlineLevel === 1 && around.getFollowingNodesOnPage().length === 0,
    footer: (page, pages) => ({
      margin: [48, 14, 48, 0],
      columns: [
        second(
          'The figure after a plus-minus sign is the expanded uncertainty of the gauge. Dauer calculates and records; it does not certify. The maker’s data and the law of the place come first.',
        ),
        { text: `${page} of ${pages}`, alignment: 'right', width: 50, fontSize: 8.5, color: SECOND },
      ],
    }),
    content: [
      { text: plain(shopName), font: 'plate', fontSize: 11, color: SECOND },
      {
        columns: [
          { text: 'Hand-back sheet', font: 'plate', fontSize: 24 },
          {
            text: plain(`${sheet.vehicleTag}  ${sheet.vehicleName}`),
            font: 'plate',
            fontSize: 16,
            alignment: 'right',
            margin: [0, 7, 0, 0],
          },
        ],
      },
      { canvas: [{ type: 'line', x1: 0, y1: 2, x2: 499, y2: 2, lineWidth: 1.5, lineColor: INK }] },
      ...(sheet.leaves
        ? [{ text: plain(sheet.leaves), bold: true, fontSize: 13, margin: [0, 8, 0, 0] as [number, number, number, number] }]
        : []),
      {
        margin: [0, 8, 0, 0],
        text: release
          ? plain(`${handedBackWords(records, day)}. Counter: ${sheet.distance}.`)
          : 'NOT HANDED BACK: this is how the sheet stands now.',
      },
      ...(ownerName ? [{ text: plain(`Owner: ${ownerName}`) }] : []),
      {
        text: [
          { text: 'Complaint: ', bold: true },
          plain(sheet.complaint || 'none'),
          second(`  Asked again: ${sheet.complaintAnswer.toLowerCase()}.`),
        ],
      },
      ...(records.amendments.length > 0
        ? [
            heading('Amended since'),
            {
              ul: records.amendments.map((a) => ({
                text: [plain(a.words), second(`  ${a.reason}. ${byline(records, a)}, ${day(a.happenedAt)}`)],
              })),
            },
          ]
        : []),
      heading('Still to do, by when'),
      sheet.afterCare.length + sheet.putOff.length === 0
        ? second('Nothing.')
        : {
            ul: [
              ...sheet.afterCare.map((a) => ({
                text: [{ text: `${plain(a.what)}: by ${day(a.on)}${km(a.km)}. `, bold: true }, second(a.why)],
              })),
              ...sheet.putOff.map((l) => ({
                text: [{ text: `${plain(l.place)}: `, bold: true }, plain(l.text), second(`  ${l.by}, ${day(l.on)}`)],
              })),
            ],
          },
      ...pairs(sheet),
      heading('Figures against limits'),
      figures,
      heading('Next, and to watch'),
      sheet.nextDue.length + sheet.watch.length === 0
        ? second('Nothing.')
        : { ul: [...sheet.nextDue.map((d) => plain(`${d.what} due ${day(d.on)} (${d.why})`)), ...sheet.watch.map(plain)] },
      ...lines('Found', sheet.findings, 'Nothing beyond the figures above.'),
      ...lines('Parts', sheet.parts, 'No part was moved.'),
      ...lines('Done', sheet.done, 'No operation was logged.'),
      ...lines('Torques', sheet.torques, 'None recorded.'),
      ...(hydraulic || sheet.fluid.length > 0 ? lines('Fluid', sheet.fluid, 'The fluid was not changed.') : []),
      ...lines('Proved', sheet.proofs, 'Nothing proved.'),
      ...account(sheet, locale),
      ...lines('Accepted by name', sheet.accepted, 'Nothing.'),
      ...(sheet.outOfScope.length > 0 ? [heading('Not part of this job'), second(sheet.outOfScope.join('; '))] : []),
    ],
  };
}

/** Figures as they came and as they leave; nothing where none was taken both times. */
function pairs({ pairs: list }: HandbackSheet): Content[] {
  if (!list || list.length === 0) return [];
  return [
    { text: OWNER_SAYS.pairs, style: 'h2', headlineLevel: 1 },
    {
      layout: ROW_LINES,
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: ['*', 90, 90, '*'],
        body: [
          ['', OWNER_SAYS.before, OWNER_SAYS.after, OWNER_SAYS.limit].map(headCell),
          ...list.map((p): TableCell[] => [
            printable(OWNER_SAYS.pair(p.place, p.what)),
            { text: figureRuns(p.before) },
            { text: figureRuns(p.after, true) },
            { text: figureRuns(p.limit) },
          ]),
        ],
      },
    },
  ];
}

/** What was authorised, reckoned and taken, line by line; nothing where nothing of it is known. */
function account({ account: a }: HandbackSheet, locale: string): Content[] {
  if (!a) return [];
  setNumberLocale(locale);
  const sum = (minor: number): string => printable(moneyText(majorOf(minor, a.currency), a.currency));
  const right = (text: string, bold = false): TableCell => ({ text, alignment: 'right', noWrap: true, bold });
  const taken = (l: (typeof a.lines)[number]): string => (l.minutes === null ? ACCOUNT.unlogged : timeWords(l.minutes));
  return [
    { text: 'The account', style: 'h2', headlineLevel: 1 },
    ...(a.authorised === null || a.agreed === null ? [] : [{ text: [sum(a.authorised), second(`  ${printable(a.agreed.text)}`)] }]),
    {
      layout: ROW_LINES,
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: ['*', 76, 84, 76],
        body: [
          ['', 'Reckoned', 'Hours', 'Taken'].map((h): TableCell => ({ stack: [headCell(h) as Content], alignment: 'right' })),
          ...a.lines.map((l): TableCell[] => [
            { text: [printable(l.what), l.why ? second(`\n${printable(l.why)}`) : ''] },
            right(sum(l.reckoned)),
            right(taken(l)),
            right(sum(l.actual)),
          ]),
          [{ text: 'Together', bold: true }, right(sum(a.reckoned), true), '', right(sum(a.actual), true)],
        ],
      },
    },
    second(ACCOUNT.foot),
  ];
}

/** A figure: points and commas come from the text face, the figure face sets them with a wide gap. */
function figureRuns(text: string, bold = false): Content[] {
  return printable(text)
    .split(/([.,:])/)
    .filter((t) => t !== '')
    .map((t) => ({ text: t, bold, font: /^[.,:]$/.test(t) ? 'text' : 'figure', fontSize: 8.5 }));
}

/** The sheet on paper: the bytes of a PDF. */
export async function printSheet(printed: Printed): Promise<Uint8Array> {
  return bytesOf(definition(printed));
}
