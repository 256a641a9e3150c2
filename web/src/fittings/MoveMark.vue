<script setup lang="ts">
import { MOVE_NAME, type MoveLevel } from '@dauer/core/wording';
import { computed } from 'vue';

/** How far a vehicle may be moved, beside its tag: a word, and how many of three steps are open. */
const props = defineProps<{ level: MoveLevel; reasons: readonly string[] }>();
const LEVELS: readonly MoveLevel[] = ['do_not_move', 'yard_only', 'road_test', 'handed_back'];
const reached = computed(() => LEVELS.indexOf(props.level));
const why = computed(() => props.reasons.join(' '));
</script>

<template>
  <span class="move" :class="{ held: level === 'do_not_move' }" :title="why">
    <svg width="30" height="14" viewBox="0 0 30 14" aria-hidden="true">
      <rect
        v-for="i in 3"
        :key="i"
        :x="(i - 1) * 10 + 1"
        y="1"
        width="8"
        height="12"
        :fill="i <= reached ? 'currentColor' : 'none'"
        stroke="currentColor"
        stroke-width="1.5"
      />
    </svg>
    <b class="plate-font">{{ MOVE_NAME[level] }}</b>
    <span class="sr">{{ why }}</span>
  </span>
</template>

<style scoped>
.move {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  white-space: nowrap;
  font-size: var(--type-paragraph);
  line-height: var(--leading-tight);
  color: var(--ink2);
}
.held {
  color: var(--ink);
}
</style>
