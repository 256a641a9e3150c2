<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import type { Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import type { Capture } from './useCapture.ts';

/** Figures that were taken at the wrong position: one of them, or all from here on by one. Nothing is typed again. */
const props = defineProps<{ capture: Capture; decimals: number }>();
const { at, standing, positions, taken, index, putRight } = props.capture;
const asking = ref(false);
const to = ref('');
const takenAt = (p: PlannedPosition): Taken | undefined => taken.value.find((t) => t.key === positionKey(p));
const free = computed(() => positions.value.filter((p) => takenAt(p) === undefined));
function moveOne(): void {
  const target = positions.value.find((p) => positionKey(p) === to.value);
  if (!standing.value || !target) return;
  putRight([{ from: standing.value, to: target }]);
  close();
}
/** From the position in hand on, every figure goes on by one: possible where a free position follows the last of them. */
const slide = computed(() => {
  const moves: { from: Taken; to: PlannedPosition }[] = [];
  for (let i = index.value; i < positions.value.length; i += 1) {
    const p = positions.value[i];
    const from = p && takenAt(p);
    if (!from) return moves;
    const next = positions.value[i + 1];
    if (!next) return [];
    moves.push({ from, to: next });
  }
  return [];
});
function slideOn(): void {
  putRight(slide.value);
  close();
}
function close(): void {
  asking.value = false;
  to.value = '';
}
</script>

<template>
  <p v-if="standing && at" class="right">
    <span>
      {{ at.name }}:
      <span class="fig">{{ fixed(standing.value, decimals) }}</span>
    </span>
    <button class="link" type="button" @click="capture.takeBackReading(standing.reading)">Take it back</button>
    <button v-if="!asking" class="link" type="button" @click="asking = true">It was taken elsewhere</button>
    <template v-else>
      <select v-model="to" aria-label="Where it was taken">
        <option value="" disabled>where it was taken …</option>
        <option v-for="p in free" :key="positionKey(p)" :value="positionKey(p)">{{ p.name }}</option>
      </select>
      <v-btn class="act slim" :disabled="to === ''" @click="moveOne">Put it there</v-btn>
      <v-btn v-if="slide.length > 0" class="act slim" @click="slideOn">
        {{ slide.length === 1 ? 'One further' : `This and ${slide.length - 1} after it one further` }}
      </v-btn>
      <button class="link" type="button" @click="close">Leave it</button>
    </template>
  </p>
</template>

<style scoped>
.right {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
  align-items: center;
  font-size: var(--type-paragraph);
  min-height: var(--touch);
}
select {
  min-height: var(--touch);
  padding: 0 var(--space-2);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  background: var(--plate);
  color: var(--ink);
  font: inherit;
}
</style>
