<script setup lang="ts">
import type { NoteArrow } from '@dauer/core/ledger';
import { imageUrl } from '../pictures.ts';

/** A picture with an arrow on it; where it takes one, a tap says where it points. */
const props = defineProps<{ hash: string; arrow: NoteArrow | null; takes?: boolean; label: string }>();
const emit = defineEmits<{ point: [arrow: NoteArrow] }>();
const [LEAST, MOST] = [0.02, 0.98];
const inside = (v: number): number => Math.round(Math.min(MOST, Math.max(LEAST, v)) * 1000) / 1000;
function tapped(event: MouseEvent): void {
  if (!props.takes || !(event.currentTarget instanceof Element)) return;
  const box = event.currentTarget.getBoundingClientRect();
  // Pressed by a key it has no place: the middle, from where it is tapped anew.
  const middle = event.detail === 0;
  emit('point', {
    x: middle ? 0.5 : inside((event.clientX - box.left) / box.width),
    y: middle ? 0.5 : inside((event.clientY - box.top) / box.height),
  });
}
</script>

<template>
  <component
    :is="takes ? 'button' : 'span'"
    :type="takes ? 'button' : undefined"
    class="pointed"
    :class="{ takes }"
    :aria-label="takes ? label : undefined"
    @click="tapped"
  >
    <img :src="imageUrl(hash)" :alt="takes ? '' : label" />
    <svg v-if="arrow" viewBox="0 0 60 60" aria-hidden="true" :style="{ left: `${arrow.x * 100}%`, top: `${arrow.y * 100}%` }">
      <path class="edge" d="M52 52 8 8M8 24V8h16" />
      <path class="line" d="M52 52 8 8M8 24V8h16" />
    </svg>
  </component>
</template>

<style scoped>
.pointed {
  position: relative;
  display: inline-block;
  max-width: 100%;
  padding: 0;
  border: var(--line-hair) solid var(--slate);
  background: var(--plate);
  line-height: 0;
  overflow: hidden;
}
.takes {
  cursor: crosshair;
}
img {
  max-width: 100%;
  max-height: 320px;
}
svg {
  position: absolute;
  width: 60px;
  height: 60px;
  margin: calc(-1 * var(--space-2)) 0 0 calc(-1 * var(--space-2));
}
.edge,
.line {
  fill: none;
  stroke: var(--plate);
  stroke-width: 9;
}
.line {
  stroke: var(--blue);
  stroke-width: 5;
}
</style>
