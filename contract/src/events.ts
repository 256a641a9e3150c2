import type * as core from '@dauer/core';
import { z } from 'zod';
import { corner, id, name, recordBase, sentBase, typed, unitId, words } from './primitives.ts';

/** A record's own fields are exactly those that the core knows, so the two cannot drift apart. */
type Fields<T extends core.EventBase> = z.ZodType<T>;

const position = {
  frame: z.enum(['rotor_mark', 'hub_stud', 'drum_mark', 'pads']),
  angleDeg: z.number().min(0).max(360).nullable(),
  place: words(60).nullable(),
};
const option = z.enum(['use_again', 'reseal', 'machine', 'replace', 'put_off']);
const measurement = z.enum(['rotor_thickness', 'rotor_runout', 'drum_diameter', 'pad_lining']);
export const fluidClass = z.enum(['3', '4', '5.1', '6', '5', 'mineral', 'castor']);
export const componentKind = z.enum([
  'pedal',
  'hand_lever',
  'servo',
  'master_cylinder',
  'reservoir',
  'valve',
  'union',
  'hose',
  'caliper',
  'piston',
  'pads',
  'rotor',
  'hub',
  'wheel_cylinder',
  'shoes',
  'drum',
  'bleeder',
  'parking_lever',
  'equaliser',
  'clutch_master',
  'clutch_slave',
]) satisfies z.ZodType<core.ComponentKind>;

const setFields = {
  slotId: id,
  partId: id.nullable(),
  measurement,
  phase: z.enum(['as_found', 'after_machining', 'as_fitted', 'at_service']),
  surface: z.enum(['dirty', 'wiped', 'clean']),
  cold: z.boolean(),
  averages: z.boolean(),
  count: z.number().int().min(1).max(64),
};
const readingSent = { setId: id, ...position, pass: z.number().int().min(1).max(99), gaugeVersionId: id.nullable(), typed, unit: unitId };
const findingFields = {
  slotId: id,
  partId: id.nullable(),
  words: words(500).min(1),
  severity: z.enum(['note', 'watch', 'doubt', 'reject']),
  cleaning: z.enum(['before', 'after']),
  rulesOut: z.array(option).max(5),
  settles: id.nullable(),
};
const observationFields = { code: words(60), corner: corner.nullable(), state: z.enum(['seen', 'not_seen', 'not_checked']) };
const decisionFields = { slotId: id, partId: id.nullable(), option, reason: words(500), reviewOn: z.iso.date().nullable() };
const operationFields = { slotId: id.nullable(), title: name, attendedMinutes: z.number().int().min(0).max(6000) };
const operationEventFields = { operationId: id, kind: z.enum(['start', 'stop', 'done']), note: words(500) };
const torqueSent = { slotId: id.nullable(), point: words(120).min(1), targetTyped: typed, typed, unit: unitId, wrench: words(80) };
const bleedSent = {
  slotId: id,
  volumeTyped: typed,
  colour: z.enum(['dark', 'amber', 'clear']),
  air: z.enum(['none', 'bubbles', 'foam']),
  closed: z.boolean(),
};
const fluidFields = { product: name, fluidClass, batch: words(80), lowMoisture: z.boolean() };
const proofFields = {
  item: words(120).min(1),
  slotId: id.nullable(),
  corner: corner.nullable(),
  result: z.enum(['passed', 'failed', 'gone', 'less', 'same', 'not_tried']),
  note: words(500),
};
const acceptanceFields = { obligation: words(400).min(1), reason: z.string().trim().min(3).max(500) };
const cautionFields = { caution: words(60).min(1) };
const partEventFields = {
  partId: id,
  kind: z.enum(['found', 'removed', 'fitted', 'sent', 'returned', 'machined', 'resealed', 'coated', 'scrapped']),
  slotId: id.nullable(),
  note: words(500),
  temporary: z.boolean().default(false),
};
const putInFields = {
  slotId: id,
  what: z.enum(['block', 'cap', 'plug', 'clamp', 'mask', 'tie', 'chock', 'other']),
  note: words(300),
};

export const readingSetRecord = recordBase.extend(setFields).meta({ id: 'ReadingSet' }) satisfies Fields<core.ReadingSet>;
export const readingRecord = recordBase
  .extend({ ...readingSent, canonical: z.number(), resolution: z.number(), fraction: z.boolean() })
  .meta({ id: 'Reading' }) satisfies Fields<core.Reading>;
