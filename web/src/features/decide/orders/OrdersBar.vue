<script setup lang="ts">
/** The running result of the orders, and the one next act. */
defineProps<{ title: string; says: string; act: string | null; busy: boolean }>();
const emit = defineEmits<{ press: [] }>();
</script>

<template>
  <div class="result" role="region" aria-label="What comes next with the orders">
    <div class="sum">
      <b class="plate-font">{{ title }}</b>
      <span>{{ says }}</span>
    </div>
    <v-btn v-if="act" class="act main" :loading="busy" @click="emit('press')">{{ act }}</v-btn>
  </div>
</template>

<style scoped>
.result {
  position: fixed;
  left: 0;
  right: 0;
  bottom: 0;
  z-index: 40;
  min-height: 80px;
  display: flex;
  justify-content: space-between;
  gap: var(--space-4);
  align-items: center;
  padding: var(--space-2) var(--space-5) var(--space-2) var(--map);
  background: var(--bar);
  color: var(--bar-text);
  border-top: var(--bar-top);
}
.sum {
  min-width: 0;
}
.sum b {
  display: block;
  font-size: var(--type-title);
  line-height: 26px;
  color: var(--bar-figure);
}
.sum span {
  font-size: var(--type-second);
  line-height: 18px;
  color: var(--bar-text2);
}
.result :focus-visible {
  outline-color: var(--bar-live);
}
@media (max-width: 1180px) {
  .result {
    padding: var(--space-2) var(--space-3);
  }
  .sum b {
    font-size: var(--type-caption);
    line-height: 22px;
  }
  .sum span {
    display: none;
  }
}
</style>
