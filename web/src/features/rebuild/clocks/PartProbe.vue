<script setup lang="ts">
import { readTold, toResult } from '@dauer/core/quantity';
import { isHotEnough, type TimerState } from '@dauer/core/readiness';
import { TIMER_FIELD } from '@dauer/core/wording';
import { computed, watch } from 'vue';
import TesterPick from '../../../job/TesterPick.vue';
import { useTester } from '../../../job/useTester.ts';

/**
 * A probe on the part, over the network: what it sends by its button is a measure, and so is the moment at which the part comes into
 * its window or leaves it. One that falls silent measures nothing, and says so.
 */
const props = defineProps<{ state: TimerState }>();
const emit = defineEmits<{ measured: [typed: string] }>();
const probe = useTester(['thermometer'], (text) => emit('measured', text));
const shows = computed(() => {
  const m = probe.instrument.live.value;
  return m ? `${m.text} ${m.unit}` : '';
});
const celsius = computed(() => {
  const read = toResult(() => readTold('part_heat', shows.value, 'degC').canonical);
  return shows.value !== '' && read.ok ? read.value : null;
});
/** On which side of its window it was said to be last, while the book has not answered yet. */
let said: boolean | null = null;
/** What was measured last says whether it counts; where the probe says otherwise, that is a measure. */
watch(celsius, (c) => {
  if (c === null || props.state.phase === 'over') return;
  const hot = isHotEnough(props.state.timer, c);
  if (hot === (props.state.phase === 'running') || hot === said) return;
  said = hot;
  emit('measured', shows.value);
});
</script>

<template>
  <TesterPick :tester="probe" :label="TIMER_FIELD.probe" :start="TIMER_FIELD.follow" :listening="TIMER_FIELD.follows" :shows="shows" />
</template>
