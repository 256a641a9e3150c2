import { expect } from 'chai';
import fc from 'fast-check';
import { CHARACTERISTICS } from '../src/catalogue/characteristics.ts';
import type { MeasurementId } from '../src/catalogue/measurements.ts';
import { MEASUREMENT_IDS, MEASUREMENTS, measurementsAt } from '../src/catalogue/measurements.ts';
import { plannedPositions } from '../src/catalogue/positions.ts';
import { isPossible, possibleAt } from '../src/catalogue/possible.ts';
import { readFigure } from '../src/catalogue/typedFigure.ts';
import { fileAsOf } from '../src/history/asOf.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { lateEvents } from '../src/history/late.ts';
import { deriveJob } from '../src/job/job.ts';
import { culpritOf, tryJob } from '../src/job/stuck.ts';
import { EVENT_LISTS, familyOf } from '../src/ledger/families.ts';
import type { Reading } from '../src/ledger/families/readings.ts';
import { PLAIN_SET, type ReadingSet } from '../src/ledger/families/sets.ts';
import { type JobRecords, NO_RECORDS } from '../src/ledger/jobRecords.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { readTold } from '../src/quantity/told.ts';
import { decide, type Verdict } from '../src/verdict/decide.ts';
import { worst } from '../src/verdict/severity.ts';
import { wear } from '../src/verdict/wear.ts';
import { workingLayout } from './layouts.ts';
import { base, fileOn, FOUR, NOW, JobFixture } from './jobFixture.ts';

describe('a figure that cannot be', () => {
  it('every measurement says of each of its places what can be, and what is plausible there can be', () => {
    for (const id of MEASUREMENT_IDS)
      for (const p of plannedPositions(id, 8, true)) {
        const [low, high] = possibleAt(id, p.place);
        expect(low, `${id} ${p.name}`).to.be.below(high);
        expect(p.plausible[0], `${id} ${p.name}`).to.be.at.least(Math.min(low, 0));
        expect(p.plausible[1], `${id} ${p.name}`).to.be.at.most(high);
      }
  });
  it('is refused with a sentence that says why; what is merely far off is kept', () => {
    const read = (id: MeasurementId, place: string | null, typed: string) => readFigure(id, place, typed, MEASUREMENTS[id].unit, null);
    expect(() => read('hub_face_runout', 'swept radius', '-150')).to.throw(
      DomainError,
      /swept radius|radius at which the pads run.*more than nothing/i,
    );
    expect(() => read('hub_face_runout', 'dial radius', '0')).to.throw(DomainError, /more than nothing/);
    expect(() => read('rotor_thickness', 'outer ring', '0')).to.throw(DomainError, /more than nothing/);
    expect(() => read('rotor_thickness', 'outer ring', '12080')).to.throw(DomainError, /never more than 150 mm/);
    expect(() => read('pad_lining', 'inner: leading top', '-0.1')).to.throw(DomainError, /never below nothing/);
    expect(() => read('cam_angle', 'at contact', '190')).to.throw(DomainError, /never more than 180/);
    expect(read('rotor_runout', null, '-0.03').canonical).to.equal(-0.03);
    expect(read('drum_diameter', 'open', '203.6').canonical).to.equal(203.6);
    expect(read('servo_push_rod', 'free play', '-1').canonical).to.equal(-1);
  });
  it('counters, torques and what was bled have their range as well', () => {
    expect(() => readTold('counter', '-1', 'km')).to.throw(DomainError, /less than nothing/);
    expect(() => readTold('torque', '0', 'Nm')).to.throw(DomainError, /more than nothing/);
    expect(() => readTold('torque', '9000', 'Nm')).to.throw(DomainError, /slip/);
    for (const [what, typed] of [
      ['spring_wire', '30'],
      ['spring_free', '0.2'],
      ['spring_free', '900'],
    ] as const)
      expect(() => readTold(what, typed, 'mm'), `${what} ${typed}`).to.throw(DomainError);
    expect(() => readTold('turn_further', '900', 'deg')).to.throw(DomainError, /slip/);
    for (const typed of ['20', '2300', 'hot', '-5']) expect(() => readTold('boiling', typed, 'degC'), typed).to.throw(DomainError);
    expect(readTold('boiling', '446 °F', 'degC').canonical).to.be.closeTo(230, 0.01);
    for (const typed of ['-1', '21', 'wet', '3.5 %%', '%', '3 mm'])
      expect(() => readTold('water', typed, '1'), typed).to.throw(DomainError);
    for (const typed of ['2,5', '2.5 %', '2.5%']) expect(readTold('water', typed, '1').canonical, typed).to.equal(2.5);
    for (const typed of ['0', '241']) expect(() => readTold('months', typed, '1'), typed).to.throw(DomainError);
    expect(() => readTold('bled', '0', 'mL')).to.throw(DomainError, /more than nothing/);
    expect(readTold('bled', '40', 'mL').canonical).to.equal(40);
  });
  it('one that is on record from before is used for nothing, is asked to be taken back, and the job stands', () => {
    const t = new JobFixture();
    const hub = t.slot('hub');
    const set = t.gauge(hub, ['60', '120', ...Array<string>(8).fill('0.01')], { measurement: 'hub_face_runout', count: 8 });
    const bad = t.read(set, null, 'hub_stud', 'swept radius', '-150');
    const state = deriveJob(t.file, NOW);
    expect(state.obligations.find((o) => o.key === `impossible:${bad.id}`)?.state).to.equal('open');
    const face = state.components.find((c) => c.slot.id === hub)!.judged.find((j) => j.characteristic.id === 'hub_face_runout');
    expect(face?.reduced.value, 'the radius before it counts').to.be.closeTo(0, 1e-9);
    t.takeBack(bad.id);
    expect(deriveJob(t.file, NOW).obligations.some((o) => o.key.startsWith('impossible:'))).to.equal(false);
  });
});

