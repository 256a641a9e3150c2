/** How a line is measured and to be made: the shape of its event. */
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { id, recordBase, sentBase, words } from './primitives.ts';

/** Longest straight of a line, mm: the length of a long vehicle. */
const LONGEST_MM = 15000;

const stretch = z.object({
  lengthMm: z.number().positive().max(LONGEST_MM),
  deflectionDeg: z.number().min(0).lt(180),
  turnDeg: z.number().min(-180).max(180),
});
const end = z.object({ flare: z.enum(ledger.FLARES), thread: words(40), usedMm: z.number().min(0).max(30) });
const shapeFields = {
  connectionId: id,
  stretches: z.array(stretch).min(1).max(40).readonly(),
  outsideMm: z.number().positive().max(30),
  bendRadiusMm: z.number().positive().max(500),
  slackMm: z.number().min(0).max(500),
  first: end,
  last: end,
  by: z.enum(['old_line', 'wire', 'vehicle']),
  note: words(300).default(''),
};
const lineShape = recordBase.extend({ ...shapeFields, note: z.string() }).meta({ id: 'LineShape' }) satisfies z.ZodType<ledger.LineShape>;

export const LINE_EVENTS = {
  lineShapes: { sent: sentBase.extend(shapeFields), record: lineShape },
} as const;
