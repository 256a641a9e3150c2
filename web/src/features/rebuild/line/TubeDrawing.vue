<script setup lang="ts">
import type { TubePoint } from '@dauer/core/metrology';
import { computed } from 'vue';

/** A tube seen from above and from the side, its bends numbered as on its strip. */
const props = defineProps<{ points: readonly TubePoint[]; bends: readonly { readonly point: number }[] }>();
const [WIDE, HIGH, EDGE] = [300, 150, 16] as const;
const VIEWS = [
  { name: 'From above', across: 1 },
  { name: 'From the side', across: 2 },
] as const;
const views = computed(() => {
  const spread = (k: 0 | 1 | 2): { readonly from: number; readonly size: number } => {
    const all = props.points.map((p) => p[k]);
    return { from: Math.min(...all), size: Math.max(...all) - Math.min(...all) };
  };
  const along = spread(0);
  const scale = Math.min(
    (WIDE - 2 * EDGE) / Math.max(1, along.size),
    ...VIEWS.map((v) => (HIGH - 2 * EDGE) / Math.max(1, spread(v.across).size)),
  );
  return VIEWS.map((v) => {
    const side = spread(v.across);
    const at = (p: TubePoint): readonly [number, number] => [
      EDGE + (WIDE - 2 * EDGE - along.size * scale) / 2 + (p[0] - along.from) * scale,
      HIGH - EDGE - (HIGH - 2 * EDGE - side.size * scale) / 2 - (p[v.across] - side.from) * scale,
    ];
    const drawn = props.points.map(at);
    return {
      name: v.name,
      path: drawn.map((p) => p.join(',')).join(' '),
      ends: [drawn[0], drawn.at(-1)].flatMap((p, i) => (p ? [{ x: p[0], y: p[1], first: i === 0 }] : [])),
      bends: props.bends.flatMap((b, i) => {
        const p = drawn[b.point];
        return p ? [{ n: i + 1, x: p[0], y: p[1] }] : [];
      }),
    };
  });
});
</script>

<template>
  <div class="views">
    <figure v-for="v in views" :key="v.name">
      <svg :viewBox="`0 0 ${WIDE} ${HIGH}`" role="img" :aria-label="`The line, ${v.name.toLowerCase()}, ${bends.length} bends`">
        <polyline :points="v.path" class="tube" />
        <rect
          v-for="e in v.ends"
          :key="String(e.first)"
          :x="e.x - 4"
          :y="e.y - 4"
          width="8"
          height="8"
          :class="['end', { first: e.first }]"
        />
        <g v-for="b in v.bends" :key="b.n">
          <circle :cx="b.x" :cy="b.y" r="9" class="bend" />
          <text :x="b.x" :y="b.y + 4" text-anchor="middle">{{ b.n }}</text>
        </g>
      </svg>
      <figcaption class="second small">{{ v.name }}</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: var(--space-3);
}
svg {
  display: block;
  width: 100%;
  background: var(--plate);
  border: var(--line-hair) solid var(--hair);
}
.tube {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
  stroke-linejoin: round;
}
.end {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 2;
}
.first {
  fill: var(--ink);
}
.bend {
  fill: var(--plate);
  stroke: var(--blue);
  stroke-width: 1.5;
}
text {
  font: 400 12px var(--figure-font);
  fill: var(--ink);
}
</style>
