import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';
import { id, instant } from '../primitives.ts';

/** A clock of a process that has not been ended, wherever in the shop. */
const runningClock = z.object({
  timerId: id,
  jobId: id,
  tag: z.string(),
  /** In words. */
  place: z.string(),
  /** Of which process, in words. */
  what: z.string(),
  minutes: z.number().int(),
  /** When it is over; null while the part heats up. */
  overAt: instant.nullable(),
});
export type RunningClock = z.infer<typeof runningClock>;

export const rebuild = {
  recordTemporaryFitting: eventEndpoint('rebuild', EVENTS.putIns, 'put-ins', 'Enters something put in that must come out'),
  describePort: eventEndpoint(
    'rebuild',
    EVENTS.portFacts,
    'port-facts',
    'Says what a port of a unit seals on, its thread and where it lies',
  ),
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
  recordLineShape: eventEndpoint('rebuild', EVENTS.lineShapes, 'line-shapes', 'Records how a line is measured and to be made'),
  clocks: endpoint({
    ...none,
    feature: 'rebuild',
    method: 'GET',
    path: '/api/clocks',
    role: 'reader',
    summary: 'The clocks of processes that run, of every open job, the next to be over first',
    reply: z.array(runningClock),
  }),
  startClock: eventEndpoint('rebuild', EVENTS.timers, 'timers', 'Starts the clock of a process at a place'),
  tellClock: eventEndpoint(
    'rebuild',
    EVENTS.timerSteps,
    'timer-steps',
    'Tells of a running clock: the part measured, at its end, or broken off',
  ),
  parkJob: eventEndpoint('rebuild', EVENTS.parkings, 'parkings', 'Leaves a job for longer than a night'),
  takeOverJob: eventEndpoint('rebuild', EVENTS.takeOvers, 'take-overs', 'Takes a parked job over, having read how it was left'),
  markStrip: eventEndpoint('rebuild', EVENTS.stripMarks, 'strip-marks', 'Marks what came off a unit at its place on its drawing'),
  tellStrip: eventEndpoint('rebuild', EVENTS.stripTells, 'strip-tells', 'Tells what became of a piece that came off'),
  describeCoat: eventEndpoint('rebuild', EVENTS.coats, 'coats', 'Says what the finish of a part is, beside the record that it was coated'),
  lookAtCoat: eventEndpoint('rebuild', EVENTS.coatLooks, 'coat-looks', 'Says how a finish looks when its part is seen again'),
  countKit: eventEndpoint('rebuild', EVENTS.kitCounts, 'kit-counts', 'Counts a kit that was laid out'),
  recordFastener: eventEndpoint('rebuild', EVENTS.fastenerFacts, 'fastener-facts', 'Records what holds a wheel or a unit, and its hand'),
  pinNote: eventEndpoint(
    'rebuild',
    EVENTS.shopNotes,
    'shop-notes',
    'Pins a note to the vehicle, its type, a kind of unit, or a step of a card',
  ),
  tellNote: eventEndpoint('rebuild', EVENTS.noteTells, 'note-tells', 'Says of a note that it helped, or that it is no longer so'),
  recordTorque: eventEndpoint('rebuild', EVENTS.torques, 'torques', 'Records a torque'),
};
