<script setup lang="ts">
import { PARKING_PDF } from '@dauer/contract';
import { parkingCard } from '@dauer/core/views';
import { PARKED } from '@dauer/core/wording';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSession } from '../../../app/session.ts';
import { dayText, timeText } from '../../../fittings/dates.ts';
import TagPlate from '../../../fittings/TagPlate.vue';
import { useJob } from '../../../job/job.ts';
import JustEntered from '../../../job/JustEntered.vue';
import OpenJob from '../../../job/OpenJob.vue';
import ParkedCard from './ParkedCard.vue';
import ParkForm from './ParkForm.vue';
import ParkingGaps from './ParkingGaps.vue';

/** A job is left for longer than a night, and taken over by whoever goes on: both on one screen, with the card for the windscreen. */
const job = useJob();
const session = useSession();
const route = useRoute();
const router = useRouter();
const jobId = computed(() => String(route.params['jobId'] ?? ''));
watch(jobId, (id) => void job.load(id), { immediate: true });
const card = computed(() => (job.state ? parkingCard(job.state) : null));
const pdf = computed(() => PARKING_PDF.path.replace(':jobId', jobId.value));
const otherwise = ref('');
function takeOver(): void {
  if (!job.parked) return;
  job.add('takeOvers', { parkingId: job.parked.id, note: otherwise.value.trim() });
  void router.push(`/jobs/${jobId.value}`);
}
</script>

<template>
  <main v-if="job.state && job.records && card" class="parking">
    <div class="acts no-print">
      <v-btn class="act" :to="`/jobs/${jobId}/rebuild`">Back to the job</v-btn>
      <v-btn class="act" :href="pdf" target="_blank" rel="noopener">Card for the windscreen, PDF</v-btn>
    </div>
    <header>
      <TagPlate :tag="job.records.vehicle.tag" />
      <div>
        <h1>{{ job.parked ? PARKED.title : 'Leave it for longer than a night' }}</h1>
        <p class="second">
          {{ job.records.vehicle.name
          }}{{ job.parked ? `. ${job.by(job.parked)}, ${dayText(job.parked.happenedAt)} ${timeText(job.parked.happenedAt)}` : '' }}
        </p>
      </div>
    </header>
    <OpenJob :key="jobId">
      <p v-if="!job.isOpen" class="second">Nothing of this job is left standing by you: it was handed back, or you read along.</p>
      <div :class="{ two: job.writable }">
        <div v-if="job.writable" class="left">
          <ParkingGaps />
          <ParkForm />
        </div>
        <section class="shown" aria-labelledby="card">
          <h2 id="card" class="line">{{ job.parked ? 'How it was left' : 'What the card says' }}</h2>
          <ParkedCard :card="card" :parking="job.parked" />
          <form v-if="job.parked && job.isOpen" class="over" @submit.prevent="takeOver">
            <v-text-field v-model="otherwise" label="What is found otherwise than it was left" />
            <v-btn class="act main" type="submit">Read, {{ session.person?.name.split(' ')[0] }}: I take it over</v-btn>
          </form>
        </section>
      </div>
      <JustEntered />
    </OpenJob>
  </main>
</template>

<style scoped>
.parking {
  max-width: 1180px;
  margin: 0 auto;
  padding: var(--space-4) var(--space-5) var(--space-7);
}
header {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  margin: var(--space-3) 0 var(--space-4);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--space-5);
}
.left {
  display: grid;
  align-content: start;
  gap: var(--space-4);
}
.over {
  display: grid;
  gap: var(--space-3);
  max-width: 620px;
  margin-top: var(--space-4);
  padding-top: var(--space-3);
  border-top: var(--line-chosen) solid var(--ink);
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
