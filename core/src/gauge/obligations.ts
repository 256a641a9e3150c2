import { placeName, slotById } from '../layout/graph.ts';
import { movedTwice } from '../records/moved.ts';
import type { Component } from '../records/components.ts';
import type { Situation } from '../records/situation.ts';
import { type Obligation, obligation } from '../records/stages.ts';
import { MEASUREMENTS } from './measurements.ts';
import { PHASE_WORD } from './words.ts';

/** Safety figures of this job that lie so near to their limit that another person measures them again, blind. */
function seconds({ book, components }: Situation): Obligation[] {
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
              why: 'It lies within twice the gauge’s uncertainty of a safety limit: another person measures it without seeing the first.',
              acceptBy: 'lead' as const,
              rests: `${j.setId}|${j.reduced.value}|${j.bound.kind === 'none' ? '' : JSON.stringify(j.bound)}`,
            }),
          },
        ),
      );
  });
}

export function gaugeObligations(situation: Situation): Obligation[] {
  const { components, owed } = situation;
  const because = owed
    .filter(
      (x) =>
        x.measurement === null ||
        !components.some((c) => c.slot.id === x.slot.id && c.required.some((r) => r.measurement.id === x.measurement)),
    )
    .map((x) => obligation('gauge', x.key, x.what, x.done, { slotId: x.slot.id, why: x.done ? null : x.because, closedBy: x.closedBy }));
  return [...components.flatMap(ofComponent), ...because, ...seconds(situation), ...twice(situation)];
}

/** Sets that two people moved without knowing of each other: somebody says where they were taken. */
function twice({ book }: Situation): Obligation[] {
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
            why: r.provisional
              ? 'Taken on a dirty surface: clean it and take it again.'
              : r.done
                ? null
                : r.taken > 0
                  ? `${r.taken} taken so far`
                  : null,
            ...(r.phase === 'as_fitted' && !r.done && !c.fittedHere ? { state: 'waiting' as const, why: 'Nothing fitted here yet.' } : {}),
          },
        ),
      ),
    ...(c.lookRequired
      ? [obligation('gauge', `look:${c.slot.id}`, `Look at the ${placeName(c.slot).toLowerCase()}`, c.lookDone, { slotId: c.slot.id })]
      : []),
  ];
}
