import { cornersTakenIn } from '../history/scope.ts';
import type { JobState } from '../job/job.ts';
import { type Slot, slotById } from '../layout/graph.ts';
import { isStandalone } from '../layout/standaloneUnits.ts';
import type { EventBase } from '../ledger/eventBase.ts';
import type { AfterCareAnswer } from '../ledger/families/afterCares.ts';
import type { AfterPull } from '../ledger/families/afterPulls.ts';
import { CAME, type PartEvent } from '../ledger/families/partEvents.ts';
import { beddingOf } from '../readiness/bedding.ts';
import { isDuty } from '../ledger/obligation.ts';
import { CURES_DAYS } from '../catalogue/lasting.ts';
import { bleedOrder } from '../stages/bleed/order.ts';
import { AFTER_CARE } from '../wording/en/jobs.ts';
import { LEAVES } from '../wording/en/prove.ts';
import { daysAfter } from '../quantity/calendar.ts';

/** Something owed after hand-back: it does not block it, and goes with the sheet as a dated list. */
export interface AfterCareItem {
  readonly item: string;
  readonly what: string;
  /** Day by which, ISO. */
  readonly on: string;
  /** Distance run after hand-back at which, km; null where only the day counts. */
  readonly km: number | null;
  readonly why: string;
}

/** Figures of after-care (generic). Source: handbook 60, Proving. */
export const RETORQUE_KM = 50;
const RETORQUE_DAYS = 7;
export const BEDDING_KM = 300;
const BEDDING_DAYS = 30;

/** Days after which a coat that fluid may have run over is looked at again (house rule). */
const PAINT_DAYS = 7;

/** Closed by what came at every bleeder, not by a tick. */
export const SECOND_BLEED = 'second_bleed';

/**
 * The after-care that a job leaves, from what was done on it.
 * @param at instant of hand-back, ISO
 * Source: handbook 60, May it move? and Proving.
 */
export function afterCareOf(state: JobState, at: string): AfterCareItem[] {
  const { records, history } = state;
  const left = leftToProve(state, at);
  // What follows is for whoever fits them.
  if (isStandalone(records.layout)) return left;
  const here = <T extends EventBase>(list: readonly T[]): T[] => history.active(list).filter((e) => e.jobId === records.job.id);
  const parts = here(records.partEvents).filter((e) => e.kind !== 'found' && !CAME.includes(e.kind));
  const kindOf = (e: PartEvent): string =>
    records.parts.find((p) => p.id === e.partId)?.kind ?? (e.slotId === null ? undefined : slotById(records.layout, e.slotId))?.kind ?? '';
  const torqued = cornersTakenIn(records.job, records.layout).filter((c) => here(records.torques).some((t) => t.point === `wheel:${c}`));
  const hydraulicOpened =
    here(records.jointEvents).length > 0 ||
    here(records.bleedPulls).length > 0 ||
    parts.some((e) => ['caliper', 'piston', 'wheel_cylinder', 'master_cylinder', 'hose', 'valve'].includes(kindOf(e)));
  const dry = parts.filter(
    (e) =>
      ['fitted', 'resealed'].includes(e.kind) &&
      ['caliper', 'piston', 'wheel_cylinder', 'master_cylinder', 'hose', 'valve', 'clutch_master', 'clutch_slave'].includes(kindOf(e)),
  );
  const fresh = coatedUnderFluid(state);
  const airy = here(records.bleedPulls).filter((p) => p.air !== 'none');
  // Source: handbook 60, After: the lever tied overnight.
  const tied = here(records.putIns).some(
    (p) => p.what === 'tie' && ['pedal', 'hand_lever', 'foot_lever'].includes(slotById(records.layout, p.slotId)?.kind ?? ''),
  );
  const bedding = parts.filter(
    (e) =>
      ['fitted', 'machined'].includes(e.kind) &&
      ['pads', 'shoes', 'parking_shoes', 'band', 'rotor', 'drum', 'band_drum'].includes(kindOf(e)),
  );
  const bedded = beddingOf(history);
  // What the slip of the lining itself says goes before what anybody noted.
  const slip = here(records.lotUses)
    .filter((u) => bedding.some((e) => e.slotId === u.slotId))
    .flatMap((u) => records.lots.find((l) => l.seriesId === u.lotId)?.bedding || [])[0];
  return [
    ...left,
    ...(hydraulicOpened
      ? [{ item: 'leak_next_day', what: AFTER_CARE.leaks, on: daysAfter(at, 1), km: null, why: AFTER_CARE.leaksWhy }]
      : []),
    ...(airy.length > 0 || dry.length > 0 || tied
      ? [
          {
            item: SECOND_BLEED,
            what: AFTER_CARE.secondBleed,
            on: daysAfter(at, 1),
            km: null,
            why: AFTER_CARE.secondBleedWhy(dry.length > 0 ? 'dry' : airy.length > 0 ? 'air' : 'tied'),
          },
        ]
      : []),
    ...(fresh.length > 0
      ? [
          {
            item: 'paint',
            what: AFTER_CARE.paint(fresh),
            on: daysAfter(at, PAINT_DAYS),
            km: null,
            why: AFTER_CARE.paintWhy,
          },
        ]
      : []),
    ...(torqued.length > 0
      ? [
          {
            item: 'retorque',
            what: AFTER_CARE.retorque(torqued),
            on: daysAfter(at, RETORQUE_DAYS),
            km: RETORQUE_KM,
            why: AFTER_CARE.retorqueWhy,
          },
        ]
      : []),
    ...(bedding.length > 0 && bedded?.now !== null
      ? [
          {
            item: 'bedding_in',
            what: AFTER_CARE.bedding,
            on: daysAfter(at, BEDDING_DAYS),
            km: BEDDING_KM,
            why: bedded
              ? AFTER_CARE.beddingLeft(bedded)
              : (slip ?? bedding.find((e) => e.note.trim() !== '')?.note ?? AFTER_CARE.beddingWhy),
          },
        ]
      : []),
  ];
}

