import type { EventFamily, Sent } from '@dauer/contract';

/** An event that is kept on this device until the book has it. */
export interface PendingEvent<F extends EventFamily = EventFamily> {
  /** Its place in this device's storage; none where that failed, and the page alone holds it. */
  seq?: number;
  readonly jobId: string;
  readonly authorId: string;
  readonly authorName: string;
  readonly family: F;
  readonly body: Sent<F>;
  /** How far this device's clock was set right when it was stamped, ms. */
  readonly clockOffset?: number;
  /** Why the server would not take it; null while it waits to be sent. */
  aside: string | null;
}

/**
 * The next event to send: the oldest of whoever is signed in. What leans on somebody else's unsent event
 * waits for it, so that nothing is refused for coming too early.
 */
export function nextToSend(items: readonly PendingEvent[], personId: string | null): PendingEvent | undefined {
  const waiting = items.filter((i) => i.aside === null);
  const foreign = new Set(waiting.filter((i) => i.authorId !== personId).map((i) => i.body.id));
  const leans = (i: PendingEvent): boolean => Object.values(i.body).some((v) => typeof v === 'string' && v !== i.body.id && foreign.has(v));
  return waiting.find((i) => i.authorId === personId && !leans(i));
}
