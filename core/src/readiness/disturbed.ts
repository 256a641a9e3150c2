import type { JobHistory } from '../history/jobHistory.ts';
import { type Layout, type Slot, childrenOf, pathFromMaster, slotById } from '../layout/graph.ts';
import { type ComponentKind, KIND_FACTS } from '../layout/kinds.ts';
import { controlsOf } from '../layout/reach.ts';
import { ASSUMED_THERE, connectionAt } from '../layout/runs.ts';
import type { PartEvent, PartEventKind } from '../ledger/families/partEvents.ts';
import { inOrder } from '../ledger/retraction.ts';
import { disturbedWords } from '../wording/en/readiness.ts';
import type { DisturbedBy } from '../wording/reasons.ts';

/** What an event does to the vehicle, as far as proofs depend on it. */
export type Disturbance =
  'hydraulic' | 'bleeder' | 'control' | 'wheel' | 'lining' | 'parking' | 'fastener' | 'pushed' | 'lamp' | 'warning' | 'wheel_off';

/** An event that disturbed something at a place. */
export interface Disturbed {
  readonly eventId: string;
  readonly at: string;
  /** When it was written down: where that order is another, both count. */
  readonly recordedAt: string;
  readonly slot: Slot;
  readonly does: readonly Disturbance[];
  readonly by: DisturbedBy;
  /** In words: "front left hose fitted". */
  readonly what: string;
}

/** What moving a part of a kind disturbs. Source: handbook 60, Standing and lapsing. */
const TOUCHES: Readonly<Partial<Record<ComponentKind, readonly Disturbance[]>>> = {
  rotor: ['wheel', 'lining'],
  drum: ['wheel', 'lining'],
  band_drum: ['wheel', 'lining'],
  band: ['lining', 'parking'],
  hub: ['wheel'],
  pads: ['lining'],
  shoes: ['lining', 'parking'],
  parking_shoes: ['parking'],
  expander: ['lining', 'parking'],
  switch: ['lamp'],
  reservoir: ['warning'],
  valve: ['warning'],
  servo: ['control'],
  balance_bar: ['control'],
};

/** What holds at a wheel when the parking lever is pulled, where that lever reaches the wheel. Source: handbook 60, Standing and lapsing. */
const HOLDS_PARKED: readonly ComponentKind[] = [
  'drum',
  'rotor',
  'caliper',
  'piston',
  'pads',
  'shoes',
  'parking_shoes',
  'band',
  'band_drum',
  'expander',
];

/** What a pedal has to find again once it was moved: pistons, linings and what they run on. Source: handbook 58, D01. */
const PUSHED: readonly ComponentKind[] = ['rotor', 'drum', 'band_drum', 'pads', 'shoes', 'band', 'caliper', 'piston', 'wheel_cylinder'];

/** Events of a part that disturb the place where it sat or sits. */
const MOVES: readonly PartEventKind[] = ['removed', 'fitted', 'machined', 'honed', 'sleeved', 'resealed', 'relined', 'opened', 'freed'];

/**
 * What an event on what sits in a place disturbs; nothing for events that leave the vehicle as it was. What carries circuits is
 * hydraulic, whatever its kind.
 */
export function disturbs(layout: Layout, slot: Slot, event: PartEventKind): readonly Disturbance[] {
  if (!MOVES.includes(event)) return [];
  const { kind } = slot;
  const parked = HOLDS_PARKED.includes(kind) && controlsOf(layout).some((c) => c.kind === 'parking' && c.reach.has(slot.id));
  const passes = ASSUMED_THERE.includes(kind) ? controlsOf(layout).filter((c) => c.slotId === slot.id || c.reach.has(slot.id)) : [];
  const own = [
    ...new Set<Disturbance>([
      ...(passes.some((c) => c.kind === 'parking') ? (['parking'] as const) : []),
      ...(passes.some((c) => c.kind === 'pedal') && kind !== 'line' ? (['control'] as const) : []),
      ...(TOUCHES[kind] ?? []),
      ...(parked ? (['parking'] as const) : []),
      ...(PUSHED.includes(kind) ? (['pushed'] as const) : []),
    ]),
  ];
  if (event === 'freed') return own.filter((d) => d === 'pushed');
  if (event === 'machined') return own.filter((d) => d !== 'wheel');
  // A caliper on a cable holds no fluid.
  const wet = (KIND_FACTS[kind].hydraulic && slot.style !== 'cable') || slot.circuits.length > 0;
  return [...own, ...(wet ? (['hydraulic'] as const) : []), 'fastener'];
}

const done = (slot: Slot, by: DisturbedBy): Pick<Disturbed, 'by' | 'what'> => ({ by, what: disturbedWords(slot, by) });

/** The place an event is about: its own, or where its part sat last before it. */
function placeOf(layout: Layout, event: PartEvent, before: readonly PartEvent[]): Slot | undefined {
  const id = event.slotId ?? before.findLast((e) => e.partId === event.partId && e.slotId !== null)?.slotId ?? null;
  return id === null ? undefined : slotById(layout, id);
}

