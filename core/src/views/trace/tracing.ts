import type { CharacteristicId } from '../../catalogue/characteristics.ts';
import { codeAt, slotOfObservation, observationKey, observedCode } from '../../catalogue/observations.ts';
import { TABLES, type Tables } from '../../catalogue/trace/tables.ts';
import type { Evidence } from '../../inference/faultNetwork.ts';
import { worthDoing } from '../../inference/nextCheck.ts';
import type { JobState } from '../../job/job.ts';
import type { Layout } from '../../layout/graph.ts';
import { pedalsOf } from '../../layout/reach.ts';
import { type Certain, asEvidence, certainOf } from '../../stages/trace/causes.ts';
import { type PlacedCheck, type VehicleNetwork, meaningful, networkOf } from '../../stages/trace/network.ts';
import type { TraceContext } from '../../stages/trace/priors.ts';
import { pastExpected, pedalTells } from '../../judging/pedalGauge.ts';
import { type Earlier, changesOf, earlierRounds } from '../../stages/trace/rounds.ts';
import { contextOf } from './context.ts';
import { possibleChecks } from './possible.ts';

/** A figure of the bench that is evidence by itself: past is seen, holds or watch is not seen. Source: handbook 30, round. */
const MEASURED_SIGN: Readonly<Partial<Record<CharacteristicId, string>>> = {
  rotor_thickness: 'rotor_thin_past',
  rotor_thickness_variation: 'variation_past',
  rotor_runout: 'runout_past',
  pad_lining: 'lining_thin',
  shoe_lining: 'lining_thin',
  shoe_above_rivets: 'lining_thin',
  drum_diameter: 'drum_past',
  band_lining: 'lining_thin',
  band_above_rivets: 'lining_thin',
  band_drum_out_of_round: 'drum_oval_past',
  drum_out_of_round: 'drum_oval_past',
  hub_end_float: 'bearing_play',
  wheel_drag: 'drags',
  pedal_sink: 'pedal_sinks',
};

/** What a thing that is known was learnt from. */
type LearntFrom = 'felt' | 'checked' | 'measured';

export interface JobEvidence extends Evidence {
  readonly learntFrom: Readonly<Record<string, LearntFrom>>;
  /** What the bench made certain, by fault. */
  readonly found: ReadonlyMap<string, Certain>;
  /** Answers about what this vehicle does not have: they do not count. */
  readonly foreign: readonly string[];
  /** Answers that name no lever, where there are several: they do not count. */
  readonly leverless: readonly string[];
  /** Answers of earlier rounds: shown, not counted. */
  readonly earlier: ReadonlyMap<string, Earlier>;
}

/**
 * The evidence of a job: what was answered in words, and what was measured. A figure stands in for the words about the
 * same thing, so that nothing counts twice; what was not gauged, cannot be told or is provisional is no evidence.
 */
export function evidenceOf(state: JobState, network: VehicleNetwork): JobEvidence {
  const known = new Map(network.observations.map((o) => [o.id, o]));
  const earlier = earlierRounds(state.history, state.context.answers, network);
  const observations: Record<string, 'seen' | 'not_seen'> = {};
  const learntFrom: Record<string, LearntFrom> = {};
  for (const [key, o] of state.context.answers) {
    const sign = known.get(key);
    if (o.state === 'not_checked' || !sign || earlier.has(key)) continue;
    observations[key] = o.state;
    learntFrom[key] = sign.sign.known === 'felt' ? 'felt' : 'checked';
  }
  const here = new Map(state.history.sets.map((s) => [s.id, s]));
  for (const c of state.components) {
    for (const j of c.judged) {
      const code = MEASURED_SIGN[j.characteristic.id];
      const set = here.get(j.setId);
      if (code === undefined || set === undefined || set.jobId !== state.records.job.id || set.surface === 'dirty') continue;
      const key = [codeAt(code, c.slot.id), observationKey(code, c.slot.corner), code].find((k) => known.has(k));
      const as = j.verdict === 'past' ? 'seen' : j.verdict === 'holds' || j.verdict === 'watch' ? 'not_seen' : null;
      if (key === undefined || as === null) continue;
      // Several parts at one wheel: the worst of them speaks.
      if (learntFrom[key] === 'measured' && observations[key] === 'seen') continue;
      observations[key] = as;
      learntFrom[key] = 'measured';
    }
  }
  for (const [code, past] of pedalSigns(state.history))
    if (known.has(code)) {
      observations[code] = past ? 'seen' : 'not_seen';
      learntFrom[code] = 'measured';
    }
  // A part that was changed since is no longer what was found.
  const changed = new Map(changesOf(state.history).map((c) => [c.slotId, c.at]));
  const found = new Map(
    [...certainOf(state.history, network.faults)].filter(([id, c]) => {
      const slot = network.faults.find((f) => f.id === id)?.slot?.id;
      return slot === undefined || (changed.get(slot) ?? '') <= c.at;
    }),
  );
  const unknown = [...state.context.answers].flatMap(([key, o]) => (o.state !== 'not_checked' && !known.has(key) ? [key] : []));
  const atSome = new Set(network.observations.filter((o) => slotOfObservation(o.id) !== null).map((o) => observedCode(o.id)));
  const [leverless, foreign] = [unknown.filter((key) => atSome.has(key)), unknown.filter((key) => !atSome.has(key))];
  return { observations, learntFrom, certain: asEvidence(found), found, foreign, leverless, earlier };
}

