/** Records: what was entered, by whom and when. Nothing here is worked out. */
export { BLACKED } from './blacked.ts';
export { type Duty, dutyKey, dutyOf, fastenerKey, proofKey, readFastener } from './duty.ts';
export type { EventBase } from './eventBase.ts';
export { EVENT_LISTS, type EventList, familyOf, inFormOfToday, listsWhere, recordFrom } from './families.ts';
export { type Acceptance, isReason } from './families/acceptances.ts';
export type { AfterCareAnswer } from './families/afterCares.ts';
export type { AfterPull } from './families/afterPulls.ts';
export type { Amendment } from './families/amendments.ts';
export { type BleedMethod, type BleedPull, PRESSING } from './families/bleedPulls.ts';
export type { CameWith } from './families/cameWith.ts';
export type { CardRun } from './families/cardRuns.ts';
export { CARD_TELLS, type CardTell, type CardTellKind } from './families/cardTells.ts';
export { type CauseLook, NOTHING_ELSE } from './families/causeLooks.ts';
export { BLEED_TICKS, type BleedSession, type BleedTick } from './families/bleedSessions.ts';
export type { BeddingPlan, BeddingStep } from './families/beddingPlans.ts';
export type { BeddingStop } from './families/beddingStops.ts';
export { type Exercise, type ExerciseKind, EXERCISES } from './families/exercises.ts';
export { BLEED_STEPS, type BleedStepEvent, type BleedStepKind, CLOSING } from './families/bleedSteps.ts';
export type { Comeback } from './families/comebacks.ts';
export type { CautionAck } from './families/cautionAcks.ts';
export { COST_TERMS, type CostEntry, type CostTerm, whyNotCounted } from './families/costEntries.ts';
export type { CounterReading } from './families/counters.ts';
export type { Decision } from './families/decisions.ts';
export type { EarlierWhat, EarlierWork, KnownFrom } from './families/earlierWork.ts';
export { BY_CLASS_ALONE } from './families/fluidServices.ts';
export { CAME } from './families/partEvents.ts';
export { type Finding, SAID_IN_WORDS } from './families/findings.ts';
export type { FluidService } from './families/fluidServices.ts';
export type { IntakeLook, IntakeState, IntakeThing } from './families/intakeLooks.ts';
export type { JointEvent, JointEventKind, JointSeal } from './families/jointEvents.ts';
export type { HandIn } from './families/handIns.ts';
export type { FluidSample } from './families/fluidSamples.ts';
export type { LadderTry } from './families/ladderTries.ts';
export type { LotUse } from './families/lotUses.ts';
export type { Leaving, LeavingHow } from './families/leavings.ts';
export type { LeftItem } from './families/leftItems.ts';
export { PORT_SEATS, type PortFact, type PortSeat } from './families/portFacts.ts';
export { type Flare, FLARES, type LineEnd, type LineShape, type MeasuredStretch } from './families/lineShapes.ts';
export type { Observation } from './families/observations.ts';
export type { OperationEvent } from './families/operationEvents.ts';
export type { Operation } from './families/operations.ts';
export { type OrderLine } from './families/orderLines.ts';
export { ORDER_THINGS, type OrderLook, type OrderThing } from './families/orderLooks.ts';
export { ARRIVAL_RESULTS, type ArrivalResult, ORDER_STEPS, type OrderStep, type OrderStepKind } from './families/orderSteps.ts';
export type { PartFact } from './families/partFacts.ts';
export { SEND_OUT_STEPS, type SendOutStep, type SendOutStepKind } from './families/sendOutSteps.ts';
export { SENT_FOR, type SendOut, type SentFor } from './families/sendOuts.ts';
export { LOT_KINDS, type LotKind, type LotVersion, STOCK_MOVES, type StockMove, type StockMoveKind } from './lotRecords.ts';
export { CHOICE_WAYS, type ChoiceWay, type OwnerChoice } from './families/ownerChoices.ts';
export { type Parking, type Standing, STANDINGS } from './families/parkings.ts';
export { FATES, type Fate, type StripMark } from './families/stripMarks.ts';
export { type Coat, COAT_WAYS, type CoatWay, type Gloss, GLOSSES, MOST_COATS } from './families/coats.ts';
export { COAT_STATES, type CoatLook, type CoatState } from './families/coatLooks.ts';
export { STRIP_TELLS, type StripTell, type StripTellKind } from './families/stripTells.ts';
export type { KitCount, KitPiece } from './families/kitCounts.ts';
export {
  FASTENER_FORMS,
  type FastenerFact,
  type FastenerForm,
  type FastenerSeat,
  type Hand,
  HANDS,
  MOST_FASTENERS,
  SEATS,
} from './families/fastenerFacts.ts';
export { type NoteArrow, type Pin, PINS, type ShopNote } from './families/shopNotes.ts';
export { NOTE_TELLS, type NoteTell, type NoteTellKind } from './families/noteTells.ts';
export type { PartCorrection } from './families/partCorrections.ts';
export type { PartEvent, PartEventKind } from './families/partEvents.ts';
export type { Picture, PictureOf } from './families/pictures.ts';
export type { Proof } from './families/proofs.ts';
export type { PutIn, PutInKind } from './families/putIns.ts';
export type { Reading } from './families/readings.ts';
export type { Redaction } from './families/redactions.ts';
export type { SetMove } from './families/setMoves.ts';
export { type Phase, PLAIN_SET, type ReadingSet, type Surface } from './families/sets.ts';
export type { TakeBack } from './families/takeBacks.ts';
export type { TakeOver } from './families/takeOvers.ts';
export type { TakenOut } from './families/takenOuts.ts';
export type { Timer } from './families/timers.ts';
export { TIMER_STEPS, type TimerStep, type TimerStepKind } from './families/timerSteps.ts';
export type { Torque } from './families/torques.ts';
export type { JobVoid } from './families/voids.ts';
export type { DeriveFacts, Named, ReleaseClass } from './family.ts';
export type { Calibration, CallBack, GaugeCheck, GaugeVersion, RepeatStudy, TorqueCheck } from './gaugeRecords.ts';
export { type CardHand, type JobRecords, NO_RECORDS } from './jobRecords.ts';
export type { Finish, Job, JobKind, Person } from './job.ts';
export type { Offer, OfferRow, OfferSheet, OfferWay } from './offerRecords.ts';
export type { Part } from './partRecords.ts';
export {
  articlesNow,
  type ArticleVersion,
  type ComebackCount,
  FITS,
  type Fits,
  type HouseRuleVersion,
  newestVersion,
  PROCESSES,
  type Process,
  type RatesVersion,
  SCARCITIES,
  type Scarcity,
  followedIn,
  schoolOf,
  SUPPLIES,
  type Supplier,
  type Supply,
  TAX_KINDS,
  type TaxKind,
} from './priceRecords.ts';
export type { PriorVersion } from './priorRecords.ts';
export type { HandbackSheet, ReleaseRecord, SheetAccount, SheetLine, SheetPair } from './release.ts';
export type { ShopCardVersion } from './shopCards.ts';
export { withChanges } from './merge.ts';
export { acceptanceKey, isDuty, type Obligation } from './obligation.ts';
export { inOrder, retractedIds, activeEvents } from './retraction.ts';
export { type Storage, UNWEIGHED, type Use, type Vehicle } from './vehicleRecords.ts';
