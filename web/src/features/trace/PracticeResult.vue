<script setup lang="ts">
import { checksText } from '@dauer/core/wording';
import { type judgeNamed, type ProposedPath } from '@dauer/core/views';

/** A made-up vehicle at its end: what was named held against what is hidden, and the path taken beside the proposed one. */
defineProps<{
  verdict: ReturnType<typeof judgeNamed>;
  minutes: number;
  checks: number;
  helped: boolean;
  /** Null until it is reckoned. */
  proposed: ProposedPath | null;
  faultText: (id: string) => string;
  textOf: (id: string) => string;
}>();
</script>

<template>
  <section class="result" aria-label="How it was">
    <h2 class="line">How it was</h2>
    <p v-for="id in verdict.right" :key="id">
      <b class="plate-font">Right:</b>
      {{ faultText(id) }}
    </p>
    <p v-for="id in verdict.missed" :key="id">
      <b class="plate-font">Missed:</b>
      {{ faultText(id) }}
    </p>
    <p v-for="id in verdict.wrong" :key="id">
      <b class="plate-font">Not there:</b>
      {{ faultText(id) }}
    </p>
    <p>
      You took {{ minutes }} min and {{ checksText(checks) }}{{ helped ? ', with what Dauer weighs beside you' : '' }}.
      <template v-if="proposed && proposed.steps.length === 0">
        {{ proposed.pinned ? 'By the proposed way it was among the first with what the owner told.' : 'Nothing was left to check.' }}
      </template>
      <template v-else-if="proposed">
        The proposed way {{ proposed.pinned ? 'had it among the first' : 'had not pinned it down' }} after {{ proposed.minutes }} min and
        {{ checksText(proposed.steps.length) }}:
      </template>
    </p>
    <ol v-if="proposed">
      <li v-for="s in proposed.steps" :key="s.check.id">
        {{ s.check.name }}: {{ s.seen.length === 0 ? 'nothing found' : s.seen.map(textOf).join('; ') }}
      </li>
    </ol>
  </section>
</template>

<style scoped>
.result {
  border: var(--line-drawn) solid var(--ink);
  border-radius: var(--corner);
  padding: 0 var(--space-3) 10px;
  background: var(--plate);
}
h2 {
  padding-top: var(--space-2);
}
</style>
