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
        <button v-if="session.may('technician')" class="act main" type="button" @click="job.takeBack(stuck.record.id)">Take it back</button>
      </p>
    </section>
    <p class="line">
      <button class="act" type="button" @click="job.load(jobId)">Look again</button>
      <RouterLink class="act" to="/">To the yard</RouterLink>
    </p>
  </main>
  <TakeBackDialog />
</template>

<style scoped>
h1 {
  margin-bottom: 12px;
}
.second {
  margin-top: 12px;
}
section {
  margin-top: 24px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin-top: 16px;
}
</style>
