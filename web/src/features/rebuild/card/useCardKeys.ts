import { useEventListener } from '@vueuse/core';
import { onScopeDispose } from 'vue';
import { onLetter } from '../../../app/keys.ts';
import { isTyping } from '../../../fittings/typing.ts';

/** What has the focus and takes Enter and the arrows for itself. */
const CONTROL = 'button, a, input, textarea, select, summary, [role="button"], [role="combobox"], [contenteditable]';

/** Keys at the bench, which a foot switch sends as well: Enter done, arrows another step, x not applicable here. */
export function useCardKeys(acts: { readonly done: () => void; readonly move: (by: number) => void; readonly notHere: () => void }): void {
  onScopeDispose(onLetter('KeyX', acts.notHere));
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || event.repeat || isTyping(event.target)) return;
    if (document.querySelector('.v-overlay--active:not(.v-snackbar)')) return;
    if (event.target instanceof HTMLElement && event.target.closest(CONTROL)) return;
    const act = { Enter: acts.done, ArrowRight: () => acts.move(1), ArrowLeft: () => acts.move(-1) }[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  });
}
