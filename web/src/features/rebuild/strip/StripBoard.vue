<script setup lang="ts">
import { placeName, type Slot } from '@dauer/core/layout';
import type { StripPiece } from '@dauer/core/readiness';
import { computed } from 'vue';
import UnitDrawing from './UnitDrawing.vue';

/**
 * The drawing of a unit with its numbered pieces on it. Where it takes marks it is tapped where a piece came from, or the cross is
 * moved by the arrows and Enter says that it is there.
 */
const props = defineProps<{
  slotOf: Slot;
  pieces: readonly StripPiece[];
  /** The piece that is next, or looked at. */
  lit?: string | null;
  takes?: boolean;
  /** Where the mark will stand that is being written, 0 to 1. */
  at?: { readonly x: number; readonly y: number } | null;
  label: string;
}>();
const emit = defineEmits<{
  put: [at: { readonly x: number; readonly y: number }];
  move: [at: { readonly x: number; readonly y: number }];
}>();
const [WIDTH, HEIGHT, STEP] = [280, 190, 0.05];
const inside = (v: number): number => Math.round(Math.min(0.97, Math.max(0.03, v)) * 1000) / 1000;
const shown = computed(() =>
  props.pieces.flatMap((p) => (p.mark.x === null || p.mark.y === null ? [] : [{ p, x: p.mark.x, y: p.mark.y }])),
);
function tapped(event: MouseEvent): void {
  if (!props.takes || !(event.currentTarget instanceof Element)) return;
  const box = event.currentTarget.getBoundingClientRect();
  emit('put', { x: inside((event.clientX - box.left) / box.width), y: inside((event.clientY - box.top) / box.height) });
}
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ...{ ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] },
};
function pressed(event: KeyboardEvent): void {
  if (!props.takes) return;
  const from = props.at ?? { x: 0.5, y: 0.5 };
  const by = ARROWS[event.key];
  if (by) emit('move', { x: inside(from.x + by[0]), y: inside(from.y + by[1]) });
  else if (event.key === 'Enter' || event.key === ' ') emit('put', from);
  else return;
  event.preventDefault();
  event.stopPropagation();
}
</script>

<template>
  <div
    class="board"
    :class="{ takes }"
    :tabindex="takes ? 0 : undefined"
    :role="takes ? 'application' : 'img'"
    :aria-label="takes ? `${label}. Tap where a piece came from, or move the cross with the arrows and press Enter.` : label"
    @click="tapped"
    @keydown="pressed"
  >
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" aria-hidden="true">
      <UnitDrawing :slot-of="slotOf" />
      <g v-for="{ p, x, y } in shown" :key="p.mark.id" :transform="`translate(${x * WIDTH} ${y * HEIGHT})`">
        <circle r="12" class="mark" :class="{ lit: p.mark.id === lit, done: !p.open }" />
        <text text-anchor="middle" y="5" class="number" :class="{ lit: p.mark.id === lit }">{{ p.number }}</text>
      </g>
      <path v-if="takes && at" class="cross" :transform="`translate(${at.x * WIDTH} ${at.y * HEIGHT})`" d="M-16 0H16M0-16V16" />
    </svg>
    <p v-if="shown.length === 0 && !takes" class="second small">{{ placeName(slotOf) }}</p>
  </div>
</template>

<style scoped>
.board {
  border: var(--line-hair) solid var(--hair);
  background: var(--plate);
  max-width: 460px;
}
.takes {
  border-color: var(--blue);
  cursor: crosshair;
  touch-action: manipulation;
}
svg {
  display: block;
  width: 100%;
}
.mark {
  fill: var(--plate);
  stroke: var(--blue);
  stroke-width: 1.75;
}
.mark.done {
  stroke: var(--slate);
}
.mark.lit {
  fill: var(--blue);
}
.number {
  font: 400 var(--type-paragraph) var(--figure-font);
  fill: var(--blue);
}
.mark.done + .number {
  fill: var(--ink2);
}
.number.lit {
  fill: var(--plate);
}
.cross {
  stroke: var(--blue);
  stroke-width: 2.5;
}
</style>
