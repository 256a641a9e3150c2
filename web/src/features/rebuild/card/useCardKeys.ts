import { onScopeDispose } from 'vue';
import { onLetter } from '../../../app/keys.ts';
import { useFreeKeys } from '../../../fittings/useFreeKeys.ts';

/** Keys at the bench, which a foot switch sends as well: Enter done, arrows another step, x not applicable here. */
export function useCardKeys(acts: { readonly done: () => void; readonly move: (by: number) => void; readonly notHere: () => void }): void {
  onScopeDispose(onLetter('KeyX', acts.notHere));
  useFreeKeys((event) => {
    const act = { Enter: acts.done, ArrowRight: () => acts.move(1), ArrowLeft: () => acts.move(-1) }[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  });
}
