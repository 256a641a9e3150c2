import * as catalogue from '@dauer/core/catalogue';
import * as ledger from '@dauer/core/ledger';
import { toldRange } from '@dauer/core/quantity';
import { z } from 'zod';
import { BLEED_EVENTS } from './bleedEvents.ts';
import { CARD_EVENTS } from './cardEvents.ts';
import { componentKind } from './componentKind.ts';
import { LINE_EVENTS } from './lineEvents.ts';
import { NOTE_EVENTS } from './noteEvents.ts';
import { PARKING_EVENTS } from './parkingEvents.ts';
import { STRIP_EVENTS } from './stripEvents.ts';
import { SUPPLY_EVENTS } from './supplyEvents.ts';
import { TIMER_EVENTS } from './timerEvents.ts';
import { corner, day, fluidClass, id, instant, name, portId, recordBase, sentBase, sentDay, typed, unitId, words } from './primitives.ts';

const [TURN_FROM, TURN_TO] = toldRange('turn_further');

/** A record's own fields are exactly those that the core knows, so the two cannot drift apart. */
type Fields<T extends ledger.EventBase> = z.ZodType<T>;

const position = {
  frame: z.enum(['rotor_mark', 'hub_stud', 'drum_mark', 'pads', 'bore', 'piston', 'shoes', 'place']),
  angleDeg: z.number().min(0).max(360).nullable(),
  place: words(60).nullable(),
};
export const option = z.enum(catalogue.OPTION_IDS);
const measurement = z.enum(catalogue.MEASUREMENT_IDS);

