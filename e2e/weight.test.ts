import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

const DIST = join(import.meta.dirname, '../web/dist');
/** Script that may go over the wire before somebody can sign in, kB of gzip. */
const SIGN_IN_KB = 165;

/** The scripts that a page needs before it can show a screen: what its document names, the screen, and what those import. */
function scriptsOf(screen: string): string[] {
  const html = readFileSync(join(DIST, 'index.html'), 'utf8');
  const chunk = readdirSync(join(DIST, 'assets')).find((f) => f.startsWith(`${screen}-`) && f.endsWith('.js'));
  if (!chunk) throw new Error(`${screen} is in no script of its own`);
  const queue = [chunk, ...[...html.matchAll(/"\/assets\/([^"]+\.js)"/g)].map((m) => m[1] ?? '')];
  const found = new Set<string>();
  for (let file = queue.pop(); file !== undefined; file = queue.pop()) {
    if (found.has(file)) continue;
    found.add(file);
    const imports = readFileSync(join(DIST, 'assets', file), 'utf8').matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g);
    for (const [, name] of imports) queue.push(name ?? '');
  }
  return [...found];
}

describe('the weight of the application', () => {
  it('lets somebody sign in before what only a job needs is loaded', () => {
    const scripts = scriptsOf('SignInScreen');
    const kb = scripts.reduce((sum, f) => sum + gzipSync(readFileSync(join(DIST, 'assets', f))).length / 1024, 0);
    expect(scripts.length).to.be.greaterThan(4);
    expect(kb).to.be.within(100, SIGN_IN_KB);
    expect(scripts.filter((f) => /^(views|judging|GaugeStage|JobBody)-/.test(f))).to.deep.equal([]);
  });
});
