<script setup lang="ts">
import type { AfterPull } from '@dauer/core/ledger';
import { placeName } from '@dauer/core/layout';
import { readTold } from '@dauer/core/quantity';
import { secondBleeds } from '@dauer/core/views';
import { computed, ref } from 'vue';
import { AIR_OPTIONS, BLEEDER_OPTIONS } from '../../fittings/bleederOptions.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import { dayText } from '../../fittings/dates.ts';
import { refusalOf } from '../../fittings/refusal.ts';
import { useOpenJob } from '../../job/openJob.ts';

/** The bleeders that are bled a second time after hand-back, each with what came. */
defineProps<{ writable: boolean }>();
const job = useOpenJob();
const bleeds = computed(() => secondBleeds(job.state));
const at = ref<string | null>(null);
const volume = ref('');
const air = ref<AfterPull['air']>('none');
const closed = ref<'closed' | 'open'>('closed');
const tried = ref(false);
const problem = computed(() => (tried.value ? refusalOf(() => readTold('bled', volume.value, 'mL')) : ''));
const came = (p: AfterPull): string =>
  [AIR_OPTIONS.find((a) => a.value === p.air)?.label.toLowerCase(), p.closed ? 'shut' : 'still open', dayText(p.happenedAt)].join(', ');
function open(id: string): void {
  at.value = id;
  volume.value = '';
  air.value = 'none';
  closed.value = 'closed';
  tried.value = false;
}
function log(slotId: string): void {
  tried.value = true;
  if (problem.value) return;
  job.add('afterPulls', { slotId, volumeTyped: volume.value, air: air.value, closed: closed.value === 'closed' });
  at.value = null;
}
</script>

<template>
  <ul class="bleeds">
    <li v-for="b in bleeds" :key="b.bleeder.id">
      <span class="name">{{ placeName(b.bleeder) }}</span>
      <span class="came">
        <template v-if="b.pull">
          <span class="fig">{{ Math.round(b.pull.volumeMl) }} mL</span>
          {{ came(b.pull) }}
        </template>
        <span v-else class="second">not bled again</span>
      </span>
      <v-btn
        v-if="writable && at !== b.bleeder.id"
        class="act slim"
        :aria-label="`Record what came again at the ${placeName(b.bleeder).toLowerCase()}`"
        @click="open(b.bleeder.id)"
      >
        Record
      </v-btn>
      <form v-if="at === b.bleeder.id" class="form" @submit.prevent="log(b.bleeder.id)">
        <v-text-field v-model="volume" v-focus label="Volume drawn" placeholder="20 mL" :error-messages="problem" />
        <ChoiceRow v-model="air" :options="AIR_OPTIONS" label="Air at the end" />
        <ChoiceRow v-model="closed" :options="BLEEDER_OPTIONS" label="Bleeder" />
        <v-btn class="act main" type="submit">Record</v-btn>
        <v-btn class="act" @click="at = null">Not yet</v-btn>
      </form>
    </li>
  </ul>
</template>

<style scoped>
.bleeds {
  flex: 1 0 100%;
  padding-left: var(--space-4);
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: center;
  min-height: var(--touch);
  padding: var(--space-1) 0;
  border-top: var(--line-hair) solid var(--hair);
}
.name {
  flex: 0 1 220px;
}
.came {
  flex: 1 1 200px;
}
.form {
  display: flex;
  flex: 1 0 100%;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
}
.form :deep(.v-input) {
  flex: 0 1 180px;
}
</style>
