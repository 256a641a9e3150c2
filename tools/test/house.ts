import { type ChildProcess, spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { IMPORT_TYPE } from '@dauer/contract';
import { demoStory, PEOPLE } from '@dauer/demo';
import { connect } from '@dauer/server/db';
import { freePort, ROOT } from '../lib/machine.mjs';

export const PASSWORD = 'a-long-enough-password';
const PATIENCE_MS = 60000;

export interface Ended {
  readonly code: number;
  readonly said: string;
}

/** A folder for books, and the programs of Dauer run on it as somebody runs them from the shell. */
export class Yard {
  readonly folder: string;
  readonly running: ChildProcess[] = [];
  private said = '';
  port = 0;
  private cookie = '';
  constructor(mode = 0o755) {
    this.folder = mkdtempSync(join(tmpdir(), 'dauer-yard-'));
    chmodSync(this.folder, mode);
  }
  get home(): string {
    return join(this.folder, 'shop');
  }
  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  /** What the launcher has said since it was started. */
  get words(): string {
    return this.said;
  }
  private env(folder = this.folder): NodeJS.ProcessEnv {
    return { ...process.env, DAUER_FOLDER: folder, PORT: String(this.port), DAUER_LOOK_MS: '200', DATABASE_URL: '' };
  }
  /** Runs a program to its end. */
  run(script: string, args: readonly string[] = [], more: NodeJS.ProcessEnv = {}, input = ''): Promise<Ended> {
    return new Promise((resolve) => {
      const child = spawn(process.execPath, [join(ROOT, 'tools', script), ...args], { cwd: ROOT, env: { ...this.env(), ...more } });
      let said = '';
      for (const stream of [child.stdout, child.stderr]) stream.on('data', (d: Buffer) => (said += String(d)));
      child.stdin.end(input);
      child.on('close', (code) => resolve({ code: code ?? -1, said }));
    });
  }
  /** Starts a program, and kills it without a word after a while. */
  async cut(script: string, args: readonly string[], when: number | (() => boolean)): Promise<void> {
    const child = spawn(process.execPath, [join(ROOT, 'tools', script), ...args], {
      cwd: ROOT,
      env: this.env(),
      detached: true,
      stdio: 'ignore',
    });
    if (typeof when === 'number') await wait(when);
    else await this.until(when, `${script} to come to where it is cut off`);
    // The whole group: whatever it had started dies with it.
    if (child.exitCode === null && child.pid) process.kill(-child.pid, 'SIGKILL');
    await wait(100);
  }
  /** Starts the shop and waits until it answers. */
  async start(folder = this.folder): Promise<void> {
    this.port ||= await freePort();
    this.said = '';
    const child = spawn(process.execPath, [join(ROOT, 'tools/start.mjs')], {
      cwd: ROOT,
      env: this.env(folder),
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (d: Buffer) => (this.said += String(d)));
    this.running.push(child);
    await this.until(() => {
      if (child.exitCode !== null) throw new Error(`it ended: ${this.said}`);
      return /Dauer is at/.test(this.said);
    }, 'the shop to start');
  }
  async stop(): Promise<void> {
    for (const child of this.running.splice(0)) {
      if (child.exitCode !== null || child.signalCode !== null) continue;
      const gone = new Promise((resolve) => child.on('exit', resolve));
      child.kill('SIGTERM');
      await gone;
    }
  }
  async until(holds: () => boolean | Promise<boolean>, what: string, ms = PATIENCE_MS): Promise<void> {
    for (const end = Date.now() + ms; Date.now() < end; await wait(50)) if (await holds()) return;
    throw new Error(`waited in vain for ${what}; it said: ${this.said}`);
  }
  async healthy(): Promise<boolean> {
    try {
      const reply = await fetch(`${this.url}/api/health`);
      return reply.status === 200 && ((await reply.json()) as { ok: boolean }).ok;
    } catch {
      return false;
    }
  }
  async ask<T = Record<string, unknown>>(
    method: string,
    path: string,
    body?: object | string,
  ): Promise<{ status: number; body: T; headers: Headers }> {
    const reply = await fetch(this.url + path, {
      method,
      headers: {
        cookie: this.cookie,
        ...(body === undefined ? {} : { 'content-type': typeof body === 'string' ? IMPORT_TYPE : 'application/json' }),
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    this.cookie = reply.headers.getSetCookie()[0]?.split(';')[0] ?? this.cookie;
    return { status: reply.status, body: (await reply.json()) as T, headers: reply.headers };
  }
  /** The first lead, the people of the story, and the story itself. */
  async fill(): Promise<void> {
    const { ines, ...others } = PEOPLE;
    const first = { id: ines.id, shopName: 'Kept works', timeZone: 'UTC', name: ines.name, login: ines.login, password: PASSWORD };
    const made = await this.ask('POST', '/api/first-lead', first);
    if (made.status !== 200) throw new Error(JSON.stringify(made.body));
    for (const p of Object.values(others)) await this.ask('POST', '/api/people', { ...p, password: PASSWORD });
    const lines = demoStory(Date.now()).lines('a story', PASSWORD).join('\n');
    const taken = await this.ask<{ refused: object[] }>('POST', '/api/import', lines);
    if (taken.status !== 200 || taken.body.refused.length > 0) throw new Error(JSON.stringify(taken.body));
  }
  async signIn(): Promise<number> {
    return (await this.ask('POST', '/api/sign-in', { login: 'ines', password: PASSWORD })).status;
  }
  /** The address of the book’s own database, past the application. */
  databaseUrl(home = this.home): string {
    const card = JSON.parse(readFileSync(join(home, 'book.json'), 'utf8')) as { data: string };
    const data = card.data.startsWith('/') ? card.data : join(home, card.data);
    const socket = readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[4] ?? '';
    return `postgres://dauer:${readFileSync(join(home, 'password'), 'utf8')}@localhost/dauer?host=${encodeURIComponent(socket)}`;
  }
  /** Lets PostgreSQL finish its segment of the log, as it does by itself within a minute; its name. */
  async finishSegment(): Promise<string> {
    const { pool, close } = connect(this.databaseUrl());
    try {
      const { rows } = await pool.query<{ name: string }>('select pg_walfile_name(pg_switch_wal()) as name');
      return rows[0]?.name ?? '';
    } finally {
      await close();
    }
  }
  pidOf(name: 'server' | 'keeping'): number {
    return (JSON.parse(readFileSync(join(this.home, `${name}.pid`), 'utf8')) as { pid: number }).pid;
  }
  /** A number that is noted in a file; null while there is none, or while it is being written. */
  private noted(read: () => number): number | null {
    try {
      return read() || null;
    } catch {
      return null;
    }
  }
  /** Whether a process is still the one that was noted; null while none is. */
  pidIs(name: 'server' | 'keeping', pid: number): boolean | null {
    const now = this.noted(() => this.pidOf(name));
    return now === null ? null : now === pid;
  }
  postmaster(): number {
    return Number(readFileSync(join(this.home, 'pg', 'postmaster.pid'), 'utf8').split('\n')[0]);
  }
  postmasterIs(pid: number): boolean | null {
    const now = this.noted(() => this.postmaster());
    return now === null ? null : now === pid;
  }
  /** Whether server and database are both noted. */
  isNoted(): boolean {
    return this.noted(() => this.pidOf('server')) !== null && this.noted(() => this.postmaster()) !== null;
  }
  launcher(): ChildProcess {
    return this.running.at(-1)!;
  }
  status(): {
    lastCopy: { at: string } | null;
    safeTo: string | null;
    trouble: string | null;
    doing: string | null;
    copies: number;
  } | null {
    const path = join(this.home, 'backup-status.json');
    return existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as ReturnType<Yard['status']>) : null;
  }
  async close(): Promise<void> {
    await this.stop();
    const card = join(this.home, 'book.json');
    const { data } = existsSync(card) ? (JSON.parse(readFileSync(card, 'utf8')) as { data: string }) : { data: '' };
    // Data that lies aside was made by this very test.
    if (data.startsWith('/')) for (const path of [data, `${data}.sock`, `${data}.spool`]) rmSync(path, { recursive: true, force: true });
    rmSync(this.folder, { recursive: true, force: true });
  }
}
