import { useEventListener } from '@vueuse/core';
import { onScopeDispose } from 'vue';
import { lettersOn } from './keys.ts';
import { BURST_MS, GaugeBurst } from '../fittings/gaugeBurst.ts';
import { isTyping } from '../fittings/typing.ts';

/**
 * Single digits as keys, where nothing is typed. A gauge types digits too, and faster than a hand: what comes in a burst presses
 * nothing, and neither does its Enter.
 */
export function useDigits(press: (digit: number) => void): void {
  const burst = new GaugeBurst();
  let waiting = 0;
  onScopeDispose(() => window.clearTimeout(waiting));
  useEventListener(
    window,
    'keydown',
    (event: KeyboardEvent) => {
      window.clearTimeout(waiting);
      if (burst.feed(event.key, event.timeStamp) !== null && !isTyping(event.target)) {
        event.preventDefault();
        event.stopImmediatePropagation();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || !lettersOn.value || isTyping(event.target)) return;
      if (document.querySelector('.v-overlay--active:not(.v-snackbar)')) return;
      const digit = /^(?:Digit|Numpad)([1-9])$/.exec(event.code)?.[1];
      if (digit) waiting = window.setTimeout(() => press(Number(digit)), 2 * BURST_MS);
    },
    { capture: true },
  );
}
