import { existsSync } from 'node:fs';
import { createReadStream } from 'node:fs';
import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Target } from './target.ts';

/** Where PostgreSQL puts finished segments of its log, and breaks off at a bound. */
export class Spool {
  readonly folder: string;
  constructor(folder: string) {
    this.folder = folder;
  }
  private get mark(): string {
    return join(this.folder, 'broken');
  }
  /** Since when the chain is broken off; null while it is whole. */
  async brokenSince(): Promise<Date | null> {
    return existsSync(this.mark) ? (await stat(this.mark)).mtime : null;
  }
  /** Finished segments that wait, in their order, each with the instant at which it was finished. */
  async waiting(): Promise<{ readonly name: string; readonly at: Date }[]> {
    const names = (await readdir(this.folder)).filter((n) => n.endsWith('.gz')).sort();
    return Promise.all(names.map(async (name) => ({ name, at: (await stat(join(this.folder, name))).mtime })));
  }
  /**
   * Copies what waits to the backups, one after the other; each leaves the spool only once it is there.
   * @returns the instant up to which everything is there; null where nothing was copied
   */
  async copyTo(target: Target, incarnation: string): Promise<Date | null> {
    let safe: Date | null = null;
    for (const { name, at } of await this.waiting()) {
      await target.write(`${incarnation}/wal/${name}`, createReadStream(join(this.folder, name)));
      await rm(join(this.folder, name));
      safe = at;
    }
    return safe;
  }
  /** Begins a new chain: what waits belongs to the one that was broken off, and a whole copy is made next. */
  async begin(): Promise<void> {
    for (const n of await readdir(this.folder)) await rm(join(this.folder, n), { force: true });
  }
}
