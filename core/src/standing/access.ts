import { type Measurement, type MeasurementId, measurementsOn } from '../gauge/measurements.ts';
import { plannedPositions } from '../gauge/positions.ts';
import { programmeFor } from '../gauge/programme.ts';
import { placeName, type Slot } from '../layout/graph.ts';
import type { ComponentKind, Corner } from '../layout/kinds.ts';
import { operationFor } from '../rebuild/operations.ts';
import type { JobState } from '../records/job.ts';
import type { Obligation } from '../records/stages.ts';

/** What gives access to what: fitting the one closes the way to the others of its corner. */
export interface Access {
  readonly name: string;
  readonly closedBy: ComponentKind;
  readonly gives: readonly ComponentKind[];
}

/** Source: handbook 05, Before you close it. */
export const ACCESSES: readonly Access[] = [
  { name: 'drum off', closedBy: 'drum', gives: ['shoes', 'wheel_cylinder', 'hub'] },
  { name: 'pads out', closedBy: 'pads', gives: ['piston'] },
  { name: 'caliper off', closedBy: 'caliper', gives: ['rotor', 'hub'] },
  { name: 'rotor off', closedBy: 'rotor', gives: ['hub'] },
  { name: 'master off servo', closedBy: 'master_cylinder', gives: ['servo'] },
];

/** The access that a figure needs; the rest is reached with the wheel off, or from outside. Source: handbook 05 and 20. */
export const ACCESS_OF: Readonly<Partial<Record<MeasurementId, string>>> = {
  hub_face_runout: 'rotor off',
  shoe_lining: 'drum off',
  shoe_above_rivets: 'drum off',
  shoe_arc: 'drum off',
  shoe_centring: 'drum off',
  shoe_springs: 'drum off',
  shoe_adjuster: 'drum off',
  adjuster_travel: 'drum off',
  expander_play: 'drum off',
  hub_end_float: 'drum off',
  bore_diameter: 'drum off',
  piston_diameter: 'pads out',
  piston_seal: 'pads out',
  servo_push_rod: 'master off servo',
};

/** Something that can only be done while an access is open. */
export interface OnlyNow {
  readonly obligation: Obligation;
  readonly minutes: number;
}

/** Minutes that an open obligation takes: of its usual operation, else by what it is (generic). */
function minutesOf(state: JobState, o: Obligation): number {
  if (o.key.startsWith('work:')) {
    const c = state.components.find((x) => x.slot.id === o.slotId);
    return (c?.decision && operationFor(c.slot.kind, c.decision.option)?.attendedMinutes) ?? 30;
  }
  if (o.key.startsWith('gauge:')) return 5;
  if (o.key.startsWith('out:')) return 1;
  if (o.key.startsWith('decide:')) return 10;
  return 2;
}

/**
 * What can only be done now, before a step closes an access: not gauged, not looked at, still plugged, put off until
 * this is open.
 * @param slot the place at which something is about to be fitted
 * Source: handbook 05, Before you close it.
 */
export function onlyNow(state: JobState, slot: Slot): OnlyNow[] {
  const access = ACCESSES.filter((a) => a.closedBy === slot.kind);
  const behind = new Set(
    state.file.layout.slots.filter((s) => s.corner === slot.corner && access.some((a) => a.gives.includes(s.kind))).map((s) => s.id),
  );
  const names = access.map((a) => a.name);
  const waits = (o: Obligation): boolean => {
    const c = state.components.find((x) => x.slot.id === o.slotId);
    return o.state === 'put_off' && c?.decision?.access !== null && names.includes(c?.decision?.access ?? '');
  };
  return state.obligations
    .filter((o) => o.slotId !== null && behind.has(o.slotId))
    .filter((o) => (o.state === 'open' && /^(gauge|look|because|out|work|joint):/.test(o.key)) || waits(o))
    .map((obligation) => ({ obligation, minutes: minutesOf(state, obligation) }));
}

/** A figure that is wanted and was not taken, and can only be taken while an access is open. */
export interface WantedNow {
  readonly slot: Slot;
  readonly measurement: Measurement;
  readonly minutes: number;
}

/** Seconds a reading takes (generic), for the minutes of a measurement. */
const READING_S = 8;

/**
 * Figures and settings that nobody owes and everybody misses later: wanted by the programme, not taken in this job, and
 * behind the access that is about to be closed.
 * Source: handbook 05, Before you close it; Settings are recorded before they are disturbed.
 */
export function wantedNow(state: JobState, slot: Slot): WantedNow[] {
  const names = ACCESSES.filter((a) => a.closedBy === slot.kind).map((a) => a.name);
  return state.components
    .filter((c) => c.inScope && !c.empty && c.slot.corner === slot.corner)
    .flatMap((c) =>
      measurementsOn(c.slot.kind).flatMap((m): WantedNow[] => {
        const access = ACCESS_OF[m.id];
        if (access === undefined || !names.includes(access)) return [];
        const taken = state.book.sets.some((s) => s.slotId === c.slot.id && s.measurement === m.id && s.jobId === state.file.job.id);
        const owed = c.required.some((r) => r.measurement.id === m.id && r.need === 'required');
        if (taken || owed || !programmeFor(c.slot.kind, 'found').some((l) => l.measurement === m.id || l.or === m.id)) return [];
        return [{ slot: c.slot, measurement: m, minutes: Math.max(1, Math.ceil((plannedPositions(m.id).length * READING_S) / 60)) }];
      }),
    );
}

/** What can only be done while a wheel is off, before it goes on. */
export function onlyNowAtWheel(state: JobState, corner: Corner): OnlyNow[] {
  const here = new Set(state.file.layout.slots.filter((s) => s.corner === corner).map((s) => s.id));
  return state.obligations
    .filter((o) => o.slotId !== null && here.has(o.slotId) && o.state === 'open' && /^(gauge|look|because|out|work|fit|joint):/.test(o.key))
    .filter((o) => o.stage !== 'prove' || o.key.startsWith('out:'))
    .map((obligation) => ({ obligation, minutes: minutesOf(state, obligation) }));
}

/** Names of the accesses under which something may be put off, for a place. */
export function accessesOver(slot: Slot): string[] {
  return ACCESSES.filter((a) => a.gives.includes(slot.kind)).map((a) => a.name);
}

/** The name of a step that closes an access, as it is said. */
export function closingWords(slot: Slot): string {
  return `Before the ${placeName(slot).toLowerCase()} closes it`;
}
