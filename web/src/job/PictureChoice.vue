<script setup lang="ts">
import { computed } from 'vue';
import { dayText } from '../fittings/dates.ts';
import { useOpenJob } from './openJob.ts';
import { useOutbox } from './outbox/store.ts';
import { imageUrl } from './pictures.ts';

/** One of the pictures that were taken of a place, or none. */
const props = defineProps<{ slotId: string | null }>();
const hash = defineModel<string | null>({ required: true });
const job = useOpenJob();
const outbox = useOutbox();
/** Those that are in the book: one that still waits on this device is not shown to anybody else yet. */
const pictures = computed(() =>
  job.history
    .active(job.history.records.pictures)
    .filter((p) => p.slotId === props.slotId && !outbox.images.has(p.hash))
    .slice(-6)
    .reverse(),
);
</script>

<template>
  <div v-if="pictures.length > 0" class="row" role="group" aria-label="Picture that shows it">
    <button
      v-for="p in pictures"
      :key="p.id"
      type="button"
      class="thumb"
      :aria-pressed="hash === p.hash"
      :aria-label="`Picture, ${dayText(p.happenedAt)}${p.note ? `, ${p.note}` : ''}`"
      @click="hash = hash === p.hash ? null : p.hash"
    >
      <img :src="imageUrl(p.hash, true)" alt="" />
    </button>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
}
.thumb {
  width: 96px;
  height: 72px;
  padding: 0;
  border: var(--line-hair) solid var(--slate);
  border-radius: var(--corner);
  background: var(--plate);
  cursor: pointer;
  overflow: hidden;
}
.thumb[aria-pressed='true'] {
  outline: var(--line-chosen) solid var(--blue);
  outline-offset: 1px;
}
img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
</style>
