import { fileUntil, heldAsOf, openHistory } from '@dauer/core/history';
import {
  cardLineRefusal,
  isCharged,
  isToldAlready,
  parkedNow,
  timerStates,
  whyNotBegun,
  whyNotCounted,
  whyNotFastened,
  whyNotFinished,
  whyNotLookedAt,
  whyNotMade,
  whyNotPort,
  whyNotPutIn,
  whyNotMarked,
  whyNotNoted,
  whyNotParked,
  whyNotPinned,
  whyNotStarted,
  whyNotStripTold,
  whyNotTakenOver,
  whyNotTimed,
  whyNotTold,
  whyNotTried,
} from '@dauer/core/readiness';
import { CARD_REFUSED, PARK_REFUSED, STORED } from '@dauer/core/wording';
import { deriveJob, placeLock } from '@dauer/core/job';
import { cutOfShape } from '@dauer/core/metrology';
import { heldRefusal, takenOutRefusal } from '@dauer/core/views';
import type { JointEventKind } from '@dauer/core/ledger';
import type { RunningClock } from '@dauer/contract';
import { placeName } from '@dauer/core/layout';
import { sql } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { release, takeBacks, timers, timerSteps } from '../../db/schema.ts';
import { corrected } from '../../platform/clock.ts';
import { HttpProblem } from '../../platform/problem.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { eventHandler, oneAtATime } from '../../platform/handlers.ts';
import { shopDay } from '../../records/ahead.ts';
import { requireJoint } from '../../records/ownership.ts';
import type { Handlers } from '../../platform/routes.ts';

/** Throws a HttpProblem where nobody can have seen a joint dry under held pressure at that moment; a repeat is answered. */
async function requireHeld(db: Database, jobId: string, body: { readonly id: string; readonly slotId: string }, at: string): Promise<void> {
  const records = await readJobFile(db, jobId);
  if (records.release || records.jointEvents.some((e) => e.id === body.id)) return;
  const state = deriveJob(fileUntil(records, at), at);
  const why = heldRefusal(state, body.slotId);
  if (why !== null) throw new HttpProblem(placeLock(state, body.slotId) ? 'control_locked' : 'not_proved_yet', why);
}

/** Throws a HttpProblem where a joint was opened while the vehicle stored energy; a repeat is answered. */
async function requireMadeSafe(db: Database, jobId: string, id: string, at: string): Promise<void> {
  const records = await readJobFile(db, jobId);
  if (records.release || records.jointEvents.some((e) => e.id === id)) return;
  if (isCharged(openHistory(records), at)) throw new HttpProblem('not_possible', STORED.charged);
}

/** Throws a HttpProblem where the card that runs at a place has something that comes before its line; a repeat is answered. */
async function requireCardOrder(
  db: Database,
  jobId: string,
  body: { readonly id: string; readonly slotId: string; readonly kind: JointEventKind },
  at: string,
): Promise<void> {
  const records = await readJobFile(db, jobId);
  if (records.release || records.jointEvents.some((e) => e.id === body.id)) return;
  const why = cardLineRefusal(openHistory(records), body, at);
  if (why !== null) throw new HttpProblem('not_possible', why);
}

/** Jobs that are open and have a clock that nobody has ended, whatever was taken back of it since. */
async function jobsWithClocks(db: Database): Promise<string[]> {
  const { rows } = await db.execute<{ id: string }>(sql`
    select distinct t.job_id as id from ${timers} t
    where not exists (select 1 from ${release} r where r.job_id = t.job_id)
      and (not exists (select 1 from ${timerSteps} s where s.timer_id = t.id and s.kind <> 'measured')
        or exists (select 1 from ${timerSteps} s join ${takeBacks} b on b.corrects = s.id where s.timer_id = t.id))`);
  return rows.map((r) => r.id);
}

