import { expect } from 'chai';
import { checkLayout } from '../src/layout/check.ts';
import { addComponent, connect } from '../src/layout/edit.ts';
import { cornersOf, type Layout, type Slot } from '../src/layout/graph.ts';
import { AXLES, axleOf } from '../src/layout/kinds.ts';
import { controlsOf } from '../src/layout/reach.ts';
import { buildLayout } from '../src/layout/templates.ts';
import { disturbs } from '../src/readiness/disturbed.ts';
import { deriveJob } from '../src/job/job.ts';
import { id, JobFixture, LIMIT, NOW } from './jobFixture.ts';

const build = (template: string): Layout => buildLayout(template, 'l', 'v', id);
const at = (l: Layout, kind: Slot['kind'], corner: Slot['corner'] = null, name?: string): Slot =>
  l.slots.find((s) => s.kind === kind && s.corner === corner && (name === undefined || s.name === name))!;
const reachOf = (l: Layout, name: string) => controlsOf(l).find((c) => c.name === name)!.reach;
const codes = (l: Layout): string[] => checkLayout(l).map((f) => f.code);
const messages = (l: Layout): string[] => checkLayout(l).map((f) => f.message);
const without = (l: Layout, gone: (s: Slot) => boolean): Layout => {
  const ids = new Set(l.slots.filter(gone).map((s) => s.id));
  return {
    ...l,
    slots: l.slots.filter((s) => !ids.has(s.id)),
    connections: l.connections.filter((c) => !ids.has(c.from) && !ids.has(c.to)),
  };
};

