<script setup lang="ts">
import { FINISH_CARDS } from '@dauer/core/catalogue';
import { placeName, type Slot } from '@dauer/core/layout';
import { cardState, finishAt, finishContent, whyNoFinish } from '@dauer/core/readiness';
import { FINISH_CARD } from '@dauer/core/wording';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { timeNow } from '../../app/client.ts';
import { useOpenJob } from '../../job/openJob.ts';

/** The finish of a part by its card: begun while the part is off, beside the card of the work at its place. */
const props = defineProps<{ slotOf: Slot; writable: boolean }>();
const job = useOpenJob();
const running = computed(() => {
  const run = finishAt(job.history, props.slotOf.id);
  const state = run && cardState(job.history, run, timeNow().at);
  return state && state.closed < state.steps.length ? state : null;
});
const may = computed(() => props.writable && whyNoFinish(job.history, props.slotOf.id, timeNow().at) === null);
const route = useRoute();
const router = useRouter();
const toBench = (): void => void router.push({ query: { ...route.query, card: props.slotOf.id, finish: '' } });
/** A card is begun as it is now, and changes no more. It serves no decision. */
function begin(cardId: string): void {
  const content = finishContent(job.history, cardId);
  if (content) job.add('cardRuns', { slotId: props.slotOf.id, option: 'use_again', ...content });
  toBench();
}
</script>

<template>
  <div v-if="running" class="bench">
    <v-btn class="act slim" :aria-label="`${placeName(slotOf)}: ${FINISH_CARD.on.toLowerCase()}`" @click="toBench">
      {{ FINISH_CARD.on }}
    </v-btn>
    <span class="second small">{{ running.closed }} of {{ running.steps.length }} steps told</span>
  </div>
  <details v-else-if="may" class="finishes small">
    <summary :aria-label="`${FINISH_CARD.by}: ${placeName(slotOf).toLowerCase()}`">{{ FINISH_CARD.by }}</summary>
    <div class="acts">
      <v-btn v-for="c in FINISH_CARDS" :key="c.id" class="act slim" @click="begin(c.id)">{{ c.name }}</v-btn>
    </div>
  </details>
</template>

<style scoped>
.bench {
  display: flex;
  gap: var(--space-2);
  align-items: center;
}
.finishes {
  flex: 1 1 240px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  margin-top: var(--space-2);
}
</style>
