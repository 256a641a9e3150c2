<script setup lang="ts">
import { VERDICT_WORD } from '@dauer/core/wording';
import { type Verdict } from '@dauer/core/verdict';
import { computed } from 'vue';
import { MARK_COLOUR } from './marks.ts';
import MarkShape from './MarkShape.vue';

const props = withDefaults(defineProps<{ verdict: Verdict; size?: number; word?: boolean }>(), { size: 16, word: false });
const colour = computed(() => MARK_COLOUR[props.verdict]);
</script>

<template>
  <span class="verdict" :style="{ color: colour }">
    <svg
      :width="size"
      :height="size"
      viewBox="-8.5 -8.5 17 17"
      :aria-hidden="word"
      role="img"
      :aria-label="word ? undefined : VERDICT_WORD[verdict]"
    >
      <MarkShape :verdict="verdict" />
    </svg>
    <span v-if="word" class="word">{{ VERDICT_WORD[verdict] }}</span>
  </span>
</template>

<style scoped>
.verdict {
  display: inline-flex;
  align-items: center;
  gap: 7px;
  vertical-align: middle;
}
.verdict svg {
  flex: none;
}
.word {
  font: 600 var(--type-caption)/var(--leading) var(--plate-font);
  white-space: nowrap;
}
</style>
