import { fileUntil, openHistory } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import { reservoirOf } from '@dauer/core/hydraulics';
import { withRuns } from '@dauer/core/layout';
import { PRESSING } from '@dauer/core/ledger';
import {
  bearsStroke,
  bleedGates,
  blocksBleeding,
  lastSession,
  type SessionRefusal,
  sessionState,
  ticksOwed,
  whyNotStepped,
} from '@dauer/core/stages';
import { BLEED_TICK, gateWords, SESSION_REFUSED } from '@dauer/core/wording';
import { corrected } from '../../platform/clock.ts';
import { eventHandler, oneAtATime } from '../../platform/handlers.ts';
import { HttpProblem } from '../../platform/problem.ts';
import { refuseLocked } from '../../records/assertUnlocked.ts';
import { readJobFile } from '../../records/jobFile.ts';
import type { Handlers } from '../../platform/routes.ts';

/** Throws a HttpProblem where a step cannot be of a session as it stood then. */
function refuse(why: SessionRefusal | null): void {
  if (why === 'session_elsewhere' || why === 'reservoir_low') throw new HttpProblem(why, SESSION_REFUSED[why]);
  if (why) throw new HttpProblem('not_in_session', SESSION_REFUSED[why]);
}

export const bleedHandlers = {
  /** One session at a time of each job, over circuits that it has and one reservoir; begun while nothing that is pressed is open. */
  beginBleeding: oneAtATime('bleedSessions', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.bleedSessions.some((s) => s.id === body.id)) return;
    const history = openHistory(records);
    const before = lastSession(history);
    if (before && !sessionState(history, before).over) throw new HttpProblem('session_elsewhere', SESSION_REFUSED.session_elsewhere);
    const { layout } = history.records;
    const tanks = new Set(body.circuits.map((c) => reservoirOf(layout, c)?.id ?? ''));
    if (tanks.size !== 1 || body.circuits.some((c) => !layout.slots.some((s) => s.kind === 'bleeder' && s.circuits.includes(c))))
      throw new HttpProblem('not_in_session', SESSION_REFUSED.not_in_session);
    if (!bearsStroke(body)) throw new HttpProblem('reservoir_low', SESSION_REFUSED.reservoir_low);
    const at = corrected(request, body.happenedAt);
    if (PRESSING.includes(body.method))
      for (const s of layout.slots)
        if (s.kind === 'bleeder' && s.circuits.some((c) => body.circuits.includes(c))) refuseLocked(records, s.id, at);
    const until = fileUntil(records, at);
    const { proofStatus } = deriveJob(until, at).context;
    const gates = bleedGates({ history: openHistory(until), proofStatus, circuits: body.circuits, method: body.method, today: at });
    const [gate] = gates.filter(blocksBleeding);
    if (gate) throw new HttpProblem('gate_open', gateWords(gate));
    const untold = ticksOwed(gates).find((t) => !(body.prepared ?? []).includes(t));
    if (untold) throw new HttpProblem('gate_open', SESSION_REFUSED.not_prepared(BLEED_TICK[untold](body.product)));
  }),
  /** What is told late is held against what was told before it, not against what came since. */
  recordBleedStep: oneAtATime('bleedSteps', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    if (records.bleedSteps.some((s) => s.id === body.id)) return;
    const at = corrected(request, body.happenedAt);
    const history = openHistory({ ...records, bleedSteps: records.bleedSteps.filter((s) => s.happenedAt <= at) });
    const session = history.active(history.records.bleedSessions).find((s) => s.id === body.sessionId);
    if (!session) throw new HttpProblem('unknown_reference', 'This session is not of this job. Load the job again.');
    refuse(whyNotStepped(sessionState(history, session), body));
    if (body.kind === 'stroke' && body.slotId !== null && PRESSING.includes(session.method)) refuseLocked(records, body.slotId, at);
  }),
  /** At a bleeder and nowhere else; what presses a control is refused where anything that it reaches was open then. */
  recordBleedPull: eventHandler('bleedPulls', async (body, { db, params, request }) => {
    const records = await readJobFile(db, params.jobId);
    const at = withRuns(records.layout).slots.find((s) => s.id === body.slotId);
    if (at && at.kind !== 'bleeder') throw new HttpProblem('wrong_place', 'That is no bleeder.');
    if (body.method === null || !PRESSING.includes(body.method) || records.bleedPulls.some((p) => p.id === body.id)) return;
    refuseLocked(records, body.slotId, corrected(request, body.happenedAt));
  }),
} satisfies Partial<Handlers>;
