import { type EventFamily, type EVENTS, type Recorded } from '@dauer/contract';
import type { z } from 'zod';
import { addEvent, type Stored } from './events.ts';
import { corrected } from './clock.ts';
import type { Call } from './routes.ts';

type Output<F extends EventFamily> = z.output<(typeof EVENTS)[F]['sent']>;
/** The part of a record that is worked out from what was sent. */
type Derived<F extends EventFamily> = Omit<Recorded<F>, keyof Output<F> | 'jobId' | 'authorId' | 'recordedAt'>;
type EventCall = Pick<Call<never>, 'db' | 'person' | 'request'> & { readonly params: { readonly jobId: string } };

/** What a sent event becomes before it is kept: the job, the author, and the instant in one form. */
export function eventRow<B extends { happenedAt: string }>(call: EventCall, body: B): B & { jobId: string; authorId: string } {
  return { ...body, jobId: call.params.jobId, authorId: call.person.id, happenedAt: corrected(call.request, body.happenedAt) };
}

/** Handler of an event family whose record holds what was sent, and what `derive` makes of it. */
export function keeps<F extends EventFamily>(
  family: F,
  derive: (body: Output<F>, call: EventCall) => Derived<F> | Promise<Derived<F>>,
): (call: EventCall & { readonly body: Output<F> }) => Promise<Stored<Recorded<F>>> {
  return async (call) => {
    const row = { ...eventRow(call, call.body), ...(await derive(call.body, call)) };
    return addEvent(call.db, family, row as Omit<Recorded<F>, 'recordedAt'>);
  };
}
