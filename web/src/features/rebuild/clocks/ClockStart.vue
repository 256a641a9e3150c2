<script setup lang="ts">
import { HEATED_METALS, type HeatedMetal, PROCESS_IDS, type ProcessId, PROCESSES } from '@dauer/core/catalogue';
import { placeName, type Slot } from '@dauer/core/layout';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { whyNotStarted } from '@dauer/core/readiness';
import { HEATED_METAL_NAME, TIMER, timeWords } from '@dauer/core/wording';
import { computed, ref, watch } from 'vue';
import { askToRemind } from '../../../app/clocks.ts';
import { timeNow } from '../../../app/client.ts';
import ChoiceRow from '../../../fittings/ChoiceRow.vue';
import { useOpenJob } from '../../../job/openJob.ts';

/** Starts a process at a place: by its usual figures, or by the sheet of the product. */
const props = defineProps<{ slotOf: Slot }>();
const emit = defineEmits<{ started: []; close: [] }>();
const job = useOpenJob();
const process = ref<ProcessId>('soak');
const sheet = ref('');
const minutes = ref('');
const [fromC, toC] = [ref(''), ref('')];
const metal = ref<HeatedMetal | null>(null);
const processes = PROCESS_IDS.map((value) => ({ value, title: PROCESSES[value].name }));
const metals = HEATED_METALS.map((value) => ({ value, label: HEATED_METAL_NAME[value] }));
const usual = computed(() => PROCESSES[process.value]);
watch(
  process,
  () => {
    minutes.value = String(usual.value.minutes);
    fromC.value = usual.value.partC ? String(usual.value.partC.from) : '';
    toC.value = usual.value.partC ? String(usual.value.partC.to) : '';
  },
  { immediate: true },
);
const degrees = (text: string): number => parseQuantity(text, 'temperature', 'degC').canonical;
const read = computed(() =>
  toResult(() => ({
    ...{ slotId: props.slotOf.id, process: process.value, sheet: sheet.value.trim() },
    minutes: Math.round(parseQuantity(minutes.value, 'time', 'min').canonical / 60),
    fromC: usual.value.partC ? degrees(fromC.value) : null,
    toC: usual.value.partC ? degrees(toC.value) : null,
    metal: usual.value.partC ? metal.value : null,
  })),
);
const why = computed(() => (read.value.ok ? whyNotStarted(job.history, read.value.value, timeNow().at) : read.value.refusal.message));
function start(): void {
  if (!read.value.ok || why.value !== null) return;
  job.add('timers', read.value.value);
  void askToRemind();
  emit('started');
}
</script>

<template>
  <form class="start" @submit.prevent="start">
    <v-select v-model="process" density="compact" :label="`At the ${placeName(slotOf).toLowerCase()}`" :items="processes" />
    <v-text-field v-model="minutes" density="compact" inputmode="decimal" label="Minutes" />
    <template v-if="usual.partC">
      <v-text-field v-model="fromC" density="compact" inputmode="decimal" label="Part, from °C" />
      <v-text-field v-model="toC" density="compact" inputmode="decimal" label="to °C" />
      <ChoiceRow v-model="metal" class="whole" :options="metals" label="What it is made of" />
    </template>
    <v-text-field v-model="sheet" density="compact" class="whole" label="Sheet of the product, where its figures are others" />
    <p class="whole small">
      <span class="second">
        Usual: {{ timeWords(usual.minutes)
        }}{{ usual.partC ? ` at ${TIMER.window({ fromC: usual.partC.from, toC: usual.partC.to })}, the part` : '' }}.
      </span>
      <b v-if="usual.hazard">{{ usual.hazard }}</b>
    </p>
    <p class="whole acts">
      <v-btn class="act main" type="submit" :disabled="why !== null">Start its clock</v-btn>
      <v-btn class="act" @click="emit('close')">Not now</v-btn>
      <span v-if="why" class="second small" role="status">{{ why }}</span>
    </p>
  </form>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr 1fr;
  gap: var(--space-2) var(--space-3);
  padding: var(--space-3) 0;
}
.whole {
  grid-column: 1 / -1;
}
.start > :deep(.choice) {
  justify-self: start;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
}
@media (max-width: 900px) {
  .start {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
