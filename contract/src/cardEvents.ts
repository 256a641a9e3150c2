/** Work cards and ladders at the bench: the shapes of their events. A card that runs keeps its steps as they were when it was begun. */
import { GATES, OPTION_IDS, RIGS, STEP_GROUPS, STEP_KINDS, STEP_RECORDS, WORK_PLACES } from '@dauer/core/catalogue';
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { id, recordBase, sentBase, words } from './primitives.ts';

const stepId = z.string().regex(/^[a-z_0-9]{1,40}$/);
const text = z.string().max(400);
const need = z.discriminatedUnion('of', [
  z.object({ of: z.literal('record'), gate: z.enum(GATES) }),
  z.object({ of: z.literal('after'), step: stepId }),
  z.object({ of: z.literal('since'), step: stepId, than: stepId }),
  z.object({ of: z.literal('before'), step: stepId }),
]);
const lubricant = z.object({
  what: z.enum(['fluid', 'kit_grease', 'pin_grease', 'plate_grease', 'anti_seize', 'bearing_grease', 'film', 'none']),
  where: text,
  never: text,
});
const cardStep = z.object({
  id: stepId,
  group: z.enum(STEP_GROUPS),
  words: text.min(1),
  why: text.min(1),
  kind: z.enum(STEP_KINDS),
  at: z.enum(WORK_PLACES),
  minutes: z.number().int().min(0).max(600),
  waits: z.object({ hours: z.number().min(0).max(1000), on: text }).nullable(),
  takes: z.array(z.object({ name: text, count: z.number().int().min(1).max(99) })).readonly(),
  of: z.array(z.enum(OPTION_IDS)).readonly(),
  by: z.object({ rule: text, words: z.record(z.string(), text) }).nullable(),
  only: z.object({ rule: text, schools: z.array(text).readonly(), picked: z.boolean() }).nullable(),
  needs: z.array(need).max(12).readonly(),
  lubricant: lubricant.nullable(),
  orientation: text,
  // A card that was begun before this was said of its steps says nothing of it.
  unlike: text.default(''),
  ready: text,
  hazard: text,
  obliged: z.boolean(),
  second: z.boolean(),
  enters: z.enum(STEP_RECORDS).nullable(),
  rig: z.enum(RIGS).nullable(),
});
const runFields = {
  slotId: id,
  cardId: stepId,
  option: z.enum(OPTION_IDS),
  steps: z.array(cardStep).min(1).max(60).readonly(),
};
const tellFields = {
  runId: id,
  stepId,
  kind: z.enum(ledger.CARD_TELLS),
  gate: z.enum(GATES).nullable().default(null),
  note: words(500).default(''),
};
const tryFields = {
  slotId: id,
  ladderId: stepId,
  rungId: stepId,
  moved: z.boolean(),
  minutes: z.number().int().min(1).max(600),
  note: words(300).default(''),
};
const ladderTry = recordBase.extend({ ...tryFields, note: z.string() }).meta({ id: 'LadderTry' }) satisfies z.ZodType<ledger.LadderTry>;
const cardRun = recordBase.extend(runFields).meta({ id: 'CardRun' }) satisfies z.ZodType<ledger.CardRun>;
const cardTell = recordBase.extend({ ...tellFields, note: z.string() }).meta({ id: 'CardTell' }) satisfies z.ZodType<ledger.CardTell>;

export const CARD_EVENTS = {
  cardRuns: { sent: sentBase.extend(runFields), record: cardRun },
  cardTells: { sent: sentBase.extend(tellFields), record: cardTell },
  ladderTries: { sent: sentBase.extend(tryFields), record: ladderTry },
} as const;
