/** What is open, joined, locked and proved, and what may be touched now. */
export { JOINT_WORD, jointsOf, type JointStands, jointStands, SEAL_NAME } from './joints.ts';
export { gaugedAt, whyNotGauged } from './mayGauge.ts';
export { ifOpened, type Play, type PlayDoes, playsOf } from './play.ts';
export { isGood, whyNotGood, wouldUndo } from './stands.ts';
export { CLAMP_HOURS, type PlaceState, STATE_WORD } from './unitState.ts';
