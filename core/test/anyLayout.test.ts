import { expect } from 'chai';
import fc from 'fast-check';
import { fluidState } from '../src/history/due.ts';
import { takesIn } from '../src/history/scope.ts';
import { deriveJob } from '../src/job/job.ts';
import { checkLayout } from '../src/layout/check.ts';
import { moveToCircuit } from '../src/layout/circuits.ts';
import { disconnect, removeComponent } from '../src/layout/edit.ts';
import { counterpart, isHydraulic, type Layout, neighbours, pathFromMaster, placeName, walk } from '../src/layout/graph.ts';
import { controlsOf, sharesReservoir } from '../src/layout/reach.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import { bleedersFedThrough } from '../src/readiness/disturbed.ts';
import { jointsOf } from '../src/readiness/joints.ts';
import { bleedOrder } from '../src/stages/bleed/order.ts';
import { intakeRows } from '../src/stages/bookin/intake.ts';
import { workingLayout } from './layouts.ts';
import { base, fileOn, id } from './jobFixture.ts';

const NOW = '2026-05-20T12:00:00.000Z';
const RUNS = { numRuns: 60 };
const units = (l: Layout) =>
  l.slots.filter((s) => (s.kind === 'caliper' && s.style !== 'cable') || s.kind === 'wheel_cylinder' || s.kind === 'clutch_slave');

