/** What ways of doing a job cost, and what the owner is shown of it. */
export { type Account, type AccountLine, accountOf } from './account.ts';
export { authorisedNow, type Crossing, crossing, ownerChoiceOf } from './authorised.ts';
export { articleFor, type PriceBook, priceBookOf } from './book.ts';
export { billed, type Cost, expected, type Term, unpriced } from './cost.ts';
export { type FightOrBuy, fightOrBuy } from './fightOrBuy.ts';
export {
  choiceRefusal,
  codeOf,
  offerDifferences,
  offerSum,
  offerTag,
  readChoice,
  ruledOutSince,
  sheetOf,
  type SheetSum,
  waysShown,
} from './offer.ts';
export { reasonCodeFor } from './reasons.ts';
export { type Completeness, completenessOf } from './complete.ts';
export { comebackCounts, type LastingCase, LEAST_CASES, type Step, survival } from './lasting.ts';
export { type Need, needsOf, strandedLines } from './needs.ts';
export { departure, type RowOption } from './rowOptions.ts';
export { type DecideRow, needsDecision } from './rows.ts';
export { standsAlone } from './shared.ts';
export type { JobSum } from './sum.ts';
export { type Estimate, estimateOf, type PricedRow, type Variant, VARIANT_IDS, type VariantId } from './variants.ts';
