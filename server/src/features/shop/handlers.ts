import { asc, eq, ilike, or, sql } from 'drizzle-orm';
import { account, job, owner, part, shop, vehicle } from '../../db/schema.ts';
import { hashPassword } from '../../platform/password.ts';
import { Fault, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { beginSession, endAllSessions, endSession } from '../../platform/session.ts';
import { addAccount, checkSignIn } from './accounts.ts';
import { importBundle } from './import.ts';
import { meOf, personOf } from './me.ts';
import { tabletHandlers } from './tablets.ts';

type Names =
  | 'signOutEverywhere'
  | 'registerTablet'
  | 'tablets'
  | 'endTablet'
  | 'setPin'
  | 'onTablet'
  | 'lan'
  | 'switchTo'
  | 'welcome'
  | 'firstLead'
  | 'signIn'
  | 'signOut'
  | 'me'
  | 'people'
  | 'addPerson'
  | 'changePerson'
  | 'importBundle'
  | 'search';

export const shopHandlers: Pick<Handlers, Names> = {
  ...tabletHandlers,
  signOutEverywhere: async ({ db, person, request }) => {
    await endAllSessions(db, person.id);
    request.session.set('sessionId', undefined);
    return { done: true };
  },
  welcome: async ({ db }) => {
    const [own] = await db.select().from(shop);
    const accounts = own ? await db.select().from(account).orderBy(asc(account.createdAt)) : [];
    return {
      shopName: own?.name ?? '',
      needsFirstLead: accounts.length === 0,
      demoAccounts: own?.demo
        ? accounts.filter((a) => a.active).map((a) => ({ name: a.name, login: a.login, password: DEMO_PASSWORD, role: a.role }))
        : [],
    };
  },
  firstLead: async ({ db, body, request }) => {
    const made = await db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(4711)`);
      const [any] = await tx.select({ id: account.id }).from(account).limit(1);
      if (any) throw new Fault(409, 'already_set_up', 'This shop already has its first lead. Sign in.');
      const demo = process.env['DAUER_DEMO'] === '1';
      await tx
        .insert(shop)
        .values({ id: 1, name: body.shopName, timeZone: body.timeZone, demo })
        .onConflictDoUpdate({ target: shop.id, set: { name: body.shopName, timeZone: body.timeZone } });
      return addAccount(tx, { ...body, role: 'lead' });
    });
    await beginSession(db, request, made.id);
    return meOf(db, made);
  },
  signIn: async ({ db, body, request }) => {
    const row = await checkSignIn(db, body.login, body.password, request.ip);
    await beginSession(db, request, row.id);
    return meOf(db, row);
  },
  signOut: async ({ db, request }) => {
    await endSession(db, request);
    return { done: true };
  },
  me: async ({ db, person }) => {
    const [row] = await db.select().from(account).where(eq(account.id, person.id));
    if (!row) throw notFound('account');
    return meOf(db, row);
  },
  people: async ({ db, person }) => {
    const rows = await db.select().from(account).orderBy(asc(account.createdAt));
    return rows.map((r) => ({ ...personOf(r), login: person.role === 'lead' ? r.login : null, version: r.version }));
  },
  addPerson: async ({ db, body }) => personOf(await addAccount(db, body)),
  changePerson: async ({ db, params, body, person }) => {
    const { version, password, ...change } = body;
    if (params.id === person.id && (change.active === false || (change.role && change.role !== 'lead'))) {
      throw new Fault(409, 'own_account', 'You cannot take the role of lead from yourself. Another lead has to do it.');
    }
    const set = { ...change, ...(password ? { passwordHash: await hashPassword(password) } : {}), version: version + 1 };
    const [row] = await db
      .update(account)
      .set(set)
      .where(sql`${account.id} = ${params.id} and ${account.version} = ${version}`)
      .returning();
    if (!row) {
      const [current] = await db.select().from(account).where(eq(account.id, params.id));
      if (!current) throw notFound('account');
      throw new Fault(409, 'stale', `${current.name} was changed meanwhile. Nothing was overwritten; look at both and decide.`, {
        current: personOf(current),
      });
    }
    await endAllSessions(db, row.id);
    return personOf(row);
  },
  importBundle: async ({ db, body }) => importBundle(db, body),
  /** Tags, names, numbers, complaints; the owner’s name for a lead alone. */
  search: async ({ db, query, person }) => {
    const q = `%${query.q.trim().replace(/[%_\\]/g, '\\$&')}%`;
    if (query.q.trim() === '') return [];
    const [vehicles, parts] = await Promise.all([
      db
        .select({
          vehicle,
          // Named by hand: in the fields of a select from one table drizzle leaves the table's name out.
          complaint: sql<string | null>`(select j.complaint from job j where j.vehicle_id = vehicle.id and j.complaint ilike ${q}
            order by j.opened_at desc limit 1)`,
          jobId: sql<string | null>`(select j.id from job j where j.vehicle_id = vehicle.id order by j.opened_at desc limit 1)`,
        })
        .from(vehicle)
        .where(
          or(
            ilike(vehicle.tag, q),
            ilike(vehicle.name, q),
            sql`exists (select 1 from ${job} j where j.vehicle_id = ${vehicle.id} and j.complaint ilike ${q})`,
            person.role === 'lead'
              ? sql`exists (select 1 from ${owner} o where o.id = ${vehicle.ownerId} and o.name ilike ${q})`
              : undefined,
          ),
        )
        .orderBy(asc(vehicle.tag))
        .limit(12),
      db
        .select()
        .from(part)
        .where(or(ilike(part.tag, q), ilike(part.partNumber, q)))
        .orderBy(asc(part.tag))
        .limit(12),
    ]);
    return [
      ...vehicles.map((v) => ({
        kind: 'vehicle' as const,
        tag: v.vehicle.tag,
        title: v.vehicle.name,
        note: v.complaint || v.vehicle.body,
        to: v.jobId ? `/jobs/${v.jobId}` : '/',
      })),
      ...parts.map((p) => ({ kind: 'part' as const, tag: p.tag, title: p.name, note: p.partNumber ?? '', to: `/parts/${p.id}` })),
    ];
  },
};

/** The demonstration shop's password, shown on its sign-in page. No other shop has it. */
const DEMO_PASSWORD = 'brakes-hold-lives';
