/** A session of bleeding, bedding in, and the exercise of what stands: the shapes of their events. */
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { fluidClass, id, name, recordBase, sentBase, words } from './primitives.ts';

const ml = z.number().min(0).max(5000);
const sessionFields = {
  circuits: z.array(z.number().int().min(1).max(9)).min(1).max(9).readonly(),
  method: z.enum(['pedal', 'vacuum', 'pressure', 'gravity', 'reverse']),
  product: name,
  fluidClass,
  fullMl: ml.min(5),
  safeMl: ml,
  strokeMl: z.number().positive().max(500),
  prepared: z.array(z.enum(ledger.BLEED_TICKS)).max(ledger.BLEED_TICKS.length).readonly().nullable().default(null),
  ordered: z.array(id).min(1).max(40).readonly().nullable().default(null),
  orderSource: words(200).nullable().default(null),
};
const stepFields = {
  sessionId: id,
  kind: z.enum(ledger.BLEED_STEPS),
  slotId: id.nullable().default(null),
  colour: z.enum(['dark', 'amber', 'clear']).nullable().default(null),
  air: z.enum(['none', 'bubbles', 'foam']).nullable().default(null),
  levelMl: ml.nullable().default(null),
  fluidClass: fluidClass.nullable().default(null),
  bottle: words(120).default(''),
};

const exerciseFields = { what: z.enum(ledger.EXERCISES), note: words(300).default('') };
const exercise = recordBase
  .extend({ ...exerciseFields, note: z.string(), vehicleId: id, typed: z.string().nullable(), km: z.number().nullable() })
  .meta({ id: 'Exercise' }) satisfies z.ZodType<ledger.Exercise>;

const kmh = z.number().min(0).max(300);
const beddingStep = z.object({
  stops: z.number().int().min(1).max(200),
  fromKmh: kmh.min(1),
  toKmh: kmh,
  coolS: z.number().int().min(0).max(7200),
});
const planFields = { product: name, steps: z.array(beddingStep).min(1).max(12).readonly(), source: words(200).default('') };
const beddingPlan = recordBase
  .extend({ ...planFields, source: z.string() })
  .meta({ id: 'BeddingPlan' }) satisfies z.ZodType<ledger.BeddingPlan>;
const stopFields = { planId: id, step: z.number().int().min(0).max(11) };
const beddingStop = recordBase.extend(stopFields).meta({ id: 'BeddingStop' }) satisfies z.ZodType<ledger.BeddingStop>;

const bleedSession = recordBase
  .extend({
    ...sessionFields,
    prepared: z.array(z.enum(ledger.BLEED_TICKS)).readonly().nullish(),
    ordered: z.array(id).readonly().nullish(),
    orderSource: z.string().nullish(),
  })
  .meta({ id: 'BleedSession' }) satisfies z.ZodType<ledger.BleedSession>;
const bleedStep = recordBase.extend(stepFields).meta({ id: 'BleedStep' }) satisfies z.ZodType<ledger.BleedStepEvent>;

export const BLEED_EVENTS = {
  bleedSessions: { sent: sentBase.extend(sessionFields), record: bleedSession },
  /** The counter after it may be read, and need not. */
  exercises: {
    sent: sentBase.extend({ ...exerciseFields, typed: words(40).nullable().default(null), unit: z.enum(['km', 'mi']).default('km') }),
    record: exercise,
  },
  beddingPlans: { sent: sentBase.extend(planFields), record: beddingPlan },
  beddingStops: { sent: sentBase.extend(stopFields), record: beddingStop },
  bleedSteps: { sent: sentBase.extend(stepFields), record: bleedStep },
} as const;
