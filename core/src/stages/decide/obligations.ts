import { type Obligation, obligation } from '../../ledger/obligation.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { type PutOff, putOffsOf } from '../../history/putOffs.ts';
import { KIND_OF_JOB } from '../../history/scope.ts';
import type { Component } from '../../judging/components.ts';
import { workDone } from '../../judging/workDone.ts';
import { KIND_FACTS } from '../../layout/kinds.ts';
import type { JobKind } from '../../ledger/job.ts';
import type { RuleContext } from '../ruleContext.ts';
import { isWorked } from '../torquePoints.ts';
import { optionsOf } from '../../readiness/options.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';
import { againstWords, putOffDueWords, putOffWords } from '../../wording/en/decide.ts';

/** Whether the owner and the shop have to decide about this place. */
export function needsDecision(c: Component, kind: JobKind): boolean {
  if (!KIND_OF_JOB[kind].decides || !c.inScope) return false;
  // Of lines, cables, rods and levers only where something was found.
  return KIND_FACTS[c.slot.kind].article || c.findings.some((f) => f.severity === 'doubt' || f.severity === 'reject');
}

/** Why a decision no longer stands: a reading or finding since then rules it out for the part it was made about. */
function fallen(history: JobHistory, c: Component): string | null {
  if (!c.decision || (isWorked(c) && workDone(history, c)) || (c.decision.partId !== null && c.decision.partId !== c.part?.id)) return null;
  const option = optionsOf(history, c).find((o) => o.id === c.decision?.option);
  return option?.ruledOut ? REASON.ruledOut(option.name, option.ruledOut) : null;
}

export function decideObligations({ history, components, today }: RuleContext): Obligation[] {
  const putOffs = new Map(putOffsOf(history, today).map((p) => [p.slot.id, p]));
  return components
    .filter((c) => needsDecision(c, history.records.job.kind) || c.decision || putOffs.has(c.slot.id))
    .map((c) => {
      const earlier = putOffs.get(c.slot.id);
      const due = earlier?.due ?? null;
      // Put off on an earlier job and not due: it waits on, unless this job decides about the place anyway.
      if (earlier?.of === 'earlier' && due === null && !needsDecision(c, history.records.job.kind))
        return obligation({ kind: 'decide', slotId: c.slot.id }, TITLE.decide(c.slot), false, {
          slotId: c.slot.id,
          state: 'put_off',
          why: putOffWords(earlier.decision),
        });
      return decideOne(history, c, earlier ?? null);
    });
}

/** What is owed where something has to be decided: also that it was put off before, and that it is due. */
function decideOne(history: JobHistory, c: Component, putOff: PutOff | null): Obligation {
  const due = putOff?.due ? putOffDueWords(putOff) : null;
  const stands = c.decision !== null && !fallen(history, c) && c.against.length === 0 && due === null;
  return obligation({ kind: 'decide', slotId: c.slot.id }, TITLE.decide(c.slot), stands, {
    slotId: c.slot.id,
    why: againstWords(history.records.people, c) ?? fallen(history, c) ?? due ?? (putOff?.of === 'earlier' ? putOffDueWords(putOff) : null),
    closedBy: c.decision?.id ?? null,
    ...(c.decision?.option === 'put_off' && stands ? { state: 'put_off' as const, why: putOffWords(c.decision) } : {}),
  });
}
