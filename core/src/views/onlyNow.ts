import { ACCESSES, accessFor } from '../catalogue/accessRules.ts';
import { type MeasurementId, measurementsAt } from '../catalogue/measurements.ts';
import { workFor } from '../catalogue/operations.ts';
import { plannedPositions } from '../catalogue/positions.ts';
import { programmeFor } from '../catalogue/programme.ts';
import type { Stage } from '../catalogue/stages.ts';
import { isDuty, type Obligation } from '../ledger/obligation.ts';
import type { JobState } from '../job/job.ts';
import { followedIn } from '../ledger/priceRecords.ts';
import type { Component } from '../judging/components.ts';
import { childrenOf, type Slot, slotById } from '../layout/graph.ts';
import type { Corner } from '../layout/kinds.ts';
import type { LeftItem } from '../ledger/families/leftItems.ts';
import { WITHIN } from '../readiness/mayGauge.ts';
import { isProvisional } from '../metrology/provisional.ts';
import { dutyKey } from '../ledger/duty.ts';
import { TITLE } from '../wording/en/duties.ts';

/** Something that can only be done while an access is open. */
export interface OnlyNow {
  /** Stable name. */
  readonly key: string;
  /** Where it is done. */
  readonly slot: Slot;
  readonly what: string;
  readonly stage: Stage;
  /** Nobody owes it, and it is missed later. */
  readonly wanted: boolean;
  readonly minutes: number;
  /** Who left it by name while this access was open; null where nobody did. */
  readonly left: LeftItem | null;
}

const AT_THE_BENCH = ['gauge', 'look', 'because'] as const;

/** Minutes that an open obligation takes: of its usual operation, else by what it is (generic). */
function minutesOf(state: JobState, o: Obligation): number {
  if (isDuty(o, 'work')) {
    const c = state.components.find((x) => x.slot.id === o.slotId);
    return (c?.decision && workFor(c.slot, c.decision.option, followedIn(state.records))?.attendedMinutes) ?? 30;
  }
  if (isDuty(o, 'gauge')) return 5;
  if (isDuty(o, 'out')) return 1;
  if (isDuty(o, 'decide')) return 10;
  return 2;
}

/** What was left by name since the access was last opened, by its key. */
function leftSince(state: JobState, closedBy: Slot | null): Map<string, LeftItem> {
  const opened = state.history
    .active(state.records.partEvents)
    .findLast((e) => e.slotId === closedBy?.id && e.kind === 'removed')?.happenedAt;
  const holds = state.history
    .active(state.records.leftItems)
    .filter((l) => l.closedBy === (closedBy?.id ?? null) && (opened === undefined || l.happenedAt >= opened));
  return new Map(holds.map((l) => [l.item, l]));
}

function ofObligation(state: JobState, o: Obligation, left: ReadonlyMap<string, LeftItem>): OnlyNow[] {
  const slot = slotById(state.records.layout, o.slotId ?? '');
  if (!slot) return [];
  const stage: Stage = isDuty(o, ...AT_THE_BENCH) ? 'gauge' : isDuty(o, 'decide') ? 'decide' : 'rebuild';
  return [{ key: o.key, slot, what: o.what, stage, wanted: false, minutes: minutesOf(state, o), left: left.get(o.key) ?? null }];
}

/**
 * What can only be done now, before a step closes an access: not gauged, not looked at, still plugged, put off until
 * this is open; and figures and settings that nobody owes and everybody misses later.
 * @param slot the place at which something is about to be fitted
 * Source: handbook 05, Before you close it; Settings are recorded before they are disturbed.
 */
export function onlyNow(state: JobState, slot: Slot): OnlyNow[] {
  const access = ACCESSES.filter((a) => a.closedBy === slot.kind);
  const behind = new Set(
    state.records.layout.slots.filter((s) => s.corner === slot.corner && access.some((a) => a.gives.includes(s.kind))).map((s) => s.id),
  );
  const names = access.map((a) => a.name);
  const left = leftSince(state, slot);
  const waits = (o: Obligation): boolean => {
    const c = state.components.find((x) => x.slot.id === o.slotId);
    return o.state === 'put_off' && c?.decision?.access !== null && names.some((n) => n === c?.decision?.access);
  };
  const owed = state.obligations
    .filter((o) => o.slotId !== null && behind.has(o.slotId))
    .filter((o) => (o.state === 'open' && isDuty(o, ...AT_THE_BENCH, 'out', 'work', 'joint')) || waits(o))
    .flatMap((o) => ofObligation(state, o, left));
  const here = (c: Component, m: MeasurementId): boolean => {
    const name = accessFor(m, c.slot);
    return c.slot.corner === slot.corner && name !== null && names.includes(name);
  };
  return [...owed, ...wantedNow(state, here, left)];
}

