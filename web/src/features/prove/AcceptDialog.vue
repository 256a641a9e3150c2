<script setup lang="ts">
import { acceptanceKey, isReason, type Obligation } from '@dauer/core/ledger';
import { ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { useSession } from '../../app/session.ts';

const props = defineProps<{ obligation: Obligation }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const session = useSession();
const reason = ref('');
const password = ref('');
const { run, busy, problem } = useRequest();
const id = v7();
async function accept(): Promise<void> {
  const jobId = job.state.records.job.id;
  if (!jobId) return;
  await run(async () => {
    await call('accept', {
      params: { jobId },
      body: {
        id,
        happenedAt: timeNow().at,
        device: 'desk',
        obligation: acceptanceKey(props.obligation),
        reason: reason.value,
        password: password.value,
      },
    });
    await job.refresh();
    emit('close');
  });
}
</script>

<template>
  <v-dialog aria-labelledby="accept-dialog-title" :model-value="true" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="accept">
      <h2 id="accept-dialog-title">Accept: {{ obligation.what }}</h2>
      <p v-if="obligation.why">{{ obligation.why }}</p>
      <p class="second">It goes on the hand-back sheet under the name of {{ session.person?.name }}.</p>
      <v-textarea v-model="reason" v-focus label="Reason" hint="In words: it stands on the sheet, under your name." persistent-hint />
      <v-text-field
        v-model="password"
        :label="`Password of ${session.person?.name ?? ''}`"
        type="password"
        autocomplete="current-password"
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Not now</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || !isReason(reason) || password === ''">Accept by name</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
