import type { Readable } from 'node:stream';
import { EVENTS, FROM_BEFORE, importHead, importLine, type ImportLine } from '@dauer/contract';
import type { z } from 'zod';
import { HttpProblem } from '../../../platform/problem.ts';

/** Longest line, bytes: a layout with all its places takes a tenth of it. */
const LONGEST_LINE = 2 ** 20;
/** Stands for an author of before, while only the form of a record is looked at. */
const NOBODY = '00000000-0000-7000-8000-000000000000';

/** The lines of a text that comes in pieces, numbered from one; never more of it is held than a line. */
export async function* linesOf(stream: Readable): AsyncGenerator<{ readonly n: number; readonly text: string }> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let held = '';
  let n = 0;
  const decode = (bytes?: Uint8Array): string => {
    try {
      return decoder.decode(bytes, { stream: bytes !== undefined });
    } catch {
      throw new HttpProblem('import_line', `Line ${n + 1}: this is not text in UTF-8.`);
    }
  };
  for await (const piece of stream) {
    held += decode(piece as Buffer);
    for (let end = held.indexOf('\n'); end >= 0; end = held.indexOf('\n')) {
      n += 1;
      yield { n, text: held.slice(0, end) };
      held = held.slice(end + 1);
    }
    if (held.length > LONGEST_LINE) throw new HttpProblem('import_line_too_long', `Line ${n + 1} is longer than a line may be (1 MB).`);
  }
  held += decode();
  if (held.trim() !== '') yield { n: n + 1, text: held };
}

const wrong = (n: number, path: string, why: string): HttpProblem =>
  new HttpProblem('import_line', `Line ${n}${path ? `, “${path}”` : ''}: ${why}. Nothing was taken in.`);

function documentOf(n: number, text: string): unknown {
  try {
    const parsed: unknown = JSON.parse(text);
    return parsed;
  } catch {
    throw wrong(n, '', 'this is not a JSON document');
  }
}

function read<T>(n: number, schema: z.ZodType<T>, value: unknown, under = ''): T {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  throw wrong(n, [under, ...(issue?.path ?? [])].filter((p) => p !== '').join('.'), issue?.message.toLowerCase() ?? 'cannot be used');
}

/** The first line. Throws a HttpProblem that names the line where it is not one. */
export const headOf = (n: number, text: string): z.output<typeof importHead> => read(n, importHead, documentOf(n, text));

/** Any other line, looked at as far as its form goes. Throws a HttpProblem that names line and field. */
export function lineOf(n: number, text: string): ImportLine {
  const line = read(n, importLine, documentOf(n, text));
  if (line.kind !== 'event') return line;
  const { authorId, record } = line;
  const whole = { ...record, authorId: authorId === FROM_BEFORE ? NOBODY : authorId };
  const shape: z.ZodType<Record<string, unknown> & { id: string; jobId: string }> = EVENTS[line.family].record;
  return { ...line, record: read(n, shape, whole, 'record') };
}

/** The job that a line belongs to; null for a thing. */
export function jobOf(line: ImportLine): string | null {
  if (line.kind === 'job') return line.job.id;
  if (line.kind === 'event') return line.record.jobId;
  return line.kind === 'release' ? line.release.jobId : null;
}
