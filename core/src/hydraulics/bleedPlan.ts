import { DomainError } from '../quantity/domainError.ts';
import { type Pipe, shortestWays } from './paths.ts';
import { lineVolume } from './volume.ts';

/** A pipe with its bore. */
export interface BoredPipe extends Pipe {
  readonly boreMm: number;
}

/** A circuit from where it is pressed. */
export interface PressedCircuit {
  readonly id: string;
  readonly start: string;
  /** What its chamber of the cylinder holds, mL. */
  readonly masterMl: number;
}

/** A bleeder with the unit that it is at. */
export interface BleederAt {
  readonly id: string;
  readonly circuit: string;
  readonly node: string;
  /** What its unit holds, mL. */
  readonly unitMl: number;
}

interface PlannedBleeder {
  readonly id: string;
  readonly circuit: string;
  /** Way from the cylinder, mm. */
  readonly pathMm: number;
  /** What stands between the last bleeder that drew there and this one, with its unit and, at the first, the chamber: mL. */
  readonly standsMl: number;
  /** The same stretch by stretch: the chamber (`cylinder`), each pipe by its id, the unit (`unit`), mL. */
  readonly stretches: readonly { readonly id: string; readonly ml: number }[];
  /** What is drawn here, mL. */
  readonly exchangeMl: number;
  readonly pulls: number;
}

export interface BleedPlan {
  /** In the order in which they are bled. */
  readonly bleeders: readonly PlannedBleeder[];
  readonly totalMl: number;
  readonly bottles: number;
}

/** Two ways are alike that differ by less, mm; and a count is not raised by less than this share. */
const [ALIKE, SLACK] = [1e-6, 1e-9];
const upTo = (x: number): number => Math.ceil(x - SLACK);

/**
 * In which order bleeders are drawn, and how much at each. The circuit with the longest way first, each finished before the
 * next, inside it the longest way first; alike, in the order in which they are listed. What several share is counted at the
 * first that draws through it. Source: handbook 60, Order and How much.
 * @param factor of what stands there: 1.5 until it is clear, 3 after contamination
 * @param before ids of circuits that are drawn before the rest, whatever their way: a clutch on a shared chamber
 * @param ordered ids of bleeders by a maker's order, which holds over the way; what it does not name follows
 * @throws DomainError not_connected where nothing leads to a bleeder; bad_bore
 */
export function bleedPlan(input: {
  readonly circuits: readonly PressedCircuit[];
  readonly pipes: readonly BoredPipe[];
  readonly bleeders: readonly BleederAt[];
  readonly factor: number;
  readonly bottleMl: number;
  readonly reservoirFillMl: number;
  readonly pullMl: number;
  readonly before?: readonly string[];
  readonly ordered?: readonly string[];
}): BleedPlan {
  const { circuits, pipes, bleeders, factor } = input;
  for (const p of pipes) lineVolume(p.boreMm, p.lengthMm);
  const ways = new Map(circuits.map((c) => [c.id, shortestWays(pipes, c.start)] as const));
  const led = bleeders.map((b, listed) => {
    const way = ways.get(b.circuit)?.get(b.node);
    if (!way) throw new DomainError('not_connected', 'Nothing leads from the cylinder to this bleeder: join its line on the map.');
    return { ...b, way, listed };
  });
  const longest = (circuit: string): number => Math.max(0, ...led.filter((b) => b.circuit === circuit).map((b) => b.way.lengthMm));
  const first = (circuit: string): number => Number(input.before?.includes(circuit) ?? false);
  const place = (c: string): number => circuits.findIndex((x) => x.id === c);
  const rank = (id: string): number => {
    const at = input.ordered?.indexOf(id) ?? -1;
    return at < 0 ? Infinity : at;
  };
  const apart = (a: number, b: number): number => (Math.abs(a - b) <= ALIKE ? 0 : b - a);
  const order = [...led].sort(
    (a, b) =>
      (rank(a.id) === rank(b.id) ? 0 : rank(a.id) - rank(b.id)) ||
      first(b.circuit) - first(a.circuit) ||
      (a.circuit === b.circuit ? 0 : apart(longest(a.circuit), longest(b.circuit)) || place(a.circuit) - place(b.circuit)) ||
      apart(a.way.lengthMm, b.way.lengthMm) ||
      a.listed - b.listed,
  );
  const through = new Set<string>();
  const begun = new Set<string>();
  const planned = order.map((b): PlannedBleeder => {
    const fresh = b.way.pipes.filter((p) => !through.has(p.id));
    const master = begun.has(b.circuit) ? 0 : (circuits.find((c) => c.id === b.circuit)?.masterMl ?? 0);
    for (const p of fresh) through.add(p.id);
    begun.add(b.circuit);
    const stretches = [
      { id: 'cylinder', ml: master },
      ...fresh.map((p) => ({ id: p.id, ml: lineVolume(p.boreMm, p.lengthMm) })),
      { id: 'unit', ml: b.unitMl },
    ].filter((x) => x.ml > 0);
    const standsMl = stretches.reduce((sum, x) => sum + x.ml, 0);
    const exchangeMl = factor * standsMl;
    return {
      id: b.id,
      circuit: b.circuit,
      pathMm: b.way.lengthMm,
      standsMl,
      stretches,
      exchangeMl,
      pulls: upTo(exchangeMl / input.pullMl),
    };
  });
  const totalMl = planned.reduce((sum, p) => sum + p.exchangeMl, 0);
  return { bleeders: planned, totalMl, bottles: upTo((totalMl + input.reservoirFillMl) / input.bottleMl) };
}
