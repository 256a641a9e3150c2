import { CLUTCH_CIRCUIT, childrenOf, type Layout, neighbours, type Slot, slotById } from '../layout/graph.ts';
import { toResult } from '../quantity/domainError.ts';
import { type BleederAt, type BleedPlan, bleedPlan, type BoredPipe, type PressedCircuit } from './bleedPlan.ts';
import { shortestWays } from './paths.ts';
import type { ReservoirFacts } from './reservoir.ts';
import { lineVolume } from './volume.ts';

/** Bore of a line or hose whose own is not on record, mm; generic: 3/16 in outside, 0.7 mm wall. */
const USUAL_BORE = 3.2;
/** Length of a line that nobody measured, mm; a stated guess. */
const GUESSED_LENGTH = 1000;
/** What a caliper holds behind a piston of 50 mm at mid wear, and a wheel cylinder, mL. Source: handbook 60, How much (generic). */
const [PER_PISTON, PISTON_MM, WHEEL_CYLINDER] = [12, 50, 2];
/** Bore and stroke of a cylinder of which neither is on record, mm; generic. */
const CYLINDER = { pedal: { bore: 19, stroke: 30 }, hand: { bore: 14, stroke: 15 }, clutch: { bore: 16, stroke: 25 } };
/** Left in the bottom half of a clutch slave, mL; generic. */
const SLAVE = 4;
/** What a reservoir holds, mL, and the share of it that is its lowest safe mark; generic. */
const RESERVOIR = { pedal: 250, hand: 40, clutch: 90, safe: 1 / 5 };

type Pressed = keyof typeof CYLINDER;

/** How a cylinder is pressed: by the pedal of a car, by a lever of a motorcycle (foot or hand), or as a clutch. */
function pressedBy(layout: Layout, master: Slot): Pressed {
  if (master.kind === 'clutch_master') return 'clutch';
  const near = neighbours(layout, master.id).flatMap((id) => slotById(layout, id)?.kind ?? []);
  if (near.some((k) => k === 'hand_lever' || k === 'foot_lever')) return 'hand';
  return layout.slots.some((s) => s.kind === 'pedal') ? 'pedal' : 'hand';
}

/** A pipe as it is drawn from; `known` where its length is on record. */
interface DrawnPipe extends BoredPipe {
  readonly known: boolean;
}

/** Length of a hose that nobody measured, mm; a stated guess. */
const GUESSED_HOSE = 300;

/** Pipes of a layout: its lines, and its hoses, half before and half behind the middle that a line is joined to. */
function pipesOf(layout: Layout): DrawnPipe[] {
  return layout.connections.flatMap((c): DrawnPipe[] => {
    if (c.kind !== 'line') return [];
    const ends = [slotById(layout, c.from), slotById(layout, c.to)].map((s) => (s?.kind === 'hose' ? s : null));
    const node = (at: string, hose: Slot | null): string => (hose ? `${at}/${c.id}` : at);
    // What is joined to a hose has no tube of its own where nobody measured one.
    const bare = c.lengthMm === null && ends.some((h) => h !== null);
    const line: DrawnPipe = {
      ...{ id: c.id, from: node(c.from, ends[0] ?? null), to: node(c.to, ends[1] ?? null), boreMm: c.boreMm ?? USUAL_BORE },
      ...{ lengthMm: c.lengthMm ?? (bare ? 0 : GUESSED_LENGTH), known: c.lengthMm !== null || bare },
    };
    const halves = ends.flatMap((h): DrawnPipe[] =>
      h
        ? [
            {
              ...{ id: `${h.id}/${c.id}`, from: h.id, to: `${h.id}/${c.id}`, boreMm: h.boreMm ?? USUAL_BORE },
              ...{ lengthMm: (h.lengthMm ?? GUESSED_HOSE) / 2, known: h.lengthMm !== null },
            },
          ]
        : [],
    );
    return [line, ...halves];
  });
}

/** The place that a pipe is: its line, or its hose. */
const placeOf = (p: DrawnPipe): string => p.id.split('/')[0] ?? p.id;

/** What the unit at a bleeder holds, mL, shared evenly between its bleeders. */
function unitMl(layout: Layout, bleeder: Slot): number {
  const unit = bleeder.parentId === null ? undefined : slotById(layout, bleeder.parentId);
  if (!unit) return 0;
  const inside = childrenOf(layout, unit.id);
  const bleeders = Math.max(1, inside.filter((s) => s.kind === 'bleeder').length);
  const pistons = inside.filter((s) => s.kind === 'piston');
  const caliper = pistons.reduce((sum, p) => sum + PER_PISTON * ((p.boreMm ?? PISTON_MM) / PISTON_MM) ** 2, 0);
  const held = {
    ...{ caliper: caliper || PER_PISTON, wheel_cylinder: WHEEL_CYLINDER, clutch_slave: SLAVE },
  } as Readonly<Partial<Record<Slot['kind'], number>>>;
  return (held[unit.kind] ?? 0) / bleeders;
}

/** What a chamber of a cylinder holds, mL. */
function chamberMl(layout: Layout, master: Slot): number {
  const usual = CYLINDER[pressedBy(layout, master)];
  const bore = master.boreMm ?? usual.bore;
  return ((Math.PI / 4) * bore ** 2 * usual.stroke) / 1000;
}

/** The cylinder that presses a circuit. */
function masterOf(layout: Layout, circuit: number): Slot | undefined {
  return layout.slots.find((s) => (s.kind === 'master_cylinder' || s.kind === 'clutch_master') && s.circuits.includes(circuit));
}

