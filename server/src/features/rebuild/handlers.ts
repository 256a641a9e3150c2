import { deriveJob, parseQuantity, placeLock } from '@dauer/core';
import { Fault } from '../../platform/problem.ts';
import { readJobFile } from '../../records/jobFile.ts';
import { keeps } from '../../platform/handlers.ts';
import { requireJoint, requirePlace } from '../../records/belongs.ts';

export const rebuildHandlers = {
  logJoint: keeps('jointEvents', async (body, { db, params }) => {
    await requireJoint(db, params.jobId, body.connectionId, body.slotId);
    if (body.kind !== 'held') return {};
    // Held under pressure presses a control: refused while anything that it reaches is open.
    const file = await readJobFile(db, params.jobId);
    if (file.release || file.jointEvents.some((e) => e.id === body.id)) return {};
    const lock = placeLock(deriveJob(file, new Date().toISOString()), body.slotId);
    if (lock) throw new Fault(409, 'control_locked', `${lock.control.name}: ${lock.why}`);
    return {};
  }),
  putIn: keeps('putIns', async (body, { db, params }) => {
    await requirePlace(db, params.jobId, body.slotId);
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
