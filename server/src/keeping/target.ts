import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, existsSync, statSync } from 'node:fs';
import { mkdir, open, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { PassThrough, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { z } from 'zod';
import { Open, Seal } from './seal.ts';

/** The folder that all of it lies in, inside the one that was named. */
const BACKUPS = 'dauer-backups';
/** Ending of a sealed file. */
const SEALED = '.sealed';

/** The folder that was named is not there, or is another one than it was. */
export class TargetAway extends Error {}

/** What stands beside the copies of a book: whose they are, and what their key is known by. */
const cardShape = z.object({
  format: z.literal(1),
  book: z.string(),
  shop: z.string(),
  /** Every passphrase that was ever in use: an old copy opens with the one of its day. */
  seals: z.array(z.object({ salt: z.string(), check: z.string() })),
});
export type TargetCard = z.infer<typeof cardShape>;

/** What stands beside a whole copy. */
const copyShape = z.object({
  format: z.literal(1),
  name: z.string(),
  file: z.string(),
  book: z.string(),
  incarnation: z.string(),
  shop: z.string(),
  zone: z.string(),
  begunAt: z.string(),
  endedAt: z.string(),
  /** First segment of the log that a restore of it may need beyond its own. */
  fromSegment: z.string(),
  major: z.number(),
  schema: z.number(),
  why: z.string(),
  /** What the key it is sealed with is known by; null where it is not sealed. */
  seal: z.string().nullable(),
  bytes: z.number(),
  sha256: z.string(),
});
export type CopyNote = z.infer<typeof copyShape>;

async function syncFolder(path: string): Promise<void> {
  const handle = await open(path, 'r');
  try {
    await handle.sync();
  } catch {
    // A share need not be able to.
  } finally {
    await handle.close();
  }
}

/** Counts and hashes what passes through. */
function measured(): { readonly through: PassThrough; readonly bytes: () => number; readonly sha256: () => string } {
  const through = new PassThrough();
  const hash = createHash('sha256');
  let bytes = 0;
  through.on('data', (chunk: Buffer) => {
    bytes += chunk.length;
    hash.update(chunk);
  });
  return { through, bytes: () => bytes, sha256: () => hash.digest('hex') };
}

/**
 * The copies of one book in a folder: a stick, a share, another disk. Nothing that is there is ever written over: a file
 * comes under another name, is brought to the disk, and gets its own then.
 */
export class Target {
  readonly folder: string;
  readonly book: string;
  private readonly key: Buffer | null;
  constructor(folder: string, book: string, key: Buffer | null) {
    this.folder = folder;
    this.book = book;
    this.key = key;
  }
  get root(): string {
    return join(this.folder, BACKUPS, this.book);
  }
  private get cardPath(): string {
    return join(this.root, 'card.json');
  }
  async card(): Promise<TargetCard | null> {
    try {
      return cardShape.parse(JSON.parse(await readFile(this.cardPath, 'utf8')));
    } catch {
      return null;
    }
  }
  /** Makes the folder of this book, where whoever named the folder wants it. Never called by itself later: a stick that is away is not made anew on the disk under it. */
  async begin(card: Omit<TargetCard, 'format' | 'book'>): Promise<void> {
    if (!existsSync(this.folder) || !statSync(this.folder).isDirectory()) throw new TargetAway(`There is no folder ${this.folder}.`);
    await mkdir(this.root, { recursive: true });
    await this.writeText('card.json', JSON.stringify({ format: 1, book: this.book, ...card }, null, 2));
  }
  /** Throws TargetAway where the folder is not there, or is not the one in which this book’s copies were begun. */
  async require(): Promise<void> {
    if (!existsSync(this.folder)) throw new TargetAway(`The backup folder ${this.folder} is not there. Is the stick or share connected?`);
    if (!(await this.card()))
      throw new TargetAway(`${this.folder} does not hold the backups of this book. Is another stick or share in its place?`);
  }
  /** Where a file goes. Its folders are made inside the backups, and never those above: a stick that was pulled out is not made anew on the disk under it. */
  private async placeFor(name: string): Promise<string> {
    const inside = dirname(name).split('/');
    for (let i = 1; i <= inside.length; i += 1) {
      const folder = this.path(inside.slice(0, i).join('/'));
      await mkdir(folder).catch((error: NodeJS.ErrnoException) => {
        if (error.code !== 'EEXIST') throw error;
      });
    }
    return this.path(name);
  }
  path(name: string): string {
    return join(this.root, name);
  }
  async writeText(name: string, text: string): Promise<void> {
    const at = await this.placeFor(name);
    const handle = await open(`${at}.part`, 'w', 0o600);
    try {
      await handle.writeFile(text);
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(`${at}.part`, at);
    await syncFolder(dirname(at));
  }
  /** Writes a stream, sealed where there is a key. Returns the name it got, its size and its hash. */
  async write(name: string, from: Readable): Promise<{ readonly file: string; readonly bytes: number; readonly sha256: string }> {
    const file = this.key ? `${name}${SEALED}` : name;
    const at = await this.placeFor(file);
    const part = `${at}.part`;
    const out = measured();
    await pipeline(from, this.key ? new Seal(this.key) : new PassThrough(), out.through, createWriteStream(part, { mode: 0o600 }));
    const handle = await open(part, 'r+');
    try {
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(part, at);
    await syncFolder(dirname(at));
    return { file, bytes: out.bytes(), sha256: out.sha256() };
  }
  /** Reads a file that was written here, opened where it is sealed. */
  read(file: string): Readable {
    const from = createReadStream(this.path(file));
    if (!file.endsWith(SEALED)) return from;
    if (!this.key) throw new TargetAway(`“${file}” is sealed, and the passphrase is not known here.`);
    const opened = new Open(this.key);
    from.on('error', (error) => opened.destroy(error));
    return from.pipe(opened);
  }
  async names(folder: string): Promise<string[]> {
    try {
      return (await readdir(this.path(folder))).filter((n) => !n.endsWith('.part')).sort();
    } catch {
      return [];
    }
  }
  async remove(file: string): Promise<void> {
    await rm(this.path(file), { force: true, recursive: true });
  }
  /** Hash and size of a file as it lies there now. */
  async measure(file: string): Promise<{ readonly bytes: number; readonly sha256: string }> {
    const seen = measured();
    await pipeline(createReadStream(this.path(file)), seen.through, async function (source) {
      for await (const _ of source) void _;
    });
    return { bytes: seen.bytes(), sha256: seen.sha256() };
  }
  async incarnations(): Promise<string[]> {
    const names = await this.names('.');
    return names.filter((n) => /^[0-9a-f-]{36}$/.test(n));
  }
  /** Whole copies of an incarnation, the oldest first: only those that were finished. */
  async copies(incarnation: string): Promise<CopyNote[]> {
    const notes = (await this.names(`${incarnation}/base`)).filter((n) => n.endsWith('.json'));
    const read = await Promise.all(
      notes.map(async (n) => {
        try {
          const note = copyShape.parse(JSON.parse(await readFile(this.path(`${incarnation}/base/${n}`), 'utf8')));
          return existsSync(this.path(note.file)) ? note : null;
        } catch {
          return null;
        }
      }),
    );
    return read.filter((n) => n !== null).sort((a, b) => (a.endedAt < b.endedAt ? -1 : 1));
  }
  /** Segments of the log that lie there, by name without endings, each with its file. */
  async segments(incarnation: string): Promise<Map<string, string>> {
    const names = await this.names(`${incarnation}/wal`);
    return new Map(names.map((n) => [n.replace(SEALED, '').replace(/\.gz$/, ''), `${incarnation}/wal/${n}`]));
  }
  async room(): Promise<number | null> {
    try {
      const { statfs } = await import('node:fs/promises');
      const { bavail, bsize } = await statfs(this.folder);
      return bavail * bsize;
    } catch {
      return null;
    }
  }
}

/** Books whose copies lie in a folder. */
export async function booksIn(folder: string): Promise<{ readonly book: string; readonly card: TargetCard }[]> {
  try {
    const names = await readdir(join(folder, BACKUPS));
    const cards = await Promise.all(names.map(async (book) => ({ book, card: await new Target(folder, book, null).card() })));
    return cards.flatMap(({ book, card }) => (card ? [{ book, card }] : []));
  } catch {
    return [];
  }
}

/** Whether two paths lie on one disk. */
export async function sameDisk(a: string, b: string): Promise<boolean> {
  try {
    return (await stat(a)).dev === (await stat(b)).dev;
  } catch {
    return false;
  }
}

export const gunzipped = (from: Readable): Readable => {
  const plain = createGunzip();
  from.on('error', (error) => plain.destroy(error));
  return from.pipe(plain);
};

/** Puts a stream into a file of this machine. */
export async function putAt(path: string, from: Readable): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  await pipeline(from, createWriteStream(path, { mode: 0o600 }));
}
