import { expect } from 'chai';
import fc from 'fast-check';
import type { Measurement } from '../src/catalogue/measurements.ts';
import { MEASUREMENTS } from '../src/catalogue/measurements.ts';
import { plannedPositions, positionKey } from '../src/catalogue/positions.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { deriveJob } from '../src/job/job.ts';
import { cutFacts } from '../src/judging/cutting.ts';
import { decisiveNextStep } from '../src/judging/decisiveNextStep.ts';
import { honing } from '../src/judging/honing.ts';
import { sealZone } from '../src/judging/sealZone.ts';
import { nextStepWords, sealZoneWords } from '../src/wording/en/bench.ts';
import { onStuds } from '../src/judging/turnOnStuds.ts';
import { roomLeft } from '../src/judging/judge.ts';
import type { GaugeVersion } from '../src/ledger/gaugeRecords.ts';
import { familyOutlier } from '../src/metrology/familyOutlier.ts';
import { findOutliers } from '../src/metrology/outliers.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { onlyNow } from '../src/views/onlyNow.ts';
import { gatherSets, READING_COLUMNS, readingRows, readReadingList } from '../src/views/readingsFile.ts';
import { walkRound } from '../src/views/walkRound.ts';
import { base, FOUR, JobFixture, NOW } from './jobFixture.ts';

const at = (t: JobFixture) => deriveJob(t.file, base(999).happenedAt);
const slotOf = (t: JobFixture, id: string) => t.file.layout.slots.find((s) => s.id === id)!;

/** A sweep of twelve: hub and rotor wobble, mm TIR at an angle, the rotor turned on by some of five studs. */
const sweep = (hub: readonly [number, number], rotor: readonly [number, number], turn = 0): string[] =>
  Array.from({ length: 12 }, (_, i) => {
    const wave = ([size, deg]: readonly [number, number], on = 0): number => (size / 2) * Math.cos(((30 * i - deg - on) * Math.PI) / 180);
    return (wave(hub) + wave(rotor, 72 * turn)).toFixed(4);
  });

describe('a rotor on its studs, as the job goes', () => {
  const swept = (turns: readonly number[], hub: readonly [number, number], rotor: readonly [number, number]) => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    for (const turn of turns) t.gauge(slot, sweep(hub, rotor, turn), { measurement: 'rotor_runout', turn, studs: 5 });
    const history = openHistory(t.file);
    return onStuds(history, slot, at(t).components.find((c) => c.slot.id === slot)!.part!.id, 5, 0.1);
  };
  it('asks for a turn after the first sweep, and gives the best position after the second', () => {
    expect(swept([0], [0.04, 100], [0.08, 120]).second).to.equal(null);
    expect(swept([0], [0.04, 100], [0.08, 120]).turn).to.equal(2);
    const told = swept([0, 2], [0.04, 100], [0.08, 120]);
    expect(told.result?.hub.tir).to.be.closeTo(0.04, 1e-3);
    expect(told.result?.rotor.tir).to.be.closeTo(0.08, 1e-3);
    expect(told.hole).to.equal(((5 - (told.result?.best ?? 0)) % 5) + 1);
    expect(told.stays).to.equal(false);
    expect(told.proof).to.equal(null);
  });
  it('the sweep in the advised position is the proof, and comes out as foretold', () => {
    const best = swept([0, 2], [0.04, 100], [0.08, 120]).result!.best;
    const proved = swept([0, 2, best], [0.04, 100], [0.08, 120]);
    expect(proved.proof?.runout.wobble).to.be.closeTo(proved.result!.bestTir, 1e-3);
  });
  it('says so where the hub alone is at fault, and where it sits as well as it can', () => {
    expect(swept([0, 2], [0.2, 10], [0.02, 50]).result?.hubOverLimit).to.equal(true);
    expect(swept([0, 2], [0.05, 0], [0.05, 180]).stays).to.equal(true);
  });
  it('a cut takes out the rotor’s own wobble where hub and rotor were told apart, all of it otherwise', () => {
    const t = new JobFixture();
    const slot = t.slot('rotor');
    t.gauge(slot, sweep([0.04, 100], [0.08, 100]), { measurement: 'rotor_runout' });
    expect(cutFacts(openHistory(t.file), slot).wobble).to.be.closeTo(0.12, 1e-3);
    t.gauge(slot, sweep([0.04, 100], [0.08, 100], 2), { measurement: 'rotor_runout', turn: 2, studs: 5 });
    expect(cutFacts(openHistory(t.file), slot).wobble).to.be.closeTo(0.08, 1e-3);
  });
});

