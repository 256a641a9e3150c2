import { type Component, isRenewed } from '../judging/components.ts';
import { decidedHere } from '../history/decided.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { type OptionId, RENEWS, STAYS } from '../catalogue/repairOptions.ts';
import { KIND_OF_JOB } from '../history/scope.ts';
import { AXLES, axleOf, type ComponentKind, KIND_FACTS } from '../layout/kinds.ts';
import { canBeOff } from '../layout/runs.ts';
import { rowName } from '../wording/en/estimate.ts';
import type { Doing } from './cost.ts';

/** What is decided in one: the same kind of thing on both sides of an axle, with the pistons of its calipers. */
export interface DecideRow {
  /** Stable while the layout is. */
  readonly id: string;
  readonly name: string;
  readonly kind: ComponentKind;
  readonly members: readonly Component[];
  /** What sits inside them, and is decided with them. */
  readonly inside: readonly Component[];
}

/** Whether something comes with the unit that carries it, since that is renewed as a whole. */
export function comesWithCarrier(history: JobHistory, c: Component): boolean {
  return c.slot.kind === 'piston' && c.slot.parentId !== null && isRenewed(decidedHere(history, c.slot.parentId).now);
}

/** Whether the owner and the shop have to decide about this place. */
export function needsDecision(history: JobHistory, c: Component): boolean {
  if (!KIND_OF_JOB[history.records.job.kind].decides || !c.inScope || comesWithCarrier(history, c)) return false;
  // Of lines, cables, rods and levers only where something was found.
  return KIND_FACTS[c.slot.kind].article || c.findings.some((f) => f.severity === 'doubt' || f.severity === 'reject');
}

/** Whether a place stands among what is decided: it has to be, it was, or it is past its limit. */
function isShown(history: JobHistory, c: Component): boolean {
  if (!canBeOff(c.slot.kind) || !c.inScope || comesWithCarrier(history, c)) return false;
  return needsDecision(history, c) || c.decision !== null || c.verdict === 'past';
}

const ORDER = [...AXLES, null];

/**
 * What is decided on a job, in rows: both sides of an axle in one, pistons with their calipers, the front first.
 * Source: handbook 40, Both sides of an axle; 58, A38.
 */
export function decideRows(history: JobHistory, components: readonly Component[]): DecideRow[] {
  const shown = components.filter((c) => isShown(history, c) || (c.slot.kind === 'piston' && comesWithCarrier(history, c) && c.inScope));
  const groups = new Map<string, Component[]>();
  for (const c of shown) {
    const carried = c.slot.kind === 'piston' && shown.some((x) => x.slot.id === c.slot.parentId);
    if (carried || (c.slot.kind === 'piston' && comesWithCarrier(history, c))) continue;
    const axle = axleOf(c.slot.corner);
    // What belongs to no axle is decided by itself.
    const id = axle === null ? c.slot.id : `${axle}-${c.slot.kind}${c.slot.style ? `-${c.slot.style}` : ''}`;
    groups.set(id, [...(groups.get(id) ?? []), c]);
  }
  const rows = [...groups].flatMap(([id, members]): DecideRow[] => {
    const [first] = members;
    if (!first) return [];
    const inside = shown.filter((c) => c.slot.kind === 'piston' && members.some((m) => m.slot.id === c.slot.parentId));
    return [{ id, name: rowName(members.map((m) => m.slot)), kind: first.slot.kind, members, inside }];
  });
  const place = (r: DecideRow): number => ORDER.indexOf(axleOf(r.members[0]?.slot.corner ?? null));
  return rows.sort((a, b) => place(a) - place(b) || a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name));
}

/** How a row is decided now: the doings of all its places; null while one is undecided. */
export function decidedDoings(row: DecideRow): readonly Doing[] | null {
  const all: Doing[] = [];
  for (const component of [...row.members, ...row.inside]) {
    const renewed =
      row.inside.includes(component) &&
      row.members.some((m) => m.slot.id === component.slot.parentId && RENEWS.includes(m.decision?.option ?? 'use_again'));
    if (renewed) continue;
    if (!component.decision || component.against.length > 0) return null;
    all.push({ component, option: component.decision.option });
  }
  return all;
}

/** What a row is done by, where its sides are not all done alike: the work, not what stays. */
export function leadOption(doings: readonly Doing[]): OptionId | undefined {
  return (doings.find((d) => !STAYS.includes(d.option)) ?? doings[0])?.option;
}
