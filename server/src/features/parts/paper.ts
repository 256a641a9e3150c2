import { ORDER_PDF, PACKING_PDF } from '@dauer/contract';
import { openHistory } from '@dauer/core/history';
import { placeName, slotById } from '@dauer/core/layout';
import { LINED } from '@dauer/core/catalogue';
import { majorOf, moneyText, USUAL_LOCALE, dayIn } from '@dauer/core/quantity';
import { outStates } from '@dauer/core/supply';
import { orderPaper } from '@dauer/core/views';
import { SEND_OUT, SENT_FOR_NAME } from '@dauer/core/wording';
import { and, eq } from 'drizzle-orm';
import type { FastifyInstance, FastifyReply } from 'fastify';
import { z } from 'zod';
import { apart } from '../../beside/apart.ts';
import type { Database } from '../../db/connect.ts';
import { orderLines, sendOuts, shop, supplier } from '../../db/schema.ts';
import { notFound } from '../../platform/problem.ts';
import { requireRole } from '../../platform/session.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { writeAsTheShop } from '../../records/locale.ts';

/** Most jobs that one list is written over. */
const MOST_JOBS = 60;

function sendPdf(reply: FastifyReply, bytes: Uint8Array, name: string): FastifyReply {
  return reply
    .type('application/pdf')
    .header('content-disposition', `inline; filename="${name.replace(/[^\w.-]+/g, '-')}"`)
    .send(Buffer.from(bytes));
}

async function shopNow(db: Database) {
  const [own] = await db.select().from(shop);
  const locale = own?.locale ?? USUAL_LOCALE;
  const day = dayIn(new Date().toISOString(), own?.timeZone ?? 'UTC');
  const written = new Intl.DateTimeFormat(locale, { numberingSystem: 'latn', calendar: 'gregory', dateStyle: 'long', timeZone: 'UTC' });
  return { shopName: own?.name ?? 'Workshop', currency: own?.currency ?? null, day: written.format(new Date(day)) };
}

/** Serves what is on order from a supplier, and what goes in a box to one, as PDF: a list, and a packing sheet with tags. */
export function servePaper(app: FastifyInstance, db: Database): void {
  const ofOrder = z.object({ supplier: z.uuid(), job: z.uuid().optional() });
  const ofBox = z.object({ supplier: z.uuid(), batch: z.string().max(80).default('') });

  app.get(ORDER_PDF.path, { schema: { hide: true, querystring: ofOrder } }, async (request, reply) => {
    await requireRole(db, request, ORDER_PDF.role);
    const query = ofOrder.parse(request.query);
    await writeAsTheShop(db);
    const [to] = await db.select().from(supplier).where(eq(supplier.id, query.supplier));
    if (!to) throw notFound('supplier');
    const rows = await db
      .selectDistinct({ jobId: orderLines.jobId })
      .from(orderLines)
      .where(and(eq(orderLines.supplierId, to.id), query.job === undefined ? undefined : eq(orderLines.jobId, query.job)));
    const lines = [];
    for (const { jobId } of rows.slice(-MOST_JOBS)) lines.push(...orderPaper(openHistory(await readJobFile(db, jobId)), to.id));
    const { shopName, currency, day } = await shopNow(db);
    const sum = (minor: number | null): string => (minor === null ? '' : moneyText(majorOf(minor, currency), currency));
    const bytes = await apart('order', {
      ...{ shopName, supplier: to.name, contact: to.contact, day },
      lines: lines.map(({ price, core, ...l }) => ({ ...l, each: sum(price), core: core === null || core === 0 ? '' : sum(core) })),
      total: sum(lines.reduce((all, l) => all + l.count * (l.price ?? 0), 0)),
    });
    return sendPdf(reply, bytes, `order-${to.name}.pdf`);
  });

  app.get(PACKING_PDF.path, { schema: { hide: true, querystring: ofBox } }, async (request, reply) => {
    await requireRole(db, request, PACKING_PDF.role);
    const query = ofBox.parse(request.query);
    await writeAsTheShop(db);
    const mine = await db
      .select({ jobId: sendOuts.jobId })
      .from(sendOuts)
      .where(and(eq(sendOuts.supplierId, query.supplier), eq(sendOuts.batch, query.batch)));
    if (mine.length === 0) throw notFound('box');
    const jobs = [...new Set(mine.map((r) => r.jobId))].slice(-MOST_JOBS);
    const parts = [];
    let to = '';
    let lined = false;
    for (const jobId of jobs) {
      const history = openHistory(await readJobFile(db, jobId));
      const { records } = history;
      for (const o of outStates(history)) {
        if (o.dropped || o.back !== null || o.out.supplierId !== query.supplier || o.out.batch !== query.batch) continue;
        const slot = slotById(records.layout, o.out.slotId);
        const known = records.parts.find((p) => p.id === o.out.partId);
        to = o.out.supplier;
        lined ||= slot !== undefined && LINED.includes(slot.kind);
        parts.push({
          tag: known?.tag ?? '',
          name: slot ? placeName(slot) : (known?.name ?? ''),
          vehicle: `${records.vehicle.tag} ${records.vehicle.name}`,
          process: SENT_FOR_NAME[o.out.process],
          ...{ size: o.out.size, finish: [o.out.colour, o.out.gloss].filter(Boolean).join(', '), masks: o.out.masks },
          ...{ count: o.out.count, note: o.out.note },
        });
      }
    }
    const { shopName, day } = await shopNow(db);
    const cautions = lined ? [SEND_OUT.asbestos] : [];
    const bytes = await apart('box', { shopName, supplier: to, batch: query.batch, day, parts, cautions });
    return sendPdf(reply, bytes, `box-${to}-${query.batch}.pdf`);
  });
}
