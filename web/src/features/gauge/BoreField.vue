<script setup lang="ts">
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import type { Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';

/** A bore in section: depths from the mouth inwards, the angles at each, and the zone and pits that decide. */
const props = defineProps<{
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  now: number;
  decimals: number;
  live: string | null;
  zone: { readonly from: number; readonly to: number } | null;
  pits: readonly { readonly from: number; readonly to: number }[];
}>();
const emit = defineEmits<{ go: [index: number] }>();
const DEPTHS = ['mouth', 'middle', 'bottom'] as const;
const X = { mouth: 130, middle: 290, bottom: 450 } as const;
const greatest = computed(() => Math.max(...props.taken.map((t) => t.value)));
const cells = computed(() =>
  props.positions.map((p, i) => {
    const t = props.taken.find((x) => x.key === positionKey(p));
    const depth = DEPTHS.find((d) => d === p.place) ?? 'mouth';
    const at = props.positions.filter((q) => q.place === p.place).indexOf(p);
    return {
      p,
      i,
      t,
      x: X[depth],
      y: 86 + at * 30,
      text: i === props.now && props.live ? props.live : t ? fixed(t.value, props.decimals) : '·',
    };
  }),
);
/** Millimetres from the mouth to the drawing; the bore is drawn as long as what is known of it. */
const reach = computed(() => Math.max(20, props.zone?.to ?? 0, ...props.pits.map((p) => p.to)) * 1.15);
const along = (mm: number): number => 60 + (mm / reach.value) * 480;
</script>

<template>
  <svg class="bore" viewBox="0 0 620 212" role="group" aria-label="The bore in section">
    <defs>
      <pattern id="boreMetal" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7" stroke="var(--slate)" opacity="0.5" />
      </pattern>
    </defs>
    <path d="M60 26H566V186H60V160H540V52H60Z" fill="url(#boreMetal)" stroke="var(--ink)" stroke-width="1.5" />
    <path d="M40 106H590" class="axis" />
    <text x="52" y="20" class="word" text-anchor="start">Mouth</text>
    <text x="560" y="20" class="word" text-anchor="end">Bottom</text>
    <template v-if="zone">
      <rect :x="along(zone.from)" y="54" :width="along(zone.to) - along(zone.from)" height="6" class="zone" />
      <rect :x="along(zone.from)" y="152" :width="along(zone.to) - along(zone.from)" height="6" class="zone" />
      <text :x="(along(zone.from) + along(zone.to)) / 2" y="204" text-anchor="middle" class="word">
        seal sweeps {{ zone.from }} to {{ zone.to }} mm
      </text>
    </template>
    <rect
      v-for="(p, i) in pits"
      :key="i"
      :x="along(p.from)"
      y="46"
      :width="Math.max(3, along(p.to) - along(p.from))"
      height="6"
      fill="var(--past)"
    />
    <g
      v-for="c in cells"
      :key="c.i"
      class="cell"
      :class="{ now: c.i === now, most: c.t && c.t.value === greatest }"
      role="button"
      :aria-label="`${c.p.name}${c.t ? `, ${c.text} mm` : ', not taken'}`"
      @click="emit('go', c.i)"
    >
      <rect :x="c.x - 62" :y="c.y - 21" width="124" height="28" class="box" />
      <text :x="c.x - 54" :y="c.y" class="angle">{{ c.p.label }}</text>
      <text :x="c.x + 54" :y="c.y" text-anchor="end" class="read">{{ c.text }}</text>
    </g>
  </svg>
</template>

<style scoped>
.bore {
  display: block;
  width: 100%;
  max-width: 680px;
}
.axis {
  stroke: var(--slate);
  stroke-dasharray: 10 3 2 3;
}
.zone {
  fill: var(--copper);
  opacity: 0.75;
}
.box {
  fill: var(--plate);
  stroke: var(--hair);
}
.most .read {
  font-weight: 700;
}
.now .read {
  fill: var(--blue);
}
</style>
