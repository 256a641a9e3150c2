<script setup lang="ts">
import type { CautionStep } from '@dauer/core/catalogue';
import { isStandalone } from '@dauer/core/layout';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import CautionPlates from '../../job/CautionPlates.vue';
import ComponentBench from './ComponentBench.vue';
import ToGauge from './ToGauge.vue';

const job = useOpenJob();
const steps = computed<CautionStep[]>(() => {
  // Units that came by post are stripped as well, with no pedal near.
  if (isStandalone(job.state.records.layout)) return ['unit'];
  return job.component?.slot.corner === null ? ['gauge_drum'] : ['strip'];
});
</script>

<template>
  <CautionPlates :steps="steps" show="open" />
  <ComponentBench v-if="job.component" :key="job.component.slot.id" />
  <ToGauge v-else />
  <CautionPlates :steps="steps" show="quiet" />
</template>
