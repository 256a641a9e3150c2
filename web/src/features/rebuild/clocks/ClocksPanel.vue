<script setup lang="ts">
import { timerStates } from '@dauer/core/readiness';
import { computed, nextTick, ref } from 'vue';
import { useOpenJob } from '../../../job/openJob.ts';
import ClockRow from './ClockRow.vue';
import ClockStart from './ClockStart.vue';

/** Processes by the clock: what soaks, flashes off, bakes, cures and cools, each a start and a duration in the book. */
const props = defineProps<{ writable: boolean }>();
const job = useOpenJob();
const starting = ref(false);
const ORDER = { over: 0, heating: 1, running: 2, ended: 3, broken_off: 4 } as const;
const states = computed(() => [...timerStates(job.history, job.today)].sort((a, b) => ORDER[a.phase] - ORDER[b.phase]));
/** The work goes on where it began, and on no button that takes something back. */
const begin = ref<{ $el: HTMLElement } | null>(null);
async function shut(): Promise<void> {
  starting.value = false;
  await nextTick();
  begin.value?.$el.focus();
}
const place = computed(() => job.component?.slot ?? null);
</script>

<template>
  <section>
    <h2 class="line">Clocks</h2>
    <ul v-if="states.length > 0" class="rows">
      <ClockRow v-for="s in states" :key="s.timer.id" :state="s" :writable="props.writable" />
    </ul>
    <p v-else class="second empty">Nothing soaks, cures or cools.</p>
    <template v-if="writable">
      <ClockStart v-if="starting && place" :key="place.id" :slot-of="place" @started="shut" @close="shut" />
      <p v-else-if="place">
        <v-btn ref="begin" class="act slim" @click="starting = true">Start a clock at the {{ place.name.toLowerCase() }}</v-btn>
      </p>
      <p v-else class="second small">Pick on the map what it is for.</p>
    </template>
  </section>
</template>

<style scoped>
.rows {
  list-style: none;
  padding: 0;
}
</style>
