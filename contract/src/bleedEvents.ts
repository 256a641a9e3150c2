/** A session of bleeding: the shapes of its events. */
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

const bleedSession = recordBase.extend(sessionFields).meta({ id: 'BleedSession' }) satisfies z.ZodType<ledger.BleedSession>;
const bleedStep = recordBase.extend(stepFields).meta({ id: 'BleedStep' }) satisfies z.ZodType<ledger.BleedStepEvent>;

export const BLEED_EVENTS = {
  bleedSessions: { sent: sentBase.extend(sessionFields), record: bleedSession },
  bleedSteps: { sent: sentBase.extend(stepFields), record: bleedStep },
} as const;
