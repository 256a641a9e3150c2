import { expect } from 'chai';
import fc from 'fast-check';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { cutOf } from '../src/judging/cutting.ts';
import type { Judged } from '../src/judging/judge.ts';
import { historyOf } from '../src/views/pastFigures.ts';
import { wearCourse } from '../src/views/wearCourse.ts';
import { rateWords } from '../src/wording/en/history.ts';
import { onStuds } from '../src/judging/turnOnStuds.ts';
import { cutWords, studsWords, takenAsNoneWords } from '../src/wording/en/bench.ts';
import { slotById } from '../src/layout/graph.ts';
import { reduceBore } from '../src/metrology/bore.ts';
import { reduceDrum } from '../src/metrology/drum.ts';
import { splitRunout } from '../src/metrology/rotorRunout.ts';
import { reduceThickness } from '../src/metrology/rotorThickness.ts';
import { shoeArc } from '../src/metrology/shoeArc.ts';
import { shoeArcWords } from '../src/wording/en/bench.ts';
import type { LimitVersion } from '../src/verdict/limits.ts';
import { base, FOUR, LIMIT, JobFixture } from './jobFixture.ts';
import { byline, sentence } from '../src/wording/index.ts';

/** Hundredths around a figure, as a gauge shows them. */
const around = (mid: number, n: number) =>
  fc.array(fc.integer({ min: -40, max: 40 }), { minLength: n, maxLength: n }).map((list) => list.map((h) => (mid + h / 100).toFixed(2)));
const numbers = (list: readonly string[]): number[] => list.map(Number);
const figure = (t: JobFixture, slotId: string, id: string): number | undefined => {
  const history = openHistory(t.file);
  const sets = history.sets.filter((s) => s.slotId === slotId);
  return sets.flatMap((s) => history.reduced(s)).find((r) => r.characteristic === id)?.value;
};
const near = (got: number | undefined, want: number | null | undefined, what: string): void => {
  expect(got, what).to.be.a('number');
  expect(Math.abs((got ?? NaN) - (want ?? NaN)), what).to.be.at.most(1e-9);
};

describe('what the bench shows is what the sums say', () => {
  it('of a rotor’s two rings', () => {
    fc.assert(
      fc.property(around(12, 8), around(12, 8), (outer, inner) => {
        const t = new JobFixture();
        const slot = t.slot('rotor');
        const set = t.gauge(slot, outer, { count: 8 });
        inner.forEach((typed, i) => t.read(set, i * 45, 'rotor_mark', 'inner ring', typed));
        const sums = reduceThickness(numbers(outer), numbers(inner));
        near(figure(t, slot, 'rotor_thickness'), sums.min, 'least');
        near(figure(t, slot, 'rotor_thickness_variation'), Math.max(sums.outer.variation, sums.inner?.variation ?? 0), 'variation');
        near(figure(t, slot, 'rotor_taper'), Math.abs(sums.taper ?? 0), 'taper');
      }),
      { numRuns: 60 },
    );
  });
  it('of a sweep', () => {
    fc.assert(
      fc.property(around(0, 12), (list) => {
        const t = new JobFixture();
        const slot = t.slot('rotor');
        t.gauge(slot, list, { measurement: 'rotor_runout' });
        const angles = list.map((_, i) => i * 30);
        near(figure(t, slot, 'rotor_runout'), splitRunout(angles, numbers(list)).tir, 'TIR');
      }),
      { numRuns: 60 },
    );
  });
  it('of a drum at three depths', () => {
    fc.assert(
      fc.property(around(254, 4), around(254, 4), around(254, 4), (open, middle, closed) => {
        const t = new JobFixture(FOUR, [], 'lorry_drums_single_servo');
        const slot = t.slot('drum');
        t.gauge(slot, [...open, ...middle, ...closed], { measurement: 'drum_diameter', count: 4 });
        const sums = reduceDrum({ open: numbers(open), middle: numbers(middle), closed: numbers(closed) });
        near(figure(t, slot, 'drum_diameter'), sums.max, 'largest');
        const { open: o, middle: m, closed: c } = sums.outOfRound;
        near(figure(t, slot, 'drum_out_of_round'), Math.max(o ?? 0, m ?? 0, c ?? 0), 'out-of-round');
        near(figure(t, slot, 'drum_taper'), Math.abs(sums.taper ?? 0), 'taper');
        near(figure(t, slot, 'drum_barrel'), Math.abs(sums.barrel ?? 0), 'barrel');
      }),
      { numRuns: 60 },
    );
  });
  it('of a bore at three depths and two angles', () => {
    fc.assert(
      fc.property(around(25.6, 6), (list) => {
        const t = new JobFixture();
        const slot = t.layout.slots.find((s) => s.kind === 'master_cylinder')!;
        t.gauge(slot.id, list, { measurement: 'bore_diameter', count: 2, partId: null });
        const n = numbers(list);
        const sums = reduceBore([n.slice(0, 2), n.slice(2, 4), n.slice(4)]);
        near(figure(t, slot.id, 'bore_wear'), sums.max - slot.boreMm!, 'wear');
        near(figure(t, slot.id, 'bore_out_of_round'), Math.max(...sums.outOfRound), 'out-of-round');
        near(figure(t, slot.id, 'bore_taper'), sums.taper, 'taper');
      }),
      { numRuns: 60 },
    );
  });
});

