/** Work cards as the shop does them: what it changes of a card, and steps of its own. */
import { MOST_STEP_MINUTES, SHOP_STEP_KINDS, STEP_GROUPS } from '@dauer/core/catalogue';
import type * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { id, instant } from './primitives.ts';

const stepId = z.string().regex(/^[a-z_0-9]{1,40}$/);
const line = z.string().trim().max(400);
const minutes = z.number().int().min(0).max(MOST_STEP_MINUTES);
const stepChange = z.object({ stepId, words: line, minutes: minutes.nullable(), ready: line, hazard: line, leftOut: z.boolean() });
const shopStep = z.object({
  id: stepId,
  after: stepId.nullable(),
  group: z.enum(STEP_GROUPS),
  words: line.min(3),
  why: line.min(3),
  kind: z.enum(SHOP_STEP_KINDS),
  minutes,
  ready: line,
  hazard: line,
  obliged: z.boolean(),
  second: z.boolean(),
});
export const shopCardFields = z.object({
  cardId: stepId,
  changes: z.array(stepChange).max(60).readonly(),
  own: z.array(shopStep).max(40).readonly(),
  reason: z.string().trim().min(3).max(500),
});
export const shopCard = shopCardFields
  .extend({ id, enteredBy: id, enteredAt: instant })
  .meta({ id: 'ShopCardVersion' }) satisfies z.ZodType<ledger.ShopCardVersion>;
