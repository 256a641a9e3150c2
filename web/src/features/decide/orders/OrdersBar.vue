<script setup lang="ts">
import { ref } from 'vue';
import { useFoot } from '../../../fittings/useFoot.ts';

/** The running result of the orders, and the one next act. */
defineProps<{ title: string; says: string; act: string | null; busy: boolean }>();
const emit = defineEmits<{ press: [] }>();
const here = ref<HTMLElement | null>(null);
useFoot(here);
</script>

<template>
  <div ref="here" class="footbar result" role="region" aria-label="What comes next with the orders">
    <div class="sum">
      <b class="plate-font">{{ title }}</b>
      <span>{{ says }}</span>
    </div>
    <v-btn v-if="act" class="act main" :loading="busy" @click="emit('press')">{{ act }}</v-btn>
  </div>
</template>

<style scoped>
.result {
  display: flex;
  justify-content: space-between;
  padding: var(--space-2) var(--space-5) var(--space-2) var(--map);
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
