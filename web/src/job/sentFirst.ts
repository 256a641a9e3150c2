import { until } from '@vueuse/core';
import { computed } from 'vue';
import { useOutbox } from './outbox/store.ts';

/** How long what was entered before may take to reach the server, ms. */
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
    await until(waiting).toBe(0, { timeout: PATIENCE_MS });
    if (waiting.value > 0)
      throw new Error('What you entered before has not reached the server. It is kept here and sent first; then press once more.');
  };
}
