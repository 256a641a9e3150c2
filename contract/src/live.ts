import { z } from 'zod';
import type { Access } from './endpoint.ts';
import { id } from './primitives.ts';
import { gaugeFields } from './entities.ts';

/** By what clock a page stamps what it sends, ms; and the server's, on every answer: so that a wrong clock is set right. */
export const CLOCK_HEADER = 'x-dauer-clock';
/** What a device’s own clock says, ms, as it is: so that a wrong one is noticed. */
export const DEVICE_CLOCK_HEADER = 'x-dauer-device-clock';
export const NOW_HEADER = 'x-dauer-now';
/** Which incarnation of the book answers: a restored one is another, and is sent again what a device still keeps. */
export const BOOK_HEADER = 'x-dauer-book';

/** The stream of changes: listeners get ids only, and read again. Who a page believes to be signed in goes as `person`. */
export const LIVE = { path: '/api/live', role: 'reader' } as const satisfies { path: string; role: Access };

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

/** Who a page believes to be signed in, by id: what another person's session would do under their name is refused. */
export const PERSON_HEADER = 'x-dauer-person';

/** Who took an event that a lead hands in for them, by id: it goes into the book under that name. */
export const TAKEN_BY_HEADER = 'x-dauer-taken-by';

/** Header by which a page names itself, so that it does not get its own changes back. */
export const PAGE_HEADER = 'x-dauer-page';