const setFields = {
  slotId: id,
  partId: id.nullable(),
  measurement,
  phase: z.enum(['as_found', 'after_machining', 'as_fitted', 'at_service']),
  surface: z.enum(['dirty', 'wiped', 'clean']),
  cold: z.boolean(),
  averages: z.boolean(),
  count: z.number().int().min(1).max(64),
  turn: z.number().int().min(0).max(63).default(0),
  studs: z.number().int().min(3).max(64).nullable().default(null),
  blind: z.boolean().default(false),
};
const readingSent = { setId: id, ...position, pass: z.number().int().min(1).max(99), gaugeVersionId: id.nullable(), typed, unit: unitId };
const findingFields = {
  slotId: id,
  partId: id.nullable(),
  words: words(500).min(1),
  code: z
    .enum(['deposits', 'no_lining', 'fluid_here', 'blue', 'seized', 'broken', 'rub_mark', 'pitted', 'worn_lip', 'oil_here'])
    .nullable()
    .default(null),
  severity: z.enum(['note', 'watch', 'doubt', 'reject']),
  cleaning: z.enum(['before', 'after']),
  rulesOut: z.array(option).max(catalogue.OPTION_IDS.length),
  settles: id.nullable(),
  entry: words(60).nullable().default(null),
  place: words(80).nullable().default(null),
  fromMm: z.number().min(0).max(1000).nullable().default(null),
  toMm: z.number().min(0).max(1000).nullable().default(null),
  depthMm: z.number().min(0).max(50).nullable().default(null),
  doneHere: words(200).nullable().default(null),
};
const observationFields = { code: words(60), corner: corner.nullable(), state: z.enum(['seen', 'not_seen', 'not_checked']) };
/** What the device saw in force when this was entered; several where two stood against each other. */
const supersedes = z.array(id).max(20).nullable().default(null);
const decisionFields = {
  slotId: id,
  partId: id.nullable(),
  option,
  reason: words(500),
  reviewOn: day.nullable(),
  untilKm: z.number().min(0).max(10_000_000).nullable().default(null),
  access: words(80).nullable().default(null),
  code: z.enum(catalogue.REASON_CODES).nullable().default(null),
  metal: z.enum(['iron', 'steel', 'aluminium']).nullable().default(null),
  supersedes,
};
const costFields = {
  slotId: id,
  option,
  term: z.enum(ledger.COST_TERMS),
  amount: z.number().int().min(-1e12).max(1e12).nullable(),
  minutes: z.number().int().min(0).max(60_000).nullable().default(null),
  reason: words(300),
};
export const costEntryRecord = recordBase.extend(costFields).meta({ id: 'CostEntry' }) satisfies Fields<ledger.CostEntry>;
const choiceFields = {
  offerId: id,
  answer: z.enum(['yes', 'no']),
  variant: words(40).nullable().default(null),
  picks: z
    .array(z.object({ row: words(80), option }))
    .max(200)
    .readonly(),
  sum: z.number().int().min(-1e12).max(1e12),
  by: name,
  how: z.enum(ledger.CHOICE_WAYS),
  code: words(40).nullable().default(null),
  wishes: words(1000).default(''),
};
export const ownerChoiceRecord = recordBase.extend(choiceFields).meta({ id: 'OwnerChoice' }) satisfies Fields<ledger.OwnerChoice>;
const operationFields = { slotId: id.nullable(), title: name, attendedMinutes: z.number().int().min(0).max(6000) };
const operationEventFields = { operationId: id, kind: z.enum(['start', 'stop', 'done']), note: words(500) };
const torqueSent = {
  ...{ slotId: id.nullable(), point: words(120).min(1), targetTyped: typed, typed, unit: unitId, wrench: words(80) },
  toTyped: typed.default(''),
  passes: z.number().int().min(1).max(4).default(1),
  angleDeg: z.number().min(TURN_FROM).max(TURN_TO).nullable().default(null),
};
const bleedSent = {
  slotId: id,
  volumeTyped: typed,
  colour: z.enum(['dark', 'amber', 'clear']),
  air: z.enum(['none', 'bubbles', 'foam']),
  closed: z.boolean(),
  method: z.enum(['pedal', 'vacuum', 'pressure', 'gravity', 'reverse']).nullable().default(null),
};
const boilingPoint = z.number().min(80).max(400).nullable().default(null);
const fluidFields = {
  ...{ product: name, fluidClass, batch: words(80), lowMoisture: z.boolean() },
  ...{ dryC: boilingPoint, wetC: boilingPoint, hottestC: boilingPoint },
  makerMonths: z.number().int().min(1).max(240).nullable().default(null),
};
const sampleFields = {
  slotId: id,
  waterPercent: z.number().min(0).max(20).nullable().default(null),
  boilC: boilingPoint,
  fluidClass: fluidClass.nullable().default(null),
  how: words(120),
};
export const fluidSampleRecord = recordBase.extend(sampleFields).meta({ id: 'FluidSample' }) satisfies Fields<ledger.FluidSample>;
const proofFields = {
  item: words(120).min(1),
  slotId: id.nullable(),
  corner: corner.nullable(),
  result: z.enum(['passed', 'failed', 'none', 'gone', 'less', 'same', 'not_tried']),
  note: words(500),
  felt: z
    .array(z.enum(catalogue.ROAD_FELT as [string, ...string[]]))
    .max(20)
    .nullable()
    .default(null),
};
const acceptanceFields = { obligation: words(400).min(1), reason: z.string().trim().min(3).max(500) };
const cautionFields = { caution: words(60).min(1) };
const partEventFields = {
  partId: id,
  kind: z.enum([
    'found',
    'removed',
    'fitted',
    'sent',
    'returned',
    'machined',
    'freed',
    'opened',
    'honed',
    'sleeved',
    'resealed',
    'relined',
    'coated',
    'scrapped',
    'came_loose',
    'came_missing',
    'came_unknown',
  ]),
  slotId: id.nullable(),
  note: words(500),
  temporary: z.boolean().default(false),
  until: day.nullable().default(null),
  lot: words(120).nullable().default(null),
  lineOn: z.boolean().default(false),
};
const putInFields = {
  slotId: id,
  what: z.enum(['block', 'cap', 'plug', 'clamp', 'mask', 'tie', 'chock', 'board', 'made_safe', 'way_in', 'hung', 'other']),
  note: words(300),
  port: portId.nullable().default(null),
};

export const readingSetRecord = recordBase.extend(setFields).meta({ id: 'ReadingSet' }) satisfies Fields<ledger.ReadingSet>;
export const readingRecord = recordBase
  .extend({ ...readingSent, canonical: z.number(), resolution: z.number(), fraction: z.boolean() })
  .meta({ id: 'Reading' }) satisfies Fields<ledger.Reading>;
