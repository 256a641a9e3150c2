import { expect } from 'chai';
import fc from 'fast-check';
import { revisionBlocks } from '../src/history/revise.ts';
import { checkLayout, type LayoutIssueCode } from '../src/layout/check.ts';
import { moveToCircuit } from '../src/layout/circuits.ts';
import { compareLayouts } from '../src/layout/compare.ts';
import {
  addComponent,
  addWheel,
  changeComponent,
  changeConnection,
  connect,
  disconnect,
  insertInLine,
  MAX_PISTONS,
  removeComponent,
  removeWheel,
  setPistons,
} from '../src/layout/edit.ts';
import { planOfLayout } from '../src/hydraulics/ofLayout.ts';
import { childrenOf, type Layout, pathFromMaster, placeName, type Slot } from '../src/layout/graph.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { base, JobFixture } from './jobFixture.ts';

let n = 0;
const makeId = (): string => `e${(n += 1)}`;
const build = (template: string): Layout => buildLayout(template, 'l', 'v', makeId);
const saloon = (): Layout => build('saloon_disc_drum_single');
const coupe = (): Layout => build('coupe_disc_disc_tandem_servo');
const slotOf = (l: Layout, kind: Slot['kind'], corner: Slot['corner'] = null): Slot =>
  l.slots.find((s) => s.kind === kind && (corner === null || s.corner === corner))!;
const codes = (l: Layout): LayoutIssueCode[] => checkLayout(l).map((f) => f.code);
const template = fc.constantFrom(...TEMPLATES.map((t) => t.id));
const refuses = (act: () => unknown, code: string): void => {
  let caught: unknown = null;
  try {
    act();
  } catch (error) {
    caught = error;
  }
  expect(caught).to.be.instanceOf(DomainError);
  expect((caught as DomainError).code).to.equal(code);
};

describe('a layout that is checked', () => {
  for (const t of TEMPLATES)
    it(`${t.name}: nothing is wrong with it as it comes`, () => expect(checkLayout(build(t.id))).to.deep.equal([]));
  const broken: readonly [LayoutIssueCode, string, () => Layout][] = [
    ['empty', 'nothing in it', () => ({ ...saloon(), slots: [], connections: [] })],
    ['unreached', 'a line gone', () => ({ ...saloon(), connections: saloon().connections.filter((c) => c.kind !== 'line') })],
    ['no_cylinder', 'the cylinder gone', () => saloon()],
    ['dangling', 'a line to a place that is not there', () => saloon()],
    ['open_end', 'a hose that leads nowhere', () => addComponent(saloon(), { kind: 'hose', corner: 'FL', circuit: 1 }, makeId)],
    ['no_bleeder', 'a caliper without a bleeder', () => saloon()],
    ['not_pressed', 'a cylinder without a rod', () => saloon()],
    ['no_brake', 'a rotor alone', () => saloon()],
    ['same_name', 'two of one name', () => saloon()],
    ['other_circuit', 'a line between two circuits', () => coupe()],
    ['too_many_circuits', 'a single cylinder with two circuits', () => coupe()],
    ['to_itself', 'a line to itself', () => saloon()],
  ];
  const spoil: Readonly<Record<string, (l: Layout) => Layout>> = {
    dangling: (l) => ({ ...l, connections: [...l.connections.slice(1), { ...l.connections[0]!, to: 'nowhere' }] }),
    no_cylinder: (l) => removeComponent(l, slotOf(l, 'master_cylinder').id, makeId),
    no_bleeder: (l) => removeComponent(l, slotOf(l, 'bleeder', 'FL').id, makeId),
    not_pressed: (l) => ({ ...l, connections: l.connections.filter((c) => c.kind !== 'rod') }),
    no_brake: (l) => removeComponent(l, slotOf(l, 'caliper', 'FL').id, makeId),
    same_name: (l) => ({ ...l, slots: l.slots.map((s) => (s.kind === 'hose' ? { ...s, name: 'Hose', corner: null } : s)) }),
    other_circuit: (l) => ({
      ...l,
      connections: [
        ...l.connections,
        {
          id: makeId(),
          from: slotOf(l, 'caliper', 'FL').id,
          to: slotOf(l, 'caliper', 'RL').id,
          kind: 'line',
          circuit: 1,
          lengthMm: null,
          boreMm: null,
        },
      ],
    }),
    too_many_circuits: (l) => changeComponent(l, slotOf(l, 'master_cylinder').id, { style: 'single' }),
    to_itself: (l) => {
      const { id } = slotOf(l, 'caliper');
      return {
        ...l,
        connections: [...l.connections, { id: makeId(), from: id, to: id, kind: 'line', circuit: 1, lengthMm: null, boreMm: null }],
      };
    },
  };
  for (const [code, what, layout] of broken)
    it(`${what} is said, with the place`, () => {
      const start = code in spoil ? spoil[code]!(layout()) : layout();
      const found = checkLayout(start).filter((f) => f.code === code);
      expect(found, code).to.not.have.length(0);
      for (const f of found) {
        expect(f.message).to.match(/^[A-Z0-9].*\.$/);
        expect(f.flag.length).to.be.within(2, 20);
        if (code === 'empty') continue;
        expect(f.slotIds.length).to.be.above(0);
        for (const id of f.slotIds) expect(start.slots.some((s) => s.id === id)).to.equal(true);
      }
    });
  it('rods and cables have no circuits and none of the hydraulic faults', () => {
    const rods = build('utility_rods');
    expect(rods.slots.flatMap((s) => s.circuits)).to.deep.equal([]);
    expect(codes({ ...rods, connections: [] })).to.deep.equal(['no_brake', 'no_brake', 'no_brake', 'no_brake']);
  });
});

