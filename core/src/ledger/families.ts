import type { EventBase } from './eventBase.ts';
import { acceptances } from './families/acceptances.ts';
import { afterCares } from './families/afterCares.ts';
import { afterPulls } from './families/afterPulls.ts';
import { amendments } from './families/amendments.ts';
import { bleedPulls } from './families/bleedPulls.ts';
import { bleedSessions } from './families/bleedSessions.ts';
import { beddingPlans } from './families/beddingPlans.ts';
import { beddingStops } from './families/beddingStops.ts';
import { exercises } from './families/exercises.ts';
import { fastenerFacts } from './families/fastenerFacts.ts';
import { bleedSteps } from './families/bleedSteps.ts';
import { cameWith } from './families/cameWith.ts';
import { cardRuns } from './families/cardRuns.ts';
import { cardTells } from './families/cardTells.ts';
import { causeLooks } from './families/causeLooks.ts';
import { cautionAcks } from './families/cautionAcks.ts';
import { comebacks } from './families/comebacks.ts';
import { costEntries } from './families/costEntries.ts';
import { counters } from './families/counters.ts';
import { decisions } from './families/decisions.ts';
import { earlierWork } from './families/earlierWork.ts';
import { findings } from './families/findings.ts';
import { fluidSamples } from './families/fluidSamples.ts';
import { fluidServices } from './families/fluidServices.ts';
import { handIns } from './families/handIns.ts';
import { intakeLooks } from './families/intakeLooks.ts';
import { kitCounts } from './families/kitCounts.ts';
import { jointEvents } from './families/jointEvents.ts';
import { ladderTries } from './families/ladderTries.ts';
import { leavings } from './families/leavings.ts';
import { leftItems } from './families/leftItems.ts';
import { lineShapes } from './families/lineShapes.ts';
import { portFacts } from './families/portFacts.ts';
import { lotUses } from './families/lotUses.ts';
import { noteTells } from './families/noteTells.ts';
import { observations } from './families/observations.ts';
import { operationEvents } from './families/operationEvents.ts';
import { operations } from './families/operations.ts';
import { orderLines } from './families/orderLines.ts';
import { orderLooks } from './families/orderLooks.ts';
import { orderSteps } from './families/orderSteps.ts';
import { ownerChoices } from './families/ownerChoices.ts';
import { parkings } from './families/parkings.ts';
import { partCorrections } from './families/partCorrections.ts';
import { partEvents } from './families/partEvents.ts';
import { partFacts } from './families/partFacts.ts';
import { pictures } from './families/pictures.ts';
import { proofs } from './families/proofs.ts';
import { putIns } from './families/putIns.ts';
import { readings } from './families/readings.ts';
import { redactions } from './families/redactions.ts';
import { sendOutSteps } from './families/sendOutSteps.ts';
import { sendOuts } from './families/sendOuts.ts';
import { setMoves } from './families/setMoves.ts';
import { shopNotes } from './families/shopNotes.ts';
import { stripMarks } from './families/stripMarks.ts';
import { coatLooks } from './families/coatLooks.ts';
import { coats } from './families/coats.ts';
import { stripTells } from './families/stripTells.ts';
import { sets } from './families/sets.ts';
import { takeBacks } from './families/takeBacks.ts';
import { takeOvers } from './families/takeOvers.ts';
import { takenOuts } from './families/takenOuts.ts';
import { timers } from './families/timers.ts';
import { timerSteps } from './families/timerSteps.ts';
import { torques } from './families/torques.ts';
import { voids } from './families/voids.ts';
import type { DeriveFacts, FamilyDescriptor, RecordOf } from './family.ts';

/**
 * Every family of events, by the name of its list in a job's file. In this order they are taken in from a file of the past:
 * things before what leans on them, and what answers a hand-back last.
 */
const FAMILIES = {
  counters,
  partEvents,
  sets,
  readings,
  setMoves,
  findings,
  observations,
  decisions,
  costEntries,
  ownerChoices,
  orderLooks,
  orderLines,
  orderSteps,
  partFacts,
  sendOuts,
  sendOutSteps,
  lotUses,
  comebacks,
  operations,
  operationEvents,
  cardRuns,
  cardTells,
  ladderTries,
  lineShapes,
  portFacts,
  timers,
  timerSteps,
  torques,
  bleedPulls,
  bleedSessions,
  bleedSteps,
  exercises,
  beddingPlans,
  beddingStops,
  fluidServices,
  fluidSamples,
  proofs,
  acceptances,
  cautionAcks,
  leavings,
  jointEvents,
  partCorrections,
  putIns,
  takenOuts,
  parkings,
  takeOvers,
  stripMarks,
  stripTells,
  coats,
  coatLooks,
  kitCounts,
  fastenerFacts,
  shopNotes,
  noteTells,
  takeBacks,
  pictures,
  intakeLooks,
  cameWith,
  earlierWork,
  leftItems,
  causeLooks,
  handIns,
  voids,
  redactions,
  afterCares,
  afterPulls,
  amendments,
} as const satisfies Readonly<Record<string, FamilyDescriptor>>;

export type EventList = keyof typeof FAMILIES;
export const EVENT_LISTS = Object.keys(FAMILIES) as readonly EventList[];

/** The record of each family. */
type Records = { readonly [K in EventList]: RecordOf<(typeof FAMILIES)[K]> };
/** All events that a job is read with, by family. */
export type EventLists = { readonly [K in EventList]: readonly Records[K][] };

/** What a family says of itself. */
export function familyOf(list: EventList): FamilyDescriptor {
  return FAMILIES[list];
}

/** Families of which something holds. */
export function listsWhere(holds: (family: FamilyDescriptor) => boolean): EventList[] {
  return EVENT_LISTS.filter((k) => holds(familyOf(k)));
}

/** No events of any family: what is added to where nothing is on record yet, or an older file has no such list. */
export const NO_EVENTS: EventLists = Object.fromEntries(EVENT_LISTS.map((k) => [k, []])) as Record<EventList, never[]>;

/** What was sent, in the form of today, whatever an earlier program sent. */
export function inFormOfToday(list: EventList, sent: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> {
  return familyOf(list).earlier.reduce((form, bring) => bring(form), sent);
}

/**
 * The record that a sent event becomes: what was sent, and what is worked out of it. The same in the browser, which shows it at
 * once, and on the server, which keeps it.
 * @param sent in the form of today, with the fields of every event
 * @throws DomainError where what was sent is no such figure, or names a set that is not on record
 */
export function recordFrom(list: EventList, sent: object, facts: DeriveFacts): object {
  const family = familyOf(list);
  const own = Object.fromEntries(Object.entries(sent).filter(([field]) => !family.aside.includes(field)));
  return { ...own, ...family.derive?.(sent as EventBase, facts) };
}
