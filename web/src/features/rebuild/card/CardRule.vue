<script setup lang="ts">
import type { StepGroup } from '@dauer/core/catalogue';
import { upperFirst } from '@dauer/core/quantity';
import type { StepState } from '@dauer/core/readiness';
import { computed } from 'vue';

/** The steps of a card as graduations of a rule: what is done is drawn through, what was skipped stands open. */
const props = defineProps<{ steps: readonly StepState[]; at: string }>();
const emit = defineEmits<{ pick: [stepId: string] }>();
const WIDE = 848;
const pitch = computed(() => WIDE / Math.max(1, props.steps.length));
const marks = computed(() =>
  props.steps.map((s, i) => ({ s, x: (i + 0.5) * pitch.value, from: i * pitch.value, to: (i + 1) * pitch.value })),
);
const groups = computed(() => {
  const list: { name: StepGroup; x: number; room: number }[] = [];
  props.steps.forEach((s, i) => {
    const last = list.at(-1);
    if (last?.name === s.step.group) last.room += pitch.value;
    else list.push({ name: s.step.group, x: i * pitch.value, room: pitch.value });
  });
  return list;
});
const names = computed(() => groups.value.filter((g) => g.room >= 9 * g.name.length));
/** Skipped: open, and something after it is told. */
const lastDone = computed(() => props.steps.findLastIndex((s) => s.status !== 'open'));
const skipped = (i: number): boolean => props.steps[i]?.status === 'open' && i < lastDone.value;
</script>

<template>
  <svg
    class="rule"
    viewBox="0 -16 848 52"
    role="img"
    :aria-label="`${steps.filter((s) => s.status !== 'open').length} of ${steps.length} steps told`"
  >
    <line x1="0" y1="0" :x2="WIDE" y2="0" class="edge" />
    <g v-for="(m, i) in marks" :key="m.s.step.id" class="mark" @click="emit('pick', m.s.step.id)">
      <rect :x="m.from" y="-16" :width="pitch" height="34" class="hit" />
      <line v-if="m.s.status !== 'open'" :x1="m.from" y1="0" :x2="m.to" y2="0" class="gone" :class="{ not: m.s.status === 'not_here' }" />
      <line :x1="m.from" y1="0" :x2="m.from" y2="8" class="tick" />
      <circle v-if="skipped(i) && m.s.step.id !== at" :cx="m.x" cy="0" r="5" class="open" />
      <path v-if="m.s.step.id === at" :d="`M${m.x - 8} -14 h16 v9 l-8 9 l-8 -9 z`" class="cursor" />
    </g>
    <g v-for="g in groups" :key="g.x">
      <line :x1="g.x" y1="0" :x2="g.x" y2="18" class="part" />
    </g>
    <text v-for="g in names" :key="`n${g.x}`" :x="g.x + 5" y="31" class="name">{{ upperFirst(g.name) }}</text>
  </svg>
</template>

<style scoped>
.rule {
  width: 100%;
  display: block;
  overflow: visible;
}
.edge,
.tick {
  stroke: var(--slate);
  stroke-width: 1;
}
.part {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.gone {
  stroke: var(--ink);
  stroke-width: 4;
}
.gone.not {
  stroke-dasharray: 3 3;
}
.open {
  fill: var(--page);
  stroke: var(--ink);
  stroke-width: 1.75;
}
.cursor {
  fill: var(--ink);
}
.hit {
  fill: transparent;
}
.mark {
  cursor: pointer;
}
.name {
  font: 600 var(--type-paragraph) var(--plate-font);
  fill: var(--blue);
}
@media (max-width: 720px) {
  .name {
    display: none;
  }
}
</style>
