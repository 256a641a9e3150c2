import { expect } from 'chai';
import fc from 'fast-check';
import type { FluidClass } from '../src/catalogue/fluids.ts';
import { boilingPoint, FLUID_CLASSES, fluidClass, waterAtBoiling } from '../src/catalogue/fluids.ts';
import { drawnAt, fallsShort } from '../src/history/drawn.ts';
import { lineVolume } from '../src/hydraulics/volume.ts';
import { fluidState } from '../src/history/due.ts';
import { proposedFluid } from '../src/history/proposedFluid.ts';
import { proposedWords } from '../src/wording/en/service.ts';
import { deriveJob } from '../src/job/job.ts';
import { BY_CLASS_ALONE, type FluidService } from '../src/ledger/families/fluidServices.ts';
import type { FluidSample } from '../src/ledger/families/fluidSamples.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

/** A fluid job on a car of which nothing is known. */
class Fluid extends JobFixture {
  constructor() {
    super(FOUR);
    this.file.job = { ...this.file.job, kind: 'fluid', complaint: '', scopeCorners: [] };
  }
  get bleeders(): string[] {
    return this.layout.slots.filter((s) => s.kind === 'bleeder').map((s) => s.id);
  }
  serve(fluidClass: FluidClass = '4', over: Partial<FluidService> = {}): void {
    const service = { ...base(this.next()), product: 'Tin', fluidClass, batch: '', lowMoisture: false, ...BY_CLASS_ALONE, ...over };
    this.file.fluidServices = [...this.file.fluidServices, service];
  }
  draw(slotId: string, volumeMl = 120): void {
    const pull = { volumeMl, volumeTyped: `${volumeMl}`, colour: 'clear' as const, air: 'none' as const, closed: true, method: null };
    this.file.bleedPulls = [...this.file.bleedPulls, { ...base(this.next()), slotId, ...pull }];
  }
  test(fluidClass: FluidClass | null, over: Partial<FluidSample> = {}): void {
    const sample = {
      ...base(this.next()),
      slotId: this.slot('reservoir', null),
      waterPercent: null,
      boilC: null,
      fluidClass,
      how: 'Drop in water',
    };
    this.file.fluidSamples = [...this.file.fluidSamples, { ...sample, ...over }];
  }
  owed(key: string) {
    return deriveJob(this.file, NOW).obligations.find((o) => o.key === key);
  }
  get unknown() {
    return this.owed(`identify:${this.slot('reservoir', null)}`);
  }
  renewRubber(): void {
    const rubber = ['hose', 'caliper', 'wheel_cylinder', 'master_cylinder', 'valve', 'clutch_master', 'clutch_slave'];
    for (const s of this.layout.slots) if (rubber.includes(s.kind)) this.part(s.id, 'resealed', `part:${s.id}`);
  }
}

describe('fluid of which nobody knows what it is', () => {
  it('stays unknown, however much clear fluid was drawn, until it is told by a test', () => {
    const t = new Fluid();
    t.serve();
    expect([t.unknown?.state, t.unknown?.what]).to.deep.equal(['open', 'Reservoir: the fluid is unknown, and being changed']);
    for (const b of t.bleeders) t.draw(b);
    expect(t.unknown?.state, 'a little clear fluid names nothing').to.equal('open');
    expect(t.unknown?.why).to.match(/^Tell it by a test before it is moved, or renew every rubber part/);
    t.test('4');
    expect(t.unknown?.state, 'what is tested by then is what went in').to.equal('open');
    const poured = new Fluid();
    poured.serve();
    poured.test('4');
    expect(poured.unknown?.state, 'poured in, and drawn out of the same reservoir').to.equal('open');
    const below = new Fluid();
    below.serve();
    below.test('4', { slotId: below.bleeders[0]! });
    expect(below.unknown, 'at a bleeder there still is what was there').to.equal(undefined);
    const first = new Fluid();
    first.test('4');
    first.serve();
    expect(first.unknown).to.equal(undefined);
  });

  it('or until all of its rubber is renewed and every bleeder drawn through', () => {
    const t = new Fluid();
    t.renewRubber();
    t.serve();
    expect(t.unknown?.why).to.match(/Not every bleeder is drawn through yet\.$/);
    for (const b of t.bleeders) t.draw(b, 2);
    expect(t.unknown?.state, 'two millilitres each').to.equal('open');
    for (const b of t.bleeders) t.draw(b);
    expect(t.unknown?.state).to.equal('closed');
    const one = new Fluid();
    one.serve();
    for (const b of one.bleeders) one.draw(b);
    expect(one.unknown?.why).to.match(/Not renewed: .* and \d+ more\.$/);
  });

  it('another kind than was in it asks for the same; a class of the same kind does not', () => {
    const t = new Fluid();
    t.test('mineral');
    t.serve('4');
    expect([t.unknown?.state, t.unknown?.what]).to.deep.equal(['open', 'Mineral hydraulic oil was in it, and another kind goes in']);
    const same = new Fluid();
    same.test('3');
    same.serve('5.1');
    expect(same.unknown).to.equal(undefined);
  });
});

