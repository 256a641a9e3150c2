<script setup lang="ts">
import { mayMove } from '@dauer/core/views';
import { computed } from 'vue';
import MoveMark from '../fittings/MoveMark.vue';
import TagPlate from '../fittings/TagPlate.vue';
import { useJob } from '../job/job.ts';

/** Which job is open, and how far its vehicle may be moved. */
const job = useJob();
const move = computed(() => (job.state ? mayMove(job.state) : null));
</script>

<template>
  <template v-if="job.records">
    <TagPlate :tag="job.records.vehicle.tag" />
    <span class="vehicle plate-font" :title="job.records.vehicle.name">{{ job.records.vehicle.name }}</span>
    <MoveMark v-if="move" class="moves" :level="move.level" :reasons="move.reasons.map((r) => r.words)" />
  </template>
</template>

<style scoped>
.vehicle {
  font-size: 24px;
  line-height: 28px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
@media (max-width: 720px) {
  .moves {
    display: none;
  }
  .vehicle {
    font-size: var(--type-tab);
  }
}
</style>
