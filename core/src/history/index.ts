/** What stands of the records, over time: the book of a job, where each part is, what was put right. */
export { type PutOff, putOffsOf } from './putOffs.ts';
export { type Arrival, type ArrivalRow, arrivalsOf } from './arrivals.ts';
export { isOfAnother, signatories } from './authorship.ts';
export { fileAsOf, fileUntil } from './asOf.ts';
export { type JobHistory, openHistory } from './jobHistory.ts';
export { closedClear, fluidState, fluidVerdict } from './due.ts';
export { lateEvents, writtenUpLater } from './late.ts';
export { moved, movedTwice } from './moved.ts';
export { replacedBy } from './replaced.ts';
export { revisionBlocks } from './revise.ts';
export { type OperationState, operationState, runningOperations } from './running.ts';
export { byOneName } from './sameArticle.ts';
export { cornersTakenIn, KIND_OF_JOB } from './scope.ts';
export { newestSets } from './setsOf.ts';
export { type Stray, strayRecords } from './strays.ts';
export { moveTo, swapSides } from './swapSides.ts';
export { lastPartIn, LEAVES, partHere, partIn, whereabouts } from './whereabouts.ts';
