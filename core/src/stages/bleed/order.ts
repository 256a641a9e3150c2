import { CLUTCH_CIRCUIT, type Layout, type Slot, pathLength } from '../../layout/graph.ts';

export interface BleedStep {
  readonly bleeder: Slot;
  readonly circuit: number;
  /** Hydraulic way from the master cylinder, mm. */
  readonly lengthMm: number;
}

/**
 * Bleeders in bleeding order: the clutch first, then the circuit with the longest path, each finished
 * before the next, from the longest path to the shortest; equal paths in the layout's order.
 * Source: handbook 60, Bleeding: order.
 */
export function bleedOrder(layout: Layout): BleedStep[] {
  const steps = layout.slots
    .filter((s) => s.kind === 'bleeder')
    .map((bleeder): BleedStep => ({
      bleeder,
      circuit: bleeder.circuits[0] ?? 1,
      lengthMm: bleeder.parentId ? pathLength(layout, bleeder.parentId) : 0,
    }));
  const longest = new Map<number, number>();
  for (const s of steps) longest.set(s.circuit, Math.max(longest.get(s.circuit) ?? 0, s.lengthMm));
  const rank = (s: BleedStep): number => (s.circuit === CLUTCH_CIRCUIT ? Infinity : (longest.get(s.circuit) ?? 0));
  return steps
    .map((s, i) => ({ s, i }))
    .sort((a, b) => rank(b.s) - rank(a.s) || a.s.circuit - b.s.circuit || b.s.lengthMm - a.s.lengthMm || a.i - b.i)
    .map(({ s }) => s);
}
