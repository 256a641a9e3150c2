<script setup lang="ts">
import { runningOperations } from '@dauer/core';
import { computed } from 'vue';
import { useJob } from './job.ts';

/** Operations that are running in the open job, as small clocks: started when, against the minutes they were given. */
const job = useJob();
const running = computed(() => (job.state && !job.state.released ? runningOperations(job.state.book, job.today).slice(0, 2) : []));
const text = (minutes: number): string => `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
/** The share of the given time still left, as a sector from 12 o'clock back to the left. */
function sector(share: number): string {
  const left = Math.min(0.999, Math.max(0.001, share));
  const a = -left * 2 * Math.PI;
  return `M16 16V3A13 13 0 ${left > 0.5 ? 1 : 0} 0 ${(16 + 13 * Math.sin(a)).toFixed(2)} ${(16 - 13 * Math.cos(a)).toFixed(2)}Z`;
}
</script>

<template>
  <div v-for="r in running" :key="r.operation.id" class="clock" :title="`${r.operation.title}, running since ${r.since.slice(11, 16)} UTC`">
    <svg width="32" height="32" aria-hidden="true">
      <circle cx="16" cy="16" r="14.5" fill="none" stroke="var(--ink)" stroke-width="1.25" />
      <path v-for="i in 12" :key="i" d="M16 2.5v3" stroke="var(--ink)" :transform="`rotate(${i * 30} 16 16)`" />
      <path :d="sector(1 - r.minutes / Math.max(1, r.operation.attendedMinutes))" fill="var(--ink)" />
    </svg>
    <span>
      <span class="what">{{ r.operation.title }}</span>
      <span class="fig">{{ text(r.minutes) }}</span>
    </span>
  </div>
</template>

<style scoped>
.clock {
  display: flex;
  align-items: center;
  gap: 8px;
  max-width: 190px;
}
.clock > span {
  display: grid;
  min-width: 0;
}
.what {
  font: 600 14px/16px var(--plate-font);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.fig {
  font-size: 15px;
  line-height: 18px;
  word-spacing: -0.35em;
}
@media (max-width: 1100px) {
  .clock {
    display: none;
  }
}
</style>
