import { planOfLayout } from '../../hydraulics/ofLayout.ts';
import { type Layout, type Slot, slotById } from '../../layout/graph.ts';

export interface BleedStep {
  readonly bleeder: Slot;
  readonly circuit: number;
  /** Hydraulic way from the master cylinder, mm. */
  readonly lengthMm: number;
  /** What is drawn here until it is clear, mL, and by how many pulls of a hand pump; 0 where nothing leads to it on the map. */
  readonly exchangeMl: number;
  readonly pulls: number;
}

/**
 * Bleeders in bleeding order: a clutch that is fed with the brakes first, then the circuit with the longest path, each
 * finished before the next, from the longest path to the shortest; equal paths in the layout's order.
 * @param more factor of what stands there, and bleeders by a maker's order
 * Source: handbook 60, Bleeding: order.
 */
export function bleedOrder(layout: Layout, more: { readonly factor?: number; readonly ordered?: readonly string[] } = {}): BleedStep[] {
  const plan = planOfLayout(layout, more);
  const led = plan.bleeders.flatMap((b): BleedStep[] => {
    const bleeder = slotById(layout, b.id);
    return bleeder ? [{ bleeder, circuit: Number(b.circuit), lengthMm: b.pathMm, exchangeMl: b.exchangeMl, pulls: b.pulls }] : [];
  });
  const loose = plan.loose.map((bleeder) => ({ bleeder, circuit: bleeder.circuits[0] ?? 1, lengthMm: 0, exchangeMl: 0, pulls: 0 }));
  return [...led, ...loose];
}