/**
 * What can only be done now, before a unit is sealed again: its bore and its pistons gauged, and looked at.
 * @param unit the caliper or cylinder that is about to be sealed
 * Source: handbook 20, Cylinder bores; 05, Before you close it.
 */
export function onlyNowInside(state: JobState, unit: Slot): OnlyNow[] {
  const { layout } = state.records;
  const within = new Set([
    unit.id,
    ...childrenOf(layout, unit.id)
      .filter((s) => s.kind === 'piston')
      .map((s) => s.id),
  ]);
  const left = leftSince(state, unit);
  const owed = state.obligations
    .filter((o) => o.slotId !== null && within.has(o.slotId) && o.state === 'open')
    .filter((o) => isDuty(o, 'look', 'because') || (isDuty(o, 'gauge') && WITHIN.includes(o.duty.measurement)))
    .flatMap((o) => ofObligation(state, o, left));
  return [...owed, ...wantedNow(state, (c, m) => within.has(c.slot.id) && WITHIN.includes(m), left)];
}

/** Seconds a reading takes (generic), for the minutes of a measurement. */
const READING_S = 8;

/** Wanted by the programme, not taken in this job, and out of reach once it is closed: `reach` says what that is. */
function wantedNow(state: JobState, reach: (c: Component, m: MeasurementId) => boolean, left: ReadonlyMap<string, LeftItem>): OnlyNow[] {
  return state.components
    .filter((c) => c.inScope && !c.empty)
    .flatMap((c) =>
      measurementsAt(c.slot).flatMap((m): OnlyNow[] => {
        if (!reach(c, m.id)) return [];
        const lines = programmeFor(c.slot.kind, 'found').filter((l) => l.measurement === m.id || l.or === m.id);
        // What can be taken another way is not wanted both ways.
        const ways = [m.id, ...lines.flatMap((l) => [l.measurement, ...(l.or === null ? [] : [l.or])])];
        const taken = state.history.sets.some(
          (s) => s.slotId === c.slot.id && ways.includes(s.measurement) && s.jobId === state.records.job.id && !isProvisional(s),
        );
        const owed = c.required.some((r) => ways.includes(r.measurement.id) && r.need === 'required');
        if (taken || owed || lines.length === 0) return [];
        const key = dutyKey({ kind: 'wanted', slotId: c.slot.id, measurement: m.id });
        return [
          {
            ...{ key, slot: c.slot, what: TITLE.wanted(c.slot, m.name), stage: 'gauge', wanted: true },
            minutes: Math.max(1, Math.ceil((plannedPositions(m.id).length * READING_S) / 60)),
            left: left.get(key) ?? null,
          },
        ];
      }),
    );
}

/** What can only be done while a wheel is off, before it goes on. */
export function onlyNowAtWheel(state: JobState, corner: Corner): OnlyNow[] {
  const here = new Set(state.records.layout.slots.filter((s) => s.corner === corner).map((s) => s.id));
  const left = leftSince(state, null);
  return state.obligations
    .filter(
      (o) => o.slotId !== null && here.has(o.slotId) && o.state === 'open' && isDuty(o, ...AT_THE_BENCH, 'out', 'work', 'fit', 'joint'),
    )
    .filter((o) => o.stage !== 'prove' || isDuty(o, 'out'))
    .flatMap((o) => ofObligation(state, o, left));
}

/**
 * What can only be done while the way to a brake at the final drive is open, before body, floor or tank goes back: the flange,
 * what is bolted to it, and everything else of that brake.
 * @param at a place of that brake
 * Source: handbook 58, D24.
 */
export function onlyNowInboard(state: JobState, at: Slot): OnlyNow[] {
  if (at.corner === null) return [];
  const wayIn = state.history
    .active(state.records.putIns)
    .flatMap((p) => (p.what === 'way_in' ? [dutyKey({ kind: 'out', putInId: p.id })] : []));
  const left = leftSince(state, at);
  const torques = state.obligations
    .filter((o) => isDuty(o, 'torque') && o.state === 'open' && slotById(state.records.layout, o.slotId ?? '')?.corner === at.corner)
    .flatMap((o) => ofObligation(state, o, left));
  const owed = onlyNowAtWheel(state, at.corner).filter((x) => !wayIn.includes(x.key));
  const seen = new Set(owed.map((x) => x.key));
  return [...owed.map((x) => ({ ...x, left: left.get(x.key) ?? null })), ...torques.filter((x) => !seen.has(x.key))];
}
