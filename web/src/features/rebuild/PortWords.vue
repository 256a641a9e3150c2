<script setup lang="ts">
import { portFact } from '@dauer/core/readiness';
import { portWords } from '@dauer/core/wording';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import SeatMark from './SeatMark.vue';

/** What a port is, where somebody said it of the part that sits there. */
const props = defineProps<{ slotId: string; port: string }>();
const job = useOpenJob();
const fact = computed(() => portFact(job.state.history, props.slotId, props.port));
</script>

<template>
  <span v-if="fact" class="small port">
    <SeatMark :seat="fact.seat" />
    {{ portWords(fact) }}
  </span>
</template>

<style scoped>
.port {
  display: flex;
  gap: var(--space-1);
  align-items: center;
  line-height: 18px;
}
</style>
