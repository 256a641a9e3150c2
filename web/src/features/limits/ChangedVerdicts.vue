<script setup lang="ts">
import type { VerdictChange } from '@dauer/contract';
import VerdictMark from '../../fittings/VerdictMark.vue';

/** What a new limit did to the verdicts of open jobs. */
defineProps<{ changed: readonly VerdictChange[] }>();
</script>

<template>
  <div class="problem" role="status" data-changed>
    <p v-if="changed.length === 0">Entered. No verdict of an open job fell differently.</p>
    <template v-else>
      <p>
        <b class="plate-font">{{ changed.length === 1 ? 'One verdict' : `${changed.length} verdicts` }} of open jobs fell differently.</b>
        Jobs handed back keep theirs.
      </p>
      <ul>
        <li v-for="(c, i) in changed" :key="i">
          <RouterLink :to="`/jobs/${c.jobId}/gauge`">{{ c.tag }}</RouterLink>
          {{ c.place }}, {{ c.characteristic.toLowerCase() }}
          <VerdictMark :verdict="c.was" :size="14" word />
          <span class="second">became</span>
          <VerdictMark :verdict="c.is" :size="14" word />
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.problem {
  margin-top: var(--space-3);
}
li {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  align-items: baseline;
  padding: 3px 0;
}
</style>
