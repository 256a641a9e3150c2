<script setup lang="ts">
import type { VehicleDue } from '@dauer/contract';
import { EXERCISES, type ExerciseKind } from '@dauer/core/ledger';
import { EXERCISE_NAME } from '@dauer/core/wording';
import { v7 } from 'uuid';
import { ref } from 'vue';
import { call, timeNow } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import { DEVICE } from '../../job/job.ts';

/** A vehicle that stands was exercised: two taps, the second says how. */
const props = defineProps<{ vehicle: VehicleDue }>();
const emit = defineEmits<{ noted: [] }>();
const open = ref(false);
const { run, busy, problem } = useRequest();
async function tell(what: ExerciseKind): Promise<void> {
  await run(async () => {
    const body = { id: v7(), happenedAt: timeNow().at, device: DEVICE, what };
    await call('recordExercise', { params: { jobId: props.vehicle.jobId }, body });
    open.value = false;
    emit('noted');
  });
}
</script>

<template>
  <v-btn v-if="!open" class="act slim" :aria-label="`${vehicle.tag}: exercised`" @click="open = true">Exercised</v-btn>
  <span v-else class="ways" role="group" :aria-label="`How ${vehicle.tag} was exercised`">
    <v-btn v-for="k in EXERCISES" :key="k" class="act slim" :disabled="busy" @click="tell(k)">{{ EXERCISE_NAME[k] }}</v-btn>
    <button class="link" type="button" @click="open = false">Not now</button>
  </span>
  <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
}
</style>
