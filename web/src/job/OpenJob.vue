<script setup lang="ts">
import { provideOpenJob } from './openJob.ts';

/** What is drawn of a job once it is open: everything below has it whole. */
const job = provideOpenJob();
defineSlots<{ default: (of: { readonly job: typeof job }) => unknown }>();
</script>

<template>
  <slot :job="job" />
</template>
