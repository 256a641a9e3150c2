<script setup lang="ts">
import { readTagCode } from '@dauer/core/supply';
import { useEventListener } from '@vueuse/core';
import { defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import { call, sentenceOf } from '../app/client.ts';
import { TagBurst } from '../fittings/tagBurst.ts';
import { isTyping } from '../fittings/typing.ts';
import { scanning } from './scanning.ts';

/**
 * A tag's code that was scanned, by a scanner that types or by the camera: it answers a field that asks for a tag, else it opens
 * the part. It never goes to the capture bar, and is worth nothing to whoever is not signed in.
 */
const CameraScan = defineAsyncComponent(() => import('./CameraScan.vue'));
const router = useRouter();
const says = ref('');
const shown = ref(false);
const burst = new TagBurst();
let field: { readonly el: HTMLInputElement | HTMLTextAreaElement; readonly was: string } | null = null;

function put(el: HTMLInputElement | HTMLTextAreaElement, text: string): void {
  el.value = text;
  el.dispatchEvent(new Event('input', { bubbles: true }));
}
function say(text: string): void {
  says.value = text;
  shown.value = true;
}
async function open(code: string, into: HTMLInputElement | HTMLTextAreaElement | null): Promise<void> {
  const read = readTagCode(code);
  if (read === null) return;
  if (read === 'bad') {
    say('This code does not hold together. Scan it once more.');
    return;
  }
  if (into?.hasAttribute('data-tag')) {
    put(into, read.tag);
    return;
  }
  try {
    const found = (await call('parts', { query: { q: read.tag } })).find((p) => p.part.tag?.toUpperCase() === read.tag);
    if (found) await router.push(`/parts/${found.part.id}`);
    else say(`No part carries the tag ${read.tag} yet. Bind it on the component’s plate.`);
  } catch (error) {
    say(sentenceOf(error));
  }
}
useEventListener(
  window,
  'keydown',
  (event: KeyboardEvent) => {
    const { target } = event;
    const now = burst.feed(event.key, event.timeStamp);
    const typing = isTyping(target) && (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement);
    if (now === null) return;
    if (now === 'begun') {
      field = typing ? { el: target, was: target.value } : null;
      return;
    }
    if (now === 'within') {
      // In a field a hand may type as fast: what stood there comes back only once it was a whole code.
      if (!typing) {
        event.preventDefault();
        event.stopImmediatePropagation();
      }
      return;
    }
    if (readTagCode(now.code) === null) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (field) put(field.el, field.was);
    void open(now.code, field?.el ?? null);
  },
  { capture: true },
);
function seen(code: string): void {
  scanning.value = false;
  void open(code, null);
}
</script>

<template>
  <CameraScan v-if="scanning" @seen="seen" @close="scanning = false" />
  <v-snackbar v-model="shown" :timeout="6000" role="alert">{{ says }}</v-snackbar>
</template>
