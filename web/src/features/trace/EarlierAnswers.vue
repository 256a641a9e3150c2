<script setup lang="ts">
import { placeName, slotById } from '@dauer/core/layout';
import type { ToTrace } from '@dauer/core/views';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText } from '../../fittings/dates.ts';

/** Answers of an earlier round: shown, not counted, until they are given anew. */
const props = defineProps<{ input: ToTrace }>();
const job = useOpenJob();
const rows = computed(() =>
  [...props.input.evidence.earlier].map(([key, { answer, since }]) => {
    const sign = props.input.network.observations.find((o) => o.id === key);
    const slot = since.slotId !== null && job.state ? slotById(job.state.records.layout, since.slotId) : undefined;
    return {
      ...{ key, text: sign?.text ?? key, seen: answer.state === 'seen' ? 'seen' : 'not seen', on: dayText(answer.happenedAt) },
      since: `${slot ? `${placeName(slot).toLowerCase()} ` : ''}${since.what}, ${dayText(since.at)}`,
    };
  }),
);
</script>

<template>
  <details class="earlier">
    <summary>
      {{ rows.length === 1 ? 'One answer is' : `${rows.length} answers are` }} from before something was changed, and
      {{ rows.length === 1 ? 'does' : 'do' }} not count any more
    </summary>
    <ul class="small">
      <li v-for="r in rows" :key="r.key">
        {{ r.text }}: {{ r.seen }}, {{ r.on }}
        <span class="second">(since then {{ r.since }})</span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.earlier {
  margin: var(--space-2) 0 var(--space-4);
  border-left: var(--line-head) dashed var(--slate);
  padding-left: var(--space-3);
}
summary {
  min-height: var(--touch);
  cursor: pointer;
}
</style>
