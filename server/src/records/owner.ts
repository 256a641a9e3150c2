import type { Role } from '@dauer/core/verdict';
import { and, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { assignment, job, owner, vehicle } from '../db/schema.ts';
import { HttpProblem } from '../platform/problem.ts';

/**
 * Who owns a vehicle, for whom that is shown to: leads, and whom a lead put on a job of it.
 * @throws HttpProblem owner_contact for everybody else
 */
export async function ownerFor(db: Database, vehicleId: string, person: { readonly id: string; readonly role: Role }) {
  const [row] = await db
    .select({ name: owner.name, contact: owner.contact, erasedAt: owner.erasedAt })
    .from(vehicle)
    .innerJoin(owner, eq(owner.id, vehicle.ownerId))
    .where(eq(vehicle.id, vehicleId));
  if (!row || person.role === 'lead') return row ?? null;
  const [own] = await db
    .select({ id: assignment.id })
    .from(assignment)
    .innerJoin(job, eq(job.id, assignment.jobId))
    .where(and(eq(job.vehicleId, vehicleId), eq(assignment.accountId, person.id), isNull(assignment.endedAt)))
    .limit(1);
  if (!own)
    throw new HttpProblem('owner_contact', 'The owner’s contact is shown to leads, and to whom a lead put on a job of this vehicle.');
  return row;
}
