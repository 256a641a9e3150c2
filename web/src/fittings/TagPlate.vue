<script setup lang="ts">
defineProps<{ tag: string; small?: boolean }>();
</script>

<template>
  <span class="tag" :class="{ small }">
    <i aria-hidden="true" />
    {{ tag }}
  </span>
</template>

<style scoped>
.tag {
  display: inline-flex;
  align-items: center;
  gap: var(--space-2);
  height: 28px;
  padding: 0 10px 0 9px;
  background: var(--ink);
  color: var(--plate);
  border-radius: var(--corner);
  font: 600 var(--type-tag)/28px var(--plate-font);
  letter-spacing: 0.08em;
  text-transform: uppercase;
  white-space: nowrap;
}
.tag i {
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: var(--page);
}
.tag.small {
  height: 24px;
  font-size: var(--type-paragraph);
  line-height: var(--leading);
  padding: 0 var(--space-2);
  gap: 7px;
}
.tag.small i {
  width: 6px;
  height: 6px;
}
</style>
