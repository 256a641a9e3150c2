import { join } from 'node:path';
import type { BackupStatus, TrialResult } from '@dauer/contract';
import { connect, type Connection } from '../db/connect.ts';
import { logLine } from '../platform/log.ts';
import { baseCopy, factsOf, logicalDump, type Source } from './copies.ts';
import { keepErasures } from './erasures.ts';
import { type Asked, readKey, readSettings, readStatus, takeAsked, writeStatus } from './files.ts';
import { firstNeeded, isDue, KEPT, KEPT_BESIDE, outlived, trialIsDue } from './retain.ts';
import { Spool } from './spool.ts';
import { type CopyNote, sameDisk, Target, TargetAway } from './target.ts';

/** Where the book is and what it is opened with, as the launcher says. */
export interface Place {
  readonly home: string;
  readonly book: string;
  readonly data: string;
  readonly bin: string;
  readonly spool: string;
  readonly url: string;
}

/** Dumps that stay beside the copies. */
const KEPT_DUMPS = 10;
const SEGMENT = /^[0-9A-F]{24}$/;
/** A segment’s place in the log, without its timeline. */
const placeInLog = (segment: string): string => segment.slice(8);

type Trial = (place: Place, target: Target, connection: Connection) => Promise<TrialResult>;

/** Keeps copies of a running book: the log as it goes on, whole copies every night, a trial every week. */
export class Keeper {
  private readonly place: Place;
  private readonly connection: Connection;
  private readonly trial: Trial;
  private readonly spool: Spool;
  private erasures = '';
  private status: BackupStatus | null;
  private said = '';
  constructor(place: Place, trial: Trial) {
    this.place = place;
    this.trial = trial;
    this.connection = connect(place.url);
    this.spool = new Spool(place.spool);
    this.status = readStatus(place.home);
  }
  close(): Promise<void> {
    return this.connection.close();
  }
  private get source(): Source {
    return { pool: this.connection.pool, url: this.place.url, bin: this.place.bin };
  }
  /** The folder that copies go to now: the one that was named, or one beside the book. */
  async target(): Promise<{ readonly target: Target; readonly seal: string | null; readonly beside: boolean }> {
    const { home, book } = this.place;
    const { folder, seal } = readSettings(home);
    const key = seal ? readKey(home) : null;
    if (seal && !key) throw new TargetAway('The key that copies are sealed with is missing. Enter the passphrase again.');
    const target = new Target(folder ?? join(home, 'backups'), book, key);
    if (folder === null && !(await target.card())) {
      const { mkdir } = await import('node:fs/promises');
      await mkdir(target.folder, { recursive: true });
      await target.begin({ shop: (await factsOf(this.connection.pool)).shop, seals: seal ? [{ salt: seal.salt, check: seal.check }] : [] });
    }
    await target.require();
    return { target, seal: seal?.check ?? null, beside: folder === null };
  }
  private say(change: Partial<BackupStatus>): void {
    if (!this.status) return;
    this.status = { ...this.status, ...change, at: new Date().toISOString() };
    writeStatus(this.place.home, this.status);
  }
  private async begin(): Promise<void> {
    const facts = await factsOf(this.connection.pool);
    const known = this.status?.incarnation === facts.incarnation && this.status.book === this.place.book ? this.status : null;
    const { folder, seal } = readSettings(this.place.home);
    this.status = {
      ...{ at: '', way: 'archive', book: this.place.book, incarnation: facts.incarnation },
      ...{ folder: folder ?? join(this.place.home, 'backups'), sameDisk: folder === null, sealed: seal !== null },
      ...{ trouble: null, brokenSince: null, lastCopy: null, copies: 0, safeTo: null, lastTrial: null, lastGoodTrial: null, doing: null },
      ...(known ? { safeTo: known.safeTo, lastTrial: known.lastTrial, lastGoodTrial: known.lastGoodTrial } : {}),
    };
    this.say({});
  }
  /** One look: what waits is copied, what is due is done. Throws nothing; what went wrong is said. */
  async look(request: Asked | null = takeAsked(this.place.home)): Promise<void> {
    try {
      await this.begin();
      await this.keep(request);
      this.said = '';
    } catch (error) {
      const trouble = error instanceof Error ? error.message : String(error);
      const away = error instanceof TargetAway || /ENOENT|EIO|ENODEV|ENOSPC|EROFS|EACCES|ESTALE|ENOTCONN/.test(trouble);
      this.say({
        trouble:
          away && !(error instanceof TargetAway)
            ? `The backup folder cannot be written: ${/E[A-Z]+/.exec(trouble)?.[0] ?? 'error'}.`
            : trouble,
        doing: null,
        brokenSince: (await this.spool.brokenSince().catch(() => null))?.toISOString() ?? null,
      });
      if (trouble !== this.said) logLine('backups', { trouble });
      this.said = trouble;
    }
  }
  private async keep(request: Asked | null): Promise<void> {
    const facts = await factsOf(this.connection.pool);
    const { target, seal, beside } = await this.target();
    const retention = beside ? KEPT_BESIDE : KEPT;
    this.say({ folder: target.folder, sameDisk: await sameDisk(target.folder, this.place.data), sealed: seal !== null });
    this.erasures = await keepErasures(this.connection.db, target, this.erasures);
    const broken = await this.spool.brokenSince();
    if (!broken) {
      const safe = await this.spool.copyTo(target, facts.incarnation);
      if (safe) this.say({ safeTo: safe.toISOString() });
    }
    let copies = await target.copies(facts.incarnation);
    const last = copies.at(-1) ?? null;
    const now = new Date();
    const why = facts.empty
      ? null
      : request === 'copy'
        ? 'asked for'
        : broken
          ? 'a new chain after one that broke off'
          : last && last.seal !== seal
            ? 'sealed otherwise'
            : isDue(last, now, facts.zone)
              ? last
                ? 'nightly'
                : 'first'
              : null;
    if (why) {
      this.say({ doing: 'Making a whole copy', brokenSince: broken?.toISOString() ?? null });
      // Archiving goes on before the copy begins: the chain that follows it is whole.
      if (broken) await this.spool.begin();
      const note = await baseCopy(this.source, target, seal, why);
      await this.verify(target, note);
      await logicalDump(this.source, target);
      copies = await target.copies(facts.incarnation);
      await this.prune(target, facts.incarnation, copies, retention);
      this.say({ safeTo: note.endedAt, brokenSince: null });
    }
    const newest = copies.at(-1);
    this.say({
      doing: null,
      trouble: null,
      copies: copies.length,
      lastCopy: newest ? { at: newest.endedAt, why: newest.why, bytes: newest.bytes } : null,
    });
    if (newest && (request === 'trial' || trialIsDue(this.status?.lastTrial ?? null, copies[0]?.endedAt ?? null, now.getTime()))) {
      this.say({ doing: 'Trying whether the copies can be restored' });
      const result = await this.trial(this.place, target, this.connection);
      this.say({ doing: null, lastTrial: result, ...(result.good ? { lastGoodTrial: result.at } : {}) });
      if (!result.good) logLine('trial of the backups failed', { says: result.says });
    }
  }
  /** What was written is read again, whole, before anything older goes. */
  private async verify(target: Target, note: CopyNote): Promise<void> {
    const { sha256, bytes } = await target.measure(note.file);
    if (sha256 !== note.sha256 || bytes !== note.bytes)
      throw new Error('What was written to the backup folder is not what is read from it. The former copies are kept.');
  }
  private async prune(
    target: Target,
    incarnation: string,
    copies: readonly CopyNote[],
    retention: typeof KEPT | typeof KEPT_BESIDE,
  ): Promise<void> {
    const outdated = outlived(copies, Date.now(), retention);
    for (const c of copies.filter((x) => outdated.has(x.name))) {
      await target.remove(`${incarnation}/base/${c.name}.json`);
      await target.remove(c.file);
    }
    const needed = firstNeeded(
      copies.filter((c) => !outdated.has(c.name)),
      Date.now(),
      retention,
    );
    if (needed)
      for (const [segment, file] of await target.segments(incarnation))
        if (SEGMENT.test(segment) && placeInLog(segment) < placeInLog(needed)) await target.remove(file);
    const dumps = await target.names(`${incarnation}/dump`);
    for (const name of dumps.slice(0, -KEPT_DUMPS)) await target.remove(`${incarnation}/dump/${name}`);
  }
  /** A copy before something is changed: to the folder that was named, or beside the book where that is away. */
  async before(why: string): Promise<CopyNote | null> {
    if ((await factsOf(this.connection.pool)).empty) return null;
    try {
      const { target, seal } = await this.target();
      return await baseCopy(this.source, target, seal, why);
    } catch (error) {
      if (!(error instanceof TargetAway)) throw error;
      const beside = new Target(join(this.place.home, 'backups'), this.place.book, null);
      const { mkdir } = await import('node:fs/promises');
      await mkdir(beside.folder, { recursive: true });
      await beside.begin({ shop: '', seals: [] });
      return baseCopy(this.source, beside, null, why);
    }
  }
}
