import { expect } from 'chai';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { gzipSync } from 'node:zlib';
import { unpackCopy } from '../src/keeping/unpack.ts';

/** Far more than a pipe holds: who reads the end of the archive hangs up before all of it was given to him. */
const PADDING = Buffer.alloc(64 * 2 ** 20);

describe('a whole copy unpacked', () => {
  const from = mkdtempSync(join(tmpdir(), 'dauer-unpack-'));
  writeFileSync(join(from, 'page'), 'what was written');
  const archive = spawnSync('tar', ['--create', '--file=-', `--directory=${from}`, 'page'], { encoding: 'buffer' }).stdout;
  const unpack = async (packed: Buffer): Promise<string> => {
    const folder = mkdtempSync(join(tmpdir(), 'dauer-unpacked-'));
    const target = { measure: async () => ({ sha256: 'sum', bytes: packed.length }), read: () => Readable.from([packed]) };
    await unpackCopy(target, { sha256: 'sum', file: 'base', endedAt: 'then' }, folder);
    return readFileSync(join(folder, 'page'), 'utf8');
  };

  it('is whole also where the archive was read to its end before its padding was', async () => {
    for (let n = 0; n < 5; n += 1)
      expect(await unpack(gzipSync(Buffer.concat([archive, PADDING]), { level: 1 }))).to.equal('what was written');
  });

  it('and fails where it breaks off, or is no archive', async () => {
    const refused = (packed: Buffer): Promise<boolean> =>
      unpack(packed).then(
        () => false,
        () => true,
      );
    expect(await refused(gzipSync(archive.subarray(0, 700)))).to.equal(true);
    expect(await refused(gzipSync(archive).subarray(0, 60))).to.equal(true);
    expect(await refused(Buffer.from('no copy at all'))).to.equal(true);
  });
});
