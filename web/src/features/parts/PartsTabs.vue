<script setup lang="ts">
import { useSession } from '../../app/session.ts';

/** What Parts is made of: what carries a tag, and what is bought. */
defineProps<{ at: 'tagged' | 'prices' }>();
const session = useSession();
</script>

<template>
  <nav v-if="session.may('technician')" class="tabs" aria-label="Parts">
    <RouterLink class="tab" to="/parts" :aria-current="at === 'tagged' ? 'page' : undefined">Tagged parts</RouterLink>
    <RouterLink class="tab" to="/parts/prices" :aria-current="at === 'prices' ? 'page' : undefined">Prices</RouterLink>
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: var(--space-5);
  border-bottom: var(--line-hair) solid var(--hair);
}
.tab {
  min-width: var(--touch);
  text-align: center;
  min-height: var(--touch);
  align-content: center;
  font: 600 var(--type-caption)/22px var(--plate-font);
  text-decoration: none;
  border-bottom: var(--line-chosen) solid transparent;
}
.tab[aria-current] {
  color: var(--ink);
  border-color: var(--blue);
}
</style>
