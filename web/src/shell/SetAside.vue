<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PendingEvent } from '../job/outbox/queue.ts';
import { useOutbox } from '../job/outbox/store.ts';
import { useSession } from '../app/session.ts';

/**
 * What the server would not take, and what waits here for somebody else: one list, in the order in which it was taken. Who took
 * it sends it again or drops it; what others left, a lead hands in under their name or drops.
 */
const outbox = useOutbox();
const session = useSession();
const open = ref(false);
/** What is about to be handed in, or dropped. */
const question = ref<{ readonly act: 'hand_in' | 'drop'; readonly items: readonly PendingEvent[] } | null>(null);
const title = computed(() => {
  const n = outbox.aside.length;
  return n === 1 ? 'One entry is set aside' : `${n} entries are set aside`;
});
const isMine = (item: PendingEvent): boolean => item.authorId === session.person?.id;
const own = computed(() => outbox.aside.filter(isMine));
/** What others took here: set aside, or not sent yet. */
const left = computed(() => outbox.items.filter((i) => !isMine(i) && (i.aside !== null || outbox.ofOthers.includes(i))));
/** What a lead may hand in: what no other lead is about to. */
const forLead = computed(() => (session.may('lead') ? left.value.filter((i) => i.aside !== null || !i.handIn) : []));
const words = (item: PendingEvent): string =>
  [item.about?.what ?? item.family, item.about?.place, item.about?.vehicle].filter((x) => x !== null && x !== undefined).join(', ');
const byWhom = (item: PendingEvent): string =>
  item.handIn ? `${item.authorName}, handed in by ${item.handIn.leadName}, who has to sign in here` : item.authorName;
const names = (items: readonly PendingEvent[]): string => [...new Set(items.map((i) => i.authorName))].join(' and ');
async function act(): Promise<void> {
  const now = question.value;
  question.value = null;
  if (now?.act === 'hand_in') await outbox.handIn(now.items);
  else for (const item of now?.items ?? []) await outbox.forget(item);
  if (own.value.length === 0 && left.value.length === 0) open.value = false;
}
</script>

<template>
  <div v-if="outbox.aside.length > 0" class="problem says bar no-print" role="alert">
    <span>
      <b>{{ title }}.</b>
      {{ outbox.aside[0] ? words(outbox.aside[0]) : '' }}: {{ outbox.aside[0]?.aside }}
    </span>
    <v-btn v-if="own.length > 0" class="act slim" @click="outbox.retry(own)">Send all again</v-btn>
    <v-btn class="act slim" @click="open = true">Show what is set aside</v-btn>
  </div>
  <div v-if="outbox.others.length > 0" class="problem says bar no-print" role="status">
    <span>
      Kept here for {{ outbox.others.join(' and ') }}: sent under the right name when signed in again on this device{{
        session.may('lead') ? ', or handed in by you' : ', or handed in by a lead'
      }}.
    </span>
    <v-btn class="act slim" @click="open = true">Show what is kept for others</v-btn>
  </div>
  <v-dialog v-model="open" max-width="720" aria-labelledby="aside-title">
    <div class="dialog">
      <h2 id="aside-title">Not in the book</h2>
      <template v-if="own.length > 0">
        <p class="second">
          The server did not take these. What they lean on is entered first, then they are sent again in the order in which they were taken.
        </p>
        <ul>
          <li v-for="item in own" :key="item.body.id">
            <span class="what">
              <b class="plate-font">{{ words(item) }}</b>
              <span class="second small">{{ item.aside }}</span>
            </span>
            <v-btn class="act slim" :aria-label="`Send again: ${words(item)}`" @click="outbox.retry([item])">Send again</v-btn>
            <v-btn class="act slim" :aria-label="`Drop: ${words(item)}`" @click="question = { act: 'drop', items: [item] }">Drop</v-btn>
          </li>
        </ul>
      </template>
      <template v-if="left.length > 0">
        <p class="second">
          Others took these on this device. They are sent when who took them signs in here.
          {{
            session.may('lead')
              ? 'Where nobody will, you hand them in: they stand under the name of who took them, with yours beside.'
              : 'Where nobody will, a lead who signs in here can hand them in.'
          }}
        </p>
        <ul>
          <li v-for="item in left" :key="item.body.id">
            <span class="what">
              <b class="plate-font">{{ words(item) }}</b>
              <span class="second small">{{ byWhom(item) }}{{ item.aside === null ? '' : `: ${item.aside}` }}</span>
            </span>
            <template v-if="forLead.includes(item)">
              <v-btn class="act slim" :aria-label="`Hand in: ${words(item)}`" @click="question = { act: 'hand_in', items: [item] }">
                Hand in
              </v-btn>
              <v-btn class="act slim" :aria-label="`Drop: ${words(item)}`" @click="question = { act: 'drop', items: [item] }">Drop</v-btn>
            </template>
          </li>
        </ul>
      </template>
      <div class="acts">
        <v-btn v-if="own.length > 0" class="act main" @click="outbox.retry(own)">Send all again</v-btn>
        <v-btn v-if="forLead.length > 1" class="act" @click="question = { act: 'hand_in', items: forLead }">
          Hand in all {{ forLead.length }}
        </v-btn>
        <v-btn class="act" @click="open = false">Close</v-btn>
      </div>
    </div>
  </v-dialog>
  <v-dialog :model-value="question !== null" max-width="440" aria-labelledby="question-title" @update:model-value="question = null">
    <div v-if="question" class="dialog col">
      <h2 id="question-title">
        {{ question.act === 'drop' ? 'Drop this?' : `Hand in what ${names(question.items)} took?` }}
      </h2>
      <ul class="named">
        <li v-for="item in question.items" :key="item.body.id">{{ words(item) }}, taken by {{ item.authorName }}</li>
      </ul>
      <p v-if="question.act === 'drop'">It is in no book; once dropped it is nowhere.</p>
      <p v-else>
        {{ question.items.length === 1 ? 'It stands' : 'They stand' }} in the book as taken by {{ names(question.items) }}, at the time when
        that was, and handed in by you.
      </p>
      <div class="acts">
        <v-btn class="act" @click="question = null">{{ question.act === 'drop' ? 'Keep it' : 'Not now' }}</v-btn>
        <v-btn class="act" :class="{ main: question.act === 'hand_in' }" @click="act">
          {{ question.act === 'drop' ? 'Drop it for good' : 'Hand in' }}
        </v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.bar {
  display: flex;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  flex-wrap: wrap;
}
.bar > span {
  flex: 1 1 280px;
}
li {
  display: flex;
  gap: var(--space-2) var(--space-3);
  align-items: center;
  flex-wrap: wrap;
  min-height: var(--tall);
  padding: 6px 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.named {
  max-height: 40vh;
  margin-bottom: var(--space-3);
  overflow: auto;
}
.what {
  display: grid;
  flex: 1 1 240px;
}
</style>
