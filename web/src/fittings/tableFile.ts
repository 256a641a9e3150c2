import { saveText } from './saveText.ts';

type Row = Readonly<Record<string, string>>;

/** Largest file that is read as a list, bytes. */
const LARGEST = 8 * 2 ** 20;
const isRow = (v: unknown): v is Row => typeof v === 'object' && v !== null && Object.values(v).every((x) => typeof x === 'string');

/** Gives rows out as a file: JSON with its format and version, or CSV with a heading row in UTF-8. */
export async function saveTable(
  rows: readonly Row[],
  columns: readonly string[],
  file: { readonly name: string; readonly format: string; readonly list: string },
  kind: 'csv' | 'json',
): Promise<void> {
  if (kind === 'json') {
    saveText(JSON.stringify({ format: file.format, version: 1, [file.list]: rows }, null, 2), `${file.name}.json`, 'application/json');
    return;
  }
  const { default: papa } = await import('papaparse');
  // What a spreadsheet would take for a formula is kept from being one.
  saveText(
    papa.unparse([...rows], { columns: [...columns], escapeFormulae: /^(?:[=+@\t\r]|-(?![\d.,]+$))/ }),
    `${file.name}.csv`,
    'text/csv',
  );
}

/**
 * Rows of a CSV or JSON file, each a row of texts by column name.
 * @param list name of the list in a JSON file
 * @param what what the file is meant to be, for its errors
 * @throws Error with a sentence where it cannot be read
 */
export async function rowsOfFile(file: File, list: string, what: string): Promise<Row[]> {
  if (file.size > LARGEST) throw new Error(`This file is too large to be a ${what}.`);
  const text = await file.text();
  if (text.includes('\uFFFD') || text.includes('\0'))
    throw new Error('This file is not text in UTF-8. Save it as “CSV UTF-8” and try again.');
  if (file.name.endsWith('.json')) {
    const whole: unknown = jsonOf(text);
    const rows: unknown =
      typeof whole === 'object' && whole !== null && list in whole ? Object.entries(whole).find(([k]) => k === list)?.[1] : whole;
    if (!Array.isArray(rows) || !rows.every(isRow)) throw new Error(`This is no ${what}: the file holds no “${list}” of texts.`);
    return rows;
  }
  const { default: papa } = await import('papaparse');
  const done = papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transform: (v) => v.replace(/^'(?=[=+@-])/, ''),
  });
  return done.data.filter(isRow);
}

function jsonOf(text: string): unknown {
  try {
    const whole: unknown = JSON.parse(text);
    return whole;
  } catch {
    throw new Error('This file cannot be read as JSON.');
  }
}
