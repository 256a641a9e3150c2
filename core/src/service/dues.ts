import { DUE_RULES, type DueAccess, type DueRuleId } from './dueRules.ts';
import { fluidRecordsOf, fluidState, type FluidCause } from '../history/due.ts';
import type { JobHistory } from '../history/jobHistory.ts';
import { putOffsOf } from '../history/putOffs.ts';
import { partIn } from '../history/whereabouts.ts';
import { lastOpen } from '../judging/care.ts';
import { isHydraulic, type Slot } from '../layout/graph.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { ComponentKind } from '../layout/kinds.ts';
import { monthsAfter } from '../quantity/calendar.ts';
import type { LimitVersion } from '../verdict/limits.ts';
import { characteristic } from '../catalogue/characteristics.ts';
import { earliestDay } from '../quantity/partialDate.ts';

/** Why something falls due. */
export type DueWhy =
  | { readonly kind: 'fluid'; readonly cause: FluidCause }
  /** So many months after it was last done. */
  | { readonly kind: 'interval'; readonly rule: DueRuleId; readonly last: string; readonly months: number }
  /** Nobody knows when it was last done. */
  | { readonly kind: 'unknown'; readonly rule: DueRuleId | 'fluid' }
  | { readonly kind: 'after_care'; readonly why: string }
  /** A limit of the vehicle that one person entered and nobody checked. */
  | { readonly kind: 'unchecked' }
  | { readonly kind: 'put_off'; readonly reason: string; readonly until: string | null; readonly temporary: boolean };

/** Something that falls due on a vehicle. */
export interface Due {
  /** Stable: the same thing keeps its key while its day moves. */
  readonly key: string;
  readonly about: DueRuleId | 'fluid' | 'after_care' | 'put_off' | 'limits';
  /** Places that it is about; none where it is the vehicle as a whole. */
  readonly slots: readonly Slot[];
  /** What it is, where it was told in words. */
  readonly said: string | null;
  /** ISO day; null where it waits for an access or a distance alone. */
  readonly on: string | null;
  /** Distance on the counter, km; null where only the day counts. */
  readonly km: number | null;
  readonly why: DueWhy;
  readonly access: DueAccess;
}

/** Kinds of unit that are opened by a clock of their own. Source: handbook 05, Two clocks. */
const OPENED: readonly ComponentKind[] = ['caliper', 'wheel_cylinder', 'master_cylinder', 'clutch_master', 'clutch_slave'];

const earliest = (days: readonly string[]): string | null => [...days].sort()[0] ?? null;
const latest = (days: readonly (string | null | undefined)[]): string | null =>
  days
    .filter((d): d is string => typeof d === 'string')
    .sort()
    .at(-1) ?? null;
const dayOf = (instant: string): string => instant.slice(0, 10);

/**
 * A rule that was last followed at an instant, or never on record: due at once then, as of the day that these records begin.
 * Source: handbook 05, Unknown is a finding.
 */
function byRule(history: JobHistory, rule: DueRuleId, slots: readonly Slot[], last: string | null, key: string): Due | null {
  const { vehicle } = history.records;
  const { months: byUse, access } = DUE_RULES[rule];
  const months = byUse[vehicle.use];
  if (months === null) return null;
  const base = { key, about: rule, slots, said: null, km: null, access } as const;
  if (last === null) return { ...base, on: begins(history), why: { kind: 'unknown', rule } };
  const on = monthsAfter(dayOf(last), months);
  return { ...base, on, why: { kind: 'interval', rule, last: dayOf(last), months } };
}

/** The day from which these records know the vehicle. */
function begins({ records }: JobHistory): string {
  return earliest([records.job.openedAt, ...records.pastJobs.map((j) => j.openedAt)].map(dayOf)) ?? dayOf(records.job.openedAt);
}

/** Days on which the rubber or the inside of a place was last new or opened, by these records; null where nobody knows. */
function lastFitted(history: JobHistory, slot: Slot): string | null {
  const events = history.active(history.records.partEvents);
  const part = partIn(slot.id, events);
  const found = part === null || events.some((e) => e.partId === part && e.kind === 'found');
  const here = found ? null : events.find((e) => e.partId === part && e.kind === 'fitted' && !e.temporary)?.happenedAt;
  const before = history
    .active(history.records.earlierWork)
    .filter((e) => e.slotId === slot.id && e.what === 'renewed')
    .map((e) => earliestDay(e.on));
  return here ?? latest(before);
}

function fluidDues(history: JobHistory, today: string): Due[] {
  const { layout, vehicle } = history.records;
  if (!isHydraulic(layout) || isStandalone(layout)) return [];
  const state = fluidState(layout, fluidRecordsOf(history), vehicle, today);
  const base = { key: 'fluid', about: 'fluid', slots: [], said: null, km: null, access: 'wheels_off' } as const;
  return [
    state
      ? { ...base, on: state.due, why: { kind: 'fluid', cause: state.cause } }
      : { ...base, on: begins(history), why: { kind: 'unknown', rule: 'fluid' } },
  ];
}

