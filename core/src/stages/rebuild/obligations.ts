import { type Obligation, obligation } from '../../ledger/obligation.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { cornersTakenIn } from '../../history/scope.ts';
import { lastPartIn, whereabouts } from '../../history/whereabouts.ts';
import { careFault, careOf } from '../../judging/care.ts';
import { type Component, neverCame } from '../../judging/components.ts';
import { workDone } from '../../judging/workDone.ts';
import { type Slot, slotById } from '../../layout/graph.ts';
import { isStandalone } from '../../layout/standaloneUnits.ts';
import type { JointStatus } from '../../readiness/joints.ts';
import { finishAt, isOfDecision, runAt } from '../../readiness/cardRuns.ts';
import { cardState } from '../../readiness/cardState.ts';
import { ladderState } from '../../readiness/ladder.ts';
import { strippedPlaces, stripOf } from '../../readiness/strip.ts';
import { boardOn } from '../../readiness/pedalLock.ts';
import { waitsForSupply } from '../../supply/mayFit.ts';
import { supplyWords } from '../../wording/en/supply.ts';
import { whyNotGood } from '../../readiness/proofStatus.ts';
import { CLAMP_HOURS } from '../../readiness/unitState.ts';
import type { RuleContext } from '../ruleContext.ts';
import { isWorked, torqueFault, torquePoints } from '../torquePoints.ts';
import type { JointStep, Duty } from '../../ledger/duty.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';
import { STRIP } from '../../wording/en/strip.ts';
import { careWords } from '../../wording/en/history.ts';
import { millisecondsInHour } from '../../quantity/calendar.ts';

/** Waiting for what was sent out of this place to come back; nothing where it is here. */
function waitsAway(history: JobHistory, c: Component): Partial<Pick<Obligation, 'state' | 'waitsFor' | 'why'>> {
  const events = history.active(history.records.partEvents);
  const last = lastPartIn(c.slot.id, events);
  const where = last === null ? null : whereabouts(last, events);
  if (where?.at === 'away') return { state: 'waiting', waitsFor: 'part_away', why: REASON.sentOut(where.note) };
  // Where the old one still sits it may come off meanwhile: only what is put in waits.
  const supply = waitsForSupply(history, c.slot.id);
  return supply
    ? {
        state: supply.kind === 'on_order' ? 'waiting' : 'open',
        waitsFor: supply.kind === 'on_order' ? 'on_order' : null,
        why: supplyWords(supply),
      }
    : {};
}

function forNowUntil(history: JobHistory, slotId: string): string | null {
  return history.active(history.records.partEvents).findLast((e) => e.slotId === slotId && e.kind === 'fitted')?.until ?? null;
}

/** What a joint that was opened owes: made, torqued, and looked at under held pressure. */
function jointObligations(j: JointStatus): Obligation[] {
  const where = j.joint.name;
  const slotId = j.joint.slot.id;
  const duty = (step: JointStep): Duty => ({ kind: 'joint', connectionId: j.joint.connection.id, slotId, step });
  const closedBy = j.last?.id ?? null;
  return [
    obligation(duty('made'), TITLE.make(where), j.state === 'made' || j.state === 'torqued', {
      slotId,
      closedBy,
    }),
    obligation(duty('torqued'), TITLE.torqueJoint(where), j.state === 'torqued', { slotId, closedBy }),
    obligation(duty('held'), TITLE.heldJoint(where), j.held !== null && !j.weeps, {
      slotId,
      why: j.weeps ? REASON.weeps : j.looked ? REASON.lookedWithoutPressure : null,
      closedBy: j.held?.id ?? null,
    }),
  ];
}

/** Hoses that carry or carried a clamp longer than they stand, and were not renewed since. */
function clampedTooLong(history: JobHistory, today: string): { readonly slot: Slot; readonly hours: number }[] {
  const outs = history.active(history.records.takenOuts);
  const longest = new Map<string, { readonly slot: Slot; readonly hours: number }>();
  for (const p of history.active(history.records.putIns)) {
    const slot = slotById(history.records.layout, p.slotId);
    if (p.what !== 'clamp' || slot?.kind !== 'hose' || p.jobId !== history.records.job.id) continue;
    const out = outs.find((t) => t.putInId === p.id)?.happenedAt ?? today;
    const hours = Math.floor((Date.parse(out) - Date.parse(p.happenedAt)) / millisecondsInHour);
    const renewed = history
      .active(history.records.partEvents)
      .some((e) => e.slotId === slot.id && e.kind === 'fitted' && !e.temporary && e.happenedAt > p.happenedAt);
    if (!renewed && hours > CLAMP_HOURS) longest.set(slot.id, { slot, hours: Math.max(hours, longest.get(slot.id)?.hours ?? 0) });
  }
  return [...longest.values()];
}

/** Bleeders that were opened on this job. */
export function bledHere(history: JobHistory): Set<string> {
  const { bleedPulls, job } = history.records;
  return new Set(history.active(bleedPulls).flatMap((p) => (p.jobId === job.id ? [p.slotId] : [])));
}

