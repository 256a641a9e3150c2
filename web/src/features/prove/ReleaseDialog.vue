<script setup lang="ts">
import { isStandalone } from '@dauer/core/layout';
import { LEAVES } from '@dauer/core/wording';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { v7 } from 'uuid';
import { ApiProblem, call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { useOutbox } from '../../job/outbox/store.ts';
import { useSession } from '../../app/session.ts';

const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const outbox = useOutbox();
const session = useSession();
const router = useRouter();
const password = ref('');
const units = computed(() => isStandalone(job.state.records.layout));
const leavesLine = computed(() => (job.state.leaving ? LEAVES.line(job.state.leaving.how, job.state.leaving.note) : ''));
const { run, busy, problem } = useRequest();
const id = v7();
/** What was entered a moment ago may still be on its way, ms. */
const WAIT_MS = 6000;
async function release(): Promise<void> {
  const jobId = job.state.records.job.id;
  if (!jobId) return;
  await run(
    async () => {
      if (!(await outbox.settled(WAIT_MS))) throw new Error('Something is still kept here and not sent. It has to be in the book first.');
      await call('release', { params: { jobId }, body: { id, password: password.value } });
      await job.refresh();
      emit('close');
      await router.push(`/jobs/${jobId}/sheet`);
    },
    async (error) => {
      if (error instanceof ApiProblem && error.is('blocked')) await job.refresh();
    },
  );
}
</script>

<template>
  <v-dialog aria-labelledby="release-dialog-title" :model-value="true" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="release">
      <h2 id="release-dialog-title">
        {{ units ? 'Return' : 'Hand back' }} {{ job.state.records.vehicle.tag }} {{ job.state.records.vehicle.name }}
      </h2>
      <p>What was found, done, fitted and accepted is written down for good, as it stands now. Later work is a new job.</p>
      <p v-if="job.state.leaving" class="problem">{{ leavesLine }}</p>
      <v-text-field
        v-model="password"
        v-focus
        :label="`Password of ${session.person?.name ?? ''}`"
        type="password"
        autocomplete="current-password"
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Not yet</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || password === ''">{{ units ? 'Return' : 'Hand back' }}</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
