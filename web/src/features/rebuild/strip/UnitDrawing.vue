<script setup lang="ts">
import type { Slot } from '@dauer/core/layout';
import { computed } from 'vue';

/** A unit as it lies on the bench, large enough to point at: drawn once, as of the left side, and mirrored for the right. */
const props = defineProps<{ slotOf: Slot }>();
const right = computed(() => props.slotOf.corner?.endsWith('R') === true);
const fixed = computed(() => props.slotOf.style?.startsWith('fixed') === true);
const round = computed(() => ['drum', 'shoes', 'parking_shoes', 'band', 'band_drum', 'expander'].includes(props.slotOf.kind));
</script>

<template>
  <g :transform="right ? 'translate(280 0) scale(-1 1)' : undefined">
    <template v-if="slotOf.kind === 'caliper' || slotOf.kind === 'piston' || slotOf.kind === 'pads'">
      <circle class="body" cx="86" cy="26" r="7" />
      <path v-if="fixed" class="body" d="M60 36h72v118H60zM148 36h72v118h-72zM132 50h16M132 140h16" />
      <path v-else class="body" d="M60 36h96q24 0 24 24v70q0 24-24 24H60z" />
      <rect class="body" x="80" y="62" width="46" height="66" />
      <rect v-if="fixed" class="body" x="154" y="62" width="46" height="66" />
      <path v-else class="body" d="M180 66h46v12h-46zM180 112h46v12h-46z" />
      <path class="dark" d="M132 56h8v78h-8z" />
    </template>
    <template v-else-if="round">
      <circle class="body" cx="140" cy="95" r="86" />
      <circle class="hair" cx="140" cy="95" r="24" />
      <path class="shoe" d="M102 36A70 70 0 0 0 102 154M178 36A70 70 0 0 1 178 154" />
      <rect class="body" x="112" y="24" width="56" height="16" />
      <rect class="body" x="118" y="150" width="44" height="13" />
      <path class="spring" d="M98 60l6-4 6 8 6-8 6 8 6-8 6 8 6-8 6 8 6-8 6 8 6-8 6 8 6-8 6 4M104 132l8-4 8 8 8-8 8 8 8-8 8 8 8-8 8 8 8-4" />
      <circle class="body" cx="84" cy="95" r="5" />
      <circle class="body" cx="196" cy="95" r="5" />
    </template>
    <template v-else-if="['master_cylinder', 'clutch_master'].includes(slotOf.kind)">
      <path class="body" d="M34 70h196v54H34zM230 84h16v26h-16z" />
      <path class="hair" d="M46 84h184v26H46z" />
      <rect class="body" x="86" y="84" width="30" height="26" />
      <rect class="body" x="168" y="84" width="34" height="26" />
      <path class="spring" d="M50 97l5-8 5 16 5-16 5 16 5-16 5 8M118 97l6-8 6 16 6-16 6 16 6-16 6 16 6-16 6 8" />
      <path class="body" d="M76 52h24v18H76zM156 52h24v18h-24zM90 124h14v16H90zM150 124h14v16h-14z" />
      <path class="dark" d="M246 94h24v6h-24z" />
    </template>
    <template v-else-if="['wheel_cylinder', 'clutch_slave'].includes(slotOf.kind)">
      <path class="body" d="M60 66h160v58H60z" />
      <path class="hair" d="M60 80h160v30H60z" />
      <rect class="body" x="74" y="80" width="34" height="30" />
      <rect class="body" x="172" y="80" width="34" height="30" />
      <path class="spring" d="M112 95l7-8 7 16 7-16 7 16 7-16 7 16 7-16 7 8" />
      <path class="body" d="M46 72h14v46H46zM220 72h14v46h-14zM122 46h12v20h-12zM148 40h12v26h-12z" />
    </template>
    <template v-else-if="slotOf.kind === 'servo'">
      <path class="body" d="M70 30q70-14 110 20v90q-40 34-110 20z" />
      <path class="hair" d="M126 24v142" />
      <path class="dark" d="M30 92h40v6H30zM180 92h60v6h-60z" />
      <circle class="body" cx="92" cy="46" r="8" />
    </template>
    <template v-else-if="slotOf.kind === 'hub' || slotOf.kind === 'rotor'">
      <circle class="body" cx="140" cy="95" r="86" />
      <circle class="hair" cx="140" cy="95" r="58" />
      <circle class="body" cx="140" cy="95" r="22" />
      <circle
        v-for="[x, y] in [
          [140, 55],
          [180, 95],
          [140, 135],
          [100, 95],
        ]"
        :key="`${x}-${y}`"
        class="body"
        :cx="x"
        :cy="y"
        r="6"
      />
    </template>
    <template v-else>
      <rect class="body" x="40" y="40" width="200" height="110" />
      <path class="hair" d="M40 95h200" />
    </template>
  </g>
</template>

<style scoped>
.body {
  fill: var(--plate);
  stroke: var(--ink);
  stroke-width: 1.75;
}
.hair {
  fill: none;
  stroke: var(--slate);
}
.shoe {
  fill: none;
  stroke: var(--ink);
  stroke-width: 9;
}
.dark {
  fill: var(--ink);
}
.spring {
  fill: none;
  stroke: var(--ink2);
  stroke-width: 1.5;
}
</style>
