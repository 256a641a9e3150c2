<script setup lang="ts">
import {
  counterpart,
  display,
  fixed,
  type Judged,
  judgeSet,
  measurementsOn,
  type MeasurementId,
  type Phase,
  PHASE_WORD,
  placeName,
  type PlannedPosition,
  plannedPositions,
  runoutOf,
  type Surface,
  type Taken,
  USUAL_COUNT,
} from '@dauer/core';
import { computed, nextTick, onBeforeUnmount, ref } from 'vue';
import { useJob } from '../../app/job.ts';
import { onLetter } from '../../app/keys.ts';
import { useSession } from '../../app/session.ts';
import CaptureBar from '../../fittings/CaptureBar.vue';
import ChoiceRow from '../../fittings/ChoiceRow.vue';
import WearRule from '../../fittings/WearRule.vue';
import AxleSides from './AxleSides.vue';
import DrumField from './DrumField.vue';
import FindingsPanel from './FindingsPanel.vue';
import GaugeChooser from './GaugeChooser.vue';
import MeansPlate from './MeansPlate.vue';
import PadField from './PadField.vue';
import RotorRing from './RotorRing.vue';
import SweepChart from './SweepChart.vue';
import { useCapture } from './useCapture.ts';

/** The bench for one component: drawn as what is being measured, judged below, said in words beside. */
const job = useJob();
const session = useSession();
const component = computed(() => job.component);
const measurements = computed(() => (component.value ? measurementsOn(component.value.slot.kind) : []));
const firstOpen = component.value?.required.find((r) => !r.done)?.measurement.id ?? measurements.value[0]?.id ?? 'eye';
const tab = ref<MeasurementId | 'eye'>(firstOpen);
const measurement = computed(() => measurements.value.find((m) => m.id === tab.value) ?? null);
const phase = ref<Phase>(job.phase);
const capture = useCapture(component, measurement, phase);
const { unit, message, asked, at, standing, positions, taken, index } = capture;
const bar = ref<InstanceType<typeof CaptureBar> | null>(null);
const choosing = ref(false);
const liveText = ref('');

const writable = computed(() => session.may('technician') && job.state?.released === false && component.value?.empty === false);
const decimals = computed(() => component.value?.judged.find((j) => j.characteristic.takenFrom === tab.value)?.reduced.decimals ?? 2);
/** Figures to show: of the set in hand first, of every other measurement the newest that stands. */
const judged = computed<Judged[]>(() => {
  const all = component.value?.judged ?? [];
  const own = capture.set.value && job.state ? judgeSet(job.state.book, capture.set.value, job.today) : null;
  const list = all.flatMap((j) => (own && j.characteristic.takenFrom === tab.value ? [] : [j]));
  return [...(own ?? []), ...list].sort(
    (a, b) => Number(b.characteristic.takenFrom === tab.value) - Number(a.characteristic.takenFrom === tab.value),
  );
});
const inTab = computed(() => judged.value.filter((j) => j.characteristic.takenFrom === tab.value));
const others = computed(() => judged.value.filter((j) => j.characteristic.takenFrom !== tab.value));
const missing = computed(() =>
  (component.value?.required ?? []).filter((r) => !r.done && r.phase === phase.value).map((r) => r.measurement.name),
);
const main = computed(() => inTab.value[0] ?? null);
interface Field {
  readonly positions: readonly PlannedPosition[];
  readonly taken: readonly Taken[];
  readonly decimals: number;
}
/** What stands of a measurement in the phase shown: the set in hand, or the newest of the other one. */
function fieldOf(id: MeasurementId): Field {
  const own = tab.value === id;
  const book = job.state?.book;
  const set = own
    ? capture.set.value
    : book?.sets
        .filter(
          (s) =>
            s.slotId === component.value?.slot.id &&
            s.partId === (component.value.part?.id ?? null) &&
            s.measurement === id &&
            s.phase === phase.value &&
            s.jobId === book.file.job.id,
        )
        .at(-1);
  const held = own ? taken.value : set && book ? book.taken(set) : [];
  return {
    positions: own ? positions.value : plannedPositions(id, set?.count ?? USUAL_COUNT[id]),
    taken: held,
    decimals: judged.value.find((j) => j.characteristic.takenFrom === id)?.reduced.decimals ?? 2,
  };
}
const ring = computed(() => fieldOf('rotor_thickness'));
const sweep = computed(() => fieldOf('rotor_runout'));
const sweepFit = computed(() => runoutOf(sweep.value.taken));
const sweepLimit = computed(() => {
  const j = judged.value.find((x) => x.characteristic.id === 'rotor_runout');
  return j?.bound.kind === 'upper' ? j.bound.at : null;
});
const variation = computed(() => {
  const j = judged.value.find((x) => x.characteristic.id === 'rotor_thickness_variation');
  return j ? fixed(j.reduced.value, j.reduced.decimals) : null;
});
/** Whether the figure is one of the readings, so that they can stand on its rule. */
const single = (j: Judged): boolean => j.characteristic.id === j.characteristic.takenFrom && tab.value !== 'rotor_runout';
function go(id: MeasurementId, i: number): void {
  tab.value = id;
  void nextTick(() => {
    index.value = i;
  });
}
const count = (id: MeasurementId): string => {
  const r = component.value?.required.find((x) => x.measurement.id === id && x.phase === phase.value);
  return r ? `${r.taken}/${fieldOf(id).positions.length}` : '';
};
const standingText = computed(() => {
  const t = standing.value;
  return t ? display(t.value, 'length', t.reading.resolution, unit.value, t.reading.fraction) : null;
});
const otherUnit = computed(() =>
  standing.value ? capture.inUnit(standing.value, unit.value === 'mm' ? 'in' : 'mm') : unit.value === 'mm' ? 'in with u' : 'mm with u',
);
const dots = computed(() => positions.value.map((p, i) => ({ key: `${i}`, taken: capture.isTaken(p), now: i === index.value })));
const other = computed(() => (component.value && job.state ? (counterpart(job.state.file.layout, component.value.slot) ?? null) : null));

