<script setup lang="ts">
import { ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../app/client.ts';
import { useRequest } from '../app/request.ts';
import { useOpenJob } from './openJob.ts';

/** A text is blacked out for good: the original goes, a name and a reason stay. */
const props = defineProps<{ corrects: string; field: string; text: string; line?: string }>();
const emit = defineEmits<{ close: [] }>();
const job = useOpenJob();
const reason = ref('');
const old = ref(false);
const { run, busy, problem } = useRequest();
const id = v7();
async function blackOut(): Promise<void> {
  const jobId = job.records.job.id;
  if (!jobId) return;
  await run(async () => {
    await call('redact', {
      params: { jobId },
      body: {
        ...{ id, happenedAt: timeNow().at, device: 'desk', corrects: props.corrects, field: props.field },
        ...{ line: props.line ?? null, reason: reason.value.trim() },
      },
    });
    await job.refresh();
    // A sheet of an earlier form does not say what came from where: its line is picked by sight.
    if (props.line === undefined && job.records.release && !job.records.release.sheet.made) old.value = true;
    else emit('close');
  });
}
</script>

<template>
  <v-dialog aria-labelledby="redact-dialog-title" :model-value="true" max-width="480" @update:model-value="emit('close')">
    <div v-if="old" class="dialog col">
      <h2 id="redact-dialog-title">It is gone from the record</h2>
      <p>
        The hand-back sheet of this job is of an earlier form, which does not say where its lines came from: pick the line there by sight.
      </p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Not now</v-btn>
        <v-btn class="act main" :to="`/jobs/${job.records.job.id}/sheet`">To the sheet</v-btn>
      </div>
    </div>
    <form v-else class="dialog col" @submit.prevent="blackOut">
      <h2>{{ field === 'image' ? 'Black this picture out' : 'Black this text out' }}</h2>
      <blockquote>{{ text }}</blockquote>
      <p v-if="field === 'image'">The picture goes for good, wherever it is shown. That you did it, when and why stays.</p>
      <p v-else>The words go for good, also from the hand-back sheet. That you did it, when and why stays.</p>
      <v-text-field v-model="reason" v-focus label="Reason" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Leave it</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || reason.trim().length < 3">Black it out</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
blockquote {
  margin: 0;
  border-left: var(--line-chosen) solid var(--ink);
  padding-left: 10px;
}
</style>
