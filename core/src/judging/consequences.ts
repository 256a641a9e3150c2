import type { FindingCode } from '../catalogue/findingCatalogue.ts';
import type { MeasurementId } from '../catalogue/measurements.ts';
import { MEASUREMENTS, measurementsAt } from '../catalogue/measurements.ts';
import type { Book } from '../history/book.ts';
import { replacedSince } from '../history/setsOf.ts';
import { type Slot, placeName, slotById } from '../layout/graph.ts';
import { type ComponentKind, axleOf } from '../layout/kinds.ts';
import { type Duty, dutyKey } from '../ledger/duty.ts';
import type { Observation } from '../ledger/families/observations.ts';
import { REASON, TITLE } from '../wording/en/duties.ts';
import { goodSet } from './judge.ts';

/** Findings that others follow from, as they are offered. `asksCause`: without one it stays open on the hand-back sheet. */
const FINDING_CODES: Readonly<
  Record<FindingCode, { readonly name: string; readonly on: readonly ComponentKind[]; readonly asksCause: boolean }>
> = {
  no_lining: { name: 'No lining left', on: ['pads', 'shoes', 'parking_shoes'], asksCause: false },
  fluid_here: {
    name: 'Fluid where none belongs',
    on: ['pads', 'shoes', 'parking_shoes', 'rotor', 'drum', 'caliper', 'wheel_cylinder', 'hub'],
    asksCause: true,
  },
  blue: { name: 'Blued by heat', on: ['rotor', 'drum'], asksCause: true },
  seized: { name: 'Seized', on: ['piston', 'caliper', 'wheel_cylinder', 'shoes', 'parking_shoes', 'master_cylinder'], asksCause: false },
  broken: { name: 'Broken piece', on: ['pads', 'shoes', 'drum', 'rotor', 'caliper', 'wheel_cylinder', 'hub', 'hose'], asksCause: true },
  rub_mark: { name: 'Rub mark', on: ['hose', 'rotor', 'drum', 'caliper', 'hub'], asksCause: true },
  pitted: { name: 'Pitted', on: ['piston', 'wheel_cylinder', 'master_cylinder', 'caliper'], asksCause: false },
  worn_lip: { name: 'Worn lip or ridge', on: ['rotor', 'drum'], asksCause: false },
};

/** How far a consequence goes from where it was found: the corner, or every corner of the axle. */
type Where = 'corner' | 'axle' | 'others_of_axle';

/** When this is found, this is owed. */
interface Consequence {
  readonly found: FindingCode;
  /** The same, as it is told at Trace. */
  readonly observed: string | null;
  readonly owes: readonly {
    readonly kinds: readonly ComponentKind[];
    readonly where: Where;
    /** Figures to take; a look where there is none. */
    readonly measure: readonly MeasurementId[];
    readonly look: string | null;
  }[];
}

/** Source: handbook 15, Scope and programme: consequences. */
const CONSEQUENCES: readonly Consequence[] = [
  {
    found: 'no_lining',
    observed: null,
    owes: [
      { kinds: ['drum'], where: 'axle', measure: ['drum_diameter'], look: 'heat marks and cracks' },
      { kinds: ['rotor'], where: 'axle', measure: ['rotor_thickness', 'rotor_runout', 'rotor_drum'], look: 'heat marks and cracks' },
    ],
  },
  {
    found: 'fluid_here',
    observed: 'fluid_at_wheel',
    owes: [
      { kinds: ['pads', 'shoes', 'parking_shoes'], where: 'axle', measure: [], look: 'lining soaked with fluid' },
      { kinds: ['wheel_cylinder', 'caliper'], where: 'corner', measure: [], look: 'where the fluid comes from' },
      { kinds: ['hose'], where: 'corner', measure: [], look: 'its end at the wheel' },
    ],
  },
  {
    found: 'blue',
    observed: 'blued',
    owes: [
      { kinds: ['rotor'], where: 'corner', measure: ['rotor_runout'], look: 'cracks' },
      { kinds: ['drum'], where: 'corner', measure: ['drum_diameter'], look: 'cracks' },
      { kinds: ['piston', 'wheel_cylinder'], where: 'corner', measure: [], look: 'whether it returns' },
      { kinds: ['bleeder'], where: 'corner', measure: [], look: 'boiling point of the fluid' },
    ],
  },
  {
    found: 'seized',
    observed: null,
    owes: [
      { kinds: ['piston', 'wheel_cylinder'], where: 'others_of_axle', measure: [], look: 'whether it moves by itself' },
      { kinds: ['caliper'], where: 'axle', measure: [], look: 'pins and slides' },
      { kinds: ['hose'], where: 'corner', measure: [], look: 'whether it lets fluid back' },
    ],
  },
];

/** Something owed because of something found. */
export interface Owed {
  readonly duty: Duty;
  readonly slot: Slot;
  readonly measurement: MeasurementId | null;
  readonly what: string;
  /** The same where its place is named beside it. */
  readonly brief: string;
  /** Why, in a sentence. */
  readonly because: string;
  readonly done: boolean;
  /** The record that closed it. */
  readonly closedBy: string | null;
}

interface Trigger {
  readonly code: FindingCode;
  readonly slot: Slot | null;
  readonly corner: Slot['corner'];
  readonly since: string;
  readonly name: string;
}

function triggersOf(book: Book, answers: ReadonlyMap<string, Observation>): Trigger[] {
  const { file } = book;
  const found = book.stand(file.findings).flatMap((f): Trigger[] => {
    const slot = slotById(file.layout, f.slotId);
    if (f.code === null || f.jobId !== file.job.id || !slot) return [];
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
export function consequencesOf(book: Book, answers: ReadonlyMap<string, Observation>, today: string): Owed[] {
  const { file } = book;
  const findings = book.stand(file.findings).filter((f) => f.jobId === file.job.id);
  const owed = new Map<string, Owed>();
  for (const t of triggersOf(book, answers)) {
    for (const rule of CONSEQUENCES.find((c) => c.found === t.code)?.owes ?? []) {
      for (const slot of file.layout.slots.filter((s) => rule.kinds.includes(s.kind) && reaches(rule.where, t, s))) {
        const because = REASON.becauseOf(t.name);
        const duty = (measurement: MeasurementId | null): Duty => ({ kind: 'because', finding: t.code, slotId: slot.id, measurement });
        if (rule.look !== null) {
          const look = findings.find((f) => f.slotId === slot.id && f.cleaning === 'after' && f.happenedAt >= t.since);
          const words = { what: TITLE.lookFor(slot, rule.look), brief: TITLE.lookForHere(rule.look) };
          const by = look?.id ?? replacedSince(book, slot.id, t.since);
          const one = { duty: duty(null), slot, measurement: null, ...words, because, done: by !== null, closedBy: by };
          owed.set(dutyKey(one.duty), one);
        }
        for (const id of rule.measure.filter((m) => takenAt(m, slot))) {
          const set = goodSet(book, slot.id, id, today);
          const { name } = MEASUREMENTS[id];
          const words = { what: TITLE.figure(slot, name), brief: name.toLowerCase() };
          const by = set?.id ?? replacedSince(book, slot.id, t.since);
          const one = { duty: duty(id), slot, measurement: id, ...words, because, done: by !== null, closedBy: by };
          owed.set(dutyKey(one.duty), one);
        }
      }
    }
  }
  return [...owed.values()];
}

/** Whether a finding asks for its cause and has none: nothing later settles it. */
export function causeMissing(code: FindingCode | null, settled: boolean): boolean {
  return code !== null && FINDING_CODES[code].asksCause && !settled;
}
