<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';

/** What Parts is made of: what carries a tag, what is under way, what lies here, what our work lasted, and what is bought. */
const props = defineProps<{
  at: 'tagged' | 'traffic' | 'store' | 'lasting' | 'prices';
  /** Whoever is here sees what things cost. */
  prices: boolean;
}>();
const tabs = computed(() => [
  { id: 'tagged', to: '/parts', title: 'Tagged parts' },
  { id: 'traffic', to: '/parts/traffic', title: 'Orders and send-outs' },
  { id: 'store', to: '/parts/store', title: 'Lots and store' },
  { id: 'lasting', to: '/parts/lasting', title: 'What our work lasted' },
  ...(props.prices ? [{ id: 'prices', to: '/parts/prices', title: 'Prices' }] : []),
]);
const row = ref<HTMLElement | null>(null);
/** Where the tabs are wider than the page, the one that is open is seen whole. */
onMounted(() => {
  const open = row.value?.querySelector<HTMLElement>('[aria-current]');
  if (row.value && open) row.value.scrollLeft = open.offsetLeft + open.offsetWidth / 2 - row.value.clientWidth / 2;
});
</script>

<template>
  <nav ref="row" class="tabs" aria-label="Parts">
    <RouterLink v-for="t in tabs" :key="t.id" class="tab" :to="t.to" :aria-current="at === t.id ? 'page' : undefined">
      {{ t.title }}
    </RouterLink>
  </nav>
</template>

<style scoped>
.tabs {
  position: relative;
  display: flex;
  gap: var(--space-5);
  border-bottom: var(--line-hair) solid var(--hair);
  overflow-x: auto;
  /* The names of the tabs make no page wider than it is. */
  contain: inline-size;
}
.tab {
  flex: 0 0 auto;
  min-width: var(--touch);
  text-align: center;
  white-space: nowrap;
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
