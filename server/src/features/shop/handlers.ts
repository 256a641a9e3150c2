import { and, asc, desc, eq, ilike, inArray, isNotNull, or, sql } from 'drizzle-orm';
import { PIN_NAME } from '@dauer/core/wording';
import { account, job, noteTells, owner, part, shop, shopNotes, takeBacks, vehicle } from '../../db/schema.ts';
import { hashPassword } from '../../platform/password.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { beginSession, deviceOf, endAllSessions, endSession } from '../../platform/session.ts';
import { forgetLocale } from '../../records/locale.ts';
import { FROM_BEFORE_ID } from '../../records/people.ts';
import { addAccount, checkSignIn } from './accounts.ts';
import { importHistory } from './import/history.ts';
import { meOf, personOf } from './me.ts';
import { backupHandlers } from './backups.ts';
import { noticeHandlers } from './notices.ts';
import { reckoningHandlers, requireNoSums } from './reckoning.ts';
import { shopCardHandlers } from './shopCards.ts';
import { tabletHandlers } from './tablets.ts';

type Names =
  | 'backups'
  | 'nameBackupFolder'
  | 'sealBackups'
  | 'askForBackup'
  | 'notices'
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
  | 'setCurrency'
  | 'reckoning'
  | 'enterRates'
  | 'enterHouseRule'
  | 'shopCards'
  | 'enterShopCard'
  | 'people'
  | 'addPerson'
  | 'changePerson'
  | 'importHistory'
  | 'setLocale'
  | 'search';

