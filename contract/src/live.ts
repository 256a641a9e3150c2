import { z } from 'zod';
import { id } from './primitives.ts';
import { gaugeFields } from './entities.ts';

/** What an instrument says: the figure it shows now, that it was pressed, or that it types like a keyboard. */
export const instrumentMessage = z.object({
  /** Its tag on the rack. */
  instrument: z.string().trim().min(1).max(20),
  kind: gaugeFields.shape.kind,
  /** As it shows it; a length may be in mm or in, or any other that the capture bar reads. */
  unit: z.string().max(8),
  text: z.string().regex(/^[-+−]?[0-9][0-9.,/ ]{0,18}$/),
  event: z.enum(['live', 'press', 'keys']),
});
export type InstrumentMessage = z.infer<typeof instrumentMessage>;

/** One change: which job it was in (null: something that any job may lean on), and which page made it. Never what it was. */
export const liveMessage = z.object({
  jobId: id.nullable(),
  page: z.string().max(40),
  /** Somebody’s sessions ended, or their role changed: streams that they may not hear any more end at once. */
  people: z.boolean().optional(),
  /** Nothing changed: an instrument speaks to whoever listens to it. */
  instrument: instrumentMessage.optional(),
  /** The page named in this message listens to an instrument from now on, and every other lets go of it. */
  claims: z.string().max(20).optional(),
});
export type LiveMessage = z.infer<typeof liveMessage>;
