import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { DomainError } from '../src/quantity/domainError.ts';

/** Numeric checks computed by an independent reference; see the `about` of each file. */
interface VectorCase {
  readonly name: string;
  readonly input: Record<string, unknown>;
  readonly expect: Record<string, unknown>;
  readonly tolerance?: number | Record<string, number>;
}

const DEFAULT_TOLERANCE = 1e-6;

function compare(got: unknown, want: unknown, tolerance: number, path: string): void {
  if (typeof want === 'number') {
    expect(got, path).to.be.a('number');
    let off = Math.abs(Number(got) - want);
    if (path.endsWith('_angle_deg')) off = Math.min(off % 360, 360 - (off % 360));
    expect(off, `${path}: got ${String(got)}, want ${want}`).to.be.at.most(tolerance * Math.max(1, Math.abs(want)));
  } else if (want !== null && typeof want === 'object') {
    expect(got, path).to.be.an(Array.isArray(want) ? 'array' : 'object');
    for (const [key, value] of Object.entries(want)) {
      compare(Object.entries(got as Record<string, unknown>).find(([k]) => k === key)?.[1], value, tolerance, `${path}.${key}`);
    }
  } else {
    expect(got, path).to.equal(want);
  }
}

/** Declares one test per case of a vector file; the adapter maps its neutral names to the core's. */
export function vectorTests(file: string, adapter: (input: never) => Record<string, unknown>): void {
  const parsed: unknown = JSON.parse(readFileSync(new URL(`./vectors/${file}.json`, import.meta.url), 'utf8'));
  const { cases } = parsed as { cases: VectorCase[] };
  it('has cases', () => expect(cases).to.not.have.length(0));
  for (const c of cases) {
    it(c.name, () => {
      let got: Record<string, unknown>;
      try {
        got = adapter(c.input as never);
      } catch (error) {
        if (!(error instanceof DomainError)) throw error;
        got = { refused: true, reason: error.code };
      }
      for (const [key, value] of Object.entries(c.expect)) {
        const tolerance = typeof c.tolerance === 'number' ? c.tolerance : (c.tolerance?.[key] ?? DEFAULT_TOLERANCE);
        compare(got[key], value, tolerance, key);
      }
    });
  }
}
