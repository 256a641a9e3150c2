import { CURES_DAYS } from '../../catalogue/lasting.ts';
import { observedCode, slotOfObservation } from '../../catalogue/observations.ts';
import { anotherKind, fluidBefore } from '../../history/knownFluid.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { partIn } from '../../history/whereabouts.ts';
import type { Slot } from '../../layout/graph.ts';
import type { Corner } from '../../layout/kinds.ts';
import type { BleedMethod } from '../../ledger/families/bleedPulls.ts';
import { PRESSING } from '../../ledger/families/bleedPulls.ts';
import type { BleedTick } from '../../ledger/families/bleedSessions.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import type { IntakeState } from '../../ledger/families/intakeLooks.ts';
import { followedIn } from '../../ledger/priceRecords.ts';
import { daysAfter } from '../../quantity/calendar.ts';
import type { ProofStatus } from '../../readiness/proofStatus.ts';

/** What stands before the first bleeder, or has to be minded there. */
export type BleedGate =
  /** Something on the circuit is open, away, or shut off: air comes in, or no fluid goes through. */
  | { readonly kind: 'open'; readonly slot: Slot; readonly why: string }
  | { readonly kind: 'shut'; readonly slot: Slot; readonly what: 'clamp' | 'plug' | 'cap' }
  /** Made and not torqued yet, or a bleeder that was left open. */
  | { readonly kind: 'loose'; readonly slot: Slot; readonly why: string }
  /** A bleeder that was stuck when the vehicle came, and of which nothing is told since. */
  | { readonly kind: 'stuck'; readonly corner: Corner; readonly state: IntakeState }
  /** Paint that has not cured lies where fluid may run. */
  | { readonly kind: 'paint'; readonly slot: Slot; readonly on: string }
  /** Sludge was seen in a reservoir, and nobody has taken it off since. */
  | { readonly kind: 'sludge'; readonly slot: Slot }
  /** Nobody knows what was in it, or another kind goes in, and there is rubber that lay in it. */
  | { readonly kind: 'unknown'; readonly slot: Slot; readonly rubber: number; readonly other: boolean }
  /** A master cylinder without fluid in it yet, by the school of the house: bench or place; null where none is chosen. */
  | { readonly kind: 'master'; readonly slot: Slot; readonly school: string | null }
  /** Things of this layout that are minded while it is bled. */
  | { readonly kind: 'mind'; readonly what: 'shoes' | 'wheel_nuts' | 'load_sensing' | 'servo' | 'uppermost' };

const SHUTS = ['clamp', 'plug', 'cap'] as const;

/** Whether a gate keeps bleeding from being begun at all: fluid cannot run, or air comes in. */
export function blocksBleeding(gate: BleedGate): boolean {
  return gate.kind === 'open' || gate.kind === 'shut';
}

/** What is told before the first bleeder, for what stands before it. */
export function ticksOwed(gates: readonly BleedGate[]): BleedTick[] {
  return [
    'reservoir_filled',
    ...(gates.some((g) => g.kind === 'sludge') ? (['reservoir_off'] as const) : []),
    ...(gates.some((g) => g.kind === 'master') ? (['master_no_bubble', 'master_hard'] as const) : []),
  ];
}

/** The newest state of what is seen in the reservoirs of circuits, of those that say one thing. */
function seenIn(history: JobHistory, circuits: readonly number[], code: string): Slot | null {
  const { layout, job, observations } = history.records;
  const tanks = layout.slots.filter(
    (s) => s.kind === 'reservoir' && (s.circuits.length === 0 || s.circuits.some((c) => circuits.includes(c))),
  );
  const newest = new Map<string, Observation>();
  for (const o of history.active(observations)) if (o.jobId === job.id && observedCode(o.code) === code) newest.set(o.code, o);
  const seen = [...newest.values()].filter((o) => o.state === 'seen');
  return tanks.find((t) => seen.some((o) => slotOfObservation(o.code) === null || slotOfObservation(o.code) === t.id)) ?? null;
}

/**
 * Whether what is in circuits is contaminated, so that more is drawn: sludge or water was seen, its cap swelled, or another
 * kind was found in it than goes in. Source: handbook 60, How much.
 */
export function isContaminated(history: JobHistory, circuits: readonly number[]): boolean {
  if (['fluid_sludge', 'fluid_water', 'cap_swollen'].some((code) => seenIn(history, circuits, code) !== null)) return true;
  return anotherKind(history, fluidBefore(history, circuits));
}

interface Asked {
  readonly history: JobHistory;
  readonly proofStatus: ProofStatus;
  readonly circuits: readonly number[];
  readonly method: BleedMethod;
  /** ISO instant. */
  readonly today: string;
}

