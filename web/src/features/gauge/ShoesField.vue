<script setup lang="ts">
import { type PlannedPosition, positionKey, SHOE_POINTS } from '@dauer/core/catalogue';
import type { Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';

/** The two shoes in their drum, seen from the wheel side, with the figures at heel, middle and toe. */
const props = defineProps<{
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  now: number;
  decimals: number;
  live: string | null;
  /** Clearance to the drum at each position as found and, where a setting is proposed, after it; mm. */
  clearance?: readonly { readonly before: number; readonly after: number | null }[] | null;
}>();
const emit = defineEmits<{ go: [index: number] }>();
const C = { x: 250, y: 126, r: 104 } as const;
/** Leading stands where shoe B is drawn, trailing where shoe A is. */
const ANGLE: Readonly<Record<string, number>> = {
  ...Object.fromEntries(SHOE_POINTS.map((p) => [p.id, p.angleDeg ?? 0])),
  ...{
    'leading: heel': 235,
    'leading: middle': 180,
    'leading: toe': 125,
    'trailing: heel': 305,
    'trailing: middle': 0,
    'trailing: toe': 55,
  },
};
const least = computed(() => Math.min(...props.taken.map((t) => t.value)));
const polar = (deg: number, r: number): { x: number; y: number } => ({
  x: C.x + r * Math.cos((deg * Math.PI) / 180),
  y: C.y - r * Math.sin((deg * Math.PI) / 180),
});
const arcOf = (from: number, to: number, r: number, back = false): string => {
  const [a, b] = [polar(from, r), polar(to, r)];
  return `${back ? 'L' : 'M'}${a.x} ${a.y}A${r} ${r} 0 0 ${back ? 1 : 0} ${b.x} ${b.y}`;
};
const shoe = (from: number, to: number): string => `${arcOf(from, to, C.r - 9)}${arcOf(to, from, C.r - 30, true)}Z`;
const points = computed(() =>
  props.positions.map((p, i) => {
    const t = props.taken.find((x) => x.key === positionKey(p));
    const deg = ANGLE[p.place ?? ''] ?? p.angleDeg ?? 0;
    const c = props.clearance?.[i];
    return {
      ...{
        p,
        i,
        t,
        on: polar(deg, C.r - 19),
        out: polar(deg, C.r + (Math.abs(Math.sin((deg * Math.PI) / 180)) > 0.5 ? 26 : 16)),
        left: Math.cos((deg * Math.PI) / 180) < -0.02,
        c,
      },
      text: i === props.now && props.live ? props.live : t ? fixed(t.value, props.decimals) : '·',
    };
  }),
);
</script>

<template>
  <svg class="shoes" viewBox="0 0 500 252" role="group" aria-label="The two shoes in their drum">
    <circle :cx="C.x" :cy="C.y" :r="C.r" class="drum" />
    <circle :cx="C.x" :cy="C.y" :r="C.r + 7" class="drum" />
    <path :d="shoe(-62, 62)" class="lining" />
    <path :d="shoe(118, 242)" class="lining" />
    <circle :cx="C.x" :cy="C.y" r="12" class="hub" />
    <path :d="`M${C.x - 26} ${C.y - 84}h52v18h-52z`" class="hub" />
    <path :d="`M${C.x - 14} ${C.y + 72}h28v12h-28z`" class="hub" />
    <g
      v-for="q in points"
      :key="q.i"
      class="pos"
      :class="{ now: q.i === now, least: q.t && q.t.value === least }"
      role="button"
      :aria-label="`${q.p.name}${q.t ? `, ${q.text} mm` : ', not taken'}`"
      @click="emit('go', q.i)"
    >
      <circle :cx="q.on.x" :cy="q.on.y" r="20" fill="transparent" />
      <circle :cx="q.on.x" :cy="q.on.y" :r="q.i === now ? 6 : 4" class="dot" :class="{ open: !q.t }" />
      <text :x="q.out.x" :y="q.out.y + 1" :text-anchor="q.left ? 'end' : 'start'" class="read">{{ q.text }}</text>
      <text v-if="q.c" :x="q.out.x" :y="q.out.y + 18" :text-anchor="q.left ? 'end' : 'start'" class="gap">
        gap {{ fixed(q.c.before, 2) }}{{ q.c.after === null ? '' : ` → ${fixed(q.c.after, 2)}` }}
      </text>
      <text v-else :x="q.out.x" :y="q.out.y + 17" :text-anchor="q.left ? 'end' : 'start'" class="name">{{ q.p.label }}</text>
    </g>
    <text v-if="!clearance" x="20" y="22" class="head">{{ positions[0]?.place?.startsWith('A') ? 'Shoe B' : 'Leading' }}</text>
    <text v-if="!clearance" x="480" y="22" text-anchor="end" class="head">
      {{ positions[0]?.place?.startsWith('A') ? 'Shoe A' : 'Trailing' }}
    </text>
  </svg>
</template>

<style scoped>
.shoes {
  display: block;
  width: 100%;
  max-width: 560px;
}
.drum {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.lining {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.hub {
  fill: var(--page);
  stroke: var(--slate);
}
.pos {
  cursor: pointer;
}
.dot {
  fill: var(--ink);
}
.dot.open {
  fill: var(--page);
  stroke: var(--ink);
}
.now .dot {
  fill: var(--blue);
  stroke: var(--blue);
}
.read {
  font: 400 var(--type-body) var(--figure-font);
  fill: var(--ink);
}
.least .read {
  font-weight: 700;
}
.now .read {
  fill: var(--blue);
  font-weight: 700;
}
.name,
.gap {
  font: 600 var(--type-second) var(--plate-font);
  fill: var(--ink2);
}
.head {
  font: 600 var(--type-tag) var(--plate-font);
  fill: var(--ink);
}
</style>
