<script setup lang="ts">
import { firstSealMissing, LINING_STATE_WORD } from '@dauer/core/wording';
import { type PlannedPosition, positionKey } from '@dauer/core/catalogue';
import type { SealZone } from '@dauer/core/judging';
import { LINING_STATES, type Taken } from '@dauer/core/metrology';
import { fixed } from '@dauer/core/quantity';
import { computed } from 'vue';

/** A piston unrolled from its outer face: diameters at two levels, pits as they were found, and where the seal stands. */
const props = defineProps<{
  positions: readonly PlannedPosition[];
  taken: readonly Taken[];
  now: number;
  decimals: number;
  live: string | null;
  zone: SealZone | null;
}>();
const emit = defineEmits<{ go: [index: number] }>();
const X = { outer: 150, inner: 430 } as const;
const cells = computed(() =>
  props.positions.map((p, i) => {
    const t = props.taken.find((x) => x.key === positionKey(p));
    const at = props.positions.filter((q) => q.place === p.place).indexOf(p);
    return {
      ...{ p, i, t, x: X[p.place === 'inner' ? 'inner' : 'outer'], y: 118 + at * 30 },
      text: i === props.now && props.live ? props.live : t ? fixed(t.value, props.decimals) : '·',
    };
  }),
);
const length = computed(() =>
  Math.max(20, props.zone?.seal?.sealingLength ?? 0, props.zone?.result?.hull.to ?? 0, ...(props.zone?.pits.map((p) => p.to) ?? [])),
);
const along = (mm: number): number => 40 + (Math.max(0, mm) / (length.value * 1.05)) * 540;
const bands = computed(() => {
  const r = props.zone?.result;
  return r ? LINING_STATES.map((s, i) => ({ s, y: 28 + i * 18, from: along(r.zone[s].from), to: along(r.zone[s].to) })) : [];
});
const sealEnd = computed(() => (props.zone?.seal ? along(props.zone.seal.sealingLength) : null));
const ticks = computed(() => Array.from({ length: Math.floor(length.value / 5) + 1 }, (_, i) => i * 5));
</script>

<template>
  <svg class="piston" viewBox="0 0 620 252" role="group" aria-label="The piston unrolled from its outer face">
    <text v-if="zone && bands.length === 0" x="40" y="52" class="word">
      Where the seal stands is drawn here once it is known: {{ firstSealMissing(zone) ?? 'gauge seal and reach' }}.
    </text>
    <g v-for="b in bands" :key="b.s">
      <rect :x="b.from" :y="b.y" :width="b.to - b.from" height="12" class="seal" :class="b.s" />
      <text :x="b.to + 6 > 480 ? b.from - 6 : b.to + 6" :y="b.y + 11" :text-anchor="b.to + 6 > 480 ? 'end' : 'start'" class="word">
        seal {{ LINING_STATE_WORD[b.s] }}
      </text>
    </g>
    <rect x="40" y="90" width="540" height="112" class="body" />
    <path v-if="sealEnd" :d="`M${sealEnd} 84V208`" stroke="var(--ink)" stroke-width="1.5" stroke-dasharray="6 4" />
    <rect
      v-if="zone?.result"
      :x="along(zone.result.hull.from)"
      y="90"
      :width="along(zone.result.hull.to) - along(zone.result.hull.from)"
      height="112"
      class="hull"
    />
    <g v-for="(p, i) in zone?.pits ?? []" :key="p.findingId">
      <rect
        :x="along(p.from)"
        y="92"
        :width="Math.max(4, along(p.to) - along(p.from))"
        height="14"
        :fill="zone?.result?.pitRejects[i] ? 'var(--past)' : 'var(--ink2)'"
      />
      <text :x="along(p.from)" y="86" class="fig small">pit {{ p.from }}–{{ p.to }}</text>
    </g>
    <g
      v-for="c in cells"
      :key="c.i"
      class="cell"
      :class="{ now: c.i === now }"
      role="button"
      :aria-label="`${c.p.name}${c.t ? `, ${c.text} mm` : ', not taken'}`"
      @click="emit('go', c.i)"
    >
      <rect :x="c.x - 64" :y="c.y + 5" width="128" height="28" class="box" />
      <text :x="c.x - 56" :y="c.y + 25" class="angle">{{ c.p.label }}</text>
      <text :x="c.x + 56" :y="c.y + 25" text-anchor="end" class="read">{{ c.text }}</text>
    </g>
    <g class="angle">
      <template v-for="t in ticks" :key="t">
        <path :d="`M${along(t)} 202v${t % 10 === 0 ? 9 : 5}`" stroke="var(--ink)" />
        <text v-if="t % 10 === 0" :x="along(t)" y="228" text-anchor="middle">{{ t }}</text>
      </template>
    </g>
    <text x="40" y="248" class="word">{{ zone ? 'outer (pad) face' : 'outer end' }}, mm along the piston</text>
  </svg>
</template>

<style scoped>
.piston {
  display: block;
  width: 100%;
  max-width: 680px;
}
.body {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.hull {
  fill: var(--copper-tint);
  opacity: 0.7;
}
.seal {
  fill: var(--copper-tint);
  stroke: var(--copper);
  stroke-width: 1.5;
}
.seal.new {
  fill: var(--copper);
}
.small {
  font-size: var(--type-least);
  fill: var(--ink);
}
.box {
  fill: var(--page);
  stroke: var(--hair);
}
.now .read {
  fill: var(--blue);
}
</style>