export function rebuildObligations({ history, components, proofStatus: standing, today }: RuleContext): Obligation[] {
  const { records } = history;
  const work = components.filter(isWorked).map((c) =>
    obligation({ kind: 'work', slotId: c.slot.id }, TITLE.work(c.slot, c.decision?.option ?? null), workDone(history, c), {
      slotId: c.slot.id,
      ...(workDone(history, c) ? {} : waitsAway(history, c)),
    }),
  );
  const open = components
    .filter((c) => c.empty)
    .map((c) =>
      obligation({ kind: 'fit', slotId: c.slot.id }, neverCame(history, c.slot.id) ? TITLE.missing(c.slot) : TITLE.fit(c.slot), false, {
        slotId: c.slot.id,
        ...waitsAway(history, c),
      }),
    );
  const forNow = standing.places
    .filter((p) => p.state === 'temporary')
    .map((p) =>
      obligation({ kind: 'for_now', slotId: p.slot.id }, TITLE.forNow(p.slot), false, {
        slotId: p.slot.id,
        why: REASON.forNow(forNowUntil(history, p.slot.id)),
      }),
    );
  const events = history.active(records.operationEvents);
  const facts = { history, at: today, places: standing.places };
  const cards = components.flatMap((c) => {
    const runs = [runAt(history, c.slot.id), finishAt(history, c.slot.id)];
    const states = runs.flatMap((run) => (run && isOfDecision(history, run) ? (cardState(history, run, today, facts) ?? []) : []));
    const state = states.find((s) => s.owed > 0) ?? states[0];
    if (state === undefined) return [];
    const owed = states.reduce((sum, s) => sum + s.owed, 0);
    return [
      obligation({ kind: 'card', slotId: c.slot.id }, owed > 0 ? TITLE.card(c.slot, owed) : TITLE.cardDone(c.slot), owed === 0, {
        slotId: c.slot.id,
        why: owed > 0 && state.next ? state.next.step.words : null,
      }),
    ];
  });
  const strip = strippedPlaces(history).map((slot) => {
    const { open } = stripOf(history, slot);
    return obligation({ kind: 'strip', slotId: slot.id }, TITLE.strip(slot), open.length === 0, {
      slotId: slot.id,
      why: open.length > 0 ? STRIP.owed(open.length) : null,
    });
  });
  const tried = new Set(history.active(records.ladderTries).flatMap((t) => (t.jobId === records.job.id ? [t.slotId] : [])));
  const freed = components.flatMap((c) => {
    const state = tried.has(c.slot.id) ? ladderState(history, c.slot, today, facts) : null;
    // Owed once, also where it was answered since.
    if (!state?.tries.some((t) => state.ladder.rungs.some((r) => r.id === t.rungId && r.owes.length > 0))) return [];
    const open = state.owes.length > 0;
    return [
      obligation({ kind: 'freed', slotId: c.slot.id }, TITLE.freed(c.slot), !open, {
        slotId: c.slot.id,
        why: open ? REASON.freed(state.owes) : null,
      }),
    ];
  });
  const operations = history.active(records.operations).map((o) =>
    obligation(
      { kind: 'op', operationId: o.id },
      o.title,
      events.some((e) => e.operationId === o.id && e.kind === 'done'),
      { slotId: o.slotId },
    ),
  );
  const care = components.flatMap((c) => {
    const fault = careFault(history, c);
    return fault === null
      ? []
      : [
          obligation({ kind: 'care', slotId: c.slot.id }, TITLE.care(c.slot), false, {
            slotId: c.slot.id,
            why: careWords(fault),
            acceptBy: 'lead',
            rests: careOf(history, c),
          }),
        ];
  });
  const clamped = clampedTooLong(history, today).map(({ slot, hours }) =>
    obligation({ kind: 'clamped', slotId: slot.id }, TITLE.clamped(slot, hours), false, {
      slotId: slot.id,
      why: REASON.clamped(CLAMP_HOURS),
    }),
  );
  // With the first open unit a board lies on what would press it. Source: handbook 58, D08.
  const boards = standing.locks
    .filter((l) => !l.passable && boardOn(l.control, standing.places) === null)
    .map((l) =>
      obligation({ kind: 'board', slotId: l.control.slotId }, TITLE.board(l.control.name), false, { slotId: l.control.slotId, why: l.why }),
    );
  const torqueWrong = (point: string): string | null => {
    const now = standing.torque(point);
    return now ? (whyNotGood(now) ?? torqueFault(now.record)) : null;
  };
  const wheelsOff = records.job.kind !== 'fluid';
  // Units alone are bolted to nothing here.
  const owed =
    !isStandalone(records.layout) &&
    (components.some(isWorked) ||
      components.some((c) => c.fittedHere) ||
      (wheelsOff &&
        components.some((c) => c.judged.some((j) => history.sets.some((s) => s.id === j.setId && s.jobId === records.job.id)))));
  const bled = bledHere(history);
  const due = torquePoints(components, cornersTakenIn(records.job, records.layout), wheelsOff, bled);
  const points = owed ? due : due.filter((p) => p.slotId !== null && bled.has(p.slotId));
  return [
    ...work,
    ...boards,
    ...open,
    ...forNow,
    ...operations,
    ...cards,
    ...strip,
    ...freed,
    ...standing.joints.flatMap(jointObligations),
    ...care,
    ...clamped,
    ...points.map((p) =>
      obligation(
        { kind: 'torque', fastener: p.fastener },
        TITLE.torque(p.name),
        standing.torque(p.point) !== null && torqueWrong(p.point) === null,
        {
          slotId: p.slotId,
          why: torqueWrong(p.point),
        },
      ),
    ),
  ];
}
