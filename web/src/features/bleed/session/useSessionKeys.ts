import type { BleedPull } from '@dauer/core/ledger';
import { onScopeDispose } from 'vue';
import { lettersOn, onLetter } from '../../../app/keys.ts';
import { useDigits } from '../../../app/useDigits.ts';
import { useFreeKeys } from '../../../fittings/useFreeKeys.ts';

const COLOURS = ['dark', 'amber', 'clear'] as const satisfies readonly BleedPull['colour'][];

/** Keys of a session: Space or Enter a stroke where no control has the focus; letters and single digits by what they do. */
export function useSessionKeys(acts: {
  readonly colour: (colour: BleedPull['colour']) => void;
  readonly stroke: (air?: BleedPull['air']) => void;
  readonly fill: () => void;
  /** What closes the bleeder, the next of its three ticks. */
  readonly close: () => void;
  readonly back: () => void;
  /** By gravity: the bleeder was opened. */
  readonly opened: () => void;
}): void {
  useDigits((digit) => {
    const pick = COLOURS[digit - 1];
    if (pick) acts.colour(pick);
  });
  for (const [code, act] of [
    ['KeyA', () => acts.stroke('bubbles')],
    ['KeyF', () => acts.stroke('foam')],
    ['KeyR', acts.fill],
    ['KeyC', acts.close],
    ['KeyO', acts.opened],
  ] as const)
    onScopeDispose(onLetter(code, act));
  useFreeKeys((event) => {
    if (event.code === 'Space' || event.key === 'Enter') {
      event.preventDefault();
      acts.stroke();
    } else if (event.key === 'Backspace' && lettersOn.value) acts.back();
  });
}
