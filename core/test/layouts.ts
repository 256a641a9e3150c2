import { checkLayout } from '../src/layout/check.ts';
import { moveToCircuit } from '../src/layout/circuits.ts';
import { addComponent, insertInLine, removeComponent, setPistons } from '../src/layout/edit.ts';
import type { Layout } from '../src/layout/graph.ts';
import type { ComponentKind, Corner } from '../src/layout/kinds.ts';
import { buildLayout, TEMPLATES } from '../src/layout/templates.ts';
import { DomainError } from '../src/quantity/domainError.ts';
import fc from 'fast-check';

type Step = (layout: Layout, pick: number, makeId: () => string) => Layout;
const nth = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];

/** What somebody might do to a layout, each by a number that picks where. */
const STEPS: readonly Step[] = [
  ...(['union', 'valve', 'switch', 'hose', 'servo'] as const).map((kind: ComponentKind): Step => (layout, pick, makeId) => {
    const line = nth(
      layout.connections.filter((c) => c.kind === 'line'),
      pick,
    );
    return line ? insertInLine(layout, line.id, kind, makeId) : layout;
  }),
  (layout, pick, makeId) => {
    const slot = nth(
      layout.slots.filter((s) => s.kind === 'caliper' || s.kind === 'wheel_cylinder' || s.kind === 'hose'),
      pick,
    );
    return slot ? moveToCircuit(layout, slot.id, 1 + (pick % 3), makeId) : layout;
  },
  (layout, pick, makeId) => {
    const slot = nth(
      layout.slots.filter((s) => ['union', 'valve', 'hose', 'switch', 'parking_lever', 'equaliser', 'hub'].includes(s.kind)),
      pick,
    );
    return slot ? removeComponent(layout, slot.id, makeId) : layout;
  },
  (layout, pick, makeId) => {
    const caliper = nth(
      layout.slots.filter((s) => s.kind === 'caliper'),
      pick,
    );
    return caliper ? setPistons(layout, caliper.id, 1 + (pick % 6), 38.1, makeId) : layout;
  },
  (layout, pick, makeId) => {
    const kind = nth(['parking_lever', 'equaliser', 'cross_shaft', 'hand_lever', 'switch', 'balance_bar'] as const, pick);
    return kind ? addComponent(layout, { kind, corner: null, circuit: null }, makeId) : layout;
  },
  (layout, pick, makeId) => {
    const corner = nth(['FL', 'FR', 'RL', 'RR', 'F', 'R'] as Corner[], pick);
    return corner && layout.slots.some((s) => s.corner === corner && s.kind === 'drum')
      ? addComponent(layout, { kind: 'expander', corner, circuit: null }, makeId)
      : layout;
  },
  (layout) => ({ ...layout, drive: layout.drive === 'left' ? 'right' : 'left' }),
];

/** Does steps one after the other; a step that is refused or would leave a fault is passed over. */
export function afterSteps(template: string, steps: readonly (readonly [number, number])[]): Layout {
  let n = 0;
  const makeId = (): string => `s${(n += 1)}`;
  let layout = buildLayout(template, 'l', 'v', makeId);
  for (const [which, pick] of steps) {
    try {
      const next = STEPS[which % STEPS.length]?.(layout, pick, makeId) ?? layout;
      if (checkLayout(next).length === 0) layout = next;
    } catch (error) {
      if (!(error instanceof DomainError)) throw error;
    }
  }
  return layout;
}

/** Random layouts that can work: a template and up to twelve things done to it. */
export const workingLayout: fc.Arbitrary<Layout> = fc
  .tuple(fc.constantFrom(...TEMPLATES.map((t) => t.id)), fc.array(fc.tuple(fc.nat({ max: 60 }), fc.nat({ max: 200 })), { maxLength: 12 }))
  .map(([template, steps]) => afterSteps(template, steps));
