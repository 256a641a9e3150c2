/** One job, derived from its records. */
export { deriveJob, deriveOpened, isLockPassed, itemLock, type JobState, type OpenedJob, openJob, placeLock, RULE_VERSION } from './job.ts';
export { judgeAgain, weighLate } from './judgeAgain.ts';
export { type Culprit, culpritOf, tryJob } from './stuck.ts';
export { doableNow, nextAct } from './nextAct.ts';