describe('sums that are given no figure', () => {
  it('decide never holds on what is not finite', () => {
    const odd = [NaN, Infinity, -Infinity];
    for (const value of odd)
      for (const bound of [
        { kind: 'lower', at: 10 },
        { kind: 'upper', at: 10 },
        { kind: 'range', low: 1, high: 2 },
      ] as const) {
        expect(decide(bound, value, 0.1)).to.deep.include({ verdict: 'cant_tell', side: null });
        for (const u of [NaN, Infinity]) expect(decide(bound, 10, u).verdict).to.equal('cant_tell');
      }
    for (const at of odd) expect(() => decide({ kind: 'lower', at }, 5, 0.1)).to.throw(DomainError, /contradicts itself/);
    expect(() => decide({ kind: 'range', low: 1, high: NaN }, 1, 0.1)).to.throw(DomainError);
  });
  it('the worst of something that is no verdict is not the mildest', () => {
    expect(() => worst(['holds', 'splendid' as Verdict])).to.throw(/splendid is no verdict/);
  });
  it('wear refuses what is no figure, takes the order of time, and makes no rate of equal distances', () => {
    const p = (run: number, value: number, at: string | null = null) => ({ run, value, u: 0.01, at });
    for (const bad of [NaN, Infinity, -1]) {
      expect(() => wear([p(bad, 12), p(1000, 11)], 'falls', 10, 1000)).to.throw(DomainError, /no rate/);
      expect(() => wear([p(0, 12), p(1000, 11)], 'falls', 10, bad)).to.throw(DomainError, /no rate/);
    }
    expect(() => wear([p(0, NaN), p(1000, 11)], 'falls', 10, 1000)).to.throw(DomainError, /no rate/);
    // The last binary digit of a distance is no distance.
    expect(() => wear([p(100000.1, 12), p(100000.1 + 1e-10, 11.98)], 'falls', 10, 1000)).to.throw(DomainError, /same distance/);
    const day = (d: number): string => `2026-01-0${d}T00:00:00.000Z`;
    const forward = wear([p(0, 12, day(1)), p(5000, 11.5, day(2)), p(9000, 11.2, day(3))], 'falls', 10, 1000);
    expect(wear([p(9000, 11.2, day(3)), p(0, 12, day(1)), p(5000, 11.5, day(2))], 'falls', 10, 1000)).to.deep.equal(forward);
    expect(() => wear([p(9000, 12, day(1)), p(5000, 11.5, day(2))], 'falls', 10, 1000)).to.throw(DomainError, /stood lower/);
  });
});

