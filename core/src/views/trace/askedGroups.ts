import { controlOfObservation, GROUPS, GROUP_NAME, observationFacts, type ObservationGroup } from '../../catalogue/observations.ts';
import { type Layout, slotById } from '../../layout/graph.ts';
import { type Control, controlsOf } from '../../layout/reach.ts';
import { ASKED_AT } from '../../wording/en/trace.ts';
import type { AskedOf } from './toAnswer.ts';

/** What is asked together: at one control, on the road, at each wheel, in the reservoir. */
export interface AskedGroup {
  readonly key: string;
  readonly group: ObservationGroup;
  readonly title: string;
  /** The pedal or lever that it is asked at; null where it is at none. */
  readonly control: string | null;
  readonly items: readonly (AskedOf & { readonly short: string })[];
}

/** The control that something is felt at: its own of several, the only one there is, the clutch's, the parking lever. */
function controlOf(item: AskedOf, controls: readonly Control[]): Control | null {
  const own = controlOfObservation(item.code);
  if (own !== null) return controls.find((c) => c.slotId === own) ?? null;
  if (item.needs === 'clutch') return controls.find((c) => c.kind === 'clutch') ?? null;
  if (item.group === 'parking') return controls.find((c) => c.kind === 'parking') ?? null;
  const pedals = controls.filter((c) => c.kind === 'pedal');
  return item.group === 'pedal' && pedals.length === 1 ? (pedals[0] ?? null) : null;
}

/**
 * What a vehicle is asked, control by control and place by place, in the order in which it is gone through.
 * Source: handbook 35, What is asked: per control.
 */
export function askedGroups(layout: Layout, list: readonly AskedOf[]): AskedGroup[] {
  const controls = controlsOf(layout);
  const groups = new Map<string, AskedGroup & { items: (AskedOf & { readonly short: string })[] }>();
  for (const group of GROUPS)
    for (const item of list.filter((o) => o.group === group)) {
      const control = group === 'pedal' || group === 'parking' ? controlOf(item, controls) : null;
      const key = control ? `${group}:${control.slotId}` : group;
      const title = control ? ASKED_AT(control.name) : GROUP_NAME[group];
      const into = groups.get(key) ?? { key, group, title, control: control?.slotId ?? null, items: [] };
      into.items.push({ ...item, short: control ? (observationFacts(item.code)?.text ?? item.text) : item.text });
      groups.set(key, into);
    }
  return [...groups.values()];
}

/** The control that a place on the map stands for: a pedal or lever itself, or the cylinder that only one presses; null for others. */
export function controlPicked(layout: Layout, slotId: string | null): Control | null {
  const slot = slotId === null ? undefined : slotById(layout, slotId);
  if (!slot || slot.corner !== null) return null;
  const controls = controlsOf(layout);
  const own = controls.find((c) => c.slotId === slot.id);
  if (own) return own;
  const pressing = slot.kind === 'master_cylinder' || slot.kind === 'clutch_slave' ? controls.filter((c) => c.reach.has(slot.id)) : [];
  return pressing.length === 1 ? (pressing[0] ?? null) : null;
}
