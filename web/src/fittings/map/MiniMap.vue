<script setup lang="ts">
import { axleOf, cornersOf, type Layout } from '@dauer/core/layout';
import { type Verdict, worst } from '@dauer/core/verdict';
import { computed } from 'vue';
import MarkShape from '../MarkShape.vue';
import { isInLine } from './usualPlaces.ts';

/** The brake system at a glance: only marks that need a decision. */
const props = defineProps<{ layout: Layout; marks: readonly { readonly slotId: string; readonly verdict: Verdict }[] }>();
const AT = {
  FL: [14, 28],
  FR: [66, 28],
  ML: [14, 62],
  MR: [66, 62],
  RL: [14, 92],
  RR: [66, 92],
  S: [66, 74],
  F: [40, 28],
  R: [40, 92],
} as const;
const wheels = computed(() =>
  cornersOf(props.layout).map((c) => {
    const here = props.layout.slots.filter((s) => s.corner === c);
    const verdicts = props.marks.filter((m) => here.some((s) => s.id === m.slotId)).map((m) => m.verdict);
    return {
      c,
      x: AT[c][0],
      y: AT[c][1],
      dir: c.endsWith('L') ? 1 : -1,
      disc: here.some((s) => s.kind === 'rotor'),
      verdict: worst(verdicts),
      circuit: here.find((s) => s.circuits.length > 0)?.circuits[0] ?? null,
    };
  }),
);
const inLine = computed(() => isInLine(props.layout));
const hydraulic = computed(() => props.layout.slots.some((s) => s.kind === 'master_cylinder'));
const rear = computed(() => wheels.value.find((w) => axleOf(w.c) === 'rear')?.circuit ?? null);
</script>

<template>
  <svg class="mini" viewBox="0 0 80 114" width="80" height="114" aria-hidden="true">
    <path
      v-if="!inLine"
      d="M22 12 30 4H50L58 12 60 30V92L56 106 50 110H30L24 106 20 92V30ZM26 42 30 36H50L54 42"
      fill="none"
      stroke="var(--hair)"
    />
    <template v-if="inLine">
      <path d="M46 28H60V52" class="line" />
      <rect x="57" y="46" width="6" height="16" class="box" />
    </template>
    <template v-else-if="hydraulic">
      <path d="M14 28H66M40 28V52" class="line" />
      <path v-if="rear === 2" d="M38 56V92M14 92H66" class="line" stroke-width="4" />
      <path v-if="rear === 2" d="M38 56V92M14 92H66" stroke="var(--page)" stroke-width="1.5" fill="none" />
      <path v-else d="M40 52V92M14 92H66" class="line" />
      <rect x="42" y="40" width="6" height="18" class="box" />
      <rect x="41" y="62" width="8" height="4" class="box" />
    </template>
    <path v-else d="M14 28 40 60 66 28M14 92 40 60 66 92M34 60h12" fill="none" stroke="var(--ink)" />
    <g v-for="w in wheels" :key="w.c" :transform="`translate(${w.x} ${w.y})`">
      <circle r="9" class="box" />
      <circle
        :r="w.disc ? 4 : 6.5"
        fill="none"
        stroke="var(--ink)"
        :stroke-width="w.disc ? 1 : 2.4"
        :stroke-dasharray="w.disc ? undefined : '13 7.4'"
      />
      <path v-if="w.disc" :d="`M${5 * w.dir}-6L${12 * w.dir}-8V8L${5 * w.dir} 6Z`" class="box" />
      <g v-if="w.verdict" transform="scale(0.9)"><MarkShape :verdict="w.verdict" ground="var(--page)" /></g>
    </g>
  </svg>
</template>

<style scoped>
.mini {
  display: block;
}
.line {
  fill: none;
  stroke: var(--copper);
  stroke-width: 1.75;
}
.box {
  fill: var(--page);
  stroke: var(--ink);
  stroke-width: 1.1;
}
</style>
