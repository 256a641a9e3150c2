import { expect } from 'chai';
import fc from 'fast-check';
import { CAUTIONS, cautionsAt, type CautionStep } from '../src/catalogue/cautions.ts';
import { MEASUREMENTS } from '../src/catalogue/measurements.ts';
import { GROUPS, observationFacts, observationKey, OBSERVATIONS } from '../src/catalogue/observations.ts';
import { looksAt, PROGRAMME, programmeFor } from '../src/catalogue/programme.ts';
import { proofItems } from '../src/catalogue/proofItems.ts';
import { circuitName } from '../src/wording/en/history.ts';
import { checkLayout } from '../src/layout/check.ts';
import { childrenOf, counterpart, isHydraulic, type Layout, neighbours, pathFromMaster, placeName, walk } from '../src/layout/graph.ts';
import { KIND_FACTS, otherSide } from '../src/layout/kinds.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import { bleedersFedThrough } from '../src/readiness/disturbed.ts';
import { bleedOrder } from '../src/stages/bleed/order.ts';
import { id } from './jobFixture.ts';

const build = (template: string): Layout => buildLayout(template, 'l', 'v', id);
const HYDRAULIC = TEMPLATES.filter((t) => isHydraulic(build(t.id)));

describe('every layout', () => {
  for (const t of TEMPLATES) {
    const layout = build(t.id);
    it(`${t.name}: every place has a name of its own`, () => {
      const names = layout.slots.map(placeName);
      expect(new Set(names).size).to.equal(names.length);
    });
    it(`${t.name}: the other side’s other side is this side, and nothing is its own`, () => {
      for (const s of layout.slots) {
        const other = counterpart(layout, s);
        if (!other) continue;
        expect(other.id).to.not.equal(s.id);
        expect(other.kind).to.equal(s.kind);
        expect(counterpart(layout, other)?.id).to.equal(s.id);
      }
      for (const s of layout.slots.filter((x) => x.corner !== null && otherSide(x.corner) !== null))
        expect(counterpart(layout, s), placeName(s)).to.not.equal(undefined);
    });
    it(`${t.name}: neighbours are each other’s neighbours`, () => {
      for (const s of layout.slots) for (const n of neighbours(layout, s.id)) expect(neighbours(layout, n)).to.include(s.id);
    });
    it(`${t.name}: what is carried by a part is at its corner and in its circuit`, () => {
      for (const s of layout.slots) {
        for (const c of childrenOf(layout, s.id)) {
          expect(c.corner).to.equal(s.corner);
          expect(s.circuits).to.include.members([...c.circuits]);
        }
      }
    });
    it(`${t.name}: the arrows lead somewhere on the map or nowhere, never off it`, () => {
      const at = new Map(layout.slots.map((s, i) => [s.id, { x: (i * 37) % 300, y: (i * 53) % 400 }]));
      fc.assert(
        fc.property(fc.constantFrom(...layout.slots), fc.constantFrom('up', 'down', 'left', 'right'), (from, direction) => {
          const to = walk(layout, from.id, direction, at);
          if (to === null) return;
          expect(to).to.not.equal(from.id);
          expect(at.has(to)).to.equal(true);
        }),
      );
    });
  }
});

describe('every hydraulic layout', () => {
  for (const t of HYDRAULIC) {
    const layout = build(t.id);
    it(`${t.name}: bleeds every bleeder once, circuit by circuit, from far to near`, () => {
      const order = bleedOrder(layout);
      expect(order.map((s) => s.bleeder.id).sort()).to.deep.equal(
        layout.slots
          .filter((s) => s.kind === 'bleeder')
          .map((s) => s.id)
          .sort(),
      );
      order.slice(1).forEach((step, i) => {
        const before = order[i]!;
        if (before.circuit === step.circuit) expect(before.lengthMm).to.be.at.least(step.lengthMm);
        else expect(order.slice(i + 1).some((later) => later.circuit === before.circuit)).to.equal(false);
      });
      for (const s of order) expect(circuitName(s.circuit)).to.match(/^(clutch|circuit \d)$/);
    });
    it(`${t.name}: a way leads to every unit`, () => {
      for (const s of layout.slots.filter((x) => (x.kind === 'caliper' && x.style !== 'cable') || x.kind === 'wheel_cylinder')) {
        const path = pathFromMaster(layout, s.id);
        expect(path.at(-1)).to.equal(s.id);
      }
    });
    it(`${t.name}: any line taken out is missed`, () => {
      const lines = layout.connections.filter((c) => c.kind === 'line');
      fc.assert(
        fc.property(fc.constantFrom(...lines), (line) => {
          const cut = { ...layout, connections: layout.connections.filter((c) => c.id !== line.id) };
          expect(checkLayout(cut).map((f) => f.code)).to.include('unreached');
        }),
        { numRuns: 20 },
      );
    });
    it(`${t.name}: what is opened is bled at a bleeder of its own circuit, and the master cylinder at all of its own`, () => {
      for (const s of layout.slots.filter((x) => KIND_FACTS[x.kind].article && KIND_FACTS[x.kind].hydraulic && x.style !== 'cable')) {
        const fed = bleedersFedThrough(layout, s);
        expect(fed, placeName(s)).to.not.have.length(0);
        for (const b of fed) expect(layout.slots.find((x) => x.id === b)!.circuits.some((c) => s.circuits.includes(c))).to.equal(true);
      }
      const master = layout.slots.find((s) => s.kind === 'master_cylinder')!;
      const own = layout.slots.filter((s) => s.kind === 'bleeder' && s.circuits.some((c) => master.circuits.includes(c)));
      expect(bleedersFedThrough(layout, master).sort()).to.deep.equal(own.map((s) => s.id).sort());
    });
  }
});

