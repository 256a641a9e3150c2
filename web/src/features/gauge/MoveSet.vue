<script setup lang="ts">
import { type MeasurementId, MEASUREMENTS } from '@dauer/core/catalogue';
import { movedTwice, moveTo } from '@dauer/core/history';
import { placeName } from '@dauer/core/layout';
import type { Phase } from '@dauer/core/ledger';
import { computed, ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';

/** A set taken at the wrong place goes to the right one, as it was taken. */
const props = defineProps<{ slotId: string; measurement: MeasurementId; phase: Phase }>();
const job = useOpenJob();
const open = ref(false);
const set = computed(() =>
  job.history.sets.findLast(
    (s) =>
      s.slotId === props.slotId && s.measurement === props.measurement && s.phase === props.phase && s.jobId === job.state.records.job.id,
  ),
);
const places = computed(() =>
  job.state.records.layout.slots.filter((s) => MEASUREMENTS[props.measurement].on.includes(s.kind) && s.id !== props.slotId),
);
/** Two people said where it was taken without knowing of each other: each place that was named, to choose from. */
const named = computed(() => {
  const twice = movedTwice(job.history.active(job.history.records.setMoves) ?? []).find((m) => m.setId === set.value?.id);
  const ids = twice ? [twice.now.slotId, ...twice.against.map((m) => m.slotId)] : [];
  return job.state.records.layout.slots.filter((s) => ids.includes(s.id));
});
function move(slotId: string): void {
  if (!set.value) return;
  job.add('setMoves', { ...moveTo(job.history, set.value, slotId), corrects: set.value.id });
  open.value = false;
  job.picked = slotId;
}
</script>

<template>
  <p v-if="set && named.length > 0" class="move" role="alert">
    <span class="second">Two people said where it was taken, without knowing of each other. It was the</span>
    <v-btn v-for="p in named" :key="p.id" class="act slim" @click="move(p.id)">{{ placeName(p) }}</v-btn>
  </p>
  <p v-else-if="set && places.length > 0" class="move">
    <button v-if="!open" class="link small" type="button" @click="open = true">Taken at another place</button>
    <template v-else>
      <span class="second">It was taken at the</span>
      <v-btn v-for="p in places" :key="p.id" class="act slim" @click="move(p.id)">{{ placeName(p) }}</v-btn>
      <button class="link small" type="button" @click="open = false">Leave it</button>
    </template>
  </p>
</template>

<style scoped>
.move {
  display: flex;
  gap: var(--space-2);
  flex-wrap: wrap;
  align-items: center;
  min-height: var(--touch);
}
</style>