/** What the pedal's volumes say by themselves: too soft, too free; not where it cannot be told or was changed since. */
function pedalSigns(history: JobState['history']): [string, boolean][] {
  const tells = pedalTells(history);
  if (!tells || changesOf(history).some((c) => c.at > tells.on)) return [];
  const several = pedalsOf(history.records.layout).length > 1;
  const at = (code: string): string => (several ? codeAt(code, tells.slotId) : code);
  const signs: [string, boolean | null][] = [
    [at('pedal_spongy'), pastExpected(tells.all.softMl, tells.expected.softMl)],
    [at('pedal_low_pumps_up'), pastExpected(tells.all.freeMl, tells.expected.freeMl)],
  ];
  return signs.flatMap(([code, past]) => (past === null ? [] : [[code, past]]));
}

/** What is traced on a job: its network, what is known, and what may be checked as the vehicle stands. */
export interface ToTrace {
  readonly network: VehicleNetwork;
  readonly evidence: JobEvidence;
  readonly checks: readonly PlacedCheck[];
  /** Somebody complains: something is at fault. */
  readonly complaint: boolean;
  /** What to go through in the first minutes of a vehicle that nobody has touched. */
  readonly firstRound: readonly PlacedCheck[];
}

/** The first round takes no longer, minutes. Source: the order of the work, handbook 30. */
const FIRST_MINUTES = 10;

/**
 * The checks of the first ten minutes: of those that open nothing and are driven nowhere, the most telling a minute,
 * one after another as long as the minutes last, each weighed as if nothing else were known.
 */
export function firstRound(network: VehicleNetwork, checks: readonly PlacedCheck[]): PlacedCheck[] {
  const open = meaningful(checks, {}).filter((c) => c.kind.hazards.every((h) => h === 'presses' || h === 'wheel'));
  const chosen: PlacedCheck[] = [];
  const settled = new Set<string>();
  let minutes = 0;
  const order = worthDoing(network, { observations: {}, certain: {} }, open);
  for (const { check } of order) {
    const placed = open.find((c) => c.id === check.id);
    if (!placed || minutes + check.minutes > FIRST_MINUTES || check.observations.every((o) => settled.has(o))) continue;
    chosen.push(placed);
    minutes += check.minutes;
    for (const o of check.observations) settled.add(o);
  }
  return chosen;
}

let made: { readonly key: string; readonly tables: Tables; readonly network: VehicleNetwork } | null = null;
/**
 * The network of a layout in a context. The last one made is kept, by what it was made of: a job that is read anew has the
 * same one, and nothing is weighed again for it.
 */
function networkFor(layout: Layout, context: TraceContext, tables: Tables): VehicleNetwork {
  const { years, yearsOfAll, shifts, fresh, water, times } = context;
  const key = JSON.stringify([
    layout.slots,
    layout.connections,
    [...years],
    yearsOfAll,
    [...shifts],
    [...fresh],
    [...(water ?? [])],
    [...(times ?? [])],
  ]);
  if (made?.key !== key || made.tables !== tables) made = { key, tables, network: networkOf(layout, context, tables) };
  return made.network;
}

/**
 * Sets out what is to be weighed for a job. A check that presses a pedal is left out while anything locks one; one that
 * is about a wheel that the job did not take in is not proposed.
 */
export function toTrace(state: JobState, alone = false, tables: Tables = TABLES): ToTrace {
  const network = networkFor(state.records.layout, contextOf(state), tables);
  const evidence = evidenceOf(state, network);
  const possible = possibleChecks(state, network, alone);
  const checks = meaningful(possible, evidence.observations);
  const untouched = Object.keys(evidence.observations).length === 0;
  const complaint = state.records.job.complaint.trim() !== '';
  return { network, evidence, checks, complaint, firstRound: untouched ? firstRound(network, possible) : [] };
}
