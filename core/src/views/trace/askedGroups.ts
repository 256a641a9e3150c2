import {
  GROUP_NAME,
  GROUPS,
  isSaidOf,
  isSeenInReservoir,
  observationFacts,
  type ObservationGroup,
  observedCode,
  slotOfObservation,
} from '../../catalogue/observations.ts';
import { type Layout, slotById } from '../../layout/graph.ts';
import { type Control, controlsOf, type Reservoir, reservoirsOf } from '../../layout/reach.ts';
import { ASKED_AT, LINES, SEEN_IN } from '../../wording/en/trace.ts';
import type { AskedOf } from './toAnswer.ts';

/** What is asked together: at one control, on the road, at each wheel, in one reservoir. */
export interface AskedGroup {
  readonly key: string;
  readonly group: ObservationGroup;
  readonly title: string;
  /** The pedal, lever or reservoir that it is asked at; null where it is at none. */
  readonly control: string | null;
  readonly items: readonly (AskedOf & { readonly short: string })[];
}

/** The control that something is felt at: its own of several, the only one there is, the clutch's, the parking lever. */
function controlOf(item: AskedOf, controls: readonly Control[]): Control | null {
  const own = slotOfObservation(item.code);
  if (own !== null) return controls.find((c) => c.slotId === own) ?? null;
  if (item.needs === 'clutch') return controls.find((c) => c.kind === 'clutch') ?? null;
  if (item.group === 'parking') return controls.find((c) => c.kind === 'parking') ?? null;
  const pedals = controls.filter((c) => c.kind === 'pedal');
  return item.group === 'pedal' && pedals.length === 1 ? (pedals[0] ?? null) : null;
}

/** The reservoir that something is seen in, where there are several. */
function reservoirOf(item: AskedOf, reservoirs: readonly Reservoir[]): Reservoir | null {
  if (reservoirs.length < 2 || !isSeenInReservoir(observedCode(item.code))) return null;
  return reservoirs.find((r) => isSaidOf(item.code, r)) ?? null;
}

/**
 * What a vehicle is asked, control by control and place by place, in the order in which it is gone through.
 * Source: handbook 35, What is asked: per control.
 */
export function askedGroups(layout: Layout, list: readonly AskedOf[]): AskedGroup[] {
  const controls = controlsOf(layout);
  const reservoirs = reservoirsOf(layout);
  const groups = new Map<string, AskedGroup & { items: (AskedOf & { readonly short: string })[] }>();
  for (const group of GROUPS)
    for (const item of list.filter((o) => o.group === group)) {
      const control = group === 'pedal' || group === 'parking' ? controlOf(item, controls) : null;
      const reservoir = group === 'reservoir' ? reservoirOf(item, reservoirs) : null;
      const at = control ?? reservoir;
      const key = at ? `${group}:${at.slotId}` : group;
      const rest = group === 'reservoir' && reservoirs.length > 1 ? LINES : GROUP_NAME[group];
      const title = control ? ASKED_AT(control.name) : reservoir ? SEEN_IN(reservoir.name) : rest;
      const into = groups.get(key) ?? { key, group, title, control: at?.slotId ?? null, items: [] };
      into.items.push({ ...item, short: at ? (observationFacts(item.code)?.text ?? item.text) : item.text });
      groups.set(key, into);
    }
  return [...groups.values()];
}

/**
 * What a place on the map is asked as: a pedal or lever itself, one reservoir of several, or the control that alone presses a
 * cylinder; null for others.
 */
export function controlPicked(layout: Layout, slotId: string | null): Pick<Control, 'slotId' | 'name'> | null {
  const slot = slotId === null ? undefined : slotById(layout, slotId);
  if (!slot || slot.corner !== null) return null;
  const controls = controlsOf(layout);
  const own = controls.find((c) => c.slotId === slot.id);
  if (own) return own;
  const reservoirs = reservoirsOf(layout);
  const reservoir = slot.kind === 'reservoir' && reservoirs.length > 1 ? reservoirs.find((r) => r.slotId === slot.id) : undefined;
  if (reservoir) return reservoir;
  const pressing = slot.kind === 'master_cylinder' || slot.kind === 'clutch_slave' ? controls.filter((c) => c.reach.has(slot.id)) : [];
  return pressing.length === 1 ? (pressing[0] ?? null) : null;
}
