import type { FaultKind } from '../../catalogue/trace/tables.ts';
import { CLUTCH_CIRCUIT, type Layout, type Slot, cornersOf, isHydraulic, placeName } from '../../layout/graph.ts';
import { AXLES, type Corner, axleOf } from '../../layout/kinds.ts';
import { type Reservoir, reservoirsOf } from '../../layout/reach.ts';
import { lowerFirst } from '../../quantity/display.ts';
import { bleedersFedThrough } from '../../readiness/disturbed.ts';
import { TRACE_PLACE } from '../../wording/en/trace.ts';

/** A place that a fault is at: its wheels, its axle, its circuits. */
export interface At {
  readonly slot: Slot | null;
  readonly corners: readonly Corner[];
  readonly circuits: readonly number[];
  readonly where: string;
  readonly id: string;
  /** The reservoir that it is the fluid of. */
  readonly fluidOf?: Reservoir;
}

/** Whether a part is built as a fault needs it: by the beginning of its style, spread by a cam or wedge, pulled by a cable, holding fluid. */
function hasStyle(layout: Layout, s: Slot, style: string | null): boolean {
  if (style === 'levered') return layout.connections.some((c) => c.kind === 'cable' && (c.from === s.id || c.to === s.id));
  if (style === 'wet') return s.circuits.length > 0;
  if (style === 'mechanical') return layout.slots.some((o) => o.corner === s.corner && o.kind === 'expander');
  return style === null || (s.style ?? '').startsWith(style);
}

/** The fluid of each reservoir, by its slot; the only one on the map stands for the vehicle’s, as it did before others were told apart. */
function fluidPlaces(kind: FaultKind, layout: Layout): At[] {
  const wheels = cornersOf(layout);
  const all = reservoirsOf(layout);
  return all.flatMap((r): At[] => {
    const corners = wheels.filter((w) => layout.slots.some((s) => s.corner === w && s.circuits.some((c) => r.circuits.includes(c))));
    // What only presses the clutch is no brake.
    if (kind.style === 'brakes' && r.circuits.every((c) => c === CLUTCH_CIRCUIT)) return [];
    const of = { corners, circuits: r.circuits, fluidOf: r };
    return all.length === 1
      ? [{ ...of, slot: null, where: TRACE_PLACE.system, id: 'system' }]
      : [
          {
            ...of,
            slot: layout.slots.find((s) => s.id === r.slotId) ?? null,
            where: lowerFirst(r.name),
            id: r.plain ? 'system' : r.slotId,
          },
        ];
  });
}

export function placesOf(kind: FaultKind, layout: Layout): At[] {
  const hydraulic = isHydraulic(layout);
  const wheels = cornersOf(layout);
  if (kind.on === 'system')
    return kind.style === 'hydraulic' && !hydraulic
      ? []
      : [{ slot: null, corners: wheels, circuits: [], where: TRACE_PLACE.system, id: 'system' }];
  if (kind.on === 'fluid') return fluidPlaces(kind, layout);
  if (kind.on === 'axle')
    return AXLES.flatMap((axle) => {
      const corners = wheels.filter((c) => axleOf(c) === axle);
      // What pulls is on one side of an axle.
      return corners.length < 2
        ? []
        : corners.map((c): At => ({
            slot: null,
            corners: [c],
            circuits: [],
            where: TRACE_PLACE.outsideBrakes(c),
            id: c,
          }));
    });
  if (kind.on === 'circuit') {
    const circuits = [...new Set(layout.slots.flatMap((s) => s.circuits))].filter((c) => c !== CLUTCH_CIRCUIT);
    return circuits.map((c): At => {
      const corners = wheels.filter((w) => layout.slots.some((s) => s.corner === w && s.circuits.includes(c)));
      return { slot: null, corners, circuits: [c], where: TRACE_PLACE.circuit(c), id: `circuit${c}` };
    });
  }
  return layout.slots
    .filter((s) => s.kind === kind.on && hasStyle(layout, s, kind.style))
    .map((slot): At => {
      const fed = slot.corner ? [] : bleedersFedThrough(layout, slot).flatMap((id) => layout.slots.find((s) => s.id === id)?.corner ?? []);
      const corners = slot.corner ? [slot.corner] : [...new Set(fed)];
      return { slot, corners, circuits: slot.circuits, where: placeName(slot).toLowerCase(), id: slot.id };
    });
}
