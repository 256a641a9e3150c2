import { computed } from 'vue';
import { useOutbox } from './outbox/store.ts';
import { untilSent } from './untilSent.ts';

/** How long none of what was entered before may reach the server, ms. */
const PATIENCE_MS = 8000;

/**
 * Waits until what was entered before has reached the server: what is asked of it next rests on that.
 * @throws Error with a sentence where it does not get there
 */
export function useSentFirst(): () => Promise<void> {
  const outbox = useOutbox();
  const waiting = computed(() => outbox.unsent + outbox.storing.size);
  return async () => {
    if (waiting.value === 0) return;
    void outbox.flush();
    if (!(await untilSent(waiting, PATIENCE_MS)))
      throw new Error('What you entered before has not reached the server. It is kept here and sent first; then press once more.');
  };
}
