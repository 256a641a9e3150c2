<script setup lang="ts">
import type { PlannedPosition } from '@dauer/core/catalogue';
import type { Judged } from '@dauer/core/judging';
import { runoutOf, type Taken } from '@dauer/core/metrology';
import { figure } from '@dauer/core/quantity';
import { computed } from 'vue';
import SweepChart from './SweepChart.vue';

/** A sweep under a dial: its readings round, and the radii that go with it. */
const props = defineProps<{
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  now: number;
  /** What is judged of the sweep; none where nothing is yet. */
  judged: Judged | undefined;
}>();
const emit = defineEmits<{ go: [index: number] }>();
const round = computed(() => props.positions.filter((p) => p.angleDeg !== null));
const named = computed(() => props.positions.filter((p) => p.angleDeg === null));
const limit = computed(() => (props.judged?.bound.kind === 'upper' ? props.judged.bound.at : null));
const at = (p: PlannedPosition): string => {
  const taken = props.taken.find((t) => t.reading.place === p.place);
  return taken ? figure(taken.value) : '·';
};
</script>

<template>
  <div>
    <p v-if="named.length > 0" class="named">
      <button v-for="(p, i) in named" :key="p.place ?? ''" type="button" :class="{ now: i === now }" @click="emit('go', i)">
        {{ p.name }}
        <span class="fig fig-b">{{ at(p) }}</span>
      </button>
    </p>
    <SweepChart
      :positions="round"
      :taken="taken.filter((t) => t.reading.angleDeg !== null)"
      :runout="runoutOf(taken)"
      :limit="limit"
      :now="now - named.length"
      :past="judged?.verdict === 'past'"
      @go="(i) => emit('go', i + named.length)"
    />
  </div>
</template>

<style scoped>
.named {
  display: flex;
  gap: var(--space-3);
  flex-wrap: wrap;
  margin-bottom: var(--space-2);
}
.named button {
  min-height: var(--touch);
  padding: var(--space-1) var(--space-3);
  border: var(--line-hair) solid var(--blue);
  border-radius: var(--corner);
  background: var(--plate);
  cursor: pointer;
  font-size: var(--type-paragraph);
}
.named .now {
  background: var(--blue-tint);
  outline: var(--line-head) solid var(--blue);
}
</style>
