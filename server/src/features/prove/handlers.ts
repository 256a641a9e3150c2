import { acceptanceKey, buildSheet, deriveJob, itemLock, RULE_VERSION } from '@dauer/core';
import { eq, sql } from 'drizzle-orm';
import { account, job, release } from '../../db/schema.ts';
import { addEvent } from '../../platform/events.ts';
import { eventRow, keeps } from '../../platform/handlers.ts';
import { verifyPassword } from '../../platform/password.ts';
import { Fault } from '../../platform/problem.ts';
import type { Handlers } from '../../platform/routes.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { basisOf } from '../../records/release.ts';

export const proveHandlers: Pick<Handlers, 'prove' | 'accept' | 'release'> = {
  /** What presses a control is refused while anything that it reaches is open; a repeat of what is on record is answered. */
  prove: keeps('proofs', async (body, { db, params }) => {
    if (body.result === 'not_tried') return {};
    const file = await readJobFile(db, params.jobId);
    if (file.release || file.proofs.some((p) => p.id === body.id)) return {};
    const lock = itemLock(deriveJob(file, new Date().toISOString()), body.item);
    if (lock) throw new Fault(409, 'control_locked', `${lock.control.name}: ${lock.why}`);
    return {};
  }),
  /** Only what blocks now, and only by the role that the verdict asks for. */
  accept: async (call) => {
    const { db, body, params, person } = call;
    const file = await readJobFile(db, params.jobId);
    if (!file.acceptances.some((a) => a.id === body.id)) {
      const state = deriveJob(file, new Date().toISOString());
      const found = state.obligations.find((o) => acceptanceKey(o) === body.obligation && o.state === 'open');
      if (!found) throw new Fault(409, 'nothing_to_accept', 'This does not block any more, or never did.');
      if (!found.acceptBy) throw new Fault(409, 'no_waiver', `${found.what}: this is answered by the work, not by a waiver.`);
      if (found.acceptBy === 'lead' && person.role !== 'lead')
        throw new Fault(403, 'role', `${found.what}: a lead accepts this, with a reason.`);
    }
    return addEvent(db, 'acceptances', eventRow(call, body));
  },
  release: async ({ db, body, params, person }) => {
    const [own] = await db.select({ hash: account.passwordHash }).from(account).where(eq(account.id, person.id));
    if (!own || !(await verifyPassword(body.password, own.hash)))
      throw new Fault(403, 'wrong_password', 'The password does not fit. Handing back asks for it once more.');
    return db.transaction(async (tx) => {
      await tx.execute(sql`select 1 from ${job} where ${job.id} = ${params.jobId} for update`);
      const file = await readJobFile(tx, params.jobId);
      if (file.release) {
        if (file.release.id === body.id) return file.release;
        throw new Fault(409, 'released', 'This job has been handed back already.', { current: { releasedAt: file.release.releasedAt } });
      }
      const at = new Date().toISOString();
      const state = deriveJob(file, at);
      if (state.blocks.length > 0) {
        throw new Fault(
          409,
          'blocked',
          `${state.blocks.length} ${state.blocks.length === 1 ? 'thing stands' : 'things stand'} in the way of handing back.`,
          {
            blocks: state.blocks.map((b) => ({ key: b.key, stage: b.stage, what: b.what, why: b.why })),
          },
        );
      }
      const mine = (e: { authorId: string; jobId: string }): boolean => e.authorId === person.id && e.jobId === params.jobId;
      const ownWork = file.sets.some(mine) || file.operationEvents.some(mine) || file.torques.some(mine) || file.partEvents.some(mine);
      const record = {
        id: body.id,
        jobId: params.jobId,
        releasedBy: person.id,
        releasedAt: at,
        ownWork,
        ruleVersion: RULE_VERSION,
        sheet: buildSheet(state, at),
      };
      await tx.insert(release).values({ ...record, basis: basisOf(state) });
      return record;
    });
  },
};
