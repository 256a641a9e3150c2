import { expect } from 'chai';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import type { Shift } from '../src/catalogue/trace/tables.ts';
import { deriveJob } from '../src/job/job.ts';
import type { FluidService } from '../src/ledger/families/fluidServices.ts';
import type { Vehicle } from '../src/ledger/vehicleRecords.ts';
import { contextOf } from '../src/views/trace/context.ts';
import { base, FOUR, NOW, JobFixture } from './jobFixture.ts';

/** The told vehicle, otherwise kept or used. */
const kept = (over: Partial<Vehicle>): JobFixture => {
  const t = new JobFixture(FOUR);
  t.file.vehicle = { ...t.file.vehicle, ...over };
  return t;
};
const shiftsOf = (t: JobFixture): Shift[] => [...contextOf(deriveJob(t.file, NOW)).shifts].sort();
/** Fluid of a time, drawn clear at every bleeder. */
function changed(t: JobFixture, at: string, bleeders = t.layout.slots.filter((s) => s.kind === 'bleeder')): void {
  const service: FluidService = {
    ...base(t.next(), { happenedAt: at, jobId: 'then' }),
    product: 'P',
    fluidClass: '4',
    batch: '',
    lowMoisture: false,
    ...BY_CLASS_ALONE,
  };
  t.file.fluidServices = [...t.file.fluidServices, service];
  t.file.bleedPulls = [
    ...t.file.bleedPulls,
    ...bleeders.map((b) => ({
      ...base(t.next(), { happenedAt: at, jobId: 'then' }),
      ...({ slotId: b.id, volumeTyped: '50 mL', volumeMl: 50, colour: 'clear', air: 'none', closed: true, method: null } as const),
    })),
  ];
}

describe('what shifts the priors of a vehicle', () => {
  it('how it is stored, in which climate, how it is used, and whether it stands', () => {
    const of = (over: Partial<Vehicle>): Shift[] => shiftsOf(kept(over)).filter((s) => !s.includes('fluid'));
    expect(of({})).to.deep.equal([]);
    expect(of({ storage: 'damp' })).to.deep.equal(['damp']);
    expect(of({ storage: 'outside' })).to.deep.equal(['damp']);
    expect(of({ storage: 'outside', climate: 'dry' })).to.deep.equal([]);
    expect(of({ climate: 'damp' })).to.deep.equal(['damp_air']);
    expect(of({ storage: 'outside', climate: 'damp' })).to.deep.equal(['damp', 'damp_air']);
    expect(of({ use: 'work' })).to.deep.equal(['hard']);
    expect(of({ use: 'competition', standsYears: 2 })).to.deep.equal(['hard', 'stood']);
    expect(of({ use: 'stands' })).to.deep.equal(['stood']);
    expect(of({ standsYears: 0.5 })).to.deep.equal([]);
  });
  it('fluid is old and unknown until a change of the whole is on record', () => {
    const t = kept({});
    expect(shiftsOf(t)).to.deep.equal(['old_fluid', 'unknown_fluid']);
    // Half a change leaves the old fluid in.
    changed(t, '2025-06-01T00:00:00.000Z', t.layout.slots.filter((s) => s.kind === 'bleeder').slice(1));
    expect(shiftsOf(t)).to.deep.equal(['old_fluid']);
    changed(t, '2025-07-01T00:00:00.000Z');
    expect(shiftsOf(t)).to.deep.equal([]);
    t.file.job = { ...t.file.job, openedAt: '2029-01-01T00:00:00.000Z' };
    expect(shiftsOf(t)).to.deep.equal(['old_fluid']);
  });
  it('a change of before the records dates the fluid, but does not say what it is', () => {
    const t = kept({});
    const earlier = (on: string) => ({
      ...base(t.next()),
      ...({ what: 'fluid_changed', slotId: null, on, about: false, knownFrom: 'invoice', source: '', km: null, note: '' } as const),
    });
    t.file.earlierWork = [earlier('2025-05')];
    expect(shiftsOf(t)).to.deep.equal(['unknown_fluid']);
    t.file.earlierWork = [earlier('2019')];
    expect(shiftsOf(t)).to.deep.equal(['old_fluid', 'unknown_fluid']);
  });
  it('a vehicle without a year, and an old one, count as fifteen years; a new one by its own', () => {
    const years = (year: number | null): number => contextOf(deriveJob(kept({ year }).file, NOW)).yearsOfAll;
    expect([years(null), years(1971), years(2020), years(2026)]).to.deep.equal([15, 15, 6, 1]);
  });
  it('a part fitted lately has its own years, and its place counts as fresh', () => {
    const t = kept({});
    t.file.job = { ...t.file.job, openedAt: '2026-02-15T00:00:00.000Z' };
    const caliper = t.slot('caliper', 'RL');
    t.part(caliper, 'fitted');
    const { years, fresh } = contextOf(deriveJob(t.file, NOW));
    expect(years.get(caliper)).to.be.within(0.05, 0.2);
    expect([fresh.has(caliper), fresh.has(t.slot('caliper', 'RR'))]).to.deep.equal([true, false]);
  });
});
