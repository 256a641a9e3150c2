import { standsBefore } from '../hydraulics/ofLayout.ts';
import { type Layout, type Slot, slotById } from '../layout/graph.ts';
import type { BleedPull } from '../ledger/families/bleedPulls.ts';

/** What was drawn at a bleeder on one job, against what stood between the cylinder and it and no earlier bleeder had drawn. */
export interface Drawn {
  /** mL, of all pulls. */
  readonly drawn: number;
  /** mL. */
  readonly stood: number;
}

/**
 * What was drawn at each bleeder, by slot id. Shared lines count at the first bleeder that drew them through.
 * @param pulls of one job, in the order in which they happened
 * Source: handbook 60, How much.
 */
export function drawnAt(layout: Layout, pulls: readonly BleedPull[]): ReadonlyMap<string, Drawn> {
  const through = new Set<string>();
  const found = new Map<string, Drawn>();
  const stands = (bleeder: Slot): number => standsBefore(layout, bleeder).reduce((s, x) => s + (through.has(x.key) ? 0 : x.ml), 0);
  for (const pull of pulls) {
    const bleeder = slotById(layout, pull.slotId);
    if (!bleeder) continue;
    const before = found.get(bleeder.id);
    const now = { drawn: (before?.drawn ?? 0) + pull.volumeMl, stood: before?.stood ?? stands(bleeder) };
    found.set(bleeder.id, now);
    if (now.drawn >= now.stood) for (const s of standsBefore(layout, bleeder)) through.add(s.key);
  }
  for (const b of layout.slots) if (b.kind === 'bleeder' && !found.has(b.id)) found.set(b.id, { drawn: 0, stood: stands(b) });
  return found;
}

/** Share of what stands before a bleeder under which a pull is far too little. */
const FAR_UNDER = 0.5;

/** Whether what was drawn at a bleeder is far under what stood before it: the old fluid is still in the line. */
export function fallsShort({ drawn, stood }: Drawn): boolean {
  return drawn < FAR_UNDER * stood;
}

/** Whether all that stood before a bleeder was drawn. */
export function drawnThrough({ drawn, stood }: Drawn): boolean {
  return drawn >= stood;
}
