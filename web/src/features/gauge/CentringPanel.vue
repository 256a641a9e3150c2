<script setup lang="ts">
import { centringWords, liftsWords, SHOE_END_NAME } from '@dauer/core/wording';
import { SHOE_POINTS } from '@dauer/core/catalogue';
import { type Chosen, type Lifts, liningCircle, SHOE_ENDS, type Taken } from '@dauer/core/metrology';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useSums } from '../../workers/useSums.ts';

/** Whether the linings stand in the middle of their drum, and which of the settings on offer evens them out. */
const props = defineProps<{ taken: readonly Taken[]; drum: number | null }>();
const emit = defineEmits<{ clearance: [list: readonly { before: number; after: number | null }[] | null]; step: [title: string] }>();
const offered = ref<Record<keyof Lifts, string>>({
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
  return drum === null || points.value.length < 3 ? null : toResult(() => liningCircle(points.value, drum));
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
const beside = useSums();
onBeforeUnmount(() => emit('clearance', null));
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
  const read = toResult(() => ({
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
const words = computed(() => (chosen.value ? liftsWords(chosen.value) : null));
const lies = computed(() => (circle.value?.ok ? centringWords(circle.value.value) : ''));
</script>

<template>
  <section class="working">
    <h2>Do the linings stand in the middle?</h2>
    <p v-if="drum === null" class="second">The drum of this wheel is not gauged yet: its diameter is needed for the clearance.</p>
    <p v-else-if="points.length < 6" class="second">
      {{ points.length }} of 6 points are taken; from three on the circle can be laid through them.
    </p>
    <p v-if="circle?.ok" class="advice">{{ lies }}</p>
    <p v-else-if="circle" class="problem">{{ circle.refusal.message }}</p>
    <form v-if="drum !== null && points.length === 6" class="offer" @submit.prevent="choose">
      <label v-for="id in SHOE_ENDS" :key="id">
        {{ SHOE_END_NAME[id] }}, lifts on offer
        <input v-model="offered[id]" />
      </label>
      <label>
        Least clearance, mm
        <input v-model="least" />
      </label>
      <v-btn class="act" type="submit" :disabled="busy">{{ busy ? 'Trying …' : 'Find the most even setting' }}</v-btn>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="chosen" class="row">
      <p class="advice">
        {{ words?.outcome }}
        <span class="second small">{{ words?.tried }}</span>
      </p>
      <v-btn v-if="words?.lifts" class="act" @click="emit('step', words?.setting ?? '')">Make it a step of the rebuild</v-btn>
    </div>
  </section>
</template>

<style scoped>
.offer {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: end;
  margin: var(--space-2) 0;
}
label {
  display: grid;
  font-size: var(--type-second);
  color: var(--ink2);
}
input {
  width: 150px;
  min-height: var(--touch);
  padding: 0 var(--space-2);
  font: 400 var(--type-paragraph) var(--figure-font);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  background: var(--plate);
  color: var(--ink);
}
.row {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  flex-wrap: wrap;
}
</style>
