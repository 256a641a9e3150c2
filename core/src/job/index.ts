/** One job, derived from its records. */
export {
  deriveJob,
  deriveOpened,
  doableNow,
  isLockPassed,
  itemLock,
  type JobState,
  nextAct,
  type OpenedJob,
  openJob,
  placeLock,
  RULE_VERSION,
} from './job.ts';
export { judgeAgain, weighLate } from './judgeAgain.ts';
export { type Culprit, culpritOf, tryJob } from './stuck.ts';
