<script setup lang="ts">
import { paintBands, type Taken } from '@dauer/core/metrology';
import { toResult } from '@dauer/core/quantity';
import { computed } from 'vue';

/** What temperature-indicating paint says of how hot a rotor got. */
const props = defineProps<{ taken: readonly Taken[] }>();
const at = (place: string) => props.taken.find((t) => t.reading.place === place)?.value;
const words = computed(() => {
  const [turned, unturned] = [at('hottest turned'), at('coolest kept')];
  const bands = [
    ...(turned === undefined ? [] : [{ turnsAt: turned, turned: true }]),
    ...(unturned === undefined ? [] : [{ turnsAt: unturned, turned: false }]),
  ];
  const read = toResult(() => paintBands(bands));
  if (!read.ok) return read.refusal.message;
  const { atLeast, under } = read.value;
  if (atLeast === null) return under === null ? '' : `It stayed under ${under} °C.`;
  return `It got to ${atLeast} °C at least${under === null ? '' : `, and stayed under ${under} °C`}.`;
});
</script>

<template>
  <p v-if="words !== ''">{{ words }}</p>
</template>
