<script setup lang="ts">
import { HARD_N, LIGHT_N, pedalTells, shutWhenever } from '@dauer/core/judging';
import { pedalWords } from '@dauer/core/wording';
import { fixed } from '@dauer/core/quantity';
import { CORNER_NAME } from '@dauer/core/layout';
import { computed } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import ShareBar from '../../fittings/ShareBar.vue';

/** The pedal as a gauge: how much of its travel is clearance, how much is soft, and at which wheel. */
const job = useOpenJob();
const lever = computed(() => job.state.records.layout.slots.find((s) => s.kind === 'pedal' || s.kind === 'foot_lever'));
const tells = computed(() => pedalTells(job.history));
const lines = computed(() => (tells.value ? pedalWords(tells.value, (c) => CORNER_NAME[c]) : []));
const shut = computed(() =>
  shutWhenever(job.history)
    .map((c) => CORNER_NAME[c].toLowerCase())
    .join(', '),
);
const most = computed(() => Math.max(0.1, tells.value?.all.softMl ?? 0, ...(tells.value?.at.map((a) => a.softMl) ?? [])));
</script>

<template>
  <details v-if="lever" class="pedal" :open="tells !== null || shut !== ''">
    <summary>The pedal as a gauge</summary>
    <template v-if="tells">
      <p v-for="l in lines" :key="l">{{ l }}</p>
      <table v-if="tells.at.length > 0">
        <thead>
          <tr>
            <th scope="col">Shut off</th>
            <th scope="col" class="right">Soft, mL</th>
            <td />
            <th scope="col" class="right">Free, mL</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="a in tells.at" :key="a.corner">
            <td>{{ CORNER_NAME[a.corner] }}</td>
            <td class="right fig">{{ fixed(a.softMl, 1) }}</td>
            <td>
              <ShareBar :share="a.softMl / most" />
            </td>
            <td class="right fig">{{ fixed(a.freeMl, 1) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <p v-else-if="shut" class="problem">
      It was taken with {{ shut }} shut off by a block or a clamp. Take it with every wheel open as well.
    </p>
    <p v-else class="second small">
      Travel of the pad under {{ LIGHT_N }} and {{ HARD_N }} N, and the two arms of the pedal, split into clearance and what is soft. Again
      with one hose clamped, entered as put in, and its share has a wheel.
    </p>
    <RouterLink :to="{ path: `/jobs/${job.records.job.id}/gauge`, query: { pick: lever.id } }">Measure the travel</RouterLink>
  </details>
</template>

<style scoped>
.pedal {
  margin: var(--space-2) 0 var(--space-4);
  max-width: 720px;
}
summary {
  min-height: var(--touch);
  cursor: pointer;
  font: 600 var(--type-caption)/var(--leading) var(--plate-font);
}
.right {
  text-align: right;
}
td,
th {
  padding: 6px var(--space-3) 6px 0;
}
</style>
