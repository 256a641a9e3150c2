<script setup lang="ts" generic="V extends string">
/** Which of several lists is shown, each with how many it has. */
defineProps<{ views: readonly { readonly id: V; readonly title: string; readonly count: number | string }[] }>();
const view = defineModel<V>({ required: true });
</script>

<template>
  <nav class="views" aria-label="What is shown">
    <button v-for="v in views" :key="v.id" type="button" class="view" :aria-pressed="view === v.id" @click="view = v.id">
      <b>{{ v.title }}</b>
      <span class="fig">{{ v.count }}</span>
    </button>
  </nav>
</template>

<style scoped>
.views {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  padding: var(--space-3) 0;
}
.view {
  display: flex;
  gap: var(--space-2);
  align-items: baseline;
  min-height: var(--touch);
  padding: 0 var(--space-4);
  align-content: center;
  background: none;
  color: var(--ink);
  border: var(--line-hair) solid var(--ink);
  border-radius: var(--corner);
  cursor: pointer;
}
.view b {
  font: 600 var(--type-body)/42px var(--plate-font);
}
.view[aria-pressed='true'] {
  border-width: var(--line-head);
  border-color: var(--blue);
  background: var(--blue-tint);
}
@media (max-width: 560px) {
  .view {
    flex: 1 1 30%;
    justify-content: space-between;
    padding: 0 var(--space-2);
  }
}
</style>
