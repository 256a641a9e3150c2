<script setup lang="ts">
import { GAUGE_KIND_NAME, GAUGE_UNIT, type GaugeKind, GENERIC_GAUGE, isShare } from '@dauer/core/catalogue';
import type { GaugeVersion } from '@dauer/core/ledger';
import { parseQuantity, toResult } from '@dauer/core/quantity';
import { v7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { call } from '../../app/client.ts';
import { useRequest } from '../../app/request.ts';
import DayField from '../../fittings/DayField.vue';

/** A gauge that is entered, or a new version of one: what it is and how far it can be trusted. */
const props = defineProps<{ from: GaugeVersion | null }>();
const emit = defineEmits<{ done: []; close: [] }>();
const { run, busy, problem } = useRequest();
const kind = ref<GaugeKind>(props.from?.kind ?? 'micrometer');
const text = (n: number | null | undefined): string => (n === null || n === undefined ? '' : String(n));
const f = ref({
  tag: props.from?.tag ?? '',
  name: props.from?.name ?? '',
  resolution: text(props.from?.resolution),
  accuracy: text(props.from?.accuracy),
  shortSpan: text(props.from?.shortSpan),
  rangeLow: text(props.from?.rangeLow),
  rangeHigh: text(props.from?.rangeHigh),
  settingPiece: text(props.from?.settingPiece),
  checkFirst: props.from?.checkFirst ?? false,
  due: props.from?.calibrationDue ?? '',
});
const KINDS = Object.entries(GAUGE_KIND_NAME).map(([value, title]) => ({ title, value }));
const unit = computed(() => GAUGE_UNIT[kind.value]);
watch(
  kind,
  (k) => {
    if (props.from) return;
    const g = GENERIC_GAUGE[k];
    f.value = { ...f.value, resolution: String(g.resolution), accuracy: String(g.accuracy), shortSpan: String(g.shortSpan) };
  },
  { immediate: true },
);
/** A figure in the gauge's own unit: a length in any unit of length, anything else as a plain number. */
function read(entered: string): number {
  if (unit.value === 'mm') return parseQuantity(entered, 'length', 'mm').canonical;
  return parseQuantity(entered, 'ratio', '1').canonical;
}
const orNone = (entered: string): number | null => (entered.trim() === '' ? null : read(entered));
async function enter(): Promise<void> {
  problem.value = '';
  const tried = toResult(() => ({
    resolution: read(f.value.resolution),
    accuracy: read(f.value.accuracy),
    shortSpan: read(f.value.shortSpan),
    rangeLow: orNone(f.value.rangeLow),
    rangeHigh: orNone(f.value.rangeHigh),
    settingPiece: orNone(f.value.settingPiece),
  }));
  if (!tried.ok) {
    problem.value = tried.refusal.message;
    return;
  }
  const { rangeLow, rangeHigh } = tried.value;
  if (rangeLow !== null && rangeHigh !== null && rangeLow >= rangeHigh) {
    problem.value = 'The range ends above where it begins.';
    return;
  }
  await run(async () => {
    await call('enterGauge', {
      body: {
        ...tried.value,
        id: v7(),
        gaugeId: props.from?.gaugeId ?? v7(),
        tag: f.value.tag,
        name: f.value.name,
        kind: kind.value,
        checkFirst: f.value.checkFirst,
        calibrationDue: f.value.due || null,
      },
    });
    emit('done');
  });
}
</script>

<template>
  <v-dialog aria-labelledby="gauge-form-title" :model-value="true" max-width="760" @update:model-value="emit('close')">
    <form class="dialog col" @submit.prevent="enter">
      <h2 id="gauge-form-title">{{ from ? `A new version of ${from.tag}` : 'Enter a gauge' }}</h2>
      <div class="fields">
        <v-select v-model="kind" label="Kind" :items="KINDS" :readonly="from !== null" />
        <v-text-field v-model="f.tag" label="Tag" placeholder="M-04" />
        <v-text-field v-model="f.name" label="Name" />
        <v-text-field v-model="f.resolution" :label="`Reads to (${unit})`" />
        <v-text-field v-model="f.accuracy" :label="isShare(kind) ? 'Accuracy ± (share, 0.04 is 4 %)' : `Accuracy ± (${unit})`" />
        <v-text-field v-model="f.shortSpan" :label="`± over a short span (${unit})`" />
        <v-text-field v-model="f.rangeLow" :label="`Range from (${unit})`" />
        <v-text-field v-model="f.rangeHigh" :label="`Range to (${unit})`" />
        <v-text-field v-model="f.settingPiece" :label="`Setting piece (${unit})`" />
        <DayField v-model="f.due" label="Calibration due" />
      </div>
      <label class="tick">
        <input v-model="f.checkFirst" type="checkbox" />
        Ask for a look at the setting piece before use
      </label>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn class="act" @click="emit('close')">Not now</v-btn>
        <v-btn class="act main" type="submit" :disabled="busy || f.tag.trim() === '' || f.name.trim() === ''">Enter it</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
