<script setup lang="ts">
import type { SessionBleeder } from '@dauer/core/stages';
import { FLOW } from '@dauer/core/wording';
import { useNow } from '@vueuse/core';
import { computed } from 'vue';

/** How long a bleeder takes until fluid runs by itself: it is opened, and the first fluid is counted as a stroke. */
const props = defineProps<{ bleeder: SessionBleeder; counts: boolean }>();
const emit = defineEmits<{ opened: [] }>();
const now = useNow({ interval: 500 });
const waited = computed(() =>
  props.bleeder.openedAt === null ? 0 : Math.max(0, Math.floor((now.value.getTime() - Date.parse(props.bleeder.openedAt)) / 1000)),
);
</script>

<template>
  <p class="flow" :class="{ slow: bleeder.slow }">
    <template v-if="bleeder.flowS !== null">
      <b class="fig">{{ FLOW.runs(bleeder.flowS) }}</b>
      <span v-if="bleeder.slow">{{ FLOW.slow }}</span>
    </template>
    <template v-else-if="bleeder.openedAt !== null">
      <b class="fig" role="timer" aria-label="Open for">{{ Math.floor(waited / 60) }}:{{ String(waited % 60).padStart(2, '0') }}</b>
      <span class="second">open; count the first fluid that runs</span>
    </template>
    <v-btn v-else-if="counts && bleeder.strokes.length === 0" class="act" @click="emit('opened')">
      Opened
      <kbd>o</kbd>
    </v-btn>
  </p>
</template>

<style scoped>
.flow {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  min-height: var(--touch);
}
.slow {
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: var(--space-2);
}
kbd {
  margin-left: 6px;
  font: 400 var(--type-least)/var(--leading-tight) var(--figure-font);
}
</style>