describe('what was drawn at a bleeder', () => {
  it('far under what stands between the reservoir and it does not close it, and says how much is there', () => {
    const t = new Fluid();
    t.test('4');
    t.serve();
    const [first = ''] = t.bleeders;
    const { stood } = drawnAt(t.layout, []).get(first)!;
    expect(stood).to.be.above(10);
    t.draw(first, 3);
    const owed = t.owed(`bleed:${first}`);
    expect(owed?.state).to.equal('open');
    expect(owed?.why).to.match(/^3 mL drawn; \d+ mL stand between the reservoir and it\.$/);
    t.draw(first, stood);
    expect(t.owed(`bleed:${first}`)?.state).to.equal('closed');
  });

  it('counts what stands in shared lines once, at the first that drew it through', () => {
    const t = new Fluid();
    const [a = '', b = ''] = t.bleeders.filter((id) => t.layout.slots.find((s) => s.id === id)?.corner?.startsWith('R'));
    const alone = drawnAt(t.layout, []).get(b)!.stood;
    t.draw(a, 500);
    const after = drawnAt(t.layout, t.file.bleedPulls).get(b)!.stood;
    expect(after).to.be.below(alone);
    t.draw(b, after);
    expect(fallsShort(drawnAt(t.layout, t.file.bleedPulls).get(b)!)).to.equal(false);
  });

  it('a line holds π/4 d² L', () => {
    expect(lineVolume(3.2, 1000)).to.be.closeTo(8.0425, 1e-4);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 10, noNaN: true }), fc.double({ min: 1, max: 1e4, noNaN: true }), (d, l) => {
        expect(lineVolume(2 * d, l)).to.be.closeTo(4 * lineVolume(d, l), 1e-6 * lineVolume(2 * d, l));
        expect(lineVolume(d, 2 * l)).to.be.closeTo(2 * lineVolume(d, l), 1e-6 * lineVolume(d, 2 * l));
      }),
    );
  });
});

describe('what was measured of a fluid', () => {
  const due = (t: Fluid, at = NOW) =>
    fluidState(t.layout, { services: t.file.fluidServices, pulls: t.file.bleedPulls, samples: t.file.fluidSamples }, t.file.vehicle, at)!;
  const filled = (over: Partial<FluidService> = {}): Fluid => {
    const t = new Fluid();
    t.serve('4', over);
    for (const b of t.bleeders) t.draw(b);
    return t;
  };
  const LATER = '2027-01-01T00:00:00.000Z';

  it('replaces the estimate, and the worse of two places counts', () => {
    const t = filled();
    const estimate = due(t, LATER);
    t.test(null, { waterPercent: 2.4, happenedAt: '2026-12-01T00:00:00.000Z', how: 'Pen' });
    const pen = due(t, LATER);
    expect([pen.water! > estimate.water!, pen.due < estimate.due]).to.deep.equal([true, true]);
    t.test(null, { waterPercent: 2.9, slotId: t.bleeders[0]!, happenedAt: '2026-12-01T00:00:00.000Z', how: 'Pen' });
    expect(due(t, LATER).water).to.be.above(pen.water!);
  });

  it('a boiling point outranks a pen, and one below all of the curve is saturated: due at once', () => {
    const t = filled();
    t.test(null, { waterPercent: 0.1, boilC: 120, happenedAt: '2026-12-01T00:00:00.000Z', how: 'Boiled' });
    expect(due(t, LATER)).to.deep.include({ due: '2026-12-01', cause: { kind: 'interval', reason: 'measured_saturated' } });
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 5.9, noNaN: true }), (water) => {
        expect(waterAtBoiling(230, 155, boilingPoint(230, 155, water))).to.be.closeTo(water, 1e-6);
      }),
    );
  });

  it('its own boiling points, the maker’s interval and hot use come into the day', () => {
    expect(due(filled({ makerMonths: 6 })).cause).to.deep.equal({ kind: 'interval', reason: 'maker_interval' });
    expect(due(filled({ hottestC: 190 })).cause).to.deep.equal({ kind: 'interval', reason: 'boiling_below_need' });
    const hot = due(filled({ hottestC: 190 })).due;
    expect(due(filled({ hottestC: 190, dryC: 310, wetC: 200 })).due > hot, 'a better fluid lasts longer').to.equal(true);
    expect(due(filled({ hottestC: 230 })).cause.kind, 'it does not reach it fresh').to.equal('refused');
  });
});

describe('the fluid that is proposed', () => {
  const car = { use: 'seasonal', climate: 'temperate', storage: 'dry' } as const;
  const of = (id: string | null, over: Partial<Parameters<typeof proposedFluid>[1]> = {}) =>
    proposedFluid(id === null ? null : fluidClass(id)!, { ...car, ...over });

  it('is the kind that is known to be in it, and no other, whatever the use asks', () => {
    for (const { id, kind } of FLUID_CLASSES)
      for (const use of ['daily', 'seasonal', 'work', 'competition', 'stands'] as const) {
        const p = of(id, { use, climate: 'damp' });
        expect(fluidClass(p.fluidClass)!.kind, `${id} ${use}`).to.equal(kind);
        expect(fluidClass(p.fluidClass)!.dry, `${id} ${use}: never one that boils lower`).to.be.at.least(fluidClass(id)!.dry);
      }
  });
  it('boils higher where it runs hot, takes up little water where it stands or is damp, and says why', () => {
    expect(of('4', { use: 'competition' })).to.deep.equal({ fluidClass: '5.1', lowMoisture: false, why: 'hot' });
    expect(of('5', { use: 'competition' }).fluidClass).to.equal('5');
    expect(of('4', { use: 'stands' }).lowMoisture).to.equal(true);
    expect(of('mineral', { use: 'stands' }).lowMoisture, 'it takes up none').to.equal(false);
    expect(of(null)).to.deep.equal({ fluidClass: '4', lowMoisture: false, why: 'usual' });
    expect(proposedWords(of(null, { storage: 'damp' }))).to.match(
      /^Proposed: Class 4, glycol, as is usual; .* little water.*maker’s word comes first\.$/,
    );
  });
});
