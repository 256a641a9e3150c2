/** Exact inference in a network of faults, and the check that says most. Knows nothing of brakes. */
export type { Evidence, Network } from './faultNetwork.ts';
export { expectedInfoGain, worthDoing, type NetworkCheck } from './nextCheck.ts';
export { conditionOnAnyFault, infer } from './noisyOr.ts';
export { seededUniform } from './seededUniform.ts';
export { likelyWord, diagnose, type RatedCheck, type Diagnosis } from './diagnose.ts';
