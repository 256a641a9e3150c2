<script setup lang="ts">
import {
  attempt,
  convert,
  counterpart,
  display,
  measurementsOn,
  type MeasurementId,
  parseQuantity,
  type Phase,
  PHASE_WORD,
  placeName,
} from '@dauer/core';
import { computed, nextTick, onBeforeUnmount, ref } from 'vue';
import { useJob } from '../../app/job.ts';
import { useInstrument } from '../../app/instruments.ts';
import { onLetter } from '../../app/keys.ts';
import CaptureBar from '../../fittings/CaptureBar.vue';
import WearRule from '../../fittings/WearRule.vue';
import AxleSides from './AxleSides.vue';
import BenchDrawing from './BenchDrawing.vue';
import FindingsPanel from './FindingsPanel.vue';
import GaugeChooser from './GaugeChooser.vue';
import MeansPlate from './MeansPlate.vue';
import MoveSet from './MoveSet.vue';
import SetUpRow from './SetUpRow.vue';
import { useBenchFigures } from './useBenchFigures.ts';
import { useCapture } from './useCapture.ts';

/** The bench for one component: drawn as what is being measured, judged below, said in words beside. */
const job = useJob();
const component = computed(() => job.component);
const measurements = computed(() => (component.value ? measurementsOn(component.value.slot.kind) : []));
const firstOpen = component.value?.required.find((r) => !r.done)?.measurement.id ?? measurements.value[0]?.id ?? 'eye';
const tab = ref<MeasurementId | 'eye'>(firstOpen);
const measurement = computed(() => measurements.value.find((m) => m.id === tab.value) ?? null);
const phase = ref<Phase>(job.phase);
const capture = useCapture(component, measurement, phase);
const { unit, message, asked, at, standing, positions, taken, index } = capture;
const { judged, inTab, others, decimalsOf, fieldOf, count, missing, governs } = useBenchFigures(component, tab, phase, capture);
const bar = ref<InstanceType<typeof CaptureBar> | null>(null);
const choosing = ref(false);
const liveText = ref('');

const writable = computed(() => job.writable && component.value?.empty === false);
/** Whether the figure is one of the readings, so that they can stand on its rule. */
const single = (id: string): boolean => id === tab.value && tab.value !== 'rotor_runout';
function go(id: MeasurementId, i: number): void {
  tab.value = id;
  void nextTick(() => {
    index.value = i;
  });
}
const standingText = computed(() => {
  const t = standing.value;
  return t ? display(t.value, 'length', t.reading.resolution, unit.value, t.reading.fraction) : null;
});
const otherUnit = computed(() =>
  standing.value ? capture.inUnit(standing.value, unit.value === 'mm' ? 'in' : 'mm') : unit.value === 'mm' ? 'in with u' : 'mm with u',
);
/** The short scale in the bar: what was taken, and the figure typed or standing here, in the unit shown. */
const shortScale = computed(() => {
  const shown = (mm: number): number => convert(mm, 'length', unit.value);
  const typed = attempt(() => parseQuantity(liveText.value, 'length', unit.value).canonical);
  const now = typed.ok ? typed.value : (live.value?.mm ?? standing.value?.value ?? null);
  return {
    values: taken.value.map((t) => shown(t.value)),
    live: now === null ? null : shown(now),
    decimals: decimalsOf(tab.value) + (unit.value === 'in' ? 1 : 0),
  };
});
const dots = computed(() => positions.value.map((p, i) => ({ key: `${i}`, taken: capture.isTaken(p), now: i === index.value })));
const other = computed(() => (component.value && job.state ? (counterpart(job.state.file.layout, component.value.slot) ?? null) : null));

const instrument = useInstrument(
  computed(() => (writable.value ? (capture.gauge.value?.tag ?? null) : null)),
  (text) => take(text),
);
/** What the instrument shows, in the unit shown; a figure that is no length is shown as it is. */
const live = computed(() => {
  const m = instrument.live.value;
  if (!m) return null;
  const q = attempt(() => parseQuantity(`${m.text} ${m.unit}`, 'length', 'mm'));
  if (!q.ok || m.unit === unit.value) return { text: m.text, mm: q.ok ? q.value.canonical : null };
  return { text: display(q.value.canonical, 'length', q.value.resolution, unit.value), mm: q.value.canonical };
});
function take(text: string): void {
  const shownLive = instrument.live.value;
  if (text.trim() === '' && shownLive) {
    take(`${shownLive.text} ${shownLive.unit}`);
    return;
  }
  if (text.trim() === '') {
    capture.move(1);
    return;
  }
  if (capture.take(text)) {
    bar.value?.clear();
    liveText.value = '';
  }
}
function afresh(): void {
  capture.afresh.value = true;
  index.value = 0;
}
const off = onLetter('KeyG', () => {
  choosing.value = true;
});
onBeforeUnmount(off);
function chooseGauge(id: string): void {
  if (measurement.value) capture.chosenGauges.value = { ...capture.chosenGauges.value, [measurement.value.id]: id };
  choosing.value = false;
}
</script>

