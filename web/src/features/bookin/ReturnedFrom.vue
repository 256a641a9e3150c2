<script setup lang="ts">
import { tryJob } from '@dauer/core/job';
import type { JobRecords } from '@dauer/core/ledger';
import { formerJob, type FormerJob as Former } from '@dauer/core/views';
import { ref, watch } from 'vue';
import { call, sentenceOf } from '../../app/client.ts';
import { useOpenJob } from '../../job/openJob.ts';
import FormerJob from './FormerJob.vue';

/** A return opens with what we touched, proved and left, before anything is asked. */
const job = useOpenJob();
const former = ref<Former | null>(null);
const problem = ref('');
watch(
  () => job.records.job.returnOf ?? null,
  async (id) => {
    former.value = null;
    problem.value = '';
    if (id === null) return;
    try {
      const file = (await call('job', { params: { jobId: id } })) as JobRecords;
      const tried = tryJob(file, new Date().toISOString());
      former.value = tried.ok ? formerJob(tried.state) : null;
    } catch (error) {
      problem.value = sentenceOf(error);
    }
  },
  { immediate: true },
);
</script>

<template>
  <FormerJob v-if="former" :former="former" class="back" />
  <p v-else-if="problem" class="second back">The job that it comes back from cannot be shown now. {{ problem }}</p>
</template>

<style scoped>
.back {
  margin-bottom: var(--space-4);
}
</style>
