<script setup lang="ts">
import { convert, groupThousands, readTold } from '@dauer/core/quantity';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import { dayText } from '../../fittings/dates.ts';
import { refusalOf } from '../../fittings/refusal.ts';

/** The distance counter, read by read: wear rates need it. */
defineProps<{ writable: boolean }>();
const job = useOpenJob();
const typed = ref('');
const unit = computed(() => (job.state.records.vehicle.distanceUnit === 'mi' ? 'mi' : 'km'));
const counters = computed(() => [...job.state.history.active(job.state.records.counters)].reverse());
/** Once somebody has tried, the words under a field follow what stands in it. */
const tried = ref(false);
const problem = computed(() => (tried.value ? refusalOf(() => readTold('counter', typed.value, unit.value)) : ''));
function read(): void {
  tried.value = true;
  if (problem.value) return;
  tried.value = false;
  job.add('counters', { typed: typed.value, unit: unit.value });
  typed.value = '';
}
</script>

<template>
  <section>
    <h2>Distance on the counter</h2>
    <form v-if="writable" class="row" @submit.prevent="read">
      <v-text-field v-model="typed" :label="`Counter now (${unit})`" placeholder="41,960" :error-messages="problem" inputmode="decimal" />
      <v-btn class="act" type="submit" :disabled="typed.trim() === ''">Note it</v-btn>
    </form>
    <ul>
      <li v-for="c in counters" :key="c.id">
        <span class="fig">{{ groupThousands(convert(c.km, 'distance_run', unit)) }} {{ unit }}</span>
        <span class="second small">{{ dayText(c.happenedAt) }}, {{ job.by(c) }}</span>
        <button v-if="writable && c.jobId === job.state.records.job.id" class="link small" type="button" @click="job.takeBack(c.id)">
          Take back
        </button>
      </li>
    </ul>
    <p v-if="counters.length === 0" class="second">Not read yet. Wear rates need it.</p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: var(--space-3);
  align-items: flex-start;
  max-width: 460px;
}
.row .act {
  min-height: var(--strip);
}
li {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  padding: 2px 0;
}
ul {
  margin-top: var(--space-2);
}
</style>