/** Places whose coat had not cured when fluid was moved on this job. Source: handbook 60, Fluids; 50, Coats. */
function coatedUnderFluid({ records, history }: JobState): Slot[] {
  const pulls = history.active(records.bleedPulls).filter((p) => p.jobId === records.job.id);
  const coats = history.active(records.partEvents).filter((e) => e.kind === 'coated' && e.slotId !== null);
  const wet = coats.filter((c) =>
    pulls.some((p) => p.happenedAt > c.happenedAt && p.happenedAt.slice(0, 10) < daysAfter(c.happenedAt, CURES_DAYS)),
  );
  return [...new Set(wet.map((c) => c.slotId))].flatMap((id) => (id === null ? [] : (slotById(records.layout, id) ?? [])));
}

/** What was left when the vehicle was not driven away: each before it is. */
function leftToProve(state: JobState, at: string): AfterCareItem[] {
  if (state.leaving === null) return [];
  return state.obligations
    .filter((o) => o.state === 'put_off' && !isDuty(o, 'decide'))
    .map((o) => ({ item: `left:${o.key}`.slice(0, 120), what: o.what, on: daysAfter(at, 0), km: null, why: LEAVES.before }));
}

/** An item of after-care with what became of it. */
export interface AfterCareState extends AfterCareItem {
  readonly answer: 'open' | 'done' | 'taken_over' | 'failed';
  readonly by: string | null;
  readonly note: string;
}

/** The after-care of a job that was handed back, each item with its newest answer. */
export function afterCareStates(state: JobState): AfterCareState[] {
  const { records, history } = state;
  const answers = history.active(records.afterCares);
  return (records.release?.sheet.afterCare ?? []).map((i) => {
    const a = answers.findLast((x) => x.item === i.item);
    return { ...i, answer: a?.result ?? 'open', by: a?.authorId ?? null, note: a?.note ?? '' };
  });
}

/** Whether a job that was handed back is closed: all of its after-care done, or taken over by the owner by name. */
export function isClosed(state: JobState): boolean {
  return state.released && afterCareStates(state).every((a) => a.answer === 'done' || a.answer === 'taken_over');
}

/** A bleeder that is bled a second time after hand-back, with what came; null where it was not yet. */
export interface SecondBleed {
  readonly bleeder: Slot;
  readonly pull: AfterPull | null;
  /** Closed, and no air came. */
  readonly good: boolean;
}

/** The bleeders that a job drew at, in the order in which they are bled, each with what came the second time. */
export function secondBleeds({ records, history }: JobState): SecondBleed[] {
  const here = (e: EventBase): boolean => e.jobId === records.job.id;
  const drawn = new Set(
    history
      .active(records.bleedPulls)
      .filter(here)
      .map((p) => p.slotId),
  );
  const pulls = history.active(records.afterPulls);
  const order = bleedOrder(records.layout).map((s) => s.bleeder);
  // A unit that was fitted dry on a job that drew at no bleeder is bled at every one.
  const owed = drawn.size > 0 ? order.filter((b) => drawn.has(b.id)) : order;
  return owed.map((bleeder) => {
    const pull = pulls.findLast((p) => p.slotId === bleeder.id) ?? null;
    return { bleeder, pull, good: pull !== null && pull.closed && pull.air === 'none' };
  });
}

/** Why an item of after-care cannot be said to be done; null where it can. */
export function afterCareRefusal(state: JobState, item: string, result: AfterCareAnswer['result']): string | null {
  if (item !== SECOND_BLEED || result !== 'done') return null;
  const left = secondBleeds(state).filter((b) => !b.good);
  return left.length === 0 ? null : AFTER_CARE.secondBleedLeft(left.map((b) => b.bleeder));
}
