import { parseQuantity } from '@dauer/core';
import { refuseLocked } from '../../records/pressing.ts';
import { keeps } from '../../platform/handlers.ts';
import { requireJoint, requirePlace } from '../../records/belongs.ts';

export const rebuildHandlers = {
  logJoint: keeps('jointEvents', async (body, { db, params }) => {
    await requireJoint(db, params.jobId, body.connectionId, body.slotId);
    if (body.kind === 'held') await refuseLocked(db, params.jobId, body.slotId, 'jointEvents', body.id);
    return {};
  }),
  putIn: keeps('putIns', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
    return {};
  }),
  leaveItem: keeps('leftItems', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
    if (body.closedBy !== null) await requirePlace(db, params.jobId, body.closedBy);
    return {};
  }),
  takeOut: keeps('takenOuts', () => ({})),
  planOperation: keeps('operations', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
    return {};
  }),
  logOperation: keeps('operationEvents', () => ({})),
  logTorque: keeps('torques', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
    return {
      target: parseQuantity(body.targetTyped, 'torque', body.unit).canonical,
      canonical: parseQuantity(body.typed, 'torque', body.unit).canonical,
    };
  }),
};
