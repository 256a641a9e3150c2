<script setup lang="ts">
import { limitsNeeded, type NeededLimit } from '@dauer/core/views';
import { computed } from 'vue';
import type { RouteLocationRaw } from 'vue-router';
import { useOpenJob } from '../../job/openJob.ts';

/** What this vehicle's figures are held against: which limit applies and why, and what is still missing. */
const job = useOpenJob();
const rows = computed(() => limitsNeeded(job.state));
/** The way to the book, with what is to be entered filled in. */
function enter(r: NeededLimit, scope: 'type' | 'vehicle'): RouteLocationRaw {
  const v = job.state.records.vehicle;
  const about = { enter: '1', scope, characteristic: r.characteristic, axle: r.axle ?? '' };
  const whose =
    scope === 'type' ? { make: v?.make ?? '', model: v?.model ?? '' } : { appliesTo: v?.id ?? '', label: `${v?.tag ?? ''} alone` };
  return { path: '/limits', query: { ...about, ...whose } };
}
const missing = computed(() => rows.value.filter((r) => r.limit === null || r.limit.source === 'generic'));
</script>

<template>
  <section v-if="rows.length > 0">
    <h2 class="line">Its limits</h2>
    <p class="second small">
      {{ missing.length === 0 ? 'All there.' : `${missing.length} of ${rows.length} still to be entered from the maker’s document.` }}
      <RouterLink to="/limits">The limit book</RouterLink>
    </p>
    <ul>
      <li v-for="r in rows" :key="`${r.characteristic}${r.axle}`">
        <b class="plate-font">{{ r.name }}{{ r.axle ? `, ${r.axle}` : '' }}</b>
        <span>
          <span class="second">{{ r.why }}</span>
          <template v-if="job.writable">
            <RouterLink
              v-if="r.limit === null || r.limit.source === 'generic'"
              class="enter"
              :to="enter(r, 'type')"
              :aria-label="`Enter it: ${r.name}${r.axle ? `, ${r.axle}` : ''}`"
            >
              Enter it
            </RouterLink>
            <RouterLink
              v-else
              class="enter"
              :to="enter(r, 'vehicle')"
              :aria-label="`Another for this vehicle alone: ${r.name}${r.axle ? `, ${r.axle}` : ''}`"
            >
              Another for this vehicle alone
            </RouterLink>
          </template>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
/* The way to the book stands after the reason. */
.enter {
  margin-left: 10px;
  white-space: nowrap;
}
li {
  display: grid;
  grid-template-columns: 260px 1fr;
  gap: var(--space-1) var(--space-4);
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
@media (max-width: 720px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
