<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import type { Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';
import type { Sketch } from './sketches/draw.ts';

/** A part in section, with the places that are measured on it and the figures where they were taken. */
const props = defineProps<{
  sketch: Sketch;
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  now: number;
  decimals: number;
  live: string | null;
  symbol: string;
}>();
const emit = defineEmits<{ go: [index: number] }>();
const points = computed(() =>
  props.positions.flatMap((p, i) => {
    const spot = props.sketch.spots[p.place ?? ''];
    if (!spot) return [];
    const t = props.taken.find((x) => x.key === positionKey(p));
    return [{ p, i, spot, t, text: i === props.now && props.live ? props.live : t ? fixed(t.value, props.decimals) : '·' }];
  }),
);
</script>

<template>
  <div class="field">
    <svg class="sketch" :viewBox="`0 0 440 ${sketch.height}`" role="group" aria-label="Where it is measured">
      <path v-for="(d, i) in sketch.thin" :key="`t${i}`" :d="d" class="thin" />
      <path v-for="(d, i) in sketch.part" :key="`p${i}`" :d="d" class="part" />
      <g
        v-for="q in points"
        :key="q.i"
        class="spot"
        :class="{ now: q.i === now }"
        role="button"
        :aria-label="`${q.p.name}${q.t ? `, ${q.text} ${symbol}` : ', not taken'}`"
        @click="emit('go', q.i)"
      >
        <path :d="q.spot.shows" class="shows" />
        <text :x="q.spot.at[0]" :y="q.spot.at[1]" :text-anchor="q.spot.anchor" class="read">{{ q.text }}</text>
      </g>
    </svg>
    <ol class="list">
      <li v-for="q in points" :key="q.i">
        <button type="button" :class="{ now: q.i === now }" @click="emit('go', q.i)">
          <span>{{ q.p.name }}</span>
          <span class="fig fig-b">{{ q.text }}</span>
        </button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: minmax(0, 440px) minmax(220px, 1fr);
  gap: var(--space-5);
  align-items: start;
  margin-top: var(--space-1);
}
.sketch {
  display: block;
  width: 100%;
  max-height: 250px;
}
.part {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-linejoin: round;
}
.thin {
  fill: none;
  stroke: var(--slate);
  stroke-dasharray: 10 3 2 3;
}
.spot {
  cursor: pointer;
}
.shows {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 1.25;
}
.read {
  font: 700 var(--type-body) var(--figure-font);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--page);
  stroke-width: 5px;
}
.now .shows {
  stroke: var(--blue);
  stroke-width: 2.25;
}
.now .read {
  fill: var(--blue);
}
.list {
  border-top: var(--line-hair) solid var(--slate);
}
.list li {
  border-bottom: var(--line-hair) solid var(--hair);
}
.list button {
  display: flex;
  justify-content: space-between;
  gap: var(--space-3);
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: var(--space-1) var(--space-2);
  background: none;
  border: 0;
  text-align: left;
  cursor: pointer;
  font-size: var(--type-paragraph);
  line-height: 19px;
}
.list button.now {
  background: var(--blue-tint);
  outline: var(--line-head) solid var(--blue);
  outline-offset: -2px;
}
@media (max-width: 720px) {
  .field {
    grid-template-columns: 1fr;
  }
}
</style>
