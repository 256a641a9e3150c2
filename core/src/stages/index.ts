/** What each stage of a job owes. */
export { type BleedGate, bleedGates, blocksBleeding, isContaminated, ticksOwed } from './bleed/gates.ts';
export { type Unfit, unfitFor } from './bleed/unfit.ts';
export { circuitsToBleed } from './bleed/obligations.ts';
export {
  bearsStroke,
  lastSession,
  makersOrder,
  pullOf,
  type SessionBleeder,
  type SessionRefusal,
  type SessionState,
  sessionState,
  usualStroke,
  whyNotStepped,
} from './bleed/session.ts';
export { bleedOrder, type BleedStep } from './bleed/order.ts';
export { compareCameWith, FORETELLS, type IntakeRow, intakeRows, STATES_OF } from './bookin/intake.ts';
export { putOffRefusal } from './decide/putOff.ts';
export { bledHere } from './rebuild/obligations.ts';
export { freePoint, isWorked, torqueFault, type TorquePoint, torquePoints } from './torquePoints.ts';
export { closedTheLoop, looksOf } from './trace/causes.ts';
export { HAZARD_OF, HOT_ONLY } from './trace/hazards.ts';
export { meaningful, networkOf, type PlacedCheck, type PlacedFault, type PlacedSign } from './trace/network.ts';
