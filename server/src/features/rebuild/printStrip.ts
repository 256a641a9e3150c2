import type { TubeBend } from '@dauer/core/metrology';
import { fixed, setNumberLocale } from '@dauer/core/quantity';
import { LINE } from '@dauer/core/wording';
import type { CanvasElement, Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { bytesOf, INK, printable, SECOND } from '../../beside/paper.ts';

/** A line as a strip of paper in true size, to be laid beside the straight tube. */
export interface PrintedStrip {
  readonly locale: string;
  readonly tag: string;
  readonly line: string;
  readonly cutMm: number;
  readonly bends: readonly TubeBend[];
  /** Ends and tube in words. */
  readonly first: string;
  readonly last: string;
  readonly tube: string;
}

const POINTS_PER_MM = 72 / 25.4;
/** Strip on one sheet, and what of it stands on the next one again, mm. */
const [ON_A_SHEET, AGAIN] = [250, 10] as const;
/** From mark to mark of the rule along the strip, mm. */
const RULE_MM = 10;

const pt = (mm: number): number => mm * POINTS_PER_MM;

/** One stretch of the strip, mm from the first cut end. */
function stretch(strip: PrintedStrip, from: number, to: number): { readonly marks: CanvasElement[]; readonly words: Content[] } {
  const [width, middle] = [pt(14), pt(7)];
  const y = (mm: number): number => pt(mm - from);
  const line = (x1: number, y1: number, x2: number, y2: number, lineWidth = 0.6): CanvasElement => ({
    ...{ type: 'line', x1, y1, x2, y2, lineWidth },
    lineColor: INK,
  });
  const inside = (mm: number): boolean => mm >= from - 0.001 && mm <= to + 0.001;
  const bottom = Math.min(to, strip.cutMm);
  const marks: CanvasElement[] = [line(0, y(from), 0, y(bottom)), line(width, y(from), width, y(bottom))];
  for (let mm = Math.ceil(from / RULE_MM) * RULE_MM; mm <= bottom; mm += RULE_MM)
    marks.push(line(0, y(mm), mm % 50 === 0 ? middle : pt(2.5), y(mm), 0.3));
  const ends = [0, strip.cutMm].filter(inside).map((mm) => line(-pt(4), y(mm), width + pt(4), y(mm), 1.6));
  const words: { at: number; text: string }[] = [];
  strip.bends.forEach((b, i) => {
    for (const [mm, text] of [
      [b.markStartMm, LINE.bendStarts(i + 1, b)],
      [b.markEndMm, LINE.bendEnds(i + 1, b)],
    ] as const)
      if (inside(mm)) {
        marks.push(line(0, y(mm), width + pt(6), y(mm), 1.2));
        words.push({ at: mm, text });
      }
    if (b.markStartMm < bottom && b.markEndMm > from)
      marks.push({
        ...{ type: 'rect', x: 0, y: y(Math.max(b.markStartMm, from)), w: width, color: '#DDE3E6' },
        h: pt(Math.min(b.markEndMm, bottom) - Math.max(b.markStartMm, from)),
      });
  });
  if (inside(0)) words.push({ at: 0, text: strip.first });
  if (inside(strip.cutMm)) words.push({ at: strip.cutMm, text: strip.last });
  // Shaded bends lie under everything.
  const ordered = [...marks.filter((m) => m.type === 'rect'), ...marks.filter((m) => m.type !== 'rect'), ...ends];
  let free = -Infinity;
  return {
    marks: ordered,
    words: words
      .sort((a, b) => a.at - b.at)
      .map(({ at, text }): Content => {
        free = Math.max(y(at) - 6, free + 13);
        return { text: printable(text), absolutePosition: { x: 40 + width + pt(12), y: 96 + free }, fontSize: 9.5 };
      }),
  };
}

function definition(strip: PrintedStrip): TDocumentDefinitions {
  setNumberLocale(strip.locale);
  const step = ON_A_SHEET - AGAIN;
  const sheets = Math.max(1, Math.ceil((strip.cutMm - AGAIN) / step));
  return {
    pageSize: 'A4',
    pageMargins: [40, 36, 40, 30],
    info: { title: `${strip.tag} ${strip.line}`, creator: 'Dauer', producer: 'Dauer' },
    defaultStyle: { font: 'text', fontSize: 10, color: INK },
    content: Array.from({ length: sheets }, (_, i): Content => {
      const from = i * step;
      const { marks, words } = stretch(strip, from, from + ON_A_SHEET);
      return {
        ...(i > 0 && { pageBreak: 'before' }),
        stack: [
          { text: printable(`${strip.tag}  ${strip.line}`), font: 'plate', fontSize: 14 },
          { text: printable(LINE.strip(fixed(strip.cutMm, 0), i + 1, sheets)), color: SECOND },
          { text: printable(strip.tube), color: SECOND },
          { canvas: marks, absolutePosition: { x: 40, y: 96 } },
          ...words,
        ],
      };
    }),
  };
}

/** Prints a line along strips of paper in true size as PDF. */
export function printStrip(strip: PrintedStrip): Promise<Uint8Array> {
  return bytesOf(definition(strip));
}
