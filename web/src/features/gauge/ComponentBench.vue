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
  programmeFor,
  walkRound,
} from '@dauer/core';
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue';
import { useJob } from '../../app/job.ts';
import { useInstrument } from '../../app/instruments.ts';
import { onLetter } from '../../app/keys.ts';
import CaptureBar from '../../fittings/CaptureBar.vue';
import WearRule from '../../fittings/WearRule.vue';
import AxleSides from './AxleSides.vue';
import BenchDrawing from './BenchDrawing.vue';
import BenchTabs from './BenchTabs.vue';
import FindingsPanel from './FindingsPanel.vue';
import GaugeChooser from './GaugeChooser.vue';
import HistoryTable from './HistoryTable.vue';
import MeansPlate from './MeansPlate.vue';
import MoveSet from './MoveSet.vue';
import PutRight from './PutRight.vue';
import ReadingsExchange from './ReadingsExchange.vue';
import SecondMeasure from './SecondMeasure.vue';
import SetUpRow from './SetUpRow.vue';
import { useBenchFigures } from './useBenchFigures.ts';
import { useCapture } from './useCapture.ts';
import { useLive } from './useLive.ts';
import { useSpeech } from './useSpeech.ts';
import { goTo, skippedStops, wanted } from './wanted.ts';
import WorkPanels from './WorkPanels.vue';

/** The bench for one component: drawn as what is being measured, judged below, said in words beside. */
const job = useJob();
const component = computed(() => job.component);
const measurements = computed(() => (component.value ? measurementsOn(component.value.slot.kind) : []));
const along = wanted.value?.slotId === component.value?.slot.id ? wanted.value?.measurement : undefined;
wanted.value = null;
const firstOpen =
  along ??
  component.value?.required.find((r) => !r.done && r.need === 'required')?.measurement.id ??
  component.value?.required.find((r) => r.need === 'required')?.measurement.id ??
  measurements.value[0]?.id ??
  'eye';
const tab = ref<MeasurementId | 'eye'>(firstOpen);
const measurement = computed(() => measurements.value.find((m) => m.id === tab.value) ?? null);
const kind = computed(() => measurement.value?.kind ?? 'length');
const phase = ref<Phase>(job.phase);
const capture = useCapture(component, measurement, phase);
const { unit, other: secondUnit, symbolOf, pair, message, asked, at, standing, positions, taken, index, blind } = capture;
const { judged, inTab, others, noted, decimalsOf, fieldOf, count, missing, governs } = useBenchFigures(component, tab, phase, capture);
const bar = ref<InstanceType<typeof CaptureBar> | null>(null);
const choosing = ref(false);
const liveText = ref('');
const clearance = ref<readonly { before: number; after: number | null }[] | null>(null);
const speech = useSpeech();

const article = computed(() => component.value?.empty === false);
const writable = computed(() => job.writable && article.value);
/** Whether the figure is one of the readings, so that they can stand on its rule. */
const single = (j: { characteristic: { reduction: { op: string } } }): boolean =>
  ['least', 'greatest', 'at'].includes(j.characteristic.reduction.op);
/** Asked for by the programme, or taken already. */
const first = (id: MeasurementId): boolean =>
  fieldOf(id).taken.length > 0 ||
  (component.value !== null && programmeFor(component.value.slot.kind, 'found').some((l) => l.measurement === id));
