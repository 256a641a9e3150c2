import { statfs } from 'node:fs/promises';

/** Less than this much room is said to everybody, bytes. */
export const LITTLE_ROOM = 500 * 2 ** 20;
/** Less than this and PostgreSQL cannot go on: one segment of its log is 16 MB. */
export const NO_ROOM = 24 * 2 ** 20;
/** How old the answer may be, ms. */
const FRESH_MS = 5000;

let known: { readonly free: number; readonly at: number } | null = null;

/** Where the book’s data lies on this machine; null where another server has it. */
const folder = (): string | null => process.env['DAUER_BOOK_DATA'] ?? null;

/** Room left on the disk of the book, bytes; null where the book lies on another machine, or the disk does not say. */
export async function roomLeft(now = Date.now()): Promise<number | null> {
  const at = folder();
  if (!at) return null;
  if (known && now - known.at < FRESH_MS) return known.free;
  try {
    const { bavail, bsize } = await statfs(at);
    known = { free: bavail * bsize, at: now };
    return known.free;
  } catch {
    return null;
  }
}

/** Whether the disk was full when it was last looked at; it is looked at again for the next one who asks. */
export function diskIsFull(): boolean {
  void roomLeft();
  return known !== null && known.free < NO_ROOM;
}
