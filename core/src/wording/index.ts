/** Sentences and names by language, of typed reasons: the only place that speaks English. */
export {
  adjusterMissingWords,
  adjusterWords,
  centringWords,
  cutWords,
  firstSealMissing,
  honingWords,
  liftsWords,
  nextStepWords,
  padPatternWords,
  sealMissingWords,
  sealZoneWords,
  SHOE_END_NAME,
  shoeArcWords,
  studsWords,
  takenAsNoneWords,
} from './en/bench.ts';
export { ACCOUNT, CHOICE_WAY_SAYS } from './en/account.ts';
export { againstWords, foundWords, putOffPlace, putOffWords, UNTIL_PAST } from './en/decide.ts';
export { CHOICE, daysWords, fightWords, houseSays, NOT_COUNTED, PROCESS_NAME, TERM_NAME, timeWords } from './en/estimate.ts';
export { REASON } from './en/duties.ts';
export {
  CARD_REFUSED,
  FINISH_CARD,
  CARD_TELL_NAME,
  FIRST_TIME,
  GATE_WORDS,
  LUBRICANT_NAME,
  SHOP_CARDS,
  shopCardRefused,
  STEP_KIND_NAME,
  WORK_PLACE_NAME,
} from './en/cards.ts';
export { owesWords, rungWords, TRY_REFUSED } from './en/ladders.ts';
export { closingName, FLOW, SESSION_ALOUD, SESSION_REFUSED } from './en/session.ts';
export { adapterWords, agreedWords, fastenerName, usualTorque } from './en/fasteners.ts';
export {
  byline,
  careWords,
  circuitName,
  earlierText,
  fluidCauseWords,
  handedBackWords,
  NEVER_OPEN,
  openDueWords,
  rateWords,
  revisionBlockWords,
} from './en/history.ts';
export { checksText, closingWords, sealingWords, wayInWords } from './en/jobs.ts';
export {
  EARLIER_NAME,
  INTAKE_STATE_NAME,
  JOB_KIND_NAME,
  JOB_TAKES_IN,
  JOINT_WORD,
  KNOWN_FROM_NAME,
  LINING_STATE_WORD,
  METHOD_NAME,
  MOVE_NAME,
  SEAL_NAME,
  METAL_NAME,
  SOURCE_WORD,
  STATE_WORD,
  THING_NAME,
  VERDICT_WORD,
} from './en/names.ts';

export { LETTER_ANSWER_NAME, LETTER_ANSWERS, LETTER_USUAL, type LetterAnswer, type LetterText, letterText, mailText } from './en/letter.ts';
export { OWNER_SAYS } from './en/owner.ts';
export { HEATED_METAL_NAME, TIMER, TIMER_REFUSED, TIMER_FIELD, TIMER_STEP_NAME } from './en/timers.ts';
export { FLARE_NAME, LINE, MEASURED_BY_NAME } from './en/lines.ts';
export { GAP_CLOSED, PARK_FIELD, PARK_REFUSED, PARKED, parkGapWords, STANDING_NAME } from './en/parking.ts';
export { PHASE_WORD } from './en/phases.ts';
export { PUT_IN_NAME } from './en/places.ts';
export { portName, PORTS, portWords, PORT_SEAT_NAME, PORT_SEAT_TAKES } from './en/ports.ts';
export type { Port } from './reasons.ts';
export { LEAVES, PROOF_REFUSAL } from './en/prove.ts';
export { lotWords, PART_EVENT } from './en/sheet.ts';
export { STILL_FREE, workedBy } from './en/readiness.ts';
export { revisionText } from './en/sheet.ts';
export { notApplicableWords, stageNote } from './en/stages.ts';
export { pedalWords } from './en/trace.ts';
export {
  contradictionWords,
  figureOf,
  figureText,
  inches,
  limitText,
  meaningOf,
  mm,
  notesOf,
  PROVISIONAL,
  sentence,
  sourceOf,
} from './en/verdicts.ts';
export { BLEED_METHODS } from './en/bleedMethods.ts';
export { BLEED_TICK, gateWords, UNFIT } from './en/gates.ts';
export { ACCESS_NAME, dueAt, dueWhat, dueWhy, EXERCISE_NAME, proposedWords } from './en/service.ts';
export type { MoveLevel } from './reasons.ts';
export { STORED } from './en/work.ts';
export {
  batchWords,
  ARRIVAL,
  ARRIVAL_NAME,
  FACT_OF,
  knownWords,
  lineWords,
  LOT_KIND_NAME,
  LOT_PLACE,
  lotAgainstWords,
  lotQuestionWords,
  NOT_ORDERED,
  ORDER_STEP_NAME,
  ORDER_THING_NAME,
  OUT_REFUSED,
  outWords,
  SEND_OUT,
  SENT_FOR_NAME,
  STEP_REFUSED,
  supplyWords,
  unlikeWords,
  unlookedWords,
} from './en/supply.ts';
export { COAT_STATE_NAME, COAT_WAY_NAME, FINISH_FIELD, finishWords, GLOSS_NAME } from './en/finishes.ts';
export { CAMERA, FATE_NAME, KIT, KIT_FIELD, STRIP, STRIP_FIELD, STRIP_REFUSED, STRIP_TELL_NAME } from './en/strip.ts';
export { NOTE, PIN_NAME } from './en/notes.ts';
export { FASTENER_FIELD, FASTENER_FORM_NAME, fastenerWords, HAND_NAME, SEAT_NAME, TORQUE_FIELD, UNDO } from './en/fasteners.ts';
