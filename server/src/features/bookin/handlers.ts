import { openHistory } from '@dauer/core/history';
import { KIND_FACTS } from '@dauer/core/layout';
import { whyNotTakenBack } from '@dauer/core/readiness';
import { isPartialDate } from '@dauer/core/quantity';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Database } from '../../db/connect.ts';
import { assignment, job, owner, part, partEvents, release, vehicle } from '../../db/schema.ts';
import { RELEASED_WORDS } from '../../platform/events.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Call, Handlers } from '../../platform/routes.ts';
import { assignmentHandlers } from './assignments.ts';
import { redact } from './redact.ts';
import { keepPicture } from './pictures.ts';
import { requireAhead } from '../../records/ahead.ts';
import { requireNotOnRecord } from '../../records/handedIn.ts';
import { ownerFor } from '../../records/owner.ts';
import { requireEvent } from '../../records/ownership.ts';
import { openJobOf, readJobFile } from '../../records/jobFile.ts';
import { insertLayout, readLayouts } from '../../records/layout.ts';
import { requireWorking, reviseLayout } from './reviseLayout.ts';
import type { ENDPOINTS } from '@dauer/contract';

/** Every article that the layout has room for exists from now on as a part, found in its place. */
async function findParts(db: Database, call: Call<typeof ENDPOINTS.bookIn>): Promise<void> {
  const at = new Date().toISOString();
  const found = call.body.layout.slots.filter((s) => KIND_FACTS[s.kind].article).map((slot) => ({ slot, partId: v7() }));
  if (found.length === 0) return;
  await db
    .insert(part)
    .values(found.map(({ slot, partId }) => ({ id: partId, tag: null, kind: slot.kind, name: slot.name, partNumber: null, note: '' })));
  await db.insert(partEvents).values(
    found.map(({ slot, partId }) => ({
      id: v7(),
      jobId: call.body.job.id,
      authorId: call.person.id,
      device: 'book in',
      happenedAt: at,
      corrects: null,
      partId,
      kind: 'found' as const,
      slotId: slot.id,
      note: '',
    })),
  );
}

type Names =
  | 'bookIn'
  | 'openJob'
  | 'changeJob'
  | 'changeVehicle'
  | 'reviseLayout'
  | 'layouts'
  | 'keepPicture'
  | 'recordEarlierWork'
  | 'owner'
  | 'assignments'
  | 'assign'
  | 'endAssignment'
  | 'nextTag'
  | 'takeBack'
  | 'handIn'
  | 'redact'
  | 'eraseOwner';

/** Throws a HttpProblem where what is said to come back from a job of the vehicle does not: none such was handed back. */
async function requireHandedBack(db: Database, vehicleId: string, former: string | null): Promise<void> {
  if (former === null) return;
  const [known] = await db
    .select({ id: release.id })
    .from(release)
    .innerJoin(job, eq(job.id, release.jobId))
    .where(and(eq(release.jobId, former), eq(job.vehicleId, vehicleId)));
  if (!known) throw new HttpProblem('unknown_reference', 'No such job of this vehicle was handed back: it cannot come back from it.');
}

/** Throws a HttpProblem where what was done later could not have been done without what is taken back; a repeat is answered. */
async function requireNothingRests(db: Database, jobId: string, body: { readonly id: string; readonly corrects: string }): Promise<void> {
  const records = await readJobFile(db, jobId);
  if (records.release || records.takeBacks.some((t) => t.id === body.id)) return;
  const why = whyNotTakenBack(openHistory(records), body.corrects);
  if (why !== null) throw new HttpProblem('not_possible', why);
}

