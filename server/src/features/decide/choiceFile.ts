import { CHOICE_FILE } from '@dauer/contract';
import { eq } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Database } from '../../db/connect.ts';
import { offer, shop } from '../../db/schema.ts';
import { notFound } from '../../platform/problem.ts';
import { requireRole } from '../../platform/session.ts';
import { choicePage } from './choicePage.ts';

/** Serves the page that an owner opens anywhere, ticks, and reads a code back from. */
export function serveChoiceFile(app: FastifyInstance, db: Database): void {
  const params = z.object({ jobId: z.uuid(), id: z.uuid() });
  app.get(CHOICE_FILE.path, { schema: { hide: true, params } }, async (request, reply) => {
    await requireRole(db, request, CHOICE_FILE.role);
    const { jobId, id } = params.parse(request.params);
    const [found] = await db.select().from(offer).where(eq(offer.id, id));
    if (found?.jobId !== jobId) throw notFound('sheet');
    const [own] = await db.select({ locale: shop.locale }).from(shop);
    const name = `${found.sheet.vehicle.tag.replace(/\W+/g, '-')}-choice-${found.sheet.made}.html`;
    return reply
      .type('text/html; charset=utf-8')
      .header('content-disposition', `attachment; filename="${name}"`)
      .send(choicePage(found, own?.locale ?? 'en-GB'));
  });
}
