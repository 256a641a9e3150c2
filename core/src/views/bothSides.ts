import type { Component } from '../judging/components.ts';
import { type Layout, counterpart } from '../layout/graph.ts';
import { decidedOtherwise } from '../wording/en/decide.ts';

/**
 * What is said where the two sides of an axle are decided otherwise without a reason on either; null where they agree,
 * one is undecided, or a reason is given.
 * Source: handbook 10, Decision rule: the side-to-side rule.
 */
export function sidesDiffer(layout: Layout, components: readonly Component[], c: Component): string | null {
  const across = counterpart(layout, c.slot);
  const other = components.find((x) => x.slot.id === across?.id);
  if (!c.decision || !other?.decision || other.decision.option === c.decision.option) return null;
  if (c.decision.reason.trim() !== '' || other.decision.reason.trim() !== '') return null;
  return decidedOtherwise(other.slot, other.decision.option);
}
