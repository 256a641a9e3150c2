<script setup lang="ts">
import { pedalTells } from '@dauer/core/judging';
import { CORNER_NAME } from '@dauer/core/layout';
import { controlPairs } from '@dauer/core/views';
import { pedalWords } from '@dauer/core/wording';
import { computed } from 'vue';
import PairTable from '../../fittings/PairTable.vue';
import { useOpenJob } from '../../job/openJob.ts';

/** The pedal before the work and since, in figures, and whether bleeding again would help. */
const job = useOpenJob();
const pairs = computed(() => controlPairs(job.state, job.today));
const tells = computed(() => pedalTells(job.history));
const lines = computed(() => (tells.value ? pedalWords(tells.value, (c) => CORNER_NAME[c]) : []));
const control = computed(() => job.state.records.layout.slots.find((s) => ['pedal', 'foot_lever', 'hand_lever'].includes(s.kind)));
</script>

<template>
  <section v-if="pairs.length > 0 || lines.length > 0">
    <h2 class="line">The pedal, before and after</h2>
    <PairTable v-if="pairs.length > 0" :pairs="pairs" />
    <p v-for="l in lines" :key="l">{{ l }}</p>
    <RouterLink v-if="control" class="link" :to="{ path: `/jobs/${job.records.job.id}/gauge`, query: { pick: control.id } }">
      Measure it
    </RouterLink>
  </section>
</template>
