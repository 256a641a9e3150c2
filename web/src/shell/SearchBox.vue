<script setup lang="ts">
import { mdiMagnify, mdiQrcodeScan } from '@mdi/js';
import { useDebounceFn } from '@vueuse/core';
import { nextTick, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { mayScan, scanning } from './scanning.ts';
import TagPlate from '../fittings/TagPlate.vue';
import { call } from '../app/client.ts';

/** Vehicles and parts by tag or name, and notes by their words, from anywhere. What is listed is what is typed now, and nothing else is opened. */
const router = useRouter();
const scans = mayScan();
const input = ref<HTMLInputElement | null>(null);
const typed = ref('');
const active = ref(0);
const hits = ref<Awaited<ReturnType<typeof call<'search'>>>>([]);
const searched = ref(false);
/** Enter was pressed before what is typed was looked up: it opens what comes of that, never what stood there from before. */
let entered = false;
const look = useDebounceFn(async () => {
  const text = typed.value;
  if (text.trim() === '') return;
  const found = await call('search', { query: { q: text } }).catch(() => []);
  if (text !== typed.value) return;
  hits.value = found;
  active.value = 0;
  searched.value = true;
  const [first] = found;
  if (entered && first) go(first.to);
  entered = false;
}, 150);
watch(typed, (text) => {
  searched.value = false;
  entered = false;
  if (text.trim() === '') hits.value = [];
  else void look();
});
function close(): void {
  typed.value = '';
  hits.value = [];
  input.value?.blur();
}
function go(to: string): void {
  close();
  void router.push(to);
}
function onKey(event: KeyboardEvent): void {
  if (event.key === 'Escape') close();
  else if (event.key === 'ArrowDown') active.value = Math.min(hits.value.length - 1, active.value + 1);
  else if (event.key === 'ArrowUp') active.value = Math.max(0, active.value - 1);
  else if (event.key === 'Enter' && !searched.value) entered = typed.value.trim() !== '';
  else if (event.key === 'Enter' && hits.value[active.value]) go(hits.value[active.value]?.to ?? '/');
  else return;
  event.preventDefault();
}
defineExpose({ focus: () => void nextTick(() => input.value?.focus()) });
</script>

<template>
  <div class="search" role="search">
    <input
      ref="input"
      v-model="typed"
      type="search"
      placeholder="Search"
      aria-label="Search vehicles, parts and notes"
      autocomplete="off"
      role="combobox"
      :aria-expanded="hits.length > 0"
      aria-controls="search-hits"
      @keydown="onKey"
    />
    <svg class="glass" viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiMagnify" fill="currentColor" /></svg>
    <button v-if="scans" class="scan" type="button" aria-label="Scan a tag" @click="scanning = true">
      <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiQrcodeScan" fill="currentColor" /></svg>
    </button>
    <kbd aria-hidden="true">/</kbd>
    <ul v-if="typed.trim() !== '' && (hits.length > 0 || searched)" id="search-hits" class="hits" role="listbox">
      <li
        v-for="(h, i) in hits"
        :key="h.kind + h.to + h.title"
        role="option"
        :aria-selected="i === active"
        :class="{ active: i === active }"
        @mousedown.prevent="go(h.to)"
      >
        <TagPlate v-if="h.tag" :tag="h.tag" small />
        <b>{{ h.title }}</b>
        <span class="second small">{{ h.note }}</span>
      </li>
      <li v-if="hits.length === 0" class="second" role="option" aria-selected="false">Nothing by this tag, name or word.</li>
    </ul>
  </div>
</template>

<style scoped>
.search {
  position: relative;
  flex: 0 1 220px;
  min-width: 120px;
}
.search input {
  width: 100%;
  height: var(--touch);
  padding: 0 44px 0 38px;
  border: var(--line-hair) solid var(--slate);
  border-radius: var(--corner);
  background: var(--plate);
  color: var(--ink);
  font: 400 var(--type-body) var(--text-font);
}
.search input::placeholder {
  color: var(--ink2);
  opacity: 1;
}
.search input::-webkit-search-cancel-button {
  display: none;
}
.scan {
  position: absolute;
  right: 36px;
  top: 0;
  width: var(--touch);
  height: var(--touch);
  display: grid;
  place-items: center;
  border: 0;
  background: none;
  color: var(--blue);
  cursor: pointer;
}
.scan svg {
  width: 22px;
  height: 22px;
}
.search:has(.scan) input {
  padding-right: 80px;
}
.glass {
  position: absolute;
  left: 10px;
  top: 11px;
  width: 22px;
  height: 22px;
  color: var(--blue);
  pointer-events: none;
}
kbd {
  position: absolute;
  right: 10px;
  top: 10px;
  width: 24px;
  height: 24px;
  border: var(--line-hair) solid var(--slate);
  border-radius: var(--corner);
  font: 400 var(--type-second)/22px var(--figure-font);
  text-align: center;
  color: var(--ink2);
  pointer-events: none;
}
.hits {
  position: absolute;
  top: 46px;
  right: 0;
  width: max(100%, 320px);
  background: var(--plate);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
}
.hits li {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
  padding: 6px var(--space-3);
  cursor: pointer;
}
.hits .active {
  background: var(--blue-tint);
}
@media (max-width: 720px) {
  /* A glass until it is touched; then it takes the top plate. */
  .search {
    flex: 0 0 var(--touch);
    min-width: 0;
  }
  .search:focus-within {
    flex: 1 0 60%;
  }
  kbd {
    display: none;
  }
  .search input,
  .search:has(.scan) input {
    padding: 0 0 0 42px;
  }
  .scan {
    display: none;
  }
  .search:focus-within .scan {
    display: grid;
    right: 0;
  }
  .hits {
    right: -60px;
    width: calc(100vw - 24px);
  }
}
</style>
