<script setup lang="ts">
import { OPTION_NAME } from '@dauer/core/catalogue';
import { workedBefore } from '@dauer/core/history';
import { placeName, slotById } from '@dauer/core/layout';
import { computed } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { dayText } from '../../fittings/dates.ts';
import { useOpenJob } from '../../job/openJob.ts';

/** A place that an earlier job worked on: whether it is opened again for the same is said by a person, once. */
const props = defineProps<{ slotId: string; writable: boolean }>();
const job = useOpenJob();
const { run, busy, problem } = useRequest();
const before = computed(() => workedBefore(job.history, props.slotId));
const place = computed(() => {
  const slot = slotById(job.records.layout, props.slotId);
  return slot ? placeName(slot) : '';
});
async function say(answer: 'comeback' | 'other_fault'): Promise<void> {
  const of = before.value;
  if (!of) return;
  await run(async () => {
    await call('recordComeback', {
      params: { jobId: job.records.job.id },
      body: { id: v7(), happenedAt: timeNow().at, device: 'desk', slotId: of.slotId, repairedIn: of.jobId, answer },
    });
    await job.refresh();
  });
}
</script>

<template>
  <p v-if="before" class="small before">
    <b>{{ place }}:</b>
    {{ OPTION_NAME[before.option].toLowerCase() }}, handed back {{ dayText(before.releasedAt) }}.
    <template v-if="before.said">
      {{ before.said.answer === 'comeback' ? 'It came back for the same.' : 'Opened now for another reason.' }}
      <button
        v-if="writable"
        class="link"
        type="button"
        :aria-label="`Take back: ${place}, came back or not`"
        @click="job.takeBack(before.said.id)"
      >
        Take back
      </button>
    </template>
    <template v-else-if="writable">
      <button class="link" type="button" :disabled="busy" :aria-label="`${place} came back for the same`" @click="say('comeback')">
        It came back for the same
      </button>
      <button class="link" type="button" :disabled="busy" :aria-label="`${place}: another reason`" @click="say('other_fault')">
        Another reason
      </button>
    </template>
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </p>
</template>

<style scoped>
.before {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-3);
  align-items: center;
}
</style>
