<script setup lang="ts">
import { ref } from 'vue';

/** At phone width the map folds to a strip that opens on a tap. */
defineProps<{ label: string }>();
const open = ref(false);
</script>

<template>
  <div class="strip" :class="{ open }">
    <button class="handle" type="button" :aria-expanded="open" @click="open = !open">
      <span class="plate-font">Brake map</span>
      <span class="second small">{{ label }}</span>
      <span class="link">{{ open ? 'fold' : 'open' }}</span>
    </button>
    <div class="inside"><slot /></div>
  </div>
</template>

<style scoped>
.handle {
  display: none;
}
@media (max-width: 860px) {
  .handle {
    display: flex;
    width: 100%;
    align-items: center;
    gap: var(--space-3);
    min-height: var(--strip);
    padding: 0 var(--space-4);
    background: var(--plate);
    border: 0;
    border-bottom: var(--line-hair) solid var(--ink);
    cursor: pointer;
    text-align: left;
  }
  .handle .second {
    flex: 1;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .inside {
    display: none;
  }
  .open .inside {
    display: block;
  }
}
</style>
