/** What there is to measure, find, do, prove and fill: data, with what it says of itself. */
export { accessesOver } from './accessRules.ts';
export { cautionOfCheck, cautionsAt, type CautionStep } from './cautions.ts';
export {
  type Characteristic,
  characteristic,
  type CharacteristicId,
  CHARACTERISTICS,
  characteristicsAt,
  checkLimitOf,
} from './characteristics.ts';
export { causeMissing } from './consequences.ts';
export type { FindingCode, FindingEntry, FindingSeverity, KnownFinding } from './findingKinds.ts';
export { findingsOn } from './findingCatalogue.ts';
export { type Climate, FLUID_CLASSES, type FluidClass, fluidClass, WATER_DUE } from './fluids.ts';
export { GAUGE_KIND_NAME, GAUGE_KINDS, GAUGE_UNIT, type GaugeKind, GENERIC_GAUGE, isShare } from './gaugeKinds.ts';
export { SHOE_POINTS } from './measured/linings.ts';
export { type Measurement, MEASUREMENT_IDS, type MeasurementId, MEASUREMENTS, measurementsAt, usualGaugeAt } from './measurements.ts';
export {
  codeAt,
  slotOfObservation,
  GROUP_NAME,
  GROUPS,
  isFeltAtControl,
  isSeenInReservoir,
  observedCode,
  observationFacts,
  observationKey,
  ROAD_FELT,
} from './observations.ts';
export { IDENTITY_FIGURES, type IdentityFact, identityFact, identityOf } from './identity.ts';
export { LASTS, REWORK_GUESS, reworkChance } from './lasting.ts';
export { masksFor } from './masks.ts';
export { attendedMinutes, cardFor, CARDS, piecesFor, stepsFor } from './cards/cards.ts';
export {
  mayLeaveOut,
  MOST_STEP_MINUTES,
  MOST_STEPS,
  SHOP_STEP_KINDS,
  type ShopCard,
  type ShopCardFault,
  shopCardFault,
  type ShopStep,
  type StepChange,
  withShop,
} from './cards/shopCard.ts';
export { FINISH_AT_COATER, FINISH_CARDS, finishCard } from './cards/finishes.ts';
export {
  type CardStep,
  type Gate,
  GATES,
  HARD_GATES,
  RIGS,
  type Need,
  STEP_GROUPS,
  STEP_KINDS,
  STEP_RECORDS,
  type StepGroup,
  type StepRecord,
  WORK_PLACES,
  type WorkCard,
} from './cards/types.ts';
export { HOUSE_RULES, houseRule, type HouseRule } from './houseRules.ts';
export { type Ladder, ladderFor, ladderRung, LADDERS, type Rung } from './ladders.ts';
export { workFor } from './operations.ts';
export { HEATED_METALS, type HeatedMetal, type Process, PROCESS_IDS, type ProcessId, PROCESSES } from './processes.ts';
export type { Followed } from './cards/types.ts';
export {
  countsFor,
  isImplausible,
  isPlaceOf,
  type PlannedPosition,
  plannedPositions,
  plausibleAt,
  type Position,
  positionKey,
  usualCount,
} from './positions.ts';
export { programmeFor } from './programme.ts';
export {
  controlOfItem,
  FIRST_PRESS,
  isHazard,
  itemBase,
  proofCloses,
  type ProofAsks,
  type ProofItem,
  type ProofResult,
  RESULT_WORD,
} from './proofItems.ts';
export {
  LINED,
  ENDS_PLACE,
  OPTION_IDS,
  OPTION_NAME,
  type BoreMaterial,
  type OptionId,
  optionsFor,
  REASON_CODE_NAME,
  REASON_CODES,
  type ReasonCode,
  RENEWS,
  STAYS,
  WAITS,
} from './repairOptions.ts';
export { type Stage, STAGE_NAME, STAGES } from './stages.ts';
export { tighteningOrder } from './fastening.ts';
export { GENERIC_TORQUES, genericForJoint, genericForUnit, type GenericTorque } from './genericTorques.ts';
export { answerable, SHIFTS, TABLES } from './trace/tables.ts';
export { readFigure, takes } from './typedFigure.ts';
