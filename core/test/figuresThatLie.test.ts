import { expect } from 'chai';
import fc from 'fast-check';
import { type CharacteristicId, CHARACTERISTICS, checkLimitOf } from '../src/catalogue/characteristics.ts';
import type { MeasurementId } from '../src/catalogue/measurements.ts';
import { MEASUREMENT_IDS, MEASUREMENTS } from '../src/catalogue/measurements.ts';
import { countsFor, plannedPositions } from '../src/catalogue/positions.ts';
import { isPossible } from '../src/catalogue/possible.ts';
import { programmeFor } from '../src/catalogue/programme.ts';
import { readFigure } from '../src/catalogue/typedFigure.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { adjusterFacts } from '../src/judging/adjusterTravel.ts';
import { consequencesOf } from '../src/stages/gauge/consequences.ts';
import { cutOf } from '../src/judging/cutting.ts';
import { decisiveNextStep } from '../src/judging/decisiveNextStep.ts';
import { GENERIC_LIMITS } from '../src/judging/genericLimits.ts';
import { honing } from '../src/judging/honing.ts';
import { cutWords, honingWords, nextStepWords } from '../src/wording/en/bench.ts';
import type { Judged } from '../src/judging/judge.ts';
import { historyOf } from '../src/views/pastFigures.ts';
import { sealZone } from '../src/judging/sealZone.ts';
import { notesOf, contradictionWords, sentence } from '../src/wording/en/verdicts.ts';
import { counterpart, type Slot, slotById, unitMates } from '../src/layout/graph.ts';
import { buildLayout } from '../src/layout/templates.ts';
import type { Reading } from '../src/ledger/families/readings.ts';
import type { Phase } from '../src/ledger/families/sets.ts';
import type { GaugeVersion } from '../src/ledger/gaugeRecords.ts';
import { reduceSet } from '../src/metrology/reduce.ts';
import { takenIn } from '../src/metrology/takenIn.ts';
import { fixed } from '../src/quantity/display.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { gaugedAt, whyNotGauged } from '../src/readiness/mayGauge.ts';
import { optionsOf } from '../src/readiness/options.ts';
import { decide } from '../src/verdict/decide.ts';
import type { LimitVersion } from '../src/verdict/limits.ts';
import { base, FOUR, id, LIMIT, NOW, JobFixture } from './jobFixture.ts';

const DRUM: LimitVersion = {
  ...LIMIT,
  ...{
    id: 'drum',
    seriesId: 'drum',
    characteristic: 'drum_diameter',
    bound: 'upper',
    nominal: 228.6,
    machineTo: 230.1,
    at: 230.6,
    axle: null,
  },
};
const state = (t: JobFixture) => deriveJob(t.file, NOW);
const judgedOf = (t: JobFixture, slotId: string, what: CharacteristicId): Judged | undefined =>
  state(t)
    .components.find((c) => c.slot.id === slotId)
    ?.judged.find((j) => j.characteristic.id === what);
const eight = (typed: string): string[] => Array<string>(8).fill(typed);
const drumSet = (open: string, middle: string, closed: string): string[] => [open, middle, closed].flatMap((d) => Array<string>(4).fill(d));
/** A vehicle with drums all round, of which nothing is in the limit book but what is given. */
const drums = (limits: readonly LimitVersion[] = [DRUM]): JobFixture => new JobFixture(FOUR, limits, 'drums_single');
/** Something said of a place that the layout had not. */
function say(t: JobFixture, slotId: string, over: Partial<Slot>): void {
  const slots = t.file.layout.slots.map((s) => (s.id === slotId ? { ...s, ...over } : s));
  t.file.layout = { ...t.file.layout, slots };
}
/** A place at which a measurement is taken, on a vehicle where nothing else was done. */
function placeFor(measurement: MeasurementId): { t: JobFixture; slotId: string } {
  const t = new JobFixture(FOUR, []);
  const m = MEASUREMENTS[measurement];
  const slotId = t.slot('rotor', 'FL');
  say(t, slotId, { kind: m.on[0]!, style: m.onStyle ?? null, boreMm: 25.4 });
  return { t, slotId };
}
const gauge = (tag: string, kind: GaugeVersion['kind'], accuracy: number, resolution: number, shortSpan = accuracy): GaugeVersion => ({
  ...{ id: tag, gaugeId: tag, tag, name: tag, kind, resolution, accuracy, shortSpan },
  ...{ rangeLow: null, rangeHigh: null, calibrationDue: null, settingPiece: null, checkFirst: false },
  ...{ enteredBy: 'ann', enteredAt: base(1).happenedAt },
});
/** Says with which gauges the readings of a set were taken: by their place. */
function with_(t: JobFixture, setId: string, of: (r: Reading) => string | null): void {
  t.file.readings = t.file.readings.map((r) => (r.setId === setId ? { ...r, gaugeVersionId: of(r) } : r));
}

/** Figures of any measurement, in the order of its positions: plausible ones, to a hundredth. */
const anyFigures = fc.constantFrom(...MEASUREMENT_IDS).chain((measurement) => {
  const count = countsFor(measurement).at(-1) ?? 1;
  const places = plannedPositions(measurement, count);
  return fc.record({
    measurement: fc.constant(measurement),
    count: fc.constant(count),
    typed: fc.tuple(
      ...places.map((p) =>
        fc
          .double({ min: Math.max(p.plausible[0], p.plausible[0] < 0 ? -1 : 0.5), max: Math.min(p.plausible[1], 400), noNaN: true })
          .map((v) => v.toFixed(2)),
      ),
    ),
  });
});
/** What a set of readings reduces to. */
const reduced = (t: JobFixture, setId: string) => {
  const history = openHistory(t.file);
  const set = history.sets.find((s) => s.id === setId)!;
  return reduceSet(set, history.taken(set), { nominal: 25.4 }).map(({ governing: _g, ...r }) => r);
};

