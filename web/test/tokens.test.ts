import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const SOURCES = fileURLToPath(new URL('../src', import.meta.url));
const TOKENS = 'app/tokens.css';

/** Which properties a family of tokens is for. */
const FAMILIES: Readonly<Record<string, RegExp>> = {
  space: /^(row-|column-)?gap$|^(scroll-)?(margin|padding)/,
  line: /^(border|outline)(-(top|right|bottom|left|inline|block|start|end|width))*$/,
  corner: /^border.*radius$/,
  type: /^font-size$|^font$/,
  leading: /^line-height$|^font$/,
};
const SIZES = /^(min-|max-)?(height|width)$|^flex(-basis)?$|^grid-template-columns$/;

/** Lengths that tokens name, by family, px. */
function tokens(): ReadonlyMap<string, ReadonlySet<string>> {
  const named = new Map<string, Set<string>>();
  for (const [, name, px] of readFileSync(join(SOURCES, TOKENS), 'utf8').matchAll(/--([a-z0-9-]+): ([\d.]+)px;/g)) {
    const family = Object.keys(FAMILIES).find((f) => name?.split('-')[0] === f) ?? 'size';
    named.set(family, new Set([...(named.get(family) ?? []), px ?? '']));
  }
  return named;
}

/** What is written in the style of a file: its property and value. */
function declarations(file: string): [string, string][] {
  const text = readFileSync(join(SOURCES, file), 'utf8');
  const styles = file.endsWith('.css') ? [text] : [...text.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map((m) => m[1] ?? '');
  return styles.flatMap((s) => [...s.matchAll(/(?:^|[\s{;])([a-z-]+):([^;{}]*);/g)].map((m): [string, string] => [m[1] ?? '', m[2] ?? '']));
}

/** The literals in a declaration that a token names. */
function literals(named: ReturnType<typeof tokens>, property: string, value: string): string[] {
  // Only the size of a font is of the family of type; what follows the slash is its leading.
  const [size, leading] = property === 'font' ? [value.split('/')[0] ?? '', value.split('/')[1] ?? ''] : [value, value];
  const found = (family: string, where: string): string[] =>
    [...where.matchAll(/(?<![\w.-])-?([\d.]+)px/g)].flatMap((m) => (named.get(family)?.has(m[1] ?? '') ? [`${property}: ${m[0]}`] : []));
  const families = [...Object.entries(FAMILIES), ['size', SIZES] as const].filter(([, of]) => of.test(property)).map(([f]) => f);
  return families.flatMap((f) => found(f, f === 'leading' ? leading : size));
}

describe('measures of the interface', () => {
  const files = readdirSync(SOURCES, { recursive: true, encoding: 'utf8' }).filter((f) => /\.(vue|css)$/.test(f) && f !== TOKENS);
  it('stand in one place: no style writes a length that a token names', () => {
    const named = tokens();
    expect([...named.keys()].sort()).to.deep.equal(['corner', 'leading', 'line', 'size', 'space', 'type']);
    const wrong = files.flatMap((f) => declarations(f).flatMap(([p, v]) => literals(named, p, v).map((l) => `${f}: ${l}`)));
    expect(files.length).to.be.greaterThan(100);
    expect(wrong, wrong.join('; ')).to.deep.equal([]);
  });
  it('and a literal is found where there is one', () => {
    const named = tokens();
    expect(literals(named, 'padding', ' 8px 13px')).to.deep.equal(['padding: 8px']);
    expect(literals(named, 'margin-top', ' -4px')).to.deep.equal(['margin-top: -4px']);
    expect(literals(named, 'font', ' 600 19px/24px x')).to.deep.equal(['font: 19px', 'font: 24px']);
    expect(literals(named, 'min-height', ' 44px')).to.deep.equal(['min-height: 44px']);
    expect(literals(named, 'border-top-width', ' 2px')).to.deep.equal(['border-top-width: 2px']);
    expect(literals(named, 'padding', ' var(--space-2) 6px')).to.deep.equal([]);
  });
});
