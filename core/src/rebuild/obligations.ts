import { OPTION_NAME } from '../decide/options.ts';
import { placeName } from '../layout/graph.ts';
import type { Book } from '../records/book.ts';
import type { Component } from '../records/components.ts';
import type { Situation } from '../records/situation.ts';
import { type Obligation, obligation } from '../records/stages.ts';
import { lastPartIn, whereabouts } from '../records/standing.ts';
import { whyNotGood } from '../standing/stands.ts';
import { isWorked, torqueFault, torquePoints } from './torquePoints.ts';

/** Whether what was decided about a place has been done to the part that sits there. */
export function workDone(book: Book, c: Component): boolean {
  const mine = book.stand(book.file.partEvents).filter((e) => e.jobId === book.file.job.id && e.partId === c.part?.id);
  switch (c.decision?.option) {
    case 'replace':
      return c.fittedHere;
    case 'machine':
      return mine.some((e) => e.kind === 'machined');
    case 'reseal':
      return mine.some((e) => e.kind === 'resealed');
    default:
      return true;
  }
}

/** Waiting for what was sent out of this place to come back; nothing where it is here. */
function waitsAway(book: Book, c: Component): Partial<Obligation> {
  const events = book.stand(book.file.partEvents);
  const last = lastPartIn(c.slot.id, events);
  const where = last === null ? null : whereabouts(last, events);
  return where?.at === 'away' ? { state: 'waiting', why: `Sent out${where.note ? `: ${where.note}` : ''}.` } : {};
}

export function rebuildObligations({ book, components, standing }: Situation): Obligation[] {
  const { file } = book;
  const work = components
    .filter(isWorked)
    .map((c) =>
      obligation(
        'rebuild',
        `work:${c.slot.id}`,
        `${placeName(c.slot)}: ${(c.decision ? OPTION_NAME[c.decision.option] : '').toLowerCase()}`,
        workDone(book, c),
        { slotId: c.slot.id, ...(workDone(book, c) ? {} : waitsAway(book, c)) },
      ),
    );
  const open = components
    .filter((c) => c.empty)
    .map((c) =>
      obligation('rebuild', `fit:${c.slot.id}`, `${placeName(c.slot)} is off the vehicle`, false, {
        slotId: c.slot.id,
        ...waitsAway(book, c),
      }),
    );
  const forNow = standing.places
    .filter((p) => p.state === 'temporary')
    .map((p) =>
      obligation('rebuild', `for_now:${p.slot.id}`, `${placeName(p.slot)} is fitted for now only`, false, {
        slotId: p.slot.id,
        why: 'What belongs there has to be fitted; proofs taken meanwhile are provisional.',
      }),
    );
  const events = book.stand(file.operationEvents);
  const operations = book.stand(file.operations).map((o) =>
    obligation(
      'rebuild',
      `op:${o.id}`,
      o.title,
      events.some((e) => e.operationId === o.id && e.kind === 'done'),
      { slotId: o.slotId },
    ),
  );
  const torqueWrong = (point: string): string | null => {
    const now = standing.torque(point);
    return now ? (whyNotGood(now) ?? torqueFault(now.record)) : null;
  };
  const wheelsOff = file.job.kind !== 'fluid';
  const owed =
    components.some(isWorked) ||
    components.some((c) => c.fittedHere) ||
    (wheelsOff && components.some((c) => c.judged.some((j) => book.sets.some((s) => s.id === j.setId && s.jobId === file.job.id))));
  const points = owed ? torquePoints(components, file.job.scopeCorners, wheelsOff) : [];
  return [
    ...work,
    ...open,
    ...forNow,
    ...operations,
    ...points.map((p) =>
      obligation(
        'rebuild',
        `torque:${p.point}`,
        `Torque of ${p.name.toLowerCase()}`,
        standing.torque(p.point) !== null && torqueWrong(p.point) === null,
        {
          slotId: p.slotId,
          why: torqueWrong(p.point),
        },
      ),
    ),
  ];
}
