<script setup lang="ts">
import { parkGaps } from '@dauer/core/readiness';
import { GAP_CLOSED, parkGapWords } from '@dauer/core/wording';
import { computed } from 'vue';
import { useOpenJob } from '../../../job/openJob.ts';

type Gap = ReturnType<typeof parkGaps>[number];

/** What keeps the vehicle from being left, each with what closes it. */
const job = useOpenJob();
const gaps = computed(() => parkGaps(job.history));
const placeOf = (g: Gap): string => (g.kind === 'board' ? g.control.slotId : g.kind === 'bleeding' ? '' : g.slot.id);
const keyOf = (g: Gap): string => `${g.kind}:${placeOf(g)}:${g.kind === 'port' ? g.port : ''}`;
/** What goes on and what is open at a bleeder ends where it is bled. */
const isBleeds = (g: Gap): boolean => g.kind === 'bleeder' || g.kind === 'bleeding';
/** What is said by the press. */
function said(g: Gap): string | null {
  if (g.kind === 'board') return GAP_CLOSED.board(g.control);
  if (g.kind === 'port') return GAP_CLOSED.port(g.joint);
  return g.kind === 'bleeder' || g.kind === 'bleeding' ? null : GAP_CLOSED[g.kind](g.slot);
}
function close(g: Gap): void {
  if (g.kind === 'bleeder' || g.kind === 'bleeding') return;
  const what = { port: 'cap', hangs: 'hung', board: 'board' } as const;
  job.add('putIns', { slotId: placeOf(g), what: what[g.kind], note: '', port: g.kind === 'port' ? g.port : null });
}
</script>

<template>
  <section v-if="gaps.length > 0" aria-labelledby="gaps">
    <h2 id="gaps" class="line">Before it is left</h2>
    <ul class="gaps">
      <li v-for="g in gaps" :key="keyOf(g)">
        <span>{{ parkGapWords(g) }}</span>
        <v-btn v-if="job.writable && said(g)" class="act slim" @click="close(g)">{{ said(g) }}</v-btn>
        <RouterLink v-else-if="isBleeds(g)" class="link" :to="`/jobs/${job.records.job.id}/bleed?pick=${placeOf(g)}`">To Bleed</RouterLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.gaps {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  justify-content: space-between;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
</style>