describe('of every characteristic', () => {
  it('one figure typed wrong and typed again, or taken back, leaves nothing of itself', () => {
    fc.assert(
      fc.property(anyFigures, fc.nat(), fc.boolean(), fc.boolean(), ({ measurement, count, typed }, pick, back, averages) => {
        const clean = placeFor(measurement);
        const good = clean.t.gauge(clean.slotId, typed, { measurement, count, averages });
        const slip = placeFor(measurement);
        const at = pick % typed.length;
        const set = slip.t.gauge(slip.slotId, [...typed.slice(0, at), ''].slice(0, at), { measurement, count, averages });
        const places = plannedPositions(measurement, count);
        const read = (i: number, text: string) => {
          slip.t.hold(places[i]!.place);
          return slip.t.read(set, places[i]!.angleDeg, places[i]!.frame, places[i]!.place, text);
        };
        // A slip of the decimal point, kept at first: to the whole millimetre, a hundred times too much or too little.
        const wrong = read(at, String(Math.round(Number(typed[at]) * 0.5) + 1));
        if (back) slip.t.takeBack(wrong.id);
        const again = read(at, typed[at]!);
        if (!back) slip.t.file.readings = slip.t.file.readings.map((r) => (r.id === again.id ? { ...r, corrects: wrong.id } : r));
        for (let i = at + 1; i < typed.length; i += 1) read(i, typed[i]!);
        expect(reduced(slip.t, set.id)).to.deep.equal(reduced(clean.t, good.id));
      }),
      { numRuns: 250 },
    );
  });
  it('a part measured in another scale is judged alike: its lengths scale, its shares do not', () => {
    const scaling = (op: string): boolean => !['over_nominal', 'rise', 'between', 'sweep_scaled'].includes(op);
    fc.assert(
      fc.property(anyFigures, ({ measurement, count, typed }) => {
        const places = plannedPositions(measurement, count);
        fc.pre(typed.every((x, i) => isPossible(measurement, places[i]!.place, 2 * Number(x))));
        const [one, two] = [placeFor(measurement), placeFor(measurement)];
        const a = one.t.gauge(one.slotId, typed, { measurement, count });
        const b = two.t.gauge(
          two.slotId,
          typed.map((x) => fixed(Number(x) * 2, 2)),
          { measurement, count },
        );
        const twice = new Map(reduced(two.t, b.id).map((r) => [r.characteristic, r]));
        for (const r of reduced(one.t, a.id)) {
          const c = CHARACTERISTICS.find((x) => x.id === r.characteristic)!;
          if (scaling(c.reduction.op)) expect(twice.get(r.characteristic)?.value ?? NaN, c.id).to.be.closeTo(2 * r.value, 1e-6);
        }
      }),
      { numRuns: 150 },
    );
  });
  it('the mirrored part has the same verdict, and says which way it goes', () => {
    const figure = fc.integer({ min: 22850, max: 22900 }).map((n) => (n / 100).toFixed(2));
    fc.assert(
      fc.property(figure, figure, figure, (open, middle, closed) => {
        const [a, b] = [drums(), drums()];
        a.gauge(a.slot('drum'), drumSet(open, middle, closed), { measurement: 'drum_diameter', count: 4 });
        b.gauge(b.slot('drum'), drumSet(closed, middle, open), { measurement: 'drum_diameter', count: 4 });
        const [there, back] = [judgedOf(a, a.slot('drum'), 'drum_taper'), judgedOf(b, b.slot('drum'), 'drum_taper')];
        expect(there?.verdict).to.equal(back?.verdict);
        expect(there?.reduced.value).to.be.closeTo(Math.abs(Number(open) - Number(closed)), 1e-9);
        expect(there?.reduced.signed).to.be.closeTo(-(back?.reduced.signed ?? NaN), 1e-9);
        if (open !== closed) expect(there?.reduced.sense).to.not.equal(back?.reduced.sense);
      }),
      { numRuns: 60 },
    );
    // A dial that is read the other way round shows the same runout.
    const sweep = ['0.00', '0.01', '0.04', '0.09', '0.13', '0.15', '0.15', '0.12', '0.08', '0.05', '0.02', '0.00'];
    for (const [m, kind] of [
      ['rotor_runout', 'rotor'],
      ['drum_runout', 'drum'],
    ] as const) {
      const [t, u] = [drums([]), drums([])];
      for (const x of [t, u]) say(x, x.slot('drum'), { kind });
      t.gauge(t.slot('drum'), sweep, { measurement: m, count: 12 });
      u.gauge(
        u.slot('drum'),
        sweep.map((v) => `-${v}`),
        { measurement: m, count: 12 },
      );
      expect(judgedOf(u, u.slot('drum'), m)?.reduced.value).to.be.closeTo(judgedOf(t, t.slot('drum'), m)?.reduced.value ?? NaN, 1e-9);
    }
  });
  it('taper of a drum the other way round is past just as well', () => {
    const t = drums();
    t.gauge(t.slot('drum'), drumSet('228.60', '228.80', '229.00'), { measurement: 'drum_diameter', count: 4 });
    const j = judgedOf(t, t.slot('drum'), 'drum_taper');
    expect(j?.verdict).to.equal('past');
    expect(notesOf(j!)).to.include('It is wider at the closed end.');
  });
  it('a figure that contradicts what the part was when new is nobody’s verdict until it was measured again or that is changed', () => {
    const near = CHARACTERISTICS.filter((c) => c.nearNew !== null);
    expect(near.length).to.be.greaterThan(6);
    for (const c of near) {
      const { t, slotId } = placeFor(c.takenFrom);
      const fresh = c.id === 'bore_wear' || c.id === 'piston_diameter' ? 25.4 : 20;
      const nominal = c.id === 'bore_wear' ? 0 : fresh;
      const far = c.bound === 'upper' ? fresh * (1 + 3 * c.nearNew![0]) - 0.2 : fresh * (1 + c.nearNew![1]) + 2;
      const limit = { ...LIMIT, id: c.id, seriesId: c.id, characteristic: c.id, bound: c.bound, nominal, machineTo: null, axle: null };
      t.file.limits = [{ ...limit, at: c.bound === 'upper' ? nominal + 0.5 : nominal * 0.5 }];
      const typed = plannedPositions(c.takenFrom, 4).map(() => far.toFixed(2));
      t.gauge(slotId, typed, {
        measurement: c.takenFrom,
        count: 4,
        partId: MEASUREMENTS[c.takenFrom].subject === 'part' ? `part:${slotId}` : null,
      });
      const j = judgedOf(t, slotId, c.id);
      expect([j?.verdict, j?.side, j?.asksSecond], c.id).to.deep.equal(['cant_tell', null, true]);
      expect(sentence(j!), c.id).to.match(/is this the (part|figure)/);
      t.gauge(slotId, typed, {
        ...{ measurement: c.takenFrom, count: 4, blind: true, authorId: 'ben' },
        partId: MEASUREMENTS[c.takenFrom].subject === 'part' ? `part:${slotId}` : null,
      });
      const after = judgedOf(t, slotId, c.id);
      expect(after?.contradicts, `${c.id}, measured again blind`).to.equal(null);
    }
  });
});

