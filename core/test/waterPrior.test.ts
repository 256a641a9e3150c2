import { expect } from 'chai';
import fc from 'fast-check';
import { waterAfter, waterConstant, waterLikely } from '../src/catalogue/fluids.ts';
import { TABLES } from '../src/catalogue/trace/tables.ts';
import { reservoirsOf } from '../src/layout/reach.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import { networkOf } from '../src/stages/trace/network.ts';
import type { TraceContext } from '../src/stages/trace/priors.ts';
import { contextOf } from '../src/views/trace/context.ts';
import { linesOf, quietLinesOf } from '../src/views/trace/traceWords.ts';
import { base } from './jobFixture.ts';
import { TracingFixture } from './tracingFixture.ts';

const layoutOf = (template: string) => {
  let n = 0;
  return buildLayout(template, 'layout', 'vehicle', () => `i${(n += 1)}`);
};
const PLAIN: TraceContext = { years: new Map(), yearsOfAll: 10, shifts: new Set(), fresh: new Set() };

describe('how likely water is before the fluid is looked at', () => {
  it('nothing before 0.7 T ln 2 years, all of it after 1.3 T ln 2, straight between them, for every storage', () => {
    for (const climate of ['dry', 'temperate', 'damp'] as const)
      fc.assert(
        fc.property(fc.double({ min: 0, max: 3, noNaN: true }), (share) => {
          const constant = waterConstant(climate, false);
          const at = (x: number): number => waterLikely(waterAfter(x * constant * Math.LN2, constant));
          expect(at(share)).to.be.closeTo(Math.min(1, Math.max(0, (share - 0.7) / 0.6)), 1e-9);
        }),
        { numRuns: 40 },
      );
    expect([waterLikely(6), waterLikely(9), waterLikely(0)]).to.deep.equal([1, 1, 0]);
  });

  it('is the prior of its fault, of each reservoir by its own circuits, and shifts with the shop’s own cases', () => {
    const layout = layoutOf('saloon_disc_drum_single');
    const [brake, clutch] = reservoirsOf(layout);
    const water = new Map([
      [brake!.circuits[0]!, 0.4],
      [clutch!.circuits[0]!, 3],
    ]);
    const prior = (of: string, more: Partial<TraceContext> = {}): number =>
      networkOf(layout, { ...PLAIN, water, ...more }, TABLES).faults.find((f) => f.id === `fluid_water@${of}`)!.prior;
    expect(prior('system')).to.be.lessThan(0.001);
    expect(prior(clutch!.slotId)).to.be.closeTo(0.95 / 2, 1e-9);
    expect(prior(clutch!.slotId, { times: new Map([['fluid_water', 0.5]]) })).to.be.lessThan(0.95 / 2);
    expect(prior('system', { water: new Map() })).to.be.closeTo(0.95, 1e-9);
  });

  it('fluid of which nothing is known counts as ten years old, newly changed fluid as dry; silicone takes up none', () => {
    const reckoned = (t: TracingFixture) => [...contextOf(t.state()).water!.values()];
    const t = new TracingFixture(['FL', 'RL'], [], 'drums_single');
    for (const w of reckoned(t)) expect(w).to.be.closeTo(waterAfter(10, waterConstant(t.file.vehicle.climate, false)), 1e-9);
    const changed = (fluidClass: '4' | '5', at: string) => {
      const to = new TracingFixture(['FL', 'RL'], [], 'drums_single');
      to.file.fluidServices = [
        {
          ...base(to.next(), { happenedAt: at, jobId: 'then' }),
          product: 'p',
          fluidClass,
          batch: '',
          lowMoisture: false,
          ...BY_CLASS_ALONE,
        },
      ];
      to.file.bleedPulls = to.layout.slots
        .filter((s) => s.kind === 'bleeder')
        .map((b) => ({
          ...base(to.next(), { happenedAt: at, jobId: 'then' }),
          ...({ slotId: b.id, volumeTyped: '400 mL', volumeMl: 400, colour: 'clear', air: 'none', closed: true, method: null } as const),
        }));
      return reckoned(to);
    };
    for (const w of changed('4', t.file.job.openedAt)) expect(w).to.equal(0);
    for (const w of changed('4', '2020-01-10T10:00:00.000Z')) expect(w).to.be.greaterThan(3);
    for (const w of changed('5', '2020-01-10T10:00:00.000Z')) expect(w).to.equal(0);
  });

  it('stands apart from what something speaks for until it is seen, and bars no gentle drive', () => {
    const t = new TracingFixture(['FL', 'FR', 'RL', 'RR'], [], 'tandem_disc_drum_servo').say('judder', 'seen');
    const { given, causes, danger } = t.weighed();
    const { faults } = given.network;
    const kinds = (lines: readonly { readonly fault: number }[]) => lines.map((l) => faults[l.fault]!.kind.id);
    expect(kinds(linesOf(given.network, causes))).to.not.include('fluid_water');
    expect(kinds(quietLinesOf(given.network, causes))).to.include('fluid_water');
    expect(danger === null ? null : faults[danger]!.kind.id).to.not.equal('fluid_water');
    expect(faults.find((f) => f.kind.id === 'fluid_water')!.hazard).to.equal(false);
    // Dark fluid makes it a little likelier than it was anyway: that is said, and does not come before what is complained of.
    const dark = t.say('fluid_dark', 'seen').weighed();
    const lines = kinds(linesOf(given.network, dark.causes));
    expect(lines.length).to.be.greaterThan(1);
    expect(lines.indexOf('fluid_water')).to.equal(lines.length - 1);
    const then = t.say('fluid_water', 'seen').weighed();
    expect(kinds(linesOf(given.network, then.causes))[0]).to.equal('fluid_water');
  });
});
