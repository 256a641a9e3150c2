/** A session of bleeding, and the exercise of what stands: the shapes of their events. */
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

const bleedSession = recordBase.extend(sessionFields).meta({ id: 'BleedSession' }) satisfies z.ZodType<ledger.BleedSession>;
const bleedStep = recordBase.extend(stepFields).meta({ id: 'BleedStep' }) satisfies z.ZodType<ledger.BleedStepEvent>;

export const BLEED_EVENTS = {
  bleedSessions: { sent: sentBase.extend(sessionFields), record: bleedSession },
  /** The counter after it may be read, and need not. */
  exercises: {
    sent: sentBase.extend({ ...exerciseFields, typed: words(40).nullable().default(null), unit: z.enum(['km', 'mi']).default('km') }),
    record: exercise,
  },
  bleedSteps: { sent: sentBase.extend(stepFields), record: bleedStep },
} as const;
