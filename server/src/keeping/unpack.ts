import { spawn } from 'node:child_process';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { type CopyNote, gunzipped, putAt, type Target, TargetAway } from './target.ts';

/** What a program that has read enough leaves behind at the pipe it was fed by. */
const HUNG_UP: readonly string[] = ['ERR_STREAM_PREMATURE_CLOSE', 'EPIPE', 'ECONNRESET'];

/** Unpacks a whole copy into a folder. Fails where it cannot be read to its end, or is not what was written. */
export async function unpackCopy(
  target: Pick<Target, 'measure' | 'read'>,
  copy: Pick<CopyNote, 'file' | 'sha256' | 'endedAt'>,
  folder: string,
): Promise<void> {
  const found = await target.measure(copy.file);
  if (found.sha256 !== copy.sha256)
    throw new TargetAway(`The copy of ${copy.endedAt} is not what was written: it was changed or damaged. Another one has to do.`);
  await mkdir(folder, { recursive: true });
  const tar = spawn('tar', ['--extract', '--file=-', '--no-same-owner', `--directory=${folder}`], { stdio: ['pipe', 'ignore', 'pipe'] });
  let said = '';
  tar.stderr.on('data', (d: Buffer) => (said += String(d)));
  const ended = new Promise<void>((resolve, reject) => {
    tar.on('error', reject);
    tar.on('close', (code) => (code === 0 ? resolve() : reject(new Error(`The copy could not be unpacked: ${said.trim().slice(0, 300)}`))));
  });
  ended.catch(() => undefined);
  const trouble = await pipeline(gunzipped(target.read(copy.file)), tar.stdin).then(
    () => null,
    (error: NodeJS.ErrnoException) => error,
  );
  // It hangs up once it has read the end of the archive, at times before the last of the padding was given to it.
  if (trouble && !HUNG_UP.includes(trouble.code ?? '')) throw trouble;
  await ended;
}

const SEGMENT = /^[0-9A-F]{24}$/;

/**
 * Lays the segments that follow a copy into a folder of this machine, opened but still compressed, so that a day of them
 * takes little room.
 * @returns how many
 */
export async function layOutLog(target: Target, copy: CopyNote, folder: string): Promise<number> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  let many = 0;
  for (const [segment, file] of await target.segments(copy.incarnation)) {
    if (SEGMENT.test(segment) && segment.slice(8) < copy.fromSegment.slice(8)) continue;
    await putAt(join(folder, `${segment}.gz`), target.read(file));
    many += 1;
  }
  return many;
}