/** Figures as somebody in a hurry, or with malice, might type them. */
const hostileText = fc.oneof(
  fc.constantFrom(
    '0',
    '-0',
    '0.0',
    '-150',
    '1e9',
    '999999',
    '203.6',
    '2286',
    '0.001',
    '-0.03',
    '1/2 in',
    '38 × 312',
    '180 x 0.001',
    '0 × 5',
  ),
  fc.double({ min: -2000, max: 2000, noNaN: true }).map((v) => v.toFixed(3)),
  fc.double({ min: 0, max: 400, noNaN: true }).map((v) => v.toFixed(2)),
);

describe('whatever the book takes', () => {
  it('a job is derived from it, and no verdict has a figure that is none', () => {
    const step = fc.record({
      slot: fc.nat(),
      measurement: fc.nat(),
      typed: fc.array(hostileText, { minLength: 1, maxLength: 12 }),
      phase: fc.constantFrom('as_found', 'after_machining', 'as_fitted'),
      surface: fc.constantFrom('clean', 'dirty'),
      cold: fc.boolean(),
      averages: fc.boolean(),
      blind: fc.boolean(),
      more: fc.boolean(),
      shuffle: fc.nat(),
    } as const);
    fc.assert(
      fc.property(workingLayout, fc.array(step, { minLength: 1, maxLength: 10 }), (layout, steps) => {
        const file: { -readonly [K in keyof JobRecords]: JobRecords[K] } = { ...fileOn(layout) };
        let minute = 1000;
        for (const s of steps) {
          const slots = layout.slots.filter((x) => measurementsAt(x).length > 0);
          const slot = slots[s.slot % slots.length];
          const list = slot ? measurementsAt(slot) : [];
          const m = list[s.measurement % Math.max(1, list.length)];
          if (!slot || !m) continue;
          const set: ReadingSet = {
            ...base((minute += 1)),
            ...{ slotId: slot.id, partId: m.subject === 'part' || m.subject === 'fit' ? `part:${slot.id}` : null, measurement: m.id },
            ...{ phase: s.phase, surface: s.surface, cold: s.cold, averages: s.averages, count: 4, ...PLAIN_SET, blind: s.blind },
            ...(s.blind && { authorId: 'ben' }),
          };
          const places = plannedPositions(m.id, 4, s.more);
          const readings = s.typed.flatMap((typed, i): Reading[] => {
            const at = places[(i + s.shuffle) % places.length]!;
            try {
              const q = readFigure(m.id, at.place, typed, m.unit, null);
              const { canonical, resolution, fraction } = q;
              return [
                {
                  ...base((minute += 1)),
                  ...{ setId: set.id, frame: at.frame, angleDeg: at.angleDeg, place: at.place, pass: 1, gaugeVersionId: null },
                  ...{ typed, unit: m.unit, canonical, resolution, fraction },
                },
              ];
            } catch (error) {
              expect(error).to.be.instanceOf(DomainError);
              return [];
            }
          });
          file.sets = [...file.sets, set];
          file.readings = [...file.readings, ...readings];
        }
        const state = deriveJob(file, NOW);
        for (const j of state.components.flatMap((c) => c.judged)) {
          const figures = [j.reduced.value, j.reduced.expanded, j.toleranceLeft ?? 0, j.wear?.remaining ?? 0];
          for (const f of figures) {
            expect(Number.isFinite(f), `${j.characteristic.id} ${f}`).to.equal(true);
            expect(Object.is(f, -0), `${j.characteristic.id} is no minus nothing`).to.equal(false);
          }
        }
      }),
      { numRuns: 80 },
    );
  });
  it('every characteristic is taken from a measurement whose figures have a range', () => {
    for (const c of CHARACTERISTICS) expect(isPossible(c.takenFrom, null, NaN), c.id).to.equal(false);
  });
});

describe('a job whose records cannot be derived', () => {
  it('says so, and names the record without which it can be', () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), Array<string>(8).fill('12.40'));
    expect(tryJob(t.file, NOW).ok).to.equal(true);
    expect(culpritOf(t.file, NOW)).to.equal(null);
    const set = t.gauge(t.slot('hub'), ['0.04'], { measurement: 'hub_end_float' });
    // A set of a measurement that this version does not know: what a newer book might hold.
    t.file.sets = t.file.sets.map((s) => (s.id === set.id ? { ...s, measurement: 'hub_colour' as MeasurementId } : s));
    const tried = tryJob(t.file, NOW);
    expect(tried.ok).to.equal(false);
    expect(!tried.ok && tried.why.length).to.be.greaterThan(10);
    expect([set.id, t.file.readings.at(-1)!.id]).to.include(culpritOf(t.file, NOW)?.id);
  });
});