function unitDues(history: JobHistory): Due[] {
  const { layout, parts, partEvents } = history.records;
  const events = history.active(partEvents);
  const here = (kinds: readonly ComponentKind[]): Slot[] =>
    layout.slots.filter((s) => kinds.includes(s.kind) && partIn(s.id, events) !== null);
  const units = here(OPENED).flatMap((slot) => {
    const id = partIn(slot.id, events);
    const last = lastOpen(history, { slot, part: parts.find((p) => p.id === id) ?? null });
    return byRule(history, 'open', [slot], last, `open:${slot.id}`) ?? [];
  });
  const hoses = here(['hose']).flatMap((slot) => byRule(history, 'hoses', [slot], lastFitted(history, slot), `hoses:${slot.id}`) ?? []);
  return [...together(units), ...together(hoses)];
}

/** What falls due on one day for one reason is one thing: four hoses of unknown age are not four. */
function together(list: readonly Due[]): Due[] {
  const groups = new Map<string, Due>();
  for (const d of list) {
    const group = `${d.about}|${d.on}|${d.why.kind}`;
    const known = groups.get(group);
    groups.set(group, known ? { ...known, slots: [...known.slots, ...d.slots] } : d);
  }
  return [...groups.values()];
}

function wheelDues(history: JobHistory): Due[] {
  const { layout, proofs } = history.records;
  const hubs = layout.slots.filter((s) => s.kind === 'hub' && s.corner !== null);
  const float = hubs.flatMap((slot) => {
    const last = latest(history.sets.filter((s) => s.slotId === slot.id && s.measurement === 'hub_end_float').map((s) => s.happenedAt));
    return byRule(history, 'bearings', [slot], last, `bearings:${slot.id}`) ?? [];
  });
  const held = history.active(proofs).filter((p) => p.item === 'parking' && p.result === 'passed');
  const lever = layout.slots.filter((s) => s.kind === 'parking_lever');
  const parking = lever.length > 0 ? byRule(history, 'parking', lever, latest(held.map((p) => p.happenedAt)), 'parking') : null;
  return [...together(float), ...(parking ? [parking] : [])];
}

/** When a vehicle was last moved on its own wheels or exercised, as far as anybody said, ISO instant. */
export function lastExercised(history: JobHistory): string | null {
  const { records } = history;
  const driven = history.active(records.proofs).filter((p) => p.item === 'road' && p.result === 'passed');
  return latest([...history.active(records.exercises), ...driven].map((e) => e.happenedAt));
}

/** After-care of the newest hand-back that nobody has answered. */
function afterCareDues(history: JobHistory): Due[] {
  const { release, afterCares } = history.records;
  const answers = history.active(afterCares);
  const done = (item: string): boolean => {
    const result = answers.findLast((a) => a.item === item)?.result;
    return result === 'done' || result === 'taken_over';
  };
  const counted = history.active(history.records.counters).at(-1)?.km ?? null;
  return (release?.sheet.afterCare ?? [])
    .filter((i) => !done(i.item))
    .map((i): Due => ({
      ...{ key: `after_care:${i.item}`, about: 'after_care', slots: [], said: i.what, on: i.on },
      km: i.km === null || counted === null ? null : counted + i.km,
      why: { kind: 'after_care', why: i.why },
      access: 'standing',
    }));
}

function putOffDues(history: JobHistory, today: string): Due[] {
  return putOffsOf(history, today).map(({ slot, decision: d }): Due => ({
    ...{ key: `put_off:${slot.id}`, about: 'put_off', slots: [slot], said: null, on: d.reviewOn, km: d.untilKm },
    why: { kind: 'put_off', reason: d.reason, until: d.access, temporary: d.option === 'for_now' },
    access: 'wheels_off',
  }));
}

/** Limits of the vehicle that wait for a second pair of eyes. Source: handbook 10, Limits. */
function limitDues({ records }: JobHistory): Due[] {
  const newest = new Map<string, LimitVersion>();
  for (const l of records.limits) if ((newest.get(l.seriesId)?.enteredAt ?? '') <= l.enteredAt) newest.set(l.seriesId, l);
  const open = [...newest.values()].filter(
    (l) => l.source !== 'generic' && l.checkedBy === null && l.scope === 'vehicle' && l.appliesTo === records.vehicle.id,
  );
  const on = earliest(open.map((l) => dayOf(l.enteredAt)));
  if (on === null) return [];
  const said = open.map((l) => characteristic(l.characteristic)?.name ?? l.characteristic).join(', ');
  return [{ key: 'limits', about: 'limits', slots: [], said, on, km: null, why: { kind: 'unchecked' }, access: 'standing' }];
}

/**
 * Everything that falls due on a vehicle, by the newest job on record, the earliest first; what has no day comes last. A day does
 * not hang on the day it is asked: it follows from what is on record.
 * @param history of the newest job of the vehicle
 * @param today ISO instant
 * Source: handbook 60, Next change due; 58, A57; 05, lessons 3 and 6.
 */
export function duesOf(history: JobHistory, today: string): Due[] {
  if (isStandalone(history.records.layout)) return [];
  const exercise = byRule(history, 'exercise', [], lastExercised(history), 'exercise');
  const list = [
    ...fluidDues(history, today),
    ...unitDues(history),
    ...wheelDues(history),
    ...(exercise ? [exercise] : []),
    ...afterCareDues(history),
    ...putOffDues(history, today),
    ...limitDues(history),
  ];
  return list.sort((a, b) => ((a.on ?? '9999') < (b.on ?? '9999') ? -1 : (a.on ?? '9999') > (b.on ?? '9999') ? 1 : a.key < b.key ? -1 : 1));
}