describe('a figure of another part', () => {
  it('in a drum of 228.6 a 203.6 cannot be told, and with the nominal changed it is judged', () => {
    const t = drums();
    const drum = t.slot('drum');
    t.gauge(drum, drumSet('203.60', '203.60', '203.60'), { measurement: 'drum_diameter', count: 4 });
    expect(judgedOf(t, drum, 'drum_diameter')?.verdict).to.equal('cant_tell');
    expect(state(t).obligations.find((o) => o.key === `second:${drum}:drum_diameter`)?.acceptBy ?? null).to.equal(null);
    t.file.limits = [...t.file.limits, { ...DRUM, id: 'drum2', nominal: 203.2, machineTo: 204.7, at: 205.2 }];
    expect(judgedOf(t, drum, 'drum_diameter')?.verdict).to.equal('holds');
  });
  it('25.2 mm between left and right cannot be told, where nobody knows what it was when new', () => {
    const t = drums([{ ...DRUM, nominal: null }]);
    t.gauge(t.slot('drum', 'FL'), drumSet('203.60', '203.60', '203.60'), { measurement: 'drum_diameter', count: 4 });
    t.gauge(t.slot('drum', 'FR'), drumSet('228.80', '228.80', '228.80'), { measurement: 'drum_diameter', count: 4 });
    for (const c of ['FL', 'FR'] as const) {
      const j = judgedOf(t, t.slot('drum', c), 'drum_diameter');
      expect(j?.verdict).to.equal('cant_tell');
      expect(contradictionWords(j!, j!.contradicts!)).to.match(/^25\.20 mm apart from the front/);
      expect(nextStepWords(j!, decisiveNextStep(j!, 1, []))).to.match(/gauge it blind/);
    }
  });
  it('a pin larger than its bush, a piston larger than its bore: one of the two is wrong', () => {
    const t = new JobFixture(FOUR, []);
    const caliper = t.slot('caliper');
    t.gauge(caliper, ['10.20', '10.00', '10.20', '10.00'], { measurement: 'pin_fit' });
    expect(judgedOf(t, caliper, 'pin_clearance')?.contradicts).to.deep.equal({ kind: 'below_nothing' });
    expect(sentence(judgedOf(t, caliper, 'pin_clearance')!)).to.match(/pin is larger than its bush/);
    expect(judgedOf(t, caliper, 'pin_clearance')?.verdict).to.equal('cant_tell');
  });
});

