<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useJob } from '../job/job.ts';
import JustEntered from '../job/JustEntered.vue';
import OpenJob from '../job/OpenJob.vue';
import TakeBackDialog from '../job/TakeBackDialog.vue';
import JobBody from './JobBody.vue';
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
  <div v-else class="frame loading" aria-busy="true">
    <aside class="left" />
    <main class="right"><h1 class="second">Opening the job …</h1></main>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: var(--map) minmax(0, 1fr);
  min-height: calc(100vh - 104px);
}
.left {
  background: var(--plate);
  border-right: var(--line-hair) solid var(--hair);
}
.right {
  padding: 0 var(--space-5) var(--space-5);
}
.gap {
  margin-top: var(--space-4);
}
@media (max-width: 860px) {
  .frame {
    grid-template-columns: 1fr;
  }
  .left {
    border-right: 0;
  }
  .right {
    padding: 0 var(--space-3) var(--space-5);
  }
}
</style>
