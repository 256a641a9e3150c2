import { LETTER_ANSWERS } from '@dauer/core/wording';
import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { byId, eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { day, id, instant, sentDay, words } from '../primitives.ts';

const dueItem = z.object({
  /** Stable: the same thing keeps it while its day moves. */
  key: z.string(),
  about: z.enum(['fluid', 'exercise', 'open', 'hoses', 'bearings', 'parking', 'after_care', 'put_off', 'limits']),
  what: z.string(),
  why: z.string(),
  /** Null where it waits for a distance or for its next access. */
  on: day.nullable(),
  /** On the counter, km. */
  km: z.number().nullable(),
  /** The distance has come. */
  reached: z.boolean(),
  /** With what it is done together. */
  access: z.enum(['wheels_off', 'driven', 'standing']),
});
export type DueItem = z.infer<typeof dueItem>;

const vehicleDue = z.object({
  vehicleId: id,
  tag: z.string(),
  name: z.string(),
  use: z.enum(['daily', 'seasonal', 'stands', 'work', 'competition']),
  standsYears: z.number().nullable(),
  /** Its newest job: what is told of it is told there. */
  jobId: id,
  inShop: z.boolean(),
  move: z.enum(['do_not_move', 'yard_only', 'road_test', 'handed_back']).nullable(),
  /** Last exercised or driven, and its fluid last changed, as far as anybody told. */
  exercised: instant.nullable(),
  fluidChanged: day.nullable(),
  /** The counter, km. */
  km: z.number().nullable(),
  dues: z.array(dueItem),
});
export type VehicleDue = z.infer<typeof vehicleDue>;

const calendar = z.object({ id, vehicleId: id.nullable(), tag: z.string().nullable(), createdAt: instant, usedAt: instant.nullable() });

/** A letter that was made for an owner, and what the owner answered. Nobody's name stands in it. */
const letter = z.object({
  id,
  vehicleId: id,
  madeAt: instant,
  madeBy: id,
  items: z.array(z.object({ key: z.string(), what: z.string(), on: day.nullable(), km: z.number().nullable() })),
  answer: z.object({ answer: z.enum(LETTER_ANSWERS), on: day.nullable(), at: instant, by: id }).nullable(),
});
export type Letter = z.infer<typeof letter>;
/** Words of the shop round what is due; empty for the usual ones. */
const letterWords = z.object({ opening: words(1200), closing: words(1200) });

export const due = {
  dues: endpoint({
    ...none,
    feature: 'due',
    method: 'GET',
    path: '/api/dues',
    role: 'reader',
    summary: 'What falls due on every vehicle, the earliest first',
    reply: z.object({
      today: day,
      vehicles: z.array(vehicleDue),
      /** Vehicles whose list is still being worked out: it is asked for again. */
      left: z.number().int(),
      /** Limits that one person entered and nobody checked. */
      limitsUnchecked: z.number().int(),
    }),
    asItIs: true,
  }),
  recordExercise: eventEndpoint('due', EVENTS.exercises, 'exercises', 'Says that a vehicle that stands was exercised'),
  calendars: endpoint({
    ...none,
    feature: 'due',
    method: 'GET',
    path: '/api/calendars',
    role: 'reader',
    summary: 'The calendar addresses that whoever asks has made, those that still answer',
    reply: z.array(calendar),
  }),
  makeCalendar: endpoint({
    ...none,
    feature: 'due',
    method: 'POST',
    path: '/api/calendars',
    role: 'reader',
    summary: 'Makes a calendar address, of the shop or of one vehicle; its secret is told this once',
    body: z.object({ id, vehicleId: id.nullable().default(null) }),
    reply: calendar.extend({ path: z.string() }),
  }),
  letters: endpoint({
    ...none,
    feature: 'due',
    method: 'GET',
    path: '/api/letters',
    role: 'technician',
    summary: 'The newest letter of every vehicle to its owner with what was answered, and the words of the shop',
    reply: z.object({ words: letterWords, letters: z.array(letter) }),
  }),
  makeLetter: endpoint({
    ...none,
    feature: 'due',
    method: 'POST',
    path: '/api/letters',
    role: 'technician',
    summary: 'Makes a letter of what falls due on a vehicle now; a person sends it',
    body: z.object({ id, vehicleId: id, keys: z.array(z.string().max(160)).min(1).max(40) }),
    reply: letter,
  }),
  letterText: endpoint({
    ...none,
    feature: 'due',
    method: 'GET',
    path: '/api/letters/:id/text',
    role: 'technician',
    summary: 'A letter as the text of a mail; the owner’s name and contact for whom they are shown to',
    params: byId,
    reply: z.object({ subject: z.string(), text: z.string(), contact: z.string().nullable() }),
  }),
  answerLetter: endpoint({
    ...none,
    feature: 'due',
    method: 'POST',
    path: '/api/letters/:id/answers',
    role: 'technician',
    summary: 'Says what the owner answered to a letter; the newest answer counts',
    params: byId,
    body: z.object({ id, answer: z.enum(LETTER_ANSWERS), on: sentDay.nullable().default(null) }),
    reply: letter,
  }),
  saveLetterWords: endpoint({
    ...none,
    feature: 'due',
    method: 'POST',
    path: '/api/letter-words',
    role: 'lead',
    summary: 'Keeps the words of the shop that stand round what is due in its letters',
    body: letterWords.extend({ id }),
    reply: letterWords,
  }),
  endCalendar: endpoint({
    ...none,
    feature: 'due',
    method: 'POST',
    path: '/api/calendars/:id/end',
    role: 'reader',
    summary: 'Ends a calendar address of one’s own',
    params: byId,
    reply: calendar,
  }),
};
