<script setup lang="ts">
import { type FreeText, freeTexts } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import RedactDialog from '../../job/RedactDialog.vue';
import { dayText } from '../../fittings/dates.ts';

/** What a lead may do to a job's own record: void it, black out what was said at the desk, blank the owner. */
const job = useOpenJob();
const asking = ref<'void' | 'owner' | null>(null);
const reason = ref('');
const { run, busy, problem } = useRequest();
const done = ref('');
const black = ref<FreeText | null>(null);
/** Everything that somebody typed in this job, to be blacked out where it has to go. */
const listed = ref(false);
const texts = computed(() => freeTexts(job.records));
const voidId = v7();
async function go(): Promise<void> {
  const file = job.records;
  if (!asking.value) return;
  await run(async () => {
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
  });
}
</script>

<template>
  <section>
    <h2 class="line">The record</h2>
    <p class="row">
      <v-btn class="act slim" :aria-expanded="listed" @click="listed = !listed">
        {{ listed ? 'Put the texts away' : `Black out a text (${texts.length})` }}
      </v-btn>
      <v-btn v-if="job.records.vehicle.ownerId" class="act slim" @click="asking = 'owner'">Blank the owner</v-btn>
      <v-btn v-if="!job.state.released" class="act slim" @click="asking = 'void'">Void this job</v-btn>
    </p>
    <ul v-if="listed" class="texts">
      <li v-for="t in texts" :key="`${t.corrects} ${t.field}`">
        <button class="link" type="button" @click="black = t">Black out</button>
        <span>{{ t.text }}</span>
        <span class="second small">{{ t.by && t.at ? `${job.who(t.by)}, ${dayText(t.at)}` : 'of the job or the vehicle' }}</span>
      </li>
    </ul>
    <form v-if="asking" class="row" @submit.prevent="go">
      <p class="wide">
        {{
          asking === 'void'
            ? 'Booked twice: nothing told in this job counts any more, and it leaves the yard. It stays to be read.'
            : 'Name and contact go for good. Jobs and sheets keep what was done to the vehicle.'
        }}
      </p>
      <v-text-field v-model="reason" v-focus label="Reason" />
      <v-btn class="act main" type="submit" :disabled="busy || reason.trim().length < 3">
        {{ asking === 'void' ? 'Void it' : 'Blank it' }}
      </v-btn>
      <v-btn class="act" @click="asking = null">Leave it</v-btn>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="done" class="second" role="status">{{ done }}</p>
    <RedactDialog v-if="black" :corrects="black.corrects" :field="black.field" :text="black.text" @close="black = null" />
  </section>
</template>

<style scoped>
.texts {
  list-style: none;
  padding: 0;
  display: grid;
  gap: var(--space-1);
  max-height: 320px;
  overflow-y: auto;
}
.texts li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px var(--space-3);
  align-items: baseline;
}
section {
  margin-top: 20px;
}
.row {
  display: flex;
  gap: var(--space-2);
  flex-wrap: wrap;
  align-items: center;
  margin-top: var(--space-2);
}
.wide {
  flex: 1 1 100%;
}
.row > :deep(.v-input) {
  flex: 1 1 240px;
}
</style>
