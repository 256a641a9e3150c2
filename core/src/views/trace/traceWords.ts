import type { Contradiction } from '../../inference/explain.ts';
import { oddsOf, WORTH_A_LINE, type RankedFault, type RatedCheck, type Diagnosis } from '../../inference/diagnose.ts';
import type { Layout } from '../../layout/graph.ts';
import { CORNERS, CORNER_NAME, isGripped } from '../../layout/kinds.ts';
import type { PlacedFault, PlacedSign, VehicleNetwork } from '../../stages/trace/network.ts';
import { DONE_ABOUT, orWords, TRACE } from '../../wording/en/trace.ts';
import { oppositesSeen } from './opposites.ts';
import type { ToTrace } from './tracing.ts';

/** So many lines at most. */
const MAX_LINES = 6;
/** What changes the log-odds by less neither speaks for nor against, and so much is said at most. */
const WORTH_SAYING = 0.1;
const MAX_SAID = 3;
/** Outcomes less likely than this are left out. */
const WORTH_FORESEEING = 0.02;

/** A probability in whole percent, kept on one line: "41 %". */
export const percentText = (p: number): string => `${Math.round(p * 100)}\u00a0%`;

/** A line of the list of causes: one, or several of the same kind that nothing tells apart yet. */
export interface CauseLine extends RankedFault {
  /** Numbers of all the faults it stands for in the network; its own first. */
  readonly alike: readonly number[];
}

/** Nothing that is known tells probabilities apart that differ by no more. */
const NO_DIFFERENCE = 1e-9;

/** Those of one kind that nothing tells apart as one line; the likeliest first. */
function together(network: VehicleNetwork, causes: readonly RankedFault[]): CauseLine[] {
  const lines: CauseLine[] = [];
  for (const c of causes) {
    const kind = network.faults[c.fault]?.kind.id;
    const same = lines.findIndex(
      (l) =>
        network.faults[l.fault]?.kind.id === kind &&
        Math.abs(l.probability - c.probability) < NO_DIFFERENCE &&
        // What is certain is told apart, by what made it so.
        c.probability < 1 - NO_DIFFERENCE,
    );
    const before = lines[same];
    if (before) lines[same] = { ...before, alike: [...before.alike, c.fault].sort((a, b) => a - b) };
    else lines.push({ ...c, alike: [c.fault] });
  }
  return lines;
}

const worthALine = (c: RankedFault): boolean => c.probability >= WORTH_A_LINE;

/** What was likelier than not before anything was seen is no news, unless what was seen makes its odds so many times higher. */
const NEWS = { from: 0.5, times: 10 } as const;

/** Whether a cause was likely anyway, as water in old fluid, and what was seen adds little to it. */
function isStanding(network: VehicleNetwork, c: RankedFault): boolean {
  const prior = network.faults[c.fault]?.prior ?? 0;
  return prior >= NEWS.from && oddsOf(c.probability) < NEWS.times * oddsOf(prior);
}

/** The causes that something speaks for and that are worth a line, the likeliest first; last what was likely anyway. */
export function linesOf(network: VehicleNetwork, causes: readonly RankedFault[]): CauseLine[] {
  const worth = causes.filter((c) => worthALine(c) && c.raised);
  const standing = worth.filter((c) => isStanding(network, c));
  const last = together(network, standing);
  const news = together(
    network,
    worth.filter((c) => !standing.includes(c)),
  );
  return [...news.slice(0, MAX_LINES - last.length), ...last];
}

/** What is no likelier than on any vehicle like this one, though likely enough to be said: nothing known speaks for it. */
export function quietLinesOf(network: VehicleNetwork, causes: readonly RankedFault[]): CauseLine[] {
  return together(
    network,
    causes.filter((c) => worthALine(c) && !c.raised),
  ).slice(0, MAX_LINES);
}

/** The wheel that a fault is at, in words as its place begins with; empty where it is at none. */
function wheelOf({ slot, place, where }: PlacedFault): string {
  const corner = slot ? slot.corner : CORNERS.find((c) => c === place);
  const name = corner ? CORNER_NAME[corner].toLowerCase() : '';
  return where.startsWith(name) ? name : '';
}

/** More places than these are counted. */
const MAX_NAMED = 4;

/** The places of a line's causes beside each other: by their wheels where that tells them apart. */
export function shortPlaces(network: VehicleNetwork, { alike }: CauseLine): string[] {
  const faults = alike.flatMap((i) => network.faults[i] ?? []);
  const wheels = faults.map(wheelOf);
  return wheels.every((w) => w !== '') && new Set(wheels).size === wheels.length ? wheels : faults.map((f) => f.where);
}

/** Where a line's cause is: at one place, or at one of several; wheels of the same part are named before it once. */
export function whereWords(network: VehicleNetwork, line: CauseLine): string {
  const faults = line.alike.flatMap((i) => network.faults[i] ?? []);
  const wheels = faults.map(wheelOf);
  const parts = faults.map((f, i) => f.where.slice((wheels[i] ?? '').length));
  if (wheels.every((w) => w !== '') && new Set(parts).size === 1) return `${orWords(wheels)}${parts[0] ?? ''}`;
  if (faults.length <= MAX_NAMED) return orWords(faults.map((f) => f.where));
  const named = [...new Set(faults.map((f, i) => wheels[i] || f.where))];
  return TRACE.oneOfPlaces(faults.length, named);
}

