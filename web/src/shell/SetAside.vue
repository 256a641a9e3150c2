<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PendingEvent } from '../job/outbox/queue.ts';
import { useOutbox } from '../job/outbox/store.ts';

/** What the server would not take, and what waits here for somebody else: one list, in the order in which it was taken. */
const outbox = useOutbox();
const open = ref(false);
const dropping = ref<PendingEvent | null>(null);
const title = computed(() => {
  const n = outbox.aside.length;
  return n === 1 ? 'One entry is set aside' : `${n} entries are set aside`;
});
const words = (item: PendingEvent): string =>
  [item.about?.what ?? item.family, item.about?.place, item.about?.vehicle].filter((x) => x !== null && x !== undefined).join(', ');
async function drop(): Promise<void> {
  if (dropping.value) await outbox.forget(dropping.value);
  dropping.value = null;
  if (outbox.aside.length === 0) open.value = false;
}
</script>

<template>
  <div v-if="outbox.aside.length > 0" class="problem no-print bar" role="alert">
    <span>
      <b>{{ title }}.</b>
      {{ outbox.aside[0] ? words(outbox.aside[0]) : '' }}: {{ outbox.aside[0]?.aside }}
    </span>
    <button class="act slim" type="button" @click="outbox.retry(outbox.aside)">Send all again</button>
    <button class="act slim" type="button" @click="open = true">Show what is set aside</button>
  </div>
  <div v-if="outbox.others.length > 0" class="problem no-print bar" role="status">
    <span>Kept here for {{ outbox.others.join(' and ') }}: sent under the right name when signed in again on this device.</span>
    <button class="act slim" type="button" @click="open = true">Show what is kept for others</button>
  </div>
  <v-dialog v-model="open" max-width="720" aria-labelledby="aside-title">
    <div class="dialog">
      <h2 id="aside-title">Not in the book</h2>
      <template v-if="outbox.aside.length > 0">
        <p class="second">
          The server did not take these. What they lean on is entered first, then they are sent again in the order in which they were taken.
        </p>
        <ul>
          <li v-for="item in outbox.aside" :key="item.body.id">
            <span class="what">
              <b class="plate-font">{{ words(item) }}</b>
              <span class="second small">{{ item.authorName }}: {{ item.aside }}</span>
            </span>
            <button class="act slim" type="button" :aria-label="`Send again: ${words(item)}`" @click="outbox.retry([item])">
              Send again
            </button>
            <button class="act slim" type="button" :aria-label="`Drop: ${words(item)}`" @click="dropping = item">Drop</button>
          </li>
        </ul>
      </template>
      <template v-if="outbox.ofOthers.length > 0">
        <p class="second">These wait until who took them signs in on this device.</p>
        <ul>
          <li v-for="item in outbox.ofOthers" :key="item.body.id">
            <span class="what">
              <b class="plate-font">{{ words(item) }}</b>
              <span class="second small">{{ item.authorName }}</span>
            </span>
          </li>
        </ul>
      </template>
      <div class="acts">
        <button v-if="outbox.aside.length > 0" class="act main" type="button" @click="outbox.retry(outbox.aside)">Send all again</button>
        <button class="act" type="button" @click="open = false">Close</button>
      </div>
    </div>
  </v-dialog>
  <v-dialog :model-value="dropping !== null" max-width="440" aria-labelledby="drop-title" @update:model-value="dropping = null">
    <div v-if="dropping" class="dialog col">
      <h2 id="drop-title">Drop this?</h2>
      <p>{{ words(dropping) }}, taken by {{ dropping.authorName }}. It is in no book; once dropped it is nowhere.</p>
      <div class="acts">
        <button class="act" type="button" @click="dropping = null">Keep it</button>
        <button class="act" type="button" @click="drop">Drop it for good</button>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.bar {
  margin: 8px 24px;
  display: flex;
  gap: 8px 16px;
  align-items: center;
  flex-wrap: wrap;
}
.bar > span {
  flex: 1 1 280px;
}
li {
  display: flex;
  gap: 8px 12px;
  align-items: center;
  flex-wrap: wrap;
  min-height: 56px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.what {
  display: grid;
  flex: 1 1 240px;
}
@media (max-width: 720px) {
  .bar {
    margin: 8px 12px;
  }
}
</style>
