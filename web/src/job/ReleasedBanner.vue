<script setup lang="ts">
import { handedBackWords, VERDICT_WORD } from '@dauer/core/wording';
import { lateEvents } from '@dauer/core/history';
import { judgeAgain } from '@dauer/core/job';
import { afterCareStates } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { dayText } from '../fittings/dates.ts';
import { useOpenJob } from './openJob.ts';
import { useSession } from '../app/session.ts';

/** A job that was handed back: everything stands as it was then; today's book may be held against it, and writes nothing. */
const job = useOpenJob();
const session = useSession();
function unvoid(): void {
  const v = job.records.voids.findLast((x) => x.jobId === job.records.job.id);
  if (v) job.takeBack(v.id);
}
const release = computed(() => job.records.release ?? null);
const rejudging = ref(false);
const careText = computed(() => {
  const s = job.state;
  const late = lateEvents(job.records).filter((l) => !l.answered).length;
  if (late > 0) return `${late} came in late`;
  const open = afterCareStates(s).filter((a) => a.answer === 'open' || a.answer === 'failed').length;
  return open > 0 ? `${open} of after-care open` : 'After-care answered';
});
const otherwise = computed(() => (rejudging.value && job.records ? judgeAgain(job.records, job.today) : []));
</script>

<template>
  <p v-if="job.state.voided" class="problem closed">
    Voided: booked twice. Nothing told here counts. {{ job.records.voids.find((v) => v.jobId === job.records.job.id)?.reason }}
    <button v-if="session.may('lead')" class="link" type="button" @click="unvoid">It counts after all</button>
  </p>
  <div v-if="release && job.records" class="problem closed no-print">
    <p>
      {{ handedBackWords(job.records, dayText) }}. Everything stands as it was then; a new complaint is a new job.
      <RouterLink :to="`/jobs/${release.jobId}/sheet`">Hand-back sheet</RouterLink>
      <RouterLink v-if="session.may('technician')" class="link" :to="`/jobs/${release.jobId}/again`">Book it in again</RouterLink>
      <RouterLink class="link" :to="`/jobs/${release.jobId}/prove`">{{ careText }}</RouterLink>
      <button v-if="!rejudging" class="link" type="button" @click="rejudging = true">Judge again with today’s book</button>
    </p>
    <template v-if="rejudging">
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
  margin-top: var(--space-2);
}
.link {
  margin-right: var(--space-3);
}
</style>