describe('pits of a piston, from what was gauged at the wheel', () => {
  it('names what is missing, and then tells the trap of worn pads', () => {
    const t = new JobFixture();
    const piston = t.slot('piston');
    expect(sealZone(openHistory(t.file), slotOf(t, piston)).missing).to.not.have.length(0);
    t.find(piston, { severity: 'doubt', entry: 'piston_pit', fromMm: 11, toMm: 14, depthMm: 0.1 });
    expect(sealZoneWords(sealZone(openHistory(t.file), slotOf(t, piston)))).to.match(/^Not known yet/);
  });
  it('a doubt about a pit that a later finding settles counts no more', () => {
    const t = new JobFixture();
    const piston = t.slot('piston');
    const pit = t.find(piston, { severity: 'doubt', fromMm: 11, toMm: 14 });
    expect(sealZone(openHistory(t.file), slotOf(t, piston)).pits).to.have.length(1);
    t.find(piston, { severity: 'note', settles: pit.id });
    expect(sealZone(openHistory(t.file), slotOf(t, piston)).pits).to.have.length(0);
  });
});

describe('a bore and its pits, from what was gauged at the place', () => {
  it('is not honed where nobody says it may be', () => {
    const t = new JobFixture();
    const slot = t.file.layout.slots.find((s) => s.kind === 'master_cylinder')!;
    const mm = (d: number): string => (slot.boreMm! + d).toFixed(3);
    t.gauge(slot.id, [mm(0.01), mm(0.01), mm(0.02), mm(0.01), mm(0.01), mm(0.01)], {
      measurement: 'bore_diameter',
      count: 2,
      partId: null,
    });
    t.gauge(slot.id, [mm(-0.05), mm(-0.05), mm(-0.05), mm(-0.05)], { measurement: 'piston_diameter', count: 2 });
    expect(honing(openHistory(t.file), slot, 'iron').missing).to.deep.equal(['swept_zone']);
    t.gauge(slot.id, ['12', '40'], { measurement: 'bore_zone', partId: null });
    expect(honing(openHistory(t.file), slot, 'iron').result?.decision).to.equal('use');
    t.find(slot.id, { severity: 'doubt', fromMm: 20, toMm: 22, depthMm: 0.02 });
    expect(honing(openHistory(t.file), slot, 'iron').result?.decision, 'no hone-to on file').to.equal('sleeve_or_replace');
    expect(honing(openHistory(t.file), slot, 'iron').result?.deepestPitInZone).to.equal(0.02);
  });
});

describe('a reading out of its family, by what the reduction leaves over', () => {
  const placed = (id: Measurement['id'], values: readonly number[]) =>
    plannedPositions(id, values.length).map((p, i) => ({
      ...{ key: positionKey(p), angleDeg: p.angleDeg, place: p.place },
      value: values[i] ?? 0,
    }));
  it('a sweep that wobbles as one does has no stray in it; a slip of the finger is found', () => {
    const clean = sweep([0.1, 30], [0.05, 80]).map(Number);
    expect(findOutliers('rotor_runout', placed('rotor_runout', clean), 0.01)).to.deep.equal([]);
    const slipped = clean.map((v, i) => (i === 4 ? v + 0.5 : v));
    const points = placed('rotor_runout', slipped);
    expect(findOutliers('rotor_runout', points, 0.01)).to.include(points[4]!.key);
  });
  it('places with names are no family', () => {
    expect(MEASUREMENTS.pin_fit.pattern.form).to.equal('spots');
    expect(findOutliers('pin_fit', placed('pin_fit', [8, 8, 8, 80]), 0.01)).to.deep.equal([]);
  });
  it('is told by its own ring, wherever that lies', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 40, noNaN: true }), fc.nat(7), (about, i) => {
        const ring = Array.from({ length: 8 }, (_, k) => about + (k % 2) * 0.002 + (k === i ? 1 : 0));
        const points = placed('rotor_thickness', ring);
        expect(findOutliers('rotor_thickness', points, 0.01)).to.deep.equal([points[i]!.key]);
        expect(familyOutlier(ring, 2)).to.deep.equal([]);
      }),
    );
  });
});

