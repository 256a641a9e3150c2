<script setup lang="ts">
import { runningOperations } from '@dauer/core/history';
import { computed } from 'vue';
import ClockFace from '../fittings/ClockFace.vue';
import { hoursText, timeText } from '../fittings/dates.ts';
import { useJob } from '../job/job.ts';

/** Operations that are running in the open job, as small clocks: started when, against the minutes they were given. */
const job = useJob();
const running = computed(() => (job.state && !job.state.released ? runningOperations(job.state.history, job.today).slice(0, 2) : []));
</script>

<template>
  <div v-for="r in running" :key="r.operation.id" class="clock" :title="`${r.operation.title}, running since ${timeText(r.since)}`">
    <ClockFace :minutes="r.minutes" :planned="r.operation.attendedMinutes" />
    <span>
      <span class="what">{{ r.operation.title }}</span>
      <span class="fig">{{ hoursText(r.minutes) }}</span>
    </span>
  </div>
</template>

<style scoped>
.clock {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  max-width: 190px;
}
.clock > span {
  display: grid;
  min-width: 0;
}
.what {
  font: 600 var(--type-second)/16px var(--plate-font);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.fig {
  font-size: var(--type-paragraph);
  line-height: 18px;
  word-spacing: -0.35em;
}
@media (max-width: 1100px) {
  .clock {
    display: none;
  }
}
</style>
