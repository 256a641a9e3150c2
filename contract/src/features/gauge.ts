import { z } from 'zod';
import { endpoint, none } from '../endpoint.ts';
import { eventEndpoint } from '../eventEndpoint.ts';
import { componentKind } from '../componentKind.ts';
import { EVENTS } from '../events.ts';
import { id, instant, name, words } from '../primitives.ts';

const entryFields = z.object({
  id,
  kinds: z.array(componentKind).min(1).max(12),
  name,
  looks: words(300),
  matters: words(300),
  severity: z.enum(['note', 'watch', 'doubt', 'reject']),
});
const entry = entryFields.extend({ enteredBy: id, enteredAt: instant }).meta({ id: 'FindingEntry' });

export const gauge = {
  beginSet: eventEndpoint('gauge', EVENTS.sets, 'sets', 'Begins a set of readings'),
  moveSet: eventEndpoint('gauge', EVENTS.setMoves, 'set-moves', 'Says that a set was taken at another place'),
  recordReading: eventEndpoint('gauge', EVENTS.readings, 'readings', 'Takes a reading'),
  recordFinding: eventEndpoint('gauge', EVENTS.findings, 'findings', 'Notes a finding'),
  findingEntries: endpoint({
    ...none,
    feature: 'gauge',
    method: 'GET',
    path: '/api/finding-entries',
    role: 'reader',
    summary: 'The shop’s own findings of the catalogue',
    reply: z.array(entry),
  }),
  addFindingEntry: endpoint({
    ...none,
    feature: 'gauge',
    method: 'POST',
    path: '/api/finding-entries',
    role: 'technician',
    summary: 'Adds a finding of the shop’s own to the catalogue',
    body: entryFields,
    reply: entry,
  }),
};
