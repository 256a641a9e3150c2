import { useEventListener, useLocalStorage } from '@vueuse/core';
import { STAGES } from '@dauer/core/catalogue';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { captureTyping, isTyping } from '../fittings/typing.ts';

/** All keys, as `?` lists them. Letters go by physical key and can be switched off in Shop. */
export const KEYS: readonly { readonly keys: string; readonly does: string }[] = [
  { keys: '/', does: 'Search' },
  { keys: '?', does: 'This list' },
  { keys: 'Alt 1 to Alt 7', does: 'The stages of a job; s and a digit does the same' },
  { keys: 'm', does: 'To the brake map; arrows walk along the hydraulics, with Shift onto a line or cable; Esc gives the focus back' },
  { keys: 'g', does: 'Choose a gauge' },
  { keys: 'h', does: 'Hold what the live gauge shows, or let it go' },
  { keys: 'u', does: 'Switch the unit' },
  { keys: 'n', does: 'New in this list' },
  { keys: 'Enter', does: 'Take the reading, or confirm; when all of a set is taken, on to the next of the route' },
  { keys: 'Backspace', does: 'Delete what was typed; in an empty bar take the last reading back' },
  { keys: 'Arrows', does: 'Move between positions while the capture bar is open' },
  {
    keys: 'Space, a, f',
    does: 'In a session of bleeding: a stroke, one with bubbles, one with foam; 1 to 3 the colour, r filled up, c what closes the bleeder, o opened by gravity',
  },
  { keys: 'Enter, x', does: 'At the bench: the step is done, or is not applicable here; arrows go to another step' },
  { keys: 'Ctrl Z', does: 'Undo in a layout that is being changed; with Shift, do it again' },
  { keys: 'Esc', does: 'Out' },
];

export const lettersOn = useLocalStorage('dauer.letters', true);
export const keyList = ref(false);

const listeners = new Map<string, Set<() => void>>();
/** Runs `act` when a letter is pressed while nothing is being typed. Returns how to stop that. */
export function onLetter(code: string, act: () => void): () => void {
  const set = listeners.get(code) ?? new Set();
  set.add(act);
  listeners.set(code, set);
  return () => set.delete(act);
}

/** The keys that work everywhere. Called once, by the shell. */
export function useGlobalKeys(search: () => void): void {
  const router = useRouter();
  let stagePending = false;
  function goStage(digit: number): boolean {
    const stage = STAGES[digit - 1];
    const jobId = router.currentRoute.value.params['jobId'];
    if (!stage || typeof jobId !== 'string') return false;
    void router.push(`/jobs/${jobId}/${stage}`);
    return true;
  }
  useEventListener(
    window,
    'keydown',
    (event: KeyboardEvent) => {
      const digit = /^(?:Digit|Numpad)([1-7])$/.exec(event.code)?.[1];
      if (event.altKey && !event.ctrlKey && !event.metaKey && digit) {
        if (goStage(Number(digit))) event.preventDefault();
        return;
      }
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        isTyping(event.target) ||
        captureTyping.value ||
        document.querySelector('.v-overlay--active [role="dialog"], .v-overlay--active .dialog')
      )
        return;
      if (stagePending && digit && goStage(Number(digit))) {
        event.preventDefault();
        event.stopImmediatePropagation();
        stagePending = false;
        return;
      }
      stagePending = false;
      if (event.key === '/') {
        event.preventDefault();
        search();
      } else if (event.key === '?') {
        keyList.value = true;
      } else if (lettersOn.value && event.code === 'KeyS') {
        stagePending = true;
      } else if (lettersOn.value) {
        const acts = listeners.get(event.code);
        if (acts && acts.size > 0) {
          event.preventDefault();
          acts.forEach((act) => act());
        }
      }
    },
    { capture: true },
  );
}