describe('whatever layout can work', () => {
  it('names every place once, and each neighbour knows the other', () => {
    fc.assert(
      fc.property(workingLayout, (l) => {
        expect(new Set(l.slots.map(placeName)).size).to.equal(l.slots.length);
        for (const s of l.slots) for (const n of neighbours(l, s.id)) expect(neighbours(l, n)).to.include(s.id);
        for (const s of l.slots) {
          const other = counterpart(l, s);
          if (other) expect(counterpart(l, other)?.kind).to.equal(s.kind);
        }
      }),
      RUNS,
    );
  });

  it('is bled at every bleeder once, circuit by circuit, and whatever is opened is fed through to one of its own', () => {
    fc.assert(
      fc.property(workingLayout, (l) => {
        const order = bleedOrder(l);
        expect(order.map((s) => s.bleeder.id).sort()).to.deep.equal(
          l.slots
            .filter((s) => s.kind === 'bleeder')
            .map((s) => s.id)
            .sort(),
        );
        const circuits = order.map((s) => s.circuit);
        circuits.forEach((c, i) => {
          if (i > 0 && circuits[i - 1] !== c) expect(circuits.slice(0, i), 'a circuit is finished before the next').to.not.include(c);
        });
        for (const u of units(l)) {
          expect(pathFromMaster(l, u.id).length, placeName(u)).to.be.above(1);
          expect(bleedersFedThrough(l, u).length, placeName(u)).to.be.above(0);
        }
      }),
      RUNS,
    );
  });

  it('every unit is reached by a control, and a control by itself alone where no reservoir is shared', () => {
    fc.assert(
      fc.property(workingLayout, (l) => {
        const controls = controlsOf(l);
        for (const u of units(l))
          expect(
            controls.some((c) => c.reach.has(u.id)),
            placeName(u),
          ).to.equal(true);
        for (const c of controls) for (const other of sharesReservoir(l, c, controls)) expect(other.slotId).to.not.equal(c.slotId);
      }),
      RUNS,
    );
  });

  it('every line has two joints, each with a name, and none is open before anything was done', () => {
    fc.assert(
      fc.property(workingLayout, (l) => {
        const joints = jointsOf(l);
        expect(joints).to.have.length(2 * l.connections.filter((c) => c.kind === 'line').length);
        expect(new Set(joints.map((j) => j.key)).size).to.equal(joints.length);
        const state = deriveJob(fileOn(l), NOW);
        expect(state.context.proofStatus.locks).to.deep.equal([]);
        for (const p of state.context.proofStatus.places) expect(p.state, placeName(p.slot)).to.equal('complete');
      }),
      RUNS,
    );
  });

  it('a job on it can be derived, takes in what its corners hold, and asks for no fluid where there is none', () => {
    fc.assert(
      fc.property(workingLayout, (l) => {
        const records = fileOn(l);
        const state = deriveJob(records, NOW);
        for (const c of state.components) expect(c.inScope).to.equal(takesIn(records.job, l, c.slot));
        const bleeds = state.obligations.filter((o) => o.stage === 'bleed');
        if (!isHydraulic(l)) expect(bleeds).to.deep.equal([]);
        expect(new Set(state.obligations.map((o) => o.key)).size, 'each obligation once').to.equal(state.obligations.length);
        expect(fluidState(l, { services: [], pulls: [] }, records.vehicle, NOW)).to.equal(null);
        const asked = intakeRows(l, []);
        expect(new Set(asked.map((r) => `${r.corner}${r.thing}`)).size).to.equal(asked.length);
      }),
      RUNS,
    );
  });

  it('a part away at any wheel locks a control that reaches it, and none that does not', () => {
    fc.assert(
      fc.property(workingLayout, fc.nat(), (l, pick) => {
        const wheels = l.slots.filter((s) => (s.kind === 'caliper' && s.style !== 'cable') || s.kind === 'wheel_cylinder');
        if (wheels.length === 0) return;
        const away = wheels[pick % wheels.length]!;
        const records = fileOn(l);
        const gone = {
          ...base(9000),
          partId: `part:${away.id}`,
          kind: 'removed' as const,
          slotId: away.id,
          note: '',
          temporary: false,
          until: null,
          lot: null,
          lineOn: false,
        };
        const { locks } = deriveJob({ ...records, partEvents: [...records.partEvents, gone] }, NOW).context.proofStatus;
        const locked = new Set(locks.map((k) => k.control.slotId));
        for (const c of controlsOf(l))
          expect(locked.has(c.slotId), `${c.name} with ${placeName(away)} away`).to.equal(c.reach.has(away.id));
      }),
      RUNS,
    );
  });

  it('a line taken off is missed, and so is a unit’s last bleeder', () => {
    fc.assert(
      fc.property(workingLayout, fc.nat(), (l, pick) => {
        const lines = l.connections.filter((c) => c.kind === 'line');
        if (lines.length === 0) return;
        const cut = disconnect(l, lines[pick % lines.length]!.id);
        expect(checkLayout(cut).some((f) => f.code === 'unreached' || f.code === 'open_end')).to.equal(true);
        const bleeders = l.slots.filter((s) => s.kind === 'bleeder');
        const bleeder = bleeders[pick % bleeders.length]!;
        const bare = removeComponent(l, bleeder.id, id);
        const mates = bleeders.filter((b) => b.corner === bleeder.corner && b.corner !== null && b.circuits[0] === bleeder.circuits[0]);
        if (mates.length < 2) expect(checkLayout(bare).map((f) => f.code)).to.include('no_bleeder');
      }),
      RUNS,
    );
  });

  it('a unit moved to another circuit is whole there, or the move is refused in words', () => {
    fc.assert(
      fc.property(workingLayout, fc.nat(), fc.integer({ min: 1, max: 3 }), (l, pick, circuit) => {
        const wheels = units(l).filter((u) => u.kind !== 'clutch_slave');
        if (wheels.length === 0) return;
        const unit = wheels[pick % wheels.length]!;
        let after: Layout;
        try {
          after = moveToCircuit(l, unit.id, circuit, id);
        } catch (error) {
          expect(error).to.be.instanceOf(DomainError);
          expect((error as DomainError).message).to.match(/^[A-Z].*\.$/);
          return;
        }
        const moved = after.slots.find((s) => s.id === unit.id)!;
        expect(moved.circuits).to.deep.equal([circuit]);
        const path = pathFromMaster(after, unit.id);
        expect(path.length, 'it is still reached').to.be.above(1);
        for (const on of path) expect(after.slots.find((s) => s.id === on)!.circuits).to.include(circuit);
        const faults = checkLayout(after).filter((f) => f.code !== 'no_cylinder' && f.code !== 'open_end');
        expect(faults.map((f) => f.message)).to.deep.equal([]);
      }),
      RUNS,
    );
  });

  it('the arrows of the map lead along it and never off it', () => {
    fc.assert(
      fc.property(workingLayout, fc.nat(), fc.constantFrom('up', 'down', 'left', 'right'), (l, pick, direction) => {
        const at = new Map(l.slots.map((s, i) => [s.id, { x: (i * 61) % 384, y: (i * 89) % 380 }]));
        const from = l.slots[pick % l.slots.length]!;
        const to = walk(l, from.id, direction, at);
        if (to !== null) expect(at.has(to) && to !== from.id).to.equal(true);
      }),
      RUNS,
    );
  });
});
