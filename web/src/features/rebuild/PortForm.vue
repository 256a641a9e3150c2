<script setup lang="ts">
import { lastPartIn } from '@dauer/core/history';
import { PORT_SEATS, type PortSeat } from '@dauer/core/ledger';
import { portFact } from '@dauer/core/readiness';
import { PORTS, PORT_SEAT_NAME, PORT_SEAT_TAKES } from '@dauer/core/wording';
import { ref } from 'vue';
import { useOpenJob } from '../../job/openJob.ts';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import SeatMark from './SeatMark.vue';

/** What a port seals on, its thread, and where it lies on the unit. */
const props = defineProps<{ slotId: string; port: string; name: string }>();
const emit = defineEmits<{ done: [] }>();
const job = useOpenJob();
const known = portFact(job.state.history, props.slotId, props.port);
const seat = ref<PortSeat | null>(known?.seat ?? null);
const thread = ref(known?.thread ?? '');
const lies = ref(known?.lies ?? '');
function keep(): void {
  if (seat.value === null) return;
  const { slotId, port } = props;
  const partId = lastPartIn(slotId, job.state.history.active(job.state.records.partEvents));
  const words = { thread: thread.value.trim(), lies: lies.value.trim() };
  job.add('portFacts', { slotId, partId, port, seat: seat.value, ...words });
  emit('done');
}
</script>

<template>
  <form class="port" :aria-label="`${PORTS.tell}: ${name}`" @submit.prevent="keep">
    <ChoiceRow v-model="seat" :label="PORTS.tell" :options="PORT_SEATS.map((value) => ({ value, label: PORT_SEAT_NAME[value] }))" />
    <p v-if="seat" class="takes small">
      <SeatMark :seat="seat" />
      It takes {{ PORT_SEAT_TAKES[seat] }}.
    </p>
    <v-text-field v-model="thread" density="compact" :label="PORTS.thread" :placeholder="PORTS.threadFor" maxlength="60" />
    <v-text-field v-model="lies" density="compact" :label="PORTS.lies" :placeholder="PORTS.liesFor" maxlength="80" />
    <v-btn class="act slim" type="submit" :disabled="seat === null">{{ PORTS.keep }}</v-btn>
    <button class="link small" type="button" @click="emit('done')">Not now</button>
  </form>
</template>

<style scoped>
.port {
  flex: 1 1 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-2);
  align-items: center;
}
.takes {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  flex: 1 1 100%;
}
.port :deep(.v-input) {
  flex: 1 1 180px;
  max-width: 320px;
}
</style>
