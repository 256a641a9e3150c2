<script setup lang="ts">
import { cardFor, type OptionId, stepsFor } from '@dauer/core/catalogue';
import { placeName, type Slot } from '@dauer/core/layout';
import { followedIn } from '@dauer/core/ledger';
import { upperFirst } from '@dauer/core/quantity';
import { cardContent, cardState, isOfDecision, runAt } from '@dauer/core/readiness';
import { timeWords } from '@dauer/core/wording';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { timeNow } from '../../app/client.ts';
import { useOpenJob } from '../../job/openJob.ts';

/** The order of the work at a place, as its card has it: by group, in the words of the schools that the shop follows. */
const props = defineProps<{ slotOf: Slot; option: OptionId }>();
const job = useOpenJob();
const card = computed(() => cardFor(props.slotOf, props.option));
const steps = computed(() => (card.value ? stepsFor(card.value, props.option, followedIn(job.records)) : []));
const groups = computed(() =>
  [...new Set(steps.value.map((s) => s.group))].map((g) => ({ name: g, steps: steps.value.filter((s) => s.group === g) })),
);
const minutes = computed(() => steps.value.reduce((sum, s) => sum + s.minutes, 0));
/** The card that runs here, as it stands: it goes on at the bench. */
const running = computed(() => {
  const run = runAt(job.history, props.slotOf.id);
  return run && isOfDecision(job.history, run) ? cardState(job.history, run, timeNow().at) : null;
});
const route = useRoute();
const router = useRouter();
/** To the bench; a card is begun as it is now, and changes no more. */
function toBench(): void {
  const content = running.value ? null : cardContent(job.history, props.slotOf, props.option);
  if (content) job.add('cardRuns', { slotId: props.slotOf.id, option: props.option, ...content });
  void router.push({ query: { ...route.query, card: props.slotOf.id } });
}
</script>

<template>
  <div v-if="running || (card && steps.length > 0 && job.writable)" class="bench">
    <v-btn class="act slim" :aria-label="`${placeName(slotOf)}: at the bench`" @click="toBench">
      {{ running ? 'On at the bench' : 'At the bench, by its card' }}
    </v-btn>
    <span v-if="running" class="second small">{{ running.closed }} of {{ running.steps.length }} steps told</span>
  </div>
  <details v-if="card && steps.length > 0 && !running" class="order small">
    <summary>
      Order of the work
      <span class="second">{{ steps.length }} {{ steps.length === 1 ? 'step' : 'steps' }}, about {{ timeWords(minutes) }}</span>
    </summary>
    <dl>
      <template v-for="g in groups" :key="g.name">
        <dt class="plate-font">{{ upperFirst(g.name) }}</dt>
        <dd v-for="s in g.steps" :key="s.words">{{ s.words }}</dd>
      </template>
    </dl>
  </details>
</template>

<style scoped>
.order {
  flex: 1 1 240px;
}
.order[open] {
  flex-basis: 100%;
}
.bench {
  display: flex;
  flex: 0 0 auto;
  gap: var(--space-3);
  align-items: center;
}
summary {
  cursor: pointer;
  color: var(--blue);
  min-height: 28px;
}
dl {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr);
  gap: var(--space-1) var(--space-3);
  padding: var(--space-1) 0 var(--space-2);
}
dt {
  grid-column: 1;
}
dd {
  grid-column: 2;
}
@media (max-width: 720px) {
  dl {
    grid-template-columns: minmax(0, 1fr);
  }
  dd {
    grid-column: 1;
  }
}
</style>