const now = (t: JobFixture) => deriveJob(t.file, base(999).happenedAt);
const DRUM: LimitVersion = {
  ...LIMIT,
  ...{ id: 'dl', seriesId: 'dl', characteristic: 'drum_diameter', axle: null },
  ...{ bound: 'upper', nominal: 279.4, machineTo: 280.9, at: 281.4 },
};

describe('whether it may be cut, in words', () => {
  const drums = (left: string, right: string) => {
    const t = new JobFixture(FOUR, [DRUM], 'lorry_drums_single_servo');
    for (const [corner, figureText] of [
      ['FL', left],
      ['FR', right],
    ] as const)
      t.gauge(t.slot('drum', corner), Array<string>(12).fill(figureText), { measurement: 'drum_diameter', count: 4 });
    const state = now(t);
    const at = (corner: 'FL' | 'FR') => state.components.find((c) => c.slot.id === t.slot('drum', corner))!;
    return cutOf(state.history, at('FL').slot, at('FL').judged, { slot: at('FR').slot, judged: at('FR').judged })!;
  };
  it('a drum that is turned alone would leave the pair too far apart: the other goes along', () => {
    const cut = drums('280.00', '280.60');
    expect(cut.state).to.equal('turnable');
    // 280.60 + 2 × 0.05 on the other side; this one to no less than 0.25 under it.
    expect(cutWords(cut)).to.contain('turn this one to 280.45 and that one to 280.70 mm.');
  });
  it('a pair that stays close says so', () => {
    expect(cutWords(drums('280.00', '280.10'))).to.contain('the pair stays within 0.25 mm');
  });
  it('past discard nothing is cut, and past machine-to it is not cut', () => {
    expect(cutWords(drums('281.50', '280.10'))).to.match(/^It is past discard already/);
    expect(cutWords(drums('281.00', '280.10'))).to.contain('It may be used as it is if the surface allows, not cut.');
  });
  it('a rotor names what was not gauged and is taken as none', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    t.gauge(slot, Array<string>(8).fill('12.00'));
    const state = now(t);
    const c = state.components.find((x) => x.slot.id === slot)!;
    const cut = cutOf(state.history, c.slot, c.judged, null)!;
    expect(cut).to.include({ state: 'machinable' });
    expect(cutWords(cut)).to.contain('come out at 11.90 mm; machine-to is 11.40 mm');
    expect(cut.takenAsNone).to.deep.equal(['score_depth', 'warp_and_wobble']);
    expect(takenAsNoneWords(cut)).to.equal('score depth, warp and wobble');
  });
  it('nothing is said of what is not gauged', () => {
    const t = new JobFixture();
    const state = now(t);
    const c = state.components.find((x) => x.slot.id === t.slot('rotor'))!;
    expect(cutOf(state.history, c.slot, c.judged, null)).to.equal(null);
  });
});

describe('a rotor on its studs and a lining in its drum, in words', () => {
  it('names the hole and what becomes of the wobble', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    const sweep = (turn: number): string[] =>
      Array.from({ length: 12 }, (_, i) => {
        const wave = (size: number, deg: number): number => (size / 2) * Math.cos(((30 * i - deg) * Math.PI) / 180);
        return (wave(0.08, 120 + 72 * turn) + wave(0.04, 100)).toFixed(4);
      });
    for (const turn of [0, 2]) t.gauge(slot, sweep(turn), { measurement: 'rotor_runout', turn, studs: 5 });
    const said = studsWords(onStuds(openHistory(t.file), slot, `part:${slot}`, 5, 0.1));
    expect(said.advice).to.match(/^Put hole \d on stud 1: 0\.12 becomes about 0\.0\d mm of wobble\.$/);
    expect(said.apart).to.equal('Rotor 0.08, hub 0.04 mm of wobble, told apart by two sweeps.');
    expect(said.proof).to.equal('');
  });
  it('says where the lining touches first, and what a drum that has grown wants', () => {
    expect(shoeArcWords(shoeArc({ drum: 254, lining: 254.4, halfArc: 50 }))).to.contain('it must be arced');
    expect(shoeArcWords(shoeArc({ drum: 255, lining: 254.6, halfArc: 50, drumNew: 254 }))).to.contain('each lining wants 0.50 mm more');
    expect(shoeArcWords(shoeArc({ drum: 254, lining: 253.6, halfArc: 50, drumNew: 254 }))).to.not.contain('grown');
  });
});

