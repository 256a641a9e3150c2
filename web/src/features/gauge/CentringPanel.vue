<script setup lang="ts">
import { attempt, type Chosen, fixed, liningCircle, MOST_SETTINGS, parseQuantity, SHOE_POINTS, type Taken } from '@dauer/core';
import { wrap } from 'comlink';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import type { Sums } from '../../workers/sums.ts';

/** Whether the linings stand in the middle of their drum, and which of the settings on offer evens them out. */
const props = defineProps<{ taken: readonly Taken[]; drum: number | null }>();
const emit = defineEmits<{ clearance: [list: readonly { before: number; after: number | null }[] | null]; step: [title: string] }>();
const ENDS = [
  ['aHeel', 'A heel'],
  ['aToe', 'A toe'],
  ['bHeel', 'B heel'],
  ['bToe', 'B toe'],
] as const;
const offered = ref<Record<(typeof ENDS)[number][0], string>>({
  aHeel: '0',
  aToe: '0, 0.25, 0.5, 0.75',
  bHeel: '0',
  bToe: '0, 0.25, 0.5, 0.75',
});
const least = ref('0.05');
const chosen = ref<Chosen | null>(null);
const problem = ref('');
const busy = ref(false);
const points = computed(() =>
  SHOE_POINTS.flatMap((s) => {
    const t = props.taken.find((x) => x.reading.place === s.id);
    return t ? [{ angle: s.angleDeg ?? 0, distance: t.value }] : [];
  }),
);
const circle = computed(() => {
  const { drum } = props;
  return drum === null || points.value.length < 3 ? null : attempt(() => liningCircle(points.value, drum));
});
watch(
  [circle, chosen],
  () => {
    const c = circle.value;
    const list = c?.ok && points.value.length === 6 ? c.value.clearance : null;
    emit('clearance', list ? list.map((before, i) => ({ before, after: chosen.value?.after[i] ?? null })) : null);
  },
  { immediate: true },
);
const worker = new Worker(new URL('../../workers/sums.ts', import.meta.url), { type: 'module' });
const beside = wrap<Sums>(worker);
onBeforeUnmount(() => {
  worker.terminate();
  emit('clearance', null);
});
const listOf = (typed: string): number[] =>
  typed.trim() === ''
    ? []
    : typed
        .split(/[;\s]+|,\s+|,(?=\d+\.)/)
        .filter((x) => x !== '')
        .map((x) => parseQuantity(x, 'length', 'mm').canonical);
async function choose(): Promise<void> {
  problem.value = '';
  chosen.value = null;
  const read = attempt(() => ({
    points: points.value,
    drumDiameter: props.drum ?? 0,
    lifts: {
      aHeel: listOf(offered.value.aHeel),
      aToe: listOf(offered.value.aToe),
      bHeel: listOf(offered.value.bHeel),
      bToe: listOf(offered.value.bToe),
    },
    leastClearance: parseQuantity(least.value, 'length', 'mm').canonical,
  }));
  if (!read.ok) {
    problem.value = read.refusal.message;
    return;
  }
  busy.value = true;
  const done = await beside.chooseLifts(read.value);
  busy.value = false;
  if (done.ok) chosen.value = done.value;
  else problem.value = done.why;
}
const setting = computed(() => {
  const c = chosen.value;
  if (!c) return '';
  const lifts = ENDS.flatMap(([key, name]) => (c.lifts[key] === 0 ? [] : [`${name} by ${fixed(c.lifts[key], 2)} mm`]));
  return lifts.length === 0 ? 'Leave it as it is' : `Lift ${lifts.join(', ')}`;
});
const lies = computed(() => {
  const c = circle.value;
  if (!c?.ok) return '';
  const { dx, dy, unequal } = c.value;
  const side = `${fixed(Math.abs(dx), 2)} mm to the ${dx < 0 ? 'left' : 'right'}, ${fixed(Math.abs(dy), 2)} mm ${dy < 0 ? 'down' : 'up'}`;
  return `The linings’ centre lies ${fixed(Math.hypot(dx, dy), 2)} mm off the axle (${side}); the clearance is unequal by ${fixed(unequal, 2)} mm.`;
});
const outcome = computed(() => {
  const c = chosen.value;
  return c
    ? `${setting.value}: unequal by ${fixed(c.score, 2)} mm instead of ${fixed(Math.max(...c.before) - Math.min(...c.before), 2)} mm.`
    : '';
});
const triedText = computed(() => {
  const c = chosen.value;
  if (!c) return '';
  const touch = c.leftOut > 0 ? `, ${c.leftOut.toLocaleString('en-GB')} of them touch` : '';
  return `${c.tried.toLocaleString('en-GB')} settings tried${touch}; at most ${MOST_SETTINGS.toLocaleString('en-GB')}.`;
});
</script>

<template>
  <section class="work">
    <h2>Do the linings stand in the middle?</h2>
    <p v-if="drum === null" class="second">The drum of this wheel is not gauged yet: its diameter is needed for the clearance.</p>
    <p v-else-if="points.length < 6" class="second">
      {{ points.length }} of 6 points are taken; from three on the circle can be laid through them.
    </p>
    <p v-if="circle?.ok" class="advice">{{ lies }}</p>
    <p v-else-if="circle" class="problem">{{ circle.refusal.message }}</p>
    <form v-if="drum !== null && points.length === 6" class="offer" @submit.prevent="choose">
      <label v-for="[key, name] in ENDS" :key="key">
        {{ name }}, lifts on offer
        <input v-model="offered[key]" />
      </label>
      <label>
        Least clearance, mm
        <input v-model="least" />
      </label>
      <button class="act" type="submit" :disabled="busy">{{ busy ? 'Trying …' : 'Find the most even setting' }}</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="chosen" class="row">
      <p class="advice">
        {{ outcome }}
        <span class="second small">{{ triedText }}</span>
      </p>
      <button class="act" type="button" @click="emit('step', setting)">Make it a step of the rebuild</button>
    </div>
  </section>
</template>

<style scoped>
.work {
  margin-top: 12px;
  border-top: 1px solid var(--slate);
  padding-top: 8px;
}
.advice {
  margin: 6px 0;
}
.offer {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  margin: 8px 0;
}
label {
  display: grid;
  font-size: 14px;
  color: var(--ink2);
}
input {
  width: 150px;
  min-height: 44px;
  padding: 0 8px;
  font: 400 15px var(--figure-font);
  border: 1px solid var(--blue);
  border-radius: 2px;
  background: var(--plate);
  color: var(--ink);
}
.row {
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
