import { expect } from 'chai';
import fc from 'fast-check';
import { type BoredPipe, bleedPlan } from '../src/hydraulics/bleedPlan.ts';
import { FACTOR, planOfLayout, reservoirFacts, reservoirOf } from '../src/hydraulics/ofLayout.ts';
import { shortestWays } from '../src/hydraulics/paths.ts';
import { levelCourse } from '../src/hydraulics/reservoir.ts';
import { lineVolume, tubeBore } from '../src/hydraulics/volume.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import { vectorTests } from './vectors.ts';

interface Tube {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly length_mm: number;
  readonly bore_mm?: number;
  readonly outside_mm?: number;
  readonly wall_mm?: number;
}
interface Input {
  readonly op: 'volume' | 'plan' | 'reservoir';
  readonly length_mm: number;
  readonly bore_mm?: number;
  readonly outside_mm?: number;
  readonly wall_mm?: number;
  readonly circuits: readonly { readonly id: string; readonly start: string; readonly master_ml: number }[];
  readonly edges: readonly Tube[];
  readonly bleeders: readonly { readonly id: string; readonly circuit: string; readonly node: string; readonly unit_ml: number }[];
  readonly factor: number;
  readonly bottle_ml: number;
  readonly reservoir_fill_ml: number;
  readonly pull_ml: number;
  readonly full_ml: number;
  readonly lowest_safe_ml: number;
  readonly pulls: number;
}
const boreOf = (t: Pick<Tube, 'bore_mm' | 'outside_mm' | 'wall_mm'>): number => t.bore_mm ?? tubeBore(t.outside_mm ?? 0, t.wall_mm ?? 0);

describe('fluid in lines', () => {
  vectorTests('line-volume-and-bleed', (i: Input) => {
    if (i.op === 'volume') return { volume_ml: lineVolume(boreOf(i), i.length_mm) };
    if (i.op === 'reservoir') {
      const found = levelCourse({ fullMl: i.full_ml, lowestSafeMl: i.lowest_safe_ml }, i.pull_ml, i.pulls);
      return {
        ...{ top_up_before_pulls: found.topUpBefore, warn_after_pulls: found.warnAfter },
        ...{ level_ml: found.levelMl, topped_ml: found.toppedMl },
      };
    }
    const plan = bleedPlan({
      circuits: i.circuits.map((c) => ({ id: c.id, start: c.start, masterMl: c.master_ml })),
      pipes: i.edges.map((e) => ({ id: e.id, from: e.from, to: e.to, lengthMm: e.length_mm, boreMm: boreOf(e) })),
      bleeders: i.bleeders.map((b) => ({ id: b.id, circuit: b.circuit, node: b.node, unitMl: b.unit_ml })),
      ...{ factor: i.factor, bottleMl: i.bottle_ml, reservoirFillMl: i.reservoir_fill_ml, pullMl: i.pull_ml },
    });
    const by = (of: (b: (typeof plan.bleeders)[number]) => number) => Object.fromEntries(plan.bleeders.map((b) => [b.id, of(b)]));
    return {
      order: plan.bleeders.map((b) => b.id),
      ...{ path_mm: by((b) => b.pathMm), exchange_ml: by((b) => b.exchangeMl), pulls: by((b) => b.pulls) },
      ...{ total_exchange_ml: plan.totalMl, bottles: plan.bottles },
    };
  });
});

/** Any network of a few nodes, with loops. */
const networks = fc
  .array(
    fc.record({ from: fc.integer({ min: 0, max: 6 }), to: fc.integer({ min: 0, max: 6 }), lengthMm: fc.integer({ min: 1, max: 3000 }) }),
    {
      minLength: 1,
      maxLength: 14,
    },
  )
  .map((list) => list.map((p, i): BoredPipe => ({ id: `p${i}`, from: `n${p.from}`, to: `n${p.to}`, lengthMm: p.lengthMm, boreMm: 3 })));