/** Less likely than this is not shown on the map. */
const WORTH_A_RING = 0.1;

/**
 * How likely something is at fault that something speaks for, 0 to 1: of each wheel at its rotor or drum, and at each place of
 * the middle; by slot.
 */
export function likelyPlaces(of: ToTrace, layout: Pick<Layout, 'slots'>, result: Diagnosis): Map<string, number> {
  const places = new Map<string, number>();
  if (Object.keys(of.evidence.observations).length === 0) return places;
  for (const c of result.causes) {
    const slot = of.network.faults[c.fault]?.slot;
    if (!slot || !c.raised || c.probability < WORTH_A_RING) continue;
    const wheel = slot.corner && layout.slots.find((s) => s.corner === slot.corner && isGripped(s.kind));
    const id = wheel ? wheel.id : slot.id;
    places.set(id, Math.max(places.get(id) ?? 0, c.probability));
  }
  return places;
}

const signIn = (of: ToTrace, id: string): PlacedSign | undefined => of.network.observations.find((o) => o.id === id);
const textOf = (of: ToTrace, id: string): string => signIn(of, id)?.text ?? id;

/** What speaks most for a cause (1), or against it (−1), in words; empty where nothing does. */
export function speakingWords(of: ToTrace, cause: RankedFault, way: 1 | -1): string {
  return (cause.contributions ?? [])
    .filter((s) => s.logOdds * way > WORTH_SAYING)
    .slice(0, MAX_SAID)
    .map(({ observation: id }) => {
      const from = of.evidence.learntFrom[id] ?? 'felt';
      return `${textOf(of, id)}${of.evidence.observations[id] === 'seen' ? '' : TRACE.notSeen} (${from})`;
    })
    .join('; ');
}

/** A fault in words as it goes on in a sentence: what, and where. */
function named(of: ToTrace, fault: number): string | null {
  const f = of.network.faults[fault];
  return f ? `${f.kind.name.toLowerCase()}, ${f.where}` : null;
}
/** A fault with what would be done about it, and how long that takes. */
function work(of: ToTrace, fault: number): string | null {
  const f = of.network.faults[fault];
  const name = named(of, fault);
  return f && name !== null ? TRACE.work(name, DONE_ABOUT[f.kind.option], f.needless ?? 0) : null;
}
const words = (list: readonly (string | null)[]): string[] => list.filter((w): w is string => w !== null);

/** Outcomes foreseen in words, and works named in each that it would change. */
const [MAX_FORESEEN, MAX_CHANGED] = [3, 2];

/** What each likely outcome of a check would make of the leading cause, and change in what is done, in words. */
export function outcomeWords(of: ToTrace, check: RatedCheck): string[] {
  // Of what was drawn no single way is worth a line.
  if (!check.exact) return [];
  return check.outcomes
    .filter((o) => o.probability > WORTH_FORESEEING)
    .slice(0, MAX_FORESEEN)
    .map((o) => {
      const [first] = o.leads;
      const fault = first && of.network.faults[first.fault];
      const seen = o.seen.length === 0 ? TRACE.noneOfIt : o.seen.map((id) => signIn(of, id)?.sign.text ?? textOf(of, id)).join('; ');
      const then = first && fault ? TRACE.thenFirst(fault.kind.name, fault.where, percentText(first.probability)) : '';
      const changed = TRACE.changed(
        words(o.takenUp.slice(0, MAX_CHANGED).map((c) => work(of, c.fault))),
        words(o.letBe.slice(0, MAX_CHANGED).map((c) => named(of, c.fault))),
      );
      return `${seen} (${percentText(o.probability)})${then}${changed}`;
    });
}

/** So likely a cause has to be for a check to have settled it. */
const SETTLED = 0.5;

/**
 * What a check would settle, as a colleague would say it: what it costs, and which two works it tells apart; null where it
 * does not: both ways it comes out have to make one cause more likely than all others together, and not the same one.
 */
export function adviceWords(of: ToTrace, check: RatedCheck): string | null {
  const placed = of.checks.find((c) => c.id === check.id);
  const seen = [...check.outcomes].filter((o) => o.seen.length > 0).sort((a, b) => b.probability - a.probability)[0];
  const none = check.outcomes.find((o) => o.seen.length === 0);
  const [one, other] = [seen?.leads[0], none?.leads[0]];
  if (!placed || !check.exact || !one || !other || one.fault === other.fault) return null;
  if (Math.min(one.probability, other.probability) < SETTLED) return null;
  const [a, b] = [work(of, one.fault), work(of, other.fault)];
  const { hazards, helpers } = placed.kind;
  return a === null || b === null ? null : TRACE.advice(placed.minutes, helpers > 0, hazards.includes('opens'), a, b);
}

/** What does not go together, in words. */
export function contradictionWords(of: ToTrace, odd: Contradiction): string {
  const one = textOf(of, odd.observation);
  return odd.against === null ? TRACE.goesWithNothing(one) : TRACE.notTogether(one, textOf(of, odd.against));
}

/** All that does not go together, in words: what cannot be seen in one look, then what the rest makes very unlikely. */
export function conflictWords(of: ToTrace, result: Diagnosis): string[] {
  const opposed = oppositesSeen(of).map(({ one, other, reason }) => TRACE.notTogether(one.text, other.text, reason));
  return [...opposed, ...result.conflicts.map((o) => contradictionWords(of, o))];
}
