import type { JobHistory } from '../history/jobHistory.ts';
import type { Component } from '../judging/components.ts';
import { optionsOf } from '../readiness/options.ts';
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

/** Places at which the same may be decided in one tap: across the axle, and all others of the kind. */
export interface Alike {
  readonly across: Component | null;
  readonly others: readonly Component[];
}

/**
 * Places of the kind of this one that nobody has decided about, and where what was decided here is not ruled out. A bore that is
 * honed names its own metal, so it is decided for itself.
 * @param components those that may be decided about
 */
export function alikeTo(history: JobHistory, components: readonly Component[], c: Component): Alike {
  const option = c.decision?.option;
  if (option === undefined || option === 'hone') return { across: null, others: [] };
  const open = components.filter(
    (x) =>
      x.slot.id !== c.slot.id &&
      x.slot.kind === c.slot.kind &&
      x.decision === null &&
      optionsOf(history, x).find((o) => o.id === option)?.ruledOut === null,
  );
  const other = counterpart(history.records.layout, c.slot);
  const across = open.find((x) => x.slot.id === other?.id) ?? null;
  return { across, others: open };
}
