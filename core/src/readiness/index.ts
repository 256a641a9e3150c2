/** What is open, joined, locked and proved, and what may be touched now. */
export { jointsOf, type JointStatus, jointStatus } from './joints.ts';
export {
  cardContent,
  cardLineRefusal,
  type CardState,
  closesBy,
  cardState,
  isOfDecision,
  type NeedState,
  passableGates,
  finishAt,
  finishContent,
  runAt,
  whyNoFinish,
  type StepState,
  whyNotBegun,
  whyNotTold,
} from './cardRuns.ts';
export { gaugedAt, whyNotGauged } from './mayGauge.ts';
export { beddingOf, type BeddingState } from './bedding.ts';
export { ifOpened, type Play, type PlayDoes, playsOf } from './play.ts';
export { figureFault, figuresMissing, type ProofFigure } from './proofFigures.ts';
export { isGood, whyNotGood, wouldUndo } from './proofStatus.ts';
export { type LadderState, ladderState, type RungState, triedAt, whyNotTried } from './ladder.ts';
export { optionsOf, whyNotHoned } from './options.ts';
export { CAPS, portFact, portsOf, whyNotMade, whyNotPort, whyNotPutIn } from './ports.ts';
export { parkedNow, parkGaps, whyNotParked, whyNotTakenOver } from './parked.ts';
export { boardOn } from './pedalLock.ts';
export { whyNotSettled } from './settling.ts';
export { asksLot, type Done, isTold, standsBefore, whyNotDone } from './workRefusal.ts';
export { CLAMP_HOURS, type PlaceState } from './unitState.ts';
export { timerStates, type TimerPhase, type TimerState, whyNotStarted, whyNotTimed } from './timers.ts';
export { isCharged, letsGo } from './storedEnergy.ts';
export { whyNotTakenBack } from './takenBack.ts';
export { stripOf, stripPattern, type StripPattern, type StripPiece, type StripState, whyNotMarked, whyNotStripTold } from './strip.ts';
export { handedPoint, whyNotFastened } from './fasteners.ts';
export { finishOf, type FinishState, whyNotFinished, whyNotLookedAt } from './finishes.ts';
export { kitOf, type KitState, whyNotCounted } from './kit.ts';
export { isFirstTime, isKnownHere } from './firstTime.ts';
export { notesAt, type NotePlace, type PinnedNote, typeOf, whyNotNoted, whyNotPinned } from './notes.ts';