describe('what was taken so far', () => {
  it('stands in order, of the part or of the place, with what changed beyond what the gauges explain', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    t.gauge(slot, Array<string>(8).fill('12.00'));
    t.gauge(slot, Array<string>(8).fill('12.00'), { phase: 'after_machining' });
    t.gauge(slot, Array<string>(8).fill('11.80'), { phase: 'as_fitted' });
    t.gauge(slot, Array<string>(8).fill('9.00'), { blind: true });
    const history = openHistory(t.file);
    const thickness = historyOf(history, 'rotor_thickness', { partId: `part:${slot}` }, base(999).happenedAt);
    expect(thickness.map((h) => h.what)).to.deep.equal(['as found', 'after machining', 'as fitted']);
    const changes = thickness.map((h) => h.figures.find((f) => f.id === 'rotor_thickness')!.change);
    expect(changes).to.deep.equal(['', 'no change that the gauges can tell', '−0.20']);
    // Another part in the same place: its figures are the place's, not the first part's.
    t.part(slot, 'removed');
    t.part(slot, 'fitted', 'another');
    t.gauge(slot, Array<string>(8).fill('12.70'));
    const later = openHistory(t.file);
    expect(historyOf(later, 'rotor_thickness', { slotId: slot }, base(999).happenedAt)).to.have.length(4);
    expect(historyOf(later, 'rotor_thickness', { partId: 'another' }, base(999).happenedAt)).to.have.length(1);
    expect(slotById(t.layout, slot)?.kind).to.equal('rotor');
  });
  it('a rate is said with what is left at it; without a rate nothing is', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    const counter = (km: number) => {
      t.file.counters = [...t.file.counters, { ...base(t.next()), vehicleId: 'car', typed: `${km}`, km }];
    };
    counter(10000);
    t.gauge(slot, Array<string>(8).fill('12.40'));
    const one = now(t).components.find((c) => c.slot.id === slot)!;
    expect(rateWords(one.judged.find((j) => j.characteristic.id === 'rotor_thickness')!)).to.equal(null);
    counter(20000);
    t.gauge(slot, Array<string>(8).fill('12.00'), { phase: 'at_service' });
    const two = now(t).components.find((c) => c.slot.id === slot)!;
    // 0.4 mm in 10,000 km; 1.0 mm to the discard of 11: 25,000 km.
    expect(rateWords(two.judged.find((j) => j.characteristic.id === 'rotor_thickness')!)).to.match(
      /^Thickness wears by 0\.040 ± 0\.\d+ mm in 1,000 km; about 25,000 km left\.$/,
    );
    const thickness = (): Judged =>
      now(t)
        .components.find((c) => c.slot.id === slot)!
        .judged.find((j) => j.characteristic.id === 'rotor_thickness')!;
    const course = wearCourse(thickness())!;
    expect(course.points).to.deep.equal([
      { run: 10000, value: 12.4, counts: true },
      { run: 20000, value: 12, counts: true },
    ]);
    // A service comes before the limit: the course ends there.
    expect(course.foretold![1].run).to.be.closeTo(20000 + thickness().toNextService, 1e-6);
    expect(course.foretold![1].value).to.be.closeTo(12 - 0.04 * (thickness().toNextService / 1000), 1e-6);
    // What was cut off is not wear: the points before it no longer count, and nothing is foretold.
    counter(20100);
    t.gauge(slot, Array<string>(8).fill('11.60'), { phase: 'after_machining' });
    const cut = wearCourse(thickness())!;
    expect(cut.points.map((p) => p.counts)).to.deep.equal([false, false, true]);
    expect(cut.foretold).to.equal(null);
    expect(wearCourse({ ...thickness(), wearPoints: thickness().wearPoints.slice(0, 1) })).to.equal(null);
  });
});