function go(id: MeasurementId, i: number): void {
  tab.value = id;
  void nextTick(() => {
    index.value = i;
  });
}
const standingText = computed(() => {
  const t = standing.value;
  return t ? display(t.value, kind.value, t.reading.resolution, unit.value, t.reading.fraction) : null;
});
const otherUnit = computed(() => {
  const u = secondUnit.value;
  if (!u) return '';
  return standing.value ? capture.inUnit(standing.value, u) : `${symbolOf(u)} with u`;
});
/** The short scale in the bar: what was taken, and the figure typed or standing here, in the unit shown. */
const shortScale = computed(() => {
  const shown = (v: number): number => convert(v, kind.value, unit.value);
  const typed = attempt(() => parseQuantity(liveText.value, kind.value, unit.value).canonical);
  const now = typed.ok ? typed.value : (live.value?.canonical ?? standing.value?.value ?? null);
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
const { live, steady, held, hold, release } = useLive(instrument, kind, unit);
/** A gauge that was listened to and falls silent in the middle of a set. */
watch(instrument.speaks, (speaks, spoke) => {
  if (!spoke || speaks || instrument.listening.value === null) return;
  message.value = `${capture.gaugeName.value} has fallen silent. What was taken stands; type the figures, or plug it in and listen again.`;
});
function take(text: string): void {
  if (text.trim() === '' && live.value) {
    take(`${live.value.text} ${symbolOf(unit.value)}`.trim());
    return;
  }
  if (text.trim() === '') {
    if (complete.value && nextStop.value) onward();
    else capture.move(1);
    return;
  }
  if (capture.take(text)) {
    speech.say(text);
    release();
    bar.value?.clear();
    liveText.value = '';
  }
}
/** Everything here is taken: Enter goes on to the next stop of the route. */
const complete = computed(() => positions.value.length > 0 && positions.value.every((p) => capture.isTaken(p)));
const nextStop = computed(() =>
  complete.value && job.state
    ? (walkRound(job.state, skippedStops()).stops.find((s) => s.slotId !== component.value?.slot.id || s.measurement !== tab.value) ?? null)
    : null,
);
function onward(): void {
  const stop = nextStop.value;
  if (!stop) return;
  if (stop.slotId === component.value?.slot.id) tab.value = stop.measurement;
  else goTo(stop);
}
function afresh(): void {
  capture.afresh.value = true;
  index.value = 0;
}
/** A sweep of its own with the rotor turned on. */
function sweepTurned(turn: number, studs: number): void {
  capture.begin.value = { turn, studs };
  afresh();
}
const off = [
  onLetter('KeyG', () => {
    choosing.value = true;
  }),
  onLetter('KeyH', () => hold()),
];
onBeforeUnmount(() => off.forEach((f) => f()));
function chooseGauge(id: string): void {
  if (measurement.value) capture.chosenGauges.value = { ...capture.chosenGauges.value, [measurement.value.id]: id };
  choosing.value = false;
}
</script>

<template>
  <div v-if="component" class="bench">
    <div class="head title">
      <h1>{{ placeName(component.slot) }}</h1>
      <BenchTabs
        v-model="tab"
        :measurements="measurements"
        :count="count"
        :first="first"
        :findings="component.findings.length"
        :name="component.slot.name"
      />
      <span class="grow" />
      <div v-if="measurement && pair.length > 1" class="choice unitswitch" role="group" aria-label="Unit">
        <button v-for="u in pair" :key="u" type="button" :aria-pressed="unit === u" @click="unit = u">{{ symbolOf(u) }}</button>
      </div>
    </div>

    <FindingsPanel v-if="tab === 'eye'" :component="component" />
    <template v-else-if="measurement">
      <SetUpRow
        v-if="!component.empty"
        :key="measurement.id"
        v-model:phase="phase"
        :measurement="measurement.id"
        :capture="capture"
        :writable="writable"
        @afresh="afresh"
      />
      <SecondMeasure v-model:blind="blind" :judged="inTab" :writable="writable" />
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
        :component="component"
        :measurement="measurement.id"
        :field-of="fieldOf"
        :judged="judged"
        :now="index"
        :live="liveText || null"
        :clearance="clearance"
        @go="go"
      />
      <PutRight v-if="writable" :capture="capture" :decimals="decimalsOf(tab)" />
      <div class="judged">
        <div>
          <p v-if="taken.length === 0 && !component.empty" class="how second">{{ measurement.how }}</p>
          <WearRule
            v-for="j in inTab"
            :key="j.characteristic.id"
            :judged="j"
            :inch="unit === 'in'"
            :readings="single(j) ? taken.map((t) => t.value) : undefined"
            :live="standing && single(j) ? standing.value : null"
          />
          <p v-if="noted.length > 0" class="noted">
            <span v-for="n in noted" :key="n.characteristic.id">
              {{ n.characteristic.short }}
              <span class="fig fig-b">{{ n.text }}</span>
            </span>
          </p>
          <WearRule v-for="j in others" :key="`o${j.characteristic.id}`" :judged="j" :inch="unit === 'in'" />
        </div>
        <MeansPlate
          v-if="!component.empty && !blind"
          :judged="judged"
          :component="component"
          :missing="missing"
          :taken="taken"
          :pads="tab === 'pad_lining'"
        />
      </div>
      <WorkPanels
        v-if="!component.empty && !blind"
        :component="component"
        :measurement="measurement.id"
        :judged="judged"
        :taken="taken"
        :writable="writable"
        @sweep="sweepTurned"
        @clearance="(list) => (clearance = list)"
      />
      <MoveSet v-if="writable" :slot-id="component.slot.id" :measurement="measurement.id" :phase="phase" />
      <AxleSides
        v-if="other"
        :measurement="measurement.id"
        :phase="phase"
        :slot-id="component.slot.id"
        :other-id="other.id"
        @pick="(id) => (job.picked = id)"
      />
      <HistoryTable v-if="!blind" :component="component" :measurement="measurement.id" :judged="judged" />
      <ReadingsExchange v-if="!blind" :component="component" />
    </template>

    <CaptureBar
      v-if="writable && measurement && at"
      ref="bar"
      :position="at.name"
      :what="`${measurement.name}, ${placeName(component.slot).toLowerCase()}, ${PHASE_WORD[phase]}`"
      :unit="symbolOf(unit)"
      :other="otherUnit"
      :standing="standingText"
      :dots="dots"
      :gauge="capture.gaugeName.value"
      :gauge-note="capture.gaugeNote.value"
      :message="message"
      :note="governs"
      :onward="nextStop ? `${nextStop.place}, ${nextStop.name.toLowerCase()}` : null"
      :scale="shortScale"
      :live="live"
      :steady="steady"
      :held="held !== null"
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
  gap: 0 16px;
  flex-wrap: wrap;
}
.title h1 {
  white-space: nowrap;
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
.noted {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  margin: 4px 0 12px;
  font-size: 15px;
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
