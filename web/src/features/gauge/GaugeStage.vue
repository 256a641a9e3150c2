<script setup lang="ts">
import { useJob } from '../../app/job.ts';
import CautionPlates from '../../app/CautionPlates.vue';
import ComponentBench from './ComponentBench.vue';
import ToGauge from './ToGauge.vue';

const job = useJob();
</script>

<template>
  <CautionPlates v-if="job.component" :steps="job.component.slot.kind === 'shoes' || job.component.slot.kind === 'drum' ? ['strip', 'gauge_drum'] : ['strip']" />
  <ComponentBench v-if="job.component" :key="job.component.slot.id" />
  <ToGauge v-else />
</template>
