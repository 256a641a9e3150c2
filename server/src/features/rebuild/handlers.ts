import { refuseLocked } from '../../records/assertUnlocked.ts';
import { keeps } from '../../platform/handlers.ts';
import { requireJoint } from '../../records/ownership.ts';

export const rebuildHandlers = {
  logJoint: keeps('jointEvents', async (body, { db, params }) => {
    await requireJoint(db, params.jobId, body.connectionId, body.slotId);
    if (body.kind === 'held') await refuseLocked(db, params.jobId, body.slotId, 'jointEvents', body.id);
  }),
};
