import { CONSEQUENCES, FINDING_CODES, type Where } from '../../catalogue/consequences.ts';
import type { FindingCode } from '../../catalogue/findingCatalogue.ts';
import { MEASUREMENTS, type MeasurementId, measurementsAt } from '../../catalogue/measurements.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { replacedSince } from '../../history/setsOf.ts';
import { goodSet } from '../../judging/judge.ts';
import { type Slot, placeName, slotById } from '../../layout/graph.ts';
import { axleOf } from '../../layout/kinds.ts';
import { type Duty, dutyKey } from '../../ledger/duty.ts';
import type { Observation } from '../../ledger/families/observations.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';
import type { Owed } from '../owed.ts';

interface Trigger {
  readonly code: FindingCode;
  readonly slot: Slot | null;
  readonly corner: Slot['corner'];
  readonly since: string;
  readonly name: string;
}

function triggersOf(history: JobHistory, answers: ReadonlyMap<string, Observation>): Trigger[] {
  const { records } = history;
  const found = history.active(records.findings).flatMap((f): Trigger[] => {
    const slot = slotById(records.layout, f.slotId);
    if (f.code === null || f.jobId !== records.job.id || !slot) return [];
    const name = `${placeName(slot).toLowerCase()}, ${FINDING_CODES[f.code].name.toLowerCase()}`;
    return [{ code: f.code, slot, corner: slot.corner, since: f.happenedAt, name }];
  });
  const seen = [...answers.values()].flatMap((o): Trigger[] => {
    const rule = CONSEQUENCES.find((c) => c.observed === o.code);
    if (!rule || o.state !== 'seen' || o.corner === null) return [];
    return [{ code: rule.found, slot: null, corner: o.corner, since: o.happenedAt, name: FINDING_CODES[rule.found].name.toLowerCase() }];
  });
  return [...found, ...seen];
}

/** Whether a figure is taken at a place: a rotor without a drum in it owes none of that. */
const takenAt = (id: MeasurementId, slot: Slot): boolean => measurementsAt(slot).some((m) => m.id === id);

function reaches(where: Where, t: Trigger, slot: Slot): boolean {
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
      for (const slot of records.layout.slots.filter((s) => rule.kinds.includes(s.kind) && reaches(rule.where, t, s))) {
        const because = REASON.becauseOf(t.name);
        const duty = (measurement: MeasurementId | null): Duty => ({ kind: 'because', finding: t.code, slotId: slot.id, measurement });
        if (rule.look !== null) {
          const look = findings.find((f) => f.slotId === slot.id && f.cleaning === 'after' && f.happenedAt >= t.since);
          const words = { what: TITLE.lookFor(slot, rule.look), brief: TITLE.lookForHere(rule.look) };
          const by = look?.id ?? replacedSince(history, slot.id, t.since);
          const one = { duty: duty(null), slot, measurement: null, ...words, because, done: by !== null, closedBy: by };
          owed.set(dutyKey(one.duty), one);
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
