/** Figures against limits: verdicts, and what keeps one from being reached. */
export { adjusterFacts, adjusterTravel, adjusterWords } from './adjusterTravel.ts';
export { careFault, lastOpen, openDue } from './care.ts';
export { type Component, deriveComponent, FINDING_VERDICT, proposedPhase } from './components.ts';
export { causeMissing } from './consequences.ts';
export { cutOf } from './cutting.ts';
export { decisiveNextStep } from './decisiveNextStep.ts';
export { GENERIC_LIMITS } from './genericLimits.ts';
export { honing, honingWords } from './honing.ts';
export { type Judged, judgeSet } from './judge.ts';
export { historyOf, rateWords } from './pastFigures.ts';
export { type SealZone, sealZone, sealZoneWords } from './sealZone.ts';
export { onStuds, studsWords } from './turnOnStuds.ts';
export { figureOf, figureText, inches, meaningOf, mm, roomLeft, sentence, sourceOf } from './words.ts';