describe('a layout that is changed', () => {
  it('keeps the id and everything else of what was not touched', () => {
    fc.assert(
      fc.property(template, fc.nat(), (t, pick) => {
        const before = build(t);
        const lines = before.connections.filter((c) => c.kind === 'line');
        if (lines.length === 0) return;
        const after = insertInLine(before, lines[pick % lines.length]!.id, 'union', makeId);
        const d = compareLayouts(before, after);
        expect(d.removed).to.deep.equal([]);
        expect(d.changed).to.deep.equal([]);
        expect(d.added).to.have.length(1);
        expect(checkLayout(after)).to.deep.equal([]);
      }),
    );
  });
  it('closes the line over what is taken out of it, as long as it was', () => {
    fc.assert(
      fc.property(template, fc.nat(), fc.constantFrom('union', 'valve', 'hose', 'switch'), (t, pick, kind) => {
        const before = build(t);
        const lines = before.connections.filter((c) => c.kind === 'line');
        if (lines.length === 0) return;
        const put = insertInLine(before, lines[pick % lines.length]!.id, kind, makeId);
        const [added] = compareLayouts(before, put).added;
        const after = removeComponent(put, added!.id, makeId);
        expect(checkLayout(after)).to.deep.equal([]);
        const ways = (l: Layout): number[] => planOfLayout(l).bleeders.map((b) => Math.round(b.pathMm * 1e6));
        expect(ways(after)).to.deep.equal(ways(before));
        expect(after.slots).to.deep.equal(before.slots);
      }),
    );
  });
  it('gives a caliper one to six pistons and keeps those that stay', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: MAX_PISTONS }), fc.integer({ min: 1, max: MAX_PISTONS }), (first, second) => {
        const l = saloon();
        const { id } = slotOf(l, 'caliper', 'FL');
        const pistons = (x: Layout): Slot[] => childrenOf(x, id).filter((s) => s.kind === 'piston');
        const one = setPistons(l, id, first, 54, makeId);
        const two = setPistons(one, id, second, 48, makeId);
        expect(pistons(two)).to.have.length(second);
        expect(new Set(two.slots.map(placeName)).size).to.equal(two.slots.length);
        const kept = pistons(one).slice(0, Math.min(first, second));
        expect(pistons(two).map((s) => s.id)).to.include.members(kept.map((s) => s.id));
        for (const p of pistons(two)) expect(p.boreMm).to.equal(48);
      }),
    );
    const l = saloon();
    for (const count of [0, 7, 1.5]) refuses(() => setPistons(l, slotOf(l, 'caliper').id, count, 54, makeId), 'piston_count');
  });
  it('moves a wheel to the other circuit with its hose, and leaves a layout that works', () => {
    for (const corner of ['FL', 'FR', 'RL', 'RR'] as const) {
      const l = coupe();
      const unit = slotOf(l, 'caliper', corner);
      const to = unit.circuits[0] === 1 ? 2 : 1;
      const after = moveToCircuit(l, unit.id, to, makeId);
      expect(checkLayout(after), corner).to.deep.equal([]);
      const here = after.slots.filter((s) => s.corner === corner && s.circuits.length > 0);
      for (const s of here) expect(s.circuits, placeName(s)).to.deep.equal([to]);
      expect(pathFromMaster(after, unit.id).length).to.be.above(1);
      const others = l.slots.filter((s) => s.corner !== corner && s.corner !== null);
      expect(after.slots.filter((s) => s.corner !== corner && s.corner !== null)).to.deep.equal(others);
    }
  });
  it('moves a whole axle at its union, and makes a tandem of a cylinder only where it is one', () => {
    const l = coupe();
    const union = l.slots.find((s) => s.name === 'Rear union')!;
    const after = moveToCircuit(l, union.id, 1, makeId);
    expect(
      checkLayout({
        ...after,
        slots: after.slots.map((s) => (s.kind === 'master_cylinder' || s.kind === 'reservoir' ? { ...s, circuits: [1] } : s)),
      }),
    ).to.deep.equal([]);
    for (const corner of ['RL', 'RR'] as const) expect(slotOf(after, 'caliper', corner).circuits).to.deep.equal([1]);
    const single = saloon();
    const unit = slotOf(single, 'caliper', 'FL');
    refuses(() => moveToCircuit(single, unit.id, 2, makeId), 'no_cylinder');
    const tandem = changeComponent(single, slotOf(single, 'master_cylinder').id, { style: 'tandem' });
    const split = moveToCircuit(tandem, unit.id, 2, makeId);
    expect(checkLayout(split)).to.deep.equal([]);
    expect(slotOf(split, 'master_cylinder').circuits).to.deep.equal([1, 2]);
  });
  it('refuses what cannot be, in words', () => {
    const l = coupe();
    refuses(() => moveToCircuit(l, slotOf(l, 'rotor').id, 2, makeId), 'mechanical');
    refuses(() => moveToCircuit(l, slotOf(l, 'master_cylinder').id, 2, makeId), 'is_cylinder');
    refuses(() => connect(l, 'x', slotOf(l, 'rotor').id, 'rod', makeId), 'no_place');
    refuses(() => connect(l, slotOf(l, 'rotor').id, slotOf(l, 'rotor').id, 'rod', makeId), 'same_place');
    refuses(() => connect(l, slotOf(l, 'caliper', 'FL').id, slotOf(l, 'caliper', 'RL').id, 'line', makeId), 'other_circuit');
    const line = l.connections.find((c) => c.kind === 'line')!;
    refuses(() => connect(l, line.to, line.from, 'line', makeId), 'already_connected');
    refuses(() => changeComponent(l, slotOf(l, 'hose').id, { lengthMm: -3 }), 'not_positive');
    refuses(() => changeComponent(l, slotOf(l, 'hose').id, { name: '  ' }), 'no_name');
    refuses(() => changeConnection(l, line.id, { boreMm: 0 }), 'not_positive');
    refuses(() => insertInLine(l, line.id, 'pedal', makeId), 'not_in_line');
    refuses(() => insertInLine(l, 'x', 'union', makeId), 'no_line');
    refuses(() => addComponent(l, { kind: 'pedal', corner: 'FL', circuit: null }, makeId), 'at_wheel');
    refuses(() => addComponent(l, { kind: 'drum', corner: null, circuit: null }, makeId), 'at_wheel');
    refuses(() => addWheel(l, 'FL', { unit: 'disc', circuit: 1, hoses: 'wheel' }, makeId), 'wheel_there');
    refuses(() => addWheel(l, 'F', { unit: 'disc', circuit: 1, hoses: 'wheel' }, makeId), 'wheel_there');
  });
  it('turns drums into discs: the wheel out, another in, its line joined again', () => {
    let l = saloon();
    const union = l.slots.find((s) => s.name === 'Rear union')!;
    for (const corner of ['RL', 'RR'] as const) {
      l = removeWheel(l, corner);
      l = addWheel(l, corner, { unit: 'disc', circuit: 1, caliper: 'floating', pistons: 1, pistonMm: 38.1, hoses: 'axle' }, makeId);
      expect(codes(l)).to.include('unreached');
      l = connect(l, union.id, slotOf(l, 'caliper', corner).id, 'line', makeId);
    }
    expect(checkLayout(l)).to.deep.equal([]);
    expect(disconnect(l, l.connections.at(-1)!.id).connections).to.have.length(l.connections.length - 1);
  });
  it('a new place takes the circuit of what it is joined to, with what sits in it', () => {
    const l = coupe();
    const added = addComponent(l, { kind: 'union', corner: null, circuit: 1 }, makeId);
    const [union] = compareLayouts(l, added).added;
    const rear = l.slots.find((s) => s.name === 'Rear union')!;
    const joined = connect(added, rear.id, union!.id, 'line', makeId);
    expect(joined.slots.find((s) => s.id === union!.id)!.circuits).to.deep.equal([2]);
  });
  it('names what it adds so that no two places are called the same', () => {
    fc.assert(
      fc.property(
        template,
        fc.array(fc.constantFrom('union', 'valve', 'hand_lever', 'equaliser', 'switch', 'reservoir'), { maxLength: 6 }),
        (t, kinds) => {
          const l = kinds.reduce<Layout>((x, kind) => addComponent(x, { kind, corner: null, circuit: 1 }, makeId), build(t));
          expect(new Set(l.slots.map(placeName)).size).to.equal(l.slots.length);
        },
      ),
    );
  });
});

