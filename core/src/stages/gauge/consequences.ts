import { CONSEQUENCES, FINDING_CODES, type Where } from '../../catalogue/consequences.ts';
import { observedCode, slotOfObservation } from '../../catalogue/observations.ts';
import type { FindingCode } from '../../catalogue/findingKinds.ts';
import { WAITS } from '../../catalogue/repairOptions.ts';
import { MEASUREMENTS, type MeasurementId, measurementsAt } from '../../catalogue/measurements.ts';
import { decidedHere } from '../../history/decided.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { replacedSince } from '../../history/setsOf.ts';
import { partHere } from '../../history/whereabouts.ts';
import { goodSet } from '../../judging/judge.ts';
import { type Layout, type Slot, pathFromMaster, placeName, slotById } from '../../layout/graph.ts';
import { axleOf } from '../../layout/kinds.ts';
import { reservoirsOf } from '../../layout/reach.ts';
import { type Duty, dutyKey } from '../../ledger/duty.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';
import type { Owed } from '../owed.ts';

interface Trigger {
  readonly code: FindingCode;
  readonly slot: Slot | null;
  readonly corner: Slot['corner'];
  /** Circuits that it says something of. */
  readonly circuits: readonly number[];
  readonly since: string;
  readonly name: string;
}

function triggersOf(history: JobHistory, answers: ReadonlyMap<string, Observation>): Trigger[] {
  const { records } = history;
  const found = history.active(records.findings).flatMap((f): Trigger[] => {
    const slot = slotById(records.layout, f.slotId);
    if (f.code === null || f.jobId !== records.job.id || !slot) return [];
    const name = `${placeName(slot).toLowerCase()}, ${FINDING_CODES[f.code].name.toLowerCase()}`;
    return [{ code: f.code, slot, corner: slot.corner, circuits: slot.circuits, since: f.happenedAt, name }];
  });
  const seen = [...answers.values()].flatMap((o): Trigger[] => {
    const rule = CONSEQUENCES.find((c) => c.observed === observedCode(o.code));
    if (!rule || o.state !== 'seen') return [];
    const at = slotOfObservation(o.code);
    const several = !reservoirsOf(records.layout).some((r) => r.plain);
    const circuits =
      o.corner === null
        ? reservoirsOf(records.layout).flatMap((r) => ((at === null ? r.plain || several : r.slotId === at) ? r.circuits : []))
        : [];
    const name = FINDING_CODES[rule.found].name.toLowerCase();
    return [{ code: rule.found, slot: null, corner: o.corner, circuits, since: o.happenedAt, name }];
  });
  return [...found, ...seen];
}

/** What opened a unit on this job, renewed it, or put that off by name until a day; null where nothing did. */
function openedHere(history: JobHistory, slot: Slot): string | null {
  const events = history.active(history.records.partEvents);
  const partId = partHere(slot.id, events);
  const done = events.findLast(
    (e) =>
      e.jobId === history.records.job.id &&
      ((e.partId === partId && (e.kind === 'opened' || e.kind === 'resealed')) ||
        (e.slotId === slot.id && e.kind === 'fitted' && !e.temporary)),
  );
  const { now } = decidedHere(history, slot.id);
  return done?.id ?? (now && WAITS.includes(now.option) && now.reviewOn !== null ? now.id : null);
}

/** Whether a figure is taken at a place: a rotor without a drum in it owes none of that. */
const takenAt = (id: MeasurementId, slot: Slot): boolean => measurementsAt(slot).some((m) => m.id === id);

/** Whether a hose of an axle feeds a unit at a wheel. */
function feeds(layout: Layout, hose: Slot, corner: Slot['corner']): boolean {
  return layout.slots.some(
    (s) => s.corner === corner && s.circuits.length > 0 && pathFromMaster(layout, s.parentId ?? s.id).includes(hose.id),
  );
}

function reaches(layout: Layout, where: Where, t: Trigger, slot: Slot): boolean {
  if (where === 'circuit') return slot.circuits.some((c) => t.circuits.includes(c)) && slot.id !== t.slot?.id;
  if (slot.kind === 'hose' && slot.corner === null && t.corner !== null) return feeds(layout, slot, t.corner);
  if (slot.corner === null) return t.corner === null && slot.id !== t.slot?.id;
  if (where === 'corner') return slot.corner === t.corner;
  const sameAxle = axleOf(slot.corner) === axleOf(t.corner);
  return where === 'axle' ? sameAxle : sameAxle && slot.id !== t.slot?.id;
}

/**
 * What is owed because of what was found on this job, here and on the other side of the axle, in or out of scope.
 * A look counts from the finding on; a figure taken on this job counts whenever it was taken.
 * @param today ISO instant
 * Source: handbook 15, Scope and programme: consequences.
 */
export function consequencesOf(history: JobHistory, answers: ReadonlyMap<string, Observation>, today: string): Owed[] {
  const { records } = history;
  const findings = history.active(records.findings).filter((f) => f.jobId === records.job.id);
  const owed = new Map<string, Owed>();
  for (const t of triggersOf(history, answers)) {
    for (const rule of CONSEQUENCES.find((c) => c.found === t.code)?.owes ?? []) {
      for (const slot of records.layout.slots.filter((s) => rule.kinds.includes(s.kind) && reaches(records.layout, rule.where, t, s))) {
        const because = REASON.becauseOf(t.name);
        const duty = (measurement: MeasurementId | null): Duty => ({ kind: 'because', finding: t.code, slotId: slot.id, measurement });
        if (rule.look !== null) {
          const look = findings.find((f) => f.slotId === slot.id && f.cleaning === 'after' && f.happenedAt >= t.since);
          const words = { what: TITLE.lookFor(slot, rule.look), brief: TITLE.lookForHere(rule.look) };
          const by = look?.id ?? replacedSince(history, slot.id, t.since);
          const one = { duty: duty(null), slot, measurement: null, ...words, because, done: by !== null, closedBy: by };
          owed.set(dutyKey(one.duty), one);
        }
        if (rule.opens) {
          const by = openedHere(history, slot);
          const words = { what: TITLE.openFor(slot), brief: TITLE.openForHere };
          owed.set(dutyKey(duty(null)), { duty: duty(null), slot, measurement: null, ...words, because, done: by !== null, closedBy: by });
        }
        for (const id of rule.measure.filter((m) => takenAt(m, slot))) {
          const set = goodSet(history, slot.id, id, today);
          const { name } = MEASUREMENTS[id];
          const words = { what: TITLE.figure(slot, name), brief: name.toLowerCase() };
          const by = set?.id ?? replacedSince(history, slot.id, t.since);
          const one = { duty: duty(id), slot, measurement: id, ...words, because, done: by !== null, closedBy: by };
          owed.set(dutyKey(one.duty), one);
        }
      }
    }
  }
  return [...owed.values()];
}
