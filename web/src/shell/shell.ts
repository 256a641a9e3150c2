import { ref } from 'vue';
import { registerSW } from 'virtual:pwa-register';

/** A newer version of the application lies ready; it is put in place when somebody says so. */
export const newer = ref(false);
/** The browser would not keep the application: its certificate is not trusted here. Nothing opens on this tablet without the server. */
export const untrusted = ref(false);
/** How often a page that stays open asks for a newer version, ms. */
const ASK_MS = 120_000;
let put: (reload?: boolean) => Promise<void> = async () => undefined;

/** Has the browser keep the application itself, so that it opens without the server. */
export function keepShell(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  put = registerSW({
    onNeedRefresh: () => (newer.value = true),
    onRegisteredSW: (_url, registration) => {
      setInterval(() => void registration?.update().catch(() => undefined), ASK_MS);
    },
    onRegisterError: (error: unknown) => {
      untrusted.value = error instanceof DOMException && error.name === 'SecurityError';
    },
  });
}

/** Loads the newer version. What was typed and not taken is gone then; what was taken is kept. */
export function loadNewer(): void {
  void put(true);
}