describe('a layout that is revised during a job', () => {
  const fresh = (): { told: JobFixture; valve: Slot; without: () => Layout } => {
    const told = new JobFixture();
    const valve = slotOf(told.file.layout, 'valve');
    return { told, valve, without: () => removeComponent(told.file.layout, valve.id, makeId) };
  };
  it('may lose what nothing was recorded of', () => {
    const { told, without } = fresh();
    for (const revision of ['correction', 'conversion'] as const) expect(revisionBlocks(told.file, without(), revision)).to.deep.equal([]);
  });
  it('is a conversion where something was recorded, not a correction', () => {
    const { told, valve, without } = fresh();
    const seen = told.find(valve.id, { severity: 'doubt' });
    expect(revisionBlocks(told.file, without(), 'correction')[0]!.slots.map((s) => s.id)).to.deep.equal([valve.id]);
    expect(revisionBlocks(told.file, without(), 'conversion')).to.deep.equal([]);
    told.takeBack(seen.id);
    expect(revisionBlocks(told.file, without(), 'correction')).to.deep.equal([]);
  });
  it('waits for what was put in to come out', () => {
    const { told, valve, without } = fresh();
    const plug = { ...base(told.next()), slotId: valve.id, what: 'plug' as const, note: '' };
    told.file.putIns = [...told.file.putIns, plug];
    expect(revisionBlocks(told.file, without(), 'conversion')).to.have.length(1);
    told.file.takenOuts = [...told.file.takenOuts, { ...base(told.next()), putInId: plug.id }];
    expect(revisionBlocks(told.file, without(), 'conversion')).to.deep.equal([]);
  });
  it('never turns a place into another kind of thing', () => {
    const { told, valve } = fresh();
    const { layout } = told.file;
    const turned = { ...layout, slots: layout.slots.map((s) => (s.id === valve.id ? { ...s, kind: 'union' as const } : s)) };
    for (const revision of ['correction', 'conversion'] as const) expect(revisionBlocks(told.file, turned, revision)).to.have.length(1);
  });
});
