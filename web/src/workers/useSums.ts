import { type Remote, wrap } from 'comlink';
import { onBeforeUnmount } from 'vue';
import type { Sums } from './sums.ts';

/** A thread beside the page for sums that would hold it up; it ends with the component that asked for it. */
export function useSums(): Remote<Sums> {
  const worker = new Worker(new URL('./sums.ts', import.meta.url), { type: 'module' });
  onBeforeUnmount(() => worker.terminate());
  return wrap<Sums>(worker);
}
