import type { Layout } from '../layout/graph.ts';
import type { Contradiction } from './explain.ts';
import type { PlacedSign, VehicleNetwork } from './network.ts';
import type { ToTrace } from './tracing.ts';
import type { Weighed, WeighedCheck, Weighing } from './weigh.ts';

/** Less likely causes than this are not worth a line, and so many lines at most. */
const WORTH_A_LINE = 0.03;
const MOST_LINES = 6;
/** What changes the log-odds by less neither speaks for nor against, and so much is said at most. */
const WORTH_SAYING = 0.1;
const MOST_SAID = 3;
/** Outcomes less likely than this are left out. */
const WORTH_FORESEEING = 0.02;

/** A probability in whole percent, kept on one line: "41 %". */
export const percentText = (p: number): string => `${Math.round(p * 100)}\u00a0%`;

/** The causes that are worth a line, the likeliest first. */
export function causesToShow(causes: readonly Weighed[]): Weighed[] {
  return causes.filter((c) => c.probability >= WORTH_A_LINE).slice(0, MOST_LINES);
}

/** A cause that stands for others of the same kind at the same wheel that nothing tells apart from it yet. */
export interface Alike extends Weighed {
  /** How many others. */
  readonly others: number;
}

/** The causes that are worth a line, those that nothing tells apart at one wheel as one. */
export function linesOf(network: VehicleNetwork, causes: readonly Weighed[]): Alike[] {
  const lines: Alike[] = [];
  for (const c of causes.filter((x) => x.probability >= WORTH_A_LINE)) {
    const fault = network.faults[c.fault];
    const same = lines.findIndex((l) => {
      const other = network.faults[l.fault];
      return (
        fault !== undefined &&
        other?.kind.id === fault.kind.id &&
        fault.slot !== null &&
        other.slot?.corner === fault.slot.corner &&
        fault.slot.corner !== null &&
        Math.abs(l.probability - c.probability) < 1e-9
      );
    });
    const before = lines[same];
    if (before) lines[same] = { ...before, others: before.others + 1 };
    else lines.push({ ...c, others: 0 });
  }
  return lines.slice(0, MOST_LINES);
}

/** Less likely than this is not shown on the map. */
const WORTH_A_RING = 0.1;

/** How likely something is at fault, 0 to 1: of each wheel at its rotor or drum, and at each place of the middle; by slot. */
export function likelyPlaces(of: ToTrace, layout: Pick<Layout, 'slots'>, result: Weighing): Map<string, number> {
  const places = new Map<string, number>();
  if (Object.keys(of.evidence.observations).length === 0) return places;
  for (const c of result.causes) {
    const slot = of.network.faults[c.fault]?.slot;
    if (!slot || c.probability < WORTH_A_RING) continue;
    const wheel = slot.corner && layout.slots.find((s) => s.corner === slot.corner && (s.kind === 'rotor' || s.kind === 'drum'));
    const id = wheel ? wheel.id : slot.id;
    places.set(id, Math.max(places.get(id) ?? 0, c.probability));
  }
  return places;
}

const signIn = (of: ToTrace, id: string): PlacedSign | undefined => of.network.observations.find((o) => o.id === id);
const textOf = (of: ToTrace, id: string): string => signIn(of, id)?.text ?? id;

/** What speaks most for a cause (1), or against it (−1), in words; empty where nothing does. */
export function speakingWords(of: ToTrace, cause: Weighed, way: 1 | -1): string {
  return (cause.speaks ?? [])
    .filter((s) => s.logOdds * way > WORTH_SAYING)
    .slice(0, MOST_SAID)
    .map(({ observation: id }) => {
      const from = of.evidence.learntFrom[id] ?? 'felt';
      return `${textOf(of, id)}${of.evidence.observations[id] === 'seen' ? '' : ': not seen'} (${from})`;
    })
    .join('; ');
}

/** What each likely outcome of a check would make of the leading cause, in words. */
export function outcomeWords(of: ToTrace, check: WeighedCheck): string[] {
  return check.outcomes
    .filter((o) => o.probability > WORTH_FORESEEING)
    .map((o) => {
      const [first] = o.leads;
      const fault = first && of.network.faults[first.fault];
      const seen = o.seen.length === 0 ? 'None of it' : o.seen.map((id) => signIn(of, id)?.sign.text ?? textOf(of, id)).join('; ');
      const then = first && fault ? `: then first ${fault.kind.name.toLowerCase()}, ${fault.where}, ${percentText(first.probability)}` : '';
      return `${seen} (${percentText(o.probability)})${then}`;
    });
}

/** What does not go together, in words. */
export function contradictionWords(of: ToTrace, odd: Contradiction): string {
  const one = textOf(of, odd.observation);
  return odd.against === null
    ? `${one}: that goes with nothing else that is known. Look again.`
    : `These two do not go together: ${one}; ${textOf(of, odd.against)}. Look at both again.`;
}