describe('a safety figure near its limit', () => {
  const second = (t: JobFixture) => now(t).obligations.find((o) => o.key.startsWith('second:'));
  it('is owed a second measure by another person, who does not see the first', () => {
    const t = new JobFixture();
    const slot = t.slot('hub');
    t.gauge(slot, ['0.04'], { measurement: 'hub_end_float' });
    expect(second(t)).to.include({ state: 'open', stage: 'gauge', acceptBy: 'lead' });
    // Seen by the same eyes it is no second measure.
    t.gauge(slot, ['0.04'], { measurement: 'hub_end_float', blind: true });
    expect(second(t)?.state).to.equal('open');
    const set = t.gauge(slot, ['0.04'], { measurement: 'hub_end_float', blind: true, authorId: 'bob' });
    expect(second(t)).to.include({ state: 'closed', closedBy: set.id });
  });
  it('who hands in the first for somebody else has seen it, and confirms it no more', () => {
    const t = new JobFixture();
    const slot = t.slot('hub');
    const first = t.gauge(slot, ['0.04'], { measurement: 'hub_end_float' });
    t.file.handIns = [{ ...base(1, { authorId: 'lea' }), eventId: first.id }];
    t.gauge(slot, ['0.04'], { measurement: 'hub_end_float', blind: true, authorId: 'lea' });
    expect(second(t)?.state).to.equal('open');
    // Nor what they hand in for a third.
    const other = t.gauge(slot, ['0.04'], { measurement: 'hub_end_float', blind: true, authorId: 'cas' });
    t.file.handIns = [...t.file.handIns, { ...base(1, { authorId: 'lea' }), eventId: other.id }];
    expect(second(t)?.state).to.equal('open');
    const set = t.gauge(slot, ['0.04'], { measurement: 'hub_end_float', blind: true, authorId: 'bob' });
    expect(second(t)).to.include({ state: 'closed', closedBy: set.id });
    const people = ['ann', 'lea'].map((id) => ({ id, name: `${id} Person`, initials: '', role: 'lead' as const, active: true }));
    expect(byline({ people, handIns: t.file.handIns }, first)).to.equal('ann Person, handed in by lea Person');
    expect(byline({ people, handIns: t.file.handIns }, set)).to.equal('unknown');
  });
  it('an acceptance holds for the figure that it was given for', () => {
    const t = new JobFixture();
    const slot = t.slot('hub');
    t.gauge(slot, ['0.04'], { measurement: 'hub_end_float' });
    const before = second(t)!;
    t.gauge(slot, ['0.05'], { measurement: 'hub_end_float' });
    expect(second(t)?.rests).to.not.equal(before.rests);
  });
  it('far from the limit, or going to be replaced, nothing is owed', () => {
    const t = new JobFixture();
    const slot = t.slot('hub');
    t.gauge(slot, ['0.01'], { measurement: 'hub_end_float' });
    expect(second(t)).to.equal(undefined);
    t.gauge(slot, ['0.04'], { measurement: 'hub_end_float' });
    expect(second(t)?.state).to.equal('open');
    t.decide(slot, 'replace');
    expect(second(t)).to.equal(undefined);
  });
});

describe('readings that are not as they should be', () => {
  it('in several units within one set come to the same figures', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    t.gauge(slot, ['12.08', '0.4757"', '1.207 cm', '12,08', '475 thou', '12.07', '12080 um', '12.08']);
    const least = Math.min(12.08, 0.4757 * 25.4, 12.07, 0.475 * 25.4);
    near(figure(t, slot, 'rotor_thickness'), least, 'least');
    const j = now(t)
      .components.find((c) => c.slot.id === slot)!
      .judged.find((x) => x.characteristic.id === 'rotor_thickness')!;
    expect(j.verdict).to.equal('holds');
    // The coarse one governs: a thou is read to 0.0254 mm, and its uncertainty says so.
    expect(j.reduced.governing.map((r) => r.typed)).to.deep.equal(['475 thou']);
    expect(j.reduced.expanded).to.be.greaterThan(2 * (0.0254 / Math.sqrt(12)));
  });
  it('too few, or all on one side: what can be said already is said, and why it is not enough', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    const set = t.gauge(slot, [], { measurement: 'rotor_runout', count: 12 });
    const judged = () =>
      now(t)
        .components.find((c) => c.slot.id === slot)!
        .judged.find((x) => x.characteristic.id === 'rotor_runout');
    for (const [i, angle] of [0, 30, 60, 90, 120].entries()) t.read(set, angle, 'hub_stud', null, `0.0${i}`);
    expect(judged()).to.include({ enough: false, verdict: 'not_gauged' });
    near(judged()?.reduced.value, 0.04, 'range so far');
    expect(judged()?.reduced.notYet).to.equal(undefined);
    t.read(set, 150, 'hub_stud', null, '0.05');
    expect(judged()?.enough).to.equal(false);
    expect(sentence(judged()!)).to.match(/90°/);
    for (const angle of [210, 270, 330]) t.read(set, angle, 'hub_stud', null, '0.02');
    expect(judged()).to.include({ enough: true, verdict: 'holds' });
  });
  it('an angle that is taken twice counts once, as it was read last', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    const set = t.gauge(slot, Array<string>(8).fill('12.00'));
    t.read(set, 45, 'rotor_mark', 'outer ring', '11.90');
    near(figure(t, slot, 'rotor_thickness'), 11.9, 'the newest');
    t.read(set, 45, 'rotor_mark', 'outer ring', '12.00');
    near(figure(t, slot, 'rotor_thickness_variation'), 0, 'put right');
    expect(() => splitRunout([0, 60, 60, 120, 180, 240], [0, 1, 2, 3, 2, 1])).to.throw();
  });
});
