import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';

export const gauge = {
  beginSet: eventEndpoint('gauge', EVENTS.sets, 'sets', 'Begins a set of readings'),
  moveSet: eventEndpoint('gauge', EVENTS.setMoves, 'set-moves', 'Says that a set was taken at another place'),
  takeReading: eventEndpoint('gauge', EVENTS.readings, 'readings', 'Takes a reading'),
  find: eventEndpoint('gauge', EVENTS.findings, 'findings', 'Notes a finding'),
};
