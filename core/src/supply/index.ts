/** What is ordered, sent out and taken from lots: what it has come to, and what it keeps from being done. */
export { comparedAt, type Compared, factsOf, isAlike, patternAt, rightRefusal, WHOLE } from './arrival.ts';
export { isBarred, lotQuestion, type LotQuestion, lotsNow, SHELF_YEARS } from './lots.ts';
export { supplyRefusal, waitsForSupply } from './mayFit.ts';
export { CORE_DAYS, type LineState, lineState, orderStates, RETURN_DAYS, whyNotStep } from './orders.ts';
export { BACK_LOOKS, type OutState, outState, outStates, stillInPost, waitingBatches, whyNotOutStep } from './outs.ts';
export { readTagCode, TAG_PREFIX, tagCode } from './tagCode.ts';
