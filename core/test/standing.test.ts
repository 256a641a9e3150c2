import { expect } from 'chai';
import { BY_CLASS_ALONE } from '../src/ledger/families/fluidServices.ts';
import fc from 'fast-check';
import { acceptanceKey } from '../src/ledger/obligation.ts';
import { fileAsOf } from '../src/history/asOf.ts';
import { waterCourse } from '../src/views/waterCourse.ts';
import { circuitFluids, fluidState, fluidVerdict } from '../src/history/due.ts';
import { deriveJob } from '../src/job/job.ts';
import { judgeAgain } from '../src/job/judgeAgain.ts';
import { finestOf } from '../src/judging/finest.ts';
import { buildLayout } from '../src/layout/templates.ts';
import type { JobEvent } from '../src/ledger/eventBase.ts';
import type { BleedPull } from '../src/ledger/families/bleedPulls.ts';
import type { FluidService } from '../src/ledger/families/fluidServices.ts';
import type { GaugeVersion } from '../src/ledger/gaugeRecords.ts';
import type { JobRecords } from '../src/ledger/jobRecords.ts';
import type { ReleaseRecord } from '../src/ledger/release.ts';
import type { LimitVersion } from '../src/verdict/limits.ts';
import { buildSheet } from '../src/views/handback.ts';
import { base, id, LIMIT, NOW, JobFixture } from './jobFixture.ts';
import { fluidCauseWords } from '../src/wording/index.ts';

const eight = (figure: string): string[] => Array.from({ length: 8 }, () => figure);
const sheetOf = (records: JobRecords) => buildSheet(deriveJob(records, NOW), NOW);
const releaseAt = (instant: string, sheet = sheetOf(new JobFixture().file)): ReleaseRecord => ({
  id: 'rel',
  jobId: 'job',
  releasedBy: 'ann',
  importId: null,
  releasedAt: instant,
  ownWork: true,
  ruleVersion: '1',
  sheet,
});
const gauge = (over: Partial<GaugeVersion>): GaugeVersion => ({
  id: id(),
  gaugeId: over.tag ?? 'g',
  tag: 'M-01',
  name: 'Micrometer',
  kind: 'micrometer',
  resolution: 0.01,
  accuracy: 0.004,
  shortSpan: 0.001,
  rangeLow: null,
  rangeHigh: null,
  calibrationDue: null,
  settingPiece: null,
  checkFirst: false,
  enteredBy: 'ann',
  enteredAt: '2020-01-01T00:00:00.000Z',
  ...over,
});

describe('what was handed back', () => {
  it('stays as it stood then, whatever is measured, limited or counted later', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), eight('12.60'));
    t.file.counters = [{ ...base(t.next()), vehicleId: 'car', typed: '41200', km: 41200 }];
    const then = base(t.next()).happenedAt;
    const before = sheetOf(t.file);
    t.gauge(t.slot('rotor'), eight('10.10'));
    t.find(t.slot('rotor'), { severity: 'reject', words: 'Cracked through' });
    t.file.counters = [...t.file.counters, { ...base(t.next()), vehicleId: 'car', typed: '79400', km: 79400 }];
    const stricter: LimitVersion = { ...LIMIT, id: 'lim2', at: 12.65, machineTo: 12.66, enteredAt: '2026-03-01T00:00:00.000Z' };
    t.file.limits = [LIMIT, stricter];
    t.file.release = releaseAt(then);
    const state = deriveJob(t.file, NOW);
    expect(buildSheet(state, then)).to.deep.equal(before);
    expect(before.distance).to.equal('41,200 km');
    expect(state.components.find((c) => c.slot.id === t.slot('rotor'))?.findings).to.deep.equal([]);
    t.file.release = null;
    expect(t.component(t.slot('rotor')).verdict).to.equal('past');
  });
  it('may be judged again with today’s book, which says what falls differently and changes nothing', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), eight('11.20'));
    t.file.release = releaseAt(base(t.next()).happenedAt);
    t.gauge(t.slot('rotor'), eight('9.00'));
    expect(judgeAgain(t.file, NOW)).to.deep.equal([]);
    t.file.limits = [LIMIT, { ...LIMIT, id: 'lim2', at: 11.3, machineTo: 11.4, enteredAt: '2026-03-01T00:00:00.000Z' }];
    const before = structuredClone(t.file);
    expect(judgeAgain(t.file, NOW)).to.deep.equal([
      { place: 'Front left rotor', characteristic: 'Rotor thickness', then: 'holds', now: 'past' },
    ]);
    expect(t.file).to.deep.equal(before);
    t.file.release = null;
    expect(judgeAgain(t.file, NOW)).to.deep.equal([]);
  });
  it('a check made later does not reach back', () => {
    const file = { ...new JobFixture().file, limits: [{ ...LIMIT, checkedBy: 'ben', checkedAt: '2026-05-01T00:00:00.000Z' }] };
    expect(fileAsOf(file, '2026-04-01T00:00:00.000Z').limits[0]?.checkedBy).to.equal(null);
    expect(fileAsOf(file, '2026-06-01T00:00:00.000Z').limits[0]?.checkedBy).to.equal('ben');
    expect(fileAsOf(file, '2019-01-01T00:00:00.000Z').limits).to.deep.equal([]);
  });
  it('looking at an instant and then at an earlier one is looking at the earlier one', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), eight('12.60'));
    t.gauge(t.slot('rotor', 'FR'), eight('12.50'));
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 30 }), (a, b) => {
        const at = (minute: number): string => base(minute).happenedAt;
        expect(fileAsOf(fileAsOf(t.file, at(a)), at(b))).to.deep.equal(fileAsOf(t.file, at(Math.min(a, b))));
      }),
      { numRuns: 60 },
    );
  });
});