const reason = z.string().trim().min(3).max(500);
export const takeBackRecord = recordBase.extend({ reason: words(500) }).meta({ id: 'TakeBack' }) satisfies Fields<ledger.TakeBack>;
export const findingRecord = recordBase.extend(findingFields).meta({ id: 'Finding' }) satisfies Fields<ledger.Finding>;
export const observationRecord = recordBase.extend(observationFields).meta({ id: 'Observation' }) satisfies Fields<ledger.Observation>;
export const decisionRecord = recordBase.extend(decisionFields).meta({ id: 'Decision' }) satisfies Fields<ledger.Decision>;
export const operationRecord = recordBase.extend(operationFields).meta({ id: 'Operation' }) satisfies Fields<ledger.Operation>;
export const operationEventRecord = recordBase
  .extend(operationEventFields)
  .meta({ id: 'OperationEvent' }) satisfies Fields<ledger.OperationEvent>;
export const torqueRecord = recordBase
  .extend({
    ...{ ...torqueSent, target: z.number(), targetTo: z.number().optional(), canonical: z.number() },
    ...{ toTyped: z.string().optional(), passes: z.number().optional(), angleDeg: z.number().nullish() },
  })
  .meta({ id: 'Torque' }) satisfies Fields<ledger.Torque>;
export const bleedPullRecord = recordBase
  .extend({ ...bleedSent, volumeMl: z.number() })
  .meta({ id: 'BleedPull' }) satisfies Fields<ledger.BleedPull>;
export const fluidServiceRecord = recordBase.extend(fluidFields).meta({ id: 'FluidService' }) satisfies Fields<ledger.FluidService>;
export const proofRecord = recordBase
  .extend({
    ...proofFields,
    felt: z.array(z.string()).readonly().nullish(),
    roadTyped: z.string().nullish(),
    roadKm: z.number().nullish(),
  })
  .meta({ id: 'Proof' }) satisfies Fields<ledger.Proof>;
export const acceptanceRecord = recordBase.extend(acceptanceFields).meta({ id: 'Acceptance' }) satisfies Fields<ledger.Acceptance>;
export const cautionAckRecord = recordBase.extend(cautionFields).meta({ id: 'CautionAck' }) satisfies Fields<ledger.CautionAck>;
export const partEventRecord = recordBase.extend(partEventFields).meta({ id: 'PartEvent' }) satisfies Fields<ledger.PartEvent>;
export const putInRecord = recordBase.extend(putInFields).meta({ id: 'PutIn' }) satisfies Fields<ledger.PutIn>;
export const takenOutRecord = recordBase.extend({ putInId: id }).meta({ id: 'TakenOut' }) satisfies Fields<ledger.TakenOut>;
const moveFields = { setId: id, slotId: id, partId: id.nullable(), supersedes };
export const setMoveRecord = recordBase.extend(moveFields).meta({ id: 'SetMove' }) satisfies Fields<ledger.SetMove>;
const jointFields = {
  connectionId: id,
  slotId: id,
  kind: z.enum(['opened', 'made', 'torqued', 'looked', 'held', 'weeps']),
  seal: z.enum(['flare', 'washers', 'taper_sealant', 'o_ring', 'other']).nullable().default(null),
  note: words(300),
  typed: typed.nullable().default(null),
};
export const jointRecord = recordBase
  .extend({ ...jointFields, torqueNm: z.number().nullable().default(null) })
  .meta({ id: 'JointEvent' }) satisfies Fields<ledger.JointEvent>;
const partCorrectionFields = { kind: z.enum(['join', 'split']), partId: id, otherId: id, since: instant.nullable(), reason };
export const partCorrectionRecord = recordBase
  .extend(partCorrectionFields)
  .meta({ id: 'PartCorrection' }) satisfies Fields<ledger.PartCorrection>;
export const voidRecord = recordBase.extend({ reason }).meta({ id: 'JobVoid' }) satisfies Fields<ledger.JobVoid>;
const afterCareFields = { item: words(120).min(1), result: z.enum(['done', 'taken_over', 'failed']), note: words(500) };
const afterPullSent = { slotId: id, volumeTyped: typed, air: z.enum(['none', 'bubbles', 'foam']), closed: z.boolean() };
export const afterPullRecord = recordBase
  .extend({ ...afterPullSent, volumeMl: z.number() })
  .meta({ id: 'AfterPull' }) satisfies Fields<ledger.AfterPull>;
