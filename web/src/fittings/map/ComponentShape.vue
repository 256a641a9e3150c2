<script setup lang="ts">
import { computed } from 'vue';
import type { Drawn } from './usualPlaces.ts';

/** The drawing of one component about its own place. */
const props = defineProps<{ d: Drawn; picked: boolean }>();
const tandem = computed(() => props.d.slot.style === 'tandem');
const sector = (dir: number): string => {
  const [r0, r1, half] = [20, 43, (27 * Math.PI) / 180];
  const p = (r: number, a: number): string => `${(r * Math.cos(a) * dir).toFixed(2)} ${(r * Math.sin(a)).toFixed(2)}`;
  const sweep = dir === 1 ? 1 : 0;
  return `M${p(r0, -half)}A${r0} ${r0} 0 0 ${sweep} ${p(r0, half)}L${p(r1, half)}A${r1} ${r1} 0 0 ${1 - sweep} ${p(r1, -half)}Z`;
};
</script>

<template>
  <g class="shape" :class="{ picked }">
    <template v-if="d.slot.kind === 'rotor'">
      <circle class="fill" r="32" />
      <circle class="hairline" r="28.5" />
      <circle class="fill" r="15" />
    </template>
    <template v-else-if="d.slot.kind === 'drum'">
      <circle class="fill" r="32" />
      <circle class="inner none" r="28" />
      <path class="shoe" d="M-15-17.5A23 23 0 0 0-15 17.5M15-17.5A23 23 0 0 1 15 17.5" />
      <rect class="fill" x="-6" y="18" width="12" height="6" />
      <circle class="fill" r="10" />
    </template>
    <template v-else-if="d.slot.kind === 'band_drum'">
      <circle class="fill" r="24" />
      <path class="shoe" d="M7 27.5A28.5 28.5 0 1 1 27.5 7" />
      <path class="none" d="M27.5 7l8 5M7 27.5l5 8" />
      <circle class="fill" r="10" />
    </template>
    <path v-else-if="d.slot.kind === 'band'" class="shoe" d="M6 21A22 22 0 1 1 21 6" />
    <template v-else-if="d.slot.kind === 'caliper'">
      <g :transform="`translate(${-31 * d.dir} 0)`">
        <path class="fill" :d="sector(d.dir)" />
        <path class="none" :d="`M${34 * d.dir}-21l${3 * d.dir}-6`" stroke-width="2.5" />
      </g>
    </template>
    <rect v-else-if="d.slot.kind === 'wheel_cylinder'" class="fill" x="-10" y="-4" width="20" height="8" />
    <template v-else-if="d.slot.kind === 'hose'">
      <g :transform="d.slot.corner ? '' : 'rotate(90)'">
        <rect class="hose" x="-14" y="-3.5" width="28" height="7" />
        <path class="weave" d="M-10 3.5l3-7M-6 3.5l3-7M-2 3.5l3-7M2 3.5l3-7M6 3.5l3-7M10 3.5l3-7" />
        <path class="ferrule" d="M-18-4.5h5v9h-5zM13-4.5h5v9h-5z" />
      </g>
    </template>
    <rect v-else-if="d.slot.kind === 'union'" class="ferrule" x="-4" y="-4" width="8" height="8" />
    <template v-else-if="d.slot.kind === 'master_cylinder'">
      <rect class="fill" x="-8" :y="tandem ? -29 : -23" width="16" :height="tandem ? 58 : 46" />
      <path v-if="tandem" class="inner" d="M-8 0h16" />
      <rect v-for="y in tandem ? [-15, 15] : [-8]" :key="y" class="tank" x="-5" :y="y - 5" width="10" height="10" />
    </template>
    <template v-else-if="d.slot.kind === 'reservoir'">
      <rect class="tank" x="-9" y="-7" width="18" height="11" />
      <path class="inner" d="M-6-10h12" />
    </template>
    <template v-else-if="d.slot.kind === 'servo'">
      <rect class="fill" x="-20" y="-10" width="40" height="20" />
      <rect class="fill" x="-24" y="-14" width="48" height="8" />
      <path class="inner" d="M-24-10h48" />
    </template>
    <template v-else-if="d.slot.kind === 'pedal' || d.slot.kind === 'foot_lever'">
      <rect class="fill" x="-10" y="-5" width="20" height="10" />
      <path class="inner" d="M-5-4v8M-1.7-4v8M1.7-4v8M5-4v8" />
    </template>
    <path v-else-if="d.slot.kind === 'valve'" class="fill" d="M0-10 8-5v10l-8 5-8-5v-10z" />
    <rect v-else-if="d.slot.kind === 'parking_lever' || d.slot.kind === 'hand_lever'" class="fill" x="-3" y="-14" width="6" height="24" />
    <template v-else-if="d.slot.kind === 'balance_bar'">
      <rect class="fill" x="-40" y="-3" width="80" height="6" />
      <circle class="fill" r="5" />
    </template>
    <template v-else-if="d.slot.kind === 'switch'">
      <circle class="fill" r="6" />
      <path class="inner" d="M-3 3 3-3" />
    </template>
    <template v-else-if="d.slot.kind === 'cross_shaft'">
      <rect class="fill" x="-16" y="-3.5" width="32" height="7" />
      <path class="inner" d="M-10-3.5v7M10-3.5v7" />
    </template>
    <rect v-else-if="d.slot.kind === 'equaliser'" class="fill" x="-7" y="-3.5" width="14" height="7" />
    <rect v-else-if="d.slot.kind === 'clutch_master'" class="fill" x="-5" y="-12" width="10" height="24" />
    <template v-else-if="d.slot.kind === 'pads'">
      <rect class="fill" x="-22" y="-14" width="44" height="8" />
      <rect class="shoeblock" x="-18" y="-6" width="36" height="7" />
    </template>
    <path
      v-else-if="d.slot.kind === 'shoes' || d.slot.kind === 'parking_shoes'"
      class="shoe"
      d="M-15-17.5A23 23 0 0 0-15 17.5M15-17.5A23 23 0 0 1 15 17.5"
    />
    <template v-else-if="d.slot.kind === 'hub'">
      <circle class="fill" r="22" />
      <circle class="fill" r="8" />
    </template>
    <rect v-else-if="d.slot.kind === 'clutch_slave'" class="fill" x="-6" y="-10" width="12" height="20" />
  </g>
</template>

<style scoped>
.fill {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.picked .fill {
  fill: var(--blue-tint);
}
.none {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.inner {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.1;
}
.hairline {
  fill: none;
  stroke: var(--hair);
}
.shoe {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4.5;
}
.shoeblock {
  fill: var(--ink);
}
.hose {
  fill: var(--copper-tint);
  stroke: var(--copper);
  stroke-width: 1.25;
}
.picked .hose {
  fill: var(--blue-tint);
}
.weave {
  stroke: var(--copper);
  stroke-width: 1;
  fill: none;
}
.ferrule {
  fill: var(--copper);
}
.tank {
  fill: var(--copper-tint);
  stroke: var(--ink);
  stroke-width: 1.1;
}
</style>
