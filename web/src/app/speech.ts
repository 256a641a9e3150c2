import { useLocalStorage } from '@vueuse/core';

/** Reads a figure that was taken aloud, through the browser's own speech; off unless somebody switches it on. */
export function useSpeech() {
  const on = useLocalStorage('dauer.speech', false);
  const can = typeof window.speechSynthesis !== 'undefined';
  function say(text: string): void {
    if (!on.value || !can) return;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }
  return { on, can, say };
}
