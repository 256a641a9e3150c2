import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';

export const rebuild = {
  putIn: eventEndpoint('rebuild', EVENTS.putIns, 'put-ins', 'Enters something put in that must come out'),
  takeOut: eventEndpoint('rebuild', EVENTS.takenOuts, 'taken-outs', 'Enters that it was taken out'),
  logJoint: eventEndpoint('rebuild', EVENTS.jointEvents, 'joints', 'Records what happened to a joint'),
  planOperation: eventEndpoint('rebuild', EVENTS.operations, 'operations', 'Puts an operation on the list'),
  logOperation: eventEndpoint('rebuild', EVENTS.operationEvents, 'operation-events', 'Starts, stops or finishes an operation'),
  leaveItem: eventEndpoint(
    'rebuild',
    EVENTS.leftItems,
    'left-items',
    'Leaves undone by name what can only be done while an access is open',
  ),
  logTorque: eventEndpoint('rebuild', EVENTS.torques, 'torques', 'Records a torque'),
};