describe('layouts beyond four wheels and two', () => {
  it('six wheels are three axles, a sidecar’s is a wheel beside, a trailer has one axle', () => {
    const axles = (template: string) => AXLES.filter((a) => cornersOf(build(template)).some((c) => axleOf(c) === a));
    expect(axles('six_wheels_drums')).to.deep.equal(['front', 'middle', 'rear']);
    expect(axles('sidecar_outfit')).to.deep.equal(['front', 'rear', 'side']);
    expect(axles('trailer_overrun')).to.deep.equal(['rear']);
    for (const t of ['six_wheels_drums', 'sidecar_outfit', 'trailer_overrun']) expect(codes(build(t)), t).to.deep.equal([]);
  });

  it('a middle axle has a limit of its own, which neither the front nor the rear takes', () => {
    const t = new JobFixture(['ML'], [], 'six_wheels_drums');
    t.file.job = { ...t.file.job, scopeCorners: ['FL', 'ML', 'RL'] };
    const limit = { ...LIMIT, id: 'mid', seriesId: 'mid', characteristic: 'drum_diameter' as const, bound: 'upper' as const, at: 256 };
    t.file.limits = [{ ...limit, nominal: 254, machineTo: null, axle: 'middle' }];
    const of = (corner: Slot['corner']) => {
      const drum = at(t.layout, 'drum', corner).id;
      t.gauge(
        drum,
        Array.from({ length: 12 }, () => '256.4'),
        { measurement: 'drum_diameter', count: 12 },
      );
      return deriveJob(t.file, NOW)
        .components.find((c) => c.slot.id === drum)!
        .judged.find((j) => j.characteristic.id === 'drum_diameter')!.verdict;
    };
    expect([of('ML'), of('FL'), of('RL')]).to.deep.equal(['past', 'no_limit', 'no_limit']);
  });

  it('the foot lever of an outfit reaches the sidecar’s wheel, and the hand lever does not', () => {
    const l = build('sidecar_outfit');
    const side = at(l, 'wheel_cylinder', 'S').id;
    expect([reachOf(l, 'Foot lever').has(side), reachOf(l, 'Hand lever').has(side)]).to.deep.equal([true, false]);
  });

  it('a trailer is pressed by its drawbar, which is locked by an open drum', () => {
    const t = new JobFixture(['RL', 'RR'], [], 'trailer_overrun');
    t.part(t.slot('drum', 'RL'), 'removed');
    const locks = deriveJob(t.file, NOW).context.proofStatus.locks.map((l) => l.control.name);
    expect(locks).to.include.members(['Drawbar', 'Parking lever']);
  });

  it('a drum on the shaft is the parking lever’s alone, holds only on both driven wheels, and says so', () => {
    const l = build('drums_shaft_brake');
    const shaft = ['drum', 'shoes', 'expander'].map((k) => at(l, k as Slot['kind']).id);
    expect(shaft.every((s) => reachOf(l, 'Parking lever').has(s))).to.equal(true);
    expect(shaft.some((s) => reachOf(l, 'Pedal').has(s))).to.equal(false);
    expect(reachOf(l, 'Parking lever').has(at(l, 'wheel_cylinder', 'RL').id)).to.equal(false);
    const t = new JobFixture(['FL'], [], 'drums_shaft_brake');
    const how = (): string => deriveJob(t.file, NOW).context.proofItems.find((i) => i.item === 'parking')!.how;
    expect(how()).to.match(/both driven wheels on the ground: with one lifted it holds nothing/);
    const plain = new JobFixture(['FL'], [], 'drums_single');
    expect(deriveJob(plain.file, NOW).context.proofItems.find((i) => i.item === 'parking')!.how).to.not.match(/driven wheels/);
  });

  it('a brake on the shaft is locked while a driven wheel hangs free, and says what holds instead', () => {
    const lockOfLever = (driven: 'front' | 'rear' | 'all' | null, corner: 'FL' | 'RL') => {
      const t = new JobFixture(['FL', 'RL'], [], 'drums_shaft_brake');
      t.file.vehicle = { ...t.file.vehicle, driven };
      t.part(t.slot('drum', corner), 'removed');
      return deriveJob(t.file, NOW).context.proofStatus.locks.find((l) => l.control.kind === 'parking') ?? null;
    };
    expect(lockOfLever('rear', 'RL')?.why).to.match(/rear left drum is off.*holds only through both driven wheels on the ground: chock it/);
    expect(lockOfLever(null, 'RL'), 'where nobody said').to.not.equal(null);
    expect(lockOfLever('rear', 'FL'), 'a wheel that is not driven').to.equal(null);
    expect(lockOfLever('all', 'FL')).to.not.equal(null);
    expect(lockOfLever('front', 'RL')).to.equal(null);
    // On the wheels themselves no such thing is said.
    const plain = new JobFixture(['RL'], [], 'drums_single');
    plain.part(plain.slot('drum', 'RL'), 'removed');
    const lever = deriveJob(plain.file, NOW).context.proofStatus.locks.find((l) => l.control.kind === 'parking');
    expect(lever?.why).to.not.match(/shaft/);
  });

  it('a caliper on a cable holds no fluid, grips alone, and is missed where nothing pulls it', () => {
    const l = build('discs_cable_calipers');
    const own = at(l, 'caliper', 'RL', 'Parking caliper');
    expect(disturbs(l, own, 'fitted'))
      .to.include('parking')
      .and.not.include('hydraulic');
    expect(disturbs(l, at(l, 'caliper', 'RL', 'Caliper'), 'fitted')).to.include('hydraulic');
    const loose = { ...l, connections: l.connections.filter((c) => c.to !== own.id) };
    expect(messages(loose)).to.deep.equal(['Nothing pulls the rear left parking caliper: no cable comes to it.']);
    // A disc that only a cable caliper grips is braked.
    const alone = without(l, (s) => s.circuits.includes(2) && s.corner === 'RL');
    expect(codes(alone).filter((c) => c === 'no_brake')).to.deep.equal([]);
    expect(codes(without(alone, (s) => s.id === own.id))).to.include('no_brake');
  });

  it('a cylinder that the parking lever presses is accepted, and what it feeds is the lever’s', () => {
    let l = build('single_seater_balance_bar');
    const added = (kind: Slot['kind'], circuit: number | null): Slot => {
      const before = new Set(l.slots.map((s) => s.id));
      l = addComponent(l, { kind, corner: null, circuit }, id);
      return l.slots.find((s) => s.kind === kind && !before.has(s.id))!;
    };
    const lever = added('parking_lever', null);
    const cylinder = added('master_cylinder', 3);
    l = connect(l, lever.id, cylinder.id, 'rod', id);
    const caliper = at(l, 'caliper', 'RL');
    l = { ...l, slots: l.slots.map((s) => (s.id === caliper.id ? { ...s, circuits: [...s.circuits, 3] } : s)) };
    expect(messages(l), 'the second circuit is not plumbed yet').to.include('No line of circuit 3 reaches the rear left caliper.');
    l = connect(l, cylinder.id, caliper.id, 'line', id);
    expect(messages(l).some((m) => m.startsWith('Nothing presses'))).to.equal(false);
    expect(messages(l)).to.include('Air of circuit 3 cannot be let out of the rear left caliper: no bleeder of it is on that circuit.');
    l = {
      ...l,
      slots: l.slots.map((s) => (s.kind === 'bleeder' && s.parentId === caliper.id ? { ...s, circuits: [...s.circuits, 3] } : s)),
    };
    expect(codes(l)).to.deep.equal([]);
    expect(reachOf(l, 'Parking lever').has(caliper.id)).to.equal(true);
    expect(reachOf(l, 'Parking lever').has(at(l, 'caliper', 'RR').id), 'not through the caliper into the other circuit').to.equal(false);
  });
});