function take(text: string): void {
  if (text.trim() === '') {
    capture.move(1);
    return;
  }
  if (capture.take(text)) {
    bar.value?.clear();
    liveText.value = '';
  }
}
const off = onLetter('KeyG', () => {
  choosing.value = true;
});
onBeforeUnmount(off);
const SURFACES: readonly { value: Surface; label: string }[] = [
  { value: 'clean', label: 'Clean' },
  { value: 'wiped', label: 'Wiped' },
  { value: 'dirty', label: 'Dirty' },
];
const PHASES = computed<{ value: Phase; label: string }[]>(() =>
  (['as_found', 'after_machining', 'as_fitted'] as const).map((value) => ({
    value,
    label: PHASE_WORD[value].charAt(0).toUpperCase() + PHASE_WORD[value].slice(1),
  })),
);
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
      <div v-if="!component.empty" class="setup">
        <ChoiceRow v-model="phase" :options="PHASES" label="Phase" />
        <span v-if="capture.set.value" class="second">on a {{ capture.set.value.surface }} surface</span>
        <ChoiceRow v-else v-model="capture.surface.value" :options="SURFACES" label="Surface" />
        <button
          v-if="capture.set.value && writable"
          class="act slim"
          type="button"
          @click="
            capture.afresh.value = true;
            index = 0;
          "
        >
          Take all again
        </button>
      </div>
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
      <div v-if="!component.empty" class="drawing" :class="{ rotor: component.slot.kind === 'rotor' }">
        <template v-if="component.slot.kind === 'rotor'">
          <figure>
            <figcaption class="plate-font">
              Thickness at {{ ring.positions.length }} positions
              <span class="second small">mm</span>
            </figcaption>
            <RotorRing
              :positions="ring.positions"
              :taken="ring.taken"
              :now="tab === 'rotor_thickness' ? index : -1"
              :decimals="ring.decimals"
              :variation="variation"
              :live="tab === 'rotor_thickness' ? liveText || null : null"
              @go="(i) => go('rotor_thickness', i)"
            />
          </figure>
          <figure>
            <figcaption class="plate-font">
              Runout over one turn
              <span class="second small">mm</span>
            </figcaption>
            <SweepChart
              :positions="sweep.positions"
              :taken="sweep.taken"
              :runout="sweepFit"
              :limit="sweepLimit"
              :now="tab === 'rotor_runout' ? index : -1"
              :past="judged.some((j) => j.characteristic.id === 'rotor_runout' && j.verdict === 'past')"
              @go="(i) => go('rotor_runout', i)"
            />
          </figure>
        </template>
        <DrumField
          v-else-if="tab === 'drum_diameter'"
          :positions="positions"
          :taken="taken"
          :now="index"
          :decimals="decimals"
          @go="(i) => (index = i)"
        />
        <PadField v-else :positions="positions" :taken="taken" :now="index" :decimals="decimals" @go="(i) => (index = i)" />
      </div>
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
      <AxleSides
        v-if="other"
        :measurement="measurement.id"
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
      :note="
        main
          ? `${fixed(main.reduced.value, decimals)} mm governs, ${main.reduced.taken} of ${positions.length} taken`
          : 'Type the figure, Enter takes it'
      "
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
.setup {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  margin: 8px 0;
}
.setup {
  align-items: center;
}
.drawing {
  margin: 4px 0 0;
}
.rotor {
  display: grid;
  grid-template-columns: minmax(0, 11fr) minmax(0, 15fr);
  gap: 16px;
}
figcaption {
  font-size: 18px;
  line-height: 22px;
}
.judged {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 240px;
  gap: 24px;
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
@media (max-width: 720px) {
  .rotor {
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