export const bookinHandlers: Pick<Handlers, Names> = {
  bookIn: async (call) => {
    const { db, body, person } = call;
    requireWorking(body.layout);
    const [known] = await db.select().from(job).where(eq(job.id, body.job.id));
    if (known) {
      // What was changed since it was booked in is no other content.
      keptAs(known, { vehicleId: body.vehicleId, ...(known.version === 1 ? body.job : {}) }, 'job');
      return { vehicleId: known.vehicleId, jobId: known.id };
    }
    await requireAhead(db, body.job.promised, new Date().toISOString());
    await requireHandedBack(db, body.vehicleId, body.job.returnOf);
    await db.transaction(async (tx) => {
      const ownerId = body.owner ? v7() : null;
      if (body.owner && ownerId) await tx.insert(owner).values({ id: ownerId, ...body.owner });
      await tx.insert(vehicle).values({ id: body.vehicleId, ...body.vehicle, ownerId });
      await insertLayout(tx, { ...body.layout, vehicleId: body.vehicleId });
      await tx.insert(job).values({ ...body.job, vehicleId: body.vehicleId, openedBy: person.id });
      // Whoever wrote the contact down has it already.
      if (ownerId) await tx.insert(assignment).values({ id: v7(), jobId: body.job.id, accountId: person.id, assignedBy: person.id });
      await findParts(tx, call);
    });
    return { vehicleId: body.vehicleId, jobId: body.job.id };
  },
  openJob: async ({ db, body, params, person }) => {
    const [known] = await db.select({ id: vehicle.id }).from(vehicle).where(eq(vehicle.id, params.id));
    if (!known) throw notFound('vehicle');
    await db.transaction(async (tx) => {
      await tx.execute(sql`select 1 from ${vehicle} where ${vehicle.id} = ${params.id} for update`);
      const open = await openJobOf(tx, params.id);
      if (open && open !== body.id)
        throw new HttpProblem('already_open', 'This vehicle has an open job. A new complaint joins it.', { current: { jobId: open } });
      if (!open) await requireAhead(tx, body.promised, new Date().toISOString());
      await requireHandedBack(tx, params.id, body.returnOf);
      await tx
        .insert(job)
        .values({ ...body, vehicleId: params.id, openedBy: person.id })
        .onConflictDoNothing();
      const [stored] = await tx.select().from(job).where(eq(job.id, body.id));
      keptAs(stored, { vehicleId: params.id, ...(stored?.version === 1 ? body : {}) }, 'job');
    });
    return { vehicleId: params.id, jobId: body.id };
  },
  /** Waits for a release that is under way, and is refused after it. */
  changeJob: async ({ db, body, params }) =>
    db.transaction(async (tx) => {
      const { version, ...change } = body;
      const [current] = await tx.select().from(job).where(eq(job.id, params.jobId)).for('update');
      if (!current) throw notFound('job');
      const [released] = await tx.select({ id: release.id }).from(release).where(eq(release.jobId, params.jobId));
      if (released) throw new HttpProblem('released', RELEASED_WORDS);
      if (current.version !== version)
        throw new HttpProblem('stale', 'Somebody changed this job meanwhile. What you typed is kept; look at both versions and decide.', {
          current,
        });
      // A promise that has passed by now is changed with the rest of the job as it was made.
      if (change.returnOf !== current.returnOf) await requireHandedBack(tx, current.vehicleId, change.returnOf);
      if (change.promised !== current.promised) await requireAhead(tx, change.promised, new Date().toISOString());
      const [row] = await tx
        .update(job)
        .set({ ...change, version: version + 1 })
        .where(eq(job.id, params.jobId))
        .returning();
      return row ?? current;
    }),
  changeVehicle: async ({ db, body, params }) => {
    const { version, ...change } = body;
    const [row] = await db
      .update(vehicle)
      .set({ ...change, version: version + 1 })
      .where(and(eq(vehicle.id, params.id), eq(vehicle.version, version)))
      .returning();
    if (row) return row;
    const [current] = await db.select().from(vehicle).where(eq(vehicle.id, params.id));
    if (!current) throw notFound('vehicle');
    throw new HttpProblem('stale', 'Somebody changed this vehicle meanwhile. What you typed is kept; look at both versions and decide.', {
      current,
    });
  },
  /** Technicians see the contact of vehicles that a lead put them on; leads always. Beginning to work shows nobody anything. */
  owner: ({ db, params, person }) => ownerFor(db, params.id, person),
  nextTag: async ({ db }) => {
    const [last] = await db
      .select({ tag: vehicle.tag })
      .from(vehicle)
      .where(sql`${vehicle.tag} ~ '^V [0-9]{1,6}$'`)
      .orderBy(desc(sql`substring(${vehicle.tag} from 3)::integer`))
      .limit(1);
    const n = Number(last?.tag.slice(2) ?? 0) + 1;
    return { tag: `V ${String(n).padStart(3, '0')}` };
  },
  ...assignmentHandlers,
  reviseLayout,
  layouts: async ({ db, params }) => (await readLayouts(db, params.id)).reverse(),
  keepPicture,
  recordEarlierWork: eventHandler('earlierWork', (body) => {
    if (!isPartialDate(body.on)) throw new HttpProblem('not_a_date', `“${body.on}” is no day, month or year.`);
  }),
  redact,
  eraseOwner: async ({ db, params, body, person }) => {
    const erasedAt = new Date().toISOString();
    const [of] = await db.select({ ownerId: vehicle.ownerId }).from(vehicle).where(eq(vehicle.id, params.id));
    if (!of?.ownerId) throw notFound('owner');
    const [row] = await db
      .update(owner)
      .set({ name: '', contact: '', erasedAt, erasedBy: person.id, erasedWhy: body.reason })
      .where(and(eq(owner.id, of.ownerId), isNull(owner.erasedAt)))
      .returning();
    if (row) return { erasedAt };
    const [known] = await db.select({ erasedAt: owner.erasedAt }).from(owner).where(eq(owner.id, of.ownerId));
    return { erasedAt: known?.erasedAt ?? erasedAt };
  },
  handIn: eventHandler('handIns', (body, { db }) => requireNotOnRecord(db, body)),
  /** One's own without a word; somebody else's with a reason, and both are shown. */
  takeBack: eventHandler('takeBacks', async (body, { db, params, person }) => {
    const { authorId } = await requireEvent(db, params.jobId, body.corrects);
    if (authorId !== person.id && person.role !== 'lead' && body.reason.trim().length < 3)
      throw new HttpProblem('reason_missing', 'This was entered by somebody else. Say why it is taken back; both are shown.');
    await requireNothingRests(db, params.jobId, body);
  }),
};
