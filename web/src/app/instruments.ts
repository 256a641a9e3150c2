import type { InstrumentMessage } from '@dauer/contract';
import { useIntervalFn } from '@vueuse/core';
import { computed, onScopeDispose, type Ref, ref } from 'vue';
import { call, PAGE } from './client.ts';
import { onInstrument } from './live.ts';

/** A figure older than this is not live any more, ms. */
const FRESH_MS = 1500;

/** Types a text as a keyboard would, with Enter: what a gauge does that is plugged in as one. */
function typeLikeAKeyboard(text: string): void {
  const to = document.activeElement ?? document.body;
  for (const key of [...text, 'Enter']) to.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
}

/**
 * Listens to the instrument of a tag: its live figure, and its press. Only one page of the shop listens to an instrument
 * at a time, so that a press is taken once.
 */
export function useInstrument(tag: Ref<string | null>, pressed: (text: string) => void) {
  const last = ref<{ readonly message: InstrumentMessage; readonly at: number } | null>(null);
  const now = ref(Date.now());
  const listening = ref<string | null>(null);
  useIntervalFn(() => (now.value = Date.now()), 500);
  const off = onInstrument(({ instrument, claims, page }) => {
    if (claims !== undefined && claims === listening.value && page !== PAGE) listening.value = null;
    if (!instrument || instrument.instrument !== tag.value) return;
    now.value = Date.now();
    last.value = { message: instrument, at: now.value };
    if (listening.value !== instrument.instrument) return;
    if (instrument.event === 'press') pressed(`${instrument.text} ${instrument.unit}`);
    if (instrument.event === 'keys') typeLikeAKeyboard(instrument.text);
  });
  onScopeDispose(off);
  /** It is switched on and speaks, whether or not this page listens. */
  const speaks = computed(() => last.value !== null && last.value.message.instrument === tag.value && now.value - last.value.at < FRESH_MS);
  const live = computed<InstrumentMessage | null>(() =>
    speaks.value && listening.value !== null && listening.value === tag.value ? (last.value?.message ?? null) : null,
  );
  async function listen(on: boolean): Promise<void> {
    listening.value = on ? tag.value : null;
    if (on && tag.value) await call('claimInstrument', { params: { tag: tag.value }, body: {} }).catch(() => undefined);
  }
  return { speaks, live, listening, listen };
}
