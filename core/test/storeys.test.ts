import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../..');
const STOREYS = createRequire(import.meta.url)(join(ROOT, 'tools/lib/storeys.cjs')) as readonly string[];
const SRC = join(ROOT, 'core/src');

describe('the storeys of the core', () => {
  it('are the folders there are, and drawn in docs/rooms.md as the rules have them, from the roof to the ground', () => {
    expect(readdirSync(SRC).sort()).to.deep.equal([...STOREYS].sort());
    const drawing = /```\n([\s\S]*?)```/.exec(readFileSync(join(ROOT, 'docs/rooms.md'), 'utf8'))?.[1] ?? '';
    const drawn = drawing.split('\n').flatMap((l) => /^(\w+) /.exec(l)?.[1] ?? []);
    expect(drawn).to.deep.equal([...STOREYS].reverse());
  });

  it('have each a face that names what it shows, one by one', () => {
    for (const storey of STOREYS) {
      const face = readFileSync(join(SRC, storey, 'index.ts'), 'utf8');
      expect(face, storey).to.match(/^\/\*\* .+\*\/\nexport /);
      expect(face, storey).not.to.match(/export \*/);
    }
  });
});