export const takeBackRecord = recordBase.meta({ id: 'TakeBack' }) satisfies Fields<core.TakeBack>;
export const findingRecord = recordBase.extend(findingFields).meta({ id: 'Finding' }) satisfies Fields<core.Finding>;
export const observationRecord = recordBase.extend(observationFields).meta({ id: 'Observation' }) satisfies Fields<core.Observation>;
export const decisionRecord = recordBase.extend(decisionFields).meta({ id: 'Decision' }) satisfies Fields<core.Decision>;
export const operationRecord = recordBase.extend(operationFields).meta({ id: 'Operation' }) satisfies Fields<core.Operation>;
export const operationEventRecord = recordBase
  .extend(operationEventFields)
  .meta({ id: 'OperationEvent' }) satisfies Fields<core.OperationEvent>;
export const torqueRecord = recordBase
  .extend({ ...torqueSent, target: z.number(), canonical: z.number() })
  .meta({ id: 'Torque' }) satisfies Fields<core.Torque>;
export const bleedPullRecord = recordBase
  .extend({ ...bleedSent, volumeMl: z.number() })
  .meta({ id: 'BleedPull' }) satisfies Fields<core.BleedPull>;
export const fluidServiceRecord = recordBase.extend(fluidFields).meta({ id: 'FluidService' }) satisfies Fields<core.FluidService>;
export const proofRecord = recordBase.extend(proofFields).meta({ id: 'Proof' }) satisfies Fields<core.Proof>;
export const acceptanceRecord = recordBase.extend(acceptanceFields).meta({ id: 'Acceptance' }) satisfies Fields<core.Acceptance>;
export const cautionAckRecord = recordBase.extend(cautionFields).meta({ id: 'CautionAck' }) satisfies Fields<core.CautionAck>;
export const partEventRecord = recordBase.extend(partEventFields).meta({ id: 'PartEvent' }) satisfies Fields<core.PartEvent>;
export const putInRecord = recordBase.extend(putInFields).meta({ id: 'PutIn' }) satisfies Fields<core.PutIn>;
export const takenOutRecord = recordBase.extend({ putInId: id }).meta({ id: 'TakenOut' }) satisfies Fields<core.TakenOut>;
const moveFields = { setId: id, slotId: id, partId: id.nullable() };
export const setMoveRecord = recordBase.extend(moveFields).meta({ id: 'SetMove' }) satisfies Fields<core.SetMove>;
export const counterRecord = recordBase
  .extend({ vehicleId: id, typed, km: z.number() })
  .meta({ id: 'CounterReading' }) satisfies Fields<core.CounterReading>;

/** Families of events: what is sent, and what comes back and is kept. */
export const EVENTS = {
  sets: { sent: sentBase.extend(setFields), record: readingSetRecord },
  readings: { sent: sentBase.extend(readingSent), record: readingRecord },
  takeBacks: { sent: sentBase.extend({ corrects: id }), record: takeBackRecord },
  findings: { sent: sentBase.extend(findingFields), record: findingRecord },
  observations: { sent: sentBase.extend(observationFields), record: observationRecord },
  decisions: { sent: sentBase.extend(decisionFields), record: decisionRecord },
  operations: { sent: sentBase.extend(operationFields), record: operationRecord },
  operationEvents: { sent: sentBase.extend(operationEventFields), record: operationEventRecord },
  torques: { sent: sentBase.extend(torqueSent), record: torqueRecord },
  bleedPulls: { sent: sentBase.extend(bleedSent), record: bleedPullRecord },
  fluidServices: { sent: sentBase.extend(fluidFields), record: fluidServiceRecord },
  proofs: { sent: sentBase.extend(proofFields), record: proofRecord },
  acceptances: { sent: sentBase.extend(acceptanceFields), record: acceptanceRecord },
  cautionAcks: { sent: sentBase.extend(cautionFields), record: cautionAckRecord },
  /** A part fitted for the first time is described in the same breath. */
  partEvents: {
    sent: sentBase.extend({
      ...partEventFields,
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
  counters: { sent: sentBase.extend({ typed, unit: z.enum(['km', 'mi']) }), record: counterRecord },
} as const;
export type EventFamily = keyof typeof EVENTS;
export type Sent<F extends EventFamily> = z.input<(typeof EVENTS)[F]['sent']>;
export type Recorded<F extends EventFamily> = z.infer<(typeof EVENTS)[F]['record']>;

/** Answer to an event: stored now, or stored before with the same content. */
export function stored<R extends z.ZodType>(record: R) {
  return z.object({ status: z.enum(['stored', 'already_stored']), record });
}
