/** Lots and what lies in the store. */
import * as ledger from '@dauer/core/ledger';
import { isPartialDate } from '@dauer/core/quantity';
import { z } from 'zod';
import { id, instant, name, words } from './primitives.ts';

const partial = z.string().refine(isPartialDate, 'no date, or not written as one').nullable();
export const lotFields = z.object({
  seriesId: id,
  label: z.string().trim().min(1).max(20),
  kind: z.enum(ledger.LOT_KINDS),
  name,
  partNumber: words(60).nullable(),
  supplierId: id.nullable(),
  made: partial,
  bought: partial,
  opened: partial,
  batch: words(80),
  torque: words(200),
  bedding: words(400),
  cure: words(400),
  note: words(500),
  compound: words(80),
  grade: words(80),
  meantFor: words(120),
  coating: words(80),
  ratedC: z.number().min(50).max(1200).nullable(),
  lifted: z.enum(['yes', 'no', 'unknown']),
  shelfYears: z.number().min(0.25).max(50).nullable(),
  closed: z.boolean(),
  recalled: words(300),
});
export const lot = lotFields
  .extend({ id, enteredBy: id, enteredAt: instant })
  .meta({ id: 'LotVersion' }) satisfies z.ZodType<ledger.LotVersion>;

export const stockFields = z.object({
  seriesId: id,
  kind: z.enum(ledger.STOCK_MOVES),
  count: z.number().int().min(0).max(99_999),
  jobId: id.nullable(),
  note: words(300),
});
export const stockMove = stockFields
  .extend({ id, enteredBy: id, enteredAt: instant })
  .meta({ id: 'StockMove' }) satisfies z.ZodType<ledger.StockMove>;
