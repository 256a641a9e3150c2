<script setup lang="ts">
import { PARKED } from '@dauer/core/wording';
import { dayText } from '../fittings/dates.ts';
import { useOpenJob } from './openJob.ts';

/** A job that somebody left: nothing is entered before somebody has read how. */
const job = useOpenJob();
</script>

<template>
  <p v-if="job.parked && job.isOpen" class="parked no-print" role="status">
    <b class="plate-font">{{ PARKED.title }}</b>
    <span>{{ PARKED.by(job.by(job.parked), dayText(job.parked.happenedAt)) }} {{ PARKED.before }}</span>
    <RouterLink class="link" :to="`/jobs/${job.records.job.id}/parking`">{{ PARKED.read }}</RouterLink>
  </p>
</template>

<style scoped>
.parked {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
  margin: var(--space-2) 0;
  padding: var(--space-2) var(--space-3);
  border: var(--line-chosen) solid var(--ink);
}
.parked b {
  font-size: var(--type-caption);
}
</style>
