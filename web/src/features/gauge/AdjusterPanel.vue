<script setup lang="ts">
import { adjusterMissingWords, adjusterWords } from '@dauer/core/wording';
import { adjusterFacts, adjusterTravel, type Component } from '@dauer/core/judging';
import { toResult } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';

/** What the adjuster has left, once drum, linings, link and cam all draw on it. */
const props = defineProps<{ component: Component }>();
const job = useOpenJob();
const hinged = ref<'hinged' | 'floating'>(
  props.component.slot.style === 'floating' || props.component.slot.style === 'duo_servo' ? 'floating' : 'hinged',
);
const facts = computed(() => adjusterFacts(job.history, props.component.slot));
const result = computed(() => {
  const f = facts.value;
  if (!f || f.drum === null || f.travel === null) return null;
  const { drum, travel } = f;
  return toResult(() => adjusterTravel({ ...f, drum, travel, leverage: hinged.value === 'hinged' ? 2 : 1 }));
});
const words = computed(() => {
  const r = result.value;
  if (!r) return '';
  return r.ok ? adjusterWords(r.value, facts.value?.liningDiscard ?? null) : r.refusal.message;
});
/** The travel as a rule: what each draws, one behind the other. */
const bars = computed(() => {
  const r = result.value;
  if (!r?.ok) return [];
  const { used, left, draws } = r.value;
  const whole = Math.max(used + Math.max(left, 0), used, 1e-9);
  let x = 0;
  return draws
    .filter((d) => d.mm > 0)
    .map((d) => {
      const bar = { what: d.what, x: (x / whole) * 400, width: (d.mm / whole) * 400 };
      x += d.mm;
      return bar;
    });
});
const WHAT = { drum: 'drum', linings: 'linings', link: 'link', cam: 'cam' } as const;
</script>

<template>
  <section v-if="facts" class="working">
    <h2>How much adjuster is left?</h2>
    <ChoiceRow
      v-model="hinged"
      :options="[
        { value: 'hinged', label: 'Shoes hinge on an anchor' },
        { value: 'floating', label: 'Both ends move' },
      ]"
      label="How the shoes move"
    />
    <p v-if="!result" class="second">Not known yet: {{ adjusterMissingWords(facts.missing) }}.</p>
    <template v-else>
      <svg v-if="bars.length > 0" class="travel" viewBox="0 0 408 52" role="img" :aria-label="words">
        <rect x="4" y="6" width="400" height="22" class="whole" />
        <g v-for="(b, i) in bars" :key="b.what">
          <rect :x="4 + b.x" y="6" :width="b.width" height="22" :class="i % 2 === 0 ? 'drawn' : 'drawn other'" />
          <text v-if="b.width > 34" :x="4 + b.x + b.width / 2" y="45" text-anchor="middle" class="bn">{{ WHAT[b.what] }}</text>
        </g>
        <path d="M204 2V32" class="middle" />
      </svg>
      <p class="advice">{{ words }}</p>
    </template>
  </section>
</template>

<style scoped>
.travel {
  width: 100%;
  max-width: 520px;
  margin-top: 10px;
  display: block;
}
.whole {
  fill: var(--plate);
  stroke: var(--ink);
}
.drawn {
  fill: var(--ink);
}
.other {
  fill: var(--slate);
}
.middle {
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 4 2;
}
.bn {
  font: 600 var(--type-second) var(--plate-font);
  fill: var(--ink2);
}
</style>
