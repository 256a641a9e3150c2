import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { SHIFTS, type Shift, TABLES } from '../src/catalogue/trace/tables.ts';
import { diagnose } from '../src/inference/diagnose.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { networkOf, type VehicleNetwork } from '../src/stages/trace/network.ts';
import { linesOf } from '../src/views/trace/traceWords.ts';

/** A case in words: what was told of a vehicle, and what it was. */
interface Case {
  readonly title: string;
  readonly vehicle: string;
  readonly years: number;
  readonly shifts: ReadonlySet<Shift>;
  readonly seen: readonly string[];
  readonly unseen: readonly string[];
  readonly answers: readonly string[];
  readonly spared: readonly string[];
}

/** Reads the page of cases. */
function readCases(text: string): Case[] {
  return text
    .split(/^## /m)
    .slice(1)
    .map((block): Case => {
      const line = (name: string): string => new RegExp(`^- ${name}: (.*)$`, 'm').exec(block)?.[1]?.trim() ?? '';
      const list = (name: string): string[] =>
        line(name)
          .split(',')
          .map((x) => x.trim())
          .filter(Boolean);
      const [vehicle = '', years = '', shifts = ''] = line('Vehicle')
        .split(';')
        .map((x) => x.trim());
      const named = shifts.split(/\s+/).filter((s) => s !== '' && s !== '-');
      for (const s of named) if (!SHIFTS.includes(s as Shift)) throw new Error(`${block.split('\n')[0]}: no shift ${s}`);
      return {
        ...{ title: block.split('\n')[0] ?? '', vehicle, years: Number(years.split(' ')[0]), shifts: new Set(named as Shift[]) },
        ...{ seen: list('Seen'), unseen: list('Not seen'), answers: list('Answer'), spared: list('Not accused') },
      };
    });
}

/** From so likely on a cause among the first three is a suspect. */
const SUSPECT = 0.2;

const CASES = readCases(readFileSync(new URL('../../docs/tracing-cases.md', import.meta.url), 'utf8'));

/** The network of a case's vehicle. */
function networkFor(c: Case): VehicleNetwork {
  let n = 0;
  const layout = buildLayout(c.vehicle, 'layout', 'vehicle', () => `i${(n += 1)}`);
  const fresh = new Set(c.shifts.has('fresh') ? layout.slots.map((s) => s.id) : []);
  const shifts = new Set([...c.shifts].filter((s) => s !== 'fresh'));
  return networkOf(layout, { years: new Map(), yearsOfAll: c.years, shifts, fresh }, TABLES);
}
/** A sign of the page in a network: at the lever or in the reservoir named, or at one of several pieces. */
function keyOf(network: VehicleNetwork, sign: string): string {
  const [code = '', corner] = sign.split('@');
  const [base, lever] = code.split('~');
  const found = network.observations.find((o) => {
    if ((o.corner ?? undefined) !== corner) return false;
    if (lever !== undefined) return o.sign.code === base && o.text.toLowerCase().startsWith(`${lever} `);
    return o.code === code || (!code.includes('#') && o.sign.code === code) || o.code === code.replace(/#1$/, '');
  });
  if (!found) throw new Error(`no sign ${sign} on this vehicle`);
  return found.id;
}

describe('cases in words', () => {
  it('are at least thirty, over every layout that has brakes of its own', () => {
    expect(CASES.length).to.be.at.least(30);
    expect(new Set(CASES.map((c) => c.vehicle)).size).to.be.at.least(12);
  });

  for (const c of CASES)
    it(c.title, () => {
      const network = networkFor(c);
      const observations = Object.fromEntries([
        ...c.seen.map((s) => [keyOf(network, s), 'seen'] as const),
        ...c.unseen.map((s) => [keyOf(network, s), 'not_seen'] as const),
      ]);
      const { causes, refused } = diagnose(network, { observations, certain: {} }, [], true);
      expect(refused).to.equal(null);
      const lines = linesOf(network, causes);
      const matches = (index: number, answer: string): boolean => {
        const f = network.faults[index]!;
        const [kind, corner] = answer.split('@');
        return f.kind.id === kind && (corner === undefined || f.slot?.corner === corner || f.place === corner);
      };
      const shown = lines
        .slice(0, 8)
        .map((l) => `${l.alike.map((i) => network.faults[i]!.id).join('+')} ${(100 * l.probability).toFixed(0)}`);
      const placeOf = (answer: string): number => lines.findIndex((l) => l.alike.some((i) => matches(i, answer)));
      for (const a of c.answers) {
        const at = placeOf(a);
        expect(at >= 0 && at < c.answers.length + 2, `${a} stands at ${at + 1}: ${shown.join('; ')}`).to.equal(true);
      }
      for (const s of c.spared) {
        const at = placeOf(s);
        expect(at < 0 || at > 2 || lines[at]!.probability < SUSPECT, `${s} is accused: ${shown.join('; ')}`).to.equal(true);
      }
    });
});
