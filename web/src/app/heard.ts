import { readonly, ref } from 'vue';

const silent = ref<number | null>(null);
let last = Date.now();

/** When the server was heard last, ms, while it is not heard any more; null while it is. */
export const silentSince = readonly(silent);

/** The server answered, or told of something. */
export function heard(): void {
  last = Date.now();
  silent.value = null;
}
/** It was asked and did not answer, or stopped telling. */
export function notHeard(): void {
  silent.value ??= last;
}
/** Whether nothing was heard of it for so long, ms. */
export const quietFor = (ms: number): boolean => Date.now() - last >= ms;
