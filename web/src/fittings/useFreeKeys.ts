import { useEventListener } from '@vueuse/core';
import { isTyping } from './typing.ts';

/** What has the focus and takes Space, Enter, Backspace and the arrows for itself. */
const CONTROL = 'button, a, input, textarea, select, summary, [role="button"], [role="combobox"], [contenteditable]';

/** Keys that nothing on the screen takes for itself: no control has the focus, nothing is typed, no dialog lies over it, and none is held down. */
export function useFreeKeys(onKey: (event: KeyboardEvent) => void): void {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || event.repeat || isTyping(event.target)) return;
    if (document.querySelector('.v-overlay--active:not(.v-snackbar)')) return;
    if (event.target instanceof HTMLElement && event.target.closest(CONTROL)) return;
    onKey(event);
  });
}
