<script setup lang="ts">
import { tighteningOrder } from '@dauer/core/catalogue';
import type { Hand } from '@dauer/core/ledger';
import { UNDO } from '@dauer/core/wording';
import { computed } from 'vue';

/** The fasteners of a wheel or a unit on their circle, numbered as they are drawn up; and which way they are undone. */
const props = defineProps<{ count: number; hand: Hand }>();
const [RADIUS, FULL] = [44, 2 * Math.PI];
const order = computed(() => tighteningOrder(props.count));
const places = computed(() =>
  order.value.map((place, turn) => {
    const angle = ((place - 1) / props.count) * FULL - FULL / 4;
    return { turn: turn + 1, x: RADIUS * Math.cos(angle), y: RADIUS * Math.sin(angle) };
  }),
);
/** The arrow of undoing: anticlockwise for a right-hand thread. */
const arrow = computed(() =>
  props.hand === 'left' ? 'M-16 -6A17 17 0 0 1 16 -6M16 -6l2 -9M16 -6l-9 -2' : 'M16 -6A17 17 0 0 0 -16 -6M-16 -6l-2 -9M-16 -6l9 -2',
);
</script>

<template>
  <svg
    viewBox="-64 -64 128 128"
    role="img"
    :aria-label="`${count > 1 ? `Drawn up crosswise, in this order round the circle: ${order.join(', ')}. ` : ''}${UNDO[hand]}`"
  >
    <circle r="44" class="circle" />
    <g v-for="p in places" :key="p.turn" :transform="`translate(${p.x} ${p.y})`">
      <circle r="13" class="nut" />
      <text text-anchor="middle" y="5">{{ p.turn }}</text>
    </g>
    <path v-if="hand !== 'unknown'" :d="arrow" class="undo" />
    <text v-if="hand !== 'unknown'" text-anchor="middle" y="16" class="words">undo</text>
  </svg>
</template>

<style scoped>
svg {
  width: 128px;
  height: 128px;
}
.circle {
  fill: none;
  stroke: var(--slate);
}
.nut {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.5;
}
text {
  font: 400 var(--type-paragraph) var(--figure-font);
  fill: var(--ink);
}
.words {
  font: 400 var(--type-least) var(--text-font);
  fill: var(--ink2);
}
.undo {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2.5;
}
</style>
