<script setup lang="ts">
import { minutesUntil } from '@dauer/core/quantity';
import { computed } from 'vue';
import { useClocks } from '../app/clocks.ts';
import ClockFace from '../fittings/ClockFace.vue';
import { hoursText } from '../fittings/dates.ts';

/**
 * Processes that run in the shop, on every screen: what is over first, then what is over next.
 * `brief`: where a job has the room, a clock is a face and its figure until it is over.
 */
defineProps<{ brief: boolean }>();
const clocks = useClocks();
const SHOWN = 2;
const shown = computed(() =>
  clocks.clocks.slice(0, SHOWN).map((c) => {
    const left = c.overAt === null ? c.minutes : minutesUntil(c.overAt, new Date(clocks.now).toISOString());
    const over = clocks.isOver(c);
    const says = c.overAt === null ? 'heats up' : over ? 'over' : hoursText(left);
    return { c, left, over, says };
  }),
);
const more = computed(() => clocks.clocks.length - shown.value.length);
</script>

<template>
  <div v-if="shown.length > 0" class="clocks" role="status" aria-label="Clocks that run">
    <RouterLink
      v-for="{ c, left, over, says } in shown"
      :key="c.timerId"
      class="clock"
      :class="{ over }"
      :to="`/jobs/${c.jobId}/rebuild`"
      :title="`${c.tag}, ${c.place}: ${c.what}`"
      :aria-label="`${c.tag}, ${c.place}: ${c.what}, ${says}`"
    >
      <ClockFace :minutes="c.minutes - left" :planned="c.minutes" :size="26" />
      <span>
        <span v-if="!brief || over" class="what">{{ c.tag }} {{ c.what.toLowerCase() }}</span>
        <span class="fig">{{ says }}</span>
      </span>
    </RouterLink>
    <span v-if="more > 0" class="second small">and {{ more }}</span>
  </div>
</template>

<style scoped>
.clocks {
  display: flex;
  gap: var(--space-3);
  align-items: center;
}
.clock {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  max-width: 190px;
  color: inherit;
  text-decoration: none;
  min-height: var(--touch);
}
.clock > span {
  display: grid;
  min-width: 0;
}
.what {
  font: 600 var(--type-second)/16px var(--plate-font);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.fig {
  font-size: var(--type-paragraph);
  line-height: 18px;
  word-spacing: -0.35em;
}
.over .fig {
  font-weight: 700;
}
@media (max-width: 1100px) {
  .clocks .clock:not(.over) {
    display: none;
  }
}
@media (max-width: 700px) {
  .clock > span,
  .clocks > .second {
    display: none;
  }
}
</style>