describe('the lists of the handbook', () => {
  it('observations have codes of their own, a group, and words', () => {
    expect(new Set(OBSERVATIONS.map((o) => o.code)).size).to.equal(OBSERVATIONS.length);
    for (const o of OBSERVATIONS) {
      expect(GROUPS).to.include(o.group);
      expect(o.text.length).to.be.above(2);
      expect(observationFacts(o.code)).to.equal(o);
      expect(o.group === 'wheel').to.equal(o.perCorner);
    }
    expect(observationKey('drags', 'FL')).to.not.equal(observationKey('drags', 'FR'));
    expect(observationKey('judder', null)).to.equal('judder');
  });
  it('cautions are sentences with the action first, each at a step', () => {
    expect(new Set(CAUTIONS.map((c) => c.id)).size).to.equal(CAUTIONS.length);
    for (const c of CAUTIONS) {
      expect(c.text, c.id).to.match(/^[A-Z][a-z]+ .*\.$/);
      expect(cautionsAt(c.steps)).to.include(c);
      expect(c.steps.length, c.id).to.be.above(0);
    }
    const critical: CautionStep[] = ['trace', 'strip', 'rebuild', 'bleed', 'leak_look', 'road_test'];
    for (const step of critical)
      expect(
        cautionsAt([step]).some((c) => c.critical),
        step,
      ).to.equal(true);
    expect(CAUTIONS.map((c) => c.text).join()).to.not.include('!');
    // Where the hazard is: units that came by post have old linings and springs; a fluid job is lifted as well.
    expect(cautionsAt(['unit']).map((c) => c.id)).to.include.members(['asbestos', 'springs']);
    expect(cautionsAt(['lift']).map((c) => c.id)).to.include.members(['stands', 'transmission_brake']);
    expect(cautionsAt(['rebuild']).map((c) => c.id)).to.include.members(['acid', 'oven', 'solvent', 'servo_alone', 'stored_energy']);
    expect(cautionsAt(['bleed']).map((c) => c.id)).to.include('pressure_tool');
    const kinds = (template: string) => new Set(build(template).slots.map((s) => s.kind));
    const at = (template: string) => cautionsAt(['rebuild', 'leak_look'], kinds(template)).map((c) => c.id);
    expect(at('utility_rods'), 'no piston, no jet').to.not.include.members(['air_pistons']).and.not.include('jet');
    expect(at('lorry_drums_single_servo')).to.include.members(['air_pistons', 'jet', 'servo_alone', 'clamp']);
  });
  it('the programme asks only for what is measured on such a part', () => {
    for (const line of PROGRAMME) {
      if (line.need === 'required') expect(KIND_FACTS[line.kind].article, line.kind).to.equal(true);
      for (const id of [line.measurement, line.or]) if (id) expect(MEASUREMENTS[id].on, `${line.kind} ${id}`).to.include(line.kind);
      expect(line.least).to.be.greaterThan(0);
    }
    expect(programmeFor('pedal', 'found').every((l) => l.need !== 'required')).to.equal(true);
    expect(looksAt('pedal')).to.equal(false);
    expect(looksAt('hose')).to.equal(true);
  });
  it('proofs: what was seen is asked again, and only fluid asks for the pedal to be held', () => {
    const items = (hydraulic: boolean) =>
      proofItems({
        complaint: 'Judders',
        seen: [{ code: 'drags', corner: 'RL' }],
        hydraulic,
        parking: true,
        corners: ['RL', 'RR'],
        controls: [{ slotId: 'p', name: 'Pedal', wet: hydraulic, pushed: false, servo: true }],
        tandem: true,
      }).map((i) => i.item);
    expect(items(true)).to.include.members(['complaint', 'again:drags', 'pedal_hold', 'leak_look', 'parking', 'road']);
    expect(items(false)).to.not.include.members(['pedal_hold']);
    expect(items(true).filter((i) => i === 'release')).to.have.length(2);
    const of = (servo: boolean, tandem: boolean) =>
      proofItems({
        complaint: '',
        seen: [],
        hydraulic: true,
        parking: true,
        corners: [],
        controls: [{ slotId: 'p', name: 'Pedal', wet: true, pushed: false, servo }],
        tandem,
      });
    const held = (servo: boolean): string => of(servo, true).find((i) => i.item === 'pedal_hold')!.how;
    expect([/vacuum/.test(held(true)), /vacuum/.test(held(false))], 'no vacuum of a servo that it has not').to.deep.equal([true, false]);
    const lamps = (tandem: boolean): boolean => of(true, tandem).some((i) => i.item === 'warning_lamps');
    expect([lamps(true), lamps(false)], 'no lamp for two circuits where there is one').to.deep.equal([true, false]);
    expect(
      proofItems({
        complaint: ' ',
        seen: [],
        hydraulic: true,
        parking: true,
        corners: [],
        controls: [],
        tandem: true,
      }).map((i) => i.item),
    ).to.not.include('complaint');
  });
});
