import { EVENT_LISTS, familyOf, type HandbackSheet, type JobRecords, type Supplier } from '@dauer/core/ledger';
import { asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { articleVersion, houseRuleVersion, job, offer, part, partEvents, ratesVersion, supplier } from '../db/schema.ts';

/**
 * The newest version of each article that may be for a vehicle: for everything of its kind, its type, itself, or in place of a
 * part number that sits or sat in it. A price book of thousands is not read with every job.
 */
export async function readArticles(
  db: Database,
  of: { readonly id: string; readonly make: string },
): Promise<JobRecords['articles'][number][]> {
  const a = articleVersion;
  const numbers = sql`select p.part_number from ${part} p where p.id in (
    select e.part_id from ${partEvents} e join ${job} j on j.id = e.job_id where j.vehicle_id = ${of.id})`;
  const fits = sql`(${a.fits} = 'shop' or (${a.fits} = 'vehicle' and ${a.appliesTo} = ${of.id}) or (${a.fits} = 'type' and ${a.make} = ${of.make})
    or (${a.fits} = 'part_number' and ${a.appliesTo} in (${numbers})))`;
  const newest = db
    .selectDistinctOn([a.seriesId])
    .from(a)
    .where(inArray(a.seriesId, db.select({ id: a.seriesId }).from(a).where(fits)))
    .orderBy(a.seriesId, desc(a.enteredAt), desc(a.id));
  return (await newest).filter((x) => !x.retired).sort((x, y) => (x.id < y.id ? -1 : 1));
}

/** The whole price book, the newest version of each article, by id. */
export async function readPriceBook(db: Database): Promise<JobRecords['articles'][number][]> {
  const a = articleVersion;
  const rows = await db.selectDistinctOn([a.seriesId]).from(a).orderBy(a.seriesId, desc(a.enteredAt), desc(a.id));
  return rows.sort((x, y) => (x.id < y.id ? -1 : 1));
}

/**
 * What somebody who is shown no prices is sent of a job: every sum of money left out, by what each family of events says of
 * its own fields. Source: handbook 40; the role of reader.
 */
export function withoutPrices<T extends Partial<JobRecords>>(file: T): T {
  const blank = (list: readonly object[], fields: readonly string[]): object[] =>
    list.map((e) => ({ ...e, ...Object.fromEntries(fields.map((f) => [f, f === 'sum' ? 0 : null])) }));
  const events = EVENT_LISTS.flatMap((k) => {
    const { price } = familyOf(k);
    const list = file[k];
    return price.length > 0 && list ? [[k, blank(list, price)] as const] : [];
  });
  return {
    ...file,
    ...Object.fromEntries(events),
    ...(file.job && { job: { ...file.job, authorisedMinor: null } }),
    ...(file.release && { release: { ...file.release, sheet: withoutAccount(file.release.sheet) } }),
    ...(file.articles && { articles: [] }),
    ...(file.rates && { rates: [] }),
    ...(file.offers && { offers: [] }),
  };
}

/** A hand-back sheet for somebody who is shown no prices. */
export function withoutAccount({ account: _account, made, ...sheet }: HandbackSheet): HandbackSheet {
  return { ...sheet, ...(made && { made: made.filter((r) => !r.path.startsWith('account.')) }) };
}

export async function readRates(db: Database): Promise<JobRecords['rates'][number][]> {
  return db.select().from(ratesVersion).orderBy(asc(ratesVersion.enteredAt), asc(ratesVersion.id));
}

export async function readHouseRules(db: Database): Promise<JobRecords['houseRules'][number][]> {
  return db.select().from(houseRuleVersion).orderBy(asc(houseRuleVersion.enteredAt), asc(houseRuleVersion.id));
}

/** Sheets made for the owner on a job, the oldest first. */
export async function readOffers(db: Database, jobId: string): Promise<JobRecords['offers'][number][]> {
  return db.select().from(offer).where(eq(offer.jobId, jobId)).orderBy(asc(offer.madeAt), asc(offer.id));
}

export async function readSuppliers(db: Database): Promise<Supplier[]> {
  return db.select().from(supplier).orderBy(asc(supplier.name), asc(supplier.id));
}
