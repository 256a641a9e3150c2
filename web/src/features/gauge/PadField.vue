<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import { PAD_CORNERS, type Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';

/** The two pads, face to face, with their four corners. */
const props = defineProps<{ positions: readonly PlannedPosition[]; taken: readonly Taken[]; now: number; decimals: number }>();
const emit = defineEmits<{ go: [index: number] }>();
const PADS = ['inner', 'outer'] as const;
const at = (pad: string, corner: string) => {
  const index = props.positions.findIndex((p) => p.place === `${pad}: ${corner}`);
  const p = props.positions[index];
  return { index, taken: p ? (props.taken.find((t) => t.key === positionKey(p)) ?? null) : null };
};
const least = () => Math.min(...props.taken.map((t) => t.value));
</script>

<template>
  <div class="pads">
    <section v-for="pad in PADS" :key="pad" class="pad" :aria-label="`${pad} pad`">
      <h2>{{ pad === 'inner' ? 'Inner pad' : 'Outer pad' }}</h2>
      <div class="face">
        <button
          v-for="c in PAD_CORNERS"
          :key="c"
          type="button"
          class="corner"
          :class="{ now: at(pad, c).index === now, least: at(pad, c).taken && at(pad, c).taken?.value === least() }"
          @click="emit('go', at(pad, c).index)"
        >
          <span class="fig">{{ at(pad, c).taken ? fixed(at(pad, c).taken?.value ?? 0, decimals) : '·' }}</span>
          <span class="second small">{{ c }}</span>
        </button>
      </div>
    </section>
  </div>
</template>

<style scoped>
.pads {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
  gap: var(--space-5);
  max-width: 640px;
}
.face {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-1);
  padding: 6px;
  border: var(--line-drawn) solid var(--ink);
  border-radius: var(--corner);
  background: var(--plate);
}
.corner {
  display: grid;
  justify-items: center;
  min-height: 60px;
  align-content: center;
  border: var(--line-hair) solid var(--hair);
  background: none;
  cursor: pointer;
  border-radius: var(--corner);
}
.corner .fig {
  font-size: var(--type-tag);
}
.corner.now {
  outline: 2.5px solid var(--blue);
  background: var(--blue-tint);
}
.corner.least .fig {
  font-weight: 700;
}
</style>
