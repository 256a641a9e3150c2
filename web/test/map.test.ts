import { buildLayout, childrenOf, type Layout, placeName, TEMPLATES } from '@dauer/core/layout';
import { expect } from 'chai';
import fc from 'fast-check';
import { boxOf, carried, ON_WHEEL, overlap } from '../src/fittings/map/places.ts';
import { type Drawn, WIDTH } from '../src/fittings/map/usualPlaces.ts';
import { type MapPlan, planMap } from '../src/fittings/map/plan.ts';
import { goesThrough, meets, type Point, pointsOf } from '../src/fittings/map/route.ts';
import { workingLayout } from '../../core/test/layouts.ts';

const build = (template: string, more: Partial<Layout> = {}): Layout => {
  let n = 0;
  return { ...buildLayout(template, 'l', 'v', () => `s${(n += 1)}`), ...more };
};
const onWheel = (a: Drawn, b: Drawn): boolean =>
  a.slot.corner !== null &&
  a.slot.corner === b.slot.corner &&
  [a, b].some((d) => ON_WHEEL.includes(d.slot.kind)) &&
  [a, b].some((d) => d.slot.kind === 'rotor' || d.slot.kind === 'drum');
/** What a place is drawn with. */
const drawnFor = (layout: Layout, plan: MapPlan, id: string): Drawn | undefined =>
  plan.drawn.find((d) => d.slot.id === id) ?? plan.drawn.find((d) => carried(layout, d.slot).some((s) => s.id === id));

function holds(layout: Layout): void {
  const plan = planMap(layout);
  for (const d of plan.drawn) {
    const box = boxOf(d);
    expect(box.left, placeName(d.slot)).to.be.at.least(0);
    expect(box.right, placeName(d.slot)).to.be.at.most(WIDTH);
    expect(box.top, placeName(d.slot)).to.be.at.least(10);
    expect(box.bottom, placeName(d.slot)).to.be.at.most(plan.height - 12);
  }
  plan.drawn.forEach((a, i) => {
    for (const b of plan.drawn.slice(i + 1))
      if (!onWheel(a, b)) expect(overlap(boxOf(a), boxOf(b)), `${placeName(a.slot)} over ${placeName(b.slot)}`).to.equal(false);
  });
  for (const s of layout.slots) {
    const shown = drawnFor(layout, plan, s.id) ?? plan.drawn.find((d) => d.slot.id === s.parentId || d.slot.corner === s.corner);
    expect(shown, placeName(s)).to.not.equal(undefined);
  }
  const wanted = layout.connections.filter((c) => c.kind !== 'feed').map((c) => c.id);
  expect(plan.routes.map((r) => r.id).sort()).to.deep.equal(wanted.sort());
  for (const r of plan.routes) {
    const points = pointsOf(r.d);
    expect(r.d).to.not.match(/NaN|undefined/);
    const c = layout.connections.find((x) => x.id === r.id)!;
    for (const [end, at] of [
      [c.from, points[0]],
      [c.to, points.at(-1)],
    ] as const) {
      const d = drawnFor(layout, plan, end)!;
      const box = boxOf(d, 8);
      const reach = at !== undefined && at.x >= box.left && at.x <= box.right && at.y >= box.top && at.y <= box.bottom;
      expect(reach, `${r.kind} at ${placeName(d.slot)}`).to.equal(true);
    }
    for (const p of points) {
      expect(p.x).to.be.within(0, WIDTH);
      expect(p.y).to.be.within(0, plan.height);
    }
    if (r.kind !== 'line') continue;
    points.slice(1).forEach((p, i) => {
      expect(p.x === points[i]!.x || p.y === points[i]!.y, `${r.d} stands askew`).to.equal(true);
    });
    const ends = [drawnFor(layout, plan, c.from), drawnFor(layout, plan, c.to)];
    for (const d of plan.drawn.filter((x) => !ends.includes(x) && !['rotor', 'drum'].includes(x.slot.kind))) {
      const middle = { left: d.x - 4, right: d.x + 4, top: d.y - 3, bottom: d.y + 3 };
      expect(goesThrough(points, middle), `a line through ${placeName(d.slot)}`).to.equal(false);
    }
  }
}

describe('the brake map', () => {
  for (const t of TEMPLATES)
    for (const drive of ['left', 'right'] as const)
      it(`${t.name}, driven from the ${drive}: nothing over another, every line drawn to its ends, round what stands between`, () => {
        holds(build(t.id, { drive }));
      });

  it('holds on whatever is made of a template', () => {
    fc.assert(fc.property(workingLayout, holds), { numRuns: 150 });
  });

  it('draws the same layout the same, and another driver’s side in a mirror', () => {
    fc.assert(
      fc.property(workingLayout, (layout) => {
        expect(planMap(layout)).to.deep.equal(planMap(structuredClone(layout)));
      }),
      { numRuns: 10 },
    );
    const pedal = (drive: 'left' | 'right'): number =>
      planMap(build('coupe_disc_disc_tandem_servo', { drive })).drawn.find((d) => d.slot.kind === 'pedal')!.x;
    expect(pedal('left')).to.equal(WIDTH - pedal('right'));
  });

  it('lets no two lines of a template lie on each other, and few cross', () => {
    for (const t of TEMPLATES) {
      const layout = build(t.id);
      const lines = planMap(layout).routes.filter((r) => r.kind === 'line');
      let crossings = 0;
      lines.forEach((a, i) => {
        for (const b of lines.slice(i + 1)) if (a.stroke !== b.stroke) crossings += meets(pointsOf(a.d), pointsOf(b.d));
      });
      expect(crossings, t.name).to.be.at.most(t.id === 'hatch_diagonal_split' ? 2 : 1);
    }
  });

  it('draws with a part what sits in it', () => {
    const layout = build('disc_disc_parking_drum');
    const rotor = layout.slots.find((s) => s.kind === 'rotor' && s.corner === 'RL')!;
    expect(carried(layout, rotor).map((s) => s.kind)).to.include.members(['hub', 'parking_shoes']);
    const caliper = layout.slots.find((s) => s.kind === 'caliper')!;
    expect(carried(layout, caliper).map((s) => s.id)).to.include.members(childrenOf(layout, caliper.id).map((s) => s.id));
  });
});

describe('the way of a line', () => {
  const square = [
    [0, 0],
    [10, 0],
  ].map(([x, y]): Point => ({ x: x!, y: y! }));
  it('is read back from its path', () => {
    expect(pointsOf('M1 2H5V9L7 9')).to.deep.equal([
      { x: 1, y: 2 },
      { x: 5, y: 2 },
      { x: 5, y: 9 },
      { x: 7, y: 9 },
    ]);
  });
  it('is known to go through a box, and to cross or lie on another', () => {
    expect(goesThrough(square, { left: 4, right: 6, top: -1, bottom: 1 })).to.equal(true);
    expect(goesThrough(square, { left: 4, right: 6, top: 1, bottom: 3 })).to.equal(false);
    expect(meets(square, pointsOf('M5 -5V5'))).to.equal(1);
    expect(meets(square, pointsOf('M2 0H8'))).to.equal(1);
    expect(meets(square, pointsOf('M2 5H8'))).to.equal(0);
  });
});
