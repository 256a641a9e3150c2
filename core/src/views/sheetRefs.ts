import { BLACKED } from '../ledger/blacked.ts';
import type { HandbackSheet, SheetRef } from '../ledger/release.ts';

/** Characters of no alphabet (Unicode, private use) that mark where a text came from while a sheet is put together. */
const [BEGIN, MIDDLE, END] = ['\uE000', '\uE001', '\uE002'];
const MARKS = /[\uE000-\uE002]/g;
const MARKED = /\uE000([^\uE000-\uE002]*)\uE001([^\uE000-\uE002]*)\uE002/g;

/** A text that somebody typed, with the record and the field that it came from beside it until the sheet is whole. */
export function cameFrom(event: string, field: string, text: string): string {
  return text === '' ? '' : `${BEGIN}${event}|${field}${MIDDLE}${text.replace(MARKS, '')}${END}`;
}

function walk(value: unknown, path: string, change: (text: string, path: string) => string): unknown {
  if (typeof value === 'string') return change(value, path);
  if (Array.isArray(value)) return value.map((v, i) => walk(v, `${path}.${i}`, change));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, walk(v, path === '' ? k : `${path}.${k}`, change)]));
}

/**
 * Takes the marks out of a sheet and says for each text where it came from: path in the sheet, and from which character
 * to which.
 */
export function withRefs(sheet: HandbackSheet): HandbackSheet {
  const made: SheetRef[] = [];
  const plain = walk(sheet, '', (text, path) => {
    let shorter = 0;
    const out = text.replace(MARKED, (whole: string, source: string, words: string, at: number) => {
      const [event = '', field = ''] = source.split('|');
      const from = at - shorter;
      shorter += whole.length - words.length;
      made.push({ path, event, field, from, to: from + words.length });
      return words;
    });
    return out.replace(MARKS, '');
  }) as HandbackSheet;
  return { ...plain, made };
}

/** Every text of a sheet by its path. */
function changedAt(sheet: HandbackSheet, changes: ReadonlyMap<string, (text: string) => string>): HandbackSheet {
  const { made, ...rest } = sheet;
  const next = walk(rest, '', (text, path) => changes.get(path)?.(text) ?? text) as HandbackSheet;
  return made ? { ...next, made } : next;
}

/**
 * Blacks out of a sheet what was made of one field of one record, by reference and nothing else.
 * @returns the sheet, and how many places that were; none where a sheet of an earlier form says of nothing where it came from
 */
export function strikeRecord(
  sheet: HandbackSheet,
  event: string,
  field: string,
): { readonly sheet: HandbackSheet; readonly struck: number } {
  const made = sheet.made ?? [];
  const hit = (r: SheetRef): boolean => r.event === event && r.field === field;
  const paths = [...new Set(made.filter(hit).map((r) => r.path))];
  const remaining: SheetRef[] = made.filter((r) => !paths.includes(r.path));
  const changes = new Map<string, (text: string) => string>();
  for (const path of paths) {
    const refs = made.filter((r) => r.path === path).sort((a, b) => a.from - b.from);
    changes.set(path, (text) => {
      let out = '';
      let at = 0;
      for (const r of refs) {
        out += text.slice(at, r.from);
        const from = out.length;
        out += hit(r) ? BLACKED : text.slice(r.from, r.to);
        remaining.push({ ...r, from, to: out.length });
        at = r.to;
      }
      return out + text.slice(at);
    });
  }
  const next = changedAt(sheet, changes);
  return { sheet: sheet.made ? { ...next, made: remaining } : next, struck: made.filter(hit).length };
}

/** Where a line of a sheet may be picked by sight: texts that hold what somebody typed. */
const PICKABLE =
  /^(complaint|(findings|done|torques|parts|fluid|putOff|accepted|proofs)\.\d+\.text|nextDue\.\d+\.why|watch\.\d+|outOfScope\.\d+|account\.lines\.\d+\.why|account\.agreed\.text|afterCare\.\d+\.why|owner\.(wrong|done|watch)\.\d+|owner\.back\.\d+\.what)$/;

/**
 * Blacks out a line of a sheet that was picked by sight: for sheets of an earlier form, and for what came into a line
 * otherwise.
 * @param path of the line in the sheet
 * @returns null where there is no such line
 */
export function strikeLine(sheet: HandbackSheet, path: string): HandbackSheet | null {
  if (!PICKABLE.test(path)) return null;
  let found = false;
  const next = changedAt(
    sheet,
    new Map([
      [
        path,
        (text) => {
          found = text !== BLACKED && text !== '';
          return BLACKED;
        },
      ],
    ]),
  );
  if (!found) return null;
  return next.made ? { ...next, made: next.made.filter((r) => r.path !== path) } : next;
}