describe('one walk round', () => {
  it('takes everything that is owed once, each wheel in one go, and never longer than the list', () => {
    const t = new JobFixture(['FL', 'FR', 'RL', 'RR']);
    const state = at(t);
    const walk = walkRound(state);
    const owed = state.components.flatMap((c) =>
      c.required.filter((r) => r.need === 'required' && !r.done).map((r) => `${c.slot.id}|${r.measurement.id}`),
    );
    expect(walk.stops.map((s) => `${s.slotId}|${s.measurement}`).sort()).to.deep.equal([...owed].sort());
    expect(walk.seconds).to.be.at.most(walk.secondsUnordered);
    const corners = walk.stops.map((s) => s.corner);
    expect(corners.filter((c, i) => c !== corners[i - 1]).length).to.equal(new Set(corners).size);
    for (const corner of ['FL', 'FR'] as const) {
      const dial = walk.stops.filter((s) => s.corner === corner && s.gauge === 'dial').map((s) => s.measurement);
      expect(dial.indexOf('hub_end_float'), 'the bearing comes first').to.be.lessThan(dial.indexOf('rotor_runout'));
    }
  });
  it('goes to the bench for what lies there, not for what only fits on the vehicle', () => {
    const t = new JobFixture(['FL', 'FR']);
    const rotor = t.slot('rotor');
    const here = () =>
      walkRound(at(t))
        .stops.filter((s) => s.slotId === rotor)
        .map((s) => s.measurement);
    expect(here()).to.include.members(['rotor_thickness', 'rotor_runout']);
    t.part(rotor, 'removed');
    expect(here()).to.deep.equal(['rotor_thickness']);
    t.part(rotor, 'sent', `part:${rotor}`);
    expect(here(), 'it is away').to.deep.equal([]);
    t.part(rotor, 'returned', `part:${rotor}`);
    t.part(rotor, 'machined', `part:${rotor}`);
    expect(here(), 'as found it is gauged no more').to.deep.equal([]);
  });
  it('what was skipped comes back at the end', () => {
    const t = new JobFixture(['FL', 'FR']);
    const [first] = walkRound(at(t)).stops;
    const key = `${first!.slotId}|${first!.measurement}`;
    const walk = walkRound(at(t), new Set([key]));
    expect(walk.stops.at(-1)).to.include({ slotId: first!.slotId, measurement: first!.measurement, skipped: true });
  });
});

