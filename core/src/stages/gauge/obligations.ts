import { MEASUREMENTS } from '../../catalogue/measurements.ts';
import { type Obligation, obligation } from '../../catalogue/stages.ts';
import { movedTwice } from '../../history/moved.ts';
import type { Component } from '../../judging/components.ts';
import { PHASE_WORD } from '../../judging/words.ts';
import { placeName, slotById } from '../../layout/graph.ts';
import { impossibleIn } from '../../metrology/takenIn.ts';
import type { RuleContext } from '../ruleContext.ts';

/** Safety figures of this job that lie so near to their limit that another person measures them again, blind. */
function seconds({ book, components }: RuleContext): Obligation[] {
  const here = new Set(book.sets.filter((s) => s.jobId === book.file.job.id).map((s) => s.id));
  return components.flatMap((c) => {
    // What is going to be replaced is answered by that.
    if (!c.inScope || (c.decision?.option === 'replace' && !c.fittedHere)) return [];
    return c.judged
      .filter((j) => here.has(j.setId) && (j.asksSecond || (j.second !== null && j.characteristic.gravity === 'safety')))
      .map((j) =>
        obligation(
          'gauge',
          `second:${c.slot.id}:${j.characteristic.id}`,
          `${placeName(c.slot)} ${j.characteristic.short.toLowerCase()}: measured again, blind`,
          !j.asksSecond,
          {
            slotId: c.slot.id,
            closedBy: j.second?.setId ?? null,
            ...(j.asksSecond && {
              why: j.contradicts
                ? `${j.contradicts} Another person measures it without seeing the first.`
                : 'It lies within twice the gauge’s uncertainty of a safety limit: another person measures it without seeing the first.',
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
    .map((x) => obligation('gauge', x.key, x.what, x.done, { slotId: x.slot.id, why: x.done ? null : x.because, closedBy: x.closedBy }));
  return [...components.flatMap(ofComponent), ...because, ...seconds(situation), ...twice(situation), ...impossible(situation)];
}

/** Sets that two people moved without knowing of each other: somebody says where they were taken. */
function twice({ book }: RuleContext): Obligation[] {
  const { file } = book;
  const place = (slotId: string): string => {
    const slot = slotById(file.layout, slotId);
    return slot ? placeName(slot).toLowerCase() : 'a place that is no more';
  };
  return movedTwice(book.stand(file.setMoves)).flatMap(({ setId, now, against }) => {
    const set = book.sets.find((s) => s.id === setId && s.jobId === file.job.id);
    if (!set) return [];
    const name = MEASUREMENTS[set.measurement].name.toLowerCase();
    return obligation('gauge', `moved:${setId}`, `Say where the ${name} was taken`, false, {
      slotId: now.slotId,
      why: `It counts at the ${place(now.slotId)}; somebody who did not know that said ${against.map((m) => `the ${place(m.slotId)}`).join(', ')}.`,
    });
  });
}

/** Readings of this job that no such thing can have, from before they were refused: taken back by whoever looks at them. */
function impossible({ book }: RuleContext): Obligation[] {
  const { file } = book;
  return book.sets
    .filter((s) => s.jobId === file.job.id)
    .flatMap((set) => impossibleIn(set, book.stand(file.readings)).map((r) => ({ set, r })))
    .map(({ set, r }) => {
      const slot = slotById(file.layout, set.slotId);
      const name = `${MEASUREMENTS[set.measurement].name.toLowerCase()}${r.place === null ? '' : `, ${r.place}`}`;
      return obligation('gauge', `impossible:${r.id}`, `Take back ${r.typed} for ${name}`, false, {
        slotId: slot?.id ?? null,
        why: 'No such thing can have that figure. It is used for nothing.',
      });
    });
}

function ofComponent(c: Component): Obligation[] {
  return [
    ...c.required
      .filter((r) => r.need === 'required')
      .map((r) =>
        obligation(
          'gauge',
          `gauge:${c.slot.id}:${r.measurement.id}:${r.phase}`,
          `${placeName(c.slot)} ${r.measurement.name.toLowerCase()}, ${PHASE_WORD[r.phase]}`,
          r.done,
          {
            slotId: c.slot.id,
            closedBy: r.done ? r.setId : null,
            why: r.provisional ?? (!r.done && r.taken > 0 ? `${r.taken} taken so far` : null),
            ...(r.phase === 'as_fitted' && !r.done && !r.due ? { state: 'waiting' as const, why: 'Nothing fitted here yet.' } : {}),
          },
        ),
      ),
    ...(c.lookRequired
      ? [obligation('gauge', `look:${c.slot.id}`, `Look at the ${placeName(c.slot).toLowerCase()}`, c.lookDone, { slotId: c.slot.id })]
      : []),
  ];
}
