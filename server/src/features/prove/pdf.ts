import { mayCall, SHEET_PDF } from '@dauer/contract';
import { deriveJob } from '@dauer/core/job';
import { isHydraulic } from '@dauer/core/layout';
import { buildSheet } from '@dauer/core/views';
import { eq } from 'drizzle-orm';
import { USUAL_LOCALE } from '@dauer/core/quantity';
import type { Role } from '@dauer/core/verdict';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Database } from '../../db/connect.ts';
import { owner, shop, vehicle } from '../../db/schema.ts';
import { HttpProblem } from '../../platform/problem.ts';
import { whoAsks } from '../../platform/session.ts';
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

/** Serves the hand-back sheet as PDF. The owner's name is taken in when it is printed, for a lead. */
export function serveSheetPdf(app: FastifyInstance, db: Database): void {
  const params = z.object({ jobId: z.uuid() });
  app.get(SHEET_PDF.path, { schema: { hide: true, params } }, async (request, reply) => {
    const person = await whoAsks(db, request);
    if (!person) throw new HttpProblem('signed_out', 'You are not signed in, or your session has ended. Sign in again.');
    if (!mayCall(SHEET_PDF.role, person.role)) throw new HttpProblem('role', `This takes the role of ${SHEET_PDF.role}.`);
    const { jobId } = params.parse(request.params);
    const all = await printed(db, jobId, person.role);
    const bytes = Buffer.from(await apart('pdf', all));
    const name = `${all.sheet.vehicleTag.replace(/\W+/g, '-')}-hand-back.pdf`;
    return reply.type('application/pdf').header('content-disposition', `inline; filename="${name}"`).send(bytes);
  });
}
