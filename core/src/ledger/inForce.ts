import type { EventBase } from './eventBase.ts';

/** An event that replaces what was in force before it, and says what its author saw in force. */
export interface Superseding extends EventBase {
  readonly supersedes: readonly string[] | null;
}

/** What is in force, and what stands against it until somebody chooses. */
export interface InForce<T> {
  readonly now: T | null;
  readonly against: readonly T[];
}

const byReceipt = (a: EventBase, b: EventBase): number =>
  a.recordedAt < b.recordedAt ? -1 : a.recordedAt > b.recordedAt ? 1 : a.id < b.id ? -1 : 1;

/**
 * Which of several events about one thing is in force: each in the order of receipt replaces what its author saw. One whose
 * author did not see what was in force by then governs nothing; it stands against it until an event names both. An event
 * that does not say what was seen replaces what happened no later than itself.
 *
 * So no clock decides between two people who did not know of each other.
 * @param events standing events about one thing, in any order
 * Source: handbook 15, Offline; Shapiro, Preguiça, Baquero, Zawirski, Conflict-free Replicated Data Types (2011):
 * multi-value register.
 */
export function inForce<T extends Superseding>(events: readonly T[]): InForce<T> {
  let heads: T[] = [];
  for (const e of [...events].sort(byReceipt)) {
    // A file kept by an older version has no such field.
    const seen = e.supersedes ?? null;
    if (seen === null) {
      if (heads.every((h) => h.happenedAt <= e.happenedAt)) heads = [e];
      continue;
    }
    const [governing] = heads;
    if (heads.every((h) => seen.includes(h.id))) heads = [e];
    else heads = [...heads.filter((h) => h === governing || !seen.includes(h.id)), e];
  }
  const [now = null, ...against] = heads;
  return { now, against };
}

/** Ids of everything that a new event about the same thing replaces: what is in force, and what stands against it. */
export function headsOf<T extends Superseding>(events: readonly T[]): string[] {
  const { now, against } = inForce(events);
  return [...(now ? [now] : []), ...against].map((e) => e.id);
}
