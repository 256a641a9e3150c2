import { type Obligation, obligation } from '../../ledger/obligation.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { KIND_OF_JOB } from '../../history/scope.ts';
import type { Component } from '../../judging/components.ts';
import { workDone } from '../../judging/workDone.ts';
import { KIND_FACTS } from '../../layout/kinds.ts';
import type { JobKind } from '../../ledger/job.ts';
import type { RuleContext } from '../ruleContext.ts';
import { isWorked } from '../torquePoints.ts';
import { optionsOf } from '../../readiness/options.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';
import { againstWords, putOffWords } from '../../wording/en/decide.ts';

/** Whether the owner and the shop have to decide about this place. */
export function needsDecision(c: Component, kind: JobKind): boolean {
  return KIND_OF_JOB[kind].decides && c.inScope && KIND_FACTS[c.slot.kind].article;
}

/** Why a decision no longer stands: a reading or finding since then rules it out for the part it was made about. */
function fallen(history: JobHistory, c: Component): string | null {
  if (!c.decision || (isWorked(c) && workDone(history, c)) || (c.decision.partId !== null && c.decision.partId !== c.part?.id)) return null;
  const option = optionsOf(history, c).find((o) => o.id === c.decision?.option);
  return option?.ruledOut ? REASON.ruledOut(option.name, option.ruledOut) : null;
}

export function decideObligations({ history, components }: RuleContext): Obligation[] {
  return components
    .filter((c) => needsDecision(c, history.records.job.kind) || c.decision)
    .map((c) =>
      obligation(
        { kind: 'decide', slotId: c.slot.id },
        TITLE.decide(c.slot),
        c.decision !== null && !fallen(history, c) && c.against.length === 0,
        {
          slotId: c.slot.id,
          why: againstWords(history.records.people, c) ?? fallen(history, c),
          closedBy: c.decision?.id ?? null,
          ...(c.decision?.option === 'put_off' && !fallen(history, c) && c.against.length === 0
            ? { state: 'put_off' as const, why: putOffWords(c.decision) }
            : {}),
        },
      ),
    );
}