describe('rules as a metrologist reads them', () => {
  it('end float with the bearing unsaid asks which it is, unless both say the same', () => {
    const t = new JobFixture(FOUR, []);
    const hub = t.slot('hub');
    say(t, hub, { style: null });
    const at = (mm: string): Judged => {
      t.gauge(hub, [mm], { measurement: 'hub_end_float' });
      return judgedOf(t, hub, 'hub_end_float')!;
    };
    for (const mm of ['0.000', '0.070', '0.080']) {
      expect(at(mm).verdict, mm).to.equal('cant_tell');
      expect(at(mm).unsaid, mm).to.equal('bearing');
      expect(sentence(at(mm)), mm).to.match(/^Which bearing\?/);
    }
    expect(at('0.035').verdict, 'sound for both').to.equal('holds');
    expect(at('0.300').verdict, 'too much for both').to.equal('past');
    t.gauge(
      t.slot('rotor'),
      Array.from({ length: 12 }, () => '0.00'),
      { measurement: 'rotor_runout', count: 12 },
    );
    at('0.080');
    expect(judgedOf(t, t.slot('rotor'), 'rotor_runout')?.bearingFirst, 'nothing is blamed on what nobody knows').to.equal(false);
    say(t, hub, { style: 'taper_adjustable' });
    expect(judgedOf(t, hub, 'hub_end_float')?.verdict).to.equal('holds');
    expect(at('0.000').verdict).to.equal('past');
  });
  it('a wheel that drags as much before as after is past by itself', () => {
    const t = new JobFixture(FOUR, []);
    t.gauge(t.slot('hub'), ['25', '25'], { measurement: 'wheel_drag' });
    expect(judgedOf(t, t.slot('hub'), 'wheel_drag')?.verdict).to.equal('holds');
    expect(judgedOf(t, t.slot('hub'), 'wheel_drag_after')?.verdict).to.equal('past');
    t.gauge(t.slot('hub'), ['4.9', '5.0'], { measurement: 'wheel_drag' });
    expect(judgedOf(t, t.slot('hub'), 'wheel_drag_after')?.unsaid).to.equal('driven');
    t.file.vehicle = { ...t.file.vehicle, driven: 'front' };
    expect(judgedOf(t, t.slot('hub'), 'wheel_drag_after')?.verdict).to.equal('holds');
    t.file.vehicle = { ...t.file.vehicle, driven: 'rear' };
    expect(judgedOf(t, t.slot('hub'), 'wheel_drag_after')?.verdict).to.equal('past');
  });
  it('a pedal that goes to the floor at the first stroke is past, also with a second that stands there', () => {
    const t = new JobFixture(FOUR, []);
    const pedal = t.slot('pedal', null);
    for (const second of ['60', '0']) {
      t.gauge(pedal, ['0', second], { measurement: 'pedal_pump_up', partId: null });
      const j = judgedOf(t, pedal, 'pedal_pump_up');
      expect(j?.verdict).to.equal('past');
      expect(sentence(j!)).to.match(/went to the floor/);
    }
  });
  it('a limit has the side of its characteristic, and none below nothing', () => {
    const given = {
      characteristic: 'rotor_thickness',
      bound: 'upper',
      nominal: 10,
      machineTo: null,
      at: 11,
      low: null,
      high: null,
    } as const;
    expect(() => checkLimitOf(given)).to.throw(DomainError, /a least figure, not a greatest/);
    for (const c of CHARACTERISTICS) {
      const other = c.bound === 'lower' ? 'upper' : 'lower';
      expect(() => checkLimitOf({ ...given, characteristic: c.id, bound: other, nominal: null }), c.id).to.throw(DomainError, /not a/);
      expect(() => checkLimitOf({ ...given, characteristic: c.id, bound: c.bound, nominal: null }), c.id).to.not.throw();
      expect(() => checkLimitOf({ ...given, characteristic: c.id, bound: c.bound, nominal: null, at: -1 }), c.id).to.throw(DomainError);
    }
    for (const l of GENERIC_LIMITS) expect(() => checkLimitOf(l), l.seriesId).to.not.throw();
    // One from before is on file: it lets nothing hold.
    const t = new JobFixture(FOUR, [{ ...LIMIT, bound: 'upper', nominal: 10, machineTo: null, at: 11 }]);
    t.gauge(t.slot('rotor'), eight('9.00'));
    expect(judgedOf(t, t.slot('rotor'), 'rotor_thickness')?.verdict).to.equal('cant_tell');
  });
  it('the cam lever is judged at contact, with a low end; fully applied it is another figure', () => {
    const { t, slotId } = placeFor('cam_angle');
    const at = (contact: string, full: string) => {
      t.gauge(slotId, [contact, full], { measurement: 'cam_angle', partId: null });
      return judgedOf(t, slotId, 'cam_angle')?.verdict;
    };
    expect(at('86', '104')).to.equal('holds');
    expect(at('93', '104')).to.equal('past');
    expect(at('40', '60')).to.equal('past');
  });
  it('warm or dirty figures close nothing, owed or wanted', () => {
    for (const over of [{ cold: false }, { surface: 'dirty' as const }]) {
      const t = new JobFixture(FOUR);
      const rotor = t.slot('rotor');
      t.gauge(rotor, eight('12.40'), over);
      const owed = state(t).obligations.find((o) => o.key === `gauge:${rotor}:rotor_thickness:as_found`);
      expect(owed?.state).to.equal('open');
      expect(owed?.why).to.match(/take it again/);
      t.find(t.slot('pads'), { code: 'no_lining', severity: 'reject' });
      const because = consequencesOf(openHistory(t.file), new Map(), NOW).find(
        (o) => o.slot.id === rotor && o.measurement === 'rotor_thickness',
      );
      expect(because?.done).to.equal(false);
      t.gauge(rotor, eight('12.40'));
      expect(state(t).obligations.find((o) => o.key === owed?.key)?.state).to.equal('closed');
    }
  });
  it('a range by two gauges has the whole accuracy of both, by one only what does not cancel', () => {
    const [a, b] = [gauge('M-1', 'micrometer', 0.004, 0.001, 0.001), gauge('M-2', 'micrometer', 0.004, 0.001, 0.001)];
    const t = new JobFixture(FOUR);
    t.file.gauges = [a, b];
    const set = t.gauge(t.slot('rotor'), ['12.400', '12.401', '12.402', '12.410', '12.400', '12.401', '12.402', '12.400']);
    const u = (): number => judgedOf(t, t.slot('rotor'), 'rotor_thickness_variation')!.reduced.expanded;
    with_(t, set.id, () => 'M-1');
    const one = u();
    with_(t, set.id, (r) => (r.angleDeg === 90 ? 'M-2' : 'M-1'));
    expect(u()).to.be.greaterThan(2 * one);
    // The pin by a micrometer, its bush by a bore gauge.
    const pins = new JobFixture(FOUR, []);
    pins.gauge(pins.slot('caliper'), ['10.000', '10.200', '10.000', '10.200'], { measurement: 'pin_fit' });
    expect(judgedOf(pins, pins.slot('caliper'), 'pin_clearance')?.reduced.expanded).to.be.closeTo(
      2 * Math.hypot(...[0.004, 0.005].map((x) => x / Math.sqrt(3)), ...[0.001, 0.001].map((x) => x / Math.sqrt(12))),
      1e-9,
    );
  });
  it('a difference read as one figure on a dial has its short span', () => {
    const t = new JobFixture(FOUR, []);
    t.gauge(t.slot('hub'), ['0.030'], { measurement: 'hub_end_float' });
    expect(judgedOf(t, t.slot('hub'), 'hub_end_float')?.reduced.expanded).to.be.closeTo(
      2 * Math.hypot(0.003 / Math.sqrt(3), 0.001 / Math.sqrt(12)),
      1e-9,
    );
  });
  it('what leans on two gauges is improved one kind at a time, never by the gauge that was used, and the promise is kept', () => {
    const t = drums([]);
    const cylinder = t.slot('wheel_cylinder', 'RL');
    const nominal = slotById(t.layout, cylinder)!.boreMm!;
    const [mike, bore, finer] = [
      gauge('M-1', 'micrometer', 0.004, 0.001),
      gauge('B-1', 'bore_gauge', 0.02, 0.01),
      gauge('B-2', 'bore_gauge', 0.003, 0.001),
    ];
    t.file.gauges = [mike, bore, finer];
    const take = (tag: string, over: number, decimals: number) => {
      const set = t.gauge(cylinder, Array<string>(6).fill((nominal + over).toFixed(decimals)), {
        measurement: 'bore_diameter',
        count: 2,
        partId: null,
      });
      with_(t, set.id, () => tag);
    };
    const piston = t.gauge(cylinder, Array<string>(4).fill((nominal - 0.06).toFixed(3)), { measurement: 'piston_diameter', count: 2 });
    with_(t, piston.id, () => 'M-1');
    take('B-1', 0.06, 2);
    const j = judgedOf(t, cylinder, 'bore_clearance')!;
    expect(j.verdict).to.equal('cant_tell');
    const said = nextStepWords(j, decisiveNextStep(j, 0.01, t.file.gauges));
    expect(said).to.match(/^B-2 tells to ±0\.\d+ mm: take what the bore gauge gave again with that\.$/);
    expect(said).to.not.match(/M-1/);
    const promised = Number(/±([\d.]+)/.exec(said)?.[1]);
    take('B-2', 0.06, 3);
    const after = judgedOf(t, cylinder, 'bore_clearance')!;
    expect(after.reduced.expanded).to.be.closeTo(promised, 0.0006);
    expect(after.verdict).to.not.equal('cant_tell');
  });
  it('no gauge of another quantity is accepted; by a spring scale drag asks for its radius, and doubts both', () => {
    expect(() => readFigure('wheel_drag', 'after', '12', 'Nm', 'micrometer')).to.throw(DomainError, /does not show such a figure/);
    expect(() => readFigure('rotor_thickness', 'outer ring', '12', 'mm', 'pressure_gauge')).to.throw(DomainError);
    expect(() => readFigure('wheel_drag', 'after', '12', 'Nm', 'spring_scale')).to.throw(DomainError, /force and radius.*38 N × 312 mm/);
    const q = readFigure('wheel_drag', 'after', '38 N × 312 mm', 'Nm', 'spring_scale');
    expect(q.canonical).to.be.closeTo(11.856, 1e-9);
    expect(q.resolution).to.be.closeTo(Math.hypot(0.312, 0.038), 1e-9);
    const t = new JobFixture(FOUR, []);
    const set = t.gauge(t.slot('hub'), [], { measurement: 'wheel_drag' });
    for (const [place, typed] of [
      ['before', '2 N × 312 mm'],
      ['after', '38 N × 312 mm'],
    ] as const) {
      const { canonical, resolution } = readFigure('wheel_drag', place, typed, 'Nm', null);
      const r = t.read(set, null, 'place', place, '1');
      t.file.readings = t.file.readings.map((x) => (x.id === r.id ? { ...x, typed, canonical, resolution } : x));
    }
    const j = judgedOf(t, t.slot('hub'), 'wheel_drag_after');
    // 2 N at 312 mm, and 1 mm of a tape at 38 N.
    const a = Math.hypot(0.312 * 2, 0.038 * 1);
    expect(j?.reduced.expanded).to.be.closeTo(2 * Math.hypot(a / Math.sqrt(3), Math.hypot(0.312, 0.038) / Math.sqrt(12)), 1e-9);
  });
  it('a lining’s arc from chord and sag has the uncertainty of both, many times that of an arc gauge', () => {
    const q = readFigure('shoe_arc', 'leading', '180 × 40.0', 'mm', 'caliper');
    expect(q.canonical).to.be.closeTo(180 ** 2 / 160 + 40, 1e-9);
    const { t, slotId } = placeFor('shoe_arc');
    const set = t.gauge(slotId, ['242.50'], { measurement: 'shoe_arc' });
    const taken = (typed: string) => {
      t.file.readings = t.file.readings.map((r) => (r.setId === set.id ? { ...r, typed, resolution: 0.01 } : r));
      return takenIn(set, t.file.readings, []).at(0)!.errors.accuracy;
    };
    expect(taken('242.50')).to.be.closeTo(0.03, 1e-9);
    expect(taken('180 × 40.0')).to.be.closeTo(0.03 * Math.hypot(180 / 80, 1 - 180 ** 2 / 6400), 1e-9);
  });
  it('thickness variation is that of the worst ring with enough readings; four close together are no turn', () => {
    const t = new JobFixture(FOUR);
    const rotor = t.slot('rotor');
    const set = t.gauge(rotor, eight('12.400'), { count: 8 });
    // Two readings of the inner ring that differ much are no ring yet.
    for (const [angle, mm] of [
      [0, '12.40'],
      [45, '12.10'],
    ] as const)
      t.read(set, angle, 'rotor_mark', 'inner ring', mm);
    const variation = () => judgedOf(t, rotor, 'rotor_thickness_variation');
    expect(variation()?.reduced.value).to.be.closeTo(0, 1e-9);
    for (const angle of [90, 135, 180, 225, 270, 315]) t.read(set, angle, 'rotor_mark', 'inner ring', '12.40');
    expect(variation()?.reduced.value, 'with enough it governs').to.be.closeTo(0.3, 1e-9);
    const close = new JobFixture(FOUR);
    const near = close.gauge(close.slot('rotor'), [], { count: 36 });
    for (const angle of [0, 10, 20, 30]) close.read(near, angle, 'rotor_mark', 'outer ring', '12.40');
    const j = judgedOf(close, close.slot('rotor'), 'rotor_thickness')!;
    expect([j.verdict, j.enough]).to.deep.equal(['not_gauged', false]);
    expect(sentence(j)).to.match(/greatest gap is 330°/);
  });
  it('no number of positions is offered that is too few', () => {
    for (const m of MEASUREMENT_IDS) {
      const { pattern, least } = MEASUREMENTS[m];
      if (pattern.form !== 'round') continue;
      for (const n of countsFor(m)) expect(n * Math.max(1, pattern.rings.length), `${m} ${n}`).to.be.at.least(least);
    }
  });
  it('wear from visits a few km apart foretells nothing, and says so under the rule', () => {
    const t = new JobFixture();
    const rotor = t.slot('rotor');
    const at = (km: number, mm: string, phase: Phase = 'at_service') => {
      t.file.counters = [...t.file.counters, { ...base(t.next()), vehicleId: 'car', typed: `${km}`, km }];
      t.gauge(rotor, eight(mm), { phase });
      return judgedOf(t, rotor, 'rotor_thickness')!;
    };
    at(10000, '12.40');
    const short = at(10020, '12.30');
    expect(short.wear).to.equal(null);
    expect(short.noWear).to.deep.include({ kind: 'too_little_run', run: 20 });
    expect(sentence(short)).to.match(/Only 20 km/);
    expect(at(20000, '12.00').wear).to.not.equal(null);
  });
  it('scores and runout count for a cut in the option as in the words, and what was not gauged is said, for drums as well', () => {
    const t = drums();
    const drum = t.slot('drum');
    t.gauge(drum, drumSet('229.50', '229.50', '229.50'), { measurement: 'drum_diameter', count: 4 });
    const component = () => state(t).components.find((c) => c.slot.id === drum)!;
    const option = () => optionsOf(openHistory(t.file), component()).find((o) => o.id === 'machine')?.ruledOut;
    const slot = slotById(t.layout, drum)!;
    expect(cutOf(openHistory(t.file), slot, component().judged, null)?.takenAsNone).to.deep.equal(['score_depth', 'radial_runout']);
    expect(option()).to.equal(null);
    t.gauge(drum, ['0.60', '0'], { measurement: 'drum_surface' });
    expect(cutWords(cutOf(openHistory(t.file), slot, component().judged, null)!)).to.match(/not cut/);
    expect(option()).to.match(/come out at 230\.80 mm; machine-to is 230\.10/);
  });
  it('honing leans on the clearance that the verdict leans on', () => {
    const t = drums([
      {
        ...LIMIT,
        id: 'c',
        seriesId: 'c',
        characteristic: 'bore_clearance',
        bound: 'upper',
        nominal: null,
        machineTo: null,
        at: 0.05,
        axle: null,
      },
    ]);
    const cylinder = t.slot('wheel_cylinder', 'RL');
    const slot = slotById(t.layout, cylinder)!;
    const nominal = slot.boreMm!;
    t.gauge(cylinder, Array<string>(6).fill((nominal + 0.03).toFixed(3)), { measurement: 'bore_diameter', count: 2, partId: null });
    t.gauge(cylinder, Array<string>(4).fill((nominal - 0.05).toFixed(3)), { measurement: 'piston_diameter', count: 2 });
    t.gauge(cylinder, ['2', '30'], { measurement: 'bore_zone', partId: null });
    expect(judgedOf(t, cylinder, 'bore_clearance')?.verdict).to.equal('past');
    expect(honingWords(honing(openHistory(t.file), slot, 'iron'))).to.match(/too much clearance/);
  });
  it('the seal’s zone takes the pad and rotor of its own caliper, and of its own side where it is fixed', () => {
    const layout = buildLayout('motorcycle_double_disc', 'lay', 'car', id);
    const piston = layout.slots.find((s) => s.kind === 'piston' && s.corner === 'F' && /^Right/.test(slotById(layout, s.parentId!)!.name))!;
    expect(unitMates(layout, piston, 'pads').map((s) => s.name)).to.deep.equal(['Right pads']);
    expect(unitMates(layout, piston, 'rotor').map((s) => s.name)).to.deep.equal(['Right rotor']);
    const left = layout.slots.find((s) => s.kind === 'rotor' && s.name === 'Left rotor')!;
    expect(counterpart(layout, left)?.name, 'two discs at one wheel are a pair').to.equal('Right rotor');
    const t = new JobFixture(FOUR, [], 'coupe_disc_disc_tandem_servo');
    const fixedOnes = t.layout.slots.filter((s) => s.kind === 'piston' && slotById(t.layout, s.parentId!)?.style === 'fixed');
    const sides = fixedOnes.filter((s) => s.parentId === fixedOnes[0]?.parentId).map((s) => sealZone(openHistory(t.file), s).pad);
    expect(new Set(sides)).to.deep.equal(new Set(['inner', 'outer']));
  });
  it('riveted linings are reckoned above their rivets, new and worn', () => {
    const t = drums();
    const shoes = slotById(t.layout, t.slot('shoes'))!;
    t.gauge(t.slot('drum'), drumSet('229.00', '229.00', '229.00'), { measurement: 'drum_diameter', count: 4 });
    t.gauge(shoes.id, Array<string>(6).fill('2.00'), { measurement: 'shoe_above_rivets' });
    const give = (over: Record<string, string>) => {
      const places = plannedPositions('adjuster_travel');
      t.gauge(shoes.id, [], { measurement: 'adjuster_travel', partId: null });
      const set = t.file.sets.at(-1)!;
      for (const p of places) if (over[p.place!] !== undefined) t.read(set, null, 'place', p.place, over[p.place!]!);
      return adjusterFacts(openHistory(t.file), shoes);
    };
    expect(give({ 'whole travel': '20', 'lining new': '6.00' }).missing).to.deep.equal(['above_rivets_new']);
    expect(give({ 'whole travel': '20', 'lining new': '6.00', 'above rivets new': '3.00' }).linings).to.deep.equal([
      { now: 2, fresh: 3 },
      { now: 2, fresh: 3 },
    ]);
  });
  it('pedal, parking lever, push rod, and the drum inside a rotor are judged where the book has a limit', () => {
    const of = (t: JobFixture, characteristic: string, bound: 'lower' | 'upper', at: number): void => {
      t.file.limits = [
        { ...LIMIT, id: characteristic, seriesId: characteristic, characteristic, bound, nominal: null, machineTo: null, at, axle: null },
      ];
    };
    const cases: readonly (readonly [CharacteristicId, MeasurementId, 'lower' | 'upper', number, Record<string, string>])[] = [
      ['pedal_free_play', 'pedal_setting', 'upper', 10, { 'free play': '25' }],
      ['pedal_height', 'pedal_setting', 'lower', 150, { height: '120' }],
      ['pedal_travel', 'pedal_setting', 'upper', 60, { travel: '90' }],
      ['parking_clicks', 'parking_travel', 'upper', 7, { clicks: '14' }],
      ['push_rod_play', 'servo_push_rod', 'upper', 1, { 'free play': '3' }],
    ];
    for (const [c, m, bound, at, given] of cases) {
      const { t, slotId } = placeFor(m);
      of(t, c, bound, at);
      const set = t.gauge(slotId, [], { measurement: m, partId: MEASUREMENTS[m].subject === 'slot' ? null : `part:${slotId}` });
      for (const p of plannedPositions(m)) if (given[p.place!] !== undefined) t.read(set, null, 'place', p.place, given[p.place!]!);
      expect(judgedOf(t, slotId, c)?.verdict, c).to.equal('past');
    }
    const { t, slotId } = placeFor('rotor_drum');
    of(t, 'rotor_drum', 'upper', 170);
    t.gauge(slotId, ['171.00', '171.00', '171.00', '171.00'], { measurement: 'rotor_drum', count: 4 });
    expect(judgedOf(t, slotId, 'rotor_drum')?.verdict).to.equal('past');
    say(t, slotId, { style: 'vented' });
    expect(
      state(t)
        .components.find((x) => x.slot.id === slotId)
        ?.required.some((r) => r.measurement.id === 'rotor_drum'),
    ).to.equal(false);
    expect(programmeFor('parking_shoes', 'found').map((l) => l.measurement)).to.include('shoe_lining');
  });
  it('decide agrees with itself on a range whose nominal is its end after a cut', () => {
    const cut: LimitVersion = { ...LIMIT, nominal: 12.7, machineTo: 12.7, at: 11 };
    const t = new JobFixture(FOUR, [cut]);
    t.gauge(t.slot('rotor'), eight('12.80'), { phase: 'after_machining' });
    expect(judgedOf(t, t.slot('rotor'), 'rotor_thickness')?.verdict).to.equal('holds');
    expect(decide({ kind: 'lower', at: 12.7 }, 12.8, 0.01).verdict).to.equal('holds');
  });
});

