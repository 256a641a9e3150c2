import { type ClassFacts, fluidClass } from '../catalogue/fluids.ts';
import { type Layout, type Slot, slotById } from '../layout/graph.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { circuitFluids } from './due.ts';
import { drawnAt, drawnThrough } from './drawn.ts';
import type { JobHistory } from './jobHistory.ts';
import { partIn } from './whereabouts.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { FluidSample } from '../ledger/families/fluidSamples.ts';

/** What rubber of a circuit lies in: what is renewed where nobody knows what was in it. */
const RUBBER: readonly ComponentKind[] = [
  ...(['hose', 'caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave', 'valve'] as const),
];

/** Whether the rubber of a place was renewed on this job: another part, or new seals. */
function renewed(history: JobHistory, slot: Slot): boolean {
  const events = history.active(history.records.partEvents);
  const partId = partIn(slot.id, events);
  const mine = events.filter((e) => e.partId === partId);
  const here = mine.filter((e) => e.jobId === history.records.job.id);
  const another = here.some((e) => e.kind === 'fitted' && e.slotId === slot.id && !e.temporary) && mine.every((e) => e.kind !== 'found');
  return another || here.some((e) => e.kind === 'resealed');
}

/** Places of a circuit whose rubber was not renewed on this job. */
function oldRubber(history: JobHistory, circuits: readonly number[]): Slot[] {
  return history.records.layout.slots.filter(
    (s) => RUBBER.includes(s.kind) && s.circuits.some((c) => circuits.includes(c)) && !renewed(history, s),
  );
}

/** What stands of what was in some circuits when a job came to them. */
export interface FluidBefore {
  /** The class that it was known or tested to be; null where nobody knows. */
  readonly known: ClassFacts | null;
  readonly circuits: readonly number[];
  /** Rubber that was not renewed. */
  readonly old: readonly Slot[];
  /** Every bleeder was drawn through all that stood before it. */
  readonly drawn: boolean;
}

const touches = (layout: Layout, slotId: string, circuits: readonly number[]): boolean =>
  slotById(layout, slotId)?.circuits.some((c) => circuits.includes(c)) ?? false;

/**
 * Whether a sample of a job tells what was in its circuits before: it was drawn before any fluid was moved there, and out
 * of a reservoir before anything was poured into that. A sample of an earlier job tells what that left.
 * Source: handbook 60, Fluids.
 */
export function tellsBefore(history: JobHistory, sample: FluidSample): boolean {
  const { layout, job, bleedPulls, fluidServices } = history.records;
  if (sample.jobId !== job.id) return true;
  const circuits = slotById(layout, sample.slotId)?.circuits ?? [];
  const earlier = (e: EventBase): boolean => e.jobId === job.id && e.happenedAt < sample.happenedAt;
  const poured = slotById(layout, sample.slotId)?.kind === 'reservoir' && history.active(fluidServices).some(earlier);
  return !poured && !history.active(bleedPulls).some((p) => earlier(p) && touches(layout, p.slotId, circuits));
}

/**
 * What was in circuits before this job changed it: by a change on record, or by a test of a sample that was drawn before any
 * fluid was moved.
 * Source: handbook 05, Unknown is a finding; 60, Fluids.
 */
export function fluidBefore(history: JobHistory, circuits: readonly number[]): FluidBefore {
  const { layout, job, ...records } = history.records;
  const pulls = history.active(records.bleedPulls);
  const mine = pulls.filter((p) => p.jobId === job.id);
  const services = history.active(records.fluidServices).filter((f) => f.jobId !== job.id);
  const held = circuitFluids(layout, { services, pulls }).filter((c) => circuits.includes(c.circuit));
  const tested = history
    .active(records.fluidSamples)
    .findLast((s) => s.fluidClass !== null && touches(layout, s.slotId, circuits) && tellsBefore(history, s));
  const [one] = held;
  const service = one && held.every((c) => c.service !== null) ? one.service : null;
  const at = drawnAt(layout, mine);
  const bleeders = layout.slots.filter((s) => s.kind === 'bleeder' && s.circuits.some((c) => circuits.includes(c)));
  return {
    known: fluidClass(tested?.fluidClass ?? service?.fluidClass ?? '') ?? null,
    circuits,
    old: oldRubber(history, circuits),
    drawn: bleeders.every((b) => {
      const d = at.get(b.id);
      return d !== undefined && d.drawn > 0 && drawnThrough(d);
    }),
  };
}

/** Whether another kind goes in on this job than is known to have been in some circuits: all of their rubber is renewed then. */
export function anotherKind(history: JobHistory, { known }: Pick<FluidBefore, 'known'>): boolean {
  const { fluidServices, job } = history.records;
  const goesIn = history.active(fluidServices).findLast((f) => f.jobId === job.id);
  return known !== null && goesIn !== undefined && fluidClass(goesIn.fluidClass)?.kind !== known.kind;
}
