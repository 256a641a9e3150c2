<script setup lang="ts">
import { workedBy } from '@dauer/core/wording';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { dayText, timeText } from '../../fittings/dates.ts';
import TagPlate from '../../fittings/TagPlate.vue';
import { useJob } from '../../job/job.ts';

/** What is printed and laid on a pedal or lever that must not be pressed: why, and since when. */
const job = useJob();
const route = useRoute();
const jobId = computed(() => String(route.params['jobId'] ?? ''));
watch(jobId, (id) => void job.load(id), { immediate: true });
const locks = computed(() => job.state?.context.proofStatus.locks ?? []);
const print = (): void => window.print();
</script>

<template>
  <main v-if="job.state" class="board">
    <div class="acts no-print">
      <v-btn class="act" :to="`/jobs/${jobId}/rebuild`">Back to the job</v-btn>
      <v-btn class="act main" :disabled="locks.length === 0" @click="print">Print</v-btn>
    </div>
    <template v-if="locks.length === 0">
      <h1>Nothing to lay on a pedal</h1>
      <p>Nothing is open: no pedal or lever is locked now.</p>
    </template>
    <section v-for="l in locks" :key="l.control.slotId" class="one">
      <span class="hatch" aria-hidden="true" />
      <h1>{{ l.control.name }}: do not {{ workedBy(l.control) }}</h1>
      <TagPlate :tag="job.state.records.vehicle.tag" />
      <ul>
        <li v-for="p in l.by" :key="p.slot.id">{{ p.why }}</li>
      </ul>
      <p>Taken off last, by whoever closed all of it.</p>
      <p class="second">{{ job.state.records.vehicle.name }}, as of {{ dayText(job.today) }} {{ timeText(job.today) }}</p>
    </section>
  </main>
</template>

<style scoped>
.board {
  max-width: 900px;
  margin: 0 auto;
  padding: var(--space-4) var(--space-5) var(--space-7);
}
.one {
  margin-top: var(--space-5);
  border: var(--line-head) solid var(--ink);
  padding: var(--space-4);
  break-after: page;
}
.hatch {
  display: block;
  height: var(--touch);
  margin-bottom: var(--space-4);
  background: repeating-linear-gradient(135deg, var(--ink) 0 16px, var(--plate) 16px 36px);
}
h1 {
  font-size: clamp(var(--type-h1), 6vw, 64px);
  line-height: 1.1;
  margin-bottom: var(--space-3);
}
ul {
  margin: var(--space-4) 0;
  font-size: var(--type-title);
  line-height: var(--leading);
}
li::first-letter {
  text-transform: uppercase;
}
</style>