describe('what is gauged has to be there, and open', () => {
  const why = (t: JobFixture, slotId: string, m: MeasurementId, asFound = true): string | null =>
    whyNotGauged(gaugedAt(openHistory(t.file), NOW), slotById(t.file.layout, slotId)!, m, asFound);
  it('nobody gauges inside a drum that does not come off', () => {
    const t = drums();
    const told = { ...base(t.next()), code: 'drum_stuck', corner: 'FL' as const, state: 'seen' as const };
    t.file.observations = [told];
    expect(why(t, t.slot('drum'), 'drum_diameter')).to.match(/does not come off yet/);
    expect(why(t, t.slot('shoes'), 'shoe_lining')).to.match(/does not come off yet/);
    expect(why(t, t.slot('drum'), 'drum_runout')).to.equal(null);
    expect(why(t, t.slot('drum', 'FR'), 'drum_diameter')).to.equal(null);
    t.part(t.slot('drum'), 'removed');
    expect(why(t, t.slot('drum'), 'drum_diameter')).to.equal(null);
  });
  it('an empty place takes no reading, but the part that came out of it is gauged on the bench until something is done to it', () => {
    const t = new JobFixture(FOUR);
    const rotor = t.slot('rotor');
    t.part(rotor, 'removed');
    expect(why(t, rotor, 'rotor_thickness')).to.equal(null);
    expect(why(t, rotor, 'rotor_runout')).to.match(/figure of what is fitted/);
    t.part(rotor, 'sent', `part:${rotor}`);
    expect(why(t, rotor, 'rotor_thickness')).to.match(/is away/);
    t.part(rotor, 'returned', `part:${rotor}`);
    t.part(rotor, 'machined', `part:${rotor}`);
    expect(why(t, rotor, 'rotor_thickness')).to.match(/as found it cannot be gauged any more/);
    expect(why(t, rotor, 'rotor_thickness', false)).to.equal(null);
    t.part(rotor, 'scrapped', `part:${rotor}`);
    expect(why(t, rotor, 'rotor_thickness', false)).to.match(/was scrapped/);
  });
  it('what is behind something that is on again is not gauged', () => {
    const t = drums();
    const drum = t.slot('drum');
    t.part(drum, 'removed');
    expect(why(t, t.slot('shoes'), 'shoe_lining')).to.equal(null);
    t.part(drum, 'fitted', `part:${drum}`);
    expect(why(t, t.slot('shoes'), 'shoe_lining')).to.match(/is on again: take it off first/);
  });
  it('the inside of what was sealed again is gauged by nobody, until that is taken back or it is opened once more', () => {
    const t = new JobFixture(FOUR);
    const [caliper, piston] = [t.slot('caliper'), t.slot('piston')];
    const part = `part:${caliper}`;
    t.part(caliper, 'removed');
    t.part(caliper, 'resealed', part);
    const sealed = t.file.partEvents.at(-1)!;
    for (const asFound of [true, false]) expect(why(t, piston, 'bore_diameter', asFound)).to.match(/caliper is sealed again/);
    expect(why(t, caliper, 'pin_runout', false), 'what is outside is').to.equal(null);
    expect(why(t, t.slot('piston', 'FR'), 'bore_diameter'), 'and the other side').to.equal(null);
    // In its place it is as sealed as on the bench.
    t.part(caliper, 'fitted', part);
    expect(why(t, piston, 'piston_diameter')).to.match(/caliper is sealed again/);
    t.takeBack(sealed.id);
    expect(why(t, piston, 'bore_diameter')).to.equal(null);
    t.part(caliper, 'removed');
    t.part(caliper, 'resealed', part);
    t.part(caliper, 'opened', part);
    expect(why(t, piston, 'bore_diameter')).to.equal(null);
    t.part(caliper, 'resealed', part);
    t.part(piston, 'removed');
    expect(why(t, piston, 'piston_diameter'), 'its piston was taken out').to.equal(null);
  });
});