export const rebuildHandlers = {
  clocks: async ({ db }) => {
    const now = new Date().toISOString();
    const found: RunningClock[] = [];
    for (const jobId of await jobsWithClocks(db)) {
      const records = await readJobFile(db, jobId);
      for (const { timer, process, slot, phase, overAt } of timerStates(openHistory(records), now))
        if (phase !== 'ended' && phase !== 'broken_off')
          found.push({
            ...{ timerId: timer.id, jobId, tag: records.vehicle.tag, place: placeName(slot) },
            ...{ what: process.name, minutes: timer.minutes, overAt },
          });
    }
    return found.sort((a, b) => ((a.overAt ?? '9') < (b.overAt ?? '9') ? -1 : 1));
  },
  /** A board comes off a pedal last. */
  recordTemporaryFitting: eventHandler('putIns', async (body, { db, params }) => {
    const why = body.port === null ? null : whyNotPutIn((await readJobFile(db, params.jobId)).layout, body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  describePort: eventHandler('portFacts', async (body, { db, params }) => {
    const records = await readJobFile(db, params.jobId);
    const why = records.portFacts.some((f) => f.id === body.id) ? null : whyNotPort(openHistory(records), body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  recordFittingRemoval: eventHandler('takenOuts', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.release || records.takenOuts.some((e) => e.id === body.id)) return;
    const at = corrected(request, body.happenedAt);
    const why = takenOutRefusal(deriveJob(fileUntil(records, at), at), body.putInId);
    if (why !== null) throw new HttpProblem('control_locked', why);
  }),
  /** One card at a time runs at a place: of what is decided there, and as the card is now. */
  beginCard: oneAtATime('cardRuns', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.cardRuns.some((r) => r.id === body.id)) return;
    const at = corrected(request, body.happenedAt);
    const why = whyNotBegun(openHistory(records), body, at);
    if (why !== null) throw new HttpProblem('not_possible', CARD_REFUSED[why]);
  }),
  /** What is told late is held against what was on record then, as far as it stands. */
  tellCardStep: oneAtATime('cardTells', async (body, { db, params, request, person }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.cardTells.some((t) => t.id === body.id)) return;
    if (!records.cardRuns.some((r) => r.id === body.runId))
      throw new HttpProblem('unknown_reference', 'This card does not run on this job. Load the job again.');
    if (isToldAlready(openHistory(records), body)) throw new HttpProblem('not_possible', CARD_REFUSED.told_already);
    const at = corrected(request, body.happenedAt);
    const history = openHistory(fileUntil(records, at));
    const why = whyNotTold(history, { ...body, authorId: person.id }, at, person.role === 'lead' ? 'lead' : 'technician');
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  /** A rung is tried while what it needs holds, and nothing is freed that moves already. */
  recordTry: oneAtATime('ladderTries', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.ladderTries.some((t) => t.id === body.id)) return;
    const others = records.ladderTries.filter((t) => t.slotId === body.slotId);
    const at = heldAsOf(others, corrected(request, body.happenedAt));
    const why = whyNotTried(openHistory(fileUntil(records, at)), body, at);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  /** Nothing is left for longer than a night while a port stands open, something hangs on its hose, or a pedal invites. */
  parkJob: oneAtATime('parkings', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.parkings.some((p) => p.id === body.id)) return;
    const at = corrected(request, body.happenedAt);
    if (parkedNow(openHistory(records)) !== null) throw new HttpProblem('not_possible', PARK_REFUSED.already);
    const why = whyNotParked(openHistory(fileUntil(records, at)), body, await shopDay(db, at));
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  takeOverJob: oneAtATime('takeOvers', async (body, { db, params }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.takeOvers.some((t) => t.id === body.id)) return;
    const why = whyNotTakenOver(openHistory(records), body.parkingId);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  startClock: oneAtATime('timers', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.timers.some((t) => t.id === body.id)) return;
    const others = records.timers.filter((t) => t.slotId === body.slotId);
    const at = heldAsOf(others, corrected(request, body.happenedAt));
    const why = whyNotStarted(openHistory(fileUntil(records, at)), body, at);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  tellClock: oneAtATime('timerSteps', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.timerSteps.some((t) => t.id === body.id)) return;
    const others = records.timerSteps.filter((t) => t.timerId === body.timerId);
    const at = heldAsOf(others, corrected(request, body.happenedAt));
    const why = whyNotTimed(openHistory(fileUntil(records, at)), body, at);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  markStrip: eventHandler('stripMarks', async (body, { db, params }) => {
    const why = whyNotMarked(openHistory(await readJobFile(db, params.jobId)), body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  /** What became of a piece is told once. */
  tellStrip: oneAtATime('stripTells', async (body, { db, params }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.stripTells.some((t) => t.id === body.id)) return;
    const why = whyNotStripTold(openHistory(records), body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  describeCoat: eventHandler('coats', async (body, { db, params }) => {
    const why = whyNotFinished(openHistory(await readJobFile(db, params.jobId)), body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  lookAtCoat: eventHandler('coatLooks', async (body, { db, params }) => {
    const why = whyNotLookedAt(openHistory(await readJobFile(db, params.jobId)), body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  countKit: eventHandler('kitCounts', async (body, { db, params }) => {
    const why = whyNotCounted(openHistory(await readJobFile(db, params.jobId)), body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  recordFastener: eventHandler('fastenerFacts', async (body, { db, params }) => {
    const why = whyNotFastened(openHistory(await readJobFile(db, params.jobId)), body.point);
    if (why !== null) throw new HttpProblem('unknown_reference', why);
  }),
  pinNote: eventHandler('shopNotes', async (body, { db, params }) => {
    const why = whyNotPinned(openHistory(await readJobFile(db, params.jobId)), body);
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  tellNote: oneAtATime('noteTells', async (body, { db, params, person }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.noteTells.some((t) => t.id === body.id)) return;
    const tell = { ...body, authorId: person.id };
    const why = whyNotNoted(openHistory(records), tell, person.role === 'lead' ? 'lead' : 'technician');
    if (why !== null) throw new HttpProblem('not_possible', why);
  }),
  /** What no tube can be bent to is not kept as the shape of one. */
  recordLineShape: eventHandler('lineShapes', (body) => {
    cutOfShape(body);
  }),
  /** A joint is made of what seals together, in a port that is free. What is told after the hand-back stands as it was told. */
  recordJointEvent: eventHandler('jointEvents', async (body, { db, params, request }) => {
    await requireJoint(db, params.jobId, body.connectionId, body.slotId);
    if (body.kind === 'made') {
      const records = await readJobFile(db, params.jobId);
      const isNew = !records.release && !records.jointEvents.some((e) => e.id === body.id);
      const why = isNew ? whyNotMade(openHistory(records), body) : null;
      if (why !== null) throw new HttpProblem('not_possible', why);
    }
    if (body.kind === 'opened') await requireMadeSafe(db, params.jobId, body.id, corrected(request, body.happenedAt));
    await requireCardOrder(db, params.jobId, body, corrected(request, body.happenedAt));
    if (body.kind === 'held') await requireHeld(db, params.jobId, body, corrected(request, body.happenedAt));
  }),
} satisfies Partial<Handlers>;
