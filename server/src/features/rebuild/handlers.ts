import { parseQuantity } from '@dauer/core';
import { refuseLocked } from '../../records/pressing.ts';
import { keeps } from '../../platform/handlers.ts';
import { requireJoint } from '../../records/belongs.ts';

export const rebuildHandlers = {
  logJoint: keeps('jointEvents', async (body, { db, params }) => {
    await requireJoint(db, params.jobId, body.connectionId, body.slotId);
    if (body.kind === 'held') await refuseLocked(db, params.jobId, body.slotId, 'jointEvents', body.id);
    return {};
  }),
  putIn: keeps('putIns', () => ({})),
  leaveItem: keeps('leftItems', () => ({})),
  takeOut: keeps('takenOuts', () => ({})),
  planOperation: keeps('operations', () => ({})),
  logOperation: keeps('operationEvents', () => ({})),
  logTorque: keeps('torques', (body) => ({
    target: parseQuantity(body.targetTyped, 'torque', body.unit).canonical,
    canonical: parseQuantity(body.typed, 'torque', body.unit).canonical,
  })),
};
