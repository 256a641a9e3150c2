<script setup lang="ts">
import { closingWords, CORNER_NAME, type Corner, onlyNow, onlyNowAtWheel, placeName, type Slot, wantedNow } from '@dauer/core';
import { computed } from 'vue';
import { useJob } from '../../app/job.ts';

/** Before a step closes an access: what can only be done now, with minutes each. One tap does it. */
const props = defineProps<{ place?: Slot; wheel?: Corner }>();
const job = useJob();
const list = computed(() => {
  if (!job.state) return [];
  if (props.wheel) return onlyNowAtWheel(job.state, props.wheel);
  return props.place ? onlyNow(job.state, props.place) : [];
});
/** What nobody owes and everybody misses later. */
const wanted = computed(() => (job.state && props.place ? wantedNow(job.state, props.place) : []));
const before = computed(() =>
  props.wheel ? `Before the ${CORNER_NAME[props.wheel].toLowerCase()} wheel goes on` : props.place ? closingWords(props.place) : '',
);
const minutes = computed(() => list.value.reduce((sum, x) => sum + x.minutes, 0));
const stageOf = (key: string): string => (/^(gauge|look|because):/.test(key) ? 'gauge' : key.startsWith('decide:') ? 'decide' : 'rebuild');
</script>

<template>
  <div v-if="list.length > 0 || wanted.length > 0" class="now" role="note">
    <b class="plate-font">
      {{ list.length > 0 ? `${before}: ${list.length} to do, about ${minutes} min` : `${before}: nothing is owed` }}
    </b>
    <ul>
      <li v-for="x in list" :key="x.obligation.key">
        <RouterLink :to="{ path: `/jobs/${job.file?.job.id}/${stageOf(x.obligation.key)}`, query: { pick: x.obligation.slotId } }">
          {{ x.obligation.what }}
        </RouterLink>
        <span class="second small fig">{{ x.minutes }} min</span>
      </li>
    </ul>
    <p v-if="wanted.length > 0" class="second small">Can only be taken now, though nobody owes it:</p>
    <ul v-if="wanted.length > 0">
      <li v-for="w in wanted" :key="`${w.slot.id}|${w.measurement.id}`">
        <RouterLink :to="{ path: `/jobs/${job.file?.job.id}/gauge`, query: { pick: w.slot.id } }">
          {{ placeName(w.slot) }}: {{ w.measurement.name.toLowerCase() }}
        </RouterLink>
        <span class="second small fig">{{ w.minutes }} min</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.now {
  flex: 1 1 100%;
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 8px 12px;
}
b {
  font-size: 18px;
}
li {
  display: flex;
  gap: 12px;
  align-items: baseline;
  min-height: 32px;
}
</style>
