import { refuseLocked } from '../../records/assertUnlocked.ts';
import { eventHandler } from '../../platform/handlers.ts';
import { requireJoint } from '../../records/ownership.ts';
import type { Handlers } from '../../platform/routes.ts';

export const rebuildHandlers = {
  recordJointEvent: eventHandler('jointEvents', async (body, { db, params }) => {
    await requireJoint(db, params.jobId, body.connectionId, body.slotId);
    if (body.kind === 'held') await refuseLocked(db, params.jobId, body.slotId, 'jointEvents', body.id);
  }),
} satisfies Partial<Handlers>;
