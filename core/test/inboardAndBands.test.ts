import { expect } from 'chai';
import fc from 'fast-check';
import { measurementsAt } from '../src/catalogue/measurements.ts';
import { deriveJob } from '../src/job/job.ts';
import { cutOf } from '../src/judging/cutting.ts';
import { checkLayout } from '../src/layout/check.ts';
import { addWheel, removeWheel } from '../src/layout/edit.ts';
import { isInboard, type Slot } from '../src/layout/graph.ts';
import { controlsOf } from '../src/layout/reach.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { openHistory } from '../src/history/jobHistory.ts';
import { turning, turningOutside } from '../src/metrology/drum.ts';
import { disturbs } from '../src/readiness/disturbed.ts';
import { whyNotDone } from '../src/readiness/workRefusal.ts';
import { networkOf } from '../src/stages/trace/network.ts';
import { contextOf } from '../src/views/trace/context.ts';
import { TABLES } from '../src/catalogue/trace/tables.ts';
import { onlyNowInboard } from '../src/views/onlyNow.ts';
import { base, id, JobFixture, LIMIT, NOW } from './jobFixture.ts';

const INBOARD = 'discs_inboard_rear';
const BANDS = 'bands_rear_rods';
const ofKind = (t: JobFixture, kind: Slot['kind'], corner: Slot['corner']): Slot =>
  t.layout.slots.find((s) => s.kind === kind && s.corner === corner)!;
const open = (t: JobFixture) => deriveJob(t.file, NOW).obligations.filter((o) => o.state === 'open');
const renew = (t: JobFixture, slot: Slot): void => {
  t.part(slot.id, 'removed');
  t.part(slot.id, 'fitted', `new:${slot.id}`);
};

describe('a brake at the final drive', () => {
  it('is one whose hub is the drive’s flange, and only that', () => {
    const t = new JobFixture(['RL'], [], INBOARD);
    expect(isInboard(t.layout, ofKind(t, 'rotor', 'RL'))).to.equal(true);
    expect(isInboard(t.layout, ofKind(t, 'rotor', 'FL'))).to.equal(false);
    expect(isInboard(t.layout, ofKind(t, 'pedal', null))).to.equal(false);
    expect(checkLayout(t.layout)).to.deep.equal([]);
  });

  it('owes a look for oil from the drive, and its flange bolts a figure once the rotor is on again', () => {
    const t = new JobFixture(['FL', 'RL'], [], INBOARD);
    const flange = ofKind(t, 'hub', 'RL');
    const looks = (s: Slot) => open(t).filter((o) => o.duty.kind === 'look' && o.slotId === s.id);
    expect(looks(flange).map((o) => o.what)).to.deep.equal(['Rear left drive flange: look for oil from the final drive']);
    expect(looks(ofKind(t, 'hub', 'FL')).map((o) => o.what)).to.deep.equal(['Look at the front left hub']);
    const bolts = () => open(t).filter((o) => o.duty.kind === 'torque' && o.slotId === flange.id);
    expect(bolts()).to.deep.equal([]);
    for (const corner of ['FL', 'RL'] as const) renew(t, ofKind(t, 'rotor', corner));
    expect(bolts().map((o) => o.what)).to.deep.equal(['Torque of rear left drive flange bolts']);
    expect(
      open(t).some((o) => o.duty.kind === 'torque' && o.slotId === ofKind(t, 'hub', 'FL').id),
      'a rotor under a wheel',
    ).to.equal(false);
  });

  it('has no end float of a wheel bearing to be held against', () => {
    const t = new JobFixture(['FL', 'RL'], [], INBOARD);
    for (const corner of ['FL', 'RL'] as const) t.gauge(ofKind(t, 'hub', corner).id, ['0.09'], { measurement: 'hub_end_float', count: 1 });
    const verdict = (corner: 'FL' | 'RL') =>
      t.component(ofKind(t, 'hub', corner).id).judged.find((j) => j.characteristic.id === 'hub_end_float')!.verdict;
    expect(verdict('FL')).to.equal('past');
    expect(verdict('RL')).to.equal('no_limit');
  });

  it('oil found there owes a look at the linings of that brake, not at the others', () => {
    const t = new JobFixture(['RL', 'RR'], [], INBOARD);
    const owed = () => open(t).flatMap((o) => (/oil in the lining/.test(o.what) ? [o.slotId] : []));
    expect(owed()).to.deep.equal([]);
    t.find(ofKind(t, 'hub', 'RL').id, { code: 'oil_here', severity: 'reject' });
    expect(owed()).to.deep.equal([ofKind(t, 'pads', 'RL').id]);
  });

  it('what was off to reach it is a thing to put back, locks nothing, and says before what cannot be done after', () => {
    const t = new JobFixture(['RL'], [], INBOARD);
    const rotor = ofKind(t, 'rotor', 'RL');
    renew(t, rotor);
    const wayIn = { ...base(t.next()), slotId: rotor.id, what: 'way_in' as const, note: 'rear seat and floor' };
    const before = deriveJob(t.file, NOW).context.proofStatus.locks.length;
    t.file.putIns = [wayIn];
    const s = deriveJob(t.file, NOW);
    expect(s.context.proofStatus.locks.length).to.equal(before);
    expect(
      open(t)
        .filter((o) => o.duty.kind === 'out')
        .map((o) => o.what),
    ).to.deep.equal(['What was off to reach the rear left rotor goes back: body, floor or tank']);
    const now = onlyNowInboard(s, rotor).map((x) => x.what);
    expect(now)
      .to.include('Torque of rear left drive flange bolts')
      .and.include('Rear left drive flange: look for oil from the final drive');
    expect(
      now.some((w) => /goes back/.test(w)),
      'not itself',
    ).to.equal(false);
    expect(onlyNowInboard(s, ofKind(t, 'pedal', null))).to.deep.equal([]);
  });
});

