/** What things cost and from whom they come, what the shop reckons with, and what an owner was shown. */
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { componentKind } from './componentKind.ts';
import * as e from './events.ts';
import { axle, day, id, instant, minorSum, name, words } from './primitives.ts';

export const articleFields = z.object({
  seriesId: id,
  name,
  partNumber: words(60).nullable(),
  supply: z.enum(ledger.SUPPLIES),
  kind: componentKind.nullable(),
  process: z.enum(ledger.PROCESSES).nullable(),
  fits: z.enum(ledger.FITS),
  appliesTo: words(80).nullable(),
  make: words(120).nullable(),
  model: words(120).nullable(),
  axle: axle.nullable(),
  supplierId: id.nullable(),
  price: minorSum.nullable(),
  tax: z.enum(ledger.TAX_KINDS),
  pricedOn: day,
  leadDays: z.number().int().min(0).max(400).nullable(),
  core: minorSum,
  scarcity: z.enum(ledger.SCARCITIES),
  covers: z.enum(['one', 'axle']),
  contents: z
    .array(z.object({ name, count: z.number().int().min(1).max(999) }))
    .max(60)
    .readonly(),
  states: z.record(z.string().regex(/^[a-z_]{2,30}$/), words(60)).default({}),
  retired: z.boolean(),
});
export const article = articleFields
  .extend({ id, enteredBy: id, enteredAt: instant })
  .meta({ id: 'ArticleVersion' }) satisfies z.ZodType<ledger.ArticleVersion>;
export const supplier = z
  .object({ id, name, contact: words(400), active: z.boolean(), version: z.number().int() })
  .meta({ id: 'Supplier' }) satisfies z.ZodType<ledger.Supplier>;
const permille = z.number().int().min(0).max(1000);
export const ratesFields = z.object({
  hourly: minorSum,
  hoursADay: z.number().min(0.5).max(24),
  bayADay: minorSum,
  shipping: minorSum,
  towing: minorSum,
  standardPermille: permille,
  reducedPermille: permille,
  reason: words(300),
});
export const rates = ratesFields
  .extend({ id, currency: z.string().nullable(), enteredBy: id, enteredAt: instant })
  .meta({ id: 'RatesVersion' }) satisfies z.ZodType<ledger.RatesVersion>;
export const houseRuleFields = z.object({ rule: words(40).min(1), school: words(40).min(1), reason: z.string().trim().min(3).max(500) });
export const houseRule = houseRuleFields
  .extend({ id, enteredBy: id, enteredAt: instant })
  .meta({ id: 'HouseRuleVersion' }) satisfies z.ZodType<ledger.HouseRuleVersion>;
export const lastingCase = z.object({
  option: e.option,
  kind: componentKind,
  lots: z.array(z.string()).readonly(),
  from: instant,
  until: instant,
  cameBack: z.boolean(),
});
export const comebackCount = z.object({
  option: e.option,
  kind: componentKind,
  cases: z.number().int(),
  comebacks: z.number().int(),
}) satisfies z.ZodType<ledger.ComebackCount>;
const offerWay = z.object({
  option: e.option,
  name: z.string(),
  gross: z.number().int(),
  needs: z.array(z.string()).readonly(),
  lead: z.number(),
  minutes: z.number(),
  risks: z.array(z.string()).readonly(),
  ruledOut: z.string().nullable(),
  plan: z.array(z.object({ slotId: id, option: e.option })).readonly(),
});
const offerSheet = z.object({
  form: z.literal(1),
  shop: z.string(),
  vehicle: z.object({ tag: z.string(), name: z.string() }),
  made: day,
  currency: z.string().nullable(),
  hoursADay: z.number(),
  authorised: z.number().int().nullable(),
  rows: z.array(z.object({ id: z.string(), name: z.string(), found: z.string(), ways: z.array(offerWay).readonly() })).readonly(),
  without: z.array(z.string()).readonly(),
  shared: z.array(z.object({ id: z.string(), name: z.string(), gross: z.number().int(), minutes: z.number() })).readonly(),
  variants: z
    .array(z.object({ id: z.string(), name: z.string(), ways: z.array(z.object({ row: z.string(), option: e.option })).readonly() }))
    .readonly(),
});
export const offer = z
  .object({ id, jobId: id, sheet: offerSheet, hash: z.string(), madeBy: id, madeAt: instant })
  .meta({ id: 'Offer' }) satisfies z.ZodType<ledger.Offer>;
