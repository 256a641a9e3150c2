<script setup lang="ts">
import { ref } from 'vue';
import { v7 } from 'uuid';
import { call, sentenceOf, timeNow } from './client.ts';
import { useJob } from './job.ts';

/** A text is blacked out for good: the original goes, a name and a reason stay. */
const props = defineProps<{ corrects: string; field: string; text: string }>();
const emit = defineEmits<{ close: [] }>();
const job = useJob();
const reason = ref('');
const problem = ref('');
const id = v7();
async function blackOut(): Promise<void> {
  const jobId = job.file?.job.id;
  if (!jobId) return;
  problem.value = '';
  try {
    await call('redact', {
      params: { jobId },
      body: { id, happenedAt: timeNow().at, device: 'desk', corrects: props.corrects, field: props.field, reason: reason.value.trim() },
    });
    await job.refresh();
    emit('close');
  } catch (error) {
    problem.value = sentenceOf(error);
  }
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="blackOut">
      <h2>{{ field === 'image' ? 'Black this picture out' : 'Black this text out' }}</h2>
      <blockquote>{{ text }}</blockquote>
      <p v-if="field === 'image'">The picture goes for good, wherever it is shown. That you did it, when and why stays.</p>
      <p v-else>The words go for good, also from the hand-back sheet. That you did it, when and why stays.</p>
      <v-text-field v-model="reason" v-focus label="Reason" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <button class="act" type="button" @click="emit('close')">Leave it</button>
        <button class="act main" type="submit" :disabled="reason.trim().length < 3">Black it out</button>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
blockquote {
  margin: 0;
  border-left: 3px solid var(--ink);
  padding-left: 10px;
}
</style>