/** The reservoir that a circuit is fed from; of a clutch without one of its own, that of the brakes. */
export function reservoirOf(layout: Layout, circuit: number): Slot | undefined {
  const tanks = layout.slots.filter((s) => s.kind === 'reservoir');
  return tanks.find((s) => s.circuits.includes(circuit)) ?? tanks[0];
}

/** What a reservoir holds, as it is drawn from; generic. */
export function reservoirFacts(layout: Layout, reservoir: Slot): ReservoirFacts {
  const masters = reservoir.circuits.flatMap((c) => masterOf(layout, c) ?? []);
  const [first = 'pedal'] = masters.map((m) => pressedBy(layout, m)).sort((a, b) => RESERVOIR[b] - RESERVOIR[a]);
  const fullMl = RESERVOIR[first];
  return { fullMl, lowestSafeMl: fullMl * RESERVOIR.safe };
}

/** A clutch that is fed from the same reservoir as the brakes: it is drawn before them. Source: handbook 60, Order. */
function clutchShares(layout: Layout): boolean {
  const tank = reservoirOf(layout, CLUTCH_CIRCUIT);
  return tank === undefined || tank.circuits.length === 0 || tank.circuits.some((c) => c !== CLUTCH_CIRCUIT);
}

export interface LayoutPlan extends BleedPlan {
  /** Lines and hoses whose length was guessed. */
  readonly guesses: readonly string[];
  /** Bleeders that nothing leads to on the map: they are in no plan. */
  readonly loose: readonly Slot[];
}

/** mL of a bottle, and of a pull by a hand pump, where nobody says; generic. */
export const [BOTTLE_ML, PULL_ML] = [500, 25];

/** How often over what stands in the lines is drawn. Source: handbook 60, How much. */
export const FACTOR = { clear: 1.5, contaminated: 3 } as const;

interface PlanWanted {
  readonly circuits?: readonly number[];
  readonly factor?: number;
  readonly pullMl?: number;
  readonly bottleMl?: number;
  readonly ordered?: readonly string[];
}

const known = new WeakMap<Layout, Map<string, LayoutPlan>>();

/**
 * The plan of bleeding a vehicle, or some of its circuits, worked out from its layout; what is not on record is guessed, and
 * said to be. Source: handbook 60, Bleeding.
 */
export function planOfLayout(layout: Layout, more: PlanWanted = {}): LayoutPlan {
  const mine = known.get(layout) ?? new Map<string, LayoutPlan>();
  known.set(layout, mine);
  const key = JSON.stringify(more);
  const had = mine.get(key) ?? planned(layout, more);
  mine.set(key, had);
  return had;
}

function planned(layout: Layout, more: PlanWanted): LayoutPlan {
  const pipes = pipesOf(layout);
  const all = [...new Set(layout.slots.filter((s) => s.kind === 'bleeder').flatMap((s) => s.circuits))].sort((a, b) => a - b);
  const wanted = all.filter((c) => more.circuits?.includes(c) ?? true);
  const circuits = wanted.flatMap((c): PressedCircuit[] => {
    const master = masterOf(layout, c);
    return master ? [{ id: String(c), start: master.id, masterMl: chamberMl(layout, master) }] : [];
  });
  const ways = new Map(circuits.map((c) => [c.id, shortestWays(pipes, c.start)] as const));
  const bleeders = layout.slots.filter((s) => s.kind === 'bleeder' && s.circuits.some((c) => wanted.includes(c)));
  const nodeOf = (s: Slot): string => s.parentId ?? s.id;
  const leads = (s: Slot): boolean => ways.get(String(s.circuits[0]))?.has(nodeOf(s)) ?? false;
  const tanks = new Set(wanted.flatMap((c) => reservoirOf(layout, c) ?? []));
  const done = toResult(() =>
    bleedPlan({
      ...{ circuits, pipes, factor: more.factor ?? FACTOR.clear, bottleMl: more.bottleMl ?? BOTTLE_ML, pullMl: more.pullMl ?? PULL_ML },
      bleeders: bleeders
        .filter(leads)
        .map((s): BleederAt => ({ id: s.id, circuit: String(s.circuits[0]), node: nodeOf(s), unitMl: unitMl(layout, s) })),
      reservoirFillMl: [...tanks].reduce((sum, t) => sum + reservoirFacts(layout, t).fullMl, 0),
      before: clutchShares(layout) ? [String(CLUTCH_CIRCUIT)] : [],
      ordered: more.ordered ?? [],
    }),
  );
  const plan = done.ok ? done.value : { bleeders: [], totalMl: 0, bottles: 0 };
  const used = plan.bleeders.flatMap((b) => {
    const at = slotById(layout, b.id);
    return (at && ways.get(b.circuit)?.get(nodeOf(at))?.pipes) ?? [];
  });
  const guesses = [...new Set(used.filter((p) => !p.known).map(placeOf))];
  return { ...plan, guesses, loose: bleeders.filter((s) => !leads(s)) };
}

/**
 * What is known to stand in the lines and hoses between the cylinder of a bleeder's circuit and it, mL, a stretch each; what
 * nobody measured is left out.
 */
export function standsBefore(layout: Layout, bleeder: Slot): { readonly key: string; readonly ml: number }[] {
  const master = masterOf(layout, bleeder.circuits[0] ?? 1);
  const way = master && shortestWays(pipesOf(layout), master.id).get(bleeder.parentId ?? bleeder.id);
  return (way?.pipes ?? []).filter((p) => p.known).map((p) => ({ key: p.id, ml: lineVolume(p.boreMm, p.lengthMm) }));
}
