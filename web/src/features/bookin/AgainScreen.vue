<script setup lang="ts">
import { cornersOf, isStandalone } from '@dauer/core/layout';
import { formerJob } from '@dauer/core/views';
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useSession } from '../../app/session.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import TagPlate from '../../fittings/TagPlate.vue';
import { useJob } from '../../job/job.ts';
import FormerJob from './FormerJob.vue';
import { blankJob, jobFaults, jobOf } from './jobDraft.ts';
import JobFields from './JobFields.vue';

/** A vehicle that was here before comes again: what we did last stands first, then whether it comes back for that. */
const job = useJob();
const session = useSession();
const route = useRoute();
const router = useRouter();
const formerId = computed(() => String(route.params['jobId'] ?? ''));
watch(formerId, (id) => void job.load(id), { immediate: true });
const former = computed(() => (job.state ? formerJob(job.state) : null));
/** The job of the vehicle that is open now: nothing is booked in beside it. */
const openNow = computed(() => {
  // As it is now: the state of what was handed back stands as it was then.
  const { records } = job;
  if (!records) return null;
  return records.release === null ? records.job.id : (records.pastJobs.find((p) => p.releasedAt === null)?.id ?? null);
});
const layout = computed(() => job.state?.records.layout ?? null);
const corners = computed(() => (layout.value ? cornersOf(layout.value) : []));
const units = computed(() => layout.value !== null && isStandalone(layout.value));
const draft = ref(blankJob());
/** Nobody is asked again whether it is a return once it was said; until then it is not known. */
const comes = ref<'back' | 'anew' | null>(null);
const id = v7();
const { run, busy, problem } = useRequest();
const tried = ref(false);
const faults = computed(() => (tried.value ? jobFaults(draft.value, session.shop.currency) : {}));
const said = computed(
  () =>
    problem.value ||
    (tried.value && comes.value === null ? 'Say whether it comes back for what was done here.' : '') ||
    (tried.value && comes.value === 'back' && draft.value.complaint.trim() === '' ? 'Say what is not right, in the owner’s words.' : ''),
);
async function bookIn(): Promise<void> {
  tried.value = true;
  problem.value = '';
  const records = job.state?.records;
  if (!records || said.value || Object.keys(faults.value).length > 0) return;
  await run(async () => {
    const done = await call('openJob', {
      params: { id: records.vehicle.id },
      body: {
        id,
        ...jobOf(draft.value, corners.value, session.shop.currency),
        ...(units.value ? { kind: 'unit' as const, scopeIn: records.layout.slots.map((x) => x.id), scopeCorners: [] } : {}),
        returnOf: comes.value === 'back' ? formerId.value : null,
      },
    });
    await router.push(`/jobs/${done.jobId}/bookin`);
  });
}
</script>

<template>
  <main class="screen">
    <template v-if="job.state && openNow">
      <div class="head"><h1>Book in again</h1></div>
      <p>
        {{ job.state.records.vehicle.name }} is in the shop already; a new complaint joins that job.
        <RouterLink :to="`/jobs/${openNow}/bookin`">Go there</RouterLink>
      </p>
    </template>
    <template v-else-if="job.state && former">
      <div class="head">
        <h1>Book in again</h1>
        <TagPlate :tag="job.state.records.vehicle.tag" />
        <span class="name">{{ job.state.records.vehicle.name }}</span>
      </div>
      <FormerJob :former="former" />
      <form @submit.prevent="bookIn">
        <section>
          <h2 class="line">Does it come back for that?</h2>
          <ChoiceRow
            v-model="comes"
            :options="[
              { value: 'back', label: 'It comes back for what was done here' },
              { value: 'anew', label: 'It comes for something else' },
            ]"
            label="Does it come back for that?"
          />
        </section>
        <section>
          <h2 class="line">The job</h2>
          <JobFields v-model="draft" :faults="faults" :corners="corners" :units="units" />
        </section>
        <p v-if="said" class="problem" role="alert">{{ said }}</p>
        <div class="acts ends">
          <v-btn class="act main" type="submit" :disabled="busy">Book it in</v-btn>
          <v-btn class="act" to="/">Not now</v-btn>
        </div>
      </form>
    </template>
    <h1 v-else>Reading the book</h1>
  </main>
</template>

<style scoped>
section {
  margin-top: 20px;
}
.name {
  font: 600 var(--type-head) / var(--leading) var(--plate-font);
}
.problem {
  margin-top: var(--space-4);
}
</style>