/**
 * What stands before the first bleeder of some circuits, from the records: what keeps fluid from running first.
 * Source: handbook 60, Before starting; 58, D10, D22, A39; 50, Coats.
 */
export function bleedGates({ history, proofStatus, circuits, method, today }: Asked): BleedGate[] {
  const { layout, job, partEvents, bleedPulls, intakeLooks } = history.records;
  const on = (s: Slot): boolean => s.circuits.some((c) => circuits.includes(c));
  const events = history.active(partEvents);
  const places = proofStatus.places.filter((p) => on(p.slot));
  const open = places.flatMap((p): BleedGate[] =>
    p.state === 'open' || p.state === 'away' ? [{ kind: 'open', slot: p.slot, why: p.why ?? '' }] : [],
  );
  const shut = places.flatMap((p): BleedGate[] =>
    p.inside.flatMap(({ what }) => SHUTS.flatMap((k): BleedGate[] => (k === what ? [{ kind: 'shut', slot: p.slot, what: k }] : []))),
  );
  const loose = places.flatMap((p): BleedGate[] =>
    p.unsecured !== null && p.state === 'complete' ? [{ kind: 'loose', slot: p.slot, why: p.unsecured }] : [],
  );
  const drawn = new Set(
    history
      .active(bleedPulls)
      .filter((p) => p.jobId === job.id)
      .map((p) => p.slotId),
  );
  const bleeders = layout.slots.filter((s) => s.kind === 'bleeder' && on(s));
  const untouched = (s: Slot): boolean =>
    !drawn.has(s.id) && !events.some((e) => e.slotId === s.id && e.jobId === job.id && e.kind === 'fitted');
  const stuck = history
    .active(intakeLooks)
    .filter((l) => l.jobId === job.id && l.thing === 'bleeders' && ['seized', 'rounded', 'missing'].includes(l.state))
    .flatMap((l): BleedGate[] =>
      l.corner !== null && bleeders.some((b) => b.corner === l.corner && untouched(b))
        ? [{ kind: 'stuck', corner: l.corner, state: l.state }]
        : [],
    );
  const fresh = daysAfter(today, -CURES_DAYS);
  const paint = events.flatMap((e): BleedGate[] => {
    const slot = layout.slots.find((s) => partIn(s.id, events) === e.partId);
    return e.kind === 'coated' && slot && e.happenedAt.slice(0, 10) > fresh ? [{ kind: 'paint', slot, on: e.happenedAt }] : [];
  });
  const tank = seenIn(history, circuits, 'fluid_sludge');
  const off =
    tank !== null && events.some((e) => e.jobId === job.id && e.slotId === tank.id && (e.kind === 'removed' || e.kind === 'fitted'));
  const sludge: BleedGate[] = tank && !off ? [{ kind: 'sludge', slot: tank }] : [];
  const before = fluidBefore(history, circuits);
  const other = anotherKind(history, before);
  const [lies] = before.old;
  const unknown: BleedGate[] =
    lies && (before.known === null || other) ? [{ kind: 'unknown', slot: lies, rubber: before.old.length, other }] : [];
  const school = followedIn(history.records)('master_bleeding');
  const dry = layout.slots.filter(
    (s) =>
      s.kind === 'master_cylinder' &&
      on(s) &&
      events.some((e) => e.jobId === job.id && (e.kind === 'fitted' || e.kind === 'resealed') && e.partId === partIn(s.id, events)) &&
      drawn.size === 0,
  );
  const master = dry.map((slot): BleedGate => ({ kind: 'master', slot, school }));
  const has = (kind: Slot['kind'], style?: string): boolean =>
    layout.slots.some((s) => s.kind === kind && (style === undefined || s.style === style));
  const corners = new Set(bleeders.map((b) => b.corner));
  const drums = layout.slots.some((s) => s.kind === 'wheel_cylinder' && on(s) && corners.has(s.corner));
  const minds: ('shoes' | 'wheel_nuts' | 'load_sensing' | 'servo' | 'uppermost')[] = [
    ...(drums ? (['shoes'] as const) : []),
    ...(PRESSING.includes(method) ? (['wheel_nuts'] as const) : []),
    ...(has('valve', 'load_sensing') ? (['load_sensing'] as const) : []),
    ...(has('servo') && method === 'pedal' ? (['servo'] as const) : []),
    ...(has('caliper') ? (['uppermost'] as const) : []),
  ];
  return [
    ...open,
    ...shut,
    ...unknown,
    ...loose,
    ...stuck,
    ...sludge,
    ...master,
    ...paint,
    ...minds.map((what): BleedGate => ({ kind: 'mind', what })),
  ];
}