describe('every family of events', () => {
  const LISTS = EVENT_LISTS;
  const RELEASED = '2026-03-01T00:00:00.000Z';
  const event = (over: object) => ({ ...base(0), happenedAt: '2026-02-01T00:00:00.000Z', recordedAt: '2026-02-01T00:00:00.000Z', ...over });
  const records = (over: Partial<JobRecords>): JobRecords => ({
    ...new JobFixture().file,
    ...NO_RECORDS,
    partEvents: [],
    parts: [],
    limits: [],
    ...over,
  });

  it('is known: no list of events of a job’s file is forgotten', () => {
    const others = [
      'layoutRevisions',
      'parts',
      'priors',
      'limits',
      'gauges',
      'callBacks',
      'gaugeChecks',
      'torqueChecks',
      'articles',
      'rates',
      'houseRules',
      'shopCards',
      'comebackCounts',
      'cardHands',
      'offers',
      'lots',
      'people',
      'pastJobs',
    ];
    expect([...LISTS].sort()).to.deep.equal(
      Object.keys(NO_RECORDS)
        .filter((k) => !others.includes(k))
        .sort(),
    );
  });
  it('that came in late is told to a lead until an amendment names it, and is no part of what was handed back', () => {
    for (const list of LISTS) {
      const late = event({ recordedAt: '2026-03-02T00:00:00.000Z' });
      const f = records({ [list]: [late], release: { releasedAt: RELEASED } as JobRecords['release'] });
      const told = lateEvents(f);
      if (familyOf(list).late === 'afterwards') {
        expect(told, list).to.deep.equal([]);
        continue;
      }
      expect(
        told.map((l) => [l.what, l.answered]),
        list,
      ).to.deep.equal([[familyOf(list).label, false]]);
      const amended = { ...f, amendments: [{ ...event({}), corrects: late.id, words: 'x', reason: 'x' }] };
      expect(lateEvents(amended)[0]?.answered, list).to.equal(true);
      expect(fileAsOf(f, RELEASED)[list], list).to.deep.equal([]);
    }
  });
  it('that happened later is not in a job as it was, one from before is', () => {
    for (const list of LISTS.filter((l) => familyOf(l).late === 'late')) {
      const [before, after] = [event({}), event({ happenedAt: '2026-04-01T00:00:00.000Z', recordedAt: '2026-04-01T00:00:00.000Z' })];
      expect(fileAsOf(records({ [list]: [before, after] }), RELEASED)[list] as readonly object[], list).to.deep.equal([before]);
    }
  });
  it('told in a job that is void counts for nothing; that a part was found stays', () => {
    for (const list of LISTS) {
      const told = event({ jobId: 'void', partId: 'p', otherId: 'q', kind: 'fitted', slotId: null });
      const void_ = { ...event({ jobId: 'void' }), reason: 'booked twice' };
      const f = records({ voids: [void_], ...(list === 'voids' ? {} : { [list]: [told] }) });
      expect(openHistory(f).retracted.has(told.id), list).to.equal(familyOf(list).dropsWhenVoid(told));
    }
    const found = {
      ...event({ jobId: 'void' }),
      partId: 'p',
      kind: 'found',
      slotId: 's',
      note: '',
      temporary: false,
      until: null,
      lot: null,
      lineOn: false,
    } as const;
    const f = records({ voids: [{ ...event({ jobId: 'void' }), reason: 'x' }], partEvents: [found] });
    expect(openHistory(f).retracted.has(found.id)).to.equal(false);
  });
  it('articles joined in a job that is void are two again', () => {
    const t = new JobFixture(FOUR);
    const [a, b] = [t.slot('rotor', 'FL'), t.slot('rotor', 'FR')].map((s) => `part:${s}`);
    t.file.partCorrections = [{ ...base(50), jobId: 'void', kind: 'join', partId: a!, otherId: b!, since: null, reason: 'one' }];
    expect(openHistory(t.file).records.partEvents.some((e) => e.partId === a)).to.equal(false);
    t.file.voids = [{ ...base(60), jobId: 'void', reason: 'booked twice' }];
    expect(openHistory(t.file).records.partEvents.some((e) => e.partId === a)).to.equal(true);
  });
});
