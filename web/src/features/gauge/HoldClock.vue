<script setup lang="ts">
import { type MeasurementId, MEASUREMENTS } from '@dauer/core/catalogue';
import { useNow } from '@vueuse/core';
import { computed, watch } from 'vue';
import ClockFace from '../../fittings/ClockFace.vue';
import { heldSince } from './heldSince.ts';
import { useSpeech } from '../../app/speech.ts';

/** The clock of what is held before it is read: 60 s of a pedal, 5 min of a unit on the bench. It runs on while other things are looked at. */
const props = defineProps<{ measurement: MeasurementId; slotId: string; place: string | null }>();
const spot = computed(() => {
  const { pattern } = MEASUREMENTS[props.measurement];
  return pattern.form === 'spots' ? pattern.spots.find((s) => s.id === props.place) : undefined;
});
const holdS = computed(() => spot.value?.holdS ?? null);
const key = computed(() => `${props.slotId}|${props.measurement}|${props.place}`);
const now = useNow({ interval: 200 });
const since = computed(() => heldSince.value.get(key.value) ?? null);
const left = computed(() =>
  since.value === null || holdS.value === null ? null : Math.max(0, Math.ceil(holdS.value - (now.value.getTime() - since.value) / 1000)),
);
const clock = (s: number): string => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
const speech = useSpeech();
watch(left, (s, before) => {
  if (s === 0 && before !== 0 && before !== null) speech.say('Time. Read it now.');
});
function start(): void {
  heldSince.value = new Map(heldSince.value).set(key.value, Date.now());
}
function stop(): void {
  const rest = new Map(heldSince.value);
  rest.delete(key.value);
  heldSince.value = rest;
}
</script>

<template>
  <div v-if="holdS !== null" class="hold" role="timer" :aria-label="`${spot?.name}: held`">
    <ClockFace :minutes="holdS - (left ?? holdS)" :planned="holdS" :size="40" />
    <b class="fig big">{{ clock(left ?? holdS) }}</b>
    <span class="second">{{ left === null ? 'to be held, then read' : left > 0 ? 'hold it' : 'read it now' }}</span>
    <v-btn v-if="left === null" class="act" @click="start">Hold from now</v-btn>
    <v-btn v-else class="act" @click="stop">{{ left > 0 ? 'Let go' : 'Again' }}</v-btn>
  </div>
</template>

<style scoped>
.hold {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  flex-wrap: wrap;
  margin: var(--space-2) 0;
}
.big {
  font-size: var(--type-title);
}
</style>
