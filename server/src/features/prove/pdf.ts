import { SHEET_PDF } from '@dauer/contract';
import { deriveJob } from '@dauer/core/job';
import { isHydraulic } from '@dauer/core/layout';
import { buildSheet } from '@dauer/core/views';
import { eq, inArray } from 'drizzle-orm';
import { USUAL_LOCALE } from '@dauer/core/quantity';
import type { Role } from '@dauer/core/verdict';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Database } from '../../db/connect.ts';
import { image, owner, shop, vehicle } from '../../db/schema.ts';
import { notFound } from '../../platform/problem.ts';
import { requireRole } from '../../platform/session.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { withoutAccount } from '../../records/prices.ts';
import { apart } from '../../beside/apart.ts';
import type { Printed } from './printSheet.ts';

/** The sheet as it was handed back, or as it stands now. */
async function printed(db: Database, jobId: string, role: Role): Promise<Printed> {
  const records = await readJobFile(db, jobId);
  const now = new Date().toISOString();
  const [own] = await db.select().from(shop);
  const [of] = await db
    .select({ name: owner.name })
    .from(vehicle)
    .innerJoin(owner, eq(owner.id, vehicle.ownerId))
    .where(eq(vehicle.id, records.vehicle.id));
  const { release, people, amendments, handIns, imported } = records;
  const sheet = release?.sheet ?? buildSheet(deriveJob(records, now), now);
  return {
    file: { release, people, amendments, handIns, imported },
    sheet: role === 'reader' ? withoutAccount(sheet) : sheet,
    shopName: own?.name ?? 'Workshop',
    zone: own?.timeZone ?? 'UTC',
    locale: own?.locale ?? USUAL_LOCALE,
    ownerName: role === 'lead' && of?.name ? of.name : null,
    hydraulic: isHydraulic(records.layout),
  };
}

/** The images of the owner's page: those that are here and were not blacked out. */
async function imagesOf(db: Database, { owner: page }: Printed['sheet']): Promise<Record<string, string>> {
  const hashes = (page?.pictures ?? []).flatMap((p) => [p.before, p.after]);
  if (hashes.length === 0) return {};
  const rows = await db.select({ hash: image.hash, thumb: image.thumb }).from(image).where(inArray(image.hash, hashes));
  return Object.fromEntries(rows.flatMap((r) => (r.thumb ? [[r.hash, Buffer.from(r.thumb).toString('base64')]] : [])));
}

/** Serves the hand-back sheet as PDF, or the owner's page of it on one side of paper. The owner's name is taken in when it is printed, for a lead. */
export function serveSheetPdf(app: FastifyInstance, db: Database): void {
  const params = z.object({ jobId: z.uuid() });
  const querystring = z.object({ page: z.literal('owner').optional() });
  app.get(SHEET_PDF.path, { schema: { hide: true, params, querystring } }, async (request, reply) => {
    const person = await requireRole(db, request, SHEET_PDF.role);
    const { jobId } = params.parse(request.params);
    const all = await printed(db, jobId, person.role);
    const owners = querystring.parse(request.query).page === 'owner';
    const { sheet, shopName, zone, locale } = all;
    // A sheet of an earlier form has none, and nothing is said of it that nobody looked at.
    if (owners && sheet.owner === undefined) throw notFound('owner’s page');
    const releasedAt = all.file.release?.releasedAt ?? null;
    const bytes = Buffer.from(
      owners
        ? await apart('ownerPage', { sheet, shopName, zone, locale, releasedAt, images: await imagesOf(db, sheet) })
        : await apart('pdf', all),
    );
    const name = `${sheet.vehicleTag.replace(/\W+/g, '-')}-${owners ? 'owner' : 'hand-back'}.pdf`;
    return reply.type('application/pdf').header('content-disposition', `inline; filename="${name}"`).send(bytes);
  });
}