describe('a part that left', () => {
  it('takes its findings, its causes and what was owed about it along', () => {
    const t = new JobFixture(FOUR);
    const [rotor, pads] = [t.slot('rotor'), t.slot('pads')];
    t.find(rotor, { code: 'blue', severity: 'reject', words: 'blue', partId: null });
    t.find(pads, { code: 'no_lining', severity: 'reject' });
    const owed = () => consequencesOf(openHistory(t.file), new Map(), NOW).filter((o) => o.slot.id === rotor);
    expect(owed().some((o) => !o.done)).to.equal(true);
    expect(state(t).components.find((c) => c.slot.id === rotor)?.findings.length).to.equal(1);
    t.part(rotor, 'removed');
    t.part(rotor, 'fitted', 'new rotor');
    const after = state(t).components.find((c) => c.slot.id === rotor)!;
    expect(after.findings).to.deep.equal([]);
    expect(after.lookDone, 'the new one is looked at by itself').to.equal(false);
    expect(owed().every((o) => o.done && o.closedBy !== null)).to.equal(true);
  });
  it('a hub off and on again, and one renewed, owe end float and the runout of what sits on them', () => {
    for (const part of ['same', 'new hub']) {
      const t = new JobFixture(FOUR);
      const [hub, rotor] = [t.slot('hub'), t.slot('rotor')];
      t.gauge(hub, ['0.030'], { measurement: 'hub_end_float' });
      t.gauge(rotor, Array<string>(12).fill('0.00'), { measurement: 'rotor_runout', count: 12 });
      const key = (k: string) => state(t).obligations.find((o) => o.key === k)?.state;
      expect(key(`gauge:${hub}:hub_end_float:as_fitted`)).to.equal(undefined);
      t.part(hub, 'removed');
      t.part(hub, 'fitted', part === 'same' ? `part:${hub}` : part);
      expect(key(`gauge:${hub}:hub_end_float:as_fitted`), part).to.equal('open');
      expect(key(`gauge:${rotor}:rotor_runout:as_fitted`), part).to.equal('open');
      expect(judgedOf(t, hub, 'hub_end_float'), 'the old figure is none of this fit').to.equal(undefined);
      t.gauge(hub, ['0.020'], { measurement: 'hub_end_float', phase: 'as_fitted' });
      expect(key(`gauge:${hub}:hub_end_float:as_fitted`), part).to.equal('closed');
    }
  });
  it('a bore goes with its cylinder: a new one has no wear, and what comes back brings its own', () => {
    const t = drums([]);
    const cylinder = t.slot('wheel_cylinder', 'RL');
    const nominal = slotById(t.layout, cylinder)!.boreMm!;
    t.gauge(cylinder, Array<string>(6).fill((nominal + 0.15).toFixed(2)), { measurement: 'bore_diameter', count: 2, partId: null });
    expect(judgedOf(t, cylinder, 'bore_wear')?.verdict).to.equal('past');
    t.part(cylinder, 'removed');
    t.part(cylinder, 'fitted', 'new cylinder');
    expect(judgedOf(t, cylinder, 'bore_wear')).to.equal(undefined);
    t.part(cylinder, 'removed', 'new cylinder');
    t.part(cylinder, 'fitted', `part:${cylinder}`);
    expect(judgedOf(t, cylinder, 'bore_wear')?.verdict).to.equal('past');
    // Swapped over: the other place has it now.
    const other = t.slot('wheel_cylinder', 'RR');
    t.part(other, 'removed');
    t.part(cylinder, 'removed');
    t.part(other, 'fitted', `part:${cylinder}`);
    expect(judgedOf(t, other, 'bore_wear')?.verdict).to.equal('past');
    expect(historyOf(openHistory(t.file), 'bore_diameter', { slotId: cylinder }, NOW)).to.have.length(1);
  });
});