describe('the way of fluid', () => {
  it('is never longer than any other, and its pipes lead there', () => {
    fc.assert(
      fc.property(networks, (pipes) => {
        const ways = shortestWays(pipes, 'n0');
        // Each way, made one pipe longer, is no shorter than the way to where that leads.
        for (const [node, way] of ways)
          for (const p of pipes) {
            const next = p.from === node ? p.to : p.to === node ? p.from : null;
            if (next !== null) expect(ways.get(next)!.lengthMm).to.be.at.most(way.lengthMm + p.lengthMm);
          }
        for (const [node, way] of ways) {
          let at = 'n0';
          for (const p of way.pipes) at = p.from === at ? p.to : p.to === at ? p.from : 'nowhere';
          expect(at).to.equal(node);
          expect(way.pipes.reduce((n, p) => n + p.lengthMm, 0)).to.equal(way.lengthMm);
        }
      }),
    );
  });

  it('counts what is shared once: all that stands is drawn, and none of it twice, in whatever order', () => {
    fc.assert(
      fc.property(networks, fc.boolean(), (pipes, turned) => {
        const reached = [...shortestWays(pipes, 'n0').keys()].filter((n) => n !== 'n0');
        const bleeders = (turned ? [...reached].reverse() : reached).map((node) => ({ id: node, circuit: 'c', node, unitMl: 5 }));
        const plan = bleedPlan({
          ...{
            circuits: [{ id: 'c', start: 'n0', masterMl: 7 }],
            pipes,
            bleeders,
            factor: 1,
            bottleMl: 500,
            reservoirFillMl: 0,
            pullMl: 25,
          },
        });
        const used = new Set([...shortestWays(pipes, 'n0').values()].flatMap((w) => w.pipes));
        const stands =
          [...used].reduce((n, p) => n + lineVolume(p.boreMm, p.lengthMm), 0) + bleeders.length * 5 + (bleeders.length > 0 ? 7 : 0);
        expect(plan.totalMl).to.be.closeTo(stands, 1e-6);
      }),
    );
  });
});

describe('a reservoir', () => {
  it('never goes below its lowest safe mark, and what came in is what went out and is left', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 80 }),
        (fullMl, lowestSafeMl, pullMl, pulls) => {
          fc.pre(fullMl - pullMl >= lowestSafeMl);
          const c = levelCourse({ fullMl, lowestSafeMl }, pullMl, pulls);
          expect(c.levelMl).to.be.at.least(lowestSafeMl - 1e-9);
          expect(fullMl + c.toppedMl - pullMl * pulls).to.be.closeTo(c.levelMl, 1e-6);
        },
      ),
    );
  });
});

describe('the bleeding of a vehicle', () => {
  for (const template of TEMPLATES)
    it(`of ${template.id} names every bleeder once, with something to draw at each`, () => {
      let n = 0;
      const layout = buildLayout(template.id, 'l', 'v', () => `s${(n += 1)}`);
      const plan = planOfLayout(layout);
      const bleeders = layout.slots.filter((s) => s.kind === 'bleeder').map((s) => s.id);
      expect([...plan.bleeders.map((b) => b.id), ...plan.loose.map((s) => s.id)].sort()).to.deep.equal([...bleeders].sort());
      expect(plan.loose, 'nothing leads there').to.deep.equal([]);
      for (const b of plan.bleeders) expect(b.exchangeMl, b.id).to.be.above(0);
      // More is drawn after contamination, at every bleeder.
      const dirty = planOfLayout(layout, { factor: FACTOR.contaminated });
      for (const b of dirty.bleeders) expect(b.exchangeMl).to.be.above(plan.bleeders.find((x) => x.id === b.id)!.exchangeMl);
      for (const c of new Set(layout.slots.filter((s) => s.kind === 'bleeder').flatMap((s) => s.circuits))) {
        const tank = reservoirOf(layout, c);
        if (tank) expect(reservoirFacts(layout, tank).lowestSafeMl).to.be.below(reservoirFacts(layout, tank).fullMl);
        expect(planOfLayout(layout, { circuits: [c] }).bleeders.every((b) => b.circuit === String(c))).to.equal(true);
      }
    });

  it('follows a maker’s order where there is one', () => {
    let n = 0;
    const layout = buildLayout('coupe_disc_disc_tandem_servo', 'l', 'v', () => `s${(n += 1)}`);
    const usual = planOfLayout(layout).bleeders.map((b) => b.id);
    const turned = [...usual].reverse();
    expect(planOfLayout(layout, { ordered: turned }).bleeders.map((b) => b.id)).to.deep.equal(turned);
    // What is not named follows in its own order.
    const [last] = turned;
    expect(planOfLayout(layout, { ordered: [last!] }).bleeders.map((b) => b.id)).to.deep.equal([last, ...usual.filter((b) => b !== last)]);
  });
});
