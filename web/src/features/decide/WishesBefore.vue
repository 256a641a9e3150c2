<script setup lang="ts">
import { computed } from 'vue';
import { dayText } from '../../fittings/dates.ts';
import { useOpenJob } from '../../job/openJob.ts';

/** What the owner wished for later on jobs before this one: it stays with the vehicle. */
const job = useOpenJob();
const wishes = computed(() =>
  job.history
    .active(job.records.ownerChoices)
    .filter((c) => c.jobId !== job.records.job.id && c.wishes !== '')
    .toReversed(),
);
</script>

<template>
  <p v-for="w in wishes" :key="w.id" class="small">
    <b>Wished for on {{ dayText(w.happenedAt) }}:</b>
    {{ w.wishes }}
  </p>
</template>
