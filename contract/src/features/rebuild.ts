import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';

export const rebuild = {
  recordTemporaryFitting: eventEndpoint('rebuild', EVENTS.putIns, 'put-ins', 'Enters something put in that must come out'),
  recordFittingRemoval: eventEndpoint('rebuild', EVENTS.takenOuts, 'taken-outs', 'Enters that it was taken out'),
  recordJointEvent: eventEndpoint('rebuild', EVENTS.jointEvents, 'joints', 'Records what happened to a joint'),
  planOperation: eventEndpoint('rebuild', EVENTS.operations, 'operations', 'Puts an operation on the list'),
  recordOperationEvent: eventEndpoint('rebuild', EVENTS.operationEvents, 'operation-events', 'Starts, stops or finishes an operation'),
  recordLeftItem: eventEndpoint(
    'rebuild',
    EVENTS.leftItems,
    'left-items',
    'Leaves undone by name what can only be done while an access is open',
  ),
  beginCard: eventEndpoint('rebuild', EVENTS.cardRuns, 'card-runs', 'Begins a work card at a place'),
  tellCardStep: eventEndpoint(
    'rebuild',
    EVENTS.cardTells,
    'card-tells',
    'Tells of a step of a running card: done, not applicable, seconded, or a gate before it passed',
  ),
  recordTry: eventEndpoint('rebuild', EVENTS.ladderTries, 'ladder-tries', 'Records a try at freeing what will not move'),
  recordTorque: eventEndpoint('rebuild', EVENTS.torques, 'torques', 'Records a torque'),
};