export const shopHandlers: Pick<Handlers, Names> = {
  ...tabletHandlers,
  ...backupHandlers,
  ...noticeHandlers,
  ...reckoningHandlers,
  ...shopCardHandlers,
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
      if (any) throw new HttpProblem('already_set_up', 'This shop already has its first lead. Sign in.');
      const demo = process.env['DAUER_DEMO'] === '1';
      await tx
        .insert(shop)
        .values({ id: 1, name: body.shopName, timeZone: body.timeZone, demo })
        .onConflictDoUpdate({ target: shop.id, set: { name: body.shopName, timeZone: body.timeZone } });
      return addAccount(tx, { ...body, role: 'lead' });
    });
    await beginSession(db, request, made.id);
    return meOf(db, made, request);
  },
  signIn: async ({ db, body, request }) => {
    const row = await checkSignIn(db, body.login, body.password, request.ip, deviceOf(request));
    await beginSession(db, request, row.id);
    return meOf(db, row, request);
  },
  signOut: async ({ db, request }) => {
    await endSession(db, request);
    return { done: true };
  },
  me: async ({ db, person, request }) => {
    const [row] = await db.select().from(account).where(eq(account.id, person.id));
    if (!row) throw notFound('account');
    return meOf(db, row, request);
  },
  setLocale: async ({ db, person, body, request }) => {
    await db.update(shop).set({ locale: body.locale });
    forgetLocale(db);
    const [row] = await db.select().from(account).where(eq(account.id, person.id));
    if (!row) throw notFound('account');
    return meOf(db, row, request);
  },
  setCurrency: async ({ db, person, body, request }) => {
    await requireNoSums(db, body.currency);
    await db.update(shop).set({ currency: body.currency });
    const [row] = await db.select().from(account).where(eq(account.id, person.id));
    if (!row) throw notFound('account');
    return meOf(db, row, request);
  },
  people: async ({ db, person }) => {
    const rows = await db.select().from(account).orderBy(asc(account.createdAt));
    return rows
      .filter((r) => r.id !== FROM_BEFORE_ID)
      .map((r) => ({ ...personOf(r), login: person.role === 'lead' ? r.login : null, version: r.version }));
  },
  addPerson: async ({ db, body }) => personOf(await addAccount(db, body)),
  changePerson: async ({ db, params, body, person }) => {
    const { version, password, ...change } = body;
    if (params.id === FROM_BEFORE_ID) throw notFound('account');
    if (params.id === person.id && (change.active === false || (change.role && change.role !== 'lead'))) {
      throw new HttpProblem('own_account', 'You cannot take the role of lead from yourself. Another lead has to do it.');
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
      throw new HttpProblem('stale', `${current.name} was changed meanwhile. Nothing was overwritten; look at both and decide.`, {
        current: personOf(current),
      });
    }
    await endAllSessions(db, row.id);
    return personOf(row);
  },
  importHistory,
  /** Tags, names, numbers, complaints; the owner’s name for a lead alone. */
  search: async ({ db, query, person }) => {
    const q = `%${query.q.trim().replace(/[%_\\]/g, '\\$&')}%`;
    if (query.q.trim() === '') return [];
    // Each of them by its own index; what is found is put together afterwards.
    const byVehicle = db
      .select({ id: vehicle.id })
      .from(vehicle)
      .where(or(ilike(vehicle.tag, q), ilike(vehicle.name, q)))
      .orderBy(asc(vehicle.tag))
      .limit(MAX_FOUND);
    const byComplaint = db
      .select({ id: job.vehicleId })
      .from(job)
      .where(ilike(job.complaint, q))
      .orderBy(desc(job.openedAt))
      .limit(MAX_FOUND);
    const byOwner = db
      .select({ id: vehicle.id })
      .from(vehicle)
      .innerJoin(owner, eq(owner.id, vehicle.ownerId))
      .where(and(ilike(owner.name, q), person.role === 'lead' ? undefined : sql`false`))
      .limit(MAX_FOUND);
    const found = byVehicle.union(byComplaint).union(byOwner).as('found');
    const vehicles = await db
      .select({ vehicle })
      .from(vehicle)
      .innerJoin(found, eq(found.id, vehicle.id))
      .orderBy(asc(vehicle.tag))
      .limit(MAX_FOUND);
    const ids = vehicles.map((v) => v.vehicle.id);
    const jobs =
      ids.length > 0
        ? await db
            .select({ id: job.id, vehicleId: job.vehicleId, complaint: job.complaint, hit: sql<boolean>`${job.complaint} ilike ${q}` })
            .from(job)
            .where(inArray(job.vehicleId, ids))
            .orderBy(desc(job.openedAt))
        : [];
    const parts = await db
      .select()
      .from(part)
      .where(and(isNotNull(part.tag), or(ilike(part.tag, q), ilike(part.partNumber, q), ilike(part.name, q))))
      .orderBy(asc(part.tag))
      .limit(MAX_FOUND);
    const notes = await db
      .select({ words: shopNotes.words, jobId: shopNotes.jobId, slotId: shopNotes.slotId, pin: shopNotes.pin, tag: vehicle.tag })
      .from(shopNotes)
      .innerJoin(vehicle, eq(vehicle.id, shopNotes.vehicleId))
      .where(
        and(
          ilike(shopNotes.words, q),
          sql`not exists (select 1 from ${takeBacks} where ${takeBacks.corrects} = ${shopNotes.id})`,
          sql`not exists (select 1 from ${noteTells} where ${noteTells.noteId} = ${shopNotes.id} and ${noteTells.kind} = 'wrong'
            and not exists (select 1 from ${takeBacks} where ${takeBacks.corrects} = ${noteTells.id}))`,
        ),
      )
      .orderBy(desc(shopNotes.happenedAt))
      .limit(MAX_FOUND);
    return [
      ...vehicles.map(({ vehicle: v }) => {
        const mine = jobs.filter((x) => x.vehicleId === v.id);
        return {
          kind: 'vehicle' as const,
          tag: v.tag,
          title: v.name,
          note: mine.find((x) => x.hit)?.complaint || v.body,
          to: mine[0] ? `/jobs/${mine[0].id}` : '/',
        };
      }),
      ...parts.map((p) => ({ kind: 'part' as const, tag: p.tag, title: p.name, note: p.partNumber ?? '', to: `/parts/${p.id}` })),
      ...notes.map((n) => ({
        ...{ kind: 'note' as const, tag: n.tag, title: n.words, note: PIN_NAME[n.pin] },
        to: `/jobs/${n.jobId}/rebuild${n.slotId === null ? '' : `?pick=${n.slotId}`}`,
      })),
    ];
  },
};

/** Most vehicles, most parts, and most notes, that a search lists. */
const MAX_FOUND = 12;

/** The demonstration shop's password, shown on its sign-in page. No other shop has it. */
const DEMO_PASSWORD = 'brakes-hold-lives';
