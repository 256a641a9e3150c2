import { parseQuantity } from '@dauer/core';
import { keeps } from '../../platform/handlers.ts';

export const rebuildHandlers = {
  planOperation: keeps('operations', () => ({})),
  logOperation: keeps('operationEvents', () => ({})),
  logTorque: keeps('torques', (body) => ({
    target: parseQuantity(body.targetTyped, 'torque', body.unit).canonical,
    canonical: parseQuantity(body.typed, 'torque', body.unit).canonical,
  })),
};
