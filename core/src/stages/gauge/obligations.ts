import { type Obligation, obligation } from '../../ledger/obligation.ts';
import { familyOf } from '../../ledger/families.ts';
import { movedTwice } from '../../history/moved.ts';
import { strayRecords } from '../../history/strays.ts';
import { type Component, isRenewed } from '../../judging/components.ts';
import { slotById, type Slot } from '../../layout/graph.ts';
import { INBOARD_FLANGE } from '../../layout/kinds.ts';
import { impossibleIn } from '../../metrology/takenIn.ts';
import type { RuleContext } from '../ruleContext.ts';
import { TITLE, REASON } from '../../wording/en/duties.ts';
import { contradictionWords, PROVISIONAL } from '../../wording/en/verdicts.ts';

/** Whether a hub is the flange of a final drive: oil comes past it onto the brake. Source: handbook 58, D24. */
const isFlange = (c: Component): boolean => c.slot.kind === 'hub' && c.slot.style === INBOARD_FLANGE;

/** Safety figures of this job that lie so near to their limit that another person measures them again, blind. */
function seconds({ history, components }: RuleContext): Obligation[] {
  const here = new Set(history.sets.filter((s) => s.jobId === history.records.job.id).map((s) => s.id));
  return components.flatMap((c) => {
    // What is going to be replaced is answered by that.
    if (!c.inScope || (isRenewed(c.decision) && !c.fittedHere)) return [];
    return c.judged
      .filter((j) => here.has(j.setId) && (j.asksSecond || (j.second !== null && j.characteristic.gravity === 'safety')))
      .map((j) =>
        obligation(
          { kind: 'second', slotId: c.slot.id, characteristic: j.characteristic.id },
          TITLE.second(c.slot, j.characteristic.short),
          !j.asksSecond,
          {
            slotId: c.slot.id,
            brief: TITLE.secondHere(j.characteristic.short),
            closedBy: j.second?.setId ?? null,
            ...(j.asksSecond && {
              why: j.contradicts ? REASON.blindContradicts(contradictionWords(j, j.contradicts)) : REASON.blindNear,
              ...(j.contradicts === null && { acceptBy: 'lead' as const }),
              rests: `${j.setId}|${j.reduced.value}|${j.bound.kind === 'none' ? '' : JSON.stringify(j.bound)}`,
            }),
          },
        ),
      );
  });
}

export function gaugeObligations(situation: RuleContext): Obligation[] {
  const { components, owed } = situation;
  const because = owed
    .filter(
      (x) =>
        x.measurement === null ||
        !components.some((c) => c.slot.id === x.slot.id && c.required.some((r) => r.measurement.id === x.measurement)),
    )
    .map((x) =>
      obligation(x.duty, x.what, x.done, { slotId: x.slot.id, brief: x.brief, why: x.done ? null : x.because, closedBy: x.closedBy }),
    );
  return [
    ...components.flatMap(ofComponent),
    ...because,
    ...seconds(situation),
    ...twice(situation),
    ...impossible(situation),
    ...strays(situation),
  ];
}

/** Sets that two people moved without knowing of each other: somebody says where they were taken. */
function twice({ history }: RuleContext): Obligation[] {
  const { records } = history;
  const place = (slotId: string): Slot | undefined => slotById(records.layout, slotId);
  return movedTwice(history.active(records.setMoves)).flatMap(({ setId, now, against }) => {
    const set = history.sets.find((s) => s.id === setId && s.jobId === records.job.id);
    if (!set) return [];
    return obligation({ kind: 'moved', setId }, TITLE.moved(set.measurement), false, {
      slotId: now.slotId,
      why: REASON.movedTwice(
        place(now.slotId),
        against.map((m) => place(m.slotId)),
      ),
    });
  });
}

/** Readings of this job that no such thing can have, from before they were refused: taken back by whoever looks at them. */
function impossible({ history }: RuleContext): Obligation[] {
  const { records } = history;
  return history.sets
    .filter((s) => s.jobId === records.job.id)
    .flatMap((set) => impossibleIn(set, history.active(records.readings)).map((r) => ({ set, r })))
    .map(({ set, r }) => {
      const slot = slotById(records.layout, set.slotId);
      return obligation({ kind: 'impossible', readingId: r.id }, TITLE.impossible(r.typed, set.measurement, r.place), false, {
        slotId: slot?.id ?? null,
        why: REASON.impossible,
      });
    });
}

/** Records of this job at places that are gone: each goes to another place, or is taken back. */
function strays({ history }: RuleContext): Obligation[] {
  return strayRecords(history).map(({ family, record, set, at }) =>
    obligation({ kind: 'stray', recordId: record.id }, TITLE.stray(set?.measurement ?? null, familyOf(family).label, at.name), false, {
      why: REASON.stray(set !== null),
    }),
  );
}

function ofComponent(c: Component): Obligation[] {
  return [
    ...c.required
      .filter((r) => r.need === 'required')
      .map((r) =>
        obligation(
          { kind: 'gauge', slotId: c.slot.id, measurement: r.measurement.id, phase: r.phase },
          TITLE.gauge(c.slot, r.measurement.name, r.phase),
          r.done,
          {
            slotId: c.slot.id,
            brief: TITLE.gaugeHere(r.measurement.name, r.phase),
            closedBy: r.done ? r.setId : null,
            why: r.provisional !== null ? PROVISIONAL[r.provisional] : !r.done && r.taken > 0 ? REASON.takenSoFar(r.taken) : null,
            ...(r.phase !== 'as_found' && !r.done && !r.due
              ? {
                  state: 'waiting' as const,
                  waitsFor: 'part_fitted' as const,
                  why: r.phase === 'as_fitted' ? REASON.notFittedYet : REASON.notMachinedYet,
                }
              : {}),
          },
        ),
      ),
    ...(c.lookRequired
      ? [
          obligation(
            { kind: 'look', slotId: c.slot.id },
            isFlange(c) ? TITLE.lookFor(c.slot, TITLE.driveOil) : TITLE.look(c.slot),
            c.lookDone,
            { slotId: c.slot.id, brief: isFlange(c) ? TITLE.lookForHere(TITLE.driveOil) : TITLE.lookHere },
          ),
        ]
      : []),
  ];
}
