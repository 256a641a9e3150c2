import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../../db/connect.ts';
import { account, assignment, job } from '../../db/schema.ts';
import { keptAs } from '../../platform/once.ts';
import { HttpProblem, notFound } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';

/** Who works on a job now, in the order in which they were put on it. */
function assignmentsOf(db: Database, jobId: string) {
  return db
    .select({ id: assignment.id, accountId: assignment.accountId, assignedBy: assignment.assignedBy, assignedAt: assignment.assignedAt })
    .from(assignment)
    .where(and(eq(assignment.jobId, jobId), isNull(assignment.endedAt)))
    .orderBy(asc(assignment.assignedAt), asc(assignment.id));
}

/** People are put on a job by a lead; it shows them the owner’s contact. Source: handbook 15, People. */
export const assignmentHandlers: Pick<Handlers, 'assignments' | 'assign' | 'endAssignment'> = {
  assignments: ({ db, params }) => assignmentsOf(db, params.jobId),
  assign: async ({ db, params, body, person }) => {
    const [of] = await db.select({ id: job.id }).from(job).where(eq(job.id, params.jobId));
    if (!of) throw notFound('job');
    const [who] = await db.select({ role: account.role, active: account.active }).from(account).where(eq(account.id, body.accountId));
    if (!who?.active || who.role === 'reader')
      throw new HttpProblem('unknown_reference', 'Somebody of this shop who works on vehicles can be put on a job.');
    await db
      .insert(assignment)
      .values({ id: body.id, jobId: params.jobId, accountId: body.accountId, assignedBy: person.id })
      .onConflictDoNothing();
    const [stored] = await db.select().from(assignment).where(eq(assignment.id, body.id));
    keptAs(stored, { jobId: params.jobId, accountId: body.accountId }, 'assignment');
    return assignmentsOf(db, params.jobId);
  },
  endAssignment: async ({ db, params, person }) => {
    await db
      .update(assignment)
      .set({ endedAt: new Date().toISOString(), endedBy: person.id })
      .where(and(eq(assignment.id, params.id), eq(assignment.jobId, params.jobId), isNull(assignment.endedAt)));
    return assignmentsOf(db, params.jobId);
  },
};
