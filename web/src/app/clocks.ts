import { useDebounceFn, useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import type { RunningClock } from '@dauer/contract';
import { computed, ref, shallowRef } from 'vue';
import { call } from './client.ts';
import { onChange } from './live.ts';
import { useSession } from './session.ts';

/** How often the clocks are asked for, and looked at, ms. */
const [ASK_MS, LOOK_MS] = [60_000, 5000] as const;

/** Whether this browser may tell of a clock while its page lies behind another; `default` where nobody was asked. */
const permission = (): NotificationPermission => ('Notification' in window ? Notification.permission : 'denied');

/** Asks for it, by a press: where it is refused the page still says so itself. */
export async function askToRemind(): Promise<void> {
  if (permission() === 'default') await Notification.requestPermission().catch(() => 'denied');
}

/** The clocks of processes that run anywhere in the shop, whatever page is open, and when one is over. */
export const useClocks = defineStore('clocks', () => {
  const session = useSession();
  const clocks = shallowRef<readonly RunningClock[]>([]);
  const now = ref(Date.now());
  const reminded = new Set<string>();
  const isOver = ({ overAt }: RunningClock): boolean => overAt !== null && Date.parse(overAt) <= now.value;
  const over = computed(() => clocks.value.filter(isOver));
  function remind(): void {
    now.value = Date.now();
    for (const c of over.value) {
      if (reminded.has(c.timerId)) continue;
      reminded.add(c.timerId);
      if (permission() === 'granted') new Notification(`${c.tag}: ${c.what}`, { body: `${c.place}: over`, tag: c.timerId });
    }
  }
  /** Asks again; while the server is away what was known goes on. */
  async function refresh(): Promise<void> {
    if (!session.person || session.lock) return;
    clocks.value = await call('clocks').catch(() => clocks.value);
    remind();
  }
  const soon = useDebounceFn(() => void refresh(), 800);
  useIntervalFn(() => void refresh(), ASK_MS);
  useIntervalFn(remind, LOOK_MS);
  onChange(() => void soon());
  void refresh();
  return { clocks, over, now, isOver, refresh, soon };
});
