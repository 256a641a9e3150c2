import { millisecondsInDay } from '@dauer/core/quantity';
import { BLACKED } from '@dauer/core/ledger';
import type { PendingEvent } from './queue.ts';

/** Events stay on this device that long after the book has acknowledged them, ms: a book restored from a backup asks for them again. */
export const KEPT_AFTER_SENT_MS = 9 * millisecondsInDay;

/** An event that the book has acknowledged, and when, by this device's clock. */
export interface SentEvent {
  readonly id: string;
  readonly sentAt: number;
  readonly item: PendingEvent;
}

/** Ids of what has been kept long enough. A clock that was set back keeps more, never less. */
export function outlivedSent(sent: readonly Pick<SentEvent, 'id' | 'sentAt'>[], now: number): string[] {
  return sent.filter((s) => now - s.sentAt > KEPT_AFTER_SENT_MS).map((s) => s.id);
}

/**
 * What is sent again to a book that is not the one that acknowledged it: everything that is still kept, in the order in
 * which it was taken, but for what waits already. Its ids make that safe: what the book has is not added twice.
 */
export function againFrom(sent: readonly SentEvent[], waiting: readonly PendingEvent[]): PendingEvent[] {
  const known = new Set(waiting.map((w) => w.body.id));
  return [...sent]
    .sort((a, b) => (a.item.seq ?? 0) - (b.item.seq ?? 0) || a.sentAt - b.sentAt)
    .filter((s) => !known.has(s.id))
    .map(({ item: { seq: _old, turn: _turn, ...item } }) => ({ ...item, aside: null }));
}

/** Whether an answer comes from another incarnation of the book than the one this device knows. */
export function isAnotherBook(known: string | null, said: string | null): boolean {
  return known !== null && said !== null && said !== '' && known !== said;
}

/**
 * A sent event without what was blacked out of it in the book; `hash` names the picture that goes with it, where that was
 * struck. The event itself stays: a restored book is still sent it again.
 */
export function withoutStruck(item: PendingEvent, field: string): { readonly item: PendingEvent; readonly hash: string | null } {
  const sent: Readonly<Record<string, unknown>> = { ...item.body };
  if (field === 'image') return { item, hash: typeof sent['hash'] === 'string' ? sent['hash'] : null };
  return { item: typeof sent[field] === 'string' ? { ...item, body: { ...item.body, [field]: BLACKED } } : item, hash: null };
}
