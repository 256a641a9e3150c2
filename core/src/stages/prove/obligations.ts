import { mayBeWaived, proofCloses, type ProofItem } from '../../catalogue/proofItems.ts';
import { type Obligation, obligation } from '../../ledger/obligation.ts';
import { schoolOf } from '../../ledger/priceRecords.ts';
import type { JobHistory } from '../../history/jobHistory.ts';
import type { Component } from '../../judging/components.ts';
import { finerGauge } from '../../judging/finest.ts';
import type { Judged } from '../../judging/judge.ts';
import { sentence } from '../../wording/en/verdicts.ts';
import type { ControlLock } from '../../readiness/pedalLock.ts';
import { figurePast, figuresMissing } from '../../readiness/proofFigures.ts';
import { type ProofStatus, whyNotGood } from '../../readiness/proofStatus.ts';
import { blocksRelease, whoMayAccept } from '../../verdict/severity.ts';
import type { RuleContext } from '../ruleContext.ts';
import { PROOF_REFUSAL } from '../../wording/en/prove.ts';
import { TITLE, REASON } from '../../wording/en/duties.ts';

function acceptRole(role: 'reader' | 'technician' | 'lead' | null): 'technician' | 'lead' | null {
  return role === 'reader' ? null : role;
}

/** A figure that blocks, and who may accept it: on safety only after the finest gauge on the rack was used. */
function figureObligation(history: JobHistory, c: Component, j: Judged): Obligation {
  const gravity = j.limit?.gravity ?? j.characteristic.gravity;
  const finer = j.verdict === 'cant_tell' && gravity === 'safety' ? finerGauge(j, history.records.gauges) : null;
  const role = finer ? null : whoMayAccept(j.verdict, gravity, j.side, j.limit?.source === 'generic');
  return obligation(
    { kind: 'verdict', slotId: c.slot.id, characteristic: j.characteristic.id },
    TITLE.figure(c.slot, j.characteristic.short),
    false,
    {
      slotId: c.slot.id,
      why: finer ? REASON.finestGauge(sentence(j), finer.tag) : sentence(j),
      acceptBy: acceptRole(role),
      rests: [j.setId, j.verdict, j.reduced.value, j.reduced.expanded, j.limit?.id ?? ''].join(':'),
    },
  );
}

function verdictObligations(history: JobHistory, c: Component): Obligation[] {
  const figures = c.judged
    .filter((j) => c.inScope && (j.enough || j.verdict === 'past') && blocksRelease(j.verdict))
    .map((j) => figureObligation(history, c, j));
  const findings = (c.inScope ? c.findings : [])
    .filter((f) => f.severity === 'doubt' || f.severity === 'reject')
    .map((f) =>
      obligation({ kind: 'finding', findingId: f.id }, TITLE.finding(c.slot, f.words), false, {
        slotId: c.slot.id,
        why: f.severity === 'doubt' ? REASON.doubt : REASON.reject,
      }),
    );
  return [...figures, ...findings];
}

/** A hazard that the job did not take in: it is taken in, or a lead leaves it out by name on the hand-back sheet. */
function hazardOutOfScope(c: Component): Obligation[] {
  if (c.inScope) return [];
  const finding = c.findings.find((f) => f.severity === 'reject' || f.code === 'fluid_here');
  const figure = c.judged.find((j) => j.verdict === 'past' && (j.limit?.gravity ?? j.characteristic.gravity) === 'safety');
  if (!finding && !figure) return [];
  const why = finding ? finding.words : figure ? sentence(figure) : '';
  return [
    obligation({ kind: 'hazard', slotId: c.slot.id }, TITLE.hazard(c.slot), false, {
      slotId: c.slot.id,
      why: REASON.hazard(why),
      acceptBy: 'lead',
      rests: finding?.id ?? figure?.setId ?? '',
    }),
  ];
}

/** A control that must not be pressed: a lead's reason passes it, where no piston can come out. */
function lockObligation(lock: ControlLock): Obligation {
  return obligation({ kind: 'lock', slotId: lock.control.slotId }, TITLE.lock(lock.control.name), false, {
    slotId: lock.by[0]?.slot.id ?? null,
    why: lock.why,
    acceptBy: lock.passable ? 'lead' : null,
    rests: [lock.by.length, ...lock.by.slice(0, 12).map((s) => `${s.slot.id.slice(-12)}=${s.state}`)].join(','),
  });
}

/** What was put in must come out. */
function takeOuts({ places }: ProofStatus): Obligation[] {
  return places.flatMap(({ slot, inside }) =>
    inside.map((p) =>
      obligation({ kind: 'out', putInId: p.id }, TITLE.out(slot, p.what), false, {
        slotId: slot.id,
        why: p.note || null,
      }),
    ),
  );
}

/**
 * Why the figures of an item do not bear *passed*, in a sentence; null where they do. What was handed back before figures were
 * asked for stands as it was.
 */
export function figuresAgainst({ history, figuresOf }: Pick<RuleContext, 'history' | 'figuresOf'>, item: ProofItem): string | null {
  if (history.records.release !== null) return null;
  const figures = figuresOf(item);
  const missing = figuresMissing(figures);
  if (missing.length > 0)
    return PROOF_REFUSAL.figures(
      item.question,
      missing.map((f) => PROOF_REFUSAL.figure(f.ask.measurement, f.slot)),
    );
  const past = figurePast(figures);
  return past && PROOF_REFUSAL.past(sentence(past));
}

/** Whether the house wants a second person to drive it. */
function wantsSecond({ records }: JobHistory): boolean {
  return records.release === null && schoolOf(records.houseRules, 'road_second')?.school === 'two';
}

export function proveObligations({ history, components, proofItems, proofStatus: standing, figuresOf }: RuleContext): Obligation[] {
  const items = proofItems.map((item) => {
    const now = standing.answer(item);
    const answer = now?.record ?? null;
    const against = answer?.result === 'passed' ? figuresAgainst({ history, figuresOf }, item) : null;
    const alone = item.item === 'road' && answer?.result === 'passed' && wantsSecond(history) && standing.confirmedBy(item) === null;
    const wrong = whyNotGood(now) ?? against ?? (alone ? PROOF_REFUSAL.second : null);
    const closed = answer !== null && wrong === null && proofCloses(answer.result);
    return obligation({ kind: 'proof', item: item.item, corner: item.corner }, item.question, closed, {
      why: wrong ?? (answer && !closed ? REASON.answered(answer.result) : null),
      acceptBy: alone || (answer && !closed && wrong === null && mayBeWaived(item.item, answer.result, answer.note)) ? 'lead' : null,
      rests: answer?.id ?? '',
      closedBy: answer?.id ?? null,
    });
  });
  return [
    ...components.flatMap((c) => verdictObligations(history, c)),
    ...components.flatMap((c) => hazardOutOfScope(c)),
    ...standing.locks.map(lockObligation),
    ...takeOuts(standing),
    ...items,
  ];
}
