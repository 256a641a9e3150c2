import type { OutboxWorld } from './outbox.ts';
import type { PendingEvent } from './queue.ts';

/** Under which an event is written down, with its id. */
const TAKEN = 'dauer.taken';
const PREFIX = `${TAKEN}.`;

/**
 * Writes events down in the browser's plain storage, which is written at once and outlives the page in any case. A browser
 * that refuses it leaves them to the outbox's own storage.
 */
export function writeAhead(storage: Storage): OutboxWorld['ahead'] {
  const read = (key: string): PendingEvent[] => {
    try {
      return [JSON.parse(storage.getItem(key) ?? '') as PendingEvent];
    } catch {
      return [];
    }
  };
  return {
    note(item) {
      try {
        storage.setItem(PREFIX + item.body.id, JSON.stringify(item));
      } catch {
        // Full, or shut off: the outbox's own storage is the one that counts.
      }
    },
    // Ids are made in the order of time.
    found: () =>
      Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '')
        .filter((key) => key.startsWith(PREFIX))
        .sort()
        .flatMap(read),
    drop(id) {
      storage.removeItem(PREFIX + id);
    },
  };
}
