<script setup lang="ts">
/** A wheel, or the middle, folded to a line that says how it stands. */
defineProps<{ name: string; says: string; open?: boolean }>();
</script>

<template>
  <details class="place" :open="open">
    <summary>
      <span class="plate-font name">{{ name }}</span>
      <span class="second small">{{ says }}</span>
    </summary>
    <slot />
  </details>
</template>

<style scoped>
.place {
  border-bottom: var(--line-hair) solid var(--hair);
  padding: var(--space-1) 0;
}
summary {
  cursor: pointer;
  min-height: 40px;
  display: flex;
  gap: var(--space-3);
  align-items: center;
  color: var(--blue);
}
summary::before {
  content: '▸';
  width: 12px;
}
details[open] summary::before {
  content: '▾';
}
.name {
  font-size: var(--type-caption);
}
</style>
