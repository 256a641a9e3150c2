import { PAGE_SIZE } from '@dauer/contract';
import { characteristic, checkLimitOf, GENERIC_TORQUES } from '@dauer/core/catalogue';
import type { LimitVersion } from '@dauer/core/verdict';
import { limitKey } from '@dauer/core/views';
import { and, eq, inArray, ne, sql } from 'drizzle-orm';
import { account, limit, limitCheck, part, torqueCheck, vehicle } from '../../db/schema.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { changesBetween, openVerdicts } from './verdictChanges.ts';
import { readLimit, readLimits, readLimitVersions } from '../../records/limits.ts';
import { readTorqueChecks } from '../../records/rack.ts';
import { readPeople } from '../../records/people.ts';
import { shopDay } from '../../records/ahead.ts';

export const limitsHandlers: Pick<
  Handlers,
  'limits' | 'limitVersions' | 'enterLimit' | 'importLimits' | 'checkLimit' | 'torques' | 'checkTorque'
> = {
  limits: async ({ db, query }) => {
    const all = [...(await readLimits(db, query.vehicleId))].sort((a, b) => (a.id < b.id ? -1 : 1));
    const { after } = query;
    const book = (after === undefined ? all : all.filter((l) => l.id > after)).slice(0, PAGE_SIZE);
    const of = (scope: LimitVersion['scope']): string[] => book.flatMap((l) => (l.scope === scope && l.appliesTo ? [l.appliesTo] : []));
    const isId = (id: string): boolean => /^[0-9a-f-]{36}$/i.test(id);
    const [cars, parts] = [of('vehicle').filter(isId), of('part').filter(isId)];
    const named = [
      ...(cars.length > 0 ? await db.select({ id: vehicle.id, name: vehicle.tag }).from(vehicle).where(inArray(vehicle.id, cars)) : []),
      ...(parts.length > 0
        ? await db
            .select({ id: part.id, name: sql<string>`coalesce(part.tag, part.name)` })
            .from(part)
            .where(inArray(part.id, parts))
        : []),
    ];
    const names = new Map(named.map((n) => [n.id, n.name]));
    return book.map((l) => ({ ...l, appliesName: l.appliesTo ? (names.get(l.appliesTo) ?? null) : null }));
  },
  limitVersions: async ({ db, params }) => {
    const people = new Map((await readPeople(db)).map((p) => [p.id, p.name]));
    return (await readLimitVersions(db))
      .filter((l) => l.seriesId === params.seriesId)
      .map((l) => ({
        ...l,
        enteredByName: people.get(l.enteredBy) ?? '',
        checkedByName: l.checkedBy ? (people.get(l.checkedBy) ?? '') : null,
      }))
      .sort((a, b) => (a.enteredAt < b.enteredAt ? 1 : -1));
  },
  enterLimit: async ({ db, body, person }) => {
    const { replaces, ...fields } = body;
    if (!characteristic(body.characteristic)) throw new HttpProblem('unknown_characteristic', 'This characteristic is not known.');
    checkLimitOf(body);
    const before = await openVerdicts(db, [body]);
    await db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(4712)`);
      const newest = (await readLimits(tx)).find((l) => l.seriesId === body.seriesId);
      if (replaces !== undefined && newest && newest.id !== replaces && newest.id !== body.id)
        throw new HttpProblem('stale', 'Somebody entered a newer version of this limit meanwhile. What you typed is kept; look at both.', {
          current: newest,
        });
      await tx
        .insert(limit)
        .values({ ...fields, enteredBy: person.id })
        .onConflictDoNothing();
    });
    const stored = keptAs(await readLimit(db, body.id), fields, 'limit');
    return { ...stored, changed: changesBetween(before, await openVerdicts(db, [body])) };
  },
  /** Judged again against the book as it stands now: what conflicts by then is refused, and nothing of the list is written. */
  importLimits: async ({ db, body, person }) => {
    const before = await openVerdicts(db, body.limits);
    const written = await db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(4712)`);
      const book = new Map((await readLimits(tx)).map((l) => [limitKey(l), l]));
      const seen = new Set<string>();
      body.limits.forEach((l, i) => {
        const key = limitKey(l);
        if (!characteristic(l.characteristic))
          throw new HttpProblem('unknown_characteristic', `Row ${i + 1}: this characteristic is not known.`);
        checkLimitOf(l);
        if ((book.has(key) && book.get(key)?.id !== l.id) || seen.has(key))
          throw new HttpProblem(
            'conflicts',
            `Row ${i + 1}: a limit for the same stands in the book by now. Nothing was taken in; look at the list again.`,
          );
        seen.add(key);
      });
      const rows = await tx
        .insert(limit)
        .values(body.limits.map((l) => ({ ...l, enteredBy: person.id })))
        .onConflictDoNothing()
        .returning({ id: limit.id });
      for (const l of body.limits) keptAs(await readLimit(tx, l.id), l, 'limit');
      return rows.length;
    });
    return { written, changed: changesBetween(before, await openVerdicts(db, body.limits)) };
  },
  checkLimit: async ({ db, params, person }) => {
    const found = await readLimit(db, params.id);
    if (!found) throw notFound('limit');
    if (found.enteredBy === person.id) {
      const others = await db
        .select({ id: account.id })
        .from(account)
        .where(and(ne(account.id, person.id), ne(account.role, 'reader'), eq(account.active, true)))
        .limit(1);
      if (others.length > 0) throw new HttpProblem('own_limit', 'A limit is checked by a second person, not by the one who entered it.');
      // Alone in the shop, and on a later day: it shows as checked alone.
      if ((await shopDay(db, found.enteredAt)) >= (await shopDay(db, new Date().toISOString())))
        throw new HttpProblem('same_day', 'Alone in the shop, a limit is checked on a later day than it was entered.');
    }
    await db.insert(limitCheck).values({ limitId: found.id, checkedBy: person.id }).onConflictDoNothing();
    return (await readLimit(db, params.id)) ?? found;
  },
  torques: async ({ db }) => {
    const people = new Map((await readPeople(db)).map((p) => [p.id, p.name]));
    const checks = await readTorqueChecks(db);
    return GENERIC_TORQUES.map(({ id, of, from, to }) => {
      const agreed = checks.filter((c) => c.torque === id).map((c) => ({ ...c, checkedByName: people.get(c.checkedBy) ?? '' }));
      return { id, of, from, to, agreed };
    });
  },
  checkTorque: async ({ db, params, person }) => {
    if (!GENERIC_TORQUES.some((t) => t.id === params.torque)) throw notFound('torque');
    await db.insert(torqueCheck).values({ torque: params.torque, checkedBy: person.id }).onConflictDoNothing();
    const mine = and(eq(torqueCheck.torque, params.torque), eq(torqueCheck.checkedBy, person.id));
    const [found] = await db.select().from(torqueCheck).where(mine);
    if (!found) throw notFound('torque');
    return found;
  },
};
