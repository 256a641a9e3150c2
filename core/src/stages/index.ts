/** What each stage of a job owes. */
export { circuitsToBleed } from './bleed/obligations.ts';
export { bleedOrder, type BleedStep, METHOD_NAME, PRESSING } from './bleed/order.ts';
export {
  compareCameWith,
  EARLIER_NAME,
  earlierText,
  FORETELLS,
  INTAKE_STATE_NAME,
  type IntakeRow,
  intakeRows,
  KNOWN_FROM_NAME,
  STATES_OF,
  THING_NAME,
} from './bookin/intake.ts';
export { againstWords, needsDecision, putOffWords } from './decide/obligations.ts';
export { optionsOf } from './decide/options.ts';
export { isWorked, torqueFault, type TorquePoint, torquePoints } from './torquePoints.ts';
export { closedTheLoop, HAZARD_OF, looksOf } from './trace/causes.ts';
export { meaningful, networkOf, type PlacedCheck, type PlacedFault, type PlacedSign } from './trace/network.ts';
export { HARD_N, LIGHT_N, pedalTells, pedalWords, shutWhenever } from './trace/pedalGauge.ts';