describe('readings as a list', () => {
  const told = () => {
    const t = new JobFixture();
    t.gauge(t.slot('rotor'), ['12.01', '12,02', '0.4757in', '12.04'], { measurement: 'rotor_thickness' });
    t.gauge(t.slot('hub'), ['0.03'], { measurement: 'hub_end_float' });
    return t;
  };
  it('out and in again: everything stands there already', () => {
    const t = told();
    const rows = readingRows(openHistory(t.file), null);
    expect(Object.keys(rows[0]!)).to.deep.equal([...READING_COLUMNS]);
    expect(rows.map((r) => r['typed'])).to.deep.equal(['12.01', '12,02', '0.4757in', '12.04', '0.03']);
    const read = readReadingList(rows, openHistory(t.file));
    expect(read.map((r) => r.verdict)).to.deep.equal(['same', 'same', 'same', 'same', 'same']);
    expect(gatherSets(read)).to.deep.equal([]);
  });
  it('into an empty job they come out as the same sets', () => {
    const rows = readingRows(openHistory(told().file), null);
    const read = readReadingList(rows, openHistory(new JobFixture().file));
    expect(read.every((r) => r.verdict === 'new')).to.equal(true);
    const sets = gatherSets(read);
    expect(sets.map((s) => [s.first.measurement, s.count, s.readings.length])).to.deep.equal([
      ['rotor_thickness', 4, 4],
      ['hub_end_float', 1, 1],
    ]);
    expect(sets[0]!.readings[2]!.canonical).to.be.closeTo(12.08278, 1e-9);
  });
  const row = (over: Record<string, string>): Record<string, string> => ({
    ...{
      component: 'Front left rotor',
      measurement: 'rotor_thickness',
      typed: '12.00',
      place: 'outer ring',
      angle_deg: '0',
      surface: 'clean',
      cold: 'yes',
    },
    ...over,
  });
  it('every row that cannot be taken says why', () => {
    const history = openHistory(told().file);
    const why = (over: Record<string, string>) => readReadingList([row(over)], history)[0]!;
    expect(why({ angle_deg: '45' }).verdict).to.equal('new');
    expect(why({}).why).to.match(/12\.01 stands there/);
    for (const [over, says] of [
      [{ component: 'Third wheel' }, /no place of this vehicle/],
      [{ surface: '', cold: '' }, /how clean was it, and was it cold/],
      [{ typed: '0' }, /always more than nothing/],
      [{ measurement: 'pad_lining' }, /is not taken on front left rotor/],
      [{ measurement: 'girth' }, /is not known/],
      [{ angle_deg: '400' }, /no angle/],
      [{ angle_deg: '' }, /no angle/],
      [{ place: 'rim' }, /no ring or depth/],
      [{ typed: '12 bananas' }, /./],
      [{ unit: 'bar' }, /not a unit/],
      [{ phase: 'later' }, /none of/],
      [{ second: 'yes' }, /second measure/],
      [{ typed: '' }, /Nothing stands/],
    ] as const) {
      const r = why(over);
      expect(r.verdict, JSON.stringify(over)).to.equal('not_understood');
      expect(r.why, JSON.stringify(over)).to.match(says);
    }
    const twice = readReadingList([row({ angle_deg: '45' }), row({ angle_deg: '45' })], history);
    expect(twice.map((r) => r.verdict)).to.deep.equal(['new', 'conflicts']);
  });
  it('a list that is none, and one that is too long, are refused', () => {
    const history = openHistory(told().file);
    expect(() => readReadingList([{ fruit: 'pear' }], history)).to.throw(DomainError, /no list of readings/);
    expect(() => readReadingList([], history)).to.throw(DomainError, /no row/);
    expect(() =>
      readReadingList(
        Array.from({ length: 2001 }, () => row({})),
        history,
      ),
    ).to.throw(DomainError, /at most 2000/);
  });
});

describe('the way out of a figure that cannot be told', () => {
  it('names the coarsest gauge on the rack that would tell, or says that none does', () => {
    const t = new JobFixture();
    const slot = t.slot('hub');
    t.gauge(slot, ['0.047'], { measurement: 'hub_end_float' });
    const judged = at(t)
      .components.find((c) => c.slot.id === slot)!
      .judged.find((j) => j.characteristic.id === 'hub_end_float')!;
    expect(judged.verdict).to.equal('cant_tell');
    const gauge = (tag: string, accuracy: number, resolution: number): GaugeVersion => ({
      ...{ id: tag, gaugeId: tag, tag, name: tag, kind: 'dial', resolution, accuracy, shortSpan: accuracy },
      ...{ rangeLow: null, rangeHigh: null, calibrationDue: null, settingPiece: null, checkFirst: false },
      ...{ enteredBy: 'ann', enteredAt: base(1).happenedAt },
    });
    const room = roomLeft(judged)!;
    expect(room).to.be.closeTo(0.003, 1e-9);
    expect(nextStepWords(judged, decisiveNextStep(judged, room, [gauge('D-1', 0.01, 0.01)]))).to.match(
      /^No dial indicator on the rack tells that near/,
    );
    const rack = [gauge('D-1', 0.01, 0.01), gauge('D-2', 0.002, 0.001), gauge('D-3', 0.0005, 0.0005)];
    const said = nextStepWords(judged, decisiveNextStep(judged, room, rack));
    expect(said).to.match(/^D-2 tells to ±0\.00\d+ mm/);
  });
});

