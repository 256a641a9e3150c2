import { PAGE_SIZE } from '@dauer/contract';
import type { ArticleVersion } from '@dauer/core/ledger';
import { toResult } from '@dauer/core/quantity';
import { type ArticleFields, checkArticle } from '@dauer/core/views';
import { and, eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { articleVersion, supplier } from '../../db/schema.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { openTraffic } from '../../records/traffic.ts';
import { readPriceBook, readSuppliers } from '../../records/prices.ts';

/** Throws a HttpProblem where an article says one thing in one field and another in the next. */
function requireWhole(a: ArticleFields, row = ''): void {
  const read = toResult(() => checkArticle(a));
  if (!read.ok) throw new HttpProblem('article_incomplete', `${row}${read.refusal.message}`);
}

/** One writer of the price book at a time, so that two versions made of the same one do not pass each other. */
const BOOK_LOCK = 4714;

/** Throws a HttpProblem where something is still on the way from a supplier, to go back there, or away with him. */
async function requireNothingOpen(db: Database, supplierId: string): Promise<void> {
  const open = (await openTraffic(db)).filter((r) => r.supplierId === supplierId);
  if (open.length > 0)
    throw new HttpProblem(
      'supplier_in_use',
      `${open.length === 1 ? 'Something is' : `${open.length} things are`} still open with this supplier: ${open
        .slice(0, 3)
        .map((r) => r.what)
        .join(', ')}. Close or cancel them first.`,
    );
}

async function stored(db: Database, id: string): Promise<ArticleVersion | undefined> {
  return (await db.select().from(articleVersion).where(eq(articleVersion.id, id)))[0];
}

export const priceHandlers: Pick<
  Handlers,
  'articles' | 'enterArticle' | 'importArticles' | 'suppliers' | 'enterSupplier' | 'changeSupplier'
> = {
  articles: async ({ db, query }) => {
    const all = await readPriceBook(db);
    const { after } = query;
    return (after === undefined ? all : all.filter((a) => a.id > after)).slice(0, PAGE_SIZE);
  },
  enterArticle: async ({ db, body, person }) => {
    const { replaces, ...fields } = body;
    requireWhole(fields);
    await db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(${BOOK_LOCK})`);
      const newest = (await readPriceBook(tx)).find((a) => a.seriesId === body.seriesId);
      if (newest && newest.id !== replaces && newest.id !== body.id)
        throw new HttpProblem('stale', 'Somebody entered a newer price of this article meanwhile. What you typed is kept; look at both.', {
          current: newest,
        });
      await tx
        .insert(articleVersion)
        .values({ ...fields, enteredBy: person.id })
        .onConflictDoNothing();
    });
    return keptAs(await stored(db, body.id), fields, 'article');
  },
  importArticles: async ({ db, body, person }) => {
    body.articles.forEach((a, i) => requireWhole(a, `Row ${i + 1}: `));
    const known = new Set((await readSuppliers(db)).map((s) => s.id));
    const stranger = body.articles.findIndex((a) => a.supplierId !== null && !known.has(a.supplierId));
    if (stranger >= 0) throw new HttpProblem('unknown_reference', `Row ${stranger + 1}: this supplier is not known.`);
    const written = await db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(${BOOK_LOCK})`);
      let rows = 0;
      // In parts: a statement has only so many places for values.
      for (let i = 0; i < body.articles.length; i += 1000) {
        const part = body.articles.slice(i, i + 1000).map((a) => ({ ...a, enteredBy: person.id }));
        rows += (await tx.insert(articleVersion).values(part).onConflictDoNothing().returning({ id: articleVersion.id })).length;
      }
      return rows;
    });
    return { written };
  },
  suppliers: ({ db }) => readSuppliers(db),
  enterSupplier: async ({ db, body }) => {
    await db.insert(supplier).values(body).onConflictDoNothing();
    const [row] = await db.select().from(supplier).where(eq(supplier.id, body.id));
    return keptAs(row, row?.version === 1 ? body : { id: body.id }, 'supplier');
  },
  changeSupplier: async ({ db, params, body }) => {
    const { version, ...change } = body;
    if (change.active === false) await requireNothingOpen(db, params.id);
    const [row] = await db
      .update(supplier)
      .set({ ...change, version: version + 1 })
      .where(and(eq(supplier.id, params.id), eq(supplier.version, version)))
      .returning();
    if (row) return row;
    const [current] = await db.select().from(supplier).where(eq(supplier.id, params.id));
    if (!current) throw notFound('supplier');
    throw new HttpProblem('stale', `${current.name} was changed meanwhile. Nothing was overwritten; look at both and decide.`, { current });
  },
};
