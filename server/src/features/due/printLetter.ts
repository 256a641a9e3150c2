import type { LetterText } from '@dauer/core/wording';
import { bytesOf, INK, printable, SECOND } from '../../beside/paper.ts';

/** A letter as it is printed: to whom, a line each, and of which day, as it is written here. */
export interface PrintedLetter {
  readonly text: LetterText;
  readonly address: readonly string[];
  readonly day: string;
}

/** The letter on paper: the bytes of a PDF. */
export async function printLetter({ text, address, day }: PrintedLetter): Promise<Uint8Array> {
  return bytesOf({
    pageSize: 'A4',
    pageMargins: [64, 56, 64, 56],
    info: { title: printable(text.subject), creator: 'Dauer', producer: 'Dauer' },
    defaultStyle: { font: 'text', fontSize: 11, color: INK, lineHeight: 1.25 },
    content: [
      { text: printable(text.sign), font: 'plate', fontSize: 14, color: SECOND, margin: [0, 0, 0, 28] },
      ...address.map((line) => ({ text: printable(line) })),
      { text: printable(day), alignment: 'right', margin: [0, 22, 0, 14] },
      { text: printable(text.subject), bold: true, margin: [0, 0, 0, 14] },
      { text: printable(text.greeting), margin: [0, 0, 0, 10] },
      { text: printable(text.opening), margin: [0, 0, 0, 8] },
      { ul: text.items.map(printable), margin: [0, 0, 0, 10] },
      { text: printable(text.closing), margin: [0, 0, 0, 22] },
      { text: printable(text.sign) },
    ],
  });
}
