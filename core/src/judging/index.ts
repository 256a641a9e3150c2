/** Figures against limits: verdicts, and what keeps one from being reached. */
export { adjusterFacts, adjusterTravel } from './adjusterTravel.ts';
export { workLeft } from './workDone.ts';
export { type CareFault, careFault, lastOpen, openDue } from './care.ts';
export { type Component, deriveComponent, FINDING_VERDICT, isRenewed, proposedPhase } from './components.ts';
export { cutOf } from './cutting.ts';
export { decisiveNextStep } from './decisiveNextStep.ts';
export { GENERIC_LIMITS } from './genericLimits.ts';
export { honing } from './honing.ts';
export { type Judged, judgeSet, roomLeft } from './judge.ts';
export { type SealZone, sealZone } from './sealZone.ts';
export { type Parting, partingsOf } from './partings.ts';
export { HARD_N, LIGHT_N, pedalTells, shutWhenever } from './pedalGauge.ts';
export { onStuds } from './turnOnStuds.ts';