export const afterCareRecord = recordBase.extend(afterCareFields).meta({ id: 'AfterCareAnswer' }) satisfies Fields<ledger.AfterCareAnswer>;
const amendmentFields = { words: words(1000).min(3), reason };
export const amendmentRecord = recordBase.extend(amendmentFields).meta({ id: 'Amendment' }) satisfies Fields<ledger.Amendment>;
const redactionFields = { field: words(40).min(1), line: words(60).nullable().default(null), reason };
export const redactionRecord = recordBase.extend(redactionFields).meta({ id: 'Redaction' }) satisfies Fields<ledger.Redaction>;
const handInFields = { eventId: id };
export const handInRecord = recordBase.extend(handInFields).meta({ id: 'HandIn' }) satisfies Fields<ledger.HandIn>;
const pictureFields = {
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  of: z.enum(['vehicle', 'came_with', 'place', 'paper', 'finding']),
  slotId: id.nullable(),
  findingId: id.nullable().default(null),
  note: words(500),
};
export const pictureRecord = recordBase.extend(pictureFields).meta({ id: 'Picture' }) satisfies Fields<ledger.Picture>;
const intakeFields = {
  corner: corner.nullable(),
  thing: z.enum(['unions', 'bleeders', 'hoses', 'fasteners', 'adjusters', 'springs']),
  state: z.enum(['sound', 'stiff', 'rounded', 'seized', 'cracked', 'leaks', 'missing', 'none_here']),
  note: words(500),
};
export const intakeRecord = recordBase.extend(intakeFields).meta({ id: 'IntakeLook' }) satisfies Fields<ledger.IntakeLook>;
const cameWithFields = {
  name,
  kind: componentKind.nullable(),
  slotId: id.nullable(),
  partNumber: words(60).nullable(),
  count: z.number().int().min(1).max(999),
  fits: z.enum(['fits', 'does_not_fit', 'not_tried']),
  note: words(500),
};
export const cameWithRecord = recordBase.extend(cameWithFields).meta({ id: 'CameWith' }) satisfies Fields<ledger.CameWith>;
const earlierFields = {
  what: z.enum(['fluid_changed', 'renewed', 'overhauled', 'machined', 'inspected', 'other']),
  slotId: id.nullable(),
  on: z.string().regex(/^\d{4}(-\d{2}(-\d{2})?)?$/),
  about: z.boolean(),
  knownFrom: z.enum(['invoice', 'service_book', 'owner', 'marked_on_part', 'other']),
  source: words(200),
  km: z.number().min(0).max(1e8).nullable(),
  note: words(500),
};
export const earlierRecord = recordBase.extend(earlierFields).meta({ id: 'EarlierWork' }) satisfies Fields<ledger.EarlierWork>;
const leavingFields = { how: z.enum(['driven', 'not_driven', 'not_to_be_driven']), note: words(500) };
export const leavingRecord = recordBase.extend(leavingFields).meta({ id: 'Leaving' }) satisfies Fields<ledger.Leaving>;
const leftFields = { closedBy: id.nullable(), slotId: id, item: words(200).min(3), what: words(300).min(3) };
export const leftRecord = recordBase.extend(leftFields).meta({ id: 'LeftItem' }) satisfies Fields<ledger.LeftItem>;
const causeFields = {
  fault: z.string().regex(/^[a-z_]{2,40}$/),
  place: z.string().regex(/^[a-zA-Z0-9-]{1,40}$/),
  state: z.enum(['wanted', 'found', 'absent', 'open']),
  said: z.number().min(0).max(1).nullable(),
  rank: z.number().int().min(1).max(1000).nullable(),
};
export const causeRecord = recordBase.extend(causeFields).meta({ id: 'CauseLook' }) satisfies Fields<ledger.CauseLook>;
export const counterRecord = recordBase
  .extend({ vehicleId: id, typed, km: z.number() })
  .meta({ id: 'CounterReading' }) satisfies Fields<ledger.CounterReading>;

