import { until } from '@vueuse/core';
import type { Ref } from 'vue';

/**
 * Waits until nothing waits any more. A slow server is waited for as long as it takes one after the other.
 * @param waiting how many wait
 * @param patienceMs how long they may stay as many, ms
 * @returns whether all of them got there
 */
export async function untilSent(waiting: Readonly<Ref<number>>, patienceMs: number): Promise<boolean> {
  let fewest = Infinity;
  while (waiting.value > 0 && waiting.value < fewest) {
    fewest = waiting.value;
    await until(() => waiting.value < fewest).toBe(true, { timeout: patienceMs });
  }
  return waiting.value === 0;
}
