import { LINE_PDF, PARKING_PDF } from '@dauer/contract';
import { openHistory, shapeOf } from '@dauer/core/history';
import { deriveJob } from '@dauer/core/job';
import { placeName, slotById, withRuns } from '@dauer/core/layout';
import type { JobRecords } from '@dauer/core/ledger';
import { cutOfShape } from '@dauer/core/metrology';
import { USUAL_LOCALE } from '@dauer/core/quantity';
import { parkedNow } from '@dauer/core/readiness';
import { parkingCard } from '@dauer/core/views';
import { byline, LINE, PARKED, STANDING_NAME } from '@dauer/core/wording';
import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import type { Database } from '../../db/connect.ts';
import { shop } from '../../db/schema.ts';
import { notFound } from '../../platform/problem.ts';
import { requireRole } from '../../platform/session.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { apart } from '../../beside/apart.ts';
import { dayWriter } from '../../beside/paper.ts';

/** The shop as it writes its name, days and figures. */
async function shopOf(db: Database): Promise<{ readonly name: string; readonly zone: string; readonly locale: string }> {
  const [own] = await db.select().from(shop);
  return { name: own?.name ?? 'Workshop', zone: own?.timeZone ?? 'UTC', locale: own?.locale ?? USUAL_LOCALE };
}

/** The line of a layout by its id, with its name and its shape as it was measured last. */
function lineOf(records: JobRecords, connectionId: string) {
  const slot = slotById(withRuns(records.layout), connectionId);
  const shape = slot && shapeOf(openHistory(records), slot.id);
  if (!slot || !shape) throw notFound('shape of this line');
  return { name: placeName(slot), shape };
}

/** Serves the card for a windscreen, and the strip of a line, as PDF. */
export function serveRebuildPdf(app: FastifyInstance, db: Database): void {
  const ofJob = z.object({ jobId: z.uuid() });
  app.get(PARKING_PDF.path, { schema: { hide: true, params: ofJob } }, async (request, reply) => {
    await requireRole(db, request, PARKING_PDF.role);
    const records = await readJobFile(db, ofJob.parse(request.params).jobId);
    const now = new Date().toISOString();
    const state = deriveJob(records, now);
    const parking = parkedNow(state.history);
    const { name, zone, locale } = await shopOf(db);
    const day = dayWriter(locale, zone);
    const bytes = await apart('parking', {
      ...{ shopName: name, locale, tag: records.vehicle.tag, vehicle: records.vehicle.name },
      parkedBy: parking && PARKED.by(byline(records, parking), day(parking.happenedAt)),
      stands: parking ? STANDING_NAME[parking.standsOn] : '',
      heldBy: parking?.heldBy ?? '',
      knows: parking?.knows ?? '',
      until: parking?.until ? PARKED.until(day(parking.until)) : '',
      card: parkingCard(state),
      printedAt: PARKED.printed(day(now)),
    });
    const file = `${records.vehicle.tag.replace(/\W+/g, '-')}-parked.pdf`;
    return reply.type('application/pdf').header('content-disposition', `inline; filename="${file}"`).send(Buffer.from(bytes));
  });
  const ofLine = z.object({ jobId: z.uuid(), connectionId: z.uuid() });
  app.get(LINE_PDF.path, { schema: { hide: true, params: ofLine } }, async (request, reply) => {
    await requireRole(db, request, LINE_PDF.role);
    const { jobId, connectionId } = ofLine.parse(request.params);
    const records = await readJobFile(db, jobId);
    const { name: line, shape } = lineOf(records, connectionId);
    const { cutMm, bends } = cutOfShape(shape);
    const { locale } = await shopOf(db);
    const bytes = await apart('strip', {
      ...{ locale, tag: records.vehicle.tag, line, cutMm, bends },
      first: LINE.end(shape.first),
      last: LINE.end(shape.last),
      tube: LINE.tube(shape),
    });
    const file = `${records.vehicle.tag.replace(/\W+/g, '-')}-line.pdf`;
    return reply.type('application/pdf').header('content-disposition', `inline; filename="${file}"`).send(Buffer.from(bytes));
  });
}
