/** What is shown of jobs: sheets, routes, lists, causes in words. */
export { ACCOUNT_COLUMNS, accountRows } from './accountForSheet.ts';
export {
  ARTICLE_COLUMNS,
  type ArticleFields,
  checkArticle,
  readArticleList,
  type ReadArticleRow,
  readStates,
  rowOfArticle,
  statesText,
} from './articleExchange.ts';
export { afterCareOf, afterCareRefusal, type AfterCareState, afterCareStates, isClosed, SECOND_BLEED, secondBleeds } from './afterCare.ts';
export { type Alike, alikeTo, sidesDiffer } from './bothSides.ts';
export { FREE_TEXT_OF, type FreeText, freeTexts } from './freeText.ts';
export { buildSheet, handbackFile } from './handback.ts';
export {
  LIMIT_COLUMNS,
  type LimitFields,
  limitKey,
  readLimitList,
  type ReadLimitRow,
  rowOfLimit,
  type RowVerdict,
} from './limitExchange.ts';
export { limitsNeeded, type NeededLimit } from './limitsOfVehicle.ts';
export { historyOf } from './pastFigures.ts';
export { mayMove } from './mayMove.ts';
export { type ParkingCard, parkingCard } from './parkingCard.ts';
export { type OnlyNow, onlyNow, onlyNowAtWheel, onlyNowInboard, onlyNowInside } from './onlyNow.ts';
export { takenOutRefusal } from './takenOutRefusal.ts';
export { type ProofStop, proofStops } from './proofStops.ts';
export { proofFigureText } from './proofFigureText.ts';
export { roadText } from './roadText.ts';
export { heldRefusal, proofAsks, figureRefusal, proofHindrance, proofRefusal } from './proofRefusal.ts';
export { type Proposal, proposalsOf, usualAt } from './proposals.ts';
export { readSheet } from './readSheet.ts';
export { gatherSets, READING_COLUMNS, readingRows, readReadingList, type ReadReadingRow } from './readingsFile.ts';
export { strikeLine, strikeRecord } from './sheetRefs.ts';
export { contextOf } from './trace/context.ts';
export { expectedAndFound, nothingElse, saidOf, type Prediction, toClose } from './trace/expected.ts';
export { answersTo, sampleCase, isIdentified, ownerReport } from './trace/sampledCase.ts';
export {
  calibrationCase,
  type Decile,
  type Estimate,
  estimatesWorth,
  type CalibrationCase,
  recordOf,
  SUPPLIED_WEIGHT,
} from './trace/calibration.ts';
export {
  askable,
  faultsMeant,
  judgeNamed,
  keepPractised,
  outcomeOf,
  type PracticeCase,
  practiceCase,
  practiceNumber,
  type Practised,
  practisedSum,
  proposedCheck,
  type ProposedPath,
  proposedPath,
} from './trace/practice.ts';
export { answersToWords } from './trace/shopWords.ts';
export { plainChecks, plainNetwork } from './trace/plain.ts';
export { askedGroups, controlPicked } from './trace/askedGroups.ts';
export { type AskedOf, askedOf, askedWords, toAnswer } from './trace/toAnswer.ts';
export {
  type CauseLine,
  likelyPlaces,
  linesOf,
  conflictWords,
  adviceWords,
  outcomeWords,
  percentText,
  quietLinesOf,
  shortPlaces,
  speakingWords,
  whereWords,
} from './trace/traceWords.ts';
export { type ToTrace, toTrace } from './trace/tracing.ts';
export { forNowOf, waitsOf } from './waits.ts';
export { type Stop, walkRound } from './walkRound.ts';
export { type WaterCourse, waterCourse } from './waterCourse.ts';
export { type WearCourse, wearCourse } from './wearCourse.ts';
export { type FormerJob, formerJob } from './former.ts';
export { hiddenPlaces } from './hiddenPlaces.ts';
export { agreedBeside } from './agreed.ts';
export { lineRefusal, orderingRefusal, type OrderRefusal, stepRefusal } from './ordering.ts';
export { comparedOf, orderPaper, type PaperLine, placesOf } from './orderPaper.ts';
export { controlPairs } from './pairs.ts';
