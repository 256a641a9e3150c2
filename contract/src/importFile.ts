import { z } from 'zod';
import { EVENTS, type EventFamily, type Recorded } from './events.ts';
import { id, instant, words } from './primitives.ts';
import * as t from './entities.ts';

/** Stands for somebody who did something before these records, and is none of the shop’s people. */
export const FROM_BEFORE = 'from before';
/** The kind of content of an import: JSON Lines, one document a line. */
export const IMPORT_TYPE = 'application/x-ndjson';

const author = z.union([id, z.literal(FROM_BEFORE)]);
const families = Object.keys(EVENTS) as [EventFamily, ...EventFamily[]];

/** The first line: what this is from, and the password of the lead who takes it in. The same id goes on where it was cut off. */
export const importHead = z.object({
  kind: z.literal('import'),
  id,
  source: words(200).min(3),
  password: z.string().max(200),
});

/** Every other line: one thing, one job, or one event of a job of the past. */
export const importLine = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('gauge'), gauge: t.gauge.omit({ enteredBy: true }) }),
  z.object({ kind: z.literal('prior'), prior: t.prior.omit({ enteredBy: true }) }),
  /** A check is an act of a person here: it is not taken in. */
  z.object({ kind: z.literal('limit'), limit: t.limit.omit({ enteredBy: true, checkedBy: true, checkedAt: true }) }),
  z.object({ kind: z.literal('vehicle'), vehicle: t.vehicle.omit({ ownerId: true }), layout: t.layout }),
  z.object({ kind: z.literal('part'), part: t.part }),
  z.object({
    kind: z.literal('job'),
    job: t.job
      .omit({ importId: true, version: true })
      // Sums are in minor units now: what an earlier file tells in whole ones is refused, and not taken for a hundredth of it.
      .extend({ openedBy: author, authorised: z.undefined().optional() }),
  }),
  /** The record as its family has it; figures are worked out again from what was typed. */
  z.object({ kind: z.literal('event'), family: z.enum(families), authorId: author, record: z.looseObject({ id, jobId: id }) }),
  /** Handed back then, as told: the sheet is worked out from the records. */
  z.object({ kind: z.literal('release'), release: z.object({ id, jobId: id, releasedAt: instant }) }),
]);
export type ImportLine = z.output<typeof importLine>;

/** What an import sends of an event: the record as its family has it, without who wrote it. */
export type ImportedRecord<F extends EventFamily> = Omit<Recorded<F>, 'authorId'>;

export const importReply = z.object({
  id,
  written: z.number().int(),
  /** Lines that were on record already. */
  known: z.number().int(),
  jobs: z.number().int(),
  /** Jobs that were not taken in, each whole; everything else was. */
  refused: z.array(z.object({ jobId: id, code: z.string(), why: z.string() })),
});
