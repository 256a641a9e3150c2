import { type Obligation, obligation } from '../../ledger/obligation.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import { type PutOff, putOffsOf } from '../../history/putOffs.ts';
import { WAITS } from '../../catalogue/repairOptions.ts';
import type { Component } from '../../judging/components.ts';
import { workDone } from '../../judging/workDone.ts';
import type { RuleContext } from '../ruleContext.ts';
import { isWorked } from '../torquePoints.ts';
import { authorisedNow, crossing } from '../../estimate/authorised.ts';
import { comesWithCarrier, needsDecision } from '../../estimate/rows.ts';
import { optionsOf } from '../../readiness/options.ts';
import { wrongApplications } from '../../supply/rating.ts';
import { REASON, TITLE } from '../../wording/en/duties.ts';
import { againstWords, putOffDueWords, putOffWords } from '../../wording/en/decide.ts';

/** Why a decision no longer stands: a reading or finding since then rules it out for the part it was made about. */
function fallen(history: JobHistory, c: Component): string | null {
  if (!c.decision || (isWorked(c) && workDone(history, c)) || (c.decision.partId !== null && c.decision.partId !== c.part?.id)) return null;
  const option = optionsOf(history, c).find((o) => o.id === c.decision?.option);
  return option?.ruledOut ? REASON.ruledOut(option.name, option.ruledOut) : null;
}

export function decideObligations({ history, components, today }: RuleContext): Obligation[] {
  const putOffs = new Map(putOffsOf(history, today).map((p) => [p.slot.id, p]));
  const places = components
    .filter((c) => !comesWithCarrier(history, c) && (needsDecision(history, c) || c.decision || putOffs.has(c.slot.id)))
    .map((c) => {
      const earlier = putOffs.get(c.slot.id);
      const due = earlier?.due ?? null;
      // Put off on an earlier job and not due: it waits on, unless this job decides about the place anyway.
      if (earlier?.of === 'earlier' && due === null && !needsDecision(history, c))
        return obligation({ kind: 'decide', slotId: c.slot.id }, TITLE.decide(c.slot), false, {
          slotId: c.slot.id,
          state: 'put_off',
          why: putOffWords(earlier.decision),
        });
      return decideOne(history, c, earlier ?? null);
    });
  return [...places, ...applications(history), ...overAuthorised(history, components)];
}

/** What got hotter than it is meant for: closed by another grade, or by the owner's word under a name. Source: handbook 58, A11. */
function applications(history: JobHistory): Obligation[] {
  return wrongApplications(history).map((w) =>
    obligation({ kind: 'application', slotId: w.slot.id }, TITLE.application(w.slot), w.now === 'bears', {
      slotId: w.slot.id,
      why: w.now === 'bears' ? null : REASON.wrongApplication(w),
      acceptBy: 'lead',
      rests: `${w.peak.atLeast}>${w.rated}:${w.now}`,
    }),
  );
}

/** The owner's answer, where what is decided comes to more than he authorised. Source: handbook 40, The authorised sum. */
function overAuthorised(history: JobHistory, components: readonly Component[]): Obligation[] {
  const over = crossing(history, components);
  if (over === null) return [];
  return [
    obligation({ kind: 'authorised' }, TITLE.authorised, over.by <= 0, {
      why: over.by > 0 ? REASON.overAuthorised(over) : null,
      acceptBy: 'lead',
      rests: String(over.sum),
      closedBy: authorisedNow(history).choice?.id ?? null,
    }),
  ];
}

/** What is owed where something has to be decided: also that it was put off before, and that it is due. */
function decideOne(history: JobHistory, c: Component, putOff: PutOff | null): Obligation {
  const due = putOff?.due ? putOffDueWords(putOff) : null;
  const stands = c.decision !== null && !fallen(history, c) && c.against.length === 0 && due === null;
  return obligation({ kind: 'decide', slotId: c.slot.id }, TITLE.decide(c.slot), stands, {
    slotId: c.slot.id,
    why: againstWords(history.records.people, c) ?? fallen(history, c) ?? due ?? (putOff?.of === 'earlier' ? putOffDueWords(putOff) : null),
    closedBy: c.decision?.id ?? null,
    ...(c.decision && WAITS.includes(c.decision.option) && stands ? { state: 'put_off' as const, why: putOffWords(c.decision) } : {}),
  });
}