describe('figures of a fit', () => {
  const sweep = { measurement: 'rotor_runout' as const, count: 8 };
  it('end when the rotor comes off, also when the same one goes back on; thickness goes with it', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    t.gauge(rotor, eight('12.60'));
    t.gauge(rotor, eight('0.01'), sweep);
    const has = (): string[] => t.component(rotor).judged.map((j) => j.characteristic.id);
    expect(has()).to.include.members(['rotor_thickness', 'rotor_runout']);
    const part = t.component(rotor).part!.id;
    t.part(rotor, 'removed');
    t.part(rotor, 'fitted', part);
    expect(has()).to.include('rotor_thickness').and.not.include('rotor_runout');
    t.gauge(rotor, eight('0.02'), { ...sweep, phase: 'as_fitted' });
    expect(has()).to.include('rotor_runout');
  });
  it('as found stays answered by the sweep that was taken before', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    t.gauge(rotor, eight('0.01'), sweep);
    t.part(rotor, 'removed');
    const asFound = t.component(rotor).required.find((r) => r.measurement.id === 'rotor_runout' && r.phase === 'as_found');
    expect(asFound?.done).to.equal(true);
  });
});

describe('an acceptance', () => {
  it('falls when the figure it was given for changes', () => {
    const t = new JobFixture(['FL'], []);
    const rotor = t.slot('rotor');
    t.gauge(rotor, eight('12.60'));
    const find = () => deriveJob(t.file, NOW).blocks.find((b) => b.key === `verdict:${rotor}:rotor_thickness`);
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(find()!), reason: 'measured against the other side' }];
    expect(find()).to.equal(undefined);
    t.gauge(rotor, eight('11.20'));
    expect(find()?.state).to.equal('open');
  });
  it('of a complaint falls when it is answered anew', () => {
    const t = new JobFixture();
    const answer = (result: 'same' | 'not_tried'): void => {
      t.file.proofs = [...t.file.proofs, { ...base(t.next()), item: 'complaint', slotId: null, corner: null, result, note: 'It rains' }];
    };
    const find = () => deriveJob(t.file, NOW).blocks.find((b) => b.key === 'proof:complaint');
    answer('same');
    t.file.acceptances = [{ ...base(t.next()), obligation: acceptanceKey(find()!), reason: 'the owner will live with it' }];
    expect(find()).to.equal(undefined);
    answer('not_tried');
    expect(find()?.acceptBy).to.equal('lead');
  });
  it('of what cannot be told on safety asks for the finest gauge first', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    const coarse = gauge({ tag: 'M-01' });
    const fine = gauge({ tag: 'M-03', accuracy: 0.003, resolution: 0.001 });
    t.file.gauges = [coarse, fine];
    const withGauge = (g: GaugeVersion): void => {
      const set = t.gauge(rotor, eight('11.001'));
      t.file.readings = t.file.readings.map((r) => (r.setId === set.id ? { ...r, gaugeVersionId: g.id } : r));
    };
    const block = () => deriveJob(t.file, NOW).blocks.find((b) => b.key === `verdict:${rotor}:rotor_thickness`)!;
    withGauge(coarse);
    expect(block().acceptBy).to.equal(null);
    expect(block().why).to.include('M-03');
    withGauge(fine);
    expect(block().acceptBy).to.equal('lead');
  });
  it('the finest gauge is that of the newest versions', () => {
    const old = gauge({ id: '1', gaugeId: 'a', tag: 'A', accuracy: 0.001 });
    const worn = gauge({ id: '2', gaugeId: 'a', tag: 'A', accuracy: 0.02 });
    const other = gauge({ id: '3', gaugeId: 'b', tag: 'B' });
    expect(finestOf('micrometer', [worn, old, other])?.tag).to.equal('B');
    expect(finestOf('dial', [old, other])).to.equal(undefined);
  });
});

