<script setup lang="ts">
import { upperFirst } from '@dauer/core/quantity';
import { lateEvents } from '@dauer/core/history';
import { weighLate } from '@dauer/core/job';
import { computed, ref } from 'vue';
import { v7 } from 'uuid';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { useOpenJob } from '../../job/openJob.ts';
import { useSession } from '../../app/session.ts';
import { dayText, timeText } from '../../fittings/dates.ts';

/** What came in after the hand-back and waits for a lead, and what was added to the record since. */
const job = useOpenJob();
const session = useSession();
const late = computed(() => lateEvents(job.records));
const waiting = computed(() => late.value.filter((l) => !l.answered));
const weight = computed(() => (waiting.value.length > 0 ? weighLate(job.records, job.today) : null));
const amendments = computed(() => job.state.history.active(job.state.records.amendments) ?? []);
/** Being written: about an event that came late, or about the record as such. */
const about = ref<string | null | undefined>(undefined);
const words = ref('');
const reason = ref('');
const { run, busy, problem } = useRequest();
let id = v7();
async function amend(): Promise<void> {
  const jobId = job.records.job.id;
  if (!jobId || about.value === undefined) return;
  await run(async () => {
    await call('amend', {
      params: { jobId },
      body: { id, happenedAt: timeNow().at, device: 'desk', corrects: about.value, words: words.value.trim(), reason: reason.value.trim() },
    });
    id = v7();
    about.value = undefined;
    words.value = '';
    reason.value = '';
    await job.refresh();
  });
}
</script>

<template>
  <section class="since">
    <div v-if="late.length > 0" class="late" :class="{ waits: waiting.length > 0 }">
      <h2>Came in after the hand-back</h2>
      <p v-if="waiting.length > 0">
        It happened before and was kept. The record stands as it was; a lead says what follows from it.
        <template v-if="weight && weight.figures.length + weight.blocks.length > 0">
          <b>With it, this would have stood otherwise:</b>
          {{ [...weight.figures.map((f) => `${f.place} ${f.characteristic.toLowerCase()}`), ...weight.blocks].join('; ') }}.
        </template>
        <template v-else>Nothing would have stood otherwise.</template>
      </p>
      <ul>
        <li v-for="l in late" :key="l.event.id">
          <span class="what">
            {{ upperFirst(l.what) }}, {{ dayText(l.event.happenedAt) }} {{ timeText(l.event.happenedAt) }}
            <span class="second small">
              {{ job.by(l.event) }}; came in {{ dayText(l.event.recordedAt) }} {{ timeText(l.event.recordedAt) }}
            </span>
          </span>
          <span v-if="l.answered" class="second">answered below</span>
          <v-btn v-else-if="session.may('lead')" class="act slim" @click="about = l.event.id">Answer it</v-btn>
          <span v-else class="second small">waits for a lead</span>
        </li>
      </ul>
    </div>
    <div class="top">
      <h2>Amended since</h2>
      <v-btn v-if="session.may('lead') && about === undefined" class="act slim" @click="about = null">Amend the record</v-btn>
    </div>
    <form v-if="about !== undefined" class="form" @submit.prevent="amend">
      <v-textarea v-model="words" v-focus label="What is added to the record" />
      <v-text-field v-model="reason" label="Reason" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="about = undefined">Not now</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || words.trim().length < 3 || reason.trim().length < 3">Amend by name</v-btn>
      </div>
    </form>
    <ul>
      <li v-for="a in amendments" :key="a.id">
        <span class="what">
          {{ a.words }}
          <span class="second small">{{ a.reason }}; {{ job.by(a) }}, {{ dayText(a.happenedAt) }}</span>
        </span>
      </li>
    </ul>
    <p v-if="amendments.length === 0" class="second small">Nothing: the record is as it was handed back.</p>
  </section>
</template>

<style scoped>
.since {
  margin-top: 20px;
}
.late {
  margin-bottom: var(--space-4);
}
.waits {
  border: var(--line-head) solid var(--ink);
  border-radius: var(--corner);
  padding: 10px var(--space-3);
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: var(--line-hair) solid var(--slate);
  padding-bottom: var(--space-1);
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  min-height: var(--strip);
  padding: var(--space-1) 0;
  border-bottom: var(--line-hair) solid var(--hair);
}
.what {
  flex: 1;
}
.what .small {
  display: block;
  line-height: 18px;
}
.form {
  display: grid;
  gap: var(--space-3);
  margin: var(--space-3) 0;
  max-width: 640px;
}
</style>
