/** What is ordered, sent out, taken from lots, and by what articles are known: the shapes of those events. */
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { corner, day, id, minorSum, name, recordBase, sentBase, sentDay, typed, unitId, words } from './primitives.ts';

const count = z.number().int().min(1).max(999);
const lineFields = {
  supplierId: id,
  supplier: name,
  name,
  articleId: id.nullable().default(null),
  partNumber: words(60).nullable(),
  supply: z.enum(ledger.SUPPLIES),
  count,
  places: z.array(id).max(40).readonly(),
  need: words(200).nullable(),
  price: minorSum.nullable(),
  core: minorSum.nullable(),
  expected: day.nullable(),
  shopsOwn: z.boolean().default(false),
  note: words(500),
};
const stepFields = {
  lineId: id,
  kind: z.enum(ledger.ORDER_STEPS),
  count: count.default(1),
  day: day.nullable().default(null),
  result: z.enum(ledger.ARRIVAL_RESULTS).nullable().default(null),
  slotId: id.nullable().default(null),
  amount: minorSum.nullable().default(null),
  note: words(500).default(''),
};
const factFields = {
  fact: z.string().regex(/^[a-z_]{2,30}$/),
  slotId: id.nullable(),
  partId: id.nullable(),
  lineId: id.nullable().default(null),
  typed,
  unit: unitId.nullable().default(null),
  gaugeVersionId: id.nullable().default(null),
};
const lookFields = {
  corner: corner.nullable(),
  thing: z.enum(ledger.ORDER_THINGS),
  answer: z.enum(['needed', 'not_needed', 'left']),
  note: words(300).default(''),
};
const outFields = {
  supplierId: id,
  supplier: name,
  batch: words(80),
  partId: id,
  slotId: id,
  process: z.enum(ledger.SENT_FOR),
  size: words(120),
  colour: words(80),
  gloss: words(40),
  masks: z.array(words(80)).max(20).readonly(),
  count,
  note: words(500),
};
const outStepFields = {
  sendOutId: id,
  kind: z.enum(ledger.SEND_OUT_STEPS),
  day: day.nullable().default(null),
  result: z.enum(['right', 'wrong']).nullable().default(null),
  count: z.number().int().min(0).max(999).nullable().default(null),
  looked: z.array(words(80)).max(20).readonly().default([]),
  amount: minorSum.nullable().default(null),
  note: words(500).default(''),
};
const useFields = { lotId: id, slotId: id.nullable(), partId: id.nullable(), reason: words(300).default('') };

const comebackFields = { slotId: id, repairedIn: id, answer: z.enum(['comeback', 'other_fault']), note: words(300).default('') };

type Fields<T extends ledger.EventBase> = z.ZodType<T>;
const orderLine = recordBase.extend(lineFields).meta({ id: 'OrderLine' }) satisfies Fields<ledger.OrderLine>;
const orderStep = recordBase.extend(stepFields).meta({ id: 'OrderStep' }) satisfies Fields<ledger.OrderStep>;
const partFact = recordBase
  .extend({ ...factFields, canonical: z.number().nullable() })
  .meta({ id: 'PartFact' }) satisfies Fields<ledger.PartFact>;
const orderLook = recordBase.extend(lookFields).meta({ id: 'OrderLook' }) satisfies Fields<ledger.OrderLook>;
const sendOut = recordBase.extend(outFields).meta({ id: 'SendOut' }) satisfies Fields<ledger.SendOut>;
const sendOutStep = recordBase.extend(outStepFields).meta({ id: 'SendOutStep' }) satisfies Fields<ledger.SendOutStep>;
const lotUse = recordBase.extend(useFields).meta({ id: 'LotUse' }) satisfies Fields<ledger.LotUse>;
const comeback = recordBase.extend(comebackFields).meta({ id: 'Comeback' }) satisfies Fields<ledger.Comeback>;

export const SUPPLY_EVENTS = {
  orderLines: { sent: sentBase.extend({ ...lineFields, expected: sentDay.nullable().default(null) }), record: orderLine },
  orderSteps: { sent: sentBase.extend({ ...stepFields, day: sentDay.nullable().default(null) }), record: orderStep },
  partFacts: { sent: sentBase.extend(factFields), record: partFact },
  orderLooks: { sent: sentBase.extend(lookFields), record: orderLook },
  sendOuts: { sent: sentBase.extend(outFields), record: sendOut },
  sendOutSteps: { sent: sentBase.extend({ ...outStepFields, day: sentDay.nullable().default(null) }), record: sendOutStep },
  comebacks: { sent: sentBase.extend(comebackFields), record: comeback },
  lotUses: { sent: sentBase.extend(useFields), record: lotUse },
} as const;