describe('before an access is closed', () => {
  it('lists what nobody owes and can only be taken now', () => {
    const t = new JobFixture();
    const pads = t.file.layout.slots.find((s) => s.kind === 'pads' && s.corner === 'FL')!;
    const names = () =>
      onlyNow(at(t), pads)
        .filter((w) => w.wanted)
        .map((w) => `${w.slot.kind} ${w.key.split(':')[2]}`);
    expect(names()).to.include('piston piston_seal');
    t.gauge(t.slot('piston'), ['19', '8', '3', '34'], { measurement: 'piston_seal', partId: null });
    expect(names().filter((n) => n === 'piston piston_seal').length).to.be.lessThan(
      t.file.layout.slots.filter((s) => s.kind === 'piston' && s.corner === 'FL').length,
    );
  });
});

describe('units that the house tries under pressure', () => {
  function resealed(school: 'alone' | 'every'): JobFixture {
    const t = new JobFixture(FOUR);
    t.file.houseRules = [{ id: 'r', rule: 'bench_test', school, reason: 'ours', enteredBy: 'ann', enteredAt: NOW }];
    t.decide(t.slot('caliper'), 'reseal');
    return t;
  }
  const owed = (t: JobFixture): string[] =>
    t
      .component(t.slot('caliper'))
      .required.filter((r) => r.measurement.id.startsWith('bench_') && r.due && !r.done)
      .map((r) => r.measurement.id);
  /** Held for so many minutes, by the times of its readings. */
  function hold(t: JobFixture, measurement: 'bench_low' | 'bench_high', figures: readonly [string, string], minutes: number): void {
    const set = t.gauge(t.slot('caliper'), [], { measurement, count: 2 });
    t.read(set, null, 'place', 'start', figures[0]);
    for (let m = 1; m < minutes; m += 1) t.next();
    t.read(set, null, 'place', 'end', figures[1]);
  }

  it('are owed it once they were resealed, where the house tries every one, and else not', () => {
    const t = resealed('every');
    expect(owed(t), 'not resealed yet').to.deep.equal([]);
    t.part(t.slot('caliper'), 'resealed');
    expect(owed(t)).to.deep.equal(['bench_low', 'bench_high']);
    const alone = resealed('alone');
    alone.part(alone.slot('caliper'), 'resealed');
    expect(owed(alone)).to.deep.equal([]);
  });

  it('count by the time that they were held, and only after the seals went in', () => {
    const t = resealed('every');
    hold(t, 'bench_low', ['3.00', '3.00'], 6);
    t.part(t.slot('caliper'), 'resealed');
    expect(owed(t), 'of before the reseal').to.deep.equal(['bench_low', 'bench_high']);
    hold(t, 'bench_low', ['3.00', '3.00'], 1);
    expect(owed(t), 'read too soon').to.deep.equal(['bench_low', 'bench_high']);
    hold(t, 'bench_low', ['3.00', '3.00'], 6);
    hold(t, 'bench_high', ['70', '69'], 3);
    expect(owed(t)).to.deep.equal([]);
    t.part(t.slot('caliper'), 'resealed');
    expect(owed(t), 'opened and sealed again').to.deep.equal(['bench_low', 'bench_high']);
  });

  it('that drop are past, whatever else is done', () => {
    const t = resealed('every');
    t.part(t.slot('caliper'), 'resealed');
    hold(t, 'bench_high', ['70', '55'], 3);
    expect(t.component(t.slot('caliper')).verdict).to.equal('past');
  });
});
