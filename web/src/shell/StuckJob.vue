<script setup lang="ts">
import { dayText, timeText } from '../fittings/dates.ts';
import { type Stuck, useJob } from '../job/job.ts';
import { useSession } from '../app/session.ts';
import TakeBackDialog from '../job/TakeBackDialog.vue';

/** A job whose records cannot be put together: why, and the record without which they can. */
defineProps<{ stuck: Stuck; jobId: string }>();
const job = useJob();
const session = useSession();
</script>

<template>
  <main class="screen">
    <h1>{{ job.records ? `${job.records.vehicle.tag} ${job.records.vehicle.name}` : 'This job' }} cannot be judged</h1>
    <p class="problem" role="alert">{{ stuck.why }}</p>
    <p class="second">Nothing is lost: every record of it is in the book. Until it is put right nothing here is held for true.</p>
    <section v-if="stuck.record">
      <h2>Without this record it can</h2>
      <p class="line">
        <b>{{ stuck.record.what }}</b>
        <span class="second">
          {{ job.by(stuck.record) }}, {{ dayText(stuck.record.happenedAt) }} {{ timeText(stuck.record.happenedAt) }}
        </span>
        <v-btn v-if="session.may('technician')" class="act main" @click="job.takeBack(stuck.record.id)">Take it back</v-btn>
      </p>
    </section>
    <p class="line">
      <v-btn class="act" @click="job.load(jobId)">Look again</v-btn>
      <v-btn class="act" to="/">To the yard</v-btn>
    </p>
  </main>
  <TakeBackDialog />
</template>

<style scoped>
h1 {
  margin-bottom: var(--space-3);
}
.second {
  margin-top: var(--space-3);
}
section {
  margin-top: var(--space-5);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
  margin-top: var(--space-4);
}
</style>