/** Whether what was moved at a place came off with its line still on, and hangs or was put back so. */
export function isHung(history: JobHistory, slotId: string): boolean {
  const events = inOrder(history.active(history.records.partEvents));
  const last = events.findLast((e) => e.slotId === slotId && e.kind !== 'found');
  if (last?.kind !== 'fitted') return last?.kind === 'removed' && last.lineOn;
  return hangs(last.partId, events.slice(0, events.indexOf(last)));
}

/** Whether a part came off with its line still on, and nothing was done to it since. */
function hangs(partId: string, events: readonly PartEvent[]): boolean {
  const last = events.findLast((e) => e.partId === partId);
  return last?.kind === 'removed' && last.lineOn;
}

function byParts(history: JobHistory): Disturbed[] {
  const { layout, partEvents } = history.records;
  const events = inOrder(history.active(partEvents));
  return events.flatMap((event, i): Disturbed[] => {
    const slot = placeOf(layout, event, events.slice(0, i));
    const hung = event.lineOn || (event.kind === 'fitted' && hangs(event.partId, events.slice(0, i)));
    const does = slot ? disturbs(layout, slot, event.kind).filter((d) => !hung || d !== 'hydraulic') : [];
    if (!slot || does.length === 0) return [];
    return [
      {
        eventId: event.id,
        at: event.happenedAt,
        recordedAt: event.recordedAt,
        slot,
        does,
        ...done(slot, { kind: 'part', event: event.kind }),
      },
    ];
  });
}

/** A joint opened lets air in; a bleeder opened may weep, and its pedal is another one. */
function byFluid(history: JobHistory): Disturbed[] {
  const { job, layout, jointEvents, bleedPulls } = history.records;
  const joints = history.active(jointEvents).flatMap((e): Disturbed[] => {
    const slot = e.kind === 'opened' ? slotById(layout, e.slotId) : undefined;
    return slot
      ? [
          {
            eventId: e.id,
            at: e.happenedAt,
            recordedAt: e.recordedAt,
            slot,
            does: ['hydraulic'],
            ...done(slot, { kind: 'joint' }),
          },
        ]
      : [];
  });
  const bleeders = history.active(bleedPulls).flatMap((e): Disturbed[] => {
    const slot = slotById(layout, e.slotId);
    return slot
      ? [
          {
            eventId: e.id,
            at: e.happenedAt,
            recordedAt: e.recordedAt,
            slot,
            // The wheel is off for it, but where only the fluid is changed.
            does: e.jobId === job.id && job.kind !== 'fluid' ? ['bleeder', 'wheel_off'] : ['bleeder'],
            ...done(slot, { kind: 'bleeder' }),
          },
        ]
      : [];
  });
  return [...joints, ...bleeders];
}

/** Places at which something was moved on this job that a pedal has to find again. */
export function pushedPlaces(history: JobHistory): string[] {
  return here(history, byParts(history)).flatMap((d) => (d.does.includes('pushed') ? [d.slot.id] : []));
}

/** Places at which anything was moved, opened or drawn on this job. */
export function touchedPlaces(history: JobHistory): string[] {
  return here(history, disturbances(history)).map((d) => d.slot.id);
}

function here(history: JobHistory, list: readonly Disturbed[]): Disturbed[] {
  const { job, partEvents, jointEvents, bleedPulls } = history.records;
  const ids = new Set([...partEvents, ...jointEvents, ...bleedPulls].flatMap((e) => (e.jobId === job.id ? [e.id] : [])));
  return list.filter((d) => ids.has(d.eventId));
}

/** Everything that disturbed the vehicle, in order. */
export function disturbances(history: JobHistory): Disturbed[] {
  return [...byParts(history), ...byFluid(history)].sort((a, b) =>
    a.at < b.at ? -1 : a.at > b.at ? 1 : a.eventId < b.eventId ? -1 : a.eventId > b.eventId ? 1 : 0,
  );
}

/**
 * Bleeders whose fluid comes through a place, or that share its wheel unit: what opening it lets air into.
 * @returns slot ids
 */
export function bleedersFedThrough(layout: Layout, slot: Slot): string[] {
  const run = connectionAt(layout, slot.id);
  return layout.slots
    .filter((s) => s.kind === 'bleeder' && s.circuits.some((c) => slot.circuits.includes(c)))
    .filter((b) => {
      if (slot.corner !== null && slot.corner === b.corner) return true;
      const unit = b.parentId ?? b.id;
      if (run) {
        const path = pathFromMaster(layout, unit);
        return path.some((id, i) => (id === run.from && path[i + 1] === run.to) || (id === run.to && path[i + 1] === run.from));
      }
      const inside = childrenOf(layout, slot.id).some((c) => c.id === unit);
      return inside || pathFromMaster(layout, unit).includes(slot.id) || pathFromMaster(layout, unit).includes(slot.parentId ?? '');
    })
    .map((b) => b.id);
}
