<script setup lang="ts">
import { ref } from 'vue';
import { v7 } from 'uuid';
import { call, sentenceOf, timeNow } from '../../app/client.ts';
import { useJob } from '../../app/job.ts';
import RedactDialog from '../../app/RedactDialog.vue';

/** What a lead may do to a job's own record: void it, black out what was said at the desk, blank the owner. */
const job = useJob();
const asking = ref<'void' | 'owner' | null>(null);
const reason = ref('');
const problem = ref('');
const done = ref('');
const black = ref<{ field: string; text: string } | null>(null);
const TEXTS = [
  ['complaint', 'Complaint'],
  ['wants', 'What the owner wants'],
  ['fluidKnown', 'What is known of the fluid'],
] as const;
const voidId = v7();
async function go(): Promise<void> {
  const file = job.file;
  if (!file || !asking.value) return;
  problem.value = '';
  try {
    if (asking.value === 'void') {
      const body = { id: voidId, happenedAt: timeNow().at, device: 'desk', reason: reason.value.trim() };
      await call('voidJob', { params: { jobId: file.job.id }, body });
      await job.refresh();
    } else {
      await call('eraseOwner', { params: { id: file.vehicle.id }, body: { reason: reason.value.trim() } });
      done.value = 'The owner’s name and contact are gone for good.';
    }
    asking.value = null;
    reason.value = '';
  } catch (error) {
    problem.value = sentenceOf(error);
  }
}
</script>

<template>
  <section>
    <h2 class="line">The record</h2>
    <p class="row">
      <button
        v-for="[field, name] in TEXTS.filter(([f]) => job.file?.job[f])"
        :key="field"
        class="act slim"
        type="button"
        @click="black = { field, text: job.file?.job[field] ?? '' }"
      >
        Black out: {{ name.toLowerCase() }}
      </button>
      <button v-if="job.file?.vehicle.ownerId" class="act slim" type="button" @click="asking = 'owner'">Blank the owner</button>
      <button v-if="!job.state?.released" class="act slim" type="button" @click="asking = 'void'">Void this job</button>
    </p>
    <form v-if="asking" class="row" @submit.prevent="go">
      <p class="wide">
        {{
          asking === 'void'
            ? 'Booked twice: nothing told in this job counts any more, and it leaves the yard. It stays to be read.'
            : 'Name and contact go for good. Jobs and sheets keep what was done to the vehicle.'
        }}
      </p>
      <v-text-field v-model="reason" v-focus label="Reason" />
      <button class="act main" type="submit" :disabled="reason.trim().length < 3">{{ asking === 'void' ? 'Void it' : 'Blank it' }}</button>
      <button class="act" type="button" @click="asking = null">Leave it</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="done" class="second" role="status">{{ done }}</p>
    <RedactDialog v-if="black && job.file" :corrects="job.file.job.id" :field="black.field" :text="black.text" @close="black = null" />
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  align-items: center;
  margin-top: 8px;
}
.wide {
  flex: 1 1 100%;
}
.row > :deep(.v-input) {
  flex: 1 1 240px;
}
</style>
