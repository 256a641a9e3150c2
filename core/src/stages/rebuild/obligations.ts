import { OPTION_NAME } from '../../catalogue/repairOptions.ts';
import { type Obligation, obligation } from '../../catalogue/stages.ts';
import type { Book } from '../../history/book.ts';
import { cornersTakenIn } from '../../history/scope.ts';
import { lastPartIn, whereabouts } from '../../history/whereabouts.ts';
import { careFault, careOf } from '../../judging/care.ts';
import type { Component } from '../../judging/components.ts';
import { workDone } from '../../judging/workDone.ts';
import { type Slot, placeName, slotById } from '../../layout/graph.ts';
import { areLoose } from '../../layout/looseUnits.ts';
import type { JointStands } from '../../readiness/joints.ts';
import { whyNotGood } from '../../readiness/stands.ts';
import { CLAMP_HOURS } from '../../readiness/unitState.ts';
import type { RuleContext } from '../ruleContext.ts';
import { isWorked, torqueFault, torquePoints } from '../torquePoints.ts';

/** Waiting for what was sent out of this place to come back; nothing where it is here. */
function waitsAway(book: Book, c: Component): Partial<Obligation> {
  const events = book.stand(book.file.partEvents);
  const last = lastPartIn(c.slot.id, events);
  const where = last === null ? null : whereabouts(last, events);
  return where?.at === 'away' ? { state: 'waiting', why: `Sent out${where.note ? `: ${where.note}` : ''}.` } : {};
}

function forNowUntil(book: Book, slotId: string): string {
  const fit = book.stand(book.file.partEvents).findLast((e) => e.slotId === slotId && e.kind === 'fitted');
  return fit?.until ? `Until ${fit.until}. ` : '';
}

/** What a joint that was opened owes: made, torqued, and looked at under held pressure. */
function jointObligations(j: JointStands): Obligation[] {
  const where = j.joint.name;
  const upper = where.charAt(0).toUpperCase() + where.slice(1);
  const slotId = j.joint.slot.id;
  const closedBy = j.last?.id ?? null;
  return [
    obligation('rebuild', `joint:${j.joint.key}:made`, `Make the joint: ${where}`, j.state === 'made' || j.state === 'torqued', {
      slotId,
      closedBy,
    }),
    obligation('rebuild', `joint:${j.joint.key}:torqued`, `Torque the joint: ${where}`, j.state === 'torqued', { slotId, closedBy }),
    obligation('prove', `joint:${j.joint.key}:held`, `${upper}: dry under held pressure`, j.held !== null && !j.weeps, {
      slotId,
      why: j.weeps ? 'It weeps.' : j.looked ? 'Looked at without pressure only.' : null,
      closedBy: j.held?.id ?? null,
    }),
  ];
}

/** Hoses that carry or carried a clamp longer than they stand, and were not renewed since. */
function clampedTooLong(book: Book, today: string): { readonly slot: Slot; readonly hours: number }[] {
  const outs = book.stand(book.file.takenOuts);
  const longest = new Map<string, { readonly slot: Slot; readonly hours: number }>();
  for (const p of book.stand(book.file.putIns)) {
    const slot = slotById(book.file.layout, p.slotId);
    if (p.what !== 'clamp' || slot?.kind !== 'hose' || p.jobId !== book.file.job.id) continue;
    const out = outs.find((t) => t.putInId === p.id)?.happenedAt ?? today;
    const hours = Math.floor((Date.parse(out) - Date.parse(p.happenedAt)) / 3600000);
    const renewed = book
      .stand(book.file.partEvents)
      .some((e) => e.slotId === slot.id && e.kind === 'fitted' && !e.temporary && e.happenedAt > p.happenedAt);
    if (!renewed && hours > CLAMP_HOURS) longest.set(slot.id, { slot, hours: Math.max(hours, longest.get(slot.id)?.hours ?? 0) });
  }
  return [...longest.values()];
}

export function rebuildObligations({ book, components, standing, today }: RuleContext): Obligation[] {
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
        why: `${forNowUntil(book, p.slot.id)}What belongs there has to be fitted; proofs taken meanwhile are provisional.`,
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
  const care = components.flatMap((c) => {
    const fault = careFault(book, c);
    return fault === null
      ? []
      : [
          obligation('rebuild', `care:${c.slot.id}`, `${placeName(c.slot)} was found seized`, false, {
            slotId: c.slot.id,
            why: fault,
            acceptBy: 'lead',
            rests: careOf(book, c),
          }),
        ];
  });
  const clamped = clampedTooLong(book, today).map(({ slot, hours }) =>
    obligation('rebuild', `clamped:${slot.id}`, `${placeName(slot)} was clamped for ${hours} h: renew it`, false, {
      slotId: slot.id,
      why: `Longer than ${CLAMP_HOURS} h (generic).`,
    }),
  );
  const torqueWrong = (point: string): string | null => {
    const now = standing.torque(point);
    return now ? (whyNotGood(now) ?? torqueFault(now.record)) : null;
  };
  const wheelsOff = file.job.kind !== 'fluid';
  // Units alone are bolted to nothing here.
  const owed =
    !areLoose(file.layout) &&
    (components.some(isWorked) ||
      components.some((c) => c.fittedHere) ||
      (wheelsOff && components.some((c) => c.judged.some((j) => book.sets.some((s) => s.id === j.setId && s.jobId === file.job.id)))));
  const points = owed ? torquePoints(components, cornersTakenIn(file.job, file.layout), wheelsOff) : [];
  return [
    ...work,
    ...open,
    ...forNow,
    ...operations,
    ...standing.joints.flatMap(jointObligations),
    ...care,
    ...clamped,
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