/** Families of events: what is sent, and what comes back and is kept. */
export const EVENTS = {
  sets: { sent: sentBase.extend(setFields), record: readingSetRecord },
  readings: { sent: sentBase.extend(readingSent), record: readingRecord },
  takeBacks: { sent: sentBase.extend({ corrects: id, reason: words(500).default('') }), record: takeBackRecord },
  findings: { sent: sentBase.extend(findingFields), record: findingRecord },
  observations: { sent: sentBase.extend(observationFields), record: observationRecord },
  decisions: { sent: sentBase.extend({ ...decisionFields, reviewOn: sentDay.nullable() }), record: decisionRecord },
  costEntries: { sent: sentBase.extend(costFields), record: costEntryRecord },
  ownerChoices: { sent: sentBase.extend(choiceFields), record: ownerChoiceRecord },
  operations: { sent: sentBase.extend(operationFields), record: operationRecord },
  operationEvents: { sent: sentBase.extend(operationEventFields), record: operationEventRecord },
  torques: { sent: sentBase.extend(torqueSent), record: torqueRecord },
  bleedPulls: { sent: sentBase.extend(bleedSent), record: bleedPullRecord },
  fluidServices: { sent: sentBase.extend(fluidFields), record: fluidServiceRecord },
  fluidSamples: { sent: sentBase.extend(sampleFields), record: fluidSampleRecord },
  proofs: {
    sent: sentBase.extend({
      ...proofFields,
      roadTyped: words(40).nullable().default(null),
      roadUnit: z.enum(['km', 'mi']).default('km'),
    }),
    record: proofRecord,
  },
  /** Asks for the password once more: a tablet is left lying about. */
  acceptances: { sent: sentBase.extend({ ...acceptanceFields, password: z.string().max(200) }), record: acceptanceRecord },
  cautionAcks: { sent: sentBase.extend(cautionFields), record: cautionAckRecord },
  /** A part fitted for the first time is described in the same breath. */
  partEvents: {
    sent: sentBase.extend({
      ...partEventFields,
      until: sentDay.nullable().default(null),
      part: z
        .object({ tag: words(20).nullable(), kind: componentKind, name, partNumber: words(60).nullable(), note: words(500) })
        .nullable()
        .default(null),
    }),
    record: partEventRecord,
  },
  putIns: { sent: sentBase.extend(putInFields), record: putInRecord },
  takenOuts: { sent: sentBase.extend({ putInId: id }), record: takenOutRecord },
  setMoves: { sent: sentBase.extend(moveFields), record: setMoveRecord },
  jointEvents: { sent: sentBase.extend(jointFields), record: jointRecord },
  /** The article split off is described in the same breath. */
  partCorrections: { sent: sentBase.extend(partCorrectionFields), record: partCorrectionRecord },
  voids: { sent: sentBase.extend({ reason }), record: voidRecord },
  afterCares: { sent: sentBase.extend(afterCareFields), record: afterCareRecord },
  afterPulls: { sent: sentBase.extend(afterPullSent), record: afterPullRecord },
  amendments: { sent: sentBase.extend(amendmentFields), record: amendmentRecord },
  handIns: { sent: sentBase.extend(handInFields), record: handInRecord },
  redactions: { sent: sentBase.extend({ corrects: id, ...redactionFields }), record: redactionRecord },
  pictures: { sent: sentBase.extend(pictureFields), record: pictureRecord },
  intakeLooks: { sent: sentBase.extend(intakeFields), record: intakeRecord },
  cameWith: { sent: sentBase.extend(cameWithFields), record: cameWithRecord },
  earlierWork: { sent: sentBase.extend(earlierFields), record: earlierRecord },
  leavings: { sent: sentBase.extend(leavingFields), record: leavingRecord },
  leftItems: { sent: sentBase.extend(leftFields), record: leftRecord },
  causeLooks: { sent: sentBase.extend(causeFields), record: causeRecord },
  ...BLEED_EVENTS,
  ...CARD_EVENTS,
  ...LINE_EVENTS,
  ...PARKING_EVENTS,
  ...STRIP_EVENTS,
  ...NOTE_EVENTS,
  ...TIMER_EVENTS,
  ...SUPPLY_EVENTS,
  counters: { sent: sentBase.extend({ typed, unit: z.enum(['km', 'mi']) }), record: counterRecord },
} as const satisfies Readonly<Record<ledger.EventList, { readonly sent: z.ZodType; readonly record: z.ZodType }>>;
export type EventFamily = ledger.EventList;
export type Sent<F extends EventFamily> = z.input<(typeof EVENTS)[F]['sent']>;
export type Recorded<F extends EventFamily> = z.infer<(typeof EVENTS)[F]['record']>;

/** Answer to an event: stored now, or stored before with the same content. */
export function stored<R extends z.ZodType>(record: R) {
  return z.object({ status: z.enum(['stored', 'already_stored']), record });
}
