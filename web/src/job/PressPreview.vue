<script setup lang="ts">
import { placeName, slotById } from '@dauer/core/layout';
import { computed } from 'vue';
import { useOpenJob } from './openJob.ts';

/** What a press or an opening would do, in words, beside the map that plays it. */
const job = useOpenJob();
const SHOWN = 6;
const BAD = ['comes_out', 'leaks', 'spoils'];
/** Where something moves that must not, only that is told. */
const mattering = computed(() => job.play?.steps.filter((s) => BAD.includes(s.does) || (!job.play?.danger && s.does !== 'moves')) ?? []);
/** What moves as it should, told together. */
const moves = computed(() => {
  if (!job.play || job.play.danger) return '';
  const names = job.play.steps.flatMap((s) => {
    const slot = s.does === 'moves' && job.records ? slotById(job.records.layout, s.slotId) : undefined;
    return slot ? [placeName(slot).toLowerCase()] : [];
  });
  return names.length > 0 ? `These move: ${names.join(', ')}.` : '';
});
const steps = computed(() => mattering.value.slice(0, SHOWN));
const more = computed(() => Math.max(0, mattering.value.length - SHOWN));
</script>

<template>
  <section v-if="job.play" class="play" :class="{ danger: job.play.danger }" role="status" :aria-label="job.play.title">
    <div class="top">
      <h2>{{ job.play.title }}</h2>
      <button class="link small" type="button" @click="job.playing = null">Put away</button>
    </div>
    <p v-if="job.play.steps.length === 0" class="second">Nothing moves, and nothing runs out.</p>
    <ol>
      <li v-for="s in steps" :key="s.slotId + s.does" :class="{ bad: BAD.includes(s.does) }">{{ s.words }}</li>
    </ol>
    <p v-if="moves" class="second small">{{ moves }}</p>
    <p v-if="more > 0" class="second small">and {{ more }} more</p>
  </section>
</template>

<style scoped>
.play {
  padding: 10px var(--space-5);
  border-top: var(--line-drawn) solid var(--blue);
}
.danger {
  border: var(--line-head) solid var(--ink);
}
.top {
  display: flex;
  align-items: baseline;
  gap: var(--space-3);
}
.top h2 {
  flex: 1;
}
.top .link {
  min-height: var(--touch);
}
li {
  line-height: var(--leading-tight);
  padding: 2px 0 2px 10px;
  border-left: var(--line-chosen) solid transparent;
  font-size: var(--type-paragraph);
}
.bad {
  border-left-color: var(--ink);
  font-weight: 700;
}
</style>
