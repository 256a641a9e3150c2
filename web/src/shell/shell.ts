import { ref } from 'vue';
import { registerSW } from 'virtual:pwa-register';

/** A newer version of the application lies ready; it is put in place when somebody says so. */
export const newer = ref(false);
let put: (reload?: boolean) => Promise<void> = async () => undefined;

/** Has the browser keep the application itself, so that it opens without the server. */
export function keepShell(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  put = registerSW({ onNeedRefresh: () => (newer.value = true) });
}

/** Loads the newer version. What was typed and not taken is gone then; what was taken is kept. */
export function loadNewer(): void {
  void put(true);
}
