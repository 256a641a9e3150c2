<script setup lang="ts">
import { judgeAgain, VERDICT_WORD } from '@dauer/core';
import { computed, ref } from 'vue';
import { dayText } from '../fittings/dates.ts';
import { useJob } from './job.ts';

/** A job that was handed back: everything stands as it was then; today's book may be held against it, and writes nothing. */
const job = useJob();
const release = computed(() => job.file?.release ?? null);
const asked = ref(false);
const otherwise = computed(() => (asked.value && job.file ? judgeAgain(job.file, job.today) : []));
</script>

<template>
  <div v-if="release" class="problem closed no-print">
    <p>
      Handed back on {{ dayText(release.releasedAt) }}. Everything stands as it was then; a new complaint is a new job.
      <RouterLink :to="`/jobs/${release.jobId}/sheet`">Hand-back sheet</RouterLink>
      <button v-if="!asked" class="link" type="button" @click="asked = true">Judge again with today’s book</button>
    </p>
    <template v-if="asked">
      <p v-if="otherwise.length === 0" role="status">Today’s book judges all of it as it was judged then.</p>
      <ul v-else role="status">
        <li v-for="o in otherwise" :key="`${o.place}${o.characteristic}`">
          <b>{{ o.place }}, {{ o.characteristic.toLowerCase() }}:</b>
          {{ VERDICT_WORD[o.then].toLowerCase() }} then, {{ VERDICT_WORD[o.now].toLowerCase() }} by today’s book
        </li>
      </ul>
      <p class="second small">This is a view: nothing of it is written down, and the record stays as it is.</p>
    </template>
  </div>
</template>

<style scoped>
.closed {
  margin-top: 8px;
}
.link {
  margin-left: 12px;
}
</style>
