import { instrumentMessage } from '@dauer/contract';
import { GAUGE_UNIT } from '@dauer/core/catalogue';
import { parseQuantity } from '@dauer/core/quantity';
import { expect } from 'chai';
import fc from 'fast-check';
import { BENCH, makeBench } from '../src/bench.ts';
import { Instrument, seeded } from '../src/instrument.ts';

const by = (tag: string, seed = 1): Instrument => makeBench(seed).find((i) => i.facts.tag === tag)!;
/** Reads often at one angle, so slowly that the lag is over. */
const often = (i: Instrument, n: number, from = 0): number[] => Array.from({ length: n }, (_, k) => i.read(from + k * 60).value);
const mean = (v: readonly number[]): number => v.reduce((a, b) => a + b, 0) / v.length;

describe('the simulated bench', () => {
  for (const facts of BENCH) {
    it(`${facts.name}: shows steps of its resolution, in its unit, as a message that Dauer takes`, () => {
      fc.assert(
        fc.property(
          fc.integer({ min: 0, max: 1e6 }),
          fc.integer({ min: 0, max: 359 }),
          fc.constantFrom(...facts.parts),
          (seed, angle, part) => {
            const i = new Instrument(facts, seed);
            i.put(part.name, 0);
            i.turn(angle);
            const { value, text } = i.read(7);
            expect(Math.abs(value / facts.resolution - Math.round(value / facts.resolution))).to.be.below(1e-6);
            expect(Number(text)).to.be.closeTo(value, 1e-9);
            const { tag, kind, unit } = facts;
            expect(instrumentMessage.safeParse({ instrument: tag, kind, unit, text, event: 'press' }).success, text).to.equal(true);
            if (unit === 'mm') expect(parseQuantity(`${text} ${unit}`, 'length', 'in').canonical).to.be.closeTo(value, 1e-9);
          },
        ),
        { numRuns: 40 },
      );
      expect(facts.unit).to.equal(GAUGE_UNIT[facts.kind]);
    });
  }
  it('has one of each kind that the bench is to have, each with a tag of its own', () => {
    const kinds = [
      'micrometer',
      'bore_gauge',
      'dial',
      'drum_gauge',
      'depth_gauge',
      'caliper',
      'spring_scale',
      'pedal_force',
      'pressure_gauge',
      'fluid_tester',
      'boil_tester',
      'thermometer',
      'scale',
    ];
    expect([...new Set(BENCH.map((f) => f.kind))]).to.have.members(kinds);
    expect(BENCH.filter((f) => f.kind === 'fluid_tester').map((f) => f.name)).to.deep.equal(['Fluid tester', 'Refractometer']);
    expect(new Set(BENCH.map((f) => f.tag)).size).to.equal(BENCH.length);
  });
  it('the same seed gives the same readings, another others', () => {
    const run = (seed: number): string => JSON.stringify(often(by('M-03', seed), 20));
    expect(run(5)).to.equal(run(5));
    expect(run(5)).to.not.equal(run(6));
    const random = seeded(3);
    const list = Array.from({ length: 4000 }, random);
    expect(mean(list)).to.be.closeTo(0.5, 0.02);
    expect(Math.min(...list)).to.be.at.least(0);
    expect(Math.max(...list)).to.be.below(1);
  });
  it('reads about the truth: off by no more than its offset and its noise', () => {
    const i = by('M-03');
    const values = often(i, 400).slice(5);
    const truth = i.facts.parts[0]!.truth(0, 0);
    expect(mean(values) - truth - i.facts.offset).to.be.within(-0.0003, i.facts.driftPerHour * 7);
    const spread = Math.sqrt(mean(values.map((v) => (v - mean(values)) ** 2)));
    expect(spread).to.be.within(0.0004, 0.005);
  });
  it('the dial sweeps as the face is turned, and comes after', () => {
    const i = by('D-02');
    i.put('Face, on a dirty hub', 0);
    const sweep = Array.from({ length: 73 }, (_, k) => {
      i.turn(k * 5);
      i.read(k * 10);
      return i.read(k * 10 + 9).value;
    });
    expect(Math.max(...sweep) - Math.min(...sweep)).to.be.within(0.17, 0.26);
    const fresh = by('D-02');
    fresh.put('Face, on a dirty hub', 0);
    fresh.turn(250);
    fresh.read(0);
    fresh.turn(70);
    const soon = fresh.read(0.02).value;
    const late = [fresh.read(30).value, fresh.read(60).value];
    expect(late[1]! - soon, 'the needle is still on its way').to.be.above(0.05);
  });
  it('drifts while it is held, and what climbs or leaks does so over time', () => {
    const mic = by('M-03');
    const [early, late] = [mean(often(mic, 60)), mean(often(mic, 60, 8 * 3600))];
    expect(late - early).to.be.above(0.005);
    const pedal = by('P-01');
    pedal.put('Pedal, pressed hard', 100);
    expect(pedal.read(100).value).to.be.below(20);
    expect(pedal.read(110).value).to.be.within(300, 335);
    const pressure = by('P-02');
    pressure.put('Held, sinks', 0);
    pressure.read(0);
    expect(pressure.read(1800).value).to.be.below(25);
  });
});
