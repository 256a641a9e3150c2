import { SHIFTS, TABLES } from '../../catalogue/trace/tables.ts';
import { seededUniform } from '../../inference/seededUniform.ts';
import type { Evidence } from '../../inference/faultNetwork.ts';
import { worthDoing } from '../../inference/nextCheck.ts';
import { infer } from '../../inference/noisyOr.ts';
import type { Layout } from '../../layout/graph.ts';
import { type PlacedCheck, type PlacedFault, type VehicleNetwork, meaningful, networkOf } from '../../stages/trace/network.ts';
import { type HiddenTruth, answersTo, sampleCase, ownerReport, isIdentified } from './sampledCase.ts';

/** A made-up vehicle to learn on. */
export interface PracticeCase {
  readonly number: number;
  readonly network: VehicleNetwork;
  readonly hidden: HiddenTruth;
  /** What the owner told. */
  readonly notice: Evidence['observations'];
}

/** Years since anything was renewed, drawn evenly. */
const YEARS = [1, 15] as const;
const SHIFTED = 0.25;
const MAX_CASES = 400;

/**
 * The vehicle of a number on a layout: the same number gives the same one. Its owner has noticed something.
 * @param layout the brakes it is built with
 */
export function practiceCase(layout: Layout, number: number): PracticeCase {
  const random = seededUniform(number * 7919 + 17);
  const draw = (): PracticeCase => {
    const shifts = new Set(SHIFTS.filter((s) => s !== 'fresh' && random() < SHIFTED));
    const yearsOfAll = YEARS[0] + random() * (YEARS[1] - YEARS[0]);
    const network = networkOf(layout, { years: new Map(), yearsOfAll, shifts, fresh: new Set() }, TABLES);
    const hidden = sampleCase(network, random);
    return { number, network, hidden, notice: ownerReport(network, hidden) };
  };
  let made = draw();
  for (let n = 0; n < MAX_CASES && !Object.values(made.notice).includes('seen'); n += 1) made = draw();
  return made;
}

/** Checks that can be asked for: those that mean something and are not answered yet. */
export function askable(made: PracticeCase, known: Evidence['observations']): PlacedCheck[] {
  return meaningful(made.network.checks, known).filter((c) => c.observations.some((id) => known[id] === undefined));
}

/** How a check comes out: what was not known before. */
export function outcomeOf(made: PracticeCase, check: PlacedCheck, known: Evidence['observations']): Evidence['observations'] {
  return answersTo(
    check.observations.filter((id) => known[id] === undefined),
    made.hidden.shows,
  );
}

interface PathStep {
  readonly check: PlacedCheck;
  readonly seen: readonly string[];
}
export interface ProposedPath {
  readonly steps: readonly PathStep[];
  readonly minutes: number;
  /** Whether the hidden faults were among the likeliest at its end. */
  readonly pinned: boolean;
}

const MAX_STEPS = 8;
const OF_FIRST = 3;

/** The check that would be done next on a vehicle that has a fault: of the three worth most a minute, the one that changes most. */
export function proposedCheck(network: VehicleNetwork, known: Evidence['observations'], left: readonly PlacedCheck[]): PlacedCheck | null {
  const best = worthDoing(network, { observations: known, certain: {} }, left, true)
    .slice(0, OF_FIRST)
    .sort((a, b) => b.drop - a.drop)[0];
  return left.find((c) => c.id === best?.check.id) ?? null;
}

/** The way proposed from the same start: until the faults are pinned down, or eight checks at most. */
export function proposedPath(made: PracticeCase): ProposedPath {
  let known = made.notice;
  const steps: PathStep[] = [];
  let minutes = 0;
  const pinned = (): boolean => isIdentified(made.hidden.present, infer(made.network, { observations: known, certain: {} }).posterior);
  while (steps.length < MAX_STEPS && !pinned()) {
    const check = proposedCheck(made.network, known, askable(made, known));
    if (check === null) break;
    const more = outcomeOf(made, check, known);
    steps.push({ check, seen: Object.keys(more).filter((id) => more[id] === 'seen') });
    minutes += check.minutes;
    known = { ...known, ...more };
  }
  return { steps, minutes, pinned: pinned() };
}

/** A number of checks in words. */

/** What a learner named, held against what is hidden. */
export function judgeNamed(made: PracticeCase, named: ReadonlySet<string>): { right: string[]; missed: string[]; wrong: string[] } {
  const ids = made.network.faults.map((f, i) => ({ id: f.id, there: made.hidden.present[i] === true }));
  return {
    right: ids.filter((f) => f.there && named.has(f.id)).map((f) => f.id),
    missed: ids.filter((f) => f.there && !named.has(f.id)).map((f) => f.id),
    wrong: ids.filter((f) => !f.there && named.has(f.id)).map((f) => f.id),
  };
}

/** The highest number of a made-up vehicle. */
const MAX_NUMBER = 999_999;

/** The number of a made-up vehicle as it is typed; null where it is none: whole, from 1 on. */
export function practiceNumber(typed: string): number | null {
  return /^\d{1,6}$/.test(typed.trim()) && Number(typed) >= 1 && Number(typed) <= MAX_NUMBER ? Number(typed) : null;
}

/** So many letters have to be typed before faults are offered, and so many are offered at once. */
const MIN_TYPED = 3;
const MAX_OFFERED = 8;

/** Faults that may be meant by what is typed, by their name or place, without those named already. */
export function faultsMeant(made: PracticeCase, typed: string, named: ReadonlySet<string>): PlacedFault[] {
  const words = typed.toLowerCase().trim();
  if (words.length < MIN_TYPED) return [];
  const meant = made.network.faults.filter((f) => `${f.kind.name} ${f.where}`.toLowerCase().includes(words) && !named.has(f.id));
  return meant.slice(0, MAX_OFFERED);
}

/** How one made-up vehicle went. */
export interface Practised {
  /** ISO instant. */
  readonly at: string;
  readonly number: number;
  /** What it was built with, in words. */
  readonly brakes: string;
  /** Faults that were named rightly, not named, and named without being there. */
  readonly right: number;
  readonly missed: number;
  readonly wrong: number;
  readonly minutes: number;
  /** Of the proposed way; null until it is reckoned. */
  readonly proposedMinutes: number | null;
  /** With what Dauer weighs beside it. */
  readonly helped: boolean;
}

/** So many are kept. */
const MAX_KEPT = 50;

/** The newest first; one vehicle done again takes the place of its last time. */
export function keepPractised(before: readonly Practised[], now: Practised): Practised[] {
  return [now, ...before.filter((p) => p.number !== now.number || p.brakes !== now.brakes)].slice(0, MAX_KEPT);
}

/** How it went in all. */
export interface PractisedSum {
  readonly vehicles: number;
  /** Of which every fault was named, and none besides. */
  readonly clean: number;
  /** A vehicle, in the mean; the proposed way of those for which it is reckoned, null where it is of none. */
  readonly minutes: number;
  readonly proposedMinutes: number | null;
}
export function practisedSum(list: readonly Practised[]): PractisedSum {
  const mean = (of: readonly number[]): number => of.reduce((s, x) => s + x, 0) / Math.max(1, of.length);
  const proposed = list.flatMap((p) => p.proposedMinutes ?? []);
  return {
    vehicles: list.length,
    clean: list.filter((p) => p.missed === 0 && p.wrong === 0).length,
    minutes: mean(list.map((p) => p.minutes)),
    proposedMinutes: proposed.length > 0 ? mean(proposed) : null,
  };
}
