import { answerable } from '@dauer/core';
import { keeps } from '../../platform/handlers.ts';
import { Fault } from '../../platform/problem.ts';

export const traceHandlers = {
  observe: keeps('observations', (body) => {
    const facts = answerable(body.code);
    if (!facts) throw new Fault(422, 'unknown_observation', 'This observation is not on the list.');
    if (facts.perCorner !== (body.corner !== null))
      throw new Fault(422, 'corner', facts.perCorner ? 'Say at which wheel.' : 'This is seen on the whole vehicle, not at one wheel.');
    return {};
  }),
};
