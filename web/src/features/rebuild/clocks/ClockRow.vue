<script setup lang="ts">
import { placeName } from '@dauer/core/layout';
import { readTold } from '@dauer/core/quantity';
import type { TimerState } from '@dauer/core/readiness';
import { TIMER, TIMER_STEP_NAME } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import ClockFace from '../../../fittings/ClockFace.vue';
import { dayText, timeText } from '../../../fittings/dates.ts';
import { refusalOf } from '../../../fittings/refusal.ts';
import { useOpenJob } from '../../../job/openJob.ts';
import PartProbe from './PartProbe.vue';

/** A clock of a process: what it asks for, what is left, and what is done at its end. */
const props = defineProps<{ state: TimerState; writable: boolean }>();
const job = useOpenJob();
const typed = ref('');
const tried = ref(false);
const breaking = ref(false);
const why = ref('');
const timer = computed(() => props.state.timer);
const runs = computed(() => props.state.phase === 'heating' || props.state.phase === 'running' || props.state.phase === 'over');
const wrong = computed(() => (tried.value ? refusalOf(() => readTold('part_heat', typed.value, 'degC')) : ''));
const says = computed(() => {
  const { phase, tempC, minutesLeft } = props.state;
  if (phase === 'heating') return tempC === null ? TIMER.heating(timer.value) : TIMER.cold(tempC, timer.value);
  if (phase === 'running') return [TIMER.left(minutesLeft), tempC === null ? '' : TIMER.last(tempC)].filter(Boolean).join('; ');
  return phase === 'over' ? TIMER.over : TIMER_STEP_NAME[phase];
});
const steps = computed(() => job.history.active(job.history.records.timerSteps).filter((s) => s.timerId === timer.value.id));
function tell(kind: 'measured' | 'ended' | 'broken_off', figure: string | null, note = ''): void {
  job.add('timerSteps', { timerId: timer.value.id, kind, typed: figure, note });
}
function measure(): void {
  tried.value = true;
  if (wrong.value !== '') return;
  tell('measured', typed.value.trim());
  typed.value = '';
  tried.value = false;
}
function breakOff(): void {
  if (why.value.trim() === '') return;
  tell('broken_off', null, why.value.trim());
  breaking.value = false;
}
</script>

<template>
  <li class="row" :class="{ over: state.phase === 'over' }">
    <ClockFace :minutes="runs ? timer.minutes - state.minutesLeft : timer.minutes" :planned="timer.minutes" :size="40" />
    <div class="what">
      <b class="plate-font">{{ state.process.name }}, {{ placeName(state.slot).toLowerCase() }}</b>
      <span>{{ says }}</span>
      <span v-if="state.phase === 'over'">{{ state.process.then }}</span>
      <span v-if="runs && state.process.hazard" class="small">{{ state.process.hazard }}</span>
      <span class="second small">
        {{ job.by(timer) }}, {{ dayText(timer.happenedAt) }} {{ timeText(timer.happenedAt) }}{{ timer.sheet ? `; ${timer.sheet}` : '' }}
        <template v-for="s in steps" :key="s.id">
          ; {{ TIMER_STEP_NAME[s.kind].toLowerCase() }}{{ s.typed ? ` ${s.typed}` : '' }}{{ s.note ? `, ${s.note}` : '' }}
          {{ timeText(s.happenedAt) }}
          <button v-if="writable" class="link" type="button" @click="job.takeBack(s.id)">Take back</button>
        </template>
        <button v-if="writable && steps.length === 0" class="link" type="button" @click="job.takeBack(timer.id)">Take back</button>
      </span>
    </div>
    <div v-if="writable && runs" class="acts">
      <form v-if="timer.fromC !== null && state.phase !== 'over'" class="measure" @submit.prevent="measure">
        <v-text-field v-model="typed" density="compact" inputmode="decimal" label="The part, °C" :error-messages="wrong" />
        <v-btn class="act slim" type="submit">Measured</v-btn>
      </form>
      <PartProbe v-if="timer.fromC !== null && state.phase !== 'over'" :state="state" @measured="(text) => tell('measured', text)" />
      <v-btn v-if="state.phase === 'over'" class="act" @click="tell('ended', null)">It came to its end</v-btn>
      <form v-if="breaking" class="measure" @submit.prevent="breakOff">
        <v-text-field v-model="why" v-focus density="compact" label="Why it was broken off" />
        <v-btn class="act slim" type="submit" :disabled="why.trim() === ''">Broken off</v-btn>
      </form>
      <button v-else class="link small" type="button" @click="breaking = true">broken off</button>
    </div>
  </li>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-3);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.over {
  border-left: var(--line-head) solid var(--ink);
  padding-left: var(--space-2);
}
.what {
  display: grid;
  flex: 1 1 300px;
}
.acts,
.measure {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
}
.measure > :deep(.v-input) {
  flex: 0 0 160px;
}
</style>