<template>
  <div v-if="component" class="bench">
    <div class="head title">
      <h1>{{ placeName(component.slot) }}</h1>
      <div class="tabs" role="tablist" :aria-label="`What is gauged on the ${component.slot.name.toLowerCase()}`">
        <button v-for="m in measurements" :key="m.id" type="button" role="tab" :aria-selected="tab === m.id" @click="tab = m.id">
          {{ m.name }}
          <span class="fig">{{ count(m.id) }}</span>
        </button>
        <button type="button" role="tab" :aria-selected="tab === 'eye'" @click="tab = 'eye'">
          By eye
          <span class="fig">{{ component.findings.length }}</span>
        </button>
      </div>
      <span class="grow" />
      <div v-if="measurement" class="choice unitswitch" role="group" aria-label="Unit">
        <button v-for="u in ['mm', 'in'] as const" :key="u" type="button" :aria-pressed="unit === u" @click="unit = u">{{ u }}</button>
      </div>
    </div>

    <FindingsPanel v-if="tab === 'eye'" :component="component" />
    <template v-else-if="measurement">
      <SetUpRow
        v-if="!component.empty"
        v-model:phase="phase"
        v-model:next="capture.surface.value"
        :surface="capture.set.value?.surface ?? null"
        :may-begin-afresh="writable"
        @afresh="afresh"
      />
      <p v-if="component.empty" class="problem">
        This place is empty: there is nothing here to gauge. What was taken of the part that was here stands in its life.
      </p>
      <p v-if="asked" class="problem ask" role="alert">
        <span>{{ asked.text }}</span>
        <button
          class="act slim"
          type="button"
          @click="
            asked = null;
            capture.move(1);
          "
        >
          It is right
        </button>
        <button class="act slim" type="button" @click="capture.takeBack()">Take it back</button>
      </p>
      <BenchDrawing
        v-if="!component.empty"
        :kind="component.slot.kind"
        :measurement="measurement.id"
        :field-of="fieldOf"
        :judged="judged"
        :now="index"
        :live="liveText || null"
        @go="go"
      />
      <div class="judged">
        <div>
          <p v-if="taken.length === 0 && !component.empty" class="how second">{{ measurement.how }}</p>
          <WearRule
            v-for="j in inTab"
            :key="j.characteristic.id"
            :judged="j"
            :inch="unit === 'in'"
            :readings="single(j.characteristic.id) ? taken.map((t) => t.value) : undefined"
            :live="standing && single(j.characteristic.id) ? standing.value : null"
          />
          <WearRule v-for="j in others" :key="`o${j.characteristic.id}`" :judged="j" :inch="unit === 'in'" />
        </div>
        <MeansPlate
          v-if="!component.empty"
          :judged="judged"
          :component="component"
          :missing="missing"
          :taken="taken"
          :pads="tab === 'pad_lining'"
        />
      </div>
      <MoveSet v-if="writable" :slot-id="component.slot.id" :measurement="measurement.id" :phase="phase" />
      <AxleSides
        v-if="other"
        :measurement="measurement.id"
        :phase="phase"
        :slot-id="component.slot.id"
        :other-id="other.id"
        @pick="(id) => (job.picked = id)"
      />
    </template>

    <CaptureBar
      v-if="writable && measurement && at"
      ref="bar"
      :position="at.name"
      :what="`${measurement.name}, ${placeName(component.slot).toLowerCase()}, ${PHASE_WORD[phase]}`"
      :unit="unit"
      :other="otherUnit"
      :standing="standingText"
      :dots="dots"
      :gauge="capture.gaugeName.value"
      :gauge-note="capture.gaugeNote.value"
      :message="message"
      :note="governs"
      :scale="shortScale"
      :live="live"
      :speaks="instrument.speaks.value"
      @listen="instrument.listen"
      @take="take"
      @back="capture.takeBack()"
      @move="capture.move"
      @unit="capture.switchUnit()"
      @gauge="choosing = true"
      @typed="
        (t) => {
          liveText = t;
          message = null;
        }
      "
    />
    <GaugeChooser v-model="choosing" :gauges="capture.gauges.value" @choose="chooseGauge" />
  </div>
</template>

<style scoped>
.title {
  gap: 16px;
  flex-wrap: wrap;
}
.title h1 {
  white-space: nowrap;
}
.tabs {
  display: flex;
  align-self: stretch;
}
.tabs button {
  min-height: 47px;
  padding: 4px 12px 1px;
  border: 0;
  border-bottom: 3px solid transparent;
  background: none;
  color: var(--blue);
  font: 600 19px/22px var(--plate-font);
  cursor: pointer;
}
.tabs button[aria-selected='true'] {
  background: var(--blue-tint);
  color: var(--ink);
  border-bottom-color: var(--blue);
}
.tabs .fig {
  font-size: 14px;
}
.unitswitch button[aria-pressed='true'] {
  background: var(--blue);
  color: var(--on-blue);
}
.judged {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 232px;
  gap: 20px;
  align-items: start;
}
.how {
  font-size: 15px;
  line-height: 21px;
  margin: 4px 0 12px;
  max-width: 70ch;
}
.ask {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 1080px) {
  .judged {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 860px) {
  .bench {
    padding-bottom: 150px;
  }
  .title {
    padding: 8px 0 0;
    gap: 4px;
  }
}
</style>
