<script setup lang="ts">
import type { LeavingHow } from '@dauer/core/ledger';
import { isReason } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';

/** How the vehicle leaves: on its own wheels, carried away, or as one that must not be driven. A lead says so. */
const props = defineProps<{ writable: boolean }>();
const job = useOpenJob();
const WAYS = [
  { how: 'driven', name: 'Driven', about: 'Everything has to be proved here, the road as well.' },
  { how: 'not_driven', name: 'Not driven', about: 'It is carried away; what only the road proves goes with the sheet as still to do.' },
  {
    how: 'not_to_be_driven',
    name: 'Not to be driven',
    about: 'Something about it is dangerous. That stands on the first line of the sheet, and what is left goes with it.',
  },
] as const satisfies readonly { how: LeavingHow; name: string; about: string }[];
const now = computed(() => job.state.leaving?.how ?? 'driven');
const picked = ref<LeavingHow | null>(null);
const shown = computed(() => WAYS.find((w) => w.how === (picked.value ?? now.value)));
const words = ref('');
const { run, busy, problem } = useRequest();
let id = v7();
function pick(how: LeavingHow): void {
  picked.value = how === now.value ? null : how;
  words.value = '';
  id = v7();
  if (how === 'driven' && now.value !== 'driven') void send('driven');
}
async function send(how: LeavingHow): Promise<void> {
  await run(async () => {
    await call('recordLeaving', {
      params: { jobId: job.state.records.job.id },
      body: { id, happenedAt: timeNow().at, device: 'desk', how, note: words.value.trim() },
    });
    picked.value = null;
    await job.refresh();
  });
}
</script>

<template>
  <section class="leaving">
    <h2 class="line">How it leaves</h2>
    <div class="row">
      <v-btn-group class="choice" role="group" aria-label="How it leaves">
        <v-btn
          v-for="w in WAYS"
          :key="w.how"
          :aria-pressed="(picked ?? now) === w.how"
          :disabled="!props.writable || busy"
          @click="pick(w.how)"
        >
          {{ w.name }}
        </v-btn>
      </v-btn-group>
      <span class="second small">
        {{ shown?.about }}
        <b v-if="job.state.leaving && !picked">{{ job.state.leaving.note }}</b>
      </span>
    </div>
    <form v-if="picked && picked !== 'driven'" class="row" @submit.prevent="send(picked)">
      <v-text-field
        v-model="words"
        v-focus
        density="compact"
        label="Why, and what has to be done first"
        hint="It stands on the first line of the sheet, under your name."
        persistent-hint
      />
      <v-btn class="act main" type="submit" :disabled="busy || !isReason(words)">{{ shown?.name }}</v-btn>
      <v-btn class="act" @click="picked = null">Not now</v-btn>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.leaving {
  margin-top: var(--space-4);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: flex-start;
  padding: var(--space-2) 0;
}
.row > .second {
  flex: 1 1 260px;
}
.row > :deep(.v-input) {
  flex: 1 1 320px;
}
</style>
