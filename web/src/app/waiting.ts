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
