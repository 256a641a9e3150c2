/** A job left for longer than a night, and taken over by who goes on: the shapes of their events. */
import * as ledger from '@dauer/core/ledger';
import { z } from 'zod';
import { day, id, recordBase, sentBase, sentDay, words } from './primitives.ts';

const parkingFields = {
  standsOn: z.enum(ledger.STANDINGS),
  heldBy: words(200),
  knows: words(200),
  waitsFor: words(200).default(''),
  until: sentDay.nullable().default(null),
};
const takeOverFields = { parkingId: id, note: words(300).default('') };

const parking = recordBase.extend({ ...parkingFields, waitsFor: z.string(), until: day.nullable() }).meta({
  id: 'Parking',
}) satisfies z.ZodType<ledger.Parking>;
const takeOver = recordBase.extend({ ...takeOverFields, note: z.string() }).meta({ id: 'TakeOver' }) satisfies z.ZodType<ledger.TakeOver>;

export const PARKING_EVENTS = {
  parkings: { sent: sentBase.extend(parkingFields), record: parking },
  takeOvers: { sent: sentBase.extend(takeOverFields), record: takeOver },
} as const;