describe('a decision', () => {
  it('is open again once a reading rules it out, and closes when it is changed', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    const state = () => deriveJob(t.file, NOW).obligations.find((o) => o.key === `decide:${rotor}`)!;
    t.decide(rotor, 'use_again');
    expect(state().state).to.equal('closed');
    t.gauge(rotor, eight('10.80'));
    expect([state().state, state().why?.includes('ruled out since')]).to.deep.equal(['open', true]);
    t.decide(rotor, 'replace');
    expect(state().state).to.equal('closed');
  });
  it('to machine stands once it is done, though it could not be done twice', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    t.gauge(rotor, eight('11.60'));
    t.decide(rotor, 'machine');
    t.part(rotor, 'machined');
    t.gauge(rotor, eight('11.42'), { phase: 'after_machining' });
    expect(deriveJob(t.file, NOW).obligations.find((o) => o.key === `decide:${rotor}`)?.state).to.equal('closed');
  });
});

describe('fluid, nipple by nipple', () => {
  const layout = buildLayout('coupe_disc_disc_tandem_servo', 'lay', 'car', id);
  const bleeders = layout.slots.filter((s) => s.kind === 'bleeder');
  const event = (jobId: string, instant: string): JobEvent => ({ ...base(0), jobId, happenedAt: instant });
  const service = (jobId: string, instant: string): FluidService => ({
    ...event(jobId, instant),
    product: 'p',
    fluidClass: '4',
    batch: '',
    lowMoisture: false,
    ...BY_CLASS_ALONE,
  });
  const pull = (jobId: string, instant: string, slotId: string, over: Partial<BleedPull> = {}): BleedPull => ({
    ...event(jobId, instant),
    slotId,
    volumeTyped: '120',
    volumeMl: 120,
    colour: 'clear',
    method: null,
    air: 'none',
    closed: true,
    ...over,
  });
  const use = { use: 'seasonal', climate: 'temperate' } as const;
  const first = '2024-01-10T10:00:00.000Z';
  const later = '2025-06-10T10:00:00.000Z';
  const whole = bleeders.map((b) => pull('j1', first, b.id));

  it('a circuit is changed only when all its bleeders were closed clear', () => {
    const records = { services: [service('j1', first)], pulls: whole };
    expect(circuitFluids(layout, records).map((c) => c.service?.jobId)).to.deep.equal(['j1', 'j1']);
    for (const spoiled of [{ closed: false }, { colour: 'dark' }, { air: 'bubbles' }] as const) {
      const pulls = whole.map((p, i) => (i === 0 ? { ...p, ...spoiled } : p));
      expect(circuitFluids(layout, { ...records, pulls }).filter((c) => c.service === null)).to.have.length(1);
    }
  });
  it('half a change does not move the due date on, and shows as half done', () => {
    const services = [service('j1', first), service('j2', later)];
    const front = bleeders.filter((b) => b.corner === 'FL');
    const half = fluidState(layout, { services, pulls: [...whole, ...front.map((b) => pull('j2', later, b.id))] }, use, NOW)!;
    expect(fluidCauseWords(half.cause)).to.include('half done: one bleeder to go');
    expect(half.changed).to.equal('2024-01-10');
    const frontAxle = bleeders.filter((b) => b.corner?.startsWith('F'));
    const one = fluidState(layout, { services, pulls: [...whole, ...frontAxle.map((b) => pull('j2', later, b.id))] }, use, NOW)!;
    expect([one.changed, one.due]).to.deep.equal(['2024-01-10', '2026-01-10']);
    const both = fluidState(layout, { services, pulls: [...whole, ...bleeders.map((b) => pull('j2', later, b.id))] }, use, NOW)!;
    expect([both.changed, both.due]).to.deep.equal(['2025-06-10', '2027-06-10']);
  });
  it('its water grows from one whole change to the next, and on to the day it is due', () => {
    const services = [service('j1', first), service('j2', later)];
    const all = { services, pulls: [...whole, ...bleeders.map((b) => pull('j2', later, b.id))] };
    const course = waterCourse(layout, all, use, NOW)!;
    expect(course.fluids.map((f) => [f.points[0]!.day, f.points.at(-1)!.day])).to.deep.equal([
      ['2024-01-10', '2025-06-10'],
      ['2025-06-10', '2027-06-10'],
    ]);
    for (const f of course.fluids) {
      expect(f.points[0]!.water).to.equal(0);
      f.points.slice(1).forEach((p, i) => expect(p.water).to.be.greaterThan(f.points[i]!.water));
    }
    expect(course.now.water).to.equal(fluidState(layout, all, use, NOW)!.water);
    const last = course.fluids.at(-1)!.points.at(-1)!;
    expect([last.least < last.water, last.water < last.most, last.boilLeastC < last.boilC, last.boilC < last.boilMostC]).to.deep.equal([
      true,
      true,
      true,
      true,
    ]);
    expect([course.interval, course.needC, course.samples]).to.deep.equal(['2027-06-10', null, []]);
    // What was measured replaces the estimate: the curve goes through it.
    const sample = {
      ...base(1, { happenedAt: '2025-12-10T09:00:00.000Z' }),
      ...{ slotId: bleeders[0]!.id, fluidClass: null, waterPercent: 2.4, boilC: null, how: 'Pen' },
    };
    const measured = waterCourse(layout, { ...all, samples: [sample] }, use, NOW)!;
    const drawn = measured.fluids.at(-1)!.points;
    expect(drawn.findLast((p) => p.day <= '2025-12-10')!.water).to.be.at.most(2.4);
    expect(drawn.find((p) => p.day >= '2025-12-10')!.water).to.be.at.least(2.4);
    expect(measured.samples.map((x) => [x.day, x.water])).to.deep.equal([['2025-12-10', 2.4]]);
    expect(measured.now.water).to.equal(fluidState(layout, { ...all, samples: [sample] }, use, NOW)!.water);
    const hot = { ...all, services: [services[0]!, { ...services[1]!, hottestC: 150, dryC: 150, wetC: 200 }] };
    expect(
      waterCourse(layout, { ...hot, services: [services[0]!, { ...hot.services[1]!, dryC: 250, wetC: 165 }] }, use, NOW)!.needC,
    ).to.equal(170);
    expect(waterCourse(layout, hot, use, NOW), 'no pair of boiling points').to.equal(null);
    // Begun and not finished, the newer fluid draws no curve of its own; today lies behind the day it was due.
    const half = { services, pulls: [...whole, pull('j2', later, bleeders[0]!.id)] };
    const old = waterCourse(layout, half, use, NOW)!;
    expect(old.fluids.map((f) => f.points.at(-1)!.day)).to.deep.equal([NOW.slice(0, 10)]);
    expect(waterCourse(layout, { services: [{ ...service('j1', first), fluidClass: '5' }], pulls: whole }, use, NOW)).to.equal(null);
    expect(waterCourse(layout, { services: [], pulls: [] }, use, NOW)).to.equal(null);
  });
  it('a circuit without any change on record is due, and says so', () => {
    const rear = bleeders.filter((b) => b.corner?.startsWith('R'));
    const state = fluidState(layout, { services: [service('j1', first)], pulls: rear.map((b) => pull('j1', first, b.id)) }, use, NOW)!;
    expect([state.changed, state.due, state.water]).to.deep.equal([null, '2024-01-10', null]);
    expect(fluidCauseWords(state.cause)).to.include('circuit 1: no change on record');
    expect(fluidState(layout, { services: [], pulls: [] }, use, NOW)).to.equal(null);
  });
  it('is past on its day, watched sixty days before, quiet else', () => {
    expect(['2026-06-01', '2026-06-02', '2026-07-31', '2026-08-01'].map((due) => fluidVerdict(due, NOW))).to.deep.equal([
      'past',
      'watch',
      'watch',
      'holds',
    ]);
  });
});

describe('what was sent out', () => {
  it('is waited for, and is no work that can be done now', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    t.decide(rotor, 'machine');
    const part = t.component(rotor).part!.id;
    const states = (): (string | undefined)[] =>
      ['work', 'fit'].map((k) => deriveJob(t.file, NOW).obligations.find((o) => o.key === `${k}:${rotor}`)?.state);
    expect(states()).to.deep.equal(['open', undefined]);
    t.part(rotor, 'removed');
    t.part(rotor, 'sent', part);
    expect(states()).to.deep.equal(['waiting', 'waiting']);
    t.part(rotor, 'returned', part);
    expect(states()).to.deep.equal(['open', 'open']);
    t.part(rotor, 'machined', part);
    t.part(rotor, 'fitted', part);
    expect(states()).to.deep.equal(['closed', undefined]);
  });
});
