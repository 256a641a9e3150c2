<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useJob } from '../job/job.ts';
import JustEntered from '../job/JustEntered.vue';
import OpenJob from '../job/OpenJob.vue';
import TakeBackDialog from '../job/TakeBackDialog.vue';
import JobBody from './JobBody.vue';
import JobColumns from './JobColumns.vue';
import StuckJob from './StuckJob.vue';

/** Opens the job of the address, and says what it is while it is not open. */
const job = useJob();
const route = useRoute();
const jobId = computed(() => String(route.params['jobId'] ?? ''));
watch(jobId, (id) => void job.load(id), { immediate: true });
useEventListener(window, 'focus', () => void job.refresh());
</script>

<template>
  <div v-if="job.problem && !job.records" class="screen">
    <h1>This job cannot be shown</h1>
    <p class="problem" role="alert">{{ job.problem }}</p>
    <p class="gap">
      <v-btn class="act" @click="job.load(jobId)">Try again</v-btn>
      <v-btn class="act" to="/">To the yard</v-btn>
    </p>
  </div>
  <StuckJob v-else-if="job.stuck" :stuck="job.stuck" :job-id="jobId" />
  <OpenJob v-else-if="job.state && job.records && job.history" :key="job.state.records.job.id">
    <JobBody :job-id="jobId" />
    <TakeBackDialog />
    <JustEntered />
  </OpenJob>
  <JobColumns v-else class="loading" aria-busy="true"><h1 class="second">Opening the job …</h1></JobColumns>
</template>

<style scoped>
.gap {
  margin-top: var(--space-4);
}
</style>
