import { type Letter, LETTER_PDF, mayCall } from '@dauer/contract';
import type { Person } from '@dauer/core/ledger';
import { USUAL_LOCALE } from '@dauer/core/quantity';
import { letterText, mailText } from '@dauer/core/wording';
import { desc, eq } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { apart } from '../../beside/apart.ts';
import { dayWriter } from '../../beside/paper.ts';
import type { Database } from '../../db/connect.ts';
import { letter, letterAnswer, letterWords, shop, vehicle } from '../../db/schema.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { whoAsks } from '../../platform/session.ts';
import { readDues, refreshDues } from '../../records/dues.ts';
import { ownerFor } from '../../records/owner.ts';

const NO_WORDS = { opening: '', closing: '' };

async function wordsNow(db: Database) {
  const [last] = await db
    .select({ opening: letterWords.opening, closing: letterWords.closing })
    .from(letterWords)
    .orderBy(desc(letterWords.at), desc(letterWords.id))
    .limit(1);
  return last ?? NO_WORDS;
}

/** Letters with their newest answer: of one, or the newest of every vehicle. */
async function lettersOf(db: Database, id: string | null): Promise<Letter[]> {
  const { vehicleId, madeAt, madeBy, items } = letter;
  const rows = id
    ? await db.select({ id: letter.id, vehicleId, madeAt, madeBy, items }).from(letter).where(eq(letter.id, id))
    : await db
        .selectDistinctOn([letter.vehicleId], { id: letter.id, vehicleId, madeAt, madeBy, items })
        .from(letter)
        .orderBy(letter.vehicleId, desc(letter.madeAt), desc(letter.id));
  const answers = await db
    .selectDistinctOn([letterAnswer.letterId], {
      ...{ letterId: letterAnswer.letterId, answer: letterAnswer.answer, on: letterAnswer.onDay, at: letterAnswer.at, by: letterAnswer.by },
    })
    .from(letterAnswer)
    .where(id ? eq(letterAnswer.letterId, id) : undefined)
    .orderBy(letterAnswer.letterId, desc(letterAnswer.at), desc(letterAnswer.id));
  const last = new Map(answers.map(({ letterId, ...a }) => [letterId, a]));
  return rows.map((r) => ({ ...r, answer: last.get(r.id) ?? null }));
}

async function oneLetter(db: Database, id: string): Promise<Letter> {
  const [one] = await lettersOf(db, id);
  if (!one) throw notFound('letter');
  return one;
}

/** Who owns the vehicle, where whoever asks is shown that; null otherwise. */
async function ownerShown(db: Database, vehicleId: string, person: Person) {
  try {
    const of = await ownerFor(db, vehicleId, person);
    return of && of.erasedAt === null ? of : null;
  } catch (error) {
    if (error instanceof HttpProblem && error.code === 'owner_contact') return null;
    throw error;
  }
}

/** A letter in words, for whoever asks, with whom it goes to where that is shown. */
async function written(db: Database, id: string, person: Person) {
  const [row] = await db.select().from(letter).innerJoin(vehicle, eq(vehicle.id, letter.vehicleId)).where(eq(letter.id, id));
  if (!row) throw notFound('letter');
  const [own] = await db.select().from(shop);
  const day = dayWriter(own?.locale ?? USUAL_LOCALE, own?.timeZone ?? 'UTC');
  const to = await ownerShown(db, row.vehicle.id, person);
  const text = letterText({
    ...{ shopName: own?.name ?? 'Workshop', ownerName: to?.name ?? null, vehicle: `${row.vehicle.name}, ${row.vehicle.tag}` },
    items: row.letter.items.map((i) => ({
      ...{ what: i.what, past: i.on === null || i.on <= row.letter.madeAt.slice(0, 10) },
      day: i.on === null ? null : day(i.on),
      km: i.km,
    })),
    ...{ opening: row.letter.opening, closing: row.letter.closing },
  });
  return { text, to, tag: row.vehicle.tag, day: day(row.letter.madeAt) };
}

export const letterHandlers: Pick<Handlers, 'letters' | 'makeLetter' | 'letterText' | 'answerLetter' | 'saveLetterWords'> = {
  letters: async ({ db }) => ({ words: await wordsNow(db), letters: await lettersOf(db, null) }),
  /** What it lists is taken from what falls due now: nothing that was typed or was true yesterday. */
  makeLetter: async ({ db, body, person }) => {
    const [known] = await lettersOf(db, body.id);
    if (known && known.vehicleId !== body.vehicleId)
      throw new HttpProblem('id_reused', 'This letter was made already, of another vehicle.');
    if (known) return known;
    await refreshDues(db);
    const of = (await readDues(db)).find((v) => v.vehicleId === body.vehicleId);
    if (!of) throw notFound('vehicle');
    if (of.inShop) throw new HttpProblem('in_the_shop', `${of.tag} is in the shop: what falls due on it is seen to there.`);
    const items = of.dues.filter((d) => body.keys.includes(d.key));
    if (items.length < new Set(body.keys).size)
      throw new HttpProblem('not_due_any_more', 'What falls due on this vehicle has changed meanwhile. Look at the list again.');
    await db
      .insert(letter)
      .values({
        ...{ id: body.id, vehicleId: of.vehicleId, madeBy: person.id, madeAt: new Date().toISOString() },
        items: items.map(({ key, what, on, km }) => ({ key, what, on, km })),
        ...(await wordsNow(db)),
      })
      .onConflictDoNothing();
    return oneLetter(db, body.id);
  },
  letterText: async ({ db, params, person }) => {
    const { text, to } = await written(db, params.id, person);
    return { subject: text.subject, text: mailText(text), contact: to?.contact ?? null };
  },
  answerLetter: async ({ db, params, body, person }) => {
    await oneLetter(db, params.id);
    await db
      .insert(letterAnswer)
      .values({
        ...{
          id: body.id,
          letterId: params.id,
          answer: body.answer,
          onDay: body.answer === 'comes' || body.answer === 'later' ? body.on : null,
        },
        ...{ by: person.id, at: new Date().toISOString() },
      })
      .onConflictDoNothing();
    return oneLetter(db, params.id);
  },
  saveLetterWords: async ({ db, body, person }) => {
    const { id, opening, closing } = body;
    await db
      .insert(letterWords)
      .values({ id, opening: opening.trim(), closing: closing.trim(), by: person.id, at: new Date().toISOString() })
      .onConflictDoNothing();
    return wordsNow(db);
  },
};

/** Serves letters as PDF. The owner's name is taken in when it is printed, for whom it is shown to. */
export function serveLetters(app: FastifyInstance, db: Database): void {
  const params = z.object({ id: z.uuid() });
  app.get(LETTER_PDF.path, { schema: { hide: true, params } }, async (request, reply) => {
    const person = await whoAsks(db, request);
    if (!person) throw new HttpProblem('signed_out', 'You are not signed in, or your session has ended. Sign in again.');
    if (!mayCall(LETTER_PDF.role, person.role)) throw new HttpProblem('role', `This takes the role of ${LETTER_PDF.role}.`);
    const { text, to, tag, day } = await written(db, params.parse(request.params).id, person);
    const address = to ? [to.name, to.contact].filter((w) => w !== '') : [];
    const bytes = Buffer.from(await apart('letter', { text, address, day }));
    const name = `${tag.replace(/\W+/g, '-')}-letter.pdf`;
    return reply.type('application/pdf').header('content-disposition', `inline; filename="${name}"`).send(bytes);
  });
}
