import { completenessOf } from '../estimate/complete.ts';
import { needsOf } from '../estimate/needs.ts';
import { estimateOf } from '../estimate/variants.ts';
import type { JobState } from '../job/job.ts';
import type { OrderLine } from '../ledger/families/orderLines.ts';
import type { OrderStep } from '../ledger/families/orderSteps.ts';
import { isDuty } from '../ledger/obligation.ts';
import { articlesNow } from '../ledger/priceRecords.ts';
import { comparedAt, patternAt, rightRefusal, WHOLE } from '../supply/arrival.ts';
import { orderStates, whyNotStep } from '../supply/orders.ts';
import { ARRIVAL, NOT_ORDERED, STEP_REFUSED, unlikeWords, unlookedWords } from '../wording/en/supply.ts';

/** Why something is not taken of an order, with the kind of the reason. */
export interface OrderRefusal {
  readonly code: 'not_looked' | 'over_authorised' | 'ordered_already' | 'unlike' | 'not_possible';
  readonly words: string;
}

/**
 * Why nothing may be ordered for the job as it stands, whatever it is; null where it may: nobody looked at small things, or
 * what is decided crosses what the owner authorised. The shop's own tools are kept back by neither.
 */
export function orderingRefusal(state: JobState): OrderRefusal | null {
  const nobody = completenessOf(state.history).filter((c) => c.state === 'nobody');
  if (nobody.length > 0) return { code: 'not_looked', words: NOT_ORDERED.unlooked(unlookedWords(nobody)) };
  const over = state.obligations.some((o) => isDuty(o, 'authorised') && o.state === 'open');
  return over ? { code: 'over_authorised', words: NOT_ORDERED.over } : null;
}

/** Why one line is not ordered; null where it may be. */
export function lineRefusal(state: JobState, line: Pick<OrderLine, 'need' | 'count' | 'name' | 'shopsOwn'>): OrderRefusal | null {
  if (line.shopsOwn) return null;
  const first = orderingRefusal(state);
  if (first) return first;
  if (line.need === null) return null;
  const need = needsOf(state.history, estimateOf(state.history, state.components)).find((n) => n.key === line.need);
  if (!need) return { code: 'ordered_already', words: NOT_ORDERED.fell(line.name) };
  return line.count > need.missing ? { code: 'ordered_already', words: NOT_ORDERED.already(line.name, need.missing) } : null;
}

/** Why a step is not taken of an order line; null where it is. */
export function stepRefusal(
  state: JobState,
  step: Pick<OrderStep, 'lineId' | 'kind' | 'count' | 'day' | 'result' | 'slotId' | 'note'>,
): OrderRefusal | null {
  const { history } = state;
  const at = orderStates(history).find((s) => s.line.id === step.lineId);
  const no = (words: string, code: OrderRefusal['code'] = 'not_possible'): OrderRefusal => ({ code, words });
  if (!at) return no(STEP_REFUSED.nothing_to_come);
  const why = whyNotStep(at, step);
  if (why) return no(STEP_REFUSED[why]);
  if (step.kind !== 'checked') return null;
  const said = step.note.trim().length >= 3;
  if (step.result !== 'right') return said || step.result === 'not_for_build' ? null : no(ARRIVAL.damage);
  if (!WHOLE.includes(at.line.supply)) return null;
  const slotId = step.slotId ?? at.line.places[0] ?? null;
  if (slotId === null || !at.line.places.includes(slotId)) return at.line.places.length === 0 ? null : no(ARRIVAL.nothing);
  // What is converted is meant to be unlike.
  if (state.components.find((c) => c.slot.id === slotId)?.decision?.option === 'convert') return null;
  const article = articlesNow(history.records.articles).find((a) => a.id === at.line.articleId) ?? null;
  const list = comparedAt(history, slotId, patternAt(history, at.line, slotId), at.line.id, article);
  const { unlike, unlooked } = rightRefusal(list);
  if (unlike.length > 0) return no(ARRIVAL.unlike(unlikeWords(unlike)), 'unlike');
  if (unlooked.length > 0) return no(ARRIVAL.unlooked(unlooked.map((c) => c.fact.name)), 'unlike');
  return list.some((c) => c.alike === true && c.fact.id !== 'outline') || said ? null : no(ARRIVAL.nothing, 'unlike');
}
