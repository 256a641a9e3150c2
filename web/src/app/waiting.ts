import { readonly, ref } from 'vue';

/** How long somebody waits without being told that something is on its way, ms. */
const UNTOLD_MS = 500;
const long = ref(false);
let open = 0;

/** Whether something that somebody waits for takes longer than half a second. */
export const waitsLong = readonly(long);

/** Somebody waits for something from now on. Returns what is called once they wait no more. */
export function waits(): () => void {
  open += 1;
  let ended = false;
  const timer = setTimeout(() => (long.value = true), UNTOLD_MS);
  return () => {
    if (ended) return;
    ended = true;
    clearTimeout(timer);
    open -= 1;
    if (open === 0) long.value = false;
  };
}

let underWay = 0;
const later = new Set<() => void>();
/** The server is asked something from now on, whether somebody waits for it or not. Returns what is called once it answered. */
export function asks(): () => void {
  underWay += 1;
  let ended = false;
  return () => {
    if (ended) return;
    ended = true;
    underWay -= 1;
    if (underWay > 0) return;
    const acts = [...later];
    later.clear();
    for (const act of acts) act();
  };
}
/** Does something once the server is asked nothing, and no later than after so long, ms. */
export function whenQuiet(act: () => void, latest: number): void {
  if (underWay === 0) return act();
  const once = (): void => {
    clearTimeout(timer);
    later.delete(once);
    act();
  };
  const timer = setTimeout(once, latest);
  later.add(once);
}
