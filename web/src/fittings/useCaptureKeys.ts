import { useEventListener } from '@vueuse/core';
import { onScopeDispose, type Ref, watch } from 'vue';
import { GaugeBurst } from './gaugeBurst.ts';
import { captureTyping, isTyping } from './typing.ts';

export interface CaptureActs {
  readonly take: (text: string) => void;
  readonly back: () => void;
  readonly move: (step: number) => void;
  readonly unit: () => void;
  readonly typed: () => void;
}

/** What a figure is typed with: digits, point, comma, fraction, sign, unit. */
const TYPES = /^[0-9.,/"″+\-−–×*@½¼¾⅛⅜⅝⅞a-zA-Zµμ°· ]$/;
const BEGINS = /^[0-9.,\-−+]$/;
const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };
const pressed = (target: EventTarget | null): boolean => target instanceof HTMLElement && /^(BUTTON|A|SUMMARY)$/.test(target.tagName);

/** A field that a gauge typed into gets back what stood in it. */
class FieldGuard {
  private field: { el: HTMLInputElement | HTMLTextAreaElement; value: string } | null = null;
  remember(target: EventTarget | null): void {
    this.field = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? { el: target, value: target.value } : null;
  }
  restore(): void {
    if (!this.field) return;
    this.field.el.value = this.field.value;
    this.field.el.dispatchEvent(new Event('input', { bubbles: true }));
  }
}

/** No figure with its unit is longer, in any way of writing one. */
const LONGEST = 20;

/** The keys of the capture bar: while it is open and no field has the focus, what is typed goes to it. */
export function useCaptureKeys(typed: Ref<string>, bar: Ref<HTMLElement | null>, acts: CaptureActs): void {
  const burst = new GaugeBurst();
  const guard = new FieldGuard();
  const swallow = (event: KeyboardEvent): void => {
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  function onKey(event: KeyboardEvent): void {
    const { target } = event;
    const gauged = burst.feed(event.key, event.timeStamp);
    if (burst.begun) guard.remember(target);
    const elsewhere =
      event.ctrlKey || event.metaKey || event.altKey || document.querySelector('.v-overlay--active:not(.v-snackbar)') !== null;
    if (isTyping(target) || elsewhere) {
      // A gauge is heard through a field or a dialog too. Where the bar has the keys, its own text counts, whole.
      if (gauged === null) return;
      guard.restore();
      swallow(event);
      acts.take(gauged);
      return;
    }
    if (target instanceof Element && target.closest('[data-map]') && event.key in STEPS) return;
    if (handle(event)) acts.typed();
  }
  /** Does what the key asks for; says whether what is typed has changed by it. */
  function handle(event: KeyboardEvent): boolean {
    const before = typed.value;
    const empty = before === '';
    const step = STEPS[event.key];
    if (step !== undefined) {
      swallow(event);
      acts.move(step);
    } else if (event.key === 'Enter') {
      if (empty && pressed(event.target)) return false;
      swallow(event);
      acts.take(before);
      return false;
    } else if (event.key === 'Backspace') {
      // Whoever is on a button is not at the figures: nothing is taken back from there.
      if (empty && pressed(event.target)) return false;
      swallow(event);
      if (empty) acts.back();
      else typed.value = before.slice(0, -1);
    } else if (event.key === 'Escape') {
      typed.value = '';
    } else if (empty && event.code === 'KeyU' && !event.shiftKey) {
      swallow(event);
      acts.unit();
    } else if (event.key.length === 1 && before.length < LONGEST && (empty ? BEGINS : TYPES).test(event.key)) {
      swallow(event);
      typed.value += event.key;
      // From here on the keys are the bar's, Backspace too.
      if (pressed(event.target)) bar.value?.focus({ preventScroll: true });
    }
    return typed.value !== before;
  }
  watch(typed, (text) => (captureTyping.value = text !== ''), { flush: 'sync' });
  onScopeDispose(() => (captureTyping.value = false));
  useEventListener(window, 'keydown', onKey, { capture: true });
}