describe('a band that grips a drum from outside', () => {
  it('is drawn by pedal or lever, and missed where it has no band or nothing draws it', () => {
    const t = new JobFixture(['RL', 'RR'], [], BANDS);
    expect(checkLayout(t.layout)).to.deep.equal([]);
    const reach = (name: string) => controlsOf(t.layout).find((c) => c.name === name)!.reach;
    const shaft = ofKind(t, 'band', null).id;
    expect(reach('Parking lever').has(shaft)).to.equal(true);
    expect(reach('Pedal').has(shaft)).to.equal(false);
    expect(reach('Pedal').has(ofKind(t, 'band', 'RL').id)).to.equal(true);
    const band = ofKind(t, 'band', 'RL').id;
    const bare = { ...t.layout, slots: t.layout.slots.filter((s) => s.id !== band) };
    expect(checkLayout(bare).map((f) => f.message)).to.deep.equal(['Nothing grips the rear left band drum: it has no band.']);
    const drum = ofKind(t, 'band_drum', 'RL').id;
    const loose = { ...t.layout, connections: t.layout.connections.filter((c) => c.to !== drum) };
    expect(checkLayout(loose).map((f) => f.message)).to.deep.equal(['Nothing draws the band of the rear left band drum together.']);
  });

  it('can be added and taken out as a whole wheel, never beside another brake', () => {
    const l = buildLayout(BANDS, 'l', 'v', id);
    const axle = { unit: 'band', circuit: null, hoses: 'wheel' } as const;
    expect(() => addWheel(l, 'RL', axle, id)).to.throw('There is a brake at this wheel already');
    const more = addWheel(l, 'FL', axle, id);
    expect(more.slots.filter((s) => s.corner === 'FL').map((s) => s.kind)).to.deep.equal(['band_drum', 'band', 'hub']);
    expect(removeWheel(more, 'FL').slots).to.deep.equal(l.slots);
  });

  it('wears its drum smaller: a least diameter is the limit, and a cut may not go under machine-to', () => {
    const t = new JobFixture(['RL', 'RR'], [], BANDS);
    const drum = ofKind(t, 'band_drum', 'RL');
    expect(measurementsAt(drum).map((m) => m.id))
      .to.include('band_drum_diameter')
      .and.not.include('drum_diameter');
    t.file.limits = [
      {
        ...LIMIT,
        id: 'bd',
        seriesId: 'bd',
        characteristic: 'band_drum_diameter',
        bound: 'lower',
        axle: null,
        nominal: 254,
        machineTo: 251,
        at: 250,
      },
    ];
    const gauge = (figure: string) => t.gauge(drum.id, [figure, figure, figure, figure], { measurement: 'band_drum_diameter', count: 4 });
    const judged = () => t.component(drum.id).judged.find((j) => j.characteristic.id === 'band_drum_diameter')!;
    gauge('252.60');
    t.gauge(drum.id, ['0.30'], { measurement: 'band_drum_surface', count: 1 });
    expect(judged().verdict).to.equal('holds');
    const cut = () => cutOf(openHistory(t.file), drum, t.component(drum.id).judged, null);
    // 252.60 − 2 (0.30 + 0.05): the radial runout is told to be taken as none.
    expect(cut()).to.deep.include({ state: 'turnable', machineTo: 251, takenAsNone: ['radial_runout'] });
    expect(cut()!.after).to.be.closeTo(251.9, 1e-9);
    gauge('251.40');
    expect(cut()).to.deep.include({ state: 'usable_not_turnable' });
    gauge('249.40');
    expect(judged().verdict).to.equal('past');
    expect(cut()).to.deep.include({ state: 'past_discard' });
  });

  it('cuts outside as other drums are cut inside, turned inside out', () => {
    const mm = fc.double({ min: 0, max: 3, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 100, max: 400, noNaN: true }), mm, mm, mm, mm, (size, wear, score, wobble, room) => {
        const inside = turning({
          max: size + wear,
          discard: size + room + 1,
          machineTo: size + room,
          scoreDepth: score,
          radialWobble: wobble,
        });
        const outside = turningOutside({
          min: size - wear,
          discard: size - room - 1,
          machineTo: size - room,
          scoreDepth: score,
          radialWobble: wobble,
        });
        expect(outside.state).to.equal(inside.state);
        expect(size - outside.after).to.be.closeTo(inside.after - size, 1e-9);
      }),
    );
    expect(() => turningOutside({ min: 250, discard: 249, machineTo: 248 })).to.throw('Machine-to cannot lie under discard.');
  });

  it('stands before its drum, ends what was proved of pedal and lever, and asks for its clearance once it is renewed', () => {
    const t = new JobFixture(['RL', 'RR'], [], BANDS);
    const [band, drum] = [ofKind(t, 'band', 'RL'), ofKind(t, 'band_drum', 'RL')];
    const why = () => {
      const last = t.file.partEvents.at(-1)!;
      return whyNotDone(openHistory({ ...t.file, partEvents: t.file.partEvents.slice(0, -1) }), last, last.happenedAt);
    };
    t.part(drum.id, 'removed');
    expect(why()).to.match(/rear left band/);
    t.file.partEvents = t.file.partEvents.slice(0, -1);
    t.part(band.id, 'removed');
    expect(why()).to.equal(null);
    t.part(drum.id, 'removed');
    expect(why()).to.equal(null);
    expect(disturbs(t.layout, band, 'fitted'))
      .to.include.members(['lining', 'pushed'])
      .and.not.include('hydraulic');
    expect(disturbs(t.layout, ofKind(t, 'band', null), 'fitted')).to.include('parking');
    t.part(drum.id, 'fitted', `part:${drum.id}`);
    t.decide(band.id, 'replace');
    t.part(band.id, 'fitted', `new:${band.id}`);
    expect(open(t).some((o) => o.duty.kind === 'gauge' && o.slotId === band.id && o.duty.measurement === 'band_clearance')).to.equal(true);
  });

  it('is traced: what drags, pulls or grips badly at a band is looked for at the band', () => {
    const t = new JobFixture(['RL', 'RR'], [], BANDS);
    const network = networkOf(t.layout, contextOf(deriveJob(t.file, NOW)), TABLES);
    const atBand = network.faults.filter((f) => f.slot?.kind === 'band' && f.slot.corner === 'RL').map((f) => f.kind.id);
    expect(atBand).to.deep.equal(['band_worn', 'band_contaminated', 'band_tight', 'band_hangs', 'band_unset']);
    const drags = network.observations.find((o) => o.code === 'drags' && o.corner === 'RL')!;
    const makes = network.faults.filter((f) => drags.strengths[f.id] !== undefined).map((f) => f.kind.id);
    expect(makes).to.include.members(['band_tight', 'band_hangs']).and.not.include('shoe_springs');
  });
});
