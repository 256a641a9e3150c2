import { randomUUID } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { connect } from '@dauer/server/db';
import type { Yard } from './house.ts';

/** Puts a small disk of its own under a folder; false where this account may not. */
export function smallDisk(folder: string, megabytes: number): boolean {
  mkdirSync(folder, { recursive: true });
  return spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m,mode=755`, 'tmpfs', folder]).status === 0;
}

export function takeDiskAway(folder: string): void {
  spawnSync('umount', ['-l', folder]);
}

/** Fills a disk until nothing more goes onto it. */
function fill(path: string): void {
  const fd = openSync(path, 'w');
  for (let piece = Buffer.alloc(2 ** 20, 1); piece.length > 0;) {
    try {
      writeSync(fd, piece);
    } catch {
      // Less and less of it, until not a byte goes on.
      piece = piece.subarray(0, Math.floor(piece.length / 2));
    }
  }
  closeSync(fd);
}

/** What a full disk came to. */
export interface Full {
  readonly acknowledged: number;
  readonly lost: number;
  readonly refused: Readonly<Record<number, number>>;
  readonly said: readonly string[];
  /** How long after there was room again until a reading was taken, ms. */
  readonly backMs: number;
}

/** Fills the disk under a running shop, takes readings all the while, makes room, and looks what is left. */
export async function fullDisk(yard: Yard): Promise<Full> {
  const { jobs } = (await yard.ask<{ jobs: { jobId: string; layout: { slots: { id: string; kind: string }[] } }[] }>('GET', '/api/yard'))
    .body;
  const job = jobs.find((j) => j.layout.slots.some((s) => s.kind === 'caliper'))!;
  const slotId = job.layout.slots.find((s) => s.kind === 'caliper')!.id;
  const acknowledged: string[] = [];
  const refused: Record<number, number> = {};
  const said = new Set<string>();
  const put = async (): Promise<boolean> => {
    const id = randomUUID();
    const body = { id, happenedAt: new Date().toISOString(), device: 'drill', slotId, what: 'plug', note: 'x'.repeat(280) };
    const answer = await yard
      .ask<{ code?: string }>('POST', `/api/jobs/${job.jobId}/put-ins`, body)
      .catch(() => ({ status: 0, body: { code: '' } }));
    if (answer.status === 200) acknowledged.push(id);
    else {
      refused[answer.status] = (refused[answer.status] ?? 0) + 1;
      if (answer.body.code) said.add(answer.body.code);
    }
    return answer.status === 200;
  };
  for (let i = 0; i < 20; i += 1) await put();
  const ballast = join(yard.folder, 'ballast');
  fill(ballast);
  for (const end = Date.now() + 15000; Date.now() < end && !refused[507];) if (!(await put())) await wait(100);
  rmSync(ballast);
  const begun = performance.now();
  await yard.until(put, 'a reading to be taken again', 120000);
  const backMs = performance.now() - begun;
  const { pool, close } = connect(yard.databaseUrl());
  const { rows } = await pool.query<{ id: string }>('select id from put_in');
  await close();
  const kept = new Set(rows.map((r) => r.id));
  return { acknowledged: acknowledged.length, lost: acknowledged.filter((id) => !kept.has(id)).length, refused, said: [...said], backMs };
}
