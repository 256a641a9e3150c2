<script setup lang="ts">
import { meaningOf, nextStepWords } from '@dauer/core/wording';
import { type Component, decisiveNextStep, type Judged, roomLeft } from '@dauer/core/judging';
import { counterpart } from '@dauer/core/layout';
import { followedIn } from '@dauer/core/ledger';
import type { Taken } from '@dauer/core/metrology';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import PadPatterns from './PadPatterns.vue';

/** What was found, what it means, what to do next. */
const props = defineProps<{
  judged: readonly Judged[];
  component: Component;
  missing: readonly string[];
  taken: readonly Taken[];
  pads: boolean;
}>();
const job = useOpenJob();
const meaning = computed(() =>
  meaningOf(props.judged, props.component.runout, props.missing, {
    taken: props.taken.length,
    paired: counterpart(job.records.layout, props.component.slot) !== undefined,
    followed: followedIn(job.records),
    decisiveNextStep: (j) => nextStepWords(j, decisiveNextStep(j, roomLeft(j) ?? 0, job.records.gauges)),
    doubts: props.component.findings.filter((f) => f.severity === 'doubt').map((f) => f.words),
    rejects: props.component.findings.filter((f) => f.severity === 'reject').map((f) => f.words),
  }),
);
const decide = computed(
  () => props.judged.some((j) => j.verdict === 'past') || props.component.findings.some((f) => f.severity === 'reject'),
);
</script>

<template>
  <section class="means plate">
    <h2>What this means</h2>
    <p>
      <b class="plate-font">Found</b>
      {{ meaning.found }}
    </p>
    <p>
      <b class="plate-font">Means</b>
      {{ meaning.means }}
    </p>
    <p>
      <b class="plate-font">Next</b>
      {{ meaning.next }}
    </p>
    <PadPatterns v-if="pads" :taken="taken" :slot-id="component.slot.id" />
    <v-btn v-if="decide" class="act main" :to="{ params: { stage: 'decide' } }">Decide about this axle</v-btn>
  </section>
</template>

<style scoped>
.means {
  padding: var(--space-3) var(--space-4) var(--space-4);
  border-top: var(--line-head) solid var(--ink);
  font-size: var(--type-paragraph);
  line-height: var(--leading-tight);
  margin-top: var(--space-3);
}
.means p {
  margin-top: var(--space-2);
}
.means b {
  margin-right: var(--space-1);
  font-size: var(--type-body);
}
.means .act {
  margin-top: 14px;
  width: 100%;
}
</style>
