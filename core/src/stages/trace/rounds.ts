import { observationKey } from '../../catalogue/observations.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { isHydraulic } from '../../layout/graph.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import { PART_EVENT } from '../../wording/en/sheet.ts';
import { CHANGED } from '../../wording/en/trace.ts';
import type { PartEventKind } from '../../ledger/families/partEvents.ts';
import type { VehicleNetwork } from './network.ts';

/** Something that was changed on the vehicle: at one place, or in its fluid. */
export interface Change {
  readonly at: string;
  /** Null for the fluid and the air in it. */
  readonly slotId: string | null;
  readonly what: string;
}

/** What is done to a part that makes earlier answers about it old. */
const CHANGES: readonly PartEventKind[] = ['fitted', 'machined', 'freed', 'opened', 'honed', 'sleeved', 'resealed', 'relined'];

/** What was changed on this job: parts fitted, machined, freed, opened or resealed, work done, fluid changed, air bled. */
export function changesOf(history: JobHistory): Change[] {
  const { records } = history;
  const here = <E extends { readonly jobId: string }>(list: readonly E[]): E[] => list.filter((e) => e.jobId === records.job.id);
  const slotOf = new Map(history.active(records.operations).map((o) => [o.id, o]));
  const sits = new Map<string, string>();
  for (const e of history.active(records.partEvents)) if (e.slotId !== null) sits.set(e.partId, e.slotId);
  const parts = here(history.active(records.partEvents)).flatMap((e): Change[] => {
    const slotId = e.slotId ?? sits.get(e.partId) ?? null;
    return !CHANGES.includes(e.kind) || slotId === null ? [] : [{ at: e.happenedAt, slotId, what: PART_EVENT[e.kind] }];
  });
  const work = here(history.active(records.operationEvents)).flatMap((e): Change[] => {
    const of = slotOf.get(e.operationId);
    return e.kind === 'done' && of && of.slotId !== null ? [{ at: e.happenedAt, slotId: of.slotId, what: of.title.toLowerCase() }] : [];
  });
  const fluid = [
    ...here(history.active(records.fluidServices)).map((e) => ({ at: e.happenedAt, slotId: null, what: CHANGED.fluid })),
    ...here(history.active(records.bleedPulls)).map((e) => ({ at: e.happenedAt, slotId: null, what: CHANGED.bled })),
  ];
  return [...parts, ...work, ...(isHydraulic(records.layout) ? fluid : [])].sort((a, b) => a.at.localeCompare(b.at));
}

/** An answer of an earlier round: shown, and not counted any more. */
export interface Earlier {
  readonly answer: Observation;
  /** What was changed on its path since. */
  readonly since: Change;
}

/** Faults of the fluid: changed by anything that opens or moves it. */
const OF_THE_FLUID: ReadonlySet<string> = new Set(['air_in_system', 'fluid_water', 'fluid_wrong', 'fluid_sludge', 'fluid_lost']);

/**
 * Which answers belong to an earlier round: on their path, the places of all that may bring them about, something was
 * changed since. What was felt before a rebuild and after it is not multiplied together.
 * Source: handbook 30, round.
 */
export function earlierRounds(
  history: JobHistory,
  answers: ReadonlyMap<string, Observation>,
  network: VehicleNetwork,
): Map<string, Earlier> {
  const changes = changesOf(history);
  const earlier = new Map<string, Earlier>();
  if (changes.length === 0) return earlier;
  const faults = new Map(network.faults.map((f) => [f.id, f]));
  const parents = new Map(history.records.layout.slots.map((s) => [s.id, s.parentId]));
  for (const sign of network.observations) {
    const key = observationKey(sign.code, sign.corner);
    const answer = answers.get(key);
    if (!answer || answer.state === 'not_checked') continue;
    const from = Object.keys(sign.strengths).flatMap((id) => faults.get(id) ?? []);
    const places = new Set(from.flatMap((f) => (f.slot ? [f.slot.id, ...(f.slot.parentId ? [f.slot.parentId] : [])] : [])));
    const fluid = from.some((f) => OF_THE_FLUID.has(f.kind.id));
    const since = changes.findLast(
      (c) => c.at > answer.happenedAt && (c.slotId === null ? fluid : places.has(c.slotId) || places.has(parents.get(c.slotId) ?? '')),
    );
    if (since) earlier.set(key, { answer, since });
  }
  return earlier;
}
