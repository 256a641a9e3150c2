import { useDocumentVisibility, useEventListener, useIntervalFn } from '@vueuse/core';
import { ref, watch } from 'vue';
import { whenQuiet } from '../app/waiting.ts';
import { registerSW } from 'virtual:pwa-register';

/** A newer version of the application lies ready; it is put in place when somebody says so. */
export const newer = ref(false);
/** The browser would not keep the application: its certificate is not trusted here. Nothing opens on this tablet without the server. */
export const untrusted = ref(false);
/** How often a page that stays open asks for a newer version, ms. */
const ASK_MS = 120_000;
const reload = (): Promise<void> => {
  location.reload();
  return Promise.resolve();
};
let put: (reloads?: boolean) => Promise<void> = reload;

/** Asks every two minutes, and whenever somebody comes back to the page. */
function askNowAndThen(ask: () => Promise<unknown>): void {
  const quietly = (): void => void ask().catch(() => undefined);
  useIntervalFn(quietly, ASK_MS);
  useEventListener(window, ['focus', 'online'], quietly);
  const visible = useDocumentVisibility();
  watch(visible, (now) => {
    if (now === 'visible') quietly();
  });
}

/** The script that a page of the application begins with: another one is another build. */
const entryOf = (page: Document): string | null => page.querySelector('script[type="module"][src]')?.getAttribute('src') ?? null;
const own = entryOf(document);
/** Where the browser keeps no application that would hear of it: whether the server gives out another build by now. */
async function askForAnotherBuild(): Promise<void> {
  const reply = await fetch('/', { cache: 'no-store', headers: { accept: 'text/html' } });
  const there = reply.ok ? entryOf(new DOMParser().parseFromString(await reply.text(), 'text/html')) : null;
  if (there !== null && there !== own) newer.value = true;
}

/** How long a busy page may put off what it does not need to be seen, ms. */
const LATEST_MS = 2000;
/** Does something once the page has been shown, has what it asked for, and has nothing else to do. */
export function whenIdle(act: () => void): void {
  const then = (): void => whenQuiet(act, LATEST_MS);
  // Some browsers do not say when they are idle.
  if ('requestIdleCallback' in window) window.requestIdleCallback(then, { timeout: LATEST_MS });
  else setTimeout(then, LATEST_MS / 10);
}

/** Has the browser keep the application itself, so that it opens without the server; and hears of a newer one, kept or not. */
export function keepShell(): void {
  if (!import.meta.env.PROD) return;
  if (!('serviceWorker' in navigator)) {
    askNowAndThen(askForAnotherBuild);
    return;
  }
  put = registerSW({
    onNeedRefresh: () => (newer.value = true),
    onRegisteredSW: (_url, registration) => {
      askNowAndThen(async () => registration?.update());
    },
    onRegisterError: (error: unknown) => {
      untrusted.value = error instanceof DOMException && error.name === 'SecurityError';
      put = reload;
      askNowAndThen(askForAnotherBuild);
    },
  });
}

/** How long the browser may take to put the newer one in its place, ms: a page that was opened without it is never told. */
const PUT_MS = 3000;
/** Loads the newer version. What was typed and not taken is gone then; what was taken is kept. */
export function loadNewer(): void {
  setTimeout(reload, PUT_MS);
  void put(true);
}
