<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import { DRUM_DEPTHS, type Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';

/** The drum opened flat: angles across, depths down, the figure where it was taken. */
const props = defineProps<{ positions: readonly PlannedPosition[]; taken: readonly Taken[]; now: number; decimals: number }>();
const emit = defineEmits<{ go: [index: number] }>();
const angles = computed(() => [...new Set(props.positions.map((p) => p.angleDeg ?? 0))]);
const NAME = { open: 'Open end', middle: 'Middle', closed: 'Closed end' } as const;
const highest = computed(() => Math.max(...props.taken.map((t) => t.value)));
const cell = (depth: string, angle: number) => {
  const index = props.positions.findIndex((p) => p.place === depth && p.angleDeg === angle);
  const p = props.positions[index];
  return { index, taken: p ? (props.taken.find((t) => t.key === positionKey(p)) ?? null) : null };
};
</script>

<template>
  <div class="scroll">
    <table class="drum" aria-label="Drum diameters by depth and angle">
      <thead>
        <tr>
          <td />
          <th v-for="a in angles" :key="a" scope="col" class="fig">{{ a }}°</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="d in DRUM_DEPTHS" :key="d">
          <th scope="row">{{ NAME[d] }}</th>
          <td v-for="a in angles" :key="a">
            <button
              type="button"
              class="cell fig"
              :class="{ now: cell(d, a).index === now, most: cell(d, a).taken && cell(d, a).taken?.value === highest }"
              :aria-label="`${NAME[d]}, ${a} degrees`"
              @click="emit('go', cell(d, a).index)"
            >
              {{ cell(d, a).taken ? fixed(cell(d, a).taken?.value ?? 0, decimals) : '·' }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.drum {
  max-width: 620px;
  border-top: var(--line-drawn) solid var(--ink);
  border-bottom: 4px solid var(--ink);
}
th {
  border: 0;
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
  white-space: nowrap;
}
thead th {
  text-align: center;
  font-weight: 400;
  font-size: var(--type-second);
}
td {
  padding: 2px;
  border: 0;
}
.cell {
  width: 100%;
  min-width: 72px;
  min-height: var(--touch);
  border: var(--line-hair) solid var(--hair);
  background: var(--plate);
  font-size: var(--type-paragraph);
  cursor: pointer;
  border-radius: var(--corner);
  color: var(--ink);
}
.cell.now {
  outline: 2.5px solid var(--blue);
  background: var(--blue-tint);
}
.cell.most {
  font-weight: 700;
}
</style>
