import { ref } from 'vue';

/** Whether this browser promises not to clear what is stored here by itself; null where it cannot be asked, 'asked' until it answers. */
export const durable = ref<boolean | null | 'asked'>('asked');

/** Asks the browser to keep what is stored here until somebody clears it. Some ask the person, some decide by themselves. */
export async function askForDurableStorage(): Promise<void> {
  const { storage } = navigator as { readonly storage?: Partial<StorageManager> };
  try {
    durable.value = (await storage?.persisted?.()) === true || ((await storage?.persist?.()) ?? null);
  } catch {
    durable.value = null;
  }
}
